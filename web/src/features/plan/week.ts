import { weekStartOf, weeksLater } from '@myokinet/core/planning';
import type { CalendarDay } from '@myokinet/core/quantities';
import { format, parseISO } from 'date-fns';

/** `This week, 23–29 Nov`. */
export function weekInWords(weekStart: CalendarDay, now: Date): string {
  const monday = parseISO(weekStart);
  const sunday = new Date(monday.getTime() + 6.5 * 86_400_000);
  const range = `${format(monday, monday.getMonth() === sunday.getMonth() ? 'd' : 'd MMM')}–${format(sunday, 'd MMM yyyy')}`;
  const current = weekStartOf(now);
  if (weekStart === current) return `This week, ${range}`;
  if (weekStart === weeksLater(current, 1)) return `Next week, ${range}`;
  return `Week of ${range}`;
}
