import type { Measure } from './measure.ts';

/** What is wrong with a reading as a trial of its check. */
export type TrialProblem = 'no number' | 'below' | 'above' | 'between choices';

/**
 * Why a reading cannot be a trial of this check; nothing when it can.
 *
 * @example trialProblem(library.measure('shoulder-flexion'), 400) // 'above'
 */
export function trialProblem({ limits, choices }: Pick<Measure, 'limits' | 'choices'>, value: unknown): TrialProblem | undefined {
  if (typeof value !== 'number' || !Number.isFinite(value)) return 'no number';
  if (value < limits.min) return 'below';
  if (value > limits.max) return 'above';
  return choices && !Number.isInteger(value) ? 'between choices' : undefined;
}
