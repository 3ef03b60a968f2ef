import type { PlanReply } from '@myokinet/core/contracts';
import { sessionMinutes, weekStartOf, weeksLater } from '@myokinet/core/planning';
import { type CalendarDay, dayInWords } from '@myokinet/core/quantities';
import { schoolsOf } from '@myokinet/core/schools';
import { format, parseISO } from 'date-fns';
import { Link, useSearchParams } from 'react-router';
import { useLibrary, useSchools } from '../../client/LibraryContext.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { usePlanQuery } from '../plan/index.ts';
import { useRecordQuery } from '../record/index.ts';
import { useCurrentTrainee } from '../trainee/index.ts';
import { SessionForm } from './SessionForm.tsx';

/** Finds the planned session to log against, or lets the coach choose. */
export function LogSessionPage() {
  const trainee = useCurrentTrainee();
  const studio = useSchools();
  const [search] = useSearchParams();
  const now = new Date();
  const thisWeek = (search.get('week') as CalendarDay | null) ?? weekStartOf(now);
  const current = usePlanQuery({ traineeId: trainee.id, weekStart: thisWeek });
  const before = usePlanQuery({ traineeId: trainee.id, weekStart: weeksLater(thisWeek, -1) });
  const record = useRecordQuery(trainee.id);
  if (current.isLoading || before.isLoading || record.isLoading) return <Waiting />;
  const error = current.error ?? before.error ?? record.error;
  if (current.data === undefined || before.data === undefined || !record.data)
    return <ProblemNote error={error} retry={() => [current, before, record].forEach((q) => void q.refetch())} />;

  const done = new Set(record.data?.sessions.map((s) => s.plannedSessionId));
  const open = [before.data, current.data].flatMap((p) => p?.sessions ?? []).filter((s) => !done.has(s.id));
  const wanted = search.get('planned');
  const today = format(now, 'yyyy-MM-dd');
  const planned = wanted ? open.find((s) => s.id === wanted) : search.get('free') ? undefined : open.find((s) => s.day === today);
  const plan = [before.data, current.data].find((p) => p?.sessions.some((s) => s.id === planned?.id));
  if (planned || search.get('free'))
    return <SessionForm key={planned?.id ?? 'free'} planned={planned} schools={schoolsOf(studio, plan?.schools)} />;
  return (
    <div className="px-4 py-3 sm:px-6">
      {wanted && done.has(wanted) && (
        <p className="mb-3 border-s-4 border-primary bg-primary/10 px-4 py-2.5">That session is logged already; find it in the record.</p>
      )}
      <h2>Which session?</h2>
      <PlannedSessions sessions={open} now={now} />
      <Link className="btn btn-sm mt-3" to="?free=1">
        A session without a plan
      </Link>
    </div>
  );
}

function PlannedSessions({ sessions, now }: { readonly sessions: PlanReply['sessions']; readonly now: Date }) {
  const library = useLibrary();
  if (sessions.length === 0) return <p className="mt-2">Every planned session of this week and the last is logged, or none was planned.</p>;
  return (
    <ul className="mt-2 max-w-3xl">
      {[...sessions]
        .sort((a, b) => b.day.localeCompare(a.day))
        .map((s) => (
          <li key={s.id} className="flex items-center gap-4 border-b border-base-300 py-1.5">
            <span className="min-w-48 font-semibold">{dayInWords(parseISO(s.day), now)}</span>
            <span className="aside flex-1">
              {s.items.length} drills, {Math.round(sessionMinutes(s.items, library, s.form))} min
            </span>
            <Link
              className="btn btn-sm btn-outline"
              to={`?planned=${s.id}&week=${weekStartOf(parseISO(s.day))}`}
              aria-label={`Log the session of ${s.day}`}
            >
              Log it
            </Link>
          </li>
        ))}
    </ul>
  );
}
