import type { Joint } from '../anatomy/index.ts';
import { unitSeconds } from '../drills/index.ts';
import type { Library, Planned } from '../library/index.ts';

/** A drill as it was done: amounts in its dose unit, one for each set and side. */
export interface DoneItem extends Planned {
  readonly amounts: readonly number[];
}

export interface HandLoadTotals {
  /** Body-weight seconds: share of body weight in the hands × seconds under tension. */
  readonly push: number;
  readonly pull: number;
}

/** The same also by joint: a joint counts the whole load of every drill that passes through it. */
export interface HandLoadByJoint extends HandLoadTotals {
  readonly byJoint: Readonly<Partial<Record<Joint, number>>>;
}

/**
 * Hand-load dose of what was done, by direction and joint.
 *
 * @throws Refusal `drill-unknown`
 * @example loggedHandLoad([{ drillId: 'plank', amounts: [30, 30] }], library) // { push: 41.4, pull: 0, byJoint: { scapula: 41.4, wrist: 41.4 } }
 */
export function loggedHandLoad(items: readonly DoneItem[], library: Library): HandLoadByJoint {
  const totals = { push: 0, pull: 0 };
  const byJoint: Partial<Record<Joint, number>> = {};
  for (const item of items) {
    const { handLoad, dose } = library.asPlanned(item);
    if (!handLoad) continue;
    const load = handLoad.share * unitSeconds(dose) * item.amounts.reduce((sum, a) => sum + a, 0);
    totals[handLoad.direction] += load;
    for (const joint of handLoad.joints) byJoint[joint] = (byJoint[joint] ?? 0) + load;
  }
  return { ...totals, byJoint };
}

/**
 * Session load: effort × minutes (Foster 1998, from memory). A description, never a prediction.
 *
 * @example sessionLoad(6, 45) // 270
 */
export function sessionLoad(effort: number, minutes: number): number {
  return effort * minutes;
}
