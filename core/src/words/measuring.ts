import type { Capacity, ErrorSource, OwnError } from '../measuring/index.ts';

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
