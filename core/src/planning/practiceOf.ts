import type { Drill } from '../drills/index.ts';
import type { Library } from '../library/index.ts';
import type { Foothold } from './exclusion.ts';

/**
 * What the weeks practise, so that sessions count for the next gate: the practice of the rung in hand; below the ladder the hardest
 * drill of its preparation that may be planned. After a layoff it is that of a lower rung.
 *
 * @param allowed drills that may be planned
 * @example practiceOf({ ladderId: 'push-up', here: -1, shown }, library, allowed) // 'tabletop-scapular-push-up'
 */
export function practiceOf({ ladderId, here, shown }: Foothold, library: Library, allowed: readonly Drill[]): string | undefined {
  const { rungs, preparation = [] } = library.ladder(ladderId);
  return rungs[here - shown.rungsDown]?.practice ?? preparation.findLast((id) => allowed.some((d) => d.id === id));
}
