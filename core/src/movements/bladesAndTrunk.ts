import { both, type Movement, one } from '../motion/index.ts';
import {
  AT_WALL,
  FOREARM_DOG,
  FOREARM_PLANK,
  KNEE_PLANK,
  level,
  LONG_SITTING,
  move,
  PLANK,
  PRONE,
  SEATED,
  sided,
  STANDING,
  stance,
  TABLETOP,
  upright,
} from './build.ts';

const APART = { reach: 26 } as const;
const TOGETHER = { reach: -20 } as const;
const STRAP = { kind: 'strap', from: 'right hand', to: 'left hand' } as const;
const BLADES = { closeUp: 'blades' } as const;

/** Lying face down, both arms lifted from where they lie. */
const lifted = (arms: NonNullable<Movement['start']['both']>, up: NonNullable<Movement['start']['both']>): Movement =>
  move(PRONE, { start: { both: arms }, keys: [{ flex: -10, both: up }], view: 'three-quarter', second: 'above' });

const RAISED_W = { plane: 0, raise: 66, rotate: 84, elbow: 92, pronate: 0 } as const;
const CONTRACT_FOREARMS_TALL = { plane: 88, raise: 92, rotate: 0, elbow: 92, pronate: 0, curl: 0 } as const;
/** One forearm stays and pushes, the other slides forward. */
const FOREARMS_KNEELING = stance(TABLETOP, {
  start: { pitch: 104, both: { hip: 100, elbow: 88, raise: 104, pronate: 0, wrist: 0 } },
  contacts: [...both('forearm'), ...both('shin')],
});

