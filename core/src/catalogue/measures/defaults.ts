import { COMMON_PRACTICE, projectDefault } from '../../reference/index.ts';
import type { Measure } from '../../measuring/index.ts';
import { ERRORS } from './errors.ts';

const THREE_TRIALS = 3;

type Shared = 'unit' | 'better' | 'trials' | 'combine' | 'error' | 'freshDays' | 'limits' | 'origin' | 'instrument' | 'device';
type Own = Omit<Measure, Shared> & Partial<Pick<Measure, Shared>>;

const mean = { trials: THREE_TRIALS, combine: 'mean', better: 'more' } as const;
const best = { trials: THREE_TRIALS, combine: 'best', better: 'more' } as const;

export function shoulderRange(own: Own): Measure {
  return {
    ...mean,
    unit: 'deg',
    ...ERRORS.elevation,
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
    ...ERRORS.wrist,
    limits: { min: 0, max: 130, step: 1 },
    instrument: 'inclinometer or goniometer',
    device: 'angle held',
    origin: COMMON_PRACTICE,
    ...own,
  };
}

/** One attempt: a second one measures how tired the first has left the trainee. */
export function hold(own: Own): Measure {
  return {
    ...ERRORS.hang,
    better: 'more',
    trials: 1,
    combine: 'best',
    unit: 's',
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
    ...ERRORS.count,
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
    ...ERRORS.load,
    limits: { min: 0, max: 150, step: 1 },
    instrument: 'bathroom scale',
    device: 'weight on a scale',
    origin: projectDefault('errors of 2 and 4 points for a household scale and a moving trainee'),
    ...own,
  };
}

/** A level, grade or contact, read by eye: one look, no error band. `choices` name 0, 1, 2 … */
export function level(own: Own & { readonly choices: readonly string[] }): Measure {
  return {
    ...best,
    trials: 1,
    unit: 'level',
    ...ERRORS.level,
    limits: { min: 0, max: own.choices.length - 1, step: 1 },
    instrument: 'by eye',
    origin: COMMON_PRACTICE,
    ...own,
  };
}

export const meanOfTrials = mean;
export const bestOfTrials = best;
