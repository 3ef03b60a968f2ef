import { ARM_BALANCE } from './armBalance.ts';
import { BAND_HANG } from './bandHang.ts';
import { BENCH_DIP } from './benchDip.ts';
import { CARRY } from './carry.ts';
import { CROUCHED_LEAN } from './crouchedLean.ts';
import { DIP } from './dip.ts';
import { FOREARM_BALANCE } from './forearmBalance.ts';
import { FOREARM_DOG } from './forearmDog.ts';
import { FOREARM_PLANK } from './forearmPlank.ts';
import { FREE_HANG } from './freeHang.ts';
import { HANDSTAND } from './handstand.ts';
import { KNEELING_PUSH_UP } from './kneelingPushUp.ts';
import { LEAN_BACK_HANG } from './leanBackHang.ts';
import { PIKE_HOLD } from './pikeHold.ts';
import { PLANK } from './plank.ts';
import { POST_BRACE } from './postBrace.ts';
import { PULL_UP } from './pullUp.ts';
import { PUSH_UP } from './pushUp.ts';
import { SEATED_PRESS } from './seatedPress.ts';
import { SUPPORTED_HANG } from './supportedHang.ts';
import { SWING } from './swing.ts';
import { TABLETOP } from './tabletop.ts';
import { WALL_PUSH } from './wallPush.ts';

/** Every position that the model knows, pushing first. */
export const MODELS = {
  'wall-push': WALL_PUSH,
  'push-up': PUSH_UP,
  'kneeling-push-up': KNEELING_PUSH_UP,
  tabletop: TABLETOP,
  plank: PLANK,
  'pike-hold': PIKE_HOLD,
  handstand: HANDSTAND,
  'forearm-plank': FOREARM_PLANK,
  'forearm-dog': FOREARM_DOG,
  'forearm-balance': FOREARM_BALANCE,
  'seated-press': SEATED_PRESS,
  'bench-dip': BENCH_DIP,
  dip: DIP,
  'crouched-lean': CROUCHED_LEAN,
  'arm-balance': ARM_BALANCE,
  'lean-back-hang': LEAN_BACK_HANG,
  'supported-hang': SUPPORTED_HANG,
  'band-hang': BAND_HANG,
  'pull-up': PULL_UP,
  'free-hang': FREE_HANG,
  swing: SWING,
  'post-brace': POST_BRACE,
  carry: CARRY,
} as const;

export type StaticPosition = keyof typeof MODELS;
