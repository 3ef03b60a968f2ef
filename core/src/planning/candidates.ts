import { type Drill, EQUIPMENT, type Equipment } from '../drills/index.ts';
import { exclusionByCaution, type Library } from '../library/index.ts';
import { type CautionInForce, cautionInWords } from '../safety/index.ts';

/** Where a trainee stands: the highest signed rung of the target's ladder; −1 below it. */
export interface Foothold {
  readonly ladderId: string;
  readonly here: number;
}

export interface LeftOut {
  readonly drillId: string;
  readonly why: string;
}

/** What decides whether a drill may be planned. */
export interface Limits {
  readonly library: Library;
  readonly cautions: readonly CautionInForce[];
  readonly equipment: readonly Equipment[];
  readonly foothold: Foothold;
}

/**
 * Why a drill may not be planned for a trainee, in a sentence; nothing when it may.
 *
 * @example exclusionOf(plank, { cautions: [{ id: 'wrist-injury', … }], … }) // 'Wrist injury, rebuilding: No body weight …'
 */
export function exclusionOf(drill: Drill, { library, cautions, equipment, foothold }: Limits): string | undefined {
  const caution = exclusionByCaution(drill, cautions);
  if (caution) return cautionInWords(caution);
  const missing = drill.equipment.filter((e) => !equipment.includes(e));
  if (missing.length > 0) return `Needs ${missing.map((e) => EQUIPMENT[e]).join(' and ')}.`;
  if (drill.rung && !stoodOn(drill, foothold, library)) return `Rung practice: its clearance is not signed.`;
  return undefined;
}

/** Whether it is the practice of a rung on which the trainee stands, or of one below: a copied ladder keeps its practices. */
function stoodOn({ id }: Drill, { ladderId, here }: Foothold, library: Library): boolean {
  return library.hasLadder(ladderId) && library.ladder(ladderId).rungs.some((r, i) => i <= here && r.practice === id);
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
