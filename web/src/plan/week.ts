import type { CalendarDay } from '@myokinet/core/quantities';
import { addWeeks, format, parseISO, startOfWeek } from 'date-fns';

/** The Monday of the week a moment lies in. */
export function weekStartOf(moment: Date): CalendarDay {
  return format(startOfWeek(moment, { weekStartsOn: 1 }), 'yyyy-MM-dd') as CalendarDay;
}

export function weeksLater(weekStart: string, weeks: number): CalendarDay {
  return format(addWeeks(parseISO(weekStart), weeks), 'yyyy-MM-dd') as CalendarDay;
}

/** `This week, 23–29 Nov`. */
export function weekInWords(weekStart: string, now: Date): string {
  const monday = parseISO(weekStart);
  const sunday = new Date(monday.getTime() + 6.5 * 86_400_000);
  const range = `${format(monday, monday.getMonth() === sunday.getMonth() ? 'd' : 'd MMM')}–${format(sunday, 'd MMM yyyy')}`;
  const current = weekStartOf(now);
  if (weekStart === current) return `This week, ${range}`;
  if (weekStart === weeksLater(current, 1)) return `Next week, ${range}`;
  return `Week of ${range}`;
}
