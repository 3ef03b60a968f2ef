import type { Joint } from '../anatomy/index.ts';
import type { Dose, Drill } from '../drills/index.ts';
import { isHalved } from '../safety/index.ts';
import { type Exclusion, exclusion, type Limits } from './exclusion.ts';
import { type ClosedBy, closedJoints, loadingsOf } from './closedJoints.ts';
import type { Pause, PlanBrief } from './brief.ts';
import { loadedJoints, type PlannedDose } from './plan.ts';
import type { LastLoaded } from './plannerFacts.ts';
import { mostEver } from './doseStep.ts';
import { mostOfASet } from './shownSets.ts';
import type { When } from './spacing.ts';
import { doseFor, halvedDose, usualDose, worksRebuilding } from './usualDose.ts';

/** Everything that decides what a trainee may do. */
export interface MayDoFacts extends Limits {
  /** Drills done before; absent: nobody knows, and nothing counts as new. */
  readonly knownDrills?: readonly string[] | undefined;
  /** When each joint was loaded last; absent: nobody knows. */
  readonly lastLoaded?: LastLoaded | undefined;
  /** Other training, work and pauses; absent: none. */
  readonly brief?: Pick<PlanBrief, 'events' | 'pauses'> | undefined;
}

/** What keeps a drill from one day. */
export type DayClosed =
  { readonly kind: 'pause'; readonly pause: Pause } | { readonly kind: 'rest'; readonly joint: Joint; readonly by: ClosedBy };

/** Why a drill may be done only at less. */
export type Reduction =
  | { readonly kind: 'rebuilding' }
  | { readonly kind: 'after illness' }
  /** More sets than a dose ever grows to. */
  | { readonly kind: 'sets'; readonly most: number }
  /** Never done before. */
  | { readonly kind: 'new' }
  /** A set asks more than a step beyond the most of the last weeks. */
  | { readonly kind: 'set'; readonly shown: number; readonly most: number };

export type MayDo =
  | { readonly answer: 'may' }
  | { readonly answer: 'reduced'; readonly dose: Dose; readonly because: readonly [Reduction, ...Reduction[]] }
  | { readonly answer: 'may not'; readonly because: Exclusion | DayClosed };

/**
 * What a trainee may do of one drill, in one set-up, at one dose, on one day: do it, do it reduced, or not. A caution is a lock; anything
 * else a coach may overrule with a reason on record.
 *
 * @param trainee the library is fitted to them
 * @param planned the drill with its set-up and dose
 * @param when without it no day is asked about; what holds today is taken to hold then
 * @throws Refusal `drill-unknown`
 * @example mayDo(trainee, { drillId: 'plank', sets: 3, min: 20, max: 60, restSeconds: 45 })
 * // { answer: 'reduced', dose: { sets: 3, min: 20, max: 36, … }, because: [{ kind: 'set', shown: 30, most: 36 }] }
 */
export function mayDo(trainee: MayDoFacts, planned: PlannedDose, when?: When): MayDo {
  const drill = trainee.library.asPlanned(planned);
  const because = exclusion(drill, trainee) ?? (when && closedOn(drill, when, trainee));
  return because ? { answer: 'may not', because } : within(drill, planned, trainee, when !== undefined && isHalved(trainee.cautions));
}

/** What keeps a drill from a day: a pause, or a joint that something else loads within 48 hours. */
function closedOn(drill: Drill, when: When, { brief, lastLoaded }: MayDoFacts): DayClosed | undefined {
  const pause = brief?.pauses.find((p) => p.from <= when.day && when.day <= p.to);
  if (pause) return { kind: 'pause', pause };
  const joints = loadedJoints(drill);
  if (joints.length === 0) return undefined;
  const closed = closedJoints(when, brief?.events ?? [], loadingsOf(lastLoaded ?? {}, joints));
  const joint = joints.find((j) => closed.has(j));
  const by = joint && closed.get(joint);
  return joint && by && { kind: 'rest', joint, by };
}

/**
 * The dose taken back to what may be, with every reason that takes some of it.
 *
 * @param halved of a day that is near enough for what holds today
 */
function within(
  drill: Drill,
  { sets, min, max, restSeconds }: Dose,
  { cautions, knownDrills, foothold }: MayDoFacts,
  halved: boolean,
): MayDo {
  let dose: Dose = { sets, min, max, restSeconds };
  const because: Reduction[] = [];
  const cut = (to: Pick<Dose, 'sets' | 'min' | 'max'>, reason: Reduction) => {
    because.push(reason);
    dose = { ...dose, sets: Math.min(dose.sets, to.sets), min: Math.min(dose.min, to.min), max: Math.min(dose.max, to.max) };
  };
  const limit = mostOfASet(drill, foothold.shown.sets);
  if (limit && max > limit.most) cut({ sets, min: limit.most, max: limit.most }, { kind: 'set', ...limit });
  const mostSets = mostEver({ max: drill.dose.sets });
  if (sets > mostSets) cut({ sets: mostSets, min: dose.min, max: dose.max }, { kind: 'sets', most: mostSets });
  const usual = usualDose(drill, cautions);
  if (worksRebuilding(drill, cautions) && amount(dose) > amount(usual)) cut(usual, { kind: 'rebuilding' });
  const isNew = knownDrills !== undefined && !knownDrills.includes(drill.id);
  const half = halvedDose(doseFor(drill, { cautions, sets: foothold.shown.sets }));
  if (isNew && amount(dose) > amount(half)) cut(half, { kind: 'new' });
  else if (halved && amount(dose) > amount(half)) cut(half, { kind: 'after illness' });
  const [first, ...more] = because;
  return first ? { answer: 'reduced', dose, because: [first, ...more] } : { answer: 'may' };
}

const amount = ({ sets, max }: Pick<Dose, 'sets' | 'max'>) => sets * max;
