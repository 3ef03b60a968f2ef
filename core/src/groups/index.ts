import type { CalendarDay } from '../quantities/index.ts';

/** When a group meets, week by week. */
export interface GroupDay {
  /** 1 is Monday, 7 is Sunday. */
  readonly weekday: number;
  /** Local time of day, such as 18:30. */
  readonly time: string;
}

/** People who come together: who, when, where, and what they go through when they have no plan of their own. */
export interface NamedGroup {
  readonly name: string;
  readonly place: string;
  readonly note: string;
  readonly days: readonly GroupDay[];
  /** A routine of the studio; nothing: each one’s own plan. */
  readonly routineId: string | null;
  readonly memberIds: readonly string[];
}

export const GROUP_LIMITS = { members: 40, days: 14 } as const;

const DAY_MS = 86_400_000;

/**
 * The next times that a group meets, earliest first.
 *
 * @param from the first day looked at
 * @param days how many days are looked at
 * @example nextMeetings([{ weekday: 1, time: '18:30' }], day('2026-11-29'), 8) // [{ day: '2026-11-30', time: '18:30' }]
 */
export function nextMeetings(
  meets: readonly GroupDay[],
  from: CalendarDay,
  days: number,
): readonly { readonly day: CalendarDay; readonly time: string }[] {
  const first = Date.parse(`${from}T00:00:00Z`);
  return Array.from({ length: days }, (_, i) => new Date(first + i * DAY_MS)).flatMap((date) => {
    const weekday = date.getUTCDay() || 7;
    return meets
      .filter((m) => m.weekday === weekday)
      .map(({ time }) => ({ day: date.toISOString().slice(0, 10) as CalendarDay, time }))
      .sort((a, b) => a.time.localeCompare(b.time));
  });
}
