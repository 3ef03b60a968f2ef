import type { BodySide } from '../anatomy/index.ts';
import { Refusal } from '../errors.ts';
import type { Amount, Instant } from '../quantities/index.ts';
import { normalQuantile, studentTQuantile } from '../statistics/index.ts';
import { bestOf } from './goodness.ts';
import { mean, occasionError, type TwoErrors } from './errorModel.ts';
import type { Measure } from './measure.ts';
import type { OwnError } from './ownError.ts';
import type { Provisional } from './evidence.ts';
import { trialProblem } from './trialLimits.ts';

/** One reading of one side. */
export interface Trial {
  readonly side: BodySide;
  readonly value: number;
  /** Standard error of this reading itself, where it is known: landmarks picked on a picture. */
  readonly standardError?: number;
  readonly provisional?: Provisional;
  /** What it was read off: the same picture or the same moment read twice is one trial. */
  readonly source?: string;
}

/** Whose errors a band rests on, and whether the readings brought one of their own; a level has none. */
export type ErrorSource = 'default' | 'own trials' | 'own test';
export type ErrorBasis = 'level' | ErrorSource | `${ErrorSource}, reading`;

/**
 * Counts the changes of how errors are worked out: capacities on record with an older one are worked out again from their trials.
 * 2: errors within and between occasions, kept apart.
 */
export const ERROR_VERSION = 2;

/** What a trainee showed in a check. All figures are in the measure's own unit. */
export interface Capacity {
  readonly measureId: string;
  readonly side: BodySide;
  readonly value: Amount;
  /** Half-width of the error band: one-sided 95 %. */
  readonly band: Amount;
  /** Standard error of `value`. */
  readonly standardError: Amount;
  readonly trials: number;
  readonly takenAt: Instant;
  /** What the band rests on; `words` says it. Figures signed before this was a code hold a sentence. */
  readonly errorBasis: ErrorBasis;
  /** Set when one of the trials may not open a gate. */
  readonly provisional?: Provisional;
}

export interface CapacityOptions {
  readonly takenAt: Instant;
  /** Overrides how the trials are combined. */
  readonly combine?: 'mean' | 'best';
  /** The coach's own measuring error, once estimated; replaces the default. */
  readonly ownError?: OwnError | undefined;
}

/** One-sided confidence of every error band. */
export const BAND_CONFIDENCE = 0.95;
const ONE_SIDED_95 = normalQuantile(BAND_CONFIDENCE);

/**
 * The error band of a reading whose standard error is known: one-sided 95 %, same unit.
 *
 * @example bandOfReading(2) // 3.29
 */
export function bandOfReading(standardError: number): number {
  return ONE_SIDED_95 * standardError;
}

/**
 * Turns the trials of one side into a capacity with its error band.
 *
 * The value is the mean of the trials, or the best of them where the check counts so. The band is t₀.₉₅,ν·SE, with both errors of
 * {@link occasionError}; the best of several runs high, so that what it is expected to run high by is added to the band. Of an error
 * that is a share of the figure, the band reaches down to the truth that would just have shown so much: x − x/(1 + t·SE).
 * Readings of one source (the same picture twice) are one trial. What the readings know about their own error comes on top in quadrature, and can only widen a band. A band is never finer than the
 * instrument's step.
 *
 * @param measure the check that was taken
 * @param trials one or more readings of one side, in the measure's unit
 * @param options when it was taken, and the coach's choices
 * @throws Refusal `trials-missing`, `trials-mixed-sides`, `trial-out-of-limits`
 * @example
 * capacityFromTrials(library.measure('shoulder-flexion'), [158, 160, 162].map((value) => ({ side: 'left', value })), { takenAt })
 * // value 160, band 5.21 (s_w² = (4·1.5² + 2·2²)/6 = 2.83, SE² = 3² + 2.83/3 = 9.94, ν = 200 at most, t = 1.653)
 */
