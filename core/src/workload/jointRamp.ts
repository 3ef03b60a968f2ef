import { type Joint, JOINTS } from '../anatomy/index.ts';
import type { HandLoadBySide } from './handLoad.ts';
import { type CalendarDay, calendarDay, daysBetween, type Instant } from '../quantities/index.ts';

/** What a session put on the hands. */
export interface HandLoadedSession {
  readonly performedAt: Instant;
  /** Body-weight seconds by joint; absent for sessions from before it was kept. */
  readonly byJoint?: Readonly<Partial<Record<Joint, number>>> | undefined;
  /** Body-weight seconds by arm; absent likewise. */
  readonly bySide?: HandLoadBySide | undefined;
}

/** What each arm carried in the last seven days and in the seven before, in body-weight seconds. */
export interface ArmLoads {
  readonly week: HandLoadBySide;
  readonly before: HandLoadBySide;
  /** Sessions of the two weeks that carried something and do not tell the arms apart. */
  readonly untold: number;
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
  const ages = aged(sessions, now).map(({ session, age }) => ({ byJoint: session.byJoint ?? {}, age }));
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

/**
 * What each arm carried, seven days against the seven before.
 *
 * @example armLoads([{ performedAt: today, bySide: { left: 20, right: 24 } }], now).week // { left: 20, right: 24 }
 */
export function armLoads(sessions: readonly HandLoadedSession[], now: Date): ArmLoads {
  const recent = aged(sessions, now).filter(({ age }) => age >= 0 && age < 2 * WEEK);
  const sum = (from: number): HandLoadBySide => {
    const here = recent.filter(({ age }) => age >= from && age < from + WEEK);
    const of = (side: keyof HandLoadBySide) => here.reduce((total, { session }) => total + (session.bySide?.[side] ?? 0), 0);
    return { left: of('left'), right: of('right') };
  };
  const untold = recent.filter(({ session: { bySide, byJoint } }) => !bySide && Object.values(byJoint ?? {}).some((v) => v > 0)).length;
  return { week: sum(0), before: sum(WEEK), untold };
}

/** Sessions with their age in whole days. */
function aged(sessions: readonly HandLoadedSession[], now: Date) {
  const today = calendarDay(now);
  return sessions.map((session) => ({ session, age: daysApart(calendarDay(session.performedAt), today) }));
}

/** Growth of exactly the ramp is within it, whatever the last binary digit says. */
const ROUNDING = 1e-9;

/** Whole days by the calendar. */
function daysApart(earlier: CalendarDay, later: CalendarDay): number {
  return Math.round(daysBetween(`${earlier}T12:00:00.000Z` as Instant, `${later}T12:00:00.000Z` as Instant));
}
