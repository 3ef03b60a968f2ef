import type { Joint } from '../anatomy/index.ts';
import type { CalendarDay } from '../quantities/index.ts';
import type { FixedEvent } from './brief.ts';
import type { LastLoaded } from './plannerFacts.ts';
import { daysLater, restedBetween, weekdayOf, type When, whenOf } from './spacing.ts';

/** From this effort on other training counts as loaded work (project default). */
const HEAVY_FROM = 6;
/** From this effort on it keeps its own day free of load (project default). */
const FELT_FROM = 4;

/** What keeps a joint unloaded on a day. */
export type ClosedBy =
  | { readonly kind: 'event'; readonly name: string; readonly day: CalendarDay; readonly effort: number }
  | { readonly kind: 'load'; readonly when: When; readonly logged: boolean };

/** Why joints stay unloaded on a day, by joint. */
export type ClosedJoints = ReadonlyMap<Joint, ClosedBy>;

/** Joints that something loads, and when. */
export interface Loading {
  readonly when: When;
  readonly joints: Iterable<Joint>;
  /** On record, beside the plan. */
  readonly logged?: boolean;
}

/**
 * What the record says of each joint's last load.
 *
 * @param of the joints that are asked about; without it all
 */
export function loadingsOf(lastLoaded: LastLoaded, of?: readonly Joint[]): readonly Loading[] {
  const joints = of ?? (Object.keys(lastLoaded) as Joint[]);
  return joints.flatMap((joint): Loading[] => {
    const at = lastLoaded[joint];
    return at ? [{ when: whenOf(at), joints: [joint], logged: true }] : [];
  });
}

/**
 * The joints that must not be loaded at some time: because of other training and work, or of loaded work already done or planned less
 * than 48 hours away.
 *
 * @param loaded what loads joints for certain
 * @example closedJoints({ day: '2026-12-01' }, [hauling], []).get('grip') // { kind: 'event', name: 'Hauling', day: '2026-11-30', effort: 7 }
 */
export function closedJoints(when: When, events: readonly FixedEvent[], loaded: readonly Loading[]): ClosedJoints {
  const closed = new Map<Joint, ClosedBy>();
  const close = (joints: Iterable<Joint>, why: ClosedBy) => {
    for (const joint of joints) if (!closed.has(joint)) closed.set(joint, why);
  };
  for (const { name, effort, joints, ...event } of events) {
    const heavy = effort >= HEAVY_FROM;
    if (!heavy && effort < FELT_FROM) continue;
    for (const on of daysNear(event, when.day))
      if (heavy ? !restedBetween({ day: on }, when) : on === when.day) close(joints, { kind: 'event', name, day: on, effort });
  }
  for (const { when: at, joints, logged = false } of loaded)
    if (!restedBetween(at, when)) close(joints, { kind: 'load', when: at, logged });
  return closed;
}

/** The days next to a day on which an event takes place. */
function daysNear({ weekday, day: once }: Pick<FixedEvent, 'weekday' | 'day'>, day: CalendarDay): readonly CalendarDay[] {
  const near = [-1, 0, 1].map((by) => daysLater(day, by));
  return near.filter((d) => (once ? d === once : weekday === weekdayOf(d)));
}
