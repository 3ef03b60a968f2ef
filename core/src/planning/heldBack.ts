import type { Library } from '../library/index.ts';
import type { PlanNote } from './planNote.ts';
import { beyondShown, DIRECTIONS, isWaiting, LOAD_CHECKS, type Shown } from './shown.ts';

/**
 * Which way the hands are held back in a plan, and which check would open it; nothing where no drill waits for it.
 *
 * @example heldBack(shown, library)[0] // { code: 'held back', direction: 'push', waiting: 48, check: 'load-tolerated-push', … }
 */
export function heldBack(shown: Shown, { drills, hasMeasure }: Pick<Library, 'drills' | 'hasMeasure'>): readonly PlanNote[] {
  return DIRECTIONS.flatMap((direction): PlanNote[] => {
    const { by, afterDays } = shown[direction];
    if (by !== 'entry' && !isWaiting(by) && afterDays === undefined) return [];
    const waits = (d: Library['drills'][number]) => {
      const beyond = beyondShown(d, shown);
      return beyond?.what === 'load' && beyond.direction === direction;
    };
    const waiting = drills.filter((d) => !d.rung && waits(d)).length;
    if (waiting === 0) return [];
    const check = LOAD_CHECKS[direction];
    const opens = !isWaiting(by) && hasMeasure(check) ? { check } : {};
    return [{ code: 'held back', direction, shown: shown[direction], waiting, ...opens }];
  });
}
