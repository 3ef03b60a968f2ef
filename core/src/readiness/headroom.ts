import { type BodySide, sideLabel } from '../anatomy/index.ts';
import { Refusal } from '../errors.ts';
import type { Demand } from '../ladders/index.ts';
import { type Capacity, measureOf, readingWithBand } from '../measuring/index.ts';
import { type Amount, daysBetween, formatBand } from '../quantities/index.ts';

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
  /** The check is dated after the moment of judging: it shows nothing yet. */
  readonly inFuture?: true;
  /** The verdict in a few words, for the end of a row. */
  readonly words: string;
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
 * @param now the moment of judging
 * @throws Refusal `measure-mismatch`
 * @example headroom({ value: 160, band: 3, … }, { value: 165, direction: 'at least', … }, now)
 * // { amount: -5, bands: -1.67, state: 'short', words: '5° short' }
 */
export function headroom(capacity: Capacity | undefined, demand: Demand, now: Date): Headroom {
  const { side } = demand;
  if (!capacity) return { demand, side, state: 'unknown', stale: false, words: 'never checked' };
  if (capacity.measureId !== demand.measureId || capacity.side !== demand.side)
    throw new Refusal(
      'measure-mismatch',
      `${capacity.measureId} (${capacity.side}) cannot be held against a demand on ${demand.measureId} (${demand.side}).`,
    );
  const sign = demand.direction === 'at least' ? 1 : -1;
  const amount = (sign * (capacity.value - demand.value)) as Amount;
  const bands = countInBands(amount, capacity.band, measureOf(demand.measureId).limits.step);
  const age = daysBetween(capacity.takenAt, now);
  const ageDays = Math.max(0, Math.floor(age));
  const stale = age > measureOf(demand.measureId).freshDays;
  if (age < -FUTURE_DAYS)
    return { demand, side, capacity, amount, bands, state: 'unknown', ageDays, stale, inFuture: true, words: 'dated in the future' };
  const state = stale ? 'unknown' : capacity.band > 0 ? stateOf(bands) : amount >= 0 ? 'spare' : 'short';
  // Spelled out: a spread here is twenty times slower, and lists judge thousands.
  return { demand, side, capacity, amount, bands, state, ageDays, stale, words: words(state, amount, demand, ageDays) };
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

function words(state: HeadroomState, amount: number, demand: Demand, ageDays: number): string {
  switch (state) {
    case 'spare':
      return amount === 0 ? 'reached' : `${distance(amount, demand)} spare`;
    case 'short':
      return `${distance(-amount, demand)} short`;
    case 'on the mark':
      return 'inside the error band';
    case 'unknown':
      return `last checked ${ageDays} days ago`;
  }
}

function distance(amount: number, { unit, measureId }: Demand): string {
  if (unit === 'percentBodyWeight' || unit === 'points') return `${Math.round(amount)} points`;
  if (measureOf(measureId).choices) return `${amount} ${amount === 1 ? 'step' : 'steps'}`;
  return formatBand(amount, unit);
}

/**
 * The capacity behind a headroom as a sentence, for gates and records.
 *
 * @example capacityInWords(h) // 'Left shoulder flexion 160° ± 3°'
 */
export function capacityInWords({ capacity, demand, side }: Headroom): string {
  const measure = measureOf(demand.measureId);
  const { phrase } = measure;
  const name = side === 'whole' ? capitalise(phrase) : `${sideLabel(side)} ${phrase}`;
  return capacity ? `${name} ${readingWithBand(measure, capacity.value, capacity.band)}` : name;
}

function capitalise(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
