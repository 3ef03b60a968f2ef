/**
 * How far a capacity may be off: two errors, kept apart. `within` is the scatter from trial to trial of one occasion, `between` what
 * placing the instrument anew and the day add; more trials shrink only the first. Both are standard deviations.
 * - `amount`: in the measure's unit
 * - `share`: as shares of the figure
 * - `none`: a level, a grade or a named contact: it is what it is
 */
export type ErrorModel =
  | {
      readonly kind: 'amount' | 'share';
      readonly within: number;
      readonly between: number;
      /** What the default scatter is worth against the trials' own. */
      readonly degreesOfFreedom: number;
    }
  | { readonly kind: 'none' };

export type TwoErrors = Exclude<ErrorModel, { kind: 'none' }>;

/** What is known of a coach's own errors; what is absent stays the check's default. */
export interface KnownErrors {
  /** From trial to trial of one occasion. */
  readonly within?: { readonly sd: number; readonly degreesOfFreedom: number };
  /** Of a whole occasion with so many trials, the instrument placed anew: only a test on two occasions knows it. */
  readonly occasion?: { readonly sem: number; readonly trials: number; readonly degreesOfFreedom: number };
}

/** The trials of one occasion, in the unit of the error (shares of their mean where it is a share). */
interface Occasion {
  readonly values: readonly number[];
  readonly combine: 'mean' | 'best';
  /** Standard error that the readings themselves bring: points on a picture, an instrument. */
  readonly reading?: number;
  readonly own?: KnownErrors | undefined;
}

/** The error of what an occasion showed. */
export interface OccasionError {
  readonly standardError: number;
  readonly degreesOfFreedom: number;
  /** How far the best of several trials is expected to lie beyond what a single one shows. */
  readonly bestRunsHigh: number;
}

/**
 * Expected maximum and standard deviation of the maximum of n standard normal values, n = 1 … 10 (Harter 1961, from memory; the test
 * holds them against simulation).
 */
const MAXIMUM = [
  { mean: 0, sd: 1 },
  { mean: 0.5642, sd: 0.8256 },
  { mean: 0.8463, sd: 0.748 },
  { mean: 1.0294, sd: 0.7012 },
  { mean: 1.163, sd: 0.669 },
  { mean: 1.2672, sd: 0.6449 },
  { mean: 1.3522, sd: 0.626 },
  { mean: 1.4236, sd: 0.6107 },
  { mean: 1.485, sd: 0.5978 },
  { mean: 1.5388, sd: 0.5868 },
] as const;

/** Beyond it a t quantile is the normal one within 0.5 %. */
const MOST_DEGREES_OF_FREEDOM = 200;

interface Term {
  readonly variance: number;
  readonly degreesOfFreedom: number;
}

/**
 * The standard error of one occasion. SE² = s_b² + s_w²/n for a mean; s_b² + c_n²·s_w² for the best of n, where c_n is the standard
 * deviation of a maximum. s_w² pools the default (or the coach's own scatter) with the trials at hand; a default s_b is taken as known.
 * A coach's own test of m trials an occasion takes the place of s_b² + s_w²/m. Degrees of freedom by Satterthwaite (1946, from memory),
 * rounded down.
 *
 * @param model the check's two errors
 * @param occasion its trials, how they are combined, and what else is known of their error
 * @example
 * occasionError({ kind: 'amount', within: 1.5, between: 3, degreesOfFreedom: 4 }, { values: [160], combine: 'mean' })
 * // { standardError: 3.35, degreesOfFreedom: 100, bestRunsHigh: 0 }
 */
export function occasionError(model: TwoErrors, { values, combine, reading = 0, own }: Occasion): OccasionError {
  const n = values.length;
  const within = pooledWithin(own?.within ?? { sd: model.within, degreesOfFreedom: model.degreesOfFreedom }, values);
  const maximum = MAXIMUM[Math.min(n, MAXIMUM.length) - 1] ?? MAXIMUM[0];
  const shareOfOne = combine === 'mean' ? 1 / n : maximum.sd ** 2;
  const terms: Term[] = [{ variance: reading ** 2, degreesOfFreedom: Infinity }];
  let variance = reading ** 2;
  const scatter = within.variance * shareOfOne;
  if (own?.occasion) {
    const { sem, trials, degreesOfFreedom } = own.occasion;
    const more = within.variance * (shareOfOne - 1 / trials);
    terms.push({ variance: sem ** 2, degreesOfFreedom }, { variance: more, degreesOfFreedom: within.degreesOfFreedom });
    // Where all of it came from trial to trial, more trials would shrink all of it, and never more than that.
    variance += Math.max(sem ** 2 + more, sem ** 2 * Math.min(1, trials * shareOfOne));
  } else {
    terms.push(
      { variance: model.between ** 2, degreesOfFreedom: Infinity },
      { variance: scatter, degreesOfFreedom: within.degreesOfFreedom },
    );
    variance += model.between ** 2 + scatter;
  }
  return {
    standardError: Math.sqrt(variance),
    degreesOfFreedom: satterthwaite(variance, terms),
    bestRunsHigh: combine === 'best' ? maximum.mean * Math.sqrt(within.variance) : 0,
  };
}

/** (Σ terms)² ÷ Σ(term² ÷ ν), a whole number from 1 to 200. */
function satterthwaite(variance: number, terms: readonly Term[]): number {
  const uncertain = terms.reduce((sum, t) => sum + t.variance ** 2 / t.degreesOfFreedom, 0);
  const exact = uncertain > 0 ? variance ** 2 / uncertain : MOST_DEGREES_OF_FREEDOM;
  // A whole number that is hit but for rounding counts as hit.
  return Math.max(1, Math.min(MOST_DEGREES_OF_FREEDOM, Math.floor(exact + 1e-9)));
}

function pooledWithin(
  { sd, degreesOfFreedom }: { readonly sd: number; readonly degreesOfFreedom: number },
  values: readonly number[],
): Term {
  const pooled = degreesOfFreedom + values.length - 1;
  return { variance: (degreesOfFreedom * sd ** 2 + sumOfSquares(values)) / pooled, degreesOfFreedom: pooled };
}

/** Arithmetic mean. */
export function mean(values: readonly number[]): number {
  return values.reduce((sum, v) => sum + v, 0) / values.length;
}

/** Sum of squared deviations from the mean: (n−1)·s². */
export function sumOfSquares(values: readonly number[]): number {
  const centre = mean(values);
  return values.reduce((sum, v) => sum + (v - centre) ** 2, 0);
}
