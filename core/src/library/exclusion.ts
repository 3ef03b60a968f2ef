import { type Drill, strainOf } from '../drills/index.ts';
import { type Measure, strainOfCheck } from '../measuring/index.ts';
import { type CautionInForce, cautionOf, CLOSABLE, permits, type Strain } from '../safety/index.ts';

type Told = Pick<Drill, 'excludedBy'> & Parameters<typeof strainOf>[0];

/**
 * The caution that keeps a drill from a trainee; nothing when none does. A caution closes the drills that name it, and whatever it
 * closes by its strain: a lock everything straining. A professional's permit opens of that exactly what it covers.
 *
 * @example exclusionByCaution(plank, [{ id: 'wrist-injury', because: [{ code: 'answered', questionId: 'wrist-injury', answer: 'yes', side: 'right' }] }])?.id // 'wrist-injury'
 */
export function exclusionByCaution(drill: Told, cautions: readonly CautionInForce[]): CautionInForce | undefined {
  const strain = strainOf(drill);
  return cautions.find((caution) => closes(caution, strain, drill.excludedBy.includes(caution.id)));
}

/**
 * The caution that closes a check: as it closes drills, by how the check strains.
 *
 * @example checkClosedBy(library.measure('grip'), [{ id: 'medical-hold', because: [] }])?.id // 'medical-hold'
 */
export function checkClosedBy(measure: Measure, cautions: readonly CautionInForce[]): CautionInForce | undefined {
  const strain = strainOfCheck(measure);
  return cautions.find((caution) => closes(caution, strain));
}

function closes({ id, permit }: CautionInForce, strain: Strain, named = false): boolean {
  const closed = named || (cautionOf(id).closes ?? []).some((what) => CLOSABLE[what](strain));
  return closed && !(permit && permits(permit, strain));
}
