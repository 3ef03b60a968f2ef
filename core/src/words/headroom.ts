import { type BodySide, sideLabel } from '../anatomy/index.ts';
import { type Measure, formatReadingWithBand } from '../measuring/index.ts';
import { formatBand, type Unit } from '../quantities/index.ts';
import type { Headroom } from '../readiness/index.ts';
import { capital } from './capital.ts';

/** As much of a headroom as its words need. */
type Told = Pick<Headroom, 'state' | 'amount' | 'ageDays' | 'inFuture' | 'skipped'>;

/**
 * A headroom in a few words, for the end of a row.
 *
 * @example headroomInWords(h, measure) // '5° short'
 */
export function headroomInWords({ state, amount, ageDays, inFuture, skipped }: Told, measure: Measure): string {
  if (amount === undefined) return 'never checked';
  if (inFuture) return 'dated in the future';
  if (skipped) return `skipped: ${skipped.reason}`;
  switch (state) {
    case 'spare':
      return amount === 0 ? 'reached' : `${distance(amount, measure)} spare`;
    case 'short':
      return `${distance(-amount, measure)} short`;
    case 'on the mark':
      return 'inside the error band';
    case 'unknown':
      return `last checked ${ageDays ?? 0} days ago`;
  }
}

const IN_POINTS: readonly Unit[] = ['percentBodyWeight', 'points'];

function distance(amount: number, { unit, choices }: Measure): string {
  if (IN_POINTS.includes(unit)) return `${Math.round(amount)} points`;
  if (choices) return `${amount} ${amount === 1 ? 'step' : 'steps'}`;
  return formatBand(amount, unit);
}

/**
 * The capacity behind a headroom as a sentence begins, for gates and records.
 *
 * @example capacityInWords(h, library.measure('shoulder-flexion')) // 'Left shoulder flexion 160° ± 3°'
 */
export function capacityInWords({ capacity, side }: Pick<Headroom, 'capacity' | 'side'>, measure: Measure): string {
  const name = checkInWords(side, measure);
  return capacity ? `${name} ${formatReadingWithBand(measure, capacity.value, capacity.band)}` : name;
}

/** `Left shoulder flexion`, `Plank hold`. */
export function checkInWords(side: BodySide, { phrase }: Measure): string {
  return side === 'whole' ? capital(phrase) : `${sideLabel(side)} ${phrase}`;
}
