import { Refusal } from '../errors.ts';
import { invertIncreasing } from './invert.ts';

/** Beyond this the tail is below what a double can hold next to 1. */
const EDGE = 8.5;

/**
 * Standard normal distribution function Φ(z), by the series of Marsaglia, "Evaluating the Normal
 * Distribution", J. Stat. Software 11(4), 2004 (from memory): Φ = ½ + φ(z)(z + z³/3 + z⁵/(3·5) + …).
 *
 * @param z standard score, no unit
 * @example normalCdf(0) // 0.5
 */
export function normalCdf(z: number): number {
  if (z < -EDGE) return 0;
  if (z > EDGE) return 1;
  let sum = z;
  let term = z;
  let previous = Number.NaN;
  for (let odd = 3; sum !== previous; odd += 2) {
    previous = sum;
    term *= (z * z) / odd;
    sum += term;
  }
  return 0.5 + (sum * Math.exp((-z * z) / 2)) / Math.sqrt(2 * Math.PI);
}

/**
 * The standard score below which a share `p` of a normal population lies.
 *
 * @param p probability, strictly between 0 and 1
 * @throws Refusal `probability-out-of-range`
 * @example normalQuantile(0.975) // 1.959963984540054
 */
export function normalQuantile(p: number): number {
  if (!(p > 0 && p < 1)) throw new Refusal('probability-out-of-range', `${p} is not strictly between 0 and 1.`);
  return invertIncreasing(normalCdf, p, -EDGE, EDGE);
}
