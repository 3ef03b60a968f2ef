import { armLoadOf, type Drill, KG_LIMITS, type Manner } from '../drills/index.ts';
import type { BodySide } from '../anatomy/index.ts';
import type { Instant } from '../quantities/index.ts';
import type { Library } from '../library/index.ts';
import type { Capacity } from '../measuring/index.ts';
import type { SupportPlan } from '../statics/index.ts';
import { doseStep, mostEver } from './doseStep.ts';

/** The most of one clean, confirmed set of a drill in the last weeks, by set-up and side. */
export interface DoneAmount {
  readonly drillId: string;
  readonly support?: SupportPlan;
  readonly manner?: Manner;
  readonly side: BodySide;
  /** In the unit of the drill. */
  readonly most: number;
  /** When it was last done so. */
  readonly lastAt?: Instant;
}

/** What one set was shown to hold at a load on an arm, both sides having done it. */
export interface ShownSet {
  readonly most: number;
  /** Share of body weight. */
  readonly perArm: number;
  /** The weight it was done with, in kilograms; absent where none was named. */
  readonly kg?: number;
}

/** What was shown of single sets, by drill; a drill that is not here was not done in the last weeks. */
export type ShownSets = Readonly<Record<string, readonly ShownSet[]>>;

/** A set at so much less on an arm still shows something of the drill, as a share of body weight (project default, as arms grow). */
const NEAR_ENOUGH = 0.1;
/** A set with this share of the weight still shows something (project default). */
const NEAR_KG = 0.75;
const nearKg = ({ manner }: Drill) => NEAR_KG * (manner?.kg ?? 0);
/** A model's rounding. */
const ROUNDING = 0.0025;

/**
 * What each drill's single sets have shown, by the load under which they were done: of two sides the lesser.
 *
 * @param library fitted to the trainee
 * @param keeps what is left of it after days without load
 * @example shownSets([{ drillId: 'plank', side: 'whole', most: 25 }], library).plank // [{ most: 25, perArm: 0.345 }]
 */
export function shownSets(done: readonly DoneAmount[], library: Library, keeps = 1): ShownSets {
  const shown: Record<string, ShownSet[]> = {};
  const inSetUp = new Map<string, DoneAmount[]>();
  for (const one of done) {
    const key = JSON.stringify([one.drillId, one.support ?? null, one.manner ?? null]);
    inSetUp.set(key, [...(inSetUp.get(key) ?? []), one]);
  }
  for (const sets of inSetUp.values()) {
    const [{ drillId, support, manner } = { drillId: '' }] = sets;
    if (!library.hasDrill(drillId)) continue;
    const drill = library.asPlanned({ drillId, ...(support ? { support } : {}), ...(manner ? { manner } : {}) });
    const sides: readonly BodySide[] = drill.dose.perSide ? ['left', 'right'] : [...new Set(sets.map((s) => s.side))];
    const most = Math.min(...sides.map((side) => Math.max(0, ...sets.filter((s) => s.side === side).map((s) => s.most))));
    if (most > 0)
      (shown[drillId] ??= []).push({
        most: Math.max(1, Math.floor(most * keeps)),
        perArm: armLoadOf(drill),
        ...(manner?.kg === undefined ? {} : { kg: keptKg(manner.kg, keeps) }),
      });
  }
  return shown;
}

/** What is left of a weight after days without load, in steps of a weight. */
function keptKg(kg: number, keeps: number): number {
  return Math.floor((kg * keeps) / KG_LIMITS.step + 1e-9) * KG_LIMITS.step;
}

/**
 * The weight, band or tempo with which a drill is planned: as it was last done, and no heavier than what is left of that after days without
 * load.
 *
 * @param sets what single sets have shown; absent: nobody knows, and it stays as it was
 * @example mannerNow('halo', { halo: { kg: 2 } }, { halo: [{ most: 8, perArm: 0, kg: 1.25 }] }) // { kg: 1.25 }
 */
export function mannerNow(drillId: string, last: Readonly<Record<string, Manner>> = {}, sets?: ShownSets): Manner | undefined {
  const manner = last[drillId];
  if (manner?.kg === undefined || !sets) return manner;
  const shown = Math.max(0, ...(sets[drillId] ?? []).map((s) => s.kg ?? 0));
  if (shown >= manner.kg) return manner;
  const { kg: _, ...rest } = manner;
  if (shown >= KG_LIMITS.min) return { ...rest, kg: shown };
  return Object.keys(rest).length > 0 ? rest : undefined;
}

/** A check is about a drill that trains it as strongly as any does. */
const SAME_WORK = 3;

/**
 * What checks of holds and clean counts have shown for the drills that are the same work, less their band; what was done of a drill itself
 * counts beside it.
 *
 * @param capacities newest of each check
 * @example shownInChecks([{ measureId: 'plank-hold', value: 20, band: 4, … }], library)['hollow-hold'] // [{ most: 16, perArm: … }]
 */
export function shownInChecks(capacities: readonly Capacity[], library: Library): ShownSets {
  const shown: Record<string, ShownSet[]> = {};
  const counted = capacities.filter(
    (c) => !c.provisional && library.hasMeasure(c.measureId) && COUNTED.includes(library.measure(c.measureId).unit),
  );
  for (const measureId of new Set(counted.map((c) => c.measureId))) {
    const measure = library.measure(measureId);
    const most = Math.floor(Math.min(...counted.filter((c) => c.measureId === measureId).map((c) => c.value - c.band)));
    for (const drill of library.drills)
      if (drill.trains[measureId] === SAME_WORK && drill.dose.unit === measure.unit)
        (shown[drill.id] ??= []).push({ most: Math.max(1, most), perArm: armLoadOf(drill) });
  }
  return shown;
}

const COUNTED: readonly string[] = ['s', 'reps'];

/** Both together: what was done, and what a check showed. */
export function together(a: ShownSets, b: ShownSets): ShownSets {
  const ids = new Set([...Object.keys(a), ...Object.keys(b)]);
  return Object.fromEntries([...ids].map((id) => [id, [...(a[id] ?? []), ...(b[id] ?? [])]]));
}

/** A limit of one set, and what was shown that it follows from. */
export interface SetLimit {
  readonly most: number;
  readonly shown: number;
}

/**
 * The most that one set of a drill may ask: a step beyond what was shown in the last weeks under about that load, at least half of where
 * the drill starts, at most twice. What was already reached may be asked again.
 *
 * @param drill in the set-up and with the dose from which it starts
 * @returns nothing where the last weeks did not have it: then it starts where the drill does
 * @example mostOfASet(plank, { plank: [{ most: 12, perArm: 0.345 }] }) // { most: 17, shown: 12 }; its own dose is 20–30 s
 */
export function mostOfASet(drill: Drill, shown: ShownSets = {}): SetLimit | undefined {
  const perArm = armLoadOf(drill);
  const near = (shown[drill.id] ?? []).filter((s) => s.perArm >= perArm - NEAR_ENOUGH - ROUNDING && (s.kg ?? 0) >= nearKg(drill));
  if (near.length === 0) return undefined;
  const reached = Math.max(...near.map((s) => s.most));
  const { max, unit } = drill.dose;
  const grown = Math.min(mostEver(drill.dose), reached + doseStep(unit, reached));
  return { most: Math.max(reached, grown, Math.ceil(max / 2)), shown: reached };
}
