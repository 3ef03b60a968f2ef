import { mayDo, type MayDoFacts } from '@myokinet/core/planning';
import { madeUpTrainee } from '../../core/src/planning/madeUpTrainee.ts';

/** Every drill of a library of so many judged for one trainee, against a walk over the same drills that copies each. */
export function mayDoMany(drills: number): { readonly judge: () => number; readonly walk: () => number } {
  const made = madeUpTrainee('bench may');
  const facts: MayDoFacts = { ...made, equipment: made.brief.equipment.gym, cautions: [] };
  const own = made.library.drills;
  const asked = Array.from({ length: drills }, (_, i) => own[i % own.length]).flatMap((d) => (d ? [{ ...d.dose, drillId: d.id }] : []));
  return {
    judge: () => asked.filter((one) => mayDo(facts, one).answer === 'may').length,
    walk: () => asked.filter((one) => ({ ...made.library.drill(one.drillId), ...one }).sets > 1).length,
  };
}
