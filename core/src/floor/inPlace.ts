import type { Dose } from '../drills/index.ts';
import type { Step } from './steps.ts';

/**
 * The dose of a drill that takes the place of the one in hand: the sets that are left, as far as it may have so many.
 *
 * @param may what it may have of a whole session
 * @example inPlaceOf({ round: 2, rounds: 4, … }, { sets: 1, min: 5, max: 8, restSeconds: 40 }).sets // 2: one was done, one is left
 */
export function inPlaceOf({ round, rounds }: Pick<Step, 'round' | 'rounds'>, { sets, min, max, restSeconds }: Dose): Dose {
  const before = round - 1;
  return { sets: before + Math.min(rounds - before, sets), min, max, restSeconds };
}
