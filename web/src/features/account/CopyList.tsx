import type { CopyReply } from '@myokinet/core/contracts';
import { longDay } from '@myokinet/core/quantities';
import { useState } from 'react';
import { clock } from '../../client/clock.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useCopiesQuery, useRestoreMutation } from './endpoints.ts';

const KILOBYTE = 1024;
/** Copies shown before the rest is asked for. */
const FIRST = 6;

const timeOf = (moment: string) => new Date(moment).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' });
const dayAndTime = (moment: string) => `${longDay(new Date(moment))}, ${timeOf(moment)}`;
const sizeOf = (bytes: number) =>
  bytes < KILOBYTE ** 2 ? `${Math.ceil(bytes / KILOBYTE)} kB` : `${(bytes / KILOBYTE ** 2).toFixed(1)} MB`;

/** Copies, newest first, and the way back to each. */
export function CopyList() {
  const { data, error } = useCopiesQuery();
  const [all, setAll] = useState(false);
  const [asked, setAsked] = useState<CopyReply>();
  const [restore, { isLoading, error: refused }] = useRestoreMutation();
  if (!data) return error ? <ProblemNote error={error} /> : <Waiting />;
  if (data.copies.length === 0) return <p>There is no copy yet.</p>;
  return (
    <>
      <ul>
        {data.copies.slice(0, all ? undefined : FIRST).map((copy) => (
          <li key={copy.name} className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-base-300 py-1.5">
            <span className="grow">
              {dayAndTime(copy.madeAt)}
              <span className="aside ms-2 text-sm">
                {sizeOf(copy.bytes)}
                {copy.sealed && ', sealed'}
              </span>
            </span>
            <button
              type="button"
              className="btn btn-sm min-h-11"
              onClick={() => setAsked(copy)}
              aria-label={`Bring back ${dayAndTime(copy.madeAt)}`}
            >
              Bring back…
            </button>
          </li>
        ))}
      </ul>
      {!all && data.copies.length > FIRST && (
        <button type="button" className="link mt-2" onClick={() => setAll(true)}>
          Show all {data.copies.length}
        </button>
      )}
      {asked && (
        <div role="alertdialog" aria-label="Bring back this copy?" className="mt-3 border-s-4 border-error bg-error/10 px-4 py-3">
          <p>
            Everything goes back to {dayAndTime(asked.madeAt)}, {agoOf(asked.madeAt)}: what was entered in this studio since then is gone
            from it. The file as it is now is set aside on the server.
          </p>
          <div className="mt-2 flex flex-wrap gap-3">
            <button
              type="button"
              className="btn btn-error h-11"
              disabled={isLoading}
              onClick={() => void restore(asked.name).then(({ data: done }) => done && location.assign('/'))}
            >
              Bring it back
            </button>
            <button type="button" className="btn h-11" onClick={() => setAsked(undefined)}>
              Leave it
            </button>
          </div>
          <ProblemNote error={refused} />
        </div>
      )}
    </>
  );
}

/** How long ago in words. */
export function agoOf(moment: string): string {
  const minutes = Math.round((clock.now().getTime() - Date.parse(moment)) / 60_000);
  if (minutes < 2) return 'just now';
  if (minutes < 120) return `${minutes} minutes ago`;
  const hours = Math.round(minutes / 60);
  return hours < 48 ? `${hours} hours ago` : `${Math.round(hours / 24)} days ago`;
}
