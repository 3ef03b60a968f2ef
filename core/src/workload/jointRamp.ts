import { type Joint, JOINTS } from '../anatomy/index.ts';
import { type CalendarDay, calendarDay, daysBetween, type Instant } from '../quantities/index.ts';

/** What a session put on the hands. */
export interface HandLoadedSession {
  readonly performedAt: Instant;
  /** Body-weight seconds by joint; absent for sessions from before it was kept. */
  readonly byJoint?: Readonly<Partial<Record<Joint, number>>> | undefined;
}

/** How the load on a joint grew from one week to the next. */
export interface JointRamp {
  readonly joint: Joint;
  /** Body-weight seconds of the last seven days, and of the seven before. */
  readonly week: number;
  readonly before: number;
  /** week ÷ before − 1; absent where there was nothing before. */
  readonly growth?: number;
  readonly state: 'within' | 'above' | 'new';
}

const WEEK = 7;

/**
 * Hand-load dose by joint of the last seven days against the seven before, and whether it grew by more than the ramp allows.
 *
 * @param ramp allowed growth from week to week, as a fraction; 0.1 by default in a plan's brief (project default)
 * @returns joints with any load in the two weeks, in anatomical order
 * @example jointRamps([{ performedAt: today, byJoint: { wrist: 44 } }, { performedAt: eightDaysAgo, byJoint: { wrist: 40 } }], now, 0.1)
 * // [{ joint: 'wrist', week: 44, before: 40, growth: 0.1, state: 'within' }]
 */
export function jointRamps(sessions: readonly HandLoadedSession[], now: Date, ramp: number): readonly JointRamp[] {
  const today = calendarDay(now);
  const ages = sessions.map((s) => ({ byJoint: s.byJoint ?? {}, age: daysApart(calendarDay(s.performedAt), today) }));
  const sum = (joint: Joint, from: number) =>
    ages.reduce((total, { byJoint, age }) => total + (age >= from && age < from + WEEK ? (byJoint[joint] ?? 0) : 0), 0);
  return JOINTS.flatMap((joint): JointRamp[] => {
    const [week, before] = [sum(joint, 0), sum(joint, WEEK)];
    if (week === 0 && before === 0) return [];
    if (before === 0) return [{ joint, week, before, state: 'new' }];
    const growth = week / before - 1;
    return [{ joint, week, before, growth, state: growth > ramp + ROUNDING ? 'above' : 'within' }];
  });
}

/** Growth of exactly the ramp is within it, whatever the last binary digit says. */
const ROUNDING = 1e-9;

/** Whole days by the calendar. */
function daysApart(earlier: CalendarDay, later: CalendarDay): number {
  return Math.round(daysBetween(`${earlier}T12:00:00.000Z` as Instant, `${later}T12:00:00.000Z` as Instant));
}
