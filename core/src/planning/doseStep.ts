import type { Drill } from '../drills/index.ts';

/** How a dose grows or shrinks where there is no load to turn (project default). */
const DOSE_STEP = 0.2;
const STEPS = { reps: 1, s: 5, breaths: 1 } as const;
/** A dose never grows beyond this many times what the drill starts with (project default). */
const MOST_TIMES = 2;

/** One step of repetitions, seconds or breaths from where a dose stands. */
export function doseStep(unit: Drill['dose']['unit'], from: number): number {
  return Math.max(STEPS[unit], Math.round((from * DOSE_STEP) / STEPS[unit]) * STEPS[unit]);
}

/** The most that a set of a drill ever grows to. */
export function mostEver({ max }: Pick<Drill['dose'], 'max'>): number {
  return max * MOST_TIMES;
}
