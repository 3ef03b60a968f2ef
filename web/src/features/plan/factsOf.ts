import type { CalendarDay } from '@myokinet/core/quantities';
import type { Dispatch } from '../../client/store.ts';
import { readinessEndpoints } from '../readiness/index.ts';
import { recordEndpoints } from '../record/index.ts';
import { traineeEndpoints } from '../trainee/index.ts';
import { planEndpoints } from './endpoints.ts';

/** What planning for somebody rests on, asked outside their pages. Rejects where the server does not answer or refuses. */
export async function factsOf(
  dispatch: Dispatch,
  traineeId: string,
  { from, weeks }: { readonly from: CalendarDay; readonly weeks: number },
) {
  const fresh = { forceRefetch: true, subscribe: false } as const;
  const [trainee, readiness, brief, record, saved] = await Promise.all([
    dispatch(traineeEndpoints.trainee.initiate(traineeId, fresh)).unwrap(),
    dispatch(readinessEndpoints.readiness.initiate(traineeId, fresh)).unwrap(),
    dispatch(planEndpoints.brief.initiate(traineeId, fresh)).unwrap(),
    dispatch(recordEndpoints.record.initiate(traineeId, fresh)).unwrap(),
    dispatch(planEndpoints.plans.initiate({ traineeId, from, weeks }, fresh)).unwrap(),
  ]);
  return { trainee, readiness, brief, saved, done: new Set(record.sessions.flatMap((s) => s.plannedSessionId ?? [])) };
}
