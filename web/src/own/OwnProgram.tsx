import { useState } from 'react';
import { knownPages, keepPage } from './onPhone.ts';
import { OpenLink } from './OpenLink.tsx';
import { OwnPage } from './OwnPage.tsx';
import { secretInAddress } from './useView.ts';

/** A trainee’s own page: opened by a link once, known to the phone from then on. */
export function OwnProgram() {
  const [secret, setSecret] = useState(secretInAddress);
  const [pages, setPages] = useState(knownPages);
  const [first] = pages;
  if (secret !== undefined || !first)
    return (
      <OpenLink
        secret={secret}
        opened={({ key, feed }) => {
          keepPage({ key, feed });
          // Nobody who looks over a shoulder, or into a history, finds the link.
          window.history.replaceState(null, '', '/own');
          setPages(knownPages());
          setSecret(undefined);
        }}
        {...(first
          ? {
              instead: () => {
                window.history.replaceState(null, '', '/own');
                setSecret(undefined);
              },
            }
          : {})}
      />
    );
  return (
    <OwnPage
      key={first.key}
      known={first}
      others={pages.slice(1)}
      turnTo={(page) => {
        keepPage(page);
        setPages(knownPages());
      }}
      renew={() => setPages(knownPages())}
    />
  );
}
