import { COMMON_PRACTICE, projectDefault } from '../../reference/index.ts';
import type { ErrorModel, Measure } from '../../measuring/index.ts';

/**
 * Degrees of freedom that a default standard error is worth against the trials' own scatter:
 * a project default, so that three trials move the band without owning it.
 */
const DEFAULT_DEGREES_OF_FREEDOM = 4;

export function scatter(sem: number): ErrorModel {
  return { kind: 'scatter', sem, degreesOfFreedom: DEFAULT_DEGREES_OF_FREEDOM };
}

/** SEM in degrees, consistent with the order of magnitude of Kolber & Hanney 2012 (from memory). */
const SHOULDER_SEM = scatter(2.8);
const WRIST_SEM = scatter(2.5);
const HOLD_ERROR: ErrorModel = { kind: 'share', share: 0.1 };
const ONE_REPETITION: ErrorModel = { kind: 'fixed', amount: 1 };

const THREE_TRIALS = 3;

/** Days after which a figure no longer speaks for the trainee (project defaults). */
export const FRESH_DAYS = { range: 28, stability: 14, load: 14, grip: 56 } as const;

type Shared = 'unit' | 'better' | 'trials' | 'combine' | 'error' | 'freshDays' | 'limits' | 'origin' | 'instrument' | 'device';
type Own = Omit<Measure, Shared> & Partial<Pick<Measure, Shared>>;

const mean = { trials: THREE_TRIALS, combine: 'mean', better: 'more' } as const;
const best = { trials: THREE_TRIALS, combine: 'best', better: 'more' } as const;

export function shoulderRange(own: Own): Measure {
  return {
    ...mean,
    unit: 'deg',
    error: SHOULDER_SEM,
    freshDays: FRESH_DAYS.range,
    limits: { min: 0, max: 200, step: 1 },
    instrument: 'inclinometer or goniometer',
    device: 'angle held',
    origin: COMMON_PRACTICE,
    ...own,
  };
}

export function wristRange(own: Own): Measure {
  return {
    ...mean,
    unit: 'deg',
    error: WRIST_SEM,
    freshDays: FRESH_DAYS.range,
    limits: { min: 0, max: 130, step: 1 },
    instrument: 'inclinometer or goniometer',
    device: 'angle held',
    origin: COMMON_PRACTICE,
    ...own,
  };
}

export function hold(own: Own): Measure {
  return {
    ...best,
    unit: 's',
    error: HOLD_ERROR,
    freshDays: FRESH_DAYS.stability,
    limits: { min: 0, max: 600, step: 1 },
    instrument: 'stopwatch',
    device: 'time',
    origin: COMMON_PRACTICE,
    ...own,
  };
}

export function cleanCount(own: Own): Measure {
  return {
    ...best,
    unit: 'reps',
    error: ONE_REPETITION,
    freshDays: FRESH_DAYS.stability,
    limits: { min: 0, max: 100, step: 1 },
    instrument: 'count until the first fault',
    device: 'repetitions',
    origin: COMMON_PRACTICE,
    ...own,
  };
}

export function loadTolerated(own: Own): Measure {
  return {
    ...best,
    unit: 'percentBodyWeight',
    error: { kind: 'fixed', amount: 3 },
    freshDays: FRESH_DAYS.load,
    limits: { min: 0, max: 150, step: 1 },
    instrument: 'bathroom scale',
    device: 'weight on a scale',
    origin: projectDefault('±3 points for a household scale and a moving trainee'),
    ...own,
  };
}

/** A level, grade or contact, read by eye: one look, no error band. `choices` name 0, 1, 2 … */
export function level(own: Own & { readonly choices: readonly string[] }): Measure {
  return {
    ...best,
    trials: 1,
    unit: 'level',
    error: { kind: 'none' },
    freshDays: FRESH_DAYS.stability,
    limits: { min: 0, max: own.choices.length - 1, step: 1 },
    instrument: 'by eye',
    origin: COMMON_PRACTICE,
    ...own,
  };
}

export const meanOfTrials = mean;
export const bestOfTrials = best;
