import { type Drill, setSeconds, unitSeconds } from '../drills/index.ts';
import type { RoutineMoment } from './moments.ts';

/** How a run of a routine stands. Seconds are those of a steady clock. */
export interface RoutineRun {
  /** The moment that is on; the number of moments once all are over. */
  readonly at: number;
  /** Seconds left of it. */
  readonly left: number;
  /** When it was looked at last; absent while it stands still. */
  readonly seen?: number | undefined;
  /** Moments that ran from beginning to end, in their order. */
  readonly gone: readonly number[];
}

export type RoutineEvent =
  | { readonly kind: 'go'; readonly now: number }
  | { readonly kind: 'tick'; readonly now: number }
  | { readonly kind: 'stand' }
  /** On to the next, or back to the one before: neither counts what was left. */
  | { readonly kind: 'skip' }
  | { readonly kind: 'back' };

/** A clock that was not looked at for so long stood still with the page: a phone that was locked counts nothing. */
const ASLEEP_SECONDS = 4;

export const begunRun = (moments: readonly RoutineMoment[]): RoutineRun => ({ at: 0, left: moments[0]?.seconds ?? 0, gone: [] });

export const isOver = ({ at }: RoutineRun, moments: readonly RoutineMoment[]): boolean => at >= moments.length;

/**
 * What becomes of a run. Only time that was looked at counts: a moment is gone through when it ran to its end.
 *
 * @example nextRun({ at: 0, left: 1, seen: 10, gone: [] }, { kind: 'tick', now: 11 }, moments) // { at: 1, left: …, gone: [0], … }
 */
export function nextRun(run: RoutineRun, event: RoutineEvent, moments: readonly RoutineMoment[]): RoutineRun {
  switch (event.kind) {
    case 'go':
      return isOver(run, moments) ? run : { ...run, seen: event.now };
    case 'stand':
      return { ...run, seen: undefined };
    case 'tick':
      return run.seen === undefined ? run : passed(run, event.now, event.now - run.seen, moments);
    case 'skip':
      return isOver(run, moments) ? run : { ...run, at: run.at + 1, left: moments[run.at + 1]?.seconds ?? 0 };
    case 'back': {
      const at = Math.max(0, run.at - 1);
      // What is done once more is not done twice.
      return { ...run, at, left: moments[at]?.seconds ?? 0, gone: run.gone.filter((g) => g < at) };
    }
  }
}

function passed(run: RoutineRun, now: number, seconds: number, moments: readonly RoutineMoment[]): RoutineRun {
  if (seconds < 0) return { ...run, seen: now };
  if (seconds > ASLEEP_SECONDS) return { ...run, seen: undefined };
  let { at, left } = run;
  let over = seconds;
  const gone = [...run.gone];
  while (at < moments.length && over >= left) {
    over -= left;
    gone.push(at);
    at += 1;
    left = moments[at]?.seconds ?? 0;
  }
  return at >= moments.length ? { at, left: 0, gone, seen: undefined } : { at, left: left - over, gone, seen: now };
}

/** The most that one trainee may do of a drill; closed: nothing of it. */
export type MostOf = 'closed' | { readonly sets: number; readonly max: number };

/**
 * The same routine within what one trainee may do: no closed drill, no set longer and no set more than allowed. Rests that follow
 * nothing are left out with it.
 */
export function limitedMoments(
  moments: readonly RoutineMoment[],
  most: ReadonlyMap<string, MostOf>,
  drillOf: (id: string) => Pick<Drill, 'dose'> | undefined,
): readonly RoutineMoment[] {
  const done = new Map<string, number>();
  let dropped: string | undefined;
  return moments.flatMap((moment) => {
    const { kind, drillId, side, stepId } = moment;
    if (kind === 'rest') return dropped === stepId ? [] : [moment];
    dropped = undefined;
    const limit = drillId === undefined ? undefined : most.get(drillId);
    const drill = drillId === undefined ? undefined : drillOf(drillId);
    if (kind !== 'drill' || drillId === undefined || limit === undefined || !drill) return [moment];
    const key = `${drillId} ${side ?? ''}`;
    const sets = (done.get(key) ?? 0) + 1;
    if (limit === 'closed' || sets > limit.sets) {
      dropped = stepId;
      return [];
    }
    done.set(key, sets);
    const asked = amountOf(moment, drill);
    if (asked <= limit.max) return [moment];
    const turns = moment.seconds / Math.max(1, Math.ceil(setSeconds(drill.dose, asked)));
    const seconds = Math.ceil(setSeconds(drill.dose, limit.max)) * Math.max(1, Math.round(turns));
    return [{ ...moment, amount: limit.max, unit: drill.dose.unit, seconds }];
  });
}

/** How much of a drill a moment asks for, in the drill’s own unit: at a station as much as fits its breaths. */
export function amountOf(
  { amount = 1, unit, seconds }: Pick<RoutineMoment, 'amount' | 'unit' | 'seconds'>,
  { dose }: Pick<Drill, 'dose'>,
): number {
  return unit === dose.unit ? amount : Math.max(1, Math.round(seconds / unitSeconds(dose)));
}

/** What was gone through of one drill. */
export interface RoutineDone {
  readonly drillId: string;
  /** Sets that the routine has, a side. */
  readonly planned: number;
  readonly max: number;
  readonly sets: readonly { readonly side: 'left' | 'right' | 'whole'; readonly amount: number }[];
}

/** By drill, in the order in which they came: only what ran to its end. */
export function doneOf(
  moments: readonly RoutineMoment[],
  { gone }: Pick<RoutineRun, 'gone'>,
  drillOf: (id: string) => Pick<Drill, 'dose'> | undefined,
): readonly RoutineDone[] {
  const ran = new Set(gone);
  const found = new Map<string, RoutineDone>();
  moments.forEach((moment, i) => {
    const { kind, drillId, side } = moment;
    const drill = drillId === undefined ? undefined : drillOf(drillId);
    if (kind !== 'drill' || drillId === undefined || !drill) return;
    const amount = amountOf(moment, drill);
    const before = found.get(drillId) ?? { drillId, planned: 0, max: 0, sets: [] };
    found.set(drillId, {
      ...before,
      planned: before.planned + (side === 'right' ? 0 : 1),
      max: Math.max(before.max, amount),
      sets: ran.has(i) ? [...before.sets, { side: side ?? 'whole', amount }] : before.sets,
    });
  });
  return [...found.values()];
}
