import type { Demand, RungDemand } from '../ladders/index.ts';
import { formatReading, type Measure } from '../measuring/index.ts';
import { amount } from '../quantities/index.ts';

/**
 * A demand in words.
 *
 * @example demandInWords({ direction: 'at least', value: 165 }, library.measure('shoulder-flexion')) // 'at least 165°'
 * @example demandInWords({ direction: 'within', value: 30, upTo: 60 }, library.measure('elbow-crease')) // 'from 30° to 60°'
 */
export function demandInWords({ direction, value, upTo }: Pick<Demand, 'direction' | 'value' | 'upTo'>, measure: Measure): string {
  const figure = formatReading(measure, value);
  return direction === 'within' ? `from ${figure} to ${formatReading(measure, upTo ?? value)}` : `${direction} ${figure}`;
}

/** A demand as a ladder writes it, before it is turned to one trainee: `at least 40% of body mass`. */
export function rungDemandInWords(asked: RungDemand, measure: Measure): string {
  const { direction, value, upTo, unit, per } = asked;
  if (per === 'bodyMass') return `${direction} ${percent(value)} of body mass`;
  if (per === 'setUpLoad')
    return `${direction} ${value === 1 ? '' : `${percent(value)} of `}what this rung puts on ${measure.sided ? 'one hand' : 'the hands'}`;
  return demandInWords({ direction, value: amount(value, unit), ...(upTo === undefined ? {} : { upTo: amount(upTo, unit) }) }, measure);
}

const percent = (share: number) => `${Math.round(share * 100)}%`;
