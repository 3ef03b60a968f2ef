import type { BodySide } from '../anatomy/index.ts';
import { Refusal } from '../errors.ts';
import type { Amount, Instant } from '../quantities/index.ts';
import { normalQuantile, studentTQuantile } from '../statistics/index.ts';
import { bestOf } from './goodness.ts';
import type { ErrorModel, Measure } from './measure.ts';
import type { OwnError } from './ownError.ts';
import type { Provisional } from './provisional.ts';
import { trialProblem } from './trialLimits.ts';

/** One reading of one side. */
export interface Trial {
  readonly side: BodySide;
  readonly value: number;
  /** Standard error of this reading itself, where it is known: landmarks picked on a picture. */
  readonly standardError?: number;
  readonly provisional?: Provisional;
}

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
  /** Where the band comes from, for the coach. */
  readonly errorBasis: string;
  /** Set when one of the trials may not open a gate. */
  readonly provisional?: Provisional;
}

export interface CapacityOptions {
  readonly takenAt: Instant;
  /** Overrides how the trials are combined. */
  readonly combine?: 'mean' | 'best';
  /** The coach's own measuring error, once estimated; replaces the default. */
  readonly ownError?: Pick<OwnError, 'sem' | 'degreesOfFreedom'> | undefined;
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
 * Ranges and grip: the mean of n trials. The default standard error s₀ (worth ν₀ degrees of
 * freedom) is pooled with the trials' own scatter, s² = (ν₀s₀² + (n−1)s_t²)/(ν₀+n−1), and the band
 * is t₀.₉₅,ν·s/√n with ν = ν₀+n−1 (project choice, classical pooling). Best-of keeps the error of a
 * single reading. Holds and counts: the best trial, with a share of the value or a fixed amount.
 * Where the readings bring an error of their own (pictures, instruments), it comes on top in quadrature.
 *
 * @param measure the check that was taken
 * @param trials one or more readings of one side, in the measure's unit
 * @param options when it was taken, and the coach's choices
 * @throws Refusal `trials-missing`, `trials-mixed-sides`, `trial-out-of-limits`
 * @example
 * capacityFromTrials(library.measure('shoulder-flexion'), [158, 160, 162].map((value) => ({ side: 'left', value })), { takenAt })
 * // value 160, band 2.87 (s = √((4·2.8² + 2·2²)/6) = 2.56, t = 1.943)
 */
export function capacityFromTrials(measure: Measure, trials: readonly Trial[], options: CapacityOptions): Capacity {
  const first = trials[0];
  if (!first) throw new Refusal('trials-missing', `${measure.name}: at least one trial is needed.`);
  if (trials.some((t) => t.side !== first.side))
    throw new Refusal('trials-mixed-sides', `${measure.name}: left and right are two capacities.`);
  const values = trials.map((t) => t.value);
  for (const value of values) {
    const problem = trialProblem(measure, value);
    if (problem) throw new Refusal('trial-out-of-limits', problem);
  }
  const combine = options.combine ?? measure.combine;
  const value = combine === 'mean' ? mean(values) : bestOf(measure, values);
  const { band, standardError, basis } = widened(
    errorOf(effectiveError(measure.error, options), { values, value, combine, smallest: measure.limits.step }),
    trials,
    { value, combine },
  );
  const provisional = trials.find((t) => t.provisional)?.provisional;
  return {
    measureId: measure.id,
    side: first.side,
    value: value as Amount,
    band: band as Amount,
    standardError: standardError as Amount,
    trials: values.length,
    takenAt: options.takenAt,
    errorBasis: basis,
    ...(provisional ? { provisional } : {}),
  };
}

/** A coach's own error stands in for a default standard error; holds, counts and levels keep theirs. */
function effectiveError(model: ErrorModel, { ownError }: CapacityOptions): ErrorModel & { own?: boolean } {
  return ownError && model.kind === 'scatter'
    ? { kind: 'scatter', sem: ownError.sem, degreesOfFreedom: ownError.degreesOfFreedom, own: true }
    : model;
}

interface Told {
  readonly band: number;
  readonly standardError: number;
  readonly basis: string;
}

/**
 * What the readings know about their own error (points picked on a picture, an instrument) comes on top, in quadrature, and the
 * multiplier stays the same: it can only widen a band.
 */
function widened(told: Told, trials: readonly Trial[], { value, combine }: Pick<Reading, 'value' | 'combine'>): Told {
  const errors = trials.map((t) => t.standardError ?? 0);
  const best = trials.find((t) => t.value === value)?.standardError ?? 0;
  const own = combine === 'mean' ? Math.hypot(...errors) / trials.length : best;
  if (own === 0) return told;
  const standardError = Math.hypot(told.standardError, own);
  const multiplier = told.standardError > 0 ? told.band / told.standardError : ONE_SIDED_95;
  return { band: multiplier * standardError, standardError, basis: `${told.basis}, and the reading’s own error` };
}

interface Reading {
  readonly values: readonly number[];
  readonly value: number;
  readonly combine: 'mean' | 'best';
  /** The instrument's resolution: a band is never finer. */
  readonly smallest: number;
}

function errorOf(model: ErrorModel & { own?: boolean }, { values, value, combine, smallest }: Reading): Told {
  const n = values.length;
  if (model.kind === 'scatter') {
    const degreesOfFreedom = model.degreesOfFreedom + n - 1;
    const pooled = Math.sqrt((model.degreesOfFreedom * model.sem ** 2 + sumOfSquares(values)) / degreesOfFreedom);
    const standardError = combine === 'mean' ? pooled / Math.sqrt(n) : pooled;
    const band = studentTQuantile(BAND_CONFIDENCE, degreesOfFreedom) * standardError;
    const trials = `${n} ${n === 1 ? 'trial' : 'trials'}`;
    return {
      band,
      standardError,
      basis: model.own ? `coach’s own measuring error and ${trials}` : `default measuring error and ${trials}`,
    };
  }
  if (model.kind === 'none') return { band: 0, standardError: 0, basis: 'a level, without an error band' };
  const band = model.kind === 'share' ? Math.max(model.share * value, smallest) : model.amount;
  const basis = model.kind === 'share' ? `default error of ${Math.round(model.share * 100)}% of a hold` : 'default error of the check';
  return { band, standardError: band / ONE_SIDED_95, basis };
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, v) => sum + v, 0) / values.length;
}

/** Sum of squared deviations from the mean: (n−1)·s². */
export function sumOfSquares(values: readonly number[]): number {
  const centre = mean(values);
  return values.reduce((sum, v) => sum + (v - centre) ** 2, 0);
}
