import type { Drill } from '../drills/index.ts';
import type { CautionInForce } from '../safety/index.ts';

/**
 * The caution that keeps a drill from a trainee; nothing when none does.
 *
 * @example exclusionByCaution(plank, [{ id: 'wrist-injury', because: ['a wrist is being rebuilt, right'] }])?.id // 'wrist-injury'
 */
export function exclusionByCaution(
  { excludedBy }: Pick<Drill, 'excludedBy'>,
  cautions: readonly CautionInForce[],
): CautionInForce | undefined {
  return cautions.find(({ id }) => excludedBy.includes(id));
}
