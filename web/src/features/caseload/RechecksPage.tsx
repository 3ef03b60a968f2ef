import type { RecheckReply } from '@myokinet/core/contracts';
import { addWeeks, differenceInCalendarWeeks, format, startOfWeek } from 'date-fns';
import { Link } from 'react-router';
import { useLibrary } from '../../client/LibraryContext.ts';
import { Empty } from '../../kit/Empty.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useRechecksQuery } from './endpoints.ts';

const MONDAY = { weekStartsOn: 1 } as const;

/** What the next gates ask for, by the week in which it falls due: the whole studio’s re-check calendar. */
export function RechecksPage() {
  const { data = [], error, isLoading, refetch } = useRechecksQuery();
  const { measure } = useLibrary();
  if (isLoading) return <Waiting />;
  const now = new Date();
  const weeks = new Map<number, RecheckReply[]>();
  for (const r of data) {
    const week = r.overdue ? -1 : differenceInCalendarWeeks(noon(r), now, MONDAY);
    weeks.set(week, [...(weeks.get(week) ?? []), r]);
  }
  return (
    <div className="mx-auto w-full max-w-4xl px-4 py-5 sm:px-6">
      <title>Re-checks · Myokinet</title>
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h1>Re-check calendar</h1>
        <button type="button" className="btn btn-sm btn-ghost" onClick={() => window.print()}>
          Print
        </button>
      </div>
      <p className="aside">When the checks behind the next gates stop counting. Overdue ones already read as unknown.</p>
      <ProblemNote error={error} retry={() => void refetch()} />
      {data.length === 0 && !error && (
        <div className="mt-5">
          <Empty title="No re-check ahead">
            <p>Checks appear here as soon as they were taken once.</p>
          </Empty>
        </div>
      )}
      {[...weeks].map(([week, rechecks]) => (
        <section key={week} className="mt-5" aria-label={weekWords(week, now)}>
          <h2 className={`border-b-2 border-base-content pb-1 ${week < 0 ? 'state-short' : ''}`}>
            {weekWords(week, now)} <span className="aside font-sans text-base font-normal">{rechecks.length}</span>
          </h2>
          <ul>
            {rechecks.map((r) => (
              <li
                key={r.traineeId + r.dueOn}
                className="grid items-center gap-x-4 gap-y-1 border-b border-base-300 py-1.5 sm:grid-cols-[11rem_7rem_1fr_auto]"
              >
                <Link className="font-semibold hover:underline" to={`/trainees/${r.traineeId}/checks`}>
                  {r.name}
                </Link>
                <span className={r.overdue ? 'state-short' : ''}>{format(noon(r), 'EEE d MMM')}</span>
                <span>{r.measureIds.map((id) => measure(id).name).join(', ')}</span>
                <Link
                  className="btn btn-sm btn-outline"
                  to={`/trainees/${r.traineeId}/battery?scope=${r.measureIds.join(',')}`}
                  aria-label={`Take the checks of ${r.name}, ${format(noon(r), 'd MMMM')}`}
                >
                  Take {r.measureIds.length === 1 ? 'it' : `these ${r.measureIds.length}`}
                </Link>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}

function noon({ dueOn }: RecheckReply): Date {
  return new Date(`${dueOn}T12:00:00`);
}

function weekWords(week: number, now: Date): string {
  if (week < 0) return 'Overdue';
  if (week === 0) return 'This week';
  if (week === 1) return 'Next week';
  return `Week of ${format(addWeeks(startOfWeek(now, MONDAY), week), 'd MMMM')}`;
}
