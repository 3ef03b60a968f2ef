import type { BodySide } from '../anatomy/index.ts';
import { Refusal } from '../errors.ts';
import type { Demand } from '../ladders/index.ts';
import type { Capacity, Measure, SkipReason } from '../measuring/index.ts';
import { type Amount, daysBetween, type Instant } from '../quantities/index.ts';

export type HeadroomState = 'spare' | 'on the mark' | 'short' | 'unknown';

/** Capacity minus demand, signed so that positive is good. */
export interface Headroom {
  readonly demand: Demand;
  readonly side: BodySide;
  readonly capacity?: Capacity;
  /** In the demand's unit; absent when the check was never taken. */
  readonly amount?: Amount;
  /** The amount counted in error bands (in steps where there is no band). */
  readonly bands?: number;
  readonly state: HeadroomState;
  /** Whole days since the check; absent when it was never taken. */
  readonly ageDays?: number;
  readonly stale: boolean;
  /** Days for which it counts; absent when the check was never taken. */
  readonly freshDays?: number;
  /** The check is dated after the moment of judging: it shows nothing yet. */
  readonly inFuture?: true;
  /** The newest attempt, where it was skipped for pain or safety after this capacity was shown: it shows nothing now. */
  readonly skipped?: { readonly at: Instant; readonly reason: SkipReason };
}

/**
 * Headroom of one capacity over one demand.
 *
 * h = ±(capacity − demand), z = h / band. Spare z ≥ 1, short z ≤ −1, on the mark between;
 * unknown when the check was never taken or is older than its freshness limit. A level without an
 * error band is spare as soon as it is reached, and counted in steps.
 *
 * @param capacity what was shown, on the demand's side; undefined when never checked
 * @param demand what the rung asks of that side
 * @param measure the check that the demand is about
 * @param now the moment of judging
 * @param skipped the newest time the check was stopped by pain, worry or for safety; what the same occasion reached shows nothing either
 * @throws Refusal `measure-mismatch`
 * @example headroom({ value: 160, band: 3, … }, { value: 165, direction: 'at least', … }, measure, now)
 * // { amount: -5, bands: -1.67, state: 'short' }
 */
export function headroom(
  capacity: Capacity | undefined,
  demand: Demand,
  measure: Measure,
  now: Date,
  skipped?: Headroom['skipped'],
): Headroom {
  const { side } = demand;
  if (!capacity) return { demand, side, state: 'unknown', stale: false };
  if (capacity.measureId !== demand.measureId || capacity.side !== demand.side) throw new Refusal('measure-mismatch');
  const amount = overDemand(capacity.value, demand) as Amount;
  const bands = countInBands(amount, capacity.band, measure.limits.step);
  const age = daysBetween(capacity.takenAt, now);
  const ageDays = Math.max(0, Math.floor(age));
  const { freshDays } = measure;
  const stale = age > freshDays;
  if (age < -FUTURE_DAYS) return { demand, side, capacity, amount, bands, state: 'unknown', ageDays, stale, freshDays, inFuture: true };
  if (skipped && skipped.at >= capacity.takenAt)
    return { demand, side, capacity, amount, bands, state: 'unknown', ageDays, stale, freshDays, skipped };
  const state = stale ? 'unknown' : capacity.band > 0 ? stateOf(bands) : amount >= 0 ? 'spare' : 'short';
  // Spelled out: a spread here is twenty times slower, and lists judge thousands.
  return { demand, side, capacity, amount, bands, state, ageDays, stale, freshDays };
}

/** Capacity over demand, positive when it is good; of a range the distance to its nearer end. */
export function overDemand(value: number, { direction, value: asked, upTo = asked }: Demand): number {
  if (direction === 'at least') return value - asked;
  return direction === 'at most' ? asked - value : Math.min(value - asked, upTo - value);
}

/** Clocks of two machines differ a little: five minutes. */
const FUTURE_DAYS = 5 / (24 * 60);

function countInBands(amount: number, band: number, step: number): number {
  return amount / (band > 0 ? band : step);
}

function stateOf(bands: number): HeadroomState {
  if (bands >= 1) return 'spare';
  return bands <= -1 ? 'short' : 'on the mark';
}
