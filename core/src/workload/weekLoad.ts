import { type CalendarDay, calendarDay, type Instant } from '../quantities/index.ts';
import { sessionLoad } from './handLoad.ts';

/** What a session's load is worked out from. */
export interface LoadedSession {
  readonly performedAt: Instant;
  /** 0–10 */
  readonly effort: number;
  readonly minutes: number;
}

/** The load of the last seven days and what it is read against. All loads in effort × minutes. */
export interface WeekLoad {
  /** The seven days, oldest first; the last is today. */
  readonly days: readonly CalendarDay[];
  /** Load of each of them. */
  readonly dailyLoads: readonly number[];
  /** Their sum. */
  readonly weekLoad: number;
  /** Mean ÷ standard deviation of the daily loads; absent where all days are alike, so that nothing varies. */
  readonly monotony?: number;
  /** Week load × monotony; absent with it. */
  readonly strain?: number;
  /** Exponentially weighted averages over 7 and 28 days, a day's load each; 0 before the first session. */
  readonly acute: number;
  readonly chronic: number;
  /** Days since the first session, today included: below 28 the long average has not filled yet. */
  readonly daysKnown: number;
}

/** One day of a load curve. */
export interface LoadDay {
  readonly day: CalendarDay;
  readonly load: number;
  readonly acute: number;
  readonly chronic: number;
}

const WEEK = 7;
/** Days of the averages (Williams et al. 2017, from memory). */
export const ACUTE_DAYS = 7;
export const CHRONIC_DAYS = 28;

/**
 * Day by day from the first session to today: the load, and its exponentially weighted averages with λ = 2 ÷ (N + 1), each starting
 * with the first day's load (Williams et al. 2017, from memory). Sessions after today count nowhere.
 *
 * @param sessions in any order
 * @param now its local calendar day is the last one
 * @returns oldest day first; nothing before the first session
 * @example loadDays([{ performedAt: instant('2026-11-24T10:00:00Z'), effort: 6, minutes: 45 }], new Date('2026-11-24T20:00:00Z'))
 * // [{ day: '2026-11-24', load: 270, acute: 270, chronic: 270 }]
 */
export function loadDays(sessions: readonly LoadedSession[], now: Date): readonly LoadDay[] {
  const byDay = new Map<CalendarDay, number>();
  for (const { performedAt, effort, minutes } of sessions) {
    const day = calendarDay(performedAt);
    byDay.set(day, (byDay.get(day) ?? 0) + sessionLoad(effort, minutes));
  }
  const today = calendarDay(now);
  const first = [...byDay.keys()].filter((d) => d <= today).sort()[0];
  const days: LoadDay[] = [];
  for (let day = first; day !== undefined && day <= today; day = dayAfter(day)) {
    const load = byDay.get(day) ?? 0;
    const before = days.at(-1);
    days.push({ day, load, acute: averaged(before?.acute, load, ACUTE_DAYS), chronic: averaged(before?.chronic, load, CHRONIC_DAYS) });
  }
  return days;
}

/**
 * The last seven days' load with Foster's monotony and strain and the two moving averages. Descriptions of what was done: none of
 * them predicts an injury, and none opens or closes a gate.
 *
 * The deviation is that of a sample (n − 1), as spreadsheets have it; the paper does not say which (Foster 1998, from memory).
 *
 * @param sessions in any order; those of the last months matter
 * @param now its local calendar day is the last of the week
 * @example weekLoad([{ performedAt: instant('2026-11-24T10:00:00Z'), effort: 6, minutes: 45 }], new Date('2026-11-24T20:00:00Z')).weekLoad // 270
 */
export function weekLoad(sessions: readonly LoadedSession[], now: Date): WeekLoad {
  const known = loadDays(sessions, now);
  const today = calendarDay(now);
  const days = Array.from({ length: WEEK }, (_, i) => dayAfter(today, i - WEEK + 1));
  const loads = new Map(known.map((d) => [d.day, d.load]));
  const dailyLoads = days.map((day) => loads.get(day) ?? 0);
  const sum = dailyLoads.reduce((total, load) => total + load, 0);
  const monotony = monotonyOf(dailyLoads);
  const last = known.at(-1);
  return {
    days,
    dailyLoads,
    weekLoad: sum,
    ...(monotony === undefined ? {} : { monotony, strain: sum * monotony }),
    acute: last?.acute ?? 0,
    chronic: last?.chronic ?? 0,
    daysKnown: known.length,
  };
}

function averaged(before: number | undefined, load: number, days: number): number {
  const share = 2 / (days + 1);
  return before === undefined ? load : load * share + before * (1 - share);
}

function monotonyOf(loads: readonly number[]): number | undefined {
  const mean = loads.reduce((sum, l) => sum + l, 0) / loads.length;
  const deviation = Math.sqrt(loads.reduce((sum, l) => sum + (l - mean) ** 2, 0) / (loads.length - 1));
  return deviation === 0 ? undefined : mean / deviation;
}

/** By the calendar, whatever the clock does between two days. */
function dayAfter(day: CalendarDay, days = 1): CalendarDay {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  return calendarDay(new Date(year, month - 1, date + days, 12));
}
