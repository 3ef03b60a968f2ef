import { Refusal } from '../errors.ts';
import { usualBelief } from './assumptions.ts';
import { evaluate, type Figures, handLoad, type HandLoadReading, type KnownBody } from './handLoad.ts';
import { choiceOf, modelOf, type SetUp, stated } from './setUp.ts';
import { buildOf, type Stance } from './stance.ts';
import { nearestSetUp, solveSetUp, type Wanted } from './solveSetUp.ts';

/** The set-up that a drill or rung asks for: as it stands, or turned for each trainee until the hands carry a wanted load. */
export interface SupportPlan {
  readonly setUp: SetUp;
  /** Fraction of body weight. */
  readonly wanted?: number | undefined;
}

/** A drill's or rung's set-up on one trainee. */
export interface SupportOn {
  readonly setUp: SetUp;
  readonly reading: HandLoadReading;
  /** Why the wanted load is not met, where it is not. */
  readonly problem?: string;
}

/**
 * The set-up of a plan for one trainee.
 *
 * @throws Refusal `set-up-impossible` where not even the set-up as it stands can be built
 * @example supportOn(body, { setUp: { position: 'supported-hang' }, wanted: 0.25 }).setUp // { position: 'supported-hang', feetShare: 0.75 }
 */
export function supportOn(body: KnownBody, { setUp, wanted }: SupportPlan, limits: Omit<Wanted, 'verticalShare'> = {}): SupportOn {
  if (wanted === undefined) return { setUp, reading: handLoad(body, setUp) };
  try {
    const solved = solveSetUp(body, setUp, { verticalShare: wanted, ...limits });
    return { setUp: solved.setUp, reading: solved.reading, ...(solved.binds === 'wanted load' ? {} : { problem: solved.inWords }) };
  } catch (error) {
    if (!(error instanceof Refusal) || error.code !== 'load-out-of-reach') throw error;
    return { setUp, reading: handLoad(body, setUp), problem: error.detail };
  }
}

/**
 * Load of a plan on one trainee as a fraction of body weight, without its band; `undefined` where it can not be built.
 *
 * @example plannedLoad(body, { setUp: { position: 'free-hang' } }) // 1
 */
export function plannedLoad(body: KnownBody, plan: SupportPlan): number | undefined {
  return plannedFigures(body, plan)?.loadShare;
}

/**
 * Load of a plan on both hands and on the more loaded one, as fractions of body weight; `undefined` where it can not be built.
 *
 * @returns with it how far a flat hand is bent back, degrees
 * @example plannedLoads(body, { setUp: { position: 'free-hang' } }) // { share: 1, perArm: 0.5 }
 */
export function plannedLoads(body: KnownBody, plan: SupportPlan): PlannedLoads | undefined {
  const figures = plannedFigures(body, plan);
  if (!figures) return undefined;
  const wrist = isFlatHanded(plan.setUp) && figures.wristExtensionDeg > 0 ? { wristDeg: figures.wristExtensionDeg } : {};
  return { share: figures.loadShare, perArm: figures.perHandN / body.weightN, ...wrist };
}

export interface PlannedLoads {
  readonly share: number;
  readonly perArm: number;
  readonly wristDeg?: number;
}

/** Whether the palms lie flat, so that the body's weight bends the wrists: not on fists, handles or fingertips. */
export function isFlatHanded(setUp: SetUp): boolean {
  const { hands } = setUp as { readonly hands?: string };
  return (hands === undefined || hands === 'flat') && setUp.position !== 'dip';
}

function plannedFigures(body: KnownBody, { setUp, wanted }: SupportPlan): Figures | undefined {
  const { assumed } = body.belief ?? usualBelief(body);
  try {
    return evaluate(body, wanted === undefined ? setUp : (nearestSetUp(body, setUp, wanted) ?? setUp), assumed);
  } catch (error) {
    if (error instanceof Refusal) return undefined;
    throw error;
  }
}

/**
 * Body and forces of a plan on one trainee, for drawing; `undefined` where it can not be built.
 *
 * @example plannedStance(body, { setUp: { position: 'plank' } })?.joints.shoulder // { x: 1.34, y: 0.58 }
 */
export function plannedStance(body: KnownBody, { setUp, wanted }: SupportPlan): Stance | undefined {
  const { assumed } = body.belief ?? usualBelief(body);
  try {
    const chosen = wanted === undefined ? setUp : (nearestSetUp(body, setUp, wanted) ?? setUp);
    return modelOf(chosen.position).place(buildOf(body, assumed), stated(chosen), assumed);
  } catch (error) {
    if (error instanceof Refusal) return undefined;
    throw error;
  }
}

/** Steps between two rungs, as a share of body weight. */
export const STEP_SHARE = 0.05;

/** The lower set-up with the choices of the upper one where both have them: one hand or two, flat or on the fingertips. */
function likeUpper(lower: SetUp, upper: SetUp): SetUp {
  const { choices } = modelOf(upper.position);
  const shared = Object.keys(modelOf(lower.position).choices).filter((key) => choices[key]);
  return { ...lower, ...Object.fromEntries(shared.map((key) => [key, choiceOf(upper, key)])) } as SetUp;
}

/**
 * Set-ups between two rungs, about five points of body weight apart: of the upper rung's position where it goes so low,
 * of the lower one's where it does not.
 *
 * @returns none where the rungs lie closer together, or nothing can be turned between them
 * @example stepsBetween(body, { setUp: { position: 'push-up', handHeightM: 0.6 } }, { setUp: { position: 'push-up', handHeightM: 0.3 } })
 */
export function stepsBetween(body: KnownBody, lower: SupportPlan, upper: SupportPlan): readonly SupportOn[] {
  const [from, to] = [plannedLoad(body, lower), plannedLoad(body, upper)];
  if (from === undefined || to === undefined) return [];
  const steps: SupportOn[] = [];
  const parts = Math.round((to - from) / STEP_SHARE);
  for (let i = 1; i < parts; i++) {
    const share = from + ((to - from) * i) / parts;
    for (const setUp of [upper.setUp, likeUpper(lower.setUp, upper.setUp)]) {
      if (modelOf(setUp.position).harder.length === 0) continue;
      const found = nearestSetUp(body, setUp, share);
      if (!found) continue;
      const reading = handLoad(body, found);
      if (Math.abs(reading.loadShare - share) < STEP_SHARE / 2 && reading.stands.ok) {
        steps.push({ setUp: found, reading });
        break;
      }
    }
  }
  return steps;
}
