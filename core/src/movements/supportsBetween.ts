import { both, type KeyPose, type Movement, one } from '../motion/index.ts';
import { PIKE, PLANK, SIDE_LYING, sided, STANDING, STEP_HANG, TABLETOP, move, upright } from './build.ts';

const HAND_IN_AIR = { off: ['right grip'], by: [0, 0.07, 0], left: { lift: -8 } } as const satisfies KeyPose;
const FREE = { curl: 20, pronate: 0, knuckle: 0 } as const;
const POST = { kind: 'post', x: 0.3, y: 0 } as const;

export const SUPPORTS_BETWEEN: Readonly<Record<string, Movement>> = {
  'inverted-v': move(PIKE, { start: { both: { lift: -4 } }, keys: [{ both: { lift: 12 } }], second: 'three-quarter' }),
  'inverted-v-half-lift': move(TABLETOP, {
    start: { both: { ankle: 20, hip: 92 }, at: [0, 0, 0.46] },
    contacts: [...both('palm'), ...both('ball')],
    keys: [{ by: [-0.16, 0, 0.16], pitch: 112, both: { hip: 100, knee: 62, raise: 150 } }],
  }),
  'forearm-to-hand-plank': sided(PLANK, {
    start: { both: { abduct: 8 } },
    keys: [
      {
        off: ['right palm'],
        by: [0, 0.02, -0.1],
        pitch: 78,
        right: { raise: 58, elbow: 92, pronate: 20, wrist: 10 },
        left: { plane: 50, raise: 62, elbow: 48 },
      },
    ],
    view: 'three-quarter',
  }),
  'straight-arm-side-plank': sided(STANDING, {
    start: { roll: -66, at: [0, 0, 0.45], left: { plane: 0, raise: 72, elbow: 0, wrist: 80, pronate: 20 }, right: { raise: 8 } },
    contacts: [one('left', 'palm'), one('left', 'heel')],
    keys: [{ by: [0, 0, 0.02], right: { plane: 0, raise: 92 } }],
    view: 'front',
  }),
  'interlocked-forearms': move(TABLETOP, {
    start: { pitch: 100, both: { hip: 98, elbow: 96, raise: 102, pronate: 10, wrist: 0, rotate: -24, curl: 80, reach: 4 } },
    contacts: [...both('elbow'), ...both('shin')],
    keys: [{ both: { reach: 24 } }],
    view: 'three-quarter',
    second: 'front',
  }),
  'side-lying-push': sided(SIDE_LYING, {
    start: { bend: 8, right: { plane: 96, raise: 60, elbow: 96, rotate: -10, pronate: 80, wrist: 70 } },
    contacts: [one('left', 'hip'), one('right', 'palm')],
    keys: [{ bend: 22, tilt: 4, right: { elbow: 46 } }],
    view: 'front',
    second: 'three-quarter',
  }),
  'one-arm-wall-push': sided(STANDING, {
    start: {
      pitch: 12,
      at: [0, 0, 0.88],
      right: { plane: 84, raise: 97, pronate: 80, wrist: 88, elbow: 2 },
      both: { ankle: 12 },
      left: { raise: 6 },
    },
    contacts: [one('right', 'palm', upright(0.62)), ...both('sole')],
    keys: [{ pitch: 18, by: [0.15, 0, -0.01], right: { elbow: 92, plane: 40, raise: 56, rotate: 20 } }],
    view: 'side',
    second: 'three-quarter',
  }),
  'two-hand-post-pull': move(STANDING, {
    start: { pitch: -24, at: [-0.28, 0, 0.86], both: { plane: 88, raise: 92, elbow: 4, pronate: 0, curl: 85, ankle: -24 } },
    contacts: [...both('grip', POST), ...both('heel')],
    keys: [{ pitch: -8, by: [0.2, 0, 0.02], both: { plane: -10, raise: 30, elbow: 108, reach: -14, ankle: -10 } }],
    view: 'side',
    second: 'three-quarter',
  }),
  'post-push-overhead': move(STANDING, {
    start: {
      pitch: 16,
      at: [-0.4, 0, 0.86],
      both: { plane: 84, raise: 140, elbow: 3, pronate: 30, curl: 80, ankle: 16, lift: 4, hip: 0 },
    },
    contacts: [...both('grip', POST), ...both('sole')],
    keys: [{ by: [-0.03, 0, -0.005], both: { lift: 14, reach: 16 } }],
    view: 'side',
    second: 'back',
  }),
  'reverse-tabletop-reaches': sided(TABLETOP, {
    start: {
      ...{ pitch: -88, nod: 10, at: [0.04, 0, 0.46] },
      both: { hip: -2, knee: 88, plane: -88, raise: 86, pronate: -20, wrist: 80, ankle: 0, rotate: 10 },
    },
    contacts: [...both('palm'), ...both('sole')],
    keys: [{ off: ['right palm'], roll: 14, right: { plane: 84, raise: 128, wrist: 0, pronate: 0 } }],
    view: 'side',
    second: 'three-quarter',
  }),
  'wall-floor-brace': sided(STANDING, {
    start: {
      pitch: 22,
      at: [-0.1, 0, 0.84],
      right: { plane: 80, raise: 62, pronate: 70, wrist: 62, elbow: 0 },
      both: { ankle: 20 },
      left: { raise: 8 },
    },
    contacts: [one('right', 'palm', upright(0.62)), ...both('sole')],
    keys: [{ by: [0.01, 0, 0], right: { reach: 22 } }],
    view: 'side',
    second: 'three-quarter',
  }),
  'ball-toss-change-hands': sided(STEP_HANG, {
    start: { both: { lift: -12 } },
    contacts: [
      one('right', 'grip', { kind: 'bar', x: 0, z: 1.98 }),
      one('left', 'grip', { kind: 'bar', x: 0, z: 1.98 }),
      ...both('sole', { kind: 'level', z: 0.3 }),
    ],
    keys: [
      { ...HAND_IN_AIR, right: { ...FREE, plane: 80, raise: 70, elbow: 70, pronate: -70 } },
      {},
      {
        off: ['left grip'],
        by: [0, -0.07, 0],
        right: { lift: -8 },
        left: { ...FREE, plane: 80, raise: 70, elbow: 70, pronate: -70 },
      },
    ],
    round: true,
    props: [{ kind: 'ball', at: [0.42, 0, 1.7] }],
    view: 'three-quarter',
  }),
  'hang-touches': sided(STEP_HANG, {
    start: { both: { lift: -12 } },
    keys: [
      { ...HAND_IN_AIR, right: { ...FREE, plane: 40, raise: 100, elbow: 150, rotate: 40 } },
      { ...HAND_IN_AIR, right: { ...FREE, plane: 0, raise: 14, elbow: 60, rotate: -20 } },
      { ...HAND_IN_AIR, right: { ...FREE, plane: 130, raise: 70, elbow: 120, rotate: -20 } },
    ],
    view: 'front',
    second: 'side',
  }),
};
