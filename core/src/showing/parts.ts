import type { MovePart } from '../drills/index.ts';
import type { Movement, Travel } from '../motion/index.ts';

/** How far along a movement each of its parts is told best; of one that goes round, along the round. */
const ALONG: Readonly<Record<MovePart, Travel>> = { start: 0, out: 0.6, hold: 1, back: 0.25, finish: 0 };
const ROUND: Readonly<Record<MovePart, Travel>> = { start: 0, out: 0.25, hold: 0.5, back: 0.75, finish: 0 };

/**
 * Where along a movement a part of it is shown.
 *
 * @param told the parts that are told: without a hold of its own, the way out is shown at its end
 * @example partTravel(movementOf(plank), 'start', ['start', 'hold']) // 0
 */
export function partTravel({ round }: Pick<Movement, 'round'>, part: MovePart, told: readonly MovePart[]): Travel {
  if (round) return ROUND[part];
  return part === 'out' && !told.includes('hold') ? 1 : ALONG[part];
}
