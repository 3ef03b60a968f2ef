import type { Movement } from '../motion/index.ts';
import type { PoseName } from '../statics/index.ts';
import { BLADES_AND_TRUNK } from './bladesAndTrunk.ts';
import { BY_POSE } from './byPose.ts';
import { HANDS_AND_FOREARMS } from './handsAndForearms.ts';
import { HANGS } from './hangs.ts';
import { PUSHES } from './pushes.ts';
import { SHOULDER_MOBILITY } from './shoulderMobility.ts';

/** The movement of every built-in drill, by the drill's id. */
export const MOVEMENTS: Readonly<Record<string, Movement>> = {
  ...HANDS_AND_FOREARMS,
  ...SHOULDER_MOBILITY,
  ...BLADES_AND_TRUNK,
  ...HANGS,
  ...PUSHES,
};

/** What a drill says of how it is shown. */
export interface ShownDrill {
  readonly id: string;
  readonly pose: PoseName;
  /** The built-in drill whose movement it shows, where it is not its own. */
  readonly movement?: string | undefined;
}

/**
 * The movement of a drill: its own, that of the drill it was written from, or the working position it names.
 *
 * @example movementOf({ id: 'plank', pose: 'plank' }).view // 'side'
 */
export function movementOf({ id, pose, movement = id }: ShownDrill): Movement {
  return MOVEMENTS[movement] ?? BY_POSE[pose];
}

/** The same, with the key under which its figures may be kept. */
export function movementKey({ id, pose, movement = id }: ShownDrill): string {
  return movement in MOVEMENTS ? movement : `pose ${pose}`;
}

export { BY_POSE };
