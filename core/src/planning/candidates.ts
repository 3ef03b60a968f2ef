import type { Drill } from '../drills/index.ts';
import { exclusion, type Limits } from './exclusion.ts';
import { exclusionInWords } from './mayInWords.ts';

export interface LeftOut {
  readonly drillId: string;
  readonly why: string;
}

/**
 * Why a drill may not be planned, in a sentence; nothing when it may.
 *
 * @example exclusionOf(plank, { cautions: [{ id: 'wrist-injury', … }], … }) // 'Wrist injury, rebuilding: No body weight …'
 */
export function exclusionOf(drill: Drill, limits: Limits): string | undefined {
  const found = exclusion(drill, limits);
  return found && exclusionInWords(found, limits.library);
}

/** The library split into what may be planned and what may not, with reasons. */
export function candidatesFor(limits: Limits): {
  readonly allowed: readonly Drill[];
  readonly leftOut: readonly LeftOut[];
} {
  const allowed: Drill[] = [];
  const leftOut: LeftOut[] = [];
  for (const drill of limits.library.drills) {
    const why = exclusionOf(drill, limits);
    if (why) leftOut.push({ drillId: drill.id, why });
    else allowed.push(drill);
  }
  return { allowed, leftOut };
}
