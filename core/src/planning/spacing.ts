import { addDays as addCalendarDays, differenceInCalendarDays, format, parseISO } from 'date-fns';
import type { CalendarDay } from '../quantities/index.ts';
import { type Weekday, WEEKDAYS } from './plan.ts';

/** Days between loaded sessions: 48 hours (common practice, no source). */
export const LOADED_DAYS_APART = 2;

/** The weekday of a calendar day. */
export function weekdayOf(day: CalendarDay): Weekday {
  return WEEKDAYS[(parseISO(day).getDay() + 6) % 7] ?? 'Monday';
}

/** The calendar day of a weekday in the week that starts on a Monday. */
export function dayOfWeek(weekStart: CalendarDay, weekday: Weekday): CalendarDay {
  return format(addCalendarDays(parseISO(weekStart), WEEKDAYS.indexOf(weekday)), 'yyyy-MM-dd') as CalendarDay;
}

/** @example daysLater('2026-11-30', 1) // '2026-12-01' */
export function daysLater(day: CalendarDay, days: number): CalendarDay {
  return format(addCalendarDays(parseISO(day), days), 'yyyy-MM-dd') as CalendarDay;
}

/** @example dayShort('2026-11-30') // 'Mon 30 Nov' */
export function dayShort(day: CalendarDay): string {
  return format(parseISO(day), 'EEE d MMM');
}

export function calendarDaysBetween(a: CalendarDay, b: CalendarDay): number {
  return differenceInCalendarDays(parseISO(b), parseISO(a));
}

/**
 * Chooses loaded days among the training days: at most `wanted`, each at least two days after the
 * one before, the last loaded session of the past included. Of all choices of the largest size it
 * takes the most evenly spaced.
 *
 * @example loadedDays(['2026-11-23','2026-11-24','2026-11-26'], 2) // ['2026-11-23','2026-11-26']
 */
export function loadedDays(days: readonly CalendarDay[], wanted: number, lastLoaded?: CalendarDay): readonly CalendarDay[] {
  const free = days.filter((d) => !lastLoaded || calendarDaysBetween(lastLoaded, d) >= LOADED_DAYS_APART);
  let best: readonly CalendarDay[] = [];
  for (const choice of subsets(free)) {
    if (choice.length > wanted || smallestGap(choice) < LOADED_DAYS_APART) continue;
    if (choice.length > best.length || (choice.length === best.length && smallestGap(choice) > smallestGap(best))) best = choice;
  }
  return best;
}

function smallestGap(days: readonly CalendarDay[]): number {
  return Math.min(...days.slice(1).map((d, i) => calendarDaysBetween(days[i] ?? d, d)), Number.POSITIVE_INFINITY);
}

function subsets<T>(items: readonly T[]): readonly (readonly T[])[] {
  return items.reduce<readonly (readonly T[])[]>((all, item) => [...all, ...all.map((s) => [...s, item])], [[]]);
}
