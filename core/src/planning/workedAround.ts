import type { Drill } from '../drills/index.ts';
import type { Library } from '../library/index.ts';
import { exclusionByCaution } from '../library/index.ts';
import { type CautionInForce, cautionOf } from '../safety/index.ts';
import type { LeftOut } from './candidates.ts';
import { worksRebuilding } from './usualDose.ts';
import { CAUTION_WORDS } from '../words/index.ts';

/**
 * What the cautions changed in a plan, in sentences: a hurt part is worked around, the rest goes on.
 *
 * @example workedAround({ allowed, leftOut, cautions: [wristInjury], library })
 * // ['Wrist injury, rebuilding: 41 drills are left out and 9 go on at reduced doses; 120 go on as they are.']
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
}): readonly string[] {
  return cautions.flatMap((caution) => {
    const out = leftOut.filter(({ drillId }) => exclusionByCaution(library.drill(drillId), [caution])).length;
    const reduced = allowed.filter((d) => worksRebuilding(d, [caution])).length;
    const { stabilityFirst } = cautionOf(caution.id);
    if (out + reduced === 0 && !stabilityFirst) return [];
    const parts = [
      ...(out > 0 ? [`${out} ${out === 1 ? 'drill is' : 'drills are'} left out`] : []),
      ...(reduced > 0 ? [`${reduced} ${reduced === 1 ? 'goes' : 'go'} on at reduced doses`] : []),
    ];
    const first = stabilityFirst ? ' Stability of the shoulder comes first.' : '';
    return [`${CAUTION_WORDS[caution.id].name}: ${parts.join(' and ')}; the rest goes on.${first}`];
  });
}
