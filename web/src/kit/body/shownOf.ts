import type { Rung } from '@myokinet/core/ladders';
import type { ShownDrill } from '@myokinet/core/movements';

/** How a rung is shown: as the drill that practises it. */
export function shownOf({ practice, pose }: Pick<Rung, 'practice' | 'pose'>): ShownDrill {
  return { id: practice, pose };
}

/** A movement as it begins, where that tells more than where it goes. */
export const asBegun = (): number => 0;
