import type { ClassMoment } from './timeline.ts';

/** Where the clock of a class was set to, and when by the class’s own time; seconds and milliseconds as named. */
export interface ClockSet {
  /** Of the event that set it. */
  readonly id: string;
  readonly moment: number;
  /** Milliseconds left of it. */
  readonly left: number;
  readonly running: boolean;
  /** Milliseconds of the class’s time, on which its devices agree. */
  readonly at: number;
}

export interface ClassTime {
  /** The moment that is on; the number of moments once all are over. */
  readonly moment: number;
  readonly left: number;
  readonly running: boolean;
}

export const notBegun = (moments: readonly ClassMoment[]): ClassTime => ({
  moment: 0,
  left: (moments[0]?.seconds ?? 0) * 1000,
  running: false,
});

/**
 * Where the clock is: it runs on from where it was last set, on every device alike.
 *
 * @param now milliseconds of the class’s time
 * @example classTime({ id, moment: 0, left: 10_000, running: true, at: 0 }, 12_000, [{ kind: 'ready', seconds: 10 }, work]) // { moment: 1, … }
 */
export function classTime(set: ClockSet | undefined, now: number, moments: readonly ClassMoment[]): ClassTime {
  if (!set) return notBegun(moments);
  if (!set.running) return { moment: set.moment, left: set.left, running: false };
  let { moment, left } = set;
  let gone = Math.max(0, now - set.at);
  while (moment < moments.length && gone >= left) {
    gone -= left;
    moment += 1;
    left = (moments[moment]?.seconds ?? 0) * 1000;
  }
  return moment >= moments.length ? { moment: moments.length, left: 0, running: false } : { moment, left: left - gone, running: true };
}

/** A look at the clock. */
export interface ClassLook {
  readonly setId: string;
  readonly moment: number;
  readonly now: number;
}

/** A clock that was not looked at for so long was not seen: what went by meanwhile is for somebody to say. */
const ASLEEP_MS = 4000;

/**
 * What a device sees as it looks at the clock: moments that ran to their end under its eyes. What was passed over by hand was not seen,
 * nor what went by while the device slept.
 *
 * @example looked({ setId: 'a', moment: 0, now: 9_900 }, { ...set, id: 'a' }, 10_100, moments).seen // [0]
 */
export function looked(
  before: ClassLook | undefined,
  set: ClockSet | undefined,
  now: number,
  moments: readonly ClassMoment[],
): { readonly look: ClassLook | undefined; readonly seen: readonly number[] } {
  if (!set) return { look: undefined, seen: [] };
  const { moment } = classTime(set, now, moments);
  const look = { setId: set.id, moment, now };
  // Of a clock that was set anew, and of one that was set before this page looked, as much was seen as lies after that.
  const from = before?.setId === set.id ? before : { moment: set.moment, now: set.at };
  const slept = now - from.now > ASLEEP_MS || now < from.now;
  return { look, seen: slept ? [] : Array.from({ length: Math.max(0, moment - from.moment) }, (_, i) => from.moment + i) };
}
