import fDistribution from '@stdlib/stats-base-dists-f-cdf';
import fInverse from '@stdlib/stats-base-dists-f-quantile';
import normalDistribution from '@stdlib/stats-base-dists-normal-cdf';
import normalInverse from '@stdlib/stats-base-dists-normal-quantile';
import tDistribution from '@stdlib/stats-base-dists-t-cdf';
import tInverse from '@stdlib/stats-base-dists-t-quantile';
import { Refusal } from '../errors.ts';

/**
 * Standard normal distribution function Φ(z).
 *
 * @param z standard score, no unit
 * @example normalCdf(0) // 0.5
 */
export function normalCdf(z: number): number {
  return normalDistribution(z, 0, 1);
}

/**
 * The standard score below which a share `p` of a normal population lies.
 *
 * @param p probability, strictly between 0 and 1
 * @throws Refusal `probability-out-of-range`
 * @example normalQuantile(0.975) // 1.959963984540054
 */
export function normalQuantile(p: number): number {
  return normalInverse(asProbability(p), 0, 1);
}

/** Distribution function of Student's t with ν degrees of freedom. */
export function studentTCdf(t: number, degreesOfFreedom: number): number {
  return tDistribution(t, degreesOfFreedom);
}

/** Quantiles that were asked for: every verdict asks for the same few, and one takes a fifth of a millisecond. */
const KNOWN = new Map<string, number>();
const MOST_KNOWN = 1000;

/**
 * The t below which a share `p` of Student's distribution with ν degrees of freedom lies.
 *
 * @param p probability, strictly between 0 and 1
 * @param degreesOfFreedom ν ≥ 1, fractions too
 * @throws Refusal `probability-out-of-range`, `degrees-of-freedom-out-of-range`
 * @example studentTQuantile(0.95, 6) // 1.943180280515…
 */
export function studentTQuantile(p: number, degreesOfFreedom: number): number {
  if (!(degreesOfFreedom >= 1))
    throw new Refusal('degrees-of-freedom-out-of-range', `${degreesOfFreedom} degrees of freedom: at least 1 is needed.`);
  const key = `${p} ${degreesOfFreedom}`;
  const known = KNOWN.get(key);
  if (known !== undefined) return known;
  const t = tInverse(asProbability(p), degreesOfFreedom);
  if (KNOWN.size < MOST_KNOWN) KNOWN.set(key, t);
  return t;
}

/** Distribution function of Fisher's F. */
export function fCdf(x: number, numerator: number, denominator: number): number {
  return fDistribution(x, numerator, denominator);
}

/**
 * The F below which a share `p` of Fisher's distribution lies.
 *
 * @param p probability, strictly between 0 and 1
 * @param numerator degrees of freedom above the line, > 0
 * @param denominator degrees of freedom below the line, > 0
 * @throws Refusal `probability-out-of-range`
 * @example fQuantile(0.95, 5, 10) // 3.3258
 */
export function fQuantile(p: number, numerator: number, denominator: number): number {
  return fInverse(asProbability(p), numerator, denominator);
}

function asProbability(p: number): number {
  if (!(p > 0 && p < 1)) throw new Refusal('probability-out-of-range', `${p} is not strictly between 0 and 1.`);
  return p;
}
