import type { CalendarDay } from './instant.ts';
import { calendarDay } from './instant.ts';

/** When somebody was born, as far as it is known. */
export interface Born {
  readonly birthYear: number;
  readonly birthDate?: CalendarDay | string | null;
}

export interface Age {
  /** Completed years; by the year alone those that are completed at the latest at its end, and perhaps one too many. */
  readonly years: number;
  /** The day of birth is known. */
  readonly sure: boolean;
}

/**
 * Age on a day. By the day of birth it is exact; by the year alone it may be one too many until the birthday.
 *
 * @example ageOn({ birthYear: 1990, birthDate: '1990-12-01' }, new Date('2026-11-27')) // { years: 35, sure: true }
 * @example ageOn({ birthYear: 1990 }, new Date('2026-11-27')) // { years: 36, sure: false }
 */
export function ageOn({ birthYear, birthDate }: Born, now: Date): Age {
  const years = now.getFullYear() - birthYear;
  if (!birthDate) return { years, sure: false };
  const hadBirthday = calendarDay(now).slice(5) >= birthDate.slice(5);
  return { years: hadBirthday ? years : years - 1, sure: true };
}
