import { type Drill, DRILLS, EQUIPMENT, type Equipment } from '../drills/index.ts';
import { ladderOf } from '../ladders/index.ts';
import { type CautionId, CAUTIONS } from '../safety/index.ts';

/** Where a trainee stands: the highest signed rung of the target's ladder; −1 below it. */
export interface Foothold {
  readonly ladderId: string;
  readonly here: number;
}

export interface LeftOut {
  readonly drillId: string;
  readonly why: string;
}

/**
 * Why a drill may not be planned for a trainee, in a sentence; nothing when it may.
 *
 * @example exclusionOf(plank, { cautions: ['wrist-injury'], … }) // 'Wrist injury, rebuilding: No body weight …'
 */
export function exclusionOf(
  drill: Drill,
  trainee: { readonly cautions: readonly CautionId[]; readonly equipment: readonly Equipment[]; readonly foothold: Foothold },
): string | undefined {
  const caution = drill.excludedBy.find((id) => trainee.cautions.includes(id));
  if (caution) return `${CAUTIONS[caution].name}: ${CAUTIONS[caution].consequence}`;
  const missing = drill.equipment.filter((e) => !trainee.equipment.includes(e));
  if (missing.length > 0) return `Needs ${missing.map((e) => EQUIPMENT[e]).join(' and ')}.`;
  if (drill.rung && !stoodOn(drill.rung, trainee.foothold)) return `Rung practice: its clearance is not signed.`;
  return undefined;
}

function stoodOn(rung: NonNullable<Drill['rung']>, { ladderId, here }: Foothold): boolean {
  return rung.ladderId === ladderId && ladderOf(ladderId).rungs.findIndex((r) => r.id === rung.rungId) <= here;
}

/** The catalogue split into what may be planned and what may not, with reasons. */
export function candidatesFor(trainee: Parameters<typeof exclusionOf>[1]): {
  readonly allowed: readonly Drill[];
  readonly leftOut: readonly LeftOut[];
} {
  const allowed: Drill[] = [];
  const leftOut: LeftOut[] = [];
  for (const drill of DRILLS) {
    const why = exclusionOf(drill, trainee);
    if (why) leftOut.push({ drillId: drill.id, why });
    else allowed.push(drill);
  }
  return { allowed, leftOut };
}
