import type { BodySide, Joint, Side } from '../anatomy/index.ts';
import { armLoadOf, unitSeconds } from '../drills/index.ts';
import type { Library, Planned } from '../library/index.ts';

/** One set of one side, or of both at once, in the unit of the drill's dose. */
export interface DoneSet {
  readonly side: BodySide;
  readonly amount: number;
}

/** A drill as it was done. */
export interface DoneItem extends Planned {
  readonly sets: readonly DoneSet[];
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

/** What each arm carried, in body-weight seconds. */
export type HandLoadBySide = Readonly<Record<Side, number>>;

/**
 * Hand-load dose of what was done, by direction, joint and arm. A set of one side is carried by that arm as far as one arm carries more;
 * a set of both is shared evenly, since alternating arms come to the same.
 *
 * @throws Refusal `drill-unknown`
 * @example loggedHandLoad([{ drillId: 'plank', sets: [{ side: 'whole', amount: 60 }] }], library)
 * // { push: 41.4, pull: 0, byJoint: { scapula: 41.4, wrist: 41.4 }, bySide: { left: 20.7, right: 20.7 } }
 */
export function loggedHandLoad(items: readonly DoneItem[], library: Library): HandLoadByJoint & { readonly bySide: HandLoadBySide } {
  const totals = { push: 0, pull: 0 };
  const byJoint: Partial<Record<Joint, number>> = {};
  const bySide = { left: 0, right: 0 };
  for (const item of items) {
    const drill = library.asPlanned(item);
    const { handLoad, dose } = drill;
    if (!handLoad) continue;
    const seconds = item.sets.reduce((sum, s) => sum + s.amount, 0) * unitSeconds(dose);
    const load = handLoad.share * seconds;
    totals[handLoad.direction] += load;
    for (const joint of handLoad.joints) byJoint[joint] = (byJoint[joint] ?? 0) + load;
    const more = Math.min(armLoadOf(drill), handLoad.share);
    for (const { side, amount } of item.sets)
      for (const arm of SIDES) {
        const share = side === 'whole' ? handLoad.share / 2 : side === arm ? more : handLoad.share - more;
        bySide[arm] += share * amount * unitSeconds(dose);
      }
  }
  return { ...totals, byJoint, bySide };
}

const SIDES = ['left', 'right'] as const satisfies readonly Side[];

/**
 * Session load: effort × minutes (Foster 1998, from memory). A description, never a prediction.
 *
 * @example sessionLoad(6, 45) // 270
 */
export function sessionLoad(effort: number, minutes: number): number {
  return effort * minutes;
}