export function capacityFromTrials(measure: Measure, trials: readonly Trial[], options: CapacityOptions): Capacity {
  const first = trials[0];
  if (!first) throw new Refusal('trials-missing', `${measure.name}: at least one trial is needed.`);
  if (trials.some((t) => t.side !== first.side))
    throw new Refusal('trials-mixed-sides', `${measure.name}: left and right are two capacities.`);
  const values = trials.map((t) => t.value);
  for (const value of values) {
    const { min, max } = measure.limits;
    if (trialProblem(measure, value))
      throw new Refusal('trial-out-of-limits', `${measure.name}: ${value} is no trial from ${min} to ${max}.`);
  }
  const combine = options.combine ?? measure.combine;
  const independent = independentTrials(trials);
  const shown = independent.map((t) => t.value);
  const value = combine === 'mean' ? mean(shown) : bestOf(measure, shown);
  const provisional = trials.find((t) => t.provisional)?.provisional;
  return {
    measureId: measure.id,
    side: first.side,
    value: value as Amount,
    ...errorOf(measure, independent, { value, combine, own: options.ownError }),
    trials: independent.length,
    takenAt: options.takenAt,
    ...(provisional ? { provisional } : {}),
  };
}

/**
 * The trials that tell something of their own: readings of one source are one trial, their mean, with the largest of their own errors,
 * which reading twice does not make smaller.
 */
export function independentTrials(trials: readonly Trial[]): readonly Trial[] {
  return trials.flatMap((trial, i) => {
    const { source } = trial;
    if (source === undefined) return [trial];
    const same = trials.filter((t) => t.source === source);
    if (same.length === 1) return [trial];
    if (trials.findIndex((t) => t.source === source) < i) return [];
    return [{ ...trial, value: mean(same.map((t) => t.value)), standardError: Math.max(...same.map((t) => t.standardError ?? 0)) }];
  });
}

type Told = Pick<Capacity, 'band' | 'standardError' | 'errorBasis'>;

interface Shown {
  readonly value: number;
  readonly combine: 'mean' | 'best';
  readonly own: OwnError | undefined;
}

function errorOf({ error, limits }: Measure, trials: readonly Trial[], { value, combine, own }: Shown): Told {
  if (error.kind === 'none') return { band: 0 as Amount, standardError: 0 as Amount, errorBasis: 'level' };
  const unit = error.kind === 'share' ? Math.max(Math.abs(value), limits.step) : 1;
  const source: ErrorSource = own && error.kind === 'amount' ? own.source : 'default';
  const occasion = {
    values: trials.map((t) => t.value / unit),
    combine,
    ...(source === 'default' ? {} : { own }),
  };
  const plain = reachOf(error, occasionError(error, occasion), unit);
  const reading = readingError(trials, { value, combine }) / unit;
  const told = reading > 0 ? reachOf(error, occasionError(error, { ...occasion, reading }), unit) : plain;
  return {
    band: Math.max(plain.band, told.band, limits.step / 2) as Amount,
    standardError: told.standardError as Amount,
    errorBasis: reading > 0 ? `${source}, reading` : source,
  };
}

function reachOf({ kind }: TwoErrors, { standardError, degreesOfFreedom, bestRunsHigh }: ReturnType<typeof occasionError>, unit: number) {
  const reach = bestRunsHigh + studentTQuantile(BAND_CONFIDENCE, degreesOfFreedom) * standardError;
  return { band: unit * (kind === 'share' ? reach / (1 + reach) : reach), standardError: unit * standardError };
}

/** What points picked on a picture, or an instrument, know of their own error: of the mean, or of the trial that counts. */
function readingError(trials: readonly Trial[], { value, combine }: Pick<Shown, 'value' | 'combine'>): number {
  if (combine === 'mean') return Math.hypot(...trials.map((t) => t.standardError ?? 0)) / trials.length;
  return trials.find((t) => t.value === value)?.standardError ?? 0;
}