export const BLADES_AND_TRUNK: Readonly<Record<string, Movement>> = {
  'four-directions': move(TABLETOP, {
    keys: [{ both: { lift: 22 } }, { both: { lift: -10 } }, { both: { lift: 0, reach: 26 } }, { both: { reach: -22 } }],
    round: true,
    view: 'side',
    second: 'above',
    ...BLADES,
  }),
  'wall-scapular-push-up': move(AT_WALL, { start: { both: TOGETHER }, keys: [{ both: APART }], ...BLADES }),
  'prone-letters': move(PRONE, {
    start: { both: { plane: 0, raise: 88, elbow: 2, pronate: -88 } },
    keys: [
      { flex: -8, both: { plane: -16 } },
      { both: { plane: 4, raise: 140, pronate: -60 } },
      { flex: -8, both: { plane: -14, raise: 140 } },
      { flex: -8, both: { ...RAISED_W, plane: -16 } },
    ],
    view: 'above',
    second: 'three-quarter',
  }),
  'wall-slides': move(STANDING, {
    start: { both: { plane: 4, raise: 82, rotate: 84, elbow: 92, pronate: 0, curl: 0 } },
    keys: [{ both: { raise: 146, elbow: 34 } }],
    props: [{ kind: 'wall', x: -0.12 }],
    view: 'front',
    second: 'side',
  }),
  'block-squeeze': move(STANDING, {
    start: { both: { ...CONTRACT_FOREARMS_TALL, plane: 98, rotate: 0, lift: -4, reach: -12 } },
    keys: [{ both: { raise: 112, lift: 6, reach: 20 } }],
    props: [{ kind: 'block', between: 'elbows' }],
    view: 'three-quarter',
    second: 'side',
  }),
  'seated-wall-scapular-push-up': move(SEATED, {
    start: { both: { plane: 90, raise: 84, elbow: 0, pronate: 80, wrist: 80, reach: -20, curl: 0 } },
    also: both('palm', upright(0.66)),
    keys: [{ both: APART }],
    view: 'side',
    ...BLADES,
  }),
  'kneeling-scapular-push-up': move(KNEE_PLANK, { start: { both: TOGETHER }, keys: [{ both: APART }], ...BLADES }),
  'plank-scapular-push-up': move(PLANK, { start: { both: TOGETHER }, keys: [{ both: APART }], second: 'above', ...BLADES }),
  'tabletop-scapular-push-up': move(TABLETOP, { start: { both: TOGETHER }, keys: [{ both: APART }], second: 'above', ...BLADES }),
  'forearm-scapular-push-up': move(FOREARM_PLANK, { start: { both: TOGETHER }, keys: [{ both: APART }], ...BLADES }),
  'wall-forearm-turn': sided(STANDING, {
    start: { pitch: 4, right: { plane: 88, raise: 88, elbow: 92, pronate: 20, curl: 0 }, left: { raise: 8 } },
    contacts: [one('right', 'forearm', upright(0.38)), ...both('sole')],
    keys: [{ right: APART, turn: 34, look: 30 }],
    view: 'three-quarter',
  }),
  'floor-forearm-turn': sided(FOREARMS_KNEELING, {
    start: { left: { plane: 90, raise: 62, elbow: 138 } },
    contacts: [one('right', 'forearm'), ...both('shin')],
    keys: [{ turn: 42, look: 40, right: APART, left: { plane: 0, raise: 70, elbow: 90 } }],
    view: 'three-quarter',
  }),
  'tabletop-hand-slide': sided(TABLETOP, {
    keys: [
      {
        ...{ by: [-0.05, 0, -0.03], turn: 26, look: -10, shift: { 'right palm': [0.17, 0, 0] } },
        ...{ left: { ...APART, raise: 92 }, right: { reach: 24, raise: 124, wrist: 52 }, both: { hip: 92, knee: 96 } },
      },
    ],
  }),
  'tabletop-forearm-slide': sided(FOREARMS_KNEELING, {
    keys: [
      {
        ...{ by: [-0.05, 0, -0.02], turn: 14, shift: { 'right forearm': [0.17, 0, 0] } },
        ...{ left: { ...APART, raise: 112 }, right: { reach: 20, raise: 134, elbow: 60 }, both: { hip: 112, knee: 96 } },
      },
    ],
  }),
  'plank-shuffles': sided(PLANK, {
    keys: [
      { shift: { 'right palm': [0, -0.14, 0], 'right ball': [0, -0.14, 0] }, by: [0, -0.05, 0] },
      {
        shift: { 'right palm': [0, -0.14, 0], 'right ball': [0, -0.14, 0], 'left palm': [0, -0.14, 0], 'left ball': [0, -0.14, 0] },
        by: [0, -0.14, 0],
      },
    ],
    view: 'three-quarter',
    second: 'above',
  }),
  'rocked-back-reach': sided(TABLETOP, {
    start: { pitch: 96, both: { hip: 128, knee: 126, raise: 150, wrist: 60 }, at: [-0.2, 0, 0.32] },
    contacts: [one('left', 'palm'), ...both('shin'), one('right', 'palm')],
    keys: [{ off: ['right palm'], right: { raise: 172, wrist: 0, pronate: 0 } }],
  }),
  'prone-a-lifts': lifted({ plane: -80, raise: 10, pronate: -88 }, { plane: -80, raise: 34, reach: -18, lift: -8 }),
  'prone-i-lifts': lifted({ plane: 60, raise: 168, elbow: 2 }, { plane: 60, raise: 184, elbow: 2 }),
  'prone-t-pulses': lifted({ plane: 0, raise: 88, elbow: 2, pronate: -88 }, { plane: -20, raise: 88, reach: -20 }),
  'prone-w-pulses': lifted({ ...RAISED_W, raise: 52, plane: 0 }, { ...RAISED_W, raise: 48, plane: -20, reach: -20 }),
  'band-diagonals': sided(STANDING, {
    start: { right: { plane: 110, raise: 24, elbow: 6, curl: 85 }, left: { raise: 8, elbow: 20, curl: 85 } },
    keys: [{ right: { plane: 70, raise: 166 } }, { right: { plane: 20, raise: 150 } }, { right: { plane: 0, raise: 92 } }],
    round: true,
    props: [{ kind: 'band', from: 'right hand', to: 'left hand' }],
    view: 'front',
  }),
  'seated-wall-slides': move(LONG_SITTING, {
    start: { both: { plane: 4, raise: 78, rotate: 84, elbow: 92, abduct: 12 } },
    keys: [{ both: { raise: 140, elbow: 38 } }],
    props: [{ kind: 'wall', x: -0.13 }],
    view: 'three-quarter',
    second: 'front',
  }),
  'block-pull-apart': move(STANDING, {
    start: { both: { ...CONTRACT_FOREARMS_TALL, plane: 98, rotate: -4, curl: 80 } },
    keys: [{ both: { raise: 108, rotate: 22, reach: 16 } }],
    props: [{ kind: 'block', between: 'elbows' }, STRAP],
    view: 'front',
    second: 'side',
  }),
  'wrapped-squeeze': sided(STANDING, {
    start: {
      flex: 8,
      both: { plane: 128, raise: 78, elbow: 108, rotate: -10, reach: 26, curl: 20 },
      right: { raise: 84 },
    },
    keys: [{ both: { reach: -2 }, flex: -2 }],
    view: 'three-quarter',
    second: 'back',
  }),
  'standing-blade-clocks': move(STANDING, {
    keys: [{ both: { lift: 28 } }, { both: { lift: 0, reach: 28 } }, { both: { lift: -12, reach: 0 } }, { both: { lift: 0, reach: -24 } }],
    round: true,
    view: 'back',
    second: 'three-quarter',
    ...BLADES,
  }),
  'lower-tip-raises': sided(STANDING, {
    start: { right: { plane: 40, raise: 14, elbow: 2, curl: 0 }, left: { plane: 120, raise: 40, rotate: -30, elbow: 110 } },
    keys: [{ right: { raise: 158 } }],
    view: 'back',
    ...BLADES,
  }),
  'wall-push-hold': move(AT_WALL, { start: { both: { reach: 22 } }, keys: [{ by: [0.015, 0, 0] }], second: 'back' }),
  'tabletop-lean': move(TABLETOP, { keys: [{ by: [0.07, 0, 0], both: { ...APART, wrist: 98 } }] }),
  plank: move(PLANK, { start: { both: { reach: 16 } }, keys: [{ flex: 3 }] }),
  'raised-arm-plank': sided(PLANK, {
    contacts: [one('left', 'palm'), one('right', 'palm'), ...both('ball')],
    start: { both: { abduct: 12 } },
    keys: [{ off: ['right palm'], right: { raise: 168, wrist: 0, pronate: 0 } }],
  }),
  'opposite-reach': sided(TABLETOP, {
    keys: [{ off: ['right palm'], right: { plane: 70, raise: 172, wrist: 0, pronate: 0 }, left: APART }],
  }),
  'band-external-rotation': sided(STANDING, {
    start: { both: { raise: 4, elbow: 90, rotate: -10, pronate: -20, curl: 85 } },
    keys: [{ both: { rotate: 50 } }],
    props: [{ kind: 'band', from: 'right hand', to: 'left hand' }],
    view: 'front',
  }),
  'rotation-holds-inward': sided(STANDING, {
    start: { right: { raise: 6, elbow: 90, rotate: 10, curl: 60 }, left: { raise: 34, plane: 88, elbow: 92, rotate: -34 } },
    also: [one('left', 'hand', { kind: 'body', at: 'right hand', off: [0, 0.06, 0] })],
    keys: [{ right: { rotate: -8 } }],
    view: 'front',
  }),
  'overhead-wall-press-hold': move(STANDING, {
    start: { both: { plane: 60, raise: 168, elbow: 2, curl: 80, pronate: 20 } },
    keys: [{ both: { plane: 30, raise: 166 } }],
    props: [STRAP],
    view: 'front',
    second: 'side',
  }),
  'reverse-tabletop': move(TABLETOP, {
    start: {
      ...{ pitch: -62, nod: 10, at: [0, 0, 0.2] },
      both: { hip: 62, knee: 80, plane: -88, raise: 60, pronate: -20, wrist: 80, ankle: 0, rotate: 10 },
    },
    contacts: [...both('palm'), ...both('sole')],
    keys: [{ pitch: -88, by: [0.04, 0, 0.26], both: { hip: -2, knee: 88, raise: 86 } }],
  }),
  'knee-side-plank': sided(STANDING, {
    start: { roll: -62, at: [0, 0, 0.28], both: { knee: 90 }, left: { plane: 0, raise: 66, elbow: 92, rotate: 0 }, right: { raise: 12 } },
    contacts: [one('left', 'forearm'), one('left', 'knee')],
    keys: [{ by: [0, 0, -0.1], roll: -72 }],
    view: 'front',
  }),
  'forearm-side-plank-dips': sided(STANDING, {
    start: { roll: -74, at: [0, 0, 0.3], left: { plane: 0, raise: 76, elbow: 92 }, right: { raise: 14 }, both: { ankle: -8 } },
    contacts: [one('left', 'forearm'), one('left', 'heel')],
    keys: [{ by: [0, 0, -0.12], bend: 18 }],
    view: 'front',
  }),
  'side-plank-reach': sided(STANDING, {
    start: { roll: -66, at: [0, 0, 0.45], left: { plane: 0, raise: 72, elbow: 0, wrist: 80, pronate: 20 }, right: { plane: 0, raise: 92 } },
    contacts: [one('left', 'palm'), one('left', 'heel')],
    keys: [{ turn: 48, right: { plane: 120, raise: 84 }, look: 40 }],
    view: 'front',
    second: 'three-quarter',
  }),
  'forearm-plank': move(FOREARM_PLANK, { start: { both: { reach: 14 } }, keys: [{ flex: 3 }] }),
  'forearm-dog-to-plank': move(FOREARM_DOG, {
    slides: ['left ball', 'right ball'],
    keys: [{ pitch: 82, by: [0, 0, -0.45], both: { hip: 2, raise: 84 } }],
  }),
  'three-leg-dog-rocks': sided(FOREARM_DOG, {
    start: { right: { hip: -12, knee: 2, ankle: -40 } },
    contacts: [...both('forearm'), one('left', 'ball')],
    keys: [{ by: [0.09, 0, -0.02] }],
  }),
  'kneeling-plank': move(KNEE_PLANK, { start: { both: { reach: 16 } }, keys: [{ flex: 3 }] }),
  'knees-lifted-hover': move(TABLETOP, {
    start: { both: { ankle: 20, hip: 92 }, at: [0, 0, 0.46] },
    contacts: [...both('palm'), ...both('ball')],
    keys: [{ by: [0, 0, 0.03] }],
  }),
  'plank-lean': move(PLANK, { start: { both: { reach: 16 } }, keys: [{ by: [0.09, 0, 0], both: { wrist: 96 } }] }),
  'light-overhead-hold': sided(STANDING, {
    start: { right: { plane: 60, raise: 172, elbow: 2, curl: 85, pronate: 20 } },
    keys: [{ right: { lift: 6 } }],
    props: [{ kind: 'weight', in: 'right hand' }],
    view: 'front',
  }),
  'scaption-raises': move(STANDING, {
    start: { both: { plane: 35, curl: 85 } },
    keys: [{ both: { raise: 92, elbow: 2, pronate: -10 } }],
    props: [
      { kind: 'weight', in: 'right hand' },
      { kind: 'weight', in: 'left hand' },
    ],
    view: 'three-quarter',
    second: 'front',
  }),
  'prone-rotation-holds': sided(PRONE, {
    start: { right: { plane: 0, raise: 88, elbow: 90, rotate: 84, pronate: 0 }, left: { plane: 0, raise: 120, elbow: 100, rotate: 86 } },
    keys: [{ right: { rotate: 112 } }],
    view: 'three-quarter',
    second: 'above',
  }),
  'inward-band-rotation': sided(STANDING, {
    start: { right: { raise: 6, elbow: 90, rotate: 44, curl: 85 } },
    keys: [{ right: { rotate: -42 } }],
    props: [{ kind: 'band', from: 'right hand', to: [0.25, -0.9, 1] }],
    view: 'front',
  }),
  'step-out-practice': move(STANDING, {
    start: {
      pitch: 62,
      nod: -20,
      at: [-0.2, 0, 0.55],
      both: { hip: 122, knee: 112, abduct: 24, plane: 88, raise: 72, pronate: 80, wrist: 86, ankle: 10, elbow: 14 },
    },
    contacts: [...both('palm'), ...both('ball', level(0.1))],
    keys: [{ by: [0.05, 0, 0.01] }],
    view: 'side',
  }),
  'strap-rows': move(STANDING, {
    start: { both: { plane: 88, raise: 70, elbow: 4, curl: 85 } },
    keys: [{ both: { plane: -80, raise: 22, elbow: 100, reach: -18 } }],
    props: [
      { kind: 'band', from: 'right hand', to: [1.1, 0, 1.05] },
      { kind: 'band', from: 'left hand', to: [1.1, 0, 1.05] },
    ],
    view: 'side',
  }),
  'carry-hold': sided(STANDING, {
    start: { right: { curl: 85, raise: 5 } },
    keys: [{ right: { lift: -4 } }],
    props: [{ kind: 'weight', in: 'right hand', heavy: true }],
    view: 'front',
  }),
  'thick-handle-hold': sided(STANDING, {
    start: { right: { curl: 60, knuckle: 10, raise: 5 } },
    keys: [{ right: { lift: -4, curl: 66 } }],
    props: [
      { kind: 'weight', in: 'right hand', heavy: true },
      { kind: 'towel', in: 'right hand' },
    ],
    view: 'three-quarter',
    closeUp: 'right hand',
  }),
  'band-pull-aparts': move(STANDING, {
    start: { both: { plane: 88, raise: 86, elbow: 2, pronate: -40, curl: 85 } },
    keys: [{ both: { plane: 4, reach: -20 } }],
    props: [{ kind: 'band', from: 'right hand', to: 'left hand' }],
    view: 'three-quarter',
    second: 'back',
  }),
  'straight-arm-pull-downs': move(STANDING, {
    start: { pitch: 12, both: { plane: 86, raise: 120, elbow: 2, pronate: 80, curl: 85, hip: 16, knee: 8 } },
    keys: [{ both: { raise: 16, lift: -8 } }],
    props: [
      { kind: 'band', from: 'right hand', to: [0.9, 0, 2.05] },
      { kind: 'band', from: 'left hand', to: [0.9, 0, 2.05] },
    ],
    view: 'side',
  }),
  'one-arm-band-pulls': sided(STANDING, {
    start: { right: { plane: 86, raise: 112, elbow: 4, curl: 85, reach: 14 } },
    keys: [{ right: { plane: -80, raise: 16, elbow: 112, reach: -18 } }],
    props: [{ kind: 'band', from: 'right hand', to: [1, 0, 1.9] }],
    view: 'side',
  }),
  'light-overhead-press': sided(STANDING, {
    start: { right: { plane: 50, raise: 34, elbow: 140, rotate: 20, curl: 85 } },
    keys: [{ right: { plane: 60, raise: 172, elbow: 4, rotate: 0 } }],
    props: [{ kind: 'weight', in: 'right hand' }],
    view: 'front',
    second: 'side',
  }),
  'overhead-carry-light': sided(STANDING, {
    start: { right: { plane: 60, raise: 172, elbow: 2, curl: 85 } },
    keys: [{ off: ['left sole'], left: { hip: 34, knee: 40, raise: 14 } }, {}, { off: ['right sole'], right: { hip: 34, knee: 40 } }],
    round: true,
    props: [{ kind: 'weight', in: 'right hand' }],
    view: 'side',
  }),
};
