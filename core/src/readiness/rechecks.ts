import type { MeasureOf } from '../measuring/index.ts';
import { addDays, type CalendarDay, calendarDay, type Instant } from '../quantities/index.ts';

/** Checks that fall due on one day. */
export interface Recheck {
  readonly dueOn: CalendarDay;
  /** In the order in which they were given, each once. */
  readonly measureIds: readonly string[];
  /** The day has passed: what they found no longer counts. */
  readonly overdue: boolean;
}

/**
 * When checks have to be taken again, day by day: each is due when its freshness limit has passed, and
 * two sides of one check fall due with the older one.
 *
 * @param taken when each check of each side was taken last
 * @param measureOf the checks of the studio
 * @param now the moment of looking
 * @returns earliest first
 * @example rechecksOf([{ measureId: 'grip', takenAt: mayFirst }], library.measure, mayTenth) // [{ dueOn: '2026-05-29', measureIds: ['grip'], overdue: false }]
 */
export function rechecksOf(
  taken: readonly { readonly measureId: string; readonly takenAt: Instant }[],
  measureOf: MeasureOf,
  now: Date,
): readonly Recheck[] {
  const oldest = new Map<string, Instant>();
  for (const { measureId, takenAt } of taken) {
    const known = oldest.get(measureId);
    if (!known || takenAt < known) oldest.set(measureId, takenAt);
  }
  const byDay = new Map<CalendarDay, string[]>();
  for (const [measureId, takenAt] of oldest) {
    const day = calendarDay(addDays(takenAt, measureOf(measureId).freshDays));
    byDay.set(day, [...(byDay.get(day) ?? []), measureId]);
  }
  const today = calendarDay(now);
  return [...byDay]
    .map(([dueOn, measureIds]) => ({ dueOn, measureIds, overdue: dueOn < today }))
    .sort((a, b) => a.dueOn.localeCompare(b.dueOn));
}
