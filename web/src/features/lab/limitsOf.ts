import type { CheckReply } from '@myokinet/core/contracts';
import type { Capacity, MeasureOf } from '@myokinet/core/measuring';
import { daysBetween } from '@myokinet/core/quantities';
import { holdFrom } from '@myokinet/core/statics';

/** One check of the trainee as a limit: its figure less the error band, so that doubt is on the safe side. */
export interface LabLimit {
  readonly value: number;
  readonly band: number;
  readonly ageDays: number;
  /** Too old to rest on: shown, and not applied. */
  readonly stale: boolean;
}

export interface LabLimits {
  /** Loaded wrist extension of the stiffer side, in degrees. */
  readonly wrist?: LabLimit;
  /** The weaker hand on the dynamometer, in kilograms. */
  readonly grip?: LabLimit;
  /** What that hand can be expected to hold on a bar. */
  readonly hold?: LabLimit;
  /** Hand load tolerated, in percent of body weight. */
  readonly push?: LabLimit;
  readonly pull?: LabLimit;
}

const CHECK_OF = { wrist: 'wrist-extension-loaded', grip: 'grip', push: 'hand-load-push', pull: 'hand-load-hang' } as const;

/** What the trainee's newest checks allow; of two sides the weaker. */
export function limitsOf(checks: readonly CheckReply[], measureOf: MeasureOf, now: Date): LabLimits {
  const newest = new Map<string, Capacity>();
  for (const capacity of checks.flatMap((c) => c.capacities)) {
    const key = `${capacity.measureId}/${capacity.side}`;
    const known = newest.get(key);
    if (!known || capacity.takenAt > known.takenAt) newest.set(key, capacity);
  }
  const limits = Object.entries(CHECK_OF).flatMap(([name, measureId]) => {
    const sides = [...newest.values()].filter((c) => c.measureId === measureId && !c.provisional);
    const [weakest] = sides.sort((a, b) => a.value - a.band - (b.value - b.band));
    if (!weakest) return [];
    const age = daysBetween(weakest.takenAt, now);
    const limit: LabLimit = {
      value: weakest.value,
      band: weakest.band,
      ageDays: Math.max(0, Math.floor(age)),
      stale: age > measureOf(measureId).freshDays,
    };
    return [[name, limit] as const];
  });
  const known = Object.fromEntries(limits) as LabLimits;
  if (!known.grip) return known;
  const { kg, bandKg } = holdFrom({ kg: known.grip.value, bandKg: known.grip.band });
  return { ...known, hold: { ...known.grip, value: kg, band: bandKg } };
}

/** The figure to rest on; `undefined` where there is none or it is stale. */
export function restsOn(limit: LabLimit | undefined): number | undefined {
  return limit && !limit.stale ? limit.value - limit.band : undefined;
}
