import type { Library } from '../library/index.ts';
import { type BeyondShown, LOAD_CHECKS, type ShownBy } from './shown.ts';

const BY_WORDS: Readonly<Record<ShownBy, string>> = {
  check: 'was tolerated at the last check, its band taken off',
  work: 'was carried clean in the last weeks',
  rung: 'is what the signed rung puts on them',
  entry: 'is where anybody begins',
};

/**
 * That a drill asks more of the hands than was shown, and what helps.
 *
 * @example beyondInWords({ direction: 'push', share: 0.69, shown: { share: 0.45, by: 'entry' } }, library)
 * // 'Puts 69% of body weight on the hands; 45% is where anybody begins. Check “Hand load tolerated, pushing” first.'
 */
export function beyondInWords(
  { direction, share, shown }: BeyondShown,
  { hasMeasure, measure }: Pick<Library, 'hasMeasure' | 'measure'>,
): string {
  const after = shown.afterDays === undefined ? '' : `, and less for ${shown.afterDays} days without load`;
  const check = LOAD_CHECKS[direction];
  const first = hasMeasure(check) ? ` Check “${measure(check).name}” first.` : '';
  return `Puts ${percent(share)} of body weight on the hands; ${percent(shown.share)} ${BY_WORDS[shown.by]}${after}.${first}`;
}

const percent = (share: number) => `${Math.round(share * 100)}%`;
