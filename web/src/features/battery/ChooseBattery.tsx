import type { TraineeReply } from '@myokinet/core/contracts';
import type { Measure } from '@myokinet/core/measuring';
import { batteryMinutes, toolsOf } from '@myokinet/core/checking';
import { rechecksOf } from '@myokinet/core/readiness';
import { useState } from 'react';
import { Link } from 'react-router';
import { clock } from '../../client/clock.ts';
import { useLibrary } from '../../client/LibraryContext.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { newestOf, useChecksQuery, useScope } from '../checks/index.ts';

/** Checks that fall due within so many days are offered with those that are due. */
const SOON_DAYS = 7;

/** What a battery is to be about: what is due, the next gate, the ladder, every check, or checks picked by hand. */
export function ChooseBattery({ trainee, notice }: { readonly trainee: TraineeReply; readonly notice: string }) {
  const { measure, measures } = useLibrary();
  const [now] = useState(() => clock.now());
  const [picked, setPicked] = useState<readonly string[]>([]);
  const checks = useChecksQuery(trainee.id);
  const gate = useScope(trainee, 'gate');
  const ladder = useScope(trainee, 'ladder');
  const every = useScope(trainee, 'all');
  if (checks.isLoading || gate.isLoading) return <Waiting />;
  const soon = new Date(now.getTime() + SOON_DAYS * 86_400_000).toISOString().slice(0, 10);
  const due = rechecksOf(newestOf(checks.data ?? []), measure, now)
    .filter((d) => d.overdue || d.dueOn <= soon)
    .flatMap((d) => d.measureIds);
  const open = new Set(every.measures.map((m) => m.id));
  const takeable = due.filter((id) => open.has(id));
  const offers: readonly { readonly words: string; readonly about: string; readonly scope: string; readonly checks: readonly Measure[] }[] =
    [
      { words: 'What is due', about: `overdue, or within ${SOON_DAYS} days`, scope: takeable.join(','), checks: takeable.map(measure) },
      { words: 'The next gate', about: 'what the next rung asks', scope: 'gate', checks: gate.measures },
      { words: 'The whole ladder', about: 'what all of its rungs ask', scope: 'ladder', checks: ladder.measures },
      { words: 'Every check', about: 'all that the library has', scope: 'all', checks: every.measures },
    ];
  return (
    <div className="mx-auto w-full max-w-3xl px-3 py-4 sm:px-6">
      {notice && (
        <p role="status" className="sheet mb-3 p-2">
          {notice}
        </p>
      )}
      <h1>What is to be taken, {trainee.name}?</h1>
      <ProblemNote error={checks.error} retry={() => void checks.refetch()} />
      <ul className="mt-3 grid gap-2 sm:grid-cols-2">
        {offers.map(({ words, about, scope, checks: these }) => (
          <li key={words}>
            {these.length === 0 ? (
              <p className="sheet p-3">
                <span className="font-semibold">{words}</span>: <span className="aside">nothing.</span>
              </p>
            ) : (
              <Link
                className="btn h-auto min-h-14 w-full flex-col items-start gap-0 py-2 text-start font-normal"
                to={`?scope=${scope}`}
                replace
              >
                <span className="font-semibold">
                  {words}: {these.length} {these.length === 1 ? 'check' : 'checks'}
                </span>
                <span className="aside text-sm">
                  {about}; {takesInWords(these)}
                </span>
              </Link>
            )}
          </li>
        ))}
      </ul>
      <fieldset className="mt-5">
        <legend className="text-lg font-semibold">Picked by hand</legend>
        <div className="mt-1 grid gap-x-6 sm:grid-cols-2">
          {measures.map((m) => (
            <label key={m.id} className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="checkbox"
                disabled={!open.has(m.id)}
                checked={picked.includes(m.id)}
                onChange={() => setPicked(picked.includes(m.id) ? picked.filter((id) => id !== m.id) : [...picked, m.id])}
              />
              <span className={open.has(m.id) ? '' : 'aside'}>
                {m.name}
                {open.has(m.id) ? '' : ', closed by a caution'}
              </span>
            </label>
          ))}
        </div>
      </fieldset>
      <div className="sticky bottom-0 mt-3 border-t border-base-300 bg-base-100 py-2">
        {picked.length > 0 ? (
          <Link className="btn btn-primary min-h-13 w-full text-lg" to={`?scope=${picked.join(',')}`} replace>
            Take {picked.length === 1 ? 'this check' : `these ${picked.length} checks`}
            <span className="text-sm font-normal">{takesInWords(picked.map(measure))}</span>
          </Link>
        ) : (
          <p className="aside text-sm">Nothing picked by hand.</p>
        )}
      </div>
    </div>
  );
}

/** How long it takes and what has to be at hand. */
function takesInWords(checks: readonly Measure[]): string {
  const tools = toolsOf(checks);
  return `about ${batteryMinutes(checks)} min with rests${tools.length > 0 ? `; needs ${tools.join(', ')}` : '; needs nothing'}`;
}
