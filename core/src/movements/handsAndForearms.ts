import { both, type Movement, one } from '../motion/index.ts';
import { AT_WALL, level, move, SEATED, sided, STANDING, stance, TABLETOP, upright } from './build.ts';

/** Forearms level before the body, as hands are warmed up. */
const FOREARMS_FORWARD = stance(STANDING, { start: { both: { raise: 12, plane: 60, elbow: 92, pronate: 85, curl: 10 } } });
/** One forearm on the thigh, the hand beyond the knee. */
const ON_THIGH = stance(SEATED, { start: { flex: 12, right: { raise: 32, plane: 90, elbow: 62, pronate: 80, curl: 30 } } });
const AT_RIBS = stance(STANDING, { start: { right: { raise: 4, elbow: 90, curl: 40 } } });
/** Hands at hip height on a table, sitting. */
const AT_TABLE = stance(SEATED, {
  start: { right: { raise: 28, plane: 80, elbow: 66, pronate: 88, curl: 0 } },
  props: [{ kind: 'table', z: 0.68, from: 0.2, to: 0.95 }],
});

/** Knuckles stay, the palm peels away. */
const PEELED = { wrist: 56, knuckle: -34 } as const;
const ON_KNUCKLES = [...both('knuckles'), ...both('shin')];

export const HANDS_AND_FOREARMS: Readonly<Record<string, Movement>> = {
  'wrist-circles': move(FOREARMS_FORWARD, {
    start: { both: { wrist: 50, curl: 60 } },
    keys: [{ both: { wrist: 0, deviate: 22 } }, { both: { wrist: -55, deviate: 0 } }, { both: { wrist: 0, deviate: -32 } }],
    round: true,
    closeUp: 'right hand',
    closeFrom: 'side',
  }),
  'palm-lifts': move(TABLETOP, { contacts: ON_KNUCKLES, keys: [{ both: PEELED }], closeUp: 'right hand' }),
  'elbow-wakers': sided(STANDING, {
    start: { right: { raise: 20, plane: 80, elbow: 10, pronate: 80, curl: 70 } },
    keys: [{ right: { elbow: 140, pronate: 60 } }, { right: { elbow: 140, pronate: -80 } }, { right: { elbow: 12, pronate: -80 } }],
    round: true,
  }),
  'march-and-swing': move(STANDING, {
    keys: [
      { off: ['right sole'], right: { hip: 62, knee: 78, plane: -90, raise: 32, elbow: 30 }, left: { plane: 90, raise: 48, elbow: 40 } },
      {},
      { off: ['left sole'], left: { hip: 62, knee: 78, plane: -90, raise: 32, elbow: 30 }, right: { plane: 90, raise: 48, elbow: 40 } },
    ],
    round: true,
    view: 'side',
  }),
  'elbow-circles': sided(TABLETOP, {
    keys: [{ right: { rotate: -38, pronate: 44 } }, { right: { elbow: 34, rotate: 0 } }, { right: { rotate: 24, pronate: 94 } }],
    round: true,
    view: 'three-quarter',
  }),
  'finger-knuckle-bends': move(FOREARMS_FORWARD, {
    start: { both: { elbow: 118, pronate: 0, curl: 0 } },
    keys: [{ both: { knuckle: 82 } }],
    view: 'side',
    closeUp: 'right hand',
  }),
  'nerve-glide-open-close': sided(STANDING, {
    start: { tilt: -22, right: { plane: 0, raise: 86, elbow: 0, pronate: -20, wrist: 0, curl: 78 } },
    keys: [{ right: { wrist: 42, curl: 0 } }],
    view: 'front',
    closeUp: 'right hand',
  }),
  'return-to-neutral': sided(AT_TABLE, {
    start: { right: { deviate: -32 } },
    keys: [{ right: { deviate: 0 } }],
    closeUp: 'right hand',
    closeFrom: 'above',
  }),
  'deviation-slides': sided(AT_TABLE, {
    start: { right: { deviate: 22 } },
    keys: [{ right: { deviate: -36 } }],
    closeUp: 'right hand',
    closeFrom: 'above',
  }),
  'weighted-deviations': sided(STANDING, {
    start: { right: { deviate: -30, curl: 80, elbow: 4 } },
    keys: [{ right: { deviate: 24 } }],
    props: [{ kind: 'stick', in: 'right hand' }],
    view: 'side',
    closeUp: 'right hand',
    closeFrom: 'side',
  }),
  'heel-lifts-to-thumb': move(TABLETOP, {
    contacts: [...both('index side'), ...both('shin')],
    keys: [{ both: { wrist: 62, knuckle: -30, deviate: 8, pronate: 94, rotate: -12 } }],
    view: 'three-quarter',
    closeUp: 'right hand',
    closeFrom: 'front',
  }),
  'heel-lifts-to-little-finger': move(TABLETOP, {
    contacts: [...both('little side'), ...both('shin')],
    keys: [{ both: { wrist: 62, knuckle: -30, deviate: -12, pronate: 55, rotate: 6 } }],
    view: 'three-quarter',
    closeUp: 'right hand',
    closeFrom: 'front',
  }),
  'heel-lifts-at-wall': move(AT_WALL, {
    contacts: [...both('knuckles', upright(0.62)), ...both('sole')],
    keys: [{ both: PEELED }],
    closeUp: 'right hand',
  }),
  'back-of-hand-rocks': sided(TABLETOP, {
    start: { right: { wrist: -74, elbow: 22, pronate: 84, raise: 74 } },
    contacts: [one('right', 'back of the hand'), one('left', 'palm'), ...both('shin')],
    keys: [{ by: [-0.07, 0, 0], right: { elbow: 2 } }],
    closeUp: 'right hand',
  }),
  'back-of-hand-circles': sided(TABLETOP, {
    start: { right: { wrist: -74, pronate: 84, curl: 85, raise: 72 } },
    contacts: [one('right', 'back of the hand'), one('left', 'palm'), ...both('shin')],
    keys: [{ by: [-0.05, 0.03, 0] }, { by: [-0.06, -0.03, 0] }, { by: [-0.01, -0.04, 0] }],
    round: true,
    view: 'three-quarter',
    closeUp: 'right hand',
    closeFrom: 'side',
  }),
  'peel-drill': sided(TABLETOP, {
    start: { right: { pronate: -84, wrist: 84 } },
    contacts: [one('right', 'knuckles'), one('left', 'palm'), ...both('shin')],
    keys: [{ right: { elbow: 40, wrist: 62, knuckle: -26 } }],
    closeUp: 'right hand',
  }),
  'forearm-turns-tension': sided(AT_RIBS, {
    start: { right: { pronate: -82, raise: 10, plane: 60 }, left: { raise: 34, plane: 90, elbow: 96, rotate: -40 } },
    also: [one('left', 'hand', { kind: 'body', at: 'right wrist', off: [0, 0.05, 0.03] })],
    keys: [{ right: { pronate: 82 } }],
    view: 'front',
    closeUp: 'right hand',
  }),
  'stick-turns': sided(SEATED, {
    start: { right: { raise: 10, elbow: 88, curl: 85, pronate: -78 } },
    keys: [{ right: { pronate: 78 } }],
    props: [{ kind: 'stick', in: 'right hand' }],
    closeUp: 'right hand',
    closeFrom: 'front',
  }),
  'band-wrist-curls': sided(ON_THIGH, {
    start: { right: { pronate: -84, wrist: 46, curl: 75 } },
    keys: [{ right: { wrist: -58 } }],
    props: [{ kind: 'band', from: 'right hand', to: 'right foot' }],
    view: 'side',
    closeUp: 'right hand',
  }),
  'rope-roll': move(STANDING, {
    start: { both: { plane: 90, raise: 84, elbow: 4, pronate: 86, curl: 85, wrist: 25 } },
    keys: [
      { right: { wrist: -28 }, left: { wrist: 30 } },
      { right: { wrist: 30 }, left: { wrist: -28 } },
    ],
    props: [{ kind: 'stick', in: 'both hands', hangs: true }],
    closeUp: 'right hand',
    closeFrom: 'side',
  }),
  'elbow-alignment': move(AT_WALL, {
    start: { both: { elbow: 24, rotate: -26, pronate: 56 } },
    keys: [{ both: { elbow: 2, rotate: 12, pronate: 92 } }],
    view: 'three-quarter',
    second: 'side',
  }),
  'elbow-alignment-tabletop': move(TABLETOP, {
    start: { both: { elbow: 24, rotate: -26, pronate: 56 } },
    keys: [{ both: { elbow: 2, rotate: 12, pronate: 92 } }],
    view: 'three-quarter',
  }),
  'elbow-straightening': sided(SEATED, {
    start: { right: { plane: 85, raise: 62, elbow: 86, pronate: -82, curl: 10 } },
    keys: [{ right: { elbow: 0 } }],
    view: 'side',
  }),
  'back-of-hand-stretch': sided(STANDING, {
    start: {
      right: { plane: 112, raise: 74, elbow: 2, pronate: 84, wrist: -20, curl: 20 },
      left: { reach: 24, plane: 110, raise: 66, elbow: 50, pronate: 60, rotate: -20 },
    },
    also: [one('left', 'hand', { kind: 'body', at: 'right hand', off: [0.05, 0, 0] })],
    keys: [{ right: { wrist: -74, deviate: 0 } }],
    view: 'left side',
    closeUp: 'right hand',
  }),
  'wrist-raises': sided(ON_THIGH, {
    start: { right: { wrist: -50 } },
    keys: [{ right: { wrist: 58 } }],
    view: 'side',
    closeUp: 'right hand',
  }),
  'knuckle-bends': move(ON_THIGH, {
    start: { left: { raise: 32, plane: 90, elbow: 62, pronate: 80, curl: 10 }, both: { wrist: 0 } },
    keys: [{ both: { wrist: -72 } }],
    view: 'side',
    closeUp: 'right hand',
  }),
  'wrist-curls': sided(ON_THIGH, {
    start: { right: { pronate: -84, wrist: 50, curl: 85 } },
    keys: [{ right: { wrist: -52 } }],
    props: [{ kind: 'weight', in: 'right hand' }],
    closeUp: 'right hand',
    closeFrom: 'side',
  }),
  'finger-openers': sided(SEATED, {
    start: { right: { raise: 20, plane: 70, elbow: 96, pronate: 10, curl: 52 } },
    keys: [{ right: { curl: -5, spread: 24 } }],
    props: [{ kind: 'band', from: 'right fingertips', to: 'right hand' }],
    closeUp: 'right hand',
    closeFrom: 'front',
  }),
  'grip-squeezes': sided(STANDING, {
    start: { right: { raise: 14, plane: 60, elbow: 84, pronate: 60, curl: 40 } },
    keys: [{ right: { curl: 90, knuckle: 12 } }],
    props: [{ kind: 'towel', in: 'right hand' }],
    closeUp: 'right hand',
    closeFrom: 'side',
  }),
  'forearm-stretch': sided(STANDING, {
    start: {
      right: { plane: 112, raise: 74, elbow: 0, pronate: 80, wrist: 10, curl: 0 },
      left: { reach: 24, plane: 110, raise: 70, elbow: 45, pronate: 60, rotate: -20 },
    },
    also: [one('left', 'hand', { kind: 'body', at: 'right hand', off: [0.02, 0, 0.04] })],
    keys: [{ right: { wrist: 74 } }],
    view: 'left side',
    closeUp: 'right hand',
  }),
  'heel-of-hand-lifts': move(TABLETOP, {
    contacts: ON_KNUCKLES,
    start: { both: { elbow: 10 } },
    keys: [{ by: [-0.05, 0, 0.02], both: { ...PEELED, wrist: 48, elbow: 0 } }],
    closeUp: 'right hand',
  }),
  'side-to-side-rock': move(TABLETOP, {
    keys: [{ by: [0, -0.07, 0] }, { by: [0, 0, 0] }, { by: [0, 0.07, 0] }],
    round: true,
    view: 'front',
  }),
  'fingertip-table-press': move(STANDING, {
    start: { pitch: 14, both: { plane: 75, raise: 34, elbow: 20, pronate: 85, wrist: 40, curl: 20 } },
    contacts: [...both('tips', level(0.8)), ...both('sole')],
    keys: [{ both: { curl: 45, elbow: 10 } }],
    view: 'side',
    closeUp: 'right hand',
  }),
};
