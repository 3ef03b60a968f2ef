import { unitSeconds } from '../drills/index.ts';
import type { Library } from '../library/index.ts';

/** A drill as it was done: amounts in its dose unit, one for each set and side. */
export interface DoneItem {
  readonly drillId: string;
  readonly amounts: readonly number[];
}

export interface HandLoadTotals {
  /** Body-weight seconds: share of body weight in the hands × seconds under tension. */
  readonly push: number;
  readonly pull: number;
}

/**
 * Hand-load dose of what was done, by direction.
 *
 * @throws Refusal `drill-unknown`
 * @example loggedHandLoad([{ drillId: 'plank', amounts: [30, 30] }], library) // { push: 41.4, pull: 0 }
 */
export function loggedHandLoad(items: readonly DoneItem[], library: Library): HandLoadTotals {
  const totals = { push: 0, pull: 0 };
  for (const { drillId, amounts } of items) {
    const { handLoad, dose } = library.drill(drillId);
    if (!handLoad) continue;
    totals[handLoad.direction] += handLoad.share * unitSeconds(dose) * amounts.reduce((sum, a) => sum + a, 0);
  }
  return totals;
}

/**
 * Session load: effort × minutes (Foster 1998, from memory). A description, never a prediction.
 *
 * @example sessionLoad(6, 45) // 270
 */
export function sessionLoad(effort: number, minutes: number): number {
  return effort * minutes;
}
