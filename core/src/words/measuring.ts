import {
  type Capacity,
  type ErrorSource,
  type Measure,
  type OwnError,
  type Provisional,
  formatReading,
  type StrayTrial,
  trialProblem,
} from '../measuring/index.ts';
import { formatBand } from '../quantities/index.ts';

/** Why a reading opens no gate. */
export const PROVISIONAL_WORDS: Readonly<Record<Provisional, string>> = {
  simulated: 'read from a simulated instrument, which opens no gate',
  suggested: 'read from points that a model saw and nobody has placed, which opens no gate',
  'in a session': 'shown in a session and not in a check of its own, which opens no gate',
};

const SOURCE: Readonly<Record<ErrorSource, string>> = {
  default: 'default errors of the check',
  'own trials': 'the coach’s own scatter and the default error between occasions',
  'own test': 'the coach’s own repeatability test',
};

/**
 * What an error band rests on.
 *
 * @example errorBasisInWords({ errorBasis: 'default, reading', trials: 3 })
 * // 'default errors of the check and 3 trials, and the reading’s own error'
 */
export function errorBasisInWords({ errorBasis, trials }: Pick<Capacity, 'errorBasis' | 'trials'>): string {
  if (errorBasis === 'level') return 'a level, without an error band';
  const [source = errorBasis, reading] = errorBasis.split(', ');
  // What was signed before the basis was a code says itself.
  if (!Object.hasOwn(SOURCE, source)) return errorBasis;
  const said = `${SOURCE[source as ErrorSource]} and ${trials} ${trials === 1 ? 'trial' : 'trials'}`;
  return reading ? `${said}, and the reading’s own error` : said;
}

/** Where a coach's own measuring error comes from. */
export function ownErrorInWords({ from }: Pick<OwnError, 'from'>): string {
  return 'targets' in from
    ? `a repeatability test on ${from.targets} sides or bodies`
    : `${from.sets} sets of repeated trials on ${from.trainees} trainees`;
}

/**
 * Why a reading cannot be a trial of this check, in a sentence naming the limit; nothing when it can.
 *
 * @example trialProblemInWords(library.measure('shoulder-flexion'), 400) // 'Shoulder flexion: 400° is above the limit of 200°.'
 */
export function trialProblemInWords(measure: Measure, value: unknown): string | undefined {
  const { min, max } = measure.limits;
  const say = (figure: number) => formatReading(measure, figure);
  switch (trialProblem(measure, value)) {
    case 'no number':
      return `${measure.name}: a number is needed, from ${say(min)} to ${say(max)}.`;
    case 'below':
      return `${measure.name}: ${say(value as number)} is below the limit of ${say(min)}.`;
    case 'above':
      return `${measure.name}: ${say(value as number)} is above the limit of ${say(max)}.`;
    case 'between choices':
      return `${measure.name}: choose one of ${measure.choices?.join(', ') ?? ''}.`;
    case undefined:
      return undefined;
  }
}

/**
 * A trial that does not agree with the others.
 *
 * @param ordinal which trial it is, counted from 0
 * @example strayInWords({ ordinal: 2, off: 9 }, library.measure('shoulder-flexion')) // 'Trial 3 is 9° off the others: measure again?'
 */
export function strayInWords(
  { ordinal, off }: { readonly ordinal: number } & Pick<StrayTrial, 'off'>,
  { unit }: Pick<Measure, 'unit'>,
): string {
  return `Trial ${ordinal + 1} is ${formatBand(off, unit)} off the others: measure again?`;
}
