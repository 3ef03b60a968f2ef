import type { PlanDto } from '@myokinet/core/contracts';
import type { CalendarDay } from '@myokinet/core/quantities';
import { type Schools, schoolsOf } from '@myokinet/core/schools';
import { useLibrary, useSchools } from '../../client/LibraryContext.ts';
import { useCurrentBody, useCurrentTrainee, useFittedLibrary } from '../trainee/index.ts';
import type { PlanRequest } from './plannerWorker.ts';
import { usePlanFacts } from './PlanGate.tsx';
import { planInput, planRules } from './planRules.ts';

/** How much is searched, as seconds of a usual machine, and how near the best it must come. */
export const SEARCH = { seconds: 6, gap: 0.01 } as const;

/** Makes what the planner is asked from the weeks as they stand. */
export function usePlanRequest(from: CalendarDay) {
  const trainee = useCurrentTrainee();
  const body = useCurrentBody();
  const { readiness, brief, done } = usePlanFacts();
  const studio = useSchools();
  const library = useFittedLibrary();
  const { content } = useLibrary();
  return (weeks: readonly PlanDto[], { now, schools }: { readonly now: Date; readonly schools?: Partial<Schools> }): PlanRequest => {
    const own = schoolsOf(studio, { ...weeks[0]?.schools, ...schools });
    const rules = planRules(trainee, readiness, { weekStart: from, now, library, schools: own, brief: { ...brief, weeks: weeks.length } });
    const sessions = weeks.flatMap((w) => w.sessions);
    return { input: planInput(rules, readiness, sessions, { now, done }), content, body, ...SEARCH };
  };
}
