import type { Body } from './bodyModel.ts';

/**
 * What the model has to assume about a trainee in a set-up. `usual` is its value where nothing is known,
 * `within` the limits about it that hold for about 95 of 100 people (project defaults). The first two are the
 * parameters that a scale can teach.
 */
export const ASSUMPTIONS = {
  armLeanDeg: {
    usual: 0,
    within: 10,
    unit: 'deg',
    name: 'lean of the arms',
    words: 'the arms lean 10° more or less than they should',
  },
  pressureCentreM: {
    usual: 0.04,
    within: 0.02,
    unit: 'm',
    name: 'where the hand presses',
    words: 'the hand presses 2 cm nearer to the wrist or the fingers',
  },
  armLength: {
    usual: 0,
    within: 0.04,
    unit: 'share',
    name: 'length of the arms',
    words: 'the arms are 4% longer or shorter than stature says',
  },
  upperMass: {
    usual: 0,
    within: 0.02,
    unit: 'share',
    name: 'weight above the hips',
    words: '2% of body weight sit above the hips instead of below, or the other way round',
  },
  footPressureM: {
    usual: 0,
    within: 0.05,
    unit: 'm',
    name: 'where the feet press',
    words: 'the feet press 5 cm nearer to the heel or the toes',
  },
  forearmPressureM: {
    usual: 0.08,
    within: 0.06,
    unit: 'm',
    name: 'where the forearm presses',
    words: 'the forearm presses 6 cm nearer to the elbow or the hand',
  },
  heldShare: {
    usual: 0,
    within: 0.03,
    unit: 'share',
    name: 'steadiness on the scale',
    words: 'the weight on the scale wanders by 3% of body weight',
  },
  bandForce: {
    usual: 0,
    within: 0.08,
    unit: 'share',
    name: 'pull of the band',
    words: 'the band pulls 8% more or less than its curve',
  },
} as const satisfies Record<string, { usual: number; within: number; unit: 'deg' | 'm' | 'share'; name: string; words: string }>;

export type AssumptionName = keyof typeof ASSUMPTIONS;
export const ASSUMPTION_NAMES = Object.keys(ASSUMPTIONS) as readonly AssumptionName[];

export type Assumed = Readonly<Record<AssumptionName, number>>;

export const USUAL: Assumed = Object.fromEntries(ASSUMPTION_NAMES.map((name) => [name, ASSUMPTIONS[name].usual])) as Record<
  AssumptionName,
  number
>;

/** Limits given above hold for 95 of 100: this many standard deviations. */
export const LIMITS_IN_SD = 1.959964;

/**
 * What remains between model and body when every assumption is met: 1.5 points of body weight (one standard
 * deviation, project default; measurements of one position by two laboratories differ by more).
 */
export const MODEL_SD = 0.015;

/** What is believed about a trainee: the most likely values, and how uncertain they are together. */
export interface Belief {
  readonly assumed: Assumed;
  /** Covariance, in units of each assumption squared, in the order of `ASSUMPTION_NAMES`. */
  readonly covariance: readonly (readonly number[])[];
  /** Scale readings it was learned from. */
  readonly readings: number;
}

/**
 * What is believed before anything was read off a scale. An arm that was measured is not doubted.
 *
 * @example usualBelief(body).assumed.pressureCentreM // 0.04
 */
export function usualBelief({ own }: Pick<Body, 'own'>): Belief {
  return {
    assumed: USUAL,
    covariance: ASSUMPTION_NAMES.map((row, i) => ASSUMPTION_NAMES.map((_, j) => (i === j ? (limitOf(row, own) / LIMITS_IN_SD) ** 2 : 0))),
    readings: 0,
  };
}

function limitOf(name: AssumptionName, own: Body['own']): number {
  return name === 'armLength' && own.includes('armM') ? 0.01 : ASSUMPTIONS[name].within;
}
