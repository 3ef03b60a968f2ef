import { armLoadOf, type Drill, isOnForearms } from '../drills/index.ts';
import { Refusal } from '../errors.ts';
import { mayDo, type MayDoFacts } from './mayDo.ts';
import type { PlannedDose } from './plan.ts';
import { directionOf } from './shown.ts';
import type { When } from './spacing.ts';

/** How a version differs from the drill in whose place it stands. */
export type InsteadHow = 'lighter' | 'easier' | 'straight wrist' | 'less load' | 'no hands' | 'other equipment' | 'other plane' | 'alike';

/** A version of a drill that may be done where the drill itself may not. */
export interface Instead extends PlannedDose {
  readonly how: InsteadHow;
}

const MOST = 3;

/**
 * What may be done in place of a drill that may not, the nearest first: the same drill with less on the hands, its easier neighbours, and
 * drills of the same kind for the same joint, with a straight wrist, less load or none on the hands, or in another plane (common practice,
 * no source).
 *
 * @returns at most three; none where nothing of the kind may be done
 * @throws Refusal `drill-unknown`
 * @example insteadOf(beginner, { drillId: 'plank', … })[0] // { drillId: 'plank', support: { setUp: …, wanted: 0.45 }, how: 'lighter', … }
 */
export function insteadOf(trainee: MayDoFacts, planned: PlannedDose, when?: When): readonly Instead[] {
  const { library } = trainee;
  const drill = library.asPlanned(planned);
  const open = (one: PlannedDose, how: InsteadHow): Instead[] => {
    const may = mayDo(trainee, one, when);
    if (may.answer === 'may not') return [];
    const { drillId, support, sets, min, max, restSeconds } = one;
    const dose = may.answer === 'reduced' ? may.dose : { sets, min, max, restSeconds };
    return [{ drillId, ...(support ? { support } : {}), ...dose, how }];
  };
  const own = (d: Drill): PlannedDose => ({ ...d.dose, drillId: d.id });
  const offered = library.drills.filter((d) => d.id !== drill.id && !d.rung && !d.byChoice);
  const easier = easierThan(drill, library.easierThan).filter((d) => offered.includes(d));
  const planes = otherPlaneOf(drill, offered);
  const kin = offered
    .filter((d) => !easier.includes(d) && !planes.includes(d) && isKin(drill, d))
    .toSorted(
      (a, b) =>
        shared(drill, b) - shared(drill, a) || Math.abs(armLoadOf(drill) - armLoadOf(a)) - Math.abs(armLoadOf(drill) - armLoadOf(b)),
    );
  return [
    ...lighter(drill, planned, trainee).flatMap((one) => open(one, 'lighter')),
    ...planes.flatMap((d) => open(own(d), 'other plane')),
    ...easier.filter((d) => !planes.includes(d)).flatMap((d) => open(own(d), 'easier')),
    ...kin.flatMap((d) => open(own(d), howOf(drill, d))),
  ].slice(0, MOST);
}

/** The same drill with as much on each arm as was shown. */
function lighter(drill: Drill, planned: PlannedDose, { library, foothold }: MayDoFacts): readonly PlannedDose[] {
  const direction = directionOf(drill);
  const perArm = armLoadOf(drill);
  if (!drill.support || !direction || perArm === 0 || !drill.handLoad) return [];
  const shown = foothold.shown[direction].perArm;
  const wanted = Math.floor((drill.handLoad.share / perArm) * shown * 100) / 100;
  if (shown >= perArm || wanted <= 0) return [];
  const turned = { ...planned, support: { setUp: drill.support.setUp, wanted } };
  try {
    return armLoadOf(library.asPlanned(turned)) < perArm ? [turned] : [];
  } catch (error) {
    if (error instanceof Refusal) return [];
    throw error;
  }
}

/** The plane between front and side: what a shoulder that cannot be raised in another is offered first (common practice, no source). */
const SCAPULAR_PLANE = 'scaption';

/**
 * Drills in the plane between front and side, for a shoulder that is raised in another: what a sore one tries before anything is left out.
 *
 * @example otherPlaneOf(strapPassThroughs, library.drills).map((d) => d.id) // ['scapular-plane-raises', 'scaption-raises']
 */
export function otherPlaneOf(drill: Drill, drills: readonly Drill[]): readonly Drill[] {
  const raised = drill.joint === 'shoulder' && !drill.handLoad && drill.motions.some((m) => m === 'flexion' || m === 'abduction');
  if (!raised || (drill.trains[SCAPULAR_PLANE] ?? 0) > MAINLY) return [];
  return drills.filter((d) => d.joint === 'shoulder' && !d.handLoad && (d.trains[SCAPULAR_PLANE] ?? 0) > MAINLY);
}

/** What a drill trains above all. */
const MAINLY = 2;

/** Easier neighbours, and theirs as long as they are the same kind of work, the nearest first. */
function easierThan(drill: Drill, of: (id: string) => readonly Drill[]): readonly Drill[] {
  const near = of(drill.id);
  const found: Drill[] = [...near];
  let next = near;
  while (next.length > 0) {
    next = next.flatMap((d) => of(d.id)).filter((d) => d.id !== drill.id && d.quality === drill.quality && !found.includes(d));
    found.push(...new Set(next));
  }
  return found;
}

/** The same kind of work for the same joint, and no push where a pull was. */
function isKin(drill: Drill, other: Drill): boolean {
  const turned = drill.handLoad && other.handLoad && drill.handLoad.direction !== other.handLoad.direction;
  const works = other.joint === drill.joint || (other.alsoWorks.includes(drill.joint) && shared(drill, other) > 0);
  return other.quality === drill.quality && works && !turned;
}

function shared(drill: Drill, other: Drill): number {
  return drill.motions.filter((m) => other.motions.includes(m)).length;
}

/** On fists, handles or forearms. */
function isStraightWristed(drill: Drill): boolean {
  const { hands = '' } = { ...drill.support?.setUp } as { readonly hands?: string };
  return hands === 'fists' || hands === 'handles' || isOnForearms(drill);
}

function howOf(drill: Drill, other: Drill): InsteadHow {
  if (drill.handLoad && !other.handLoad) return 'no hands';
  if (drill.handLoad?.wristDeg !== undefined && isStraightWristed(other)) return 'straight wrist';
  if (armLoadOf(other) < armLoadOf(drill)) return 'less load';
  if (shared(drill, other) === 0) return 'other plane';
  if (drill.equipment.some((e) => !other.equipment.includes(e))) return 'other equipment';
  return 'alike';
}
