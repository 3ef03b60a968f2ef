import { useState } from 'react';
import { About } from './About.tsx';
import { Hurts } from './Hurts.tsx';
import { forgetPage, type KnownPage } from './onPhone.ts';
import { PracticeView } from './PracticeView.tsx';
import { Progress } from './Progress.tsx';
import { Today } from './Today.tsx';
import { useOwnPage } from './useOwnPage.ts';
import { hashOf, useView } from './useView.ts';
import { isTold } from './waiting.ts';

interface OwnPageProps {
  readonly known: KnownPage;
  readonly others: readonly KnownPage[];
  readonly turnTo: (page: KnownPage) => void;
  /** What the phone knows has changed. */
  readonly renew: () => void;
}

/** One trainee’s page: today, a practice, what the page is. “Something hurts” is in reach of all of them. */
export function OwnPage({ known, others, turnTo, renew }: OwnPageProps) {
  const { key } = known;
  const { read, away, shut, waiting, refresh } = useOwnPage(known);
  const view = useView();
  const [hurts, setHurts] = useState(false);
  const page = read?.page;

  if (shut)
    return (
      <main className="mx-auto flex min-h-dvh max-w-md flex-col justify-center gap-4 p-5 text-lg">
        <h1>My practice</h1>
        <p role="alert">{shut.detail}</p>
        {waiting.length > 0 && <p>What you told and the studio has not got is still on this phone; say it to your coach.</p>}
        <button
          type="button"
          className="btn min-h-12"
          onClick={() => {
            forgetPage(key);
            renew();
          }}
        >
          Take this page off the phone
        </button>
      </main>
    );
  const found =
    view.at === 'practice' ? [...(page?.sessions ?? []), ...(page?.anytime ?? [])].find((s) => s.id === view.sessionId) : undefined;
  // What was told is told: a way back into it begins nothing anew.
  const session = found && !isTold(found, waiting) ? found : undefined;
  return (
    <div className="mx-auto min-h-dvh max-w-xl pb-24 text-lg">
      {!page && (
        <p role="status" className="p-5">
          {away ? 'The studio’s server does not answer. Try again with a connection.' : 'Opening your page…'}
        </p>
      )}
      {page && session && <PracticeView key={session.id} ownKey={key} page={page} session={session} paused={hurts} told={refresh} />}
      {page && !session && view.at === 'about' && (
        <About
          known={known}
          keptBy={page.keptBy}
          others={others}
          turnTo={turnTo}
          forget={() => {
            forgetPage(key);
            window.location.hash = hashOf({ at: 'today' });
            renew();
          }}
        />
      )}
      {page?.progress && view.at === 'progress' && <Progress progress={page.progress} />}
      {page && !session && view.at !== 'about' && !(page.progress && view.at === 'progress') && (
        <Today ownKey={key} page={page} readAt={read.at} away={away} waiting={waiting} told={refresh} />
      )}
      {page && (
        <footer className="fixed inset-x-0 bottom-0 border-t-2 border-base-content bg-base-100 p-3">
          <div className="mx-auto flex max-w-xl gap-2">
            <button type="button" className="btn btn-error min-h-12 flex-1 text-lg" onClick={() => setHurts(true)}>
              Something hurts
            </button>
            {view.at === 'today' && (
              <a className="btn btn-ghost min-h-12" href={hashOf({ at: 'about' })}>
                About this page
              </a>
            )}
          </div>
        </footer>
      )}
      {hurts && page && (
        <Hurts ownKey={key} context={page.context} sessionRunning={session !== undefined} close={() => setHurts(false)} told={refresh} />
      )}
    </div>
  );
}
