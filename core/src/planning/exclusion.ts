import { type Drill, type Equipment, mostKg } from '../drills/index.ts';
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
  /** A weight beyond a step more than the last weeks had, or than anybody begins with, in kilograms. */
  | { readonly kind: 'weight'; readonly kg: number; readonly most: number; readonly shown?: number | undefined }
  | ({ readonly kind: 'beyond' } & BeyondShown);

/** What keeps a drill out of a plan, the weightiest first; nothing when it may be planned. */
export function exclusion(drill: Drill, { library, cautions, equipment, foothold }: Limits): Exclusion | undefined {
  const caution = exclusionByCaution(drill, cautions);
  if (caution) return { kind: 'caution', caution };
  const missing = drill.equipment.filter((e) => !equipment.includes(e) && !drill.standIns[e]);
  if (missing.length > 0) return { kind: 'equipment', missing };
  if (drill.rung && !stoodOn(drill, foothold, library)) return { kind: 'rung' };
  const weight = tooHeavy(drill, foothold.shown);
  if (weight) return weight;
  const beyond = beyondShown(drill, foothold.shown);
  return beyond && { kind: 'beyond', ...beyond };
}

/** What is carried at the side or overhead is judged by what it puts on the hand; any other weight by what was done with it. */
function tooHeavy(drill: Drill, { sets }: Shown): Exclusion | undefined {
  const { kg } = drill.manner ?? {};
  if (kg === undefined || drill.support?.setUp.position === 'carry') return undefined;
  const done = sets?.[drill.id];
  const shown = done && Math.max(0, ...done.map((s) => s.kg ?? 0));
  const most = mostKg(drill, shown);
  return kg > most ? { kind: 'weight', kg, most, shown } : undefined;
}

/** Whether it is the practice of a rung on which the trainee stands, or of one below: a copied ladder keeps its practices. */
function stoodOn({ id }: Drill, { ladderId, here, shown }: Foothold, library: Library): boolean {
  return library.hasLadder(ladderId) && library.ladder(ladderId).rungs.some((r, i) => i <= here - shown.rungsDown && r.practice === id);
}
