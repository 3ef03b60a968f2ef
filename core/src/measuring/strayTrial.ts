import { formatBand } from '../quantities/index.ts';
import { normalQuantile } from '../statistics/index.ts';
import { goodness } from './goodness.ts';
import type { Measure } from './measure.ts';

/** A trial that does not agree with the others. */
export interface StrayTrial {
  /** Index among the values given. */
  readonly index: number;
  /** How far it lies from the middle of the others, in the measure's unit. */
  readonly off: number;
  /** `Trial 3 is 9° off the others: measure again?` */
  readonly sentence: string;
}

const TWO_SIDED_95 = normalQuantile(0.975);
/** Bands of a hold or a count within which goes of the same body differ (project default). */
const USUAL_SPREAD = 3;

/**
 * The trial that lies farther from the others than two readings of the same thing may, if there is
 * one: beyond 1.96·√2·SEM for ranges, beyond three error bands for holds and counts. Where the best
 * go counts, only a later go that is far better is looked at: tiring is no mistake.
 *
 * @param sem the coach's own measuring error, instead of the check's default
 * @example strayTrial(library.measure('shoulder-flexion'), [158, 160, 169])?.index // 2
 */
export function strayTrial(measure: Measure, values: readonly number[], sem?: number): StrayTrial | undefined {
  if (values.length < 2) return undefined;
  const candidates = values.map((value, index) => {
    const others = values.filter((_, i) => i !== index).toSorted((a, b) => a - b);
    const middle = ((others[Math.floor((others.length - 1) / 2)] ?? value) + (others[Math.ceil((others.length - 1) / 2)] ?? value)) / 2;
    return { index, off: Math.abs(value - middle), better: goodness(measure, value) > goodness(measure, middle), middle };
  });
  const suspects = measure.combine === 'best' ? candidates.filter((c) => c.better && c.index > 0) : candidates;
  // Of two that disagree, the later one is asked for again.
  const worst = suspects.reduce<(typeof candidates)[number] | undefined>((a, b) => (a && a.off > b.off ? a : b), undefined);
  if (!worst || worst.off <= allowed(measure, worst.middle, sem)) return undefined;
  const { index, off } = worst;
  return { index, off, sentence: `Trial ${index + 1} is ${formatBand(off, measure.unit)} off the others: measure again?` };
}

function allowed({ error, limits }: Measure, middle: number, sem: number | undefined): number {
  switch (error.kind) {
    case 'scatter':
      return TWO_SIDED_95 * Math.SQRT2 * (sem ?? error.sem);
    case 'share':
      return USUAL_SPREAD * Math.max(error.share * middle, limits.step);
    case 'fixed':
      return USUAL_SPREAD * error.amount;
    case 'none':
      return Infinity;
  }
}
