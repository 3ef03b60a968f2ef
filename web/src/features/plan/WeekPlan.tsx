import type { Library } from '@myokinet/core/library';
import { FRAME_PHASES, sessionMinutes, weekStartOf } from '@myokinet/core/planning';
import { dayInWords } from '@myokinet/core/quantities';
import { format, parseISO } from 'date-fns';
import { Link } from 'react-router';
import { useLibrary } from '../../client/LibraryContext.ts';
import { useCurrentTrainee } from '../trainee/index.ts';
import { usePlanQuery } from './endpoints.ts';

/** The next session of this week's plan, in two lines. */
export function WeekPlan() {
  const library = useLibrary();
  const { id: traineeId } = useCurrentTrainee();
  const now = new Date();
  const { data: plan, isLoading } = usePlanQuery({ traineeId, weekStart: weekStartOf(now) });
  if (isLoading) return null;
  const today = format(now, 'yyyy-MM-dd');
  const next = plan?.sessions.filter((s) => s.day >= today).sort((a, b) => a.day.localeCompare(b.day))[0];
  return (
    <section aria-label="This week">
      <h2>This week</h2>
      {next ? (
        <p className="leading-snug">
          {dayInWords(parseISO(next.day), now)}: {next.items.length} drills, {Math.round(sessionMinutes(next.items, library, next.form))}{' '}
          min. Aims:{' '}
          {aims(
            next.items.map((i) => i.drillId),
            library,
          )}
          .
        </p>
      ) : (
        <p className="leading-snug">{plan ? 'No more sessions this week.' : 'Nothing is planned yet.'}</p>
      )}
      <Link className="link" to="plan">
        {plan ? 'Open the plan' : 'Plan the week'}
      </Link>
    </section>
  );
}

const AIMS_SHOWN = 3;

/** The first drills that are more than warm-up and cool-down. */
function aims(drillIds: readonly string[], library: Library): string {
  const names = drillIds.map(library.drill).filter((d) => !FRAME_PHASES.includes(d.phase));
  return names
    .slice(0, AIMS_SHOWN)
    .map((d) => d.name.charAt(0).toLowerCase() + d.name.slice(1))
    .join(' · ');
}
