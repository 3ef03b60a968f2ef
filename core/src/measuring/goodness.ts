import type { Measure } from './measure.ts';

/**
 * How good a reading is, as a figure in the measure's unit that grows with it: the reading itself, its opposite, or its distance to
 * the nearer end of the range in which the check is good (negative outside).
 *
 * @example goodness({ better: 'inside', inside: { from: 30, to: 60 } }, 40) // 10
 */
export function goodness({ better, inside }: Pick<Measure, 'better' | 'inside'>, value: number): number {
  if (better === 'inside' && inside) return Math.min(value - inside.from, inside.to - value);
  return better === 'less' ? -value : value;
}

/** The reading that speaks best for the trainee, the first of equals. */
export function bestOf(measure: Pick<Measure, 'better' | 'inside'>, values: readonly number[]): number {
  return values.reduce((best, v) => (goodness(measure, v) > goodness(measure, best) ? v : best), values[0] ?? Number.NaN);
}
