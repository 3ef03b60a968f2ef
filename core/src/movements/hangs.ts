import { both, type KeyPose, type Movement, one } from '../motion/index.ts';
import { FEET_HANG, HANGING, move, sided, type Stance, STANDING, STEP_HANG } from './build.ts';

const SET = { both: { lift: -12 } } as const;
const LOOSE = { both: { lift: 14 } } as const;
/** What the free arm does while the other holds: down from the bar to the shoulder, and back. */
const TAP: KeyPose = {
  off: ['right grip'],
  by: [0, 0.06, 0],
  right: { plane: 60, raise: 50, elbow: 140, rotate: -20, curl: 20, pronate: 0, knuckle: 0 },
  left: { lift: -6 },
};
const ONE_HAND: KeyPose = {
  off: ['right grip'],
  by: [0, 0.07, 0],
  right: { plane: 20, raise: 16, elbow: 12, curl: 20, pronate: 0, knuckle: 0 },
  left: { lift: -8 },
};
const CRUNCH = { bend: 24, roll: 10, right: { hip: 70, knee: 80 }, left: { hip: 60, knee: 80 } } as const;

/** Standing before a bar at head height, one hand on it. */
const UNDER_LOW_BAR: Stance = {
  start: { at: [-0.45, 0, 0.42], pitch: -52, nod: 10, both: { plane: 88, raise: 88, pronate: 80, curl: 85, hip: 2, knee: 4, ankle: -20 } },
  contacts: [...both('grip', { kind: 'bar', x: 0, z: 1.02 }), ...both('heel')],
  view: 'side',
};

const PULLED = { plane: 34, raise: 74, rotate: 76, elbow: 124, lift: -10 } as const;
/** From a hang up to the bar, metres. */
const UP = [-0.12, 0, 0.33] as const;
const BAND = [{ kind: 'band', from: 'right foot', to: [0, 0, 2.2] }] as const;

const oneHandOnStep = (depth: number): Movement =>
  sided(STEP_HANG, {
    start: { both: { hip: 50 - depth, knee: 32 - depth / 2 }, at: [-0.02, 0, 0.78] },
    keys: [ONE_HAND],
    view: 'front',
    second: 'side',
  });

const pullUp = (props: Movement['props'] = []): Movement =>
  move(HANGING, { start: SET, keys: [{ both: PULLED, by: UP }], props, view: 'side', second: 'back' });

