import { formatAmount } from '../quantities/index.ts';
import type { Measure } from './measure.ts';

/**
 * Why a reading cannot be a trial of this check, in a sentence naming the limit; nothing when it can.
 *
 * @example trialProblem(measureOf('shoulder-flexion'), 400) // 'Shoulder flexion: 400° is above the limit of 200°.'
 */
export function trialProblem(measure: Measure, value: unknown): string | undefined {
  const { min, max } = measure.limits;
  if (typeof value !== 'number' || !Number.isFinite(value))
    return `${measure.name}: a number is needed, from ${formatAmount(min, measure.unit)} to ${formatAmount(max, measure.unit)}.`;
  if (value < min) return `${measure.name}: ${formatAmount(value, measure.unit)} is below the limit of ${formatAmount(min, measure.unit)}.`;
  if (value > max) return `${measure.name}: ${formatAmount(value, measure.unit)} is above the limit of ${formatAmount(max, measure.unit)}.`;
  return undefined;
}
