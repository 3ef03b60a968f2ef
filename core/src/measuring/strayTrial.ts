import { normalQuantile } from '../statistics/index.ts';
import { goodness } from './goodness.ts';
import type { Measure } from './measure.ts';

/** A trial that does not agree with the others. */
export interface StrayTrial {
  /** Index among the values given. */
  readonly index: number;
  /** How far it lies from the middle of the others, in the measure's unit. */
  readonly off: number;
}

const TWO_SIDED_99 = normalQuantile(0.995);

/**
 * The trial that lies farther from the others than two readings of the same thing may, if there is
 * one: beyond 2.58·√2 times the scatter within an occasion. Where the best go counts, only a later go
 * that is far better is looked at: tiring is no mistake.
 *
 * @param within the coach's own scatter from trial to trial, instead of the check's default
 * @example strayTrial(library.measure('shoulder-flexion'), [158, 160, 169])?.index // 2
 */
export function strayTrial(measure: Measure, values: readonly number[], within?: number): StrayTrial | undefined {
  if (values.length < 2) return undefined;
  const candidates = values.map((value, index) => {
    const others = values.filter((_, i) => i !== index).toSorted((a, b) => a - b);
    const middle = ((others[Math.floor((others.length - 1) / 2)] ?? value) + (others[Math.ceil((others.length - 1) / 2)] ?? value)) / 2;
    return { index, off: Math.abs(value - middle), better: goodness(measure, value) > goodness(measure, middle), middle };
  });
  const suspects = measure.combine === 'best' ? candidates.filter((c) => c.better && c.index > 0) : candidates;
  // Of two that disagree, the later one is asked for again.
  const worst = suspects.reduce<(typeof candidates)[number] | undefined>((a, b) => (a && a.off > b.off ? a : b), undefined);
  if (!worst || worst.off <= allowed(measure, worst.middle, within)) return undefined;
  const { index, off } = worst;
  return { index, off };
}

function allowed({ error, limits }: Measure, middle: number, own: number | undefined): number {
  if (error.kind === 'none') return Infinity;
  const within = error.kind === 'share' ? error.within * Math.abs(middle) : (own ?? error.within);
  return TWO_SIDED_99 * Math.SQRT2 * Math.max(within, limits.step / 2);
}
