import { Refusal } from '../errors.ts';
import { incompleteBeta } from './incompleteBeta.ts';
import { invertIncreasing } from './invert.ts';

/** Distribution function of Fisher's F. */
export function fCdf(x: number, numerator: number, denominator: number): number {
  return x <= 0 ? 0 : incompleteBeta((numerator * x) / (numerator * x + denominator), numerator / 2, denominator / 2);
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
  if (!(p > 0 && p < 1)) throw new Refusal('probability-out-of-range', `${p} is not strictly between 0 and 1.`);
  let high = 1;
  while (fCdf(high, numerator, denominator) < p) high *= 2;
  return invertIncreasing((x) => fCdf(x, numerator, denominator), p, 0, high);
}
