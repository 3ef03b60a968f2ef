import type { Feeling } from '../readiness/index.ts';

/**
 * The amount that a set done by feel stands for. Nobody counts by feel: the hands' load is reckoned with the top of the dose, or
 * with its bottom where it was too much.
 *
 * @example amountByFeel('right', { min: 5, max: 10 }) // 10
 */
export function amountByFeel(feeling: Feeling, { min, max }: { readonly min: number; readonly max: number }): number {
  return feeling === 'too easy' || feeling === 'right' ? max : min;
}
