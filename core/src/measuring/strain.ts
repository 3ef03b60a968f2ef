import type { Strain } from '../safety/index.ts';
import type { Measure, WorkingPosition } from './measure.ts';

/** Share of body weight that a position puts on one arm, about (project defaults, from the statics of these positions). */
const LOAD_PER_ARM: Readonly<Partial<Record<WorkingPosition, number>>> = { 'hands and knees': 0.2, plank: 0.35, hanging: 0.5 };
/** Checks in which one arm carries alone. */
const ONE_ARMED: readonly string[] = [
  'raised-arm-hold',
  'side-plank-hold',
  'one-hand-load-hang',
  'one-hand-hold',
  'release-swing',
  'ball-toss',
];
const ALL_OUT = 9;
const HARD = 7;
const EASY = 3;

/**
 * How a check strains the body: an all-out squeeze, work on the hands until it fails, or a range without load.
 *
 * @example strainOfCheck(library.measure('shoulder-flexion')) // { effort: 3, loadPerArm: 0, … }
 */
export function strainOfCheck({ id, position, unit }: Pick<Measure, 'id' | 'position' | 'unit'>): Strain {
  const oneArmed = ONE_ARMED.includes(id);
  const loadPerArm = (LOAD_PER_ARM[position] ?? 0) * (oneArmed ? 2 : 1);
  const untilItFails = unit === 'breaths' || (loadPerArm > 0 && unit !== 'deg');
  return {
    effort: unit === 'kg' ? ALL_OUT : untilItFails ? HARD : EASY,
    loadPerArm,
    loadInAll: loadPerArm * (oneArmed ? 1 : 2),
    overhead: position === 'hanging',
    hanging: position === 'hanging',
    headDown: false,
    oneArmed,
    longHold: unit === 's',
    externalWeight: false,
    mayFall: false,
    kickUp: false,
  };
}
