import type { Library } from '../library/index.ts';
import { daysBetween, type Instant } from '../quantities/index.ts';

/** A drill as it was done: so many sets, some day. */
export interface DoneSets {
  readonly drillId: string;
  readonly performedAt: Instant;
  readonly sets: number;
}

/** What one drill gave a check of late, in weighted sets a week. */
export interface DrillWork {
  readonly drillId: string;
  readonly weeklySets: number;
}

/** Sets a week that trained one check, each counted by how strongly its drill trains it; the newest week first. */
export type WeeklyDoses = readonly number[];

const DAYS_PER_WEEK = 7;
/** A drill that trains a check at its strongest counts whole. */
const STRONGEST = 3;
/** Weekly sets that are a usual dose: two sessions of three sets (common practice, no source). */
export const USUAL_SETS = 6;
/** What keeps a capacity where it is, as a share of what the usual dose gains (common practice, no source). */
const KEEPS = 0.25;

/**
 * What a weekly dose does, as a share of what the usual dose gains a week: 1 at the usual dose, 0 at what just keeps a capacity, −¼ of it
 * untrained. More sets give less and less: (1 − e^(−d/6))/(1 − 1/e).
 *
 * @param sets a week, weighted
 * @example effectOf(6) // 1
 * @example effectOf(0) // -0.33
 */
export function effectOf(sets: number): number {
  const saturating = (1 - Math.exp(-Math.max(0, sets) / USUAL_SETS)) / (1 - Math.exp(-1));
  return (saturating - KEEPS) / (1 - KEEPS);
}

/**
 * The weekly doses of every check that was trained.
 *
 * @param done what was done, any order
 * @param library drills that are gone from it train nothing
 * @param now the end of the newest week
 * @param weeks how far back
 * @example weeklyDoses([{ drillId: 'plank', performedAt: yesterday, sets: 3 }], library, now, 4).get('plank-hold') // [3, 0, 0, 0]
 */
export function weeklyDoses(done: readonly DoneSets[], library: Library, now: Date, weeks: number): ReadonlyMap<string, WeeklyDoses> {
  const doses = new Map<string, number[]>();
  for (const { drillId, performedAt, sets } of done) {
    const week = Math.floor(Math.max(0, daysBetween(performedAt, now)) / DAYS_PER_WEEK);
    if (week >= weeks || !library.hasDrill(drillId)) continue;
    for (const [measureId, strength] of Object.entries(library.drill(drillId).trains)) {
      const own = doses.get(measureId) ?? Array.from({ length: weeks }, () => 0);
      own[week] = (own[week] ?? 0) + (sets * strength) / STRONGEST;
      doses.set(measureId, own);
    }
  }
  return doses;
}

/** Weeks by which the dose of today is told: what somebody does, not what they once did. */
const RECENT_WEEKS = 4;

/** Sets a week of late. */
export function recentDose(doses: WeeklyDoses): number {
  const recent = doses.slice(0, RECENT_WEEKS);
  return recent.reduce((sum, d) => sum + d, 0) / RECENT_WEEKS;
}

/** The mean effect of the doses over a stretch of time, in weeks before now; what lies before the record is taken as just keeping. */
export function effectBetween(doses: WeeklyDoses, from: number, to: number): number {
  const length = from - to;
  if (!(length > 0)) return 0;
  let sum = 0;
  for (let week = Math.max(0, Math.floor(to)); week < Math.min(from, doses.length); week++) {
    const overlap = Math.min(from, week + 1) - Math.max(to, week);
    if (overlap > 0) sum += overlap * effectOf(doses[week] ?? 0);
  }
  return sum / length;
}

/**
 * What each drill gave each check of late, in weighted sets a week; the same sets as {@link recentDose} counts.
 *
 * @example recentWork([{ drillId: 'plank', performedAt: yesterday, sets: 4 }], library, now).get('plank-hold') // [{ drillId: 'plank', weeklySets: 1 }]
 */
export function recentWork(done: readonly DoneSets[], library: Library, now: Date): ReadonlyMap<string, readonly DrillWork[]> {
  const work = new Map<string, Map<string, number>>();
  for (const { drillId, performedAt, sets } of done) {
    const age = daysBetween(performedAt, now);
    if (age >= RECENT_WEEKS * DAYS_PER_WEEK || !library.hasDrill(drillId)) continue;
    for (const [measureId, strength] of Object.entries(library.drill(drillId).trains)) {
      const own = work.get(measureId) ?? new Map<string, number>();
      own.set(drillId, (own.get(drillId) ?? 0) + (sets * strength) / STRONGEST / RECENT_WEEKS);
      work.set(measureId, own);
    }
  }
  return new Map(
    [...work].map(([measureId, drills]) => [measureId, [...drills].map(([drillId, weeklySets]) => ({ drillId, weeklySets }))]),
  );
}
