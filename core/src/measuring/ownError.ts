import type { Measure } from './measure.ts';
import type { Repeatability } from './repeatability.ts';

/** A coach's own measuring error in one check: the standard error of a single trial, in its unit. */
export interface OwnError {
  readonly sem: number;
  readonly degreesOfFreedom: number;
  readonly source: 'repeated trials' | 'repeatability test';
  /** Where it comes from, for the coach. */
  readonly words: string;
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
 * A coach's measuring error from repeated trials, pooled within trainees and occasions (ν-weighted
 * mean of variances), once there are enough of them; never finer than the instrument's rounding.
 *
 * @param measure must have a scatter model, or there is nothing to replace
 * @param scatters of this coach in this check
 * @example ownErrorFromTrials(library.measure('grip'), []) // undefined: too little to go by
 */
export function ownErrorFromTrials(measure: Measure, scatters: readonly TrialScatter[]): OwnError | undefined {
  if (measure.error.kind !== 'scatter') return undefined;
  const repeated = scatters.filter((s) => s.trials > 1);
  const trainees = new Set(repeated.map((s) => s.traineeId)).size;
  const degreesOfFreedom = repeated.reduce((sum, s) => sum + s.trials - 1, 0);
  if (trainees < OWN_ERROR_RULES.trainees || degreesOfFreedom < OWN_ERROR_RULES.degreesOfFreedom) return undefined;
  const pooled = Math.sqrt(repeated.reduce((sum, s) => sum + s.sumOfSquares, 0) / degreesOfFreedom);
  return {
    sem: Math.max(pooled, rounding(measure)),
    degreesOfFreedom: Math.min(degreesOfFreedom, OWN_ERROR_RULES.mostDegreesOfFreedom),
    source: 'repeated trials',
    words: `${repeated.length} sets of repeated trials on ${trainees} trainees`,
  };
}

/**
 * A coach's measuring error from a repeatability test. It holds what repeated trials cannot: placing
 * the instrument anew on another occasion. So that a mean of as many trials as in the test gets the
 * error the test has found, it is stated for a single trial: SEM·√trials.
 */
export function ownErrorFromTest(measure: Measure, test: Repeatability): OwnError | undefined {
  if (measure.error.kind !== 'scatter' || test.targets < OWN_ERROR_RULES.targets) return undefined;
  return {
    sem: Math.max(test.sem * Math.sqrt(test.trials), rounding(measure)),
    degreesOfFreedom: Math.min(test.degreesOfFreedom, OWN_ERROR_RULES.mostDegreesOfFreedom),
    source: 'repeatability test',
    words: `a repeatability test on ${test.targets} sides or bodies`,
  };
}

/** Standard deviation of rounding to the instrument's step: step/√12. */
function rounding({ limits }: Measure): number {
  return limits.step / Math.sqrt(12);
}
