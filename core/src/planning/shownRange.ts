import { mostAsked } from '../asked/index.ts';
import { armLoadOf, type Drill, strainOf } from '../drills/index.ts';
import type { Library } from '../library/index.ts';
import { type Capacity, measureSides } from '../measuring/index.ts';
import { newestOf } from './newestOf.ts';

/** Ranges that work under load needs, by the check that shows them. */
export const RANGE_CHECKS = ['wrist-extension-loaded', 'shoulder-flexion', 'shoulder-extension'] as const;
export type RangeCheck = (typeof RANGE_CHECKS)[number];

/** A range as far as work may rest on it, degrees, and where the figure comes from; nothing was shown by `nothing`. */
export interface ShownRange {
  readonly degrees: number;
  readonly by: 'check' | 'work' | 'rung' | 'nothing';
}

export type ShownRanges = Readonly<Record<RangeCheck, ShownRange>>;

/**
 * What an arm may carry without any range shown before: where anybody begins, hands and knees or a hang with the feet carrying most
 * (project default).
 */
const WITHOUT_RANGE = { push: 0.23, pull: 0.13 } as const;
/** Beyond it half of healthy wrists stay short: a wedge or handles take the rest (professional judgement, from memory). */
const MOST_WRIST_DEG = 95;
/** What a folded mat or wedge takes off (project default). */
const WEDGE_DEG = 10;
/** What healthy people can meet: hangs and pulls, loads overhead, head down, dips (professional judgement, from memory). */
const FLEXION = { hanging: 150, overhead: 160, headDown: 165 } as const;
const DIP_EXTENSION = 45;

type Needing = Parameters<typeof strainOf>[0] & Pick<Drill, 'id' | 'movement'>;

/**
 * The range that a drill needs under the load it puts on an arm, degrees by check; nothing for what anybody may begin with. How far a wrist
 * is bent is what the set-up says of this trainee, or, where the drill has none, what its movement asks for.
 *
 * @param drill fitted to the trainee: how far its set-up bends the wrist is known there only
 * @example rangeNeeded(fitted.drill('practice-floor-push-up')) // { 'wrist-extension-loaded': 84 }
 */
export function rangeNeeded(drill: Needing): Readonly<Partial<Record<RangeCheck, number>>> {
  const { handLoad, support } = drill;
  if (!handLoad || armLoadOf(drill) <= WITHOUT_RANGE[handLoad.direction]) return {};
  const { position } = { ...support?.setUp } as { readonly position?: string };
  const { hanging, headDown, overhead } = strainOf(drill);
  // In the forearm dog the feet carry the most of the body: overhead work, no inversion.
  const inverted = headDown && drill.position === 'inverted' && position !== 'forearm-dog';
  const above = inverted ? FLEXION.headDown : hanging ? FLEXION.hanging : overhead ? FLEXION.overhead : undefined;
  // Between two bars the arms hang beside the trunk, though the place is one for hanging.
  const flexion = position === 'dip' ? undefined : above;
  const bent = support ? (handLoad.wristDeg ?? 0) : mostAsked(drill, 'wrist extension', 'loaded');
  return {
    ...(bent > WEDGE_DEG ? { 'wrist-extension-loaded': Math.min(MOST_WRIST_DEG, Math.round(bent - WEDGE_DEG)) } : {}),
    ...(flexion === undefined ? {} : { 'shoulder-flexion': flexion }),
    // A support at the top needs none of it, only going down.
    ...(position === 'dip' && drill.dose.unit === 'reps' ? { 'shoulder-extension': DIP_EXTENSION } : {}),
  };
}

interface RangeFacts {
  /** Fitted to the trainee. */
  readonly library: Library;
  readonly capacities: readonly Capacity[];
  /** Drills of clean sessions of the last weeks. */
  readonly didWell: readonly string[];
  /** Practices of the rungs that are signed. */
  readonly practices: readonly string[];
}

/**
 * What a trainee has shown of each range: the newest check less its band, of both sides the lesser; or what clean work of the last weeks
 * or a signed rung needed. A check that the studio has not got holds nothing back.
 */
export function shownRanges({ library, capacities, didWell, practices }: RangeFacts): ShownRanges {
  const neededBy = (ids: readonly string[], check: RangeCheck) =>
    Math.max(0, ...ids.filter((id) => library.hasDrill(id)).map((id) => rangeNeeded(library.drill(id))[check] ?? 0));
  const of = (check: RangeCheck): ShownRange => {
    if (!library.hasMeasure(check)) return ANY_RANGE;
    const sides = measureSides(library.measure(check)).map((side) => newestOf(capacities, check, side));
    const known = sides.filter((c) => c !== undefined);
    const checked = known.length === sides.length ? Math.min(...known.map((c) => c.value - c.band)) : 0;
    const found: readonly ShownRange[] = [
      { degrees: checked, by: 'check' },
      { degrees: neededBy(didWell, check), by: 'work' },
      { degrees: neededBy(practices, check), by: 'rung' },
    ];
    const most = found.reduce((best, one) => (one.degrees > best.degrees ? one : best));
    return most.degrees > 0 ? most : NO_RANGE;
  };
  return {
    'wrist-extension-loaded': of('wrist-extension-loaded'),
    'shoulder-flexion': of('shoulder-flexion'),
    'shoulder-extension': of('shoulder-extension'),
  };
}

const NO_RANGE: ShownRange = { degrees: 0, by: 'nothing' };
const ANY_RANGE: ShownRange = { degrees: 360, by: 'check' };

export const NO_RANGES: ShownRanges = {
  'wrist-extension-loaded': NO_RANGE,
  'shoulder-flexion': NO_RANGE,
  'shoulder-extension': NO_RANGE,
};

export const ANY_RANGES: ShownRanges = {
  'wrist-extension-loaded': ANY_RANGE,
  'shoulder-flexion': ANY_RANGE,
  'shoulder-extension': ANY_RANGE,
};

/** A drill that needs more range under load than was shown. */
export interface BeyondRange {
  readonly check: RangeCheck;
  readonly needed: number;
  readonly range: ShownRange;
}

/** The first range of which a drill needs more than was shown. */
export function beyondRange(drill: Needing, ranges: ShownRanges = NO_RANGES): BeyondRange | undefined {
  const needs = rangeNeeded(drill);
  const check = RANGE_CHECKS.find((c) => (needs[c] ?? 0) > ranges[c].degrees);
  return check && { check, needed: needs[check] ?? 0, range: ranges[check] };
}
