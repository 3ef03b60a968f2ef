import type { KnownErrors } from './errorModel.ts';
import type { Measure } from './measure.ts';
import type { Repeatability } from './repeatability.ts';

/** A coach's own measuring errors in one check, in its unit. */
export interface OwnError extends KnownErrors {
  readonly source: 'own trials' | 'own test';
  /** How many sets of trials on how many trainees, or how many sides or bodies of a test. */
  readonly from: { readonly sets: number; readonly trainees: number } | { readonly targets: number };
}

/** The scatter of the trials of one side on one occasion. */
export interface TrialScatter {
  readonly traineeId: string;
  readonly trials: number;
  /** Sum of squared deviations from their mean. */
  readonly sumOfSquares: number;
}

/** What makes a coach's scatter worth more than the default; project defaults. */
export const OWN_ERROR_RULES = {
  trainees: 3,
  degreesOfFreedom: 20,
  /** Sets of trials looked back on, newest first. */
  sets: 120,
  /** Bodies of a repeatability test. */
  targets: 5,
  /** So much the past may weigh at most against today's own scatter. */
  mostDegreesOfFreedom: 30,
} as const;

/**
 * A coach's scatter from trial to trial, pooled within trainees and occasions (ν-weighted mean of variances), once there are enough
 * of them; never finer than the instrument's rounding. It says nothing about placing the instrument anew, so that the change from
 * one visit to the next does not look more certain for it.
 *
 * @param measure must have its error in its own unit, or there is nothing to replace
 * @param scatters of this coach in this check
 * @example ownErrorFromTrials(library.measure('grip'), []) // undefined: too little to go by
 */
export function ownErrorFromTrials(measure: Measure, scatters: readonly TrialScatter[]): OwnError | undefined {
  if (measure.error.kind !== 'amount') return undefined;
  const repeated = scatters.filter((s) => s.trials > 1);
  const trainees = new Set(repeated.map((s) => s.traineeId)).size;
  const degreesOfFreedom = repeated.reduce((sum, s) => sum + s.trials - 1, 0);
  if (trainees < OWN_ERROR_RULES.trainees || degreesOfFreedom < OWN_ERROR_RULES.degreesOfFreedom) return undefined;
  const pooled = Math.sqrt(repeated.reduce((sum, s) => sum + s.sumOfSquares, 0) / degreesOfFreedom);
  return {
    within: { sd: Math.max(pooled, rounding(measure)), degreesOfFreedom: atMost(degreesOfFreedom) },
    source: 'own trials',
    from: { sets: repeated.length, trainees },
  };
}

/**
 * A coach's measuring error from a repeatability test: the standard error of one occasion of the test, placing the instrument anew
 * included. What a check of more or fewer trials adds or saves is worked out from the scatter within, where that is known.
 *
 * @param within the coach's own scatter from trial to trial, where enough trials have shown it
 */
export function ownErrorFromTest(measure: Measure, test: Repeatability, within?: OwnError): OwnError | undefined {
  if (measure.error.kind !== 'amount' || test.targets < OWN_ERROR_RULES.targets) return undefined;
  return {
    ...(within?.within ? { within: within.within } : {}),
    occasion: {
      sem: Math.max(test.sem, rounding(measure)),
      trials: test.trials,
      degreesOfFreedom: atMost(test.degreesOfFreedom),
    },
    source: 'own test',
    from: { targets: test.targets },
  };
}

function atMost(degreesOfFreedom: number): number {
  return Math.min(degreesOfFreedom, OWN_ERROR_RULES.mostDegreesOfFreedom);
}

/** Standard deviation of rounding to the instrument's step: step/√12. */
function rounding({ limits }: Measure): number {
  return limits.step / Math.sqrt(12);
}
