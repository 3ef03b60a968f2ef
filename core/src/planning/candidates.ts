import type { Drill } from '../drills/index.ts';
import { type Exclusion, exclusion, type Limits } from './exclusion.ts';

/** Why a drill is not in a plan: it may not be, or the coach never wants it. */
export type LeftOutBecause = Exclusion | { readonly kind: 'never' };

export interface LeftOut {
  readonly drillId: string;
  readonly because: LeftOutBecause;
}

/** The library split into what may be planned and what may not, with reasons. */
export function candidatesFor(limits: Limits): {
  readonly allowed: readonly Drill[];
  readonly leftOut: readonly LeftOut[];
} {
  const allowed: Drill[] = [];
  const leftOut: LeftOut[] = [];
  for (const drill of limits.library.drills) {
    const because = exclusion(drill, limits);
    if (because) leftOut.push({ drillId: drill.id, because });
    else allowed.push(drill);
  }
  return { allowed, leftOut };
}
