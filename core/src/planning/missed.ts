import type { Library } from '../library/index.ts';
import type { CalendarDay } from '../quantities/index.ts';
import { closedJoints, type Loading } from './closedJoints.ts';
import type { PlanBrief } from './brief.ts';
import { jointsLoadedBy, type PlannedSession } from './plan.ts';
import { dayOfWeek, whenIn } from './spacing.ts';
import { weekStartOf } from './week.ts';
import { WEEKDAYS } from './plan.ts';

/** What to do about a session that was planned and not done. */
export interface MissedShift {
  readonly sessionId: string;
  /** Where it can go; absent where the week has no room for it. */
  readonly to?: CalendarDay;
  /** The day it was planned for. */
  readonly day: CalendarDay;
  /** It loads joints, and so keeps 48 hours from other loads. */
  readonly loaded: boolean;
}

/**
 * Where sessions of this week that were missed can go: the first later day of the week without a session, on which nothing else
 * loads the same joints within 48 hours. What finds no day is let go, not added to another.
 *
 * @param sessions of one week
 * @param today decides what is missed
 * @example shiftMissed([monday, wednesday], { today: '2026-12-01', … }) // [{ sessionId, day: '2026-11-30', loaded: true, to: '2026-12-04' }]
 */
export function shiftMissed(
  sessions: readonly PlannedSession[],
  {
    today,
    done,
    brief,
    library,
  }: { readonly today: CalendarDay; readonly done: ReadonlySet<string>; readonly brief: PlanBrief; readonly library: Library },
): readonly MissedShift[] {
  const standing = sessions.filter((s) => done.has(s.id) || s.day >= today);
  const shifts: MissedShift[] = [];
  const taken: Loading[] = standing.map((s) => ({ when: whenIn(s.day, brief.days), joints: jointsLoadedBy(s.items, library) }));
  for (const missed of sessions.filter((s) => !done.has(s.id) && s.day < today)) {
    const joints = jointsLoadedBy(missed.items, library);
    const monday = weekStartOf(new Date(`${missed.day}T12:00:00`));
    const free = WEEKDAYS.map((d) => dayOfWeek(monday, d)).filter(
      (day) => day >= today && taken.every((t) => t.when.day !== day) && brief.pauses.every((p) => day < p.from || day > p.to),
    );
    const to = free.find((day) => ![...closedJoints(whenIn(day, brief.days), brief.events, taken).keys()].some((j) => joints.has(j)));
    if (to) taken.push({ when: whenIn(to, brief.days), joints });
    shifts.push({ sessionId: missed.id, day: missed.day, loaded: joints.size > 0, ...(to ? { to } : {}) });
  }
  return shifts;
}