export const HANGS: Readonly<Record<string, Movement>> = {
  'light-shrugs-bar': move(FEET_HANG, { start: LOOSE, keys: [SET], second: 'back', closeUp: 'blades' }),
  'supported-packed-hang': move(STEP_HANG, { start: LOOSE, keys: [SET] }),
  'supported-one-shoulder-pack': sided(STEP_HANG, { start: LOOSE, keys: [{ right: { lift: -12 } }], view: 'back', closeUp: 'blades' }),
  'feet-side-rocks': sided(FEET_HANG, { start: SET, keys: [{ by: [0, -0.12, 0] }, {}, { by: [0, 0.12, 0] }], round: true, view: 'front' }),
  'feet-hang-turns': sided(STEP_HANG, { start: SET, keys: [{ yaw: 26, turn: 20, look: 20 }], view: 'three-quarter', second: 'above' }),
  'feet-side-crunches': sided(STEP_HANG, { start: SET, keys: [{ bend: 24, roll: 6, by: [0, -0.04, 0.05] }], view: 'front' }),
  'bar-side-bends': sided(FEET_HANG, { keys: [{ bend: -30, by: [0, 0.16, 0.02] }], view: 'front' }),
  'ball-toss-feet': sided(STEP_HANG, {
    start: SET,
    keys: [{ off: ['right grip'], by: [0, 0.06, 0], right: { plane: 80, raise: 60, elbow: 70, curl: 40, pronate: -60, knuckle: 0 } }],
    props: [{ kind: 'ball', at: [0.62, -0.2, 1.35] }],
    view: 'three-quarter',
  }),
  'catch-standing': sided(STANDING, {
    start: {
      right: { plane: 80, raise: 46, elbow: 60, pronate: -60, curl: 30 },
      left: { plane: 70, raise: 150, pronate: 70, curl: 85, elbow: 6 },
    },
    contacts: [...both('sole'), one('left', 'grip', { kind: 'bar', x: 0.1, z: 1.9 })],
    keys: [{ right: { raise: 66, elbow: 30 } }],
    props: [{ kind: 'ball', at: [0.7, -0.25, 1.45] }],
    view: 'three-quarter',
  }),
  'feet-easy-hang': move(STEP_HANG, {
    start: { both: { lift: 6, hip: 62, knee: 50 } },
    keys: [{ both: { lift: 12 } }],
    view: 'three-quarter',
  }),
  'bar-landing-practice': move(STEP_HANG, {
    keys: [
      { by: [0.05, 0, -0.06], both: { hip: 62, knee: 62 } },
      {
        off: ['right grip', 'left grip'],
        by: [0.25, 0, -0.05],
        pitch: 18,
        both: { hip: 60, knee: 70, plane: 88, raise: 60, elbow: 20, curl: 10, pronate: 0, knuckle: 0 },
      },
    ],
  }),
  'towel-hold': move(FEET_HANG, {
    start: { pitch: -22, at: [-0.3, 0, 0.8], both: { plane: 88, raise: 122, pronate: 0, hip: 30, knee: 30 } },
    contacts: [...both('grip', { kind: 'bar', x: 0, z: 1.55 }), ...both('sole')],
    keys: [{ by: [-0.05, 0, 0] }],
    props: [{ kind: 'band', from: 'right hand', to: [0, 0, 1.75] }],
  }),
  'low-bar-rows': move(UNDER_LOW_BAR, { keys: [{ by: [0.2, 0, 0.3], both: { plane: -60, raise: 30, elbow: 112, reach: -14 } }] }),
  'practice-low-rows': move(UNDER_LOW_BAR, {
    start: { both: { reach: 8 } },
    keys: [{ by: [0.2, 0, 0.3], both: { plane: -60, raise: 30, elbow: 112, reach: -14 } }],
    second: 'three-quarter',
  }),
  'practice-quarter-hang': move(FEET_HANG, { start: SET, keys: [{ both: { lift: -8 } }] }),
  'practice-half-hang': move(STEP_HANG, { start: SET, keys: [{ both: { lift: -8 } }], view: 'three-quarter' }),
  'practice-packs-and-rocks': sided(STEP_HANG, {
    start: LOOSE,
    keys: [{ right: { lift: -12 } }, { right: { lift: -12 }, by: [0, -0.1, 0] }],
    view: 'front',
    closeUp: 'blades',
  }),
  'practice-blade-pulls': move(STEP_HANG, { start: LOOSE, keys: [{ both: { lift: -14 }, flex: -10 }], second: 'back', closeUp: 'blades' }),
  'practice-free-hang': move(HANGING, { start: LOOSE, keys: [SET], view: 'front', second: 'side' }),
  'practice-turns-and-crunches': sided(HANGING, {
    start: SET,
    keys: [{ yaw: 24, turn: 18 }, {}, { ...CRUNCH, by: [0, 0, 0.04] }],
    view: 'front',
  }),
  'practice-one-hand-30': oneHandOnStep(0),
  'practice-one-hand-45': oneHandOnStep(14),
  'practice-one-hand-80': oneHandOnStep(22),
  'practice-taps-with-feet': sided(STEP_HANG, { start: SET, keys: [TAP], view: 'front', second: 'side' }),
  'practice-free-taps': sided(HANGING, { start: SET, keys: [TAP], view: 'front' }),
  'practice-straight-swings': move(HANGING, {
    start: { pitch: 16, both: { lift: -8, raise: 166 }, at: [0.28, 0, 1.03] },
    keys: [{ pitch: -20, by: [-0.6, 0, 0], both: { hip: 12 } }],
    view: 'side',
  }),
  'practice-hand-to-hand': sided(HANGING, {
    start: { pitch: 8, both: { lift: -8 } },
    contacts: [one('left', 'grip', { kind: 'bar', x: 0, z: 2.2 }), one('right', 'grip', { kind: 'bar', x: 0, z: 2.2 })],
    keys: [{ off: ['right grip'], by: [-0.12, 0, 0.02], pitch: -12, right: { plane: 84, raise: 150 } }],
    view: 'side',
  }),
  'practice-band-half': pullUp(BAND),
  'practice-band-third': move(HANGING, {
    start: { both: { lift: -12, knee: 40 } },
    keys: [{ both: PULLED, by: UP }],
    props: BAND,
    view: 'side',
  }),
  'practice-band-quarter': move(HANGING, {
    start: SET,
    keys: [{ both: { ...PULLED, elbow: 128 }, by: UP }],
    props: BAND,
    view: 'three-quarter',
  }),
  'practice-band-sixth': move(HANGING, { start: SET, keys: [{ both: PULLED, by: UP }], props: BAND, view: 'back' }),
  'practice-band-tenth': move(HANGING, { start: SET, keys: [{ both: PULLED, by: UP }], props: BAND, view: 'front' }),
  'practice-slow-lowering': move(HANGING, {
    start: { both: { ...PULLED, pronate: 78 }, at: [-0.12, 0, 1.38] },
    contacts: both('grip', { kind: 'bar', x: 0, z: 2.2 }),
    keys: [{ by: [0.12, 0, -0.33], both: { plane: 82, raise: 170, elbow: 2 } }],
    view: 'side',
  }),
  'practice-strict-pull-up': pullUp(),
  'practice-loaded-pull-up': move(HANGING, {
    start: SET,
    keys: [{ both: PULLED, by: UP }],
    props: [{ kind: 'weight', in: 'pelvis', heavy: true }],
    view: 'three-quarter',
  }),
};
