import { differenceInCalendarDays, format } from 'date-fns';
import { Refusal } from '../errors.ts';

/** A moment, written as `Date.prototype.toISOString` writes it: UTC, milliseconds, sortable as text. */
export type Instant = string & { readonly kind: 'instant' };

/** A day on the wall calendar, `YYYY-MM-DD`. */
export type CalendarDay = string & { readonly kind: 'day' };

const MILLISECONDS_PER_DAY = 24 * 60 * 60 * 1000;

/**
 * The instant of a date, refused when it is no date.
 *
 * @throws Refusal `instant-invalid`
 * @example instant(new Date(0)) // '1970-01-01T00:00:00.000Z'
 */
export function instant(date: Date | string): Instant {
  const parsed = typeof date === 'string' ? new Date(date) : date;
  if (Number.isNaN(parsed.getTime())) throw new Refusal('instant-invalid', `"${String(date)}" is not a date.`);
  return parsed.toISOString() as Instant;
}

/**
 * Days (with fraction) from one moment to a later one; negative when `later` comes first.
 *
 * @example daysBetween(instant('2026-01-01'), new Date('2026-01-02T12:00:00Z')) // 1.5
 */
export function daysBetween(earlier: Instant, later: Date | Instant): number {
  return (milliseconds(later) - milliseconds(earlier)) / MILLISECONDS_PER_DAY;
}

function milliseconds(moment: Date | Instant): number {
  return typeof moment === 'string' ? Date.parse(moment) : moment.getTime();
}

/** The moment `days` after another. */
export function addDays(moment: Date | Instant, days: number): Instant {
  return instant(new Date(milliseconds(moment) + days * MILLISECONDS_PER_DAY));
}

/** The local calendar day of a moment. */
export function calendarDay(moment: Date | Instant): CalendarDay {
  // By hand: lists ask this thousands of times, and a pattern is parsed anew each time.
  const date = new Date(moment);
  return `${date.getFullYear()}-${pad(date.getMonth() + 1)}-${pad(date.getDate())}` as CalendarDay;
}

function pad(number: number): string {
  return String(number).padStart(2, '0');
}

/**
 * A date in the words people use, with its distance from today.
 *
 * @example dayInWords(instant('2026-11-20T12:00:00'), new Date('2026-11-24T12:00:00')) // 'Fri 20 Nov, 4 days ago'
 */
export function dayInWords(moment: Date | Instant, now: Date): string {
  const date = new Date(moment);
  const distance = differenceInCalendarDays(date, now);
  const label = shortDay(date, now);
  if (distance === 0) return `${label}, today`;
  if (distance === 1) return `${label}, tomorrow`;
  if (distance === -1) return `${label}, yesterday`;
  return distance > 0 ? `${label}, in ${distance} days` : `${label}, ${-distance} days ago`;
}

/** `Fri 20 Nov`, with the year when it is not this year. */
export function shortDay(moment: Date | Instant, now: Date): string {
  const date = new Date(moment);
  return format(date, date.getFullYear() === now.getFullYear() ? 'EEE d MMM' : 'EEE d MMM yyyy');
}

/** `Fri 20 Nov 2026`. */
export function longDay(moment: Date | Instant): string {
  return format(new Date(moment), 'EEE d MMM yyyy');
}
