import { shortDay } from '../quantities/index.ts';
import { SCREENING_FRESH_DAYS, type ScreeningLock } from '../safety/index.ts';
import { cautionInWords } from './cautions.ts';

/**
 * Why the screening closes every gate, in a sentence.
 *
 * @example lockInWords({ code: 'never-screened' }, now) // 'The screening before training has not been answered yet.'
 */
export function lockInWords(lock: ScreeningLock, now: Date): string {
  switch (lock.code) {
    case 'never-screened':
      return 'The screening before training has not been answered yet.';
    case 'screening-stale':
      return `The screening was last answered on ${shortDay(lock.takenAt, now)}, more than ${SCREENING_FRESH_DAYS} days ago. Ask again.`;
    case 'screening-partial':
      return `${lock.unasked} ${lock.unasked === 1 ? 'question' : 'questions'} of the screening ${lock.unasked === 1 ? 'was' : 'were'} never asked. Complete it.`;
    case 'caution':
      return cautionInWords(lock.caution);
  }
}
