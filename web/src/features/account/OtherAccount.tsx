import type { MeHere } from '@myokinet/core/contracts';
import { useEffect, useState } from 'react';
import { type Holder, sessionHere } from '../../client/session.ts';
import { Waiting } from '../../kit/Waiting.tsx';
import { unsentHere, wipeDevice } from '../../client/deviceData.ts';
import { useSignOutMutation } from './endpoints.ts';
import { FrontPage } from './FrontPage.tsx';

/** What another account left on this device goes before anything of this one comes; what was not sent is asked about. */
export function OtherAccount({ before, me, done }: { readonly before: Holder; readonly me: MeHere; readonly done: () => void }) {
  const [unsent, setUnsent] = useState<number>();
  const [signOut, { isLoading }] = useSignOutMutation();
  useEffect(() => {
    void unsentHere().then(async (count) => {
      if (count > 0) return setUnsent(count);
      await wipeDevice();
      sessionHere.heard(me);
      done();
    });
  }, [done, me]);
  if (unsent === undefined) return <Waiting />;
  return (
    <FrontPage title={`This device holds work of ${before.name}`}>
      <p>
        {unsent} {unsent === 1 ? 'entry was' : 'entries were'} typed here by {before.name} and never reached the server. They are not shown
        to {me.name} and not sent in another name.
      </p>
      <div className="mt-4 flex flex-wrap gap-3">
        <button
          type="button"
          className="btn btn-primary h-11"
          disabled={isLoading}
          onClick={() => void signOut().then(() => location.reload())}
        >
          Sign out, so that {before.name} can send them
        </button>
        <button type="button" className="btn h-11" onClick={() => void wipeDevice().then(() => location.reload())}>
          Throw them away
        </button>
      </div>
    </FrontPage>
  );
}
