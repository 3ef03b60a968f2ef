import type { Drill } from '../drills/index.ts';
import type { Library } from '../library/index.ts';
import { exclusionByCaution } from '../library/index.ts';
import { type CautionInForce, cautionOf } from '../safety/index.ts';
import type { LeftOut } from './candidates.ts';
import { worksRebuilding } from './usualDose.ts';
import type { PlanNote } from './planNote.ts';

/**
 * What the cautions changed in a plan: a hurt part is worked around, the rest goes on.
 *
 * @example workedAround({ allowed, leftOut, cautions: [wristInjury], library })
 * // [{ code: 'caution', caution: wristInjury, out: 41, reduced: 9, stabilityFirst: false }]
 */
export function workedAround({
  allowed,
  leftOut,
  cautions,
  library,
}: {
  readonly allowed: readonly Drill[];
  readonly leftOut: readonly LeftOut[];
  readonly cautions: readonly CautionInForce[];
  readonly library: Library;
}): readonly PlanNote[] {
  return cautions.flatMap((caution): PlanNote[] => {
    const out = leftOut.filter(({ drillId }) => exclusionByCaution(library.drill(drillId), [caution])).length;
    const reduced = allowed.filter((d) => worksRebuilding(d, [caution])).length;
    const stabilityFirst = cautionOf(caution.id).stabilityFirst === true;
    return out + reduced === 0 && !stabilityFirst ? [] : [{ code: 'caution', caution, out, reduced, stabilityFirst }];
  });
}
