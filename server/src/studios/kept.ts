import { getISOWeek, getISOWeekYear } from 'date-fns';

/** How many copies are kept of each kind: the newest of as many days, weeks and months. */
export const KEPT = { days: 7, weeks: 5, months: 12 } as const;

/**
 * Which of the copies made at some moments are kept: the newest of each of the last seven days on which one was made, five weeks, and
 * twelve months; the newest of all always.
 *
 * @source project default
 */
export function keptOf(moments: readonly Date[]): readonly Date[] {
  const newestFirst = moments.toSorted((a, b) => b.getTime() - a.getTime());
  const kept = new Set<Date>(newestFirst.slice(0, 1));
  for (const [most, periodOf] of PERIODS) {
    const seen = new Set<string>();
    for (const moment of newestFirst) {
      const period = periodOf(moment);
      if (seen.has(period) || seen.size === most) continue;
      seen.add(period);
      kept.add(moment);
    }
  }
  return newestFirst.filter((moment) => kept.has(moment));
}

const PERIODS: readonly (readonly [most: number, periodOf: (moment: Date) => string])[] = [
  [KEPT.days, (moment) => moment.toISOString().slice(0, 'yyyy-mm-dd'.length)],
  [KEPT.weeks, (moment) => `${getISOWeekYear(moment)}-${getISOWeek(moment)}`],
  [KEPT.months, (moment) => moment.toISOString().slice(0, 'yyyy-mm'.length)],
];
