import { type LibraryContent, openLibrary } from '../library/index.ts';
import { ACTIVATION } from './drills/activation.ts';
import { ARMS_AND_WRISTS } from './drills/armsAndWrists.ts';
import { AROUND } from './drills/around.ts';
import { BLADE_CONTROL } from './drills/bladeControl.ts';
import { FINGERTIPS } from './drills/fingertips.ts';
import { FOREARM_AND_WRIST } from './drills/forearmAndWrist.ts';
import { HANG_AND_GRIP } from './drills/hangAndGrip.ts';
import { COOL_DOWN, MOBILITY } from './drills/mobility.ts';
import { OPENERS } from './drills/openers.ts';
import { SHOULDER_MOBILITY } from './drills/shoulderMobility.ts';
import { SHOULDER_STABILITY } from './drills/shoulderStability.ts';
import { STABILITY } from './drills/stability.ts';
import { STRENGTH } from './drills/strength.ts';
import { STRENGTH_ON_TOP } from './drills/strengthOnTop.ts';
import { SUPPORTS_BETWEEN } from './drills/supportsBetween.ts';
import { FAULTS } from './faults.ts';
import { ARM_BALANCE_LEAN } from './ladders/armBalanceLean.ts';
import { ASSISTED_PULL } from './ladders/assistedPull.ts';
import { DIP } from './ladders/dip.ts';
import { FINGERTIP_SUPPORT } from './ladders/fingertipSupport.ts';
import { FOREARM_INVERSION } from './ladders/forearmInversion.ts';
import { HAND_SUPPORT } from './ladders/handSupport.ts';
import { HANG_AND_SWING } from './ladders/hangAndSwing.ts';
import { HEAVY_GRIP_LIFTS } from './ladders/heavyGrip.ts';
import { LIFT_OFF } from './ladders/liftOff.ts';
import { OVERHEAD_LOADS } from './ladders/overheadLoads.ts';
import { POST_BRACE } from './ladders/postBrace.ts';
import { PUSH_UP } from './ladders/pushUp.ts';
import { MEASURES } from './measures/index.ts';
import { withLesson } from './teaching/index.ts';

/** The ladders in the order of practice; the lift-off branches off the hand support, the dip off the push-up. */
const CLIMBS = [
  HANG_AND_SWING,
  ASSISTED_PULL,
  HAND_SUPPORT,
  LIFT_OFF,
  PUSH_UP,
  DIP,
  FINGERTIP_SUPPORT,
  FOREARM_INVERSION,
  ARM_BALANCE_LEAN,
  POST_BRACE,
  HEAVY_GRIP_LIFTS,
  OVERHEAD_LOADS,
];

/** Raised whenever an entry below changes, so that a studio's copy knows what it was made from. */
export const BUILT_IN_VERSION = '2026-11.13';

/** Every drill, ladder, check and fault the product ships. */
export const BUILT_IN: LibraryContent = {
  drills: [
    ...OPENERS,
    ...FOREARM_AND_WRIST,
    ...MOBILITY,
    ...SHOULDER_MOBILITY,
    ...ACTIVATION,
    ...BLADE_CONTROL,
    ...STABILITY,
    ...SHOULDER_STABILITY,
    ...HANG_AND_GRIP,
    ...FINGERTIPS,
    ...AROUND,
    ...ARMS_AND_WRISTS,
    ...SUPPORTS_BETWEEN,
    ...STRENGTH,
    ...STRENGTH_ON_TOP,
    ...COOL_DOWN,
    ...CLIMBS.flatMap((c) => c.practices),
  ].map(withLesson),
  ladders: CLIMBS.map((c) => c.ladder),
  measures: MEASURES,
  faults: FAULTS,
  setAside: ['peel-test'],
};

/** The same, opened: what a studio has that changed nothing. */
export const BUILT_IN_LIBRARY = openLibrary(BUILT_IN);
