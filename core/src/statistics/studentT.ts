import { Refusal } from '../errors.ts';
import { incompleteBeta } from './incompleteBeta.ts';
import { invertIncreasing } from './invert.ts';

/** Distribution function of Student's t with ν degrees of freedom. */
export function studentTCdf(t: number, degreesOfFreedom: number): number {
  const tail = 0.5 * incompleteBeta(degreesOfFreedom / (degreesOfFreedom + t * t), degreesOfFreedom / 2, 0.5);
  return t > 0 ? 1 - tail : tail;
}

/**
 * The t below which a share `p` of Student's distribution with ν degrees of freedom lies.
 *
 * @param p probability, strictly between 0 and 1
 * @param degreesOfFreedom ν ≥ 1
 * @throws Refusal `probability-out-of-range`, `degrees-of-freedom-out-of-range`
 * @example studentTQuantile(0.95, 6) // 1.943180280515…
 */
export function studentTQuantile(p: number, degreesOfFreedom: number): number {
  if (!(p > 0 && p < 1)) throw new Refusal('probability-out-of-range', `${p} is not strictly between 0 and 1.`);
  if (!(degreesOfFreedom >= 1))
    throw new Refusal('degrees-of-freedom-out-of-range', `${degreesOfFreedom} degrees of freedom: at least 1 is needed.`);
  if (p < 0.5) return -studentTQuantile(1 - p, degreesOfFreedom);
  let high = 1;
  while (studentTCdf(high, degreesOfFreedom) < p) high *= 2;
  return invertIncreasing((t) => studentTCdf(t, degreesOfFreedom), p, 0, high);
}
