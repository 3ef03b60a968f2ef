import { sideLabel } from '../../anatomy/index.ts';
import { formatAmount } from '../../quantities/index.ts';
import { headroomInWords } from '../../words/index.ts';
import type { Need } from '../needs.ts';

/**
 * A need in words.
 *
 * @example needInWords(need) // 'left shoulder flexion, 7° short (the limiter)'
 */
export function needInWords(need: Need): string {
  const { headroom, measure, limiter, unlike } = need;
  return unlike ? needName(need) : `${needName(need)}, ${headroomInWords(headroom, measure)}${limiter ? ' (the limiter)' : ''}`;
}

/** What is needed, by side and check: `left shoulder flexion`. */
export function needName({ headroom: { side }, measure, unlike }: Pick<Need, 'headroom' | 'measure' | 'unlike'>): string {
  if (unlike) return `${unlike.weaker} ${measure.phrase}, ${formatAmount(unlike.difference, measure.unit)} behind the other side`;
  return `${side === 'whole' ? '' : `${sideLabel(side).toLowerCase()} `}${measure.phrase}`;
}
