import { addDays as addCalendarDays, differenceInCalendarDays, differenceInMinutes, format, parseISO } from 'date-fns';
import { type CalendarDay, calendarDay, type Instant } from '../quantities/index.ts';
import { type Weekday, WEEKDAYS } from './plan.ts';

/** Days between loaded sessions: 48 hours (common practice, no source). */
const LOADED_DAYS_APART = 2;
/** Where hours are known they count; a session an hour early is no hour too early (project default). */
const LOADED_HOURS_APART = 47;

/** When something loads: a day, and its hour, like `17:30`, where it is known. */
export interface When {
  readonly day: CalendarDay;
  readonly at?: string | undefined;
}

/** When something took place, by the clock of who looks at it. */
export function whenOf(at: Instant): When {
  return { day: calendarDay(at), at: format(parseISO(at), 'HH:mm') };
}

/** When the session of a day starts, as far as the brief knows. */
export function whenIn(day: CalendarDay, days: readonly { readonly weekday: Weekday; readonly at?: string }[]): When {
  return { day, at: days.find((d) => d.weekday === weekdayOf(day))?.at };
}

/**
 * Whether two loads of a joint lie 48 hours apart: by the hour where both hours are known, else two calendar days.
 *
 * @example restedBetween({ day: '2026-11-30', at: '20:00' }, { day: '2026-12-02', at: '07:00' }) // false: 35 hours
 */
export function restedBetween(a: When, b: When): boolean {
  if (a.at === undefined || b.at === undefined) return Math.abs(calendarDaysBetween(a.day, b.day)) >= LOADED_DAYS_APART;
  const minutes = differenceInMinutes(parseISO(`${b.day}T${b.at}`), parseISO(`${a.day}T${a.at}`));
  return Math.abs(minutes) >= LOADED_HOURS_APART * 60;
}

/** Whether something that is once, or every week, is on a day. */
export const isOn = ({ day, weekday }: { readonly day?: CalendarDay; readonly weekday?: Weekday }, on: CalendarDay): boolean =>
  day ? day === on : weekday === weekdayOf(on);

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
