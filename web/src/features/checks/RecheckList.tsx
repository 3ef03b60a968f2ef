import type { CheckReply } from '@myokinet/core/contracts';
import { dayInWords, type Instant } from '@myokinet/core/quantities';
import { type Recheck, rechecksOf } from '@myokinet/core/readiness';
import { Link } from 'react-router';
import { useLibrary } from '../../client/LibraryContext.ts';
import { newestOf } from './newestOf.ts';

/** When this trainee’s checks fall due again, and the battery that takes them. */
export function RecheckList({ checks, now }: { readonly checks: readonly Pick<CheckReply, 'capacities'>[]; readonly now: Date }) {
  const { measure } = useLibrary();
  const days = rechecksOf(newestOf(checks), measure, now);
  const overdue = days.filter((d) => d.overdue);
  const ahead = days.filter((d) => !d.overdue);
  return (
    <section aria-label="Re-check calendar" className="mb-6">
      <h2 className="mb-1">Re-check calendar</h2>
      {overdue.length > 0 && <Due words="overdue" ids={overdue.flatMap((d) => d.measureIds)} short />}
      {ahead.map((d) => (
        <Due key={d.dueOn} words={dayInWords(dayOf(d), now)} ids={d.measureIds} />
      ))}
      {days.length === 0 && <p className="aside">Nothing was checked yet.</p>}
    </section>
  );
}

function Due({ words, ids, short = false }: { readonly words: string; readonly ids: readonly string[]; readonly short?: boolean }) {
  const { measure } = useLibrary();
  return (
    <div className="border-b border-base-300 py-1.5">
      <div className="flex items-baseline justify-between gap-2">
        <span className={`font-semibold ${short ? 'state-short' : ''}`}>{words}</span>
        <Link
          className="link text-sm"
          to={`../battery?scope=${ids.join(',')}`}
          relative="path"
          aria-label={`Take the ${ids.length} checks, ${words}`}
        >
          Take {ids.length === 1 ? 'it' : `these ${ids.length}`}
        </Link>
      </div>
      <span className="aside block text-sm">{ids.map((id) => measure(id).name).join(', ')}</span>
    </div>
  );
}

/** Noon of the day, so that it is that day wherever clocks change. */
function dayOf({ dueOn }: Recheck): Instant {
  return new Date(`${dueOn}T12:00:00`).toISOString() as Instant;
}
