import { Refusal } from '../errors.ts';
import { HANG_AND_SWING } from './hangAndSwing.ts';
import type { Ladder, Rung } from './ladder.ts';
import { PUSH_UP } from './pushUp.ts';

export const LADDERS: readonly Ladder[] = [HANG_AND_SWING, PUSH_UP];

/**
 * The ladder of this id.
 *
 * @throws Refusal `ladder-unknown`
 */
export function ladderOf(id: string): Ladder {
  const ladder = LADDERS.find((l) => l.id === id);
  if (!ladder) throw new Refusal('ladder-unknown', `There is no ladder called "${id}".`);
  return ladder;
}

/**
 * A rung of a ladder.
 *
 * @throws Refusal `ladder-unknown`
 */
export function rungOf(ladderId: string, rungId: string): Rung {
  const rung = ladderOf(ladderId).rungs.find((r) => r.id === rungId);
  if (!rung) throw new Refusal('ladder-unknown', `The ladder "${ladderId}" has no rung called "${rungId}".`);
  return rung;
}
