import { both, type Movement, middle, one } from '../motion/index.ts';
import { CHEST_LOW, LONG_SITTING, move, PRONE, SEATED, sided, STANDING, stance, TABLETOP } from './build.ts';

/** Hands and knees with the palms turned about the arm: fingers to the side, or toward the knees. */
const FINGERS_OUT = { pronate: -4, rotate: 6 } as const;
const FINGERS_BACK = { pronate: -84, rotate: 16 } as const;
const ON_KNUCKLES = [...both('knuckles'), ...both('shin')];
/** Knuckles stay, the palm peels away. */
const PEELED = { wrist: 56, knuckle: -34 } as const;
const HELD_OUT = { plane: 18, raise: 86, elbow: 2, curl: 0 } as const;
/** Kneeling, hands near the knees: the seat sinks toward the heels. */
const NEAR_KNEES = stance(TABLETOP, { start: { pitch: 66, both: { hip: 66, raise: 62 } } });

export const ARMS_AND_WRISTS: Readonly<Record<string, Movement>> = {
  'held-wrist-circles': sided(STANDING, {
    start: {
      right: { raise: 14, plane: 70, elbow: 92, pronate: 60, wrist: 58, curl: 60 },
      left: { raise: 24, plane: 96, elbow: 84, rotate: -40, pronate: 40, curl: 60 },
    },
    also: [one('left', 'hand', { kind: 'body', at: 'right wrist', off: [-0.05, 0, 0] })],
    keys: [{ right: { wrist: 0, deviate: 26 } }, { right: { wrist: -62, deviate: 0 } }, { right: { wrist: 0, deviate: -34 } }],
    round: true,
    view: 'three-quarter',
    closeUp: 'right hand',
    closeFrom: 'side',
  }),
  'palm-lifts-out': move(TABLETOP, {
    start: { both: FINGERS_OUT },
    contacts: ON_KNUCKLES,
    keys: [{ both: PEELED }],
    view: 'three-quarter',
    closeUp: 'right hand',
    closeFrom: 'front',
  }),
  'palm-lifts-back': move(TABLETOP, {
    start: { both: FINGERS_BACK },
    contacts: ON_KNUCKLES,
    keys: [{ both: PEELED }],
    closeUp: 'right hand',
  }),
  'flick-open-seated': move(SEATED, {
    start: { both: { raise: 16, elbow: 6, curl: 80, knuckle: 30, pronate: 10 } },
    keys: [{ both: { curl: -10, knuckle: -20, wrist: 30, spread: 20 } }],
    view: 'three-quarter',
    closeUp: 'right hand',
    closeFrom: 'front',
  }),
  'loaded-knuckle-bends': move(TABLETOP, {
    contacts: [...both('tips'), ...both('shin')],
    start: { both: { wrist: 62, knuckle: 4, curl: 8, raise: 72 }, pitch: 74 },
    keys: [{ both: { wrist: 20, knuckle: 66, curl: 4 }, by: [0.01, 0, 0.03] }],
    closeUp: 'right hand',
  }),
  'kneeling-palm-stretch': move(NEAR_KNEES, {
    start: { both: { ...FINGERS_BACK, wrist: 84 } },
    keys: [{ by: [-0.13, 0, -0.05], pitch: 58, both: { hip: 86 } }],
    closeUp: 'right hand',
  }),
  'kneeling-back-of-hand-stretch': move(NEAR_KNEES, {
    start: { both: { pronate: 84, wrist: -74, elbow: 6 } },
    contacts: [...both('back of the hand'), ...both('shin')],
    keys: [{ by: [-0.06, 0, -0.02], both: { hip: 76 } }],
    closeUp: 'right hand',
  }),
  'arms-out-hold': move(STANDING, {
    start: { both: { ...HELD_OUT, rotate: 20, pronate: -40 } },
    keys: [{ both: { rotate: 70, pronate: -80, raise: 88 } }],
    view: 'front',
    second: 'above',
  }),
  'goal-post-press': move(STANDING, {
    start: { both: { plane: 8, raise: 150, rotate: 80, elbow: 40, pronate: 60, curl: 0 } },
    keys: [{ both: { raise: 58, rotate: 78, elbow: 118, reach: -10 } }],
    view: 'front',
    second: 'side',
  }),
  'opposite-arm-turns': move(STANDING, {
    start: { right: { ...HELD_OUT, rotate: 70, pronate: -70 }, left: { ...HELD_OUT, rotate: -50, pronate: 80 } },
    keys: [{ right: { rotate: -50, pronate: 80 }, left: { rotate: 70, pronate: -70 } }],
    view: 'front',
    second: 'three-quarter',
  }),
  'shoulder-drop-look-back': sided(STANDING, {
    keys: [{ right: { lift: -14 } }, { right: { lift: -14, reach: -8 }, look: 66, tilt: -6 }],
    view: 'three-quarter',
    second: 'back',
  }),
  'chest-low-active-passive': move(CHEST_LOW, {
    start: { both: { elbow: 6, raise: 166, pronate: 80, wrist: 10 } },
    contacts: [...both('hand', { kind: 'level', z: 0.03 }), ...both('shin')],
    keys: [
      { pitch: 122, flex: -32, both: { raise: 176 } },
      { off: ['right hand', 'left hand'], both: { raise: 184, wrist: 0 } },
    ],
    second: 'three-quarter',
  }),
  'prone-chest-turn-press': sided(PRONE, {
    start: { right: { plane: 0, raise: 92, elbow: 2, pronate: 80 }, left: { plane: -30, raise: 16 }, at: [0, 0, 0.12] },
    contacts: [middle('front'), one('right', 'hand', { kind: 'level', z: 0.03 })],
    keys: [{ off: ['front'], spin: -38, by: [0, 0.05, 0.04], look: 20, right: { plane: -28, reach: 10 }, left: { plane: -50, raise: 24 } }],
    view: 'three-quarter',
    second: 'above',
  }),
  'prone-forearm-press': move(PRONE, {
    start: {
      pitch: 84,
      at: [0, 0, 0.13],
      flex: -14,
      nod: -20,
      both: { knee: 10, plane: 90, raise: 70, elbow: 86, pronate: 0, curl: 0, reach: -18 },
    },
    contacts: [...both('forearm'), ...both('knee')],
    keys: [{ both: { reach: 26 } }],
    view: 'side',
    second: 'above',
    closeUp: 'blades',
  }),
  'loaded-hinge': move(STANDING, {
    start: { both: { plane: 70, raise: 14, elbow: 2, curl: 85, pronate: 70 } },
    keys: [{ pitch: 70, by: [-0.16, 0, -0.03], both: { hip: 74, knee: 14, plane: 88, raise: 66 } }],
    props: [
      { kind: 'weight', in: 'right hand', heavy: true },
      { kind: 'weight', in: 'left hand', heavy: true },
    ],
    view: 'side',
  }),
  'straddle-active-passive': move(LONG_SITTING, {
    start: { both: { abduct: 48, hip: 91, raise: 40, plane: 84, elbow: 12, pronate: 80, wrist: 60 } },
    contacts: [middle('seat')],
    keys: [
      { pitch: 28, flex: 16, both: { hip: 118, raise: 66 } },
      { pitch: 36, flex: 10, both: { hip: 126, raise: 72 } },
    ],
    view: 'three-quarter',
    second: 'front',
  }),
};
