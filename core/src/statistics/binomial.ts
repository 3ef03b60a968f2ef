import { Refusal } from '../errors.ts';
import { fQuantile } from './distributions.ts';

/**
 * The exact interval of a share (Clopper and Pearson 1934, by quantiles of F).
 *
 * @param hits 0 … n
 * @param n trials, at least 1
 * @param confidence two-sided, strictly between 0 and 1
 * @throws Refusal `count-out-of-range`
 * @example binomialInterval(2, 10, 0.95) // { from: 0.0252, to: 0.5561 }
 */
export function binomialInterval(hits: number, n: number, confidence: number): { readonly from: number; readonly to: number } {
  if (!Number.isInteger(hits) || !Number.isInteger(n) || n < 1 || hits < 0 || hits > n)
    throw new Refusal('count-out-of-range', `${hits} of ${n} is no count of hits.`);
  const tail = (1 - confidence) / 2;
  const misses = n - hits;
  const lower = hits === 0 ? 0 : 1 / (1 + (misses + 1) / (hits * fQuantile(tail, 2 * hits, 2 * (misses + 1))));
  const odds = misses === 0 ? Infinity : ((hits + 1) * fQuantile(1 - tail, 2 * (hits + 1), 2 * misses)) / misses;
  return { from: lower, to: misses === 0 ? 1 : odds / (1 + odds) };
}
