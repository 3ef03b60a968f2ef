import type { Dispatch } from '../../client/store.ts';
import type { PlanForOptions, PlannedFor } from './planFor.ts';

export type { PlannedFor } from './planFor.ts';

/** Plans for somebody outside their pages. The planner is fetched only then. */
export async function planFor(dispatch: Dispatch, traineeId: string, options: PlanForOptions): Promise<PlannedFor> {
  return (await import('./planFor.ts')).planFor(dispatch, traineeId, options);
}
