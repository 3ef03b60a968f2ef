import { addWeeks, format, parseISO, startOfWeek } from 'date-fns';
import type { Joint } from '../anatomy/index.ts';
import type { CalendarDay } from '../quantities/index.ts';

/**
 * The Monday of the week a moment lies in, by the local calendar.
 *
 * @example weekStartOf(new Date('2026-11-29T23:59:00')) // '2026-11-23'
 */
export function weekStartOf(moment: Date): CalendarDay {
  return format(startOfWeek(moment, { weekStartsOn: 1 }), 'yyyy-MM-dd') as CalendarDay;
}

/** @example weeksLater('2026-12-28', 1) // '2027-01-04' */
export function weeksLater(weekStart: CalendarDay, weeks: number): CalendarDay {
  return format(addWeeks(parseISO(weekStart), weeks), 'yyyy-MM-dd') as CalendarDay;
}

/** Hand-load dose that was logged in one calendar week, in body-weight seconds. */
export interface WeekDose {
  readonly weekStart: CalendarDay;
  readonly dose: number;
  readonly byJoint?: Readonly<Partial<Record<Joint, number>>>;
}

/**
 * What a week's hand load is held against: the newest whole week before it in which the hands were
 * loaded. The running week is not whole yet; an empty one would allow any jump.
 *
 * @param weekDoses weeks with logged load, any order
 * @param weekStart the week that is planned
 * @param now decides which week is running
 * @returns undefined when nothing was logged before
 * @example doseToBuildOn([{ weekStart: '2026-11-16', dose: 120 }, { weekStart: '2026-11-23', dose: 30 }], '2026-11-30', now).dose // 120
 */
export function doseToBuildOn(weekDoses: readonly WeekDose[], weekStart: CalendarDay, now: Date): WeekDose | undefined {
  const running = weekStartOf(now);
  return weekDoses
    .filter((w) => w.dose > 0 && w.weekStart < weekStart && w.weekStart < running)
    .sort((a, b) => b.weekStart.localeCompare(a.weekStart))[0];
}
