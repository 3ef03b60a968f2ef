import { type Practice, setsInAll } from './practice.ts';

const TEN = Array.from({ length: 11 }, (_, i) => i);

/** How hard all of it was, once something was done; behind a stop sign there is no way back into it. */
export function PracticeEnding({
  practice,
  stopped,
  back,
  send,
  leave,
}: {
  readonly practice: Practice;
  readonly stopped: boolean;
  readonly back?: () => void;
  readonly send: (effort: number) => void;
  readonly leave: () => void;
}) {
  const sets = setsInAll(practice);
  return (
    <main className="flex flex-col gap-4 p-4">
      <h1>{stopped ? 'Stop here' : 'That was it'}</h1>
      {stopped && (
        <p role="alert" className="border-s-8 border-error bg-error/10 p-3">
          Nothing more for today. Your coach sees what you told.
        </p>
      )}
      {sets === 0 ? (
        <>
          <p>No set is done, so there is nothing to tell.</p>
          <button type="button" className="btn min-h-12" onClick={leave}>
            Leave
          </button>
        </>
      ) : (
        <fieldset>
          <legend className="font-semibold">
            {sets} {sets === 1 ? 'set' : 'sets'} done. How hard was all of it? 0 nothing, 10 all you had
          </legend>
          <div className="mt-2 grid grid-cols-4 gap-2">
            {TEN.map((n) => (
              <button key={n} type="button" className="btn min-h-14 text-xl" onClick={() => send(n)}>
                {n}
              </button>
            ))}
          </div>
        </fieldset>
      )}
      {back && (
        <button type="button" className="btn btn-ghost min-h-12" onClick={back}>
          Back to the drills
        </button>
      )}
    </main>
  );
}
