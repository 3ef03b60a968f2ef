import type { BodySide } from '../anatomy/index.ts';
import type { Trial } from './capacity.ts';
import { evidenceOf, provisionalOf, type ReadingOrigin } from './evidence.ts';

/**
 * A trial as it counts: its figure, and what its reading knows of its own worth.
 *
 * @param reading absent for a figure that was typed
 * @example trialFrom('left', 160, { kind: 'picture', simulated: false, standardError: 2 }) // { side: 'left', value: 160, standardError: 2 }
 */
export function trialFrom(side: BodySide, value: number, reading?: ReadingOrigin | null): Trial {
  const provisional = provisionalOf(evidenceOf({ by: 'coach', reading }));
  return {
    side,
    value,
    ...(reading?.standardError ? { standardError: reading.standardError } : {}),
    ...(reading?.source ? { source: reading.source } : {}),
    ...(provisional ? { provisional } : {}),
  };
}
