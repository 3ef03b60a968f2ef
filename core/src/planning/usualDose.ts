import type { Dose, Drill } from '../drills/index.ts';
import { type CautionInForce, rebuildingJoints } from '../safety/index.ts';
import { mostOfASet, type ShownSets } from './shownSets.ts';

/** Doses while a joint is being rebuilt (common practice, no source: three to five a side, short holds). */
const REDUCED = { reps: { min: 3, max: 5 }, share: 0.5, sets: 1 } as const;

/** Whether a drill works a joint that is being rebuilt. */
export function worksRebuilding(
  { joint, alsoWorks, handLoad }: Pick<Drill, 'joint' | 'alsoWorks' | 'handLoad'>,
  cautions: readonly CautionInForce[],
): boolean {
  const joints = rebuildingJoints(cautions);
  return [joint, ...alsoWorks, ...(handLoad?.joints ?? [])].some((j) => joints.has(j));
}

/**
 * The dose a drill starts from for a trainee: its own, or the reduced one where it works a joint that
 * is being rebuilt: one set of three to five repetitions, or half the hold or breaths.
 *
 * @example usualDose(bandExternalRotation, [{ id: 'shoulder-injury', … }]) // { sets: 1, min: 3, max: 5, restSeconds: 40 }
 */
export function usualDose(drill: Pick<Drill, 'joint' | 'alsoWorks' | 'handLoad' | 'dose'>, cautions: readonly CautionInForce[]): Dose {
  const { sets, min, max, restSeconds, unit } = drill.dose;
  if (!worksRebuilding(drill, cautions)) return { sets, min, max, restSeconds };
  if (unit === 'reps')
    return { sets: REDUCED.sets, min: Math.min(min, REDUCED.reps.min), max: Math.min(max, REDUCED.reps.max), restSeconds };
  return { sets: REDUCED.sets, min: half(min), max: half(max), restSeconds };
}

/**
 * Half of a dose, for a day after an illness: half the sets, or half of the one.
 *
 * @example halvedDose({ sets: 3, min: 8, max: 10, restSeconds: 40 }) // { sets: 1, min: 8, max: 10, restSeconds: 40 }
 */
export function halvedDose<T extends Pick<Dose, 'sets' | 'min' | 'max'>>(dose: T): T {
  if (dose.sets > 1) return { ...dose, sets: Math.floor(dose.sets / 2) };
  return { ...dose, min: half(dose.min), max: half(dose.max) };
}

const half = (value: number) => Math.max(1, Math.round(value * REDUCED.share));

/** What the dose of a drill depends on. */
export interface DoseFor {
  readonly cautions: readonly CautionInForce[];
  /** Drills done before; absent: nobody knows, and nothing counts as new. */
  readonly knownDrills?: readonly string[] | undefined;
  /** What single sets have shown in the last weeks; absent: nobody knows. */
  readonly sets?: ShownSets | undefined;
}

/**
 * The dose that a drill may have for a trainee: its own, the reduced one of a joint that is being rebuilt, and no set beyond a step more
 * than was shown in the last weeks.
 *
 * @param drill in its set-up, with the dose from which it starts
 * @example doseFor(plank, { cautions: [], sets: { plank: [{ most: 12, perArm: 0.345 }] } }) // { sets: 3, min: 17, max: 17, restSeconds: 45 }
 */
export function doseFor(drill: Drill, { cautions, sets }: Omit<DoseFor, 'knownDrills'>): Dose {
  const usual = usualDose(drill, cautions);
  const limit = mostOfASet(drill, sets);
  if (!limit || limit.most >= usual.max) return usual;
  return { ...usual, min: Math.min(usual.min, limit.most), max: limit.most };
}

/**
 * The dose at which a drill comes into a plan: what it may have, or half of it where it is new.
 *
 * @example startingDose(plank, { cautions: [], knownDrills: [] }) // { sets: 1, min: 20, max: 30, restSeconds: 45 }
 */
export function startingDose(drill: Drill, trainee: DoseFor): Dose {
  const dose = doseFor(drill, trainee);
  return !trainee.knownDrills || trainee.knownDrills.includes(drill.id) ? dose : halvedDose(dose);
}
