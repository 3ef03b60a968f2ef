import { type BodySide, sideLabel } from '../anatomy/index.ts';
import { Refusal } from '../errors.ts';
import type { Demand } from '../ladders/index.ts';
import { type Capacity, type Measure, readingWithBand } from '../measuring/index.ts';
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
 * @param measure the check that the demand is about
 * @param now the moment of judging
 * @throws Refusal `measure-mismatch`
 * @example headroom({ value: 160, band: 3, … }, { value: 165, direction: 'at least', … }, measure, now)
 * // { amount: -5, bands: -1.67, state: 'short', words: '5° short' }
 */
export function headroom(capacity: Capacity | undefined, demand: Demand, measure: Measure, now: Date): Headroom {
  const { side } = demand;
  if (!capacity) return { demand, side, state: 'unknown', stale: false, words: 'never checked' };
  if (capacity.measureId !== demand.measureId || capacity.side !== demand.side)
    throw new Refusal(
      'measure-mismatch',
      `${capacity.measureId} (${capacity.side}) cannot be held against a demand on ${demand.measureId} (${demand.side}).`,
    );
  const amount = overDemand(capacity.value, demand) as Amount;
  const bands = countInBands(amount, capacity.band, measure.limits.step);
  const age = daysBetween(capacity.takenAt, now);
  const ageDays = Math.max(0, Math.floor(age));
  const stale = age > measure.freshDays;
  if (age < -FUTURE_DAYS)
    return { demand, side, capacity, amount, bands, state: 'unknown', ageDays, stale, inFuture: true, words: 'dated in the future' };
  const state = stale ? 'unknown' : capacity.band > 0 ? stateOf(bands) : amount >= 0 ? 'spare' : 'short';
  // Spelled out: a spread here is twenty times slower, and lists judge thousands.
  return { demand, side, capacity, amount, bands, state, ageDays, stale, words: words(state, amount, measure, ageDays) };
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

function words(state: HeadroomState, amount: number, measure: Measure, ageDays: number): string {
  switch (state) {
    case 'spare':
      return amount === 0 ? 'reached' : `${distance(amount, measure)} spare`;
    case 'short':
      return `${distance(-amount, measure)} short`;
    case 'on the mark':
      return 'inside the error band';
    case 'unknown':
      return `last checked ${ageDays} days ago`;
  }
}

function distance(amount: number, { unit, choices }: Measure): string {
  if (unit === 'percentBodyWeight' || unit === 'points') return `${Math.round(amount)} points`;
  if (choices) return `${amount} ${amount === 1 ? 'step' : 'steps'}`;
  return formatBand(amount, unit);
}

/**
 * The capacity behind a headroom as a sentence, for gates and records.
 *
 * @example capacityInWords(h, library.measure('shoulder-flexion')) // 'Left shoulder flexion 160° ± 3°'
 */
export function capacityInWords({ capacity, side }: Headroom, measure: Measure): string {
  const { phrase } = measure;
  const name = side === 'whole' ? capitalise(phrase) : `${sideLabel(side)} ${phrase}`;
  return capacity ? `${name} ${readingWithBand(measure, capacity.value, capacity.band)}` : name;
}

function capitalise(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
