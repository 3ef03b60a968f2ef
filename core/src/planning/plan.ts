import { type Dose, drillSeconds, handLoadDose, isLoaded } from '../drills/index.ts';
import type { Library } from '../library/index.ts';
import type { CalendarDay } from '../quantities/index.ts';
import type { HandLoadTotals } from '../workload/index.ts';

/** Monday first. */
export const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;
export type Weekday = (typeof WEEKDAYS)[number];

export interface PlannedItem extends Dose {
  readonly id: string;
  readonly drillId: string;
  /** Why it is here, in a sentence. */
  readonly why: string;
}

export interface PlannedSession {
  readonly id: string;
  readonly day: CalendarDay;
  readonly items: readonly PlannedItem[];
}

/**
 * Minutes a session takes, rests and change-overs included.
 *
 * @throws Refusal `drill-unknown`
 * @example sessionMinutes([{ drillId: 'plank', sets: 3, min: 20, max: 40, restSeconds: 45 }], library) // 4
 */
export function sessionMinutes(items: readonly (Dose & { readonly drillId: string })[], library: Library): number {
  return items.reduce((sum, item) => sum + drillSeconds(library.drill(item.drillId), item), 0) / 60;
}

/** Whether a session holds loaded work, and so needs 48 hours before the next. */
export function isLoadedSession(items: readonly { readonly drillId: string }[], library: Library): boolean {
  return items.some((item) => isLoaded(library.drill(item.drillId)));
}

/** Hand-load dose of planned work, by direction, in body-weight seconds. */
export function plannedHandLoad(items: readonly (Dose & { readonly drillId: string })[], library: Library): HandLoadTotals {
  const totals = { push: 0, pull: 0 };
  for (const item of items) {
    const drill = library.drill(item.drillId);
    if (drill.handLoad) totals[drill.handLoad.direction] += handLoadDose(drill, item);
  }
  return totals;
}
