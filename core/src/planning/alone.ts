import { type Dose, type Drill, strainOf } from '../drills/index.ts';
import type { Exclusion } from './exclusion.ts';
import { type DayClosed, mayDo, type MayDoFacts, type Reduction } from './mayDo.ts';
import type { PlannedDose } from './plan.ts';
import type { When } from './spacing.ts';

/** Why a planned drill is not for practice without a coach. */
export type NotAlone = Exclusion | DayClosed | { readonly kind: 'company' };

/** A planned drill as it may be practised alone. */
export type Alone<Item> =
  | { readonly item: Item; readonly drill: Drill; readonly dose: Dose; readonly because: readonly Reduction[] }
  | { readonly item: Item; readonly drill: Drill; readonly not: NotAlone };

interface PlannedItem extends PlannedDose {
  readonly overruled?: string | undefined;
}

/**
 * What of a planned session a trainee may practise with no coach by: what they may do at all, at no more than they may, and nothing that
 * wants somebody else there. What the coach planned against a rule stays as planned; a lock stays a lock.
 *
 * @param facts the library is fitted to the trainee; what stands in the drill’s own equipment is theirs to find
 * @source project default: where one may fall, upside down and with a helper only in company
 * @example practisedAlone([plank], facts, when) // [{ item: plank, drill, dose: { sets: 2, min: 20, max: 30, … }, because: [] }]
 */
export function practisedAlone<Item extends PlannedItem>(
  items: readonly Item[],
  facts: Omit<MayDoFacts, 'equipment'>,
  when?: When,
): readonly Alone<Item>[] {
  return items.map((item) => {
    const drill = facts.library.asPlanned(item);
    const head = { item, drill };
    if (wantsCompany(drill)) return { ...head, not: { kind: 'company' } };
    const { sets, min, max, restSeconds } = item;
    const planned = { ...head, dose: { sets, min, max, restSeconds }, because: [] };
    const may = mayDo({ ...facts, equipment: drill.equipment }, item, when);
    if (may.answer === 'may') return planned;
    if (may.answer === 'reduced') return item.overruled ? planned : { ...head, dose: may.dose, because: may.because };
    return item.overruled && may.because.kind !== 'caution' ? planned : { ...head, not: may.because };
  });
}

/** Where one kicks up, may fall or is upside down somebody stands by; a helper is somebody. */
function wantsCompany(drill: Drill): boolean {
  const { kickUp, mayFall } = strainOf(drill);
  return kickUp || mayFall || drill.position === 'inverted' || drill.dose.course?.helper !== undefined;
}
