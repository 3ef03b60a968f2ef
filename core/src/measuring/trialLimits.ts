import { type Measure, readingInWords } from './measure.ts';

/**
 * Why a reading cannot be a trial of this check, in a sentence naming the limit; nothing when it can.
 *
 * @example trialProblem(library.measure('shoulder-flexion'), 400) // 'Shoulder flexion: 400° is above the limit of 200°.'
 */
export function trialProblem(measure: Measure, value: unknown): string | undefined {
  const { min, max } = measure.limits;
  const say = (figure: number) => readingInWords(measure, figure);
  if (typeof value !== 'number' || !Number.isFinite(value)) return `${measure.name}: a number is needed, from ${say(min)} to ${say(max)}.`;
  if (value < min) return `${measure.name}: ${say(value)} is below the limit of ${say(min)}.`;
  if (value > max) return `${measure.name}: ${say(value)} is above the limit of ${say(max)}.`;
  if (measure.choices && !Number.isInteger(value)) return `${measure.name}: choose one of ${measure.choices.join(', ')}.`;
  return undefined;
}
