import type { Drill, Equipment } from '../drills/index.ts';
import { exclusionByCaution, type Library } from '../library/index.ts';
import { type CautionInForce } from '../safety/index.ts';
import { type BeyondShown, beyondShown, type Shown } from './shown.ts';

/** Where a trainee stands: the highest signed rung of the target's ladder, −1 below it, and what was shown. */
export interface Foothold {
  readonly ladderId: string;
  readonly here: number;
  readonly shown: Shown;
}

/** What decides whether a drill may be planned. */
export interface Limits {
  readonly library: Library;
  readonly cautions: readonly CautionInForce[];
  readonly equipment: readonly Equipment[];
  readonly foothold: Foothold;
}

/** Why a drill may not be planned: a caution in force, something that is not at hand, a clearance that is not signed, or more than was shown. */
export type Exclusion =
  | { readonly kind: 'caution'; readonly caution: CautionInForce }
  | { readonly kind: 'equipment'; readonly missing: readonly Equipment[] }
  | { readonly kind: 'rung' }
  | ({ readonly kind: 'beyond' } & BeyondShown);

/** What keeps a drill out of a plan, the weightiest first; nothing when it may be planned. */
export function exclusion(drill: Drill, { library, cautions, equipment, foothold }: Limits): Exclusion | undefined {
  const caution = exclusionByCaution(drill, cautions);
  if (caution) return { kind: 'caution', caution };
  const missing = drill.equipment.filter((e) => !equipment.includes(e) && !drill.standIns[e]);
  if (missing.length > 0) return { kind: 'equipment', missing };
  if (drill.rung && !stoodOn(drill, foothold, library)) return { kind: 'rung' };
  const beyond = beyondShown(drill, foothold.shown);
  return beyond && { kind: 'beyond', ...beyond };
}

/** Whether it is the practice of a rung on which the trainee stands, or of one below: a copied ladder keeps its practices. */
function stoodOn({ id }: Drill, { ladderId, here, shown }: Foothold, library: Library): boolean {
  return library.hasLadder(ladderId) && library.ladder(ladderId).rungs.some((r, i) => i <= here - shown.rungsDown && r.practice === id);
}
