import type { FaultId } from '../drills/index.ts';
import type { Movement } from '../motion/index.ts';
import { faulty } from '../showing/index.ts';
import type { PoseName } from '../statics/index.ts';
import { ARMS_AND_WRISTS } from './armsAndWrists.ts';
import { BLADES_AND_TRUNK } from './bladesAndTrunk.ts';
import { CHECK_FIGURES } from './checks.ts';
import { BY_POSE } from './byPose.ts';
import { HANDS_AND_FOREARMS } from './handsAndForearms.ts';
import { HANGS } from './hangs.ts';
import { PUSHES } from './pushes.ts';
import { SHOULDER_MOBILITY } from './shoulderMobility.ts';
import { SUPPORTS_BETWEEN } from './supportsBetween.ts';

/** The movement of every built-in drill, by the drill's id. */
export const MOVEMENTS: Readonly<Record<string, Movement>> = {
  ...HANDS_AND_FOREARMS,
  ...SHOULDER_MOBILITY,
  ...BLADES_AND_TRUNK,
  ...HANGS,
  ...PUSHES,
  ...ARMS_AND_WRISTS,
  ...SUPPORTS_BETWEEN,
};

/** What is shown: a drill, a check at the end of its movement, or a drill done with a fault. */
export type ShownThing = ShownDrill | ShownCheck | ShownFault;

/** What a drill says of how it is shown. */
export interface ShownDrill {
  readonly id: string;
  readonly pose: PoseName;
  /** The built-in drill whose movement it shows, where it is not its own. */
  readonly movement?: string | undefined;
}

/** What a check says of how it is shown. */
export interface ShownCheck {
  readonly check: string;
  readonly pose: PoseName;
}

/** A drill as a fault makes it look. */
export interface ShownFault {
  readonly fault: FaultId;
  readonly drill: ShownDrill;
}

/**
 * The movement of a drill: its own, that of the drill it was written from, or the working position it names; of a check its end position.
 *
 * @example movementOf({ id: 'plank', pose: 'plank' }).view // 'side'
 */
export function movementOf(thing: ShownThing): Movement {
  if ('fault' in thing) return faulty(movementOf(thing.drill), thing.fault) ?? movementOf(thing.drill);
  if ('check' in thing) return named(CHECK_FIGURES, thing.check) ?? BY_POSE[thing.pose];
  const { id, pose, movement = id } = thing;
  return named(MOVEMENTS, movement) ?? BY_POSE[pose];
}

/** Names come out of studios' files: only those of our own count. */
function named(movements: Readonly<Record<string, Movement>>, name: string): Movement | undefined {
  return Object.hasOwn(movements, name) ? movements[name] : undefined;
}

export { BY_POSE, CHECK_FIGURES };
