import { both, type Movement, middle, one } from '../motion/index.ts';
import { CHEST_LOW, LONG_SITTING, move, PRONE, SIDE_LYING, sided, STANDING, SUPINE, TABLETOP, upright } from './build.ts';

const ARMS_UP = { plane: 40, raise: 172, elbow: 4, pronate: 0, curl: 0 } as const;
const STRAP = { kind: 'strap', from: 'right hand', to: 'left hand' } as const;

export const SHOULDER_MOBILITY: Readonly<Record<string, Movement>> = {
  'arm-circles': move(STANDING, {
    start: { both: { plane: 88, raise: 10, elbow: 2 } },
    keys: [
      { both: { plane: 88, raise: 90 } },
      { both: { plane: 60, raise: 172 } },
      { both: { plane: -8, raise: 96 } },
      { both: { plane: -40, raise: 30 } },
    ],
    round: true,
    view: 'three-quarter',
  }),
  'neck-loosening': sided(STANDING, {
    keys: [{ tilt: 38 }, { tilt: 0, look: -62 }, { look: 0, nod: 42 }],
    round: true,
    view: 'three-quarter',
  }),
  'upper-back-turns': sided(TABLETOP, {
    contacts: [one('left', 'palm'), ...both('shin'), one('right', 'hand', { kind: 'body', at: 'nape', off: [0, -0.05, 0] })],
    start: { turn: 22, right: { plane: 40, raise: 100, rotate: 60, elbow: 140 } },
    keys: [{ turn: -46 }],
    view: 'side',
    second: 'front',
  }),
  'strap-pass-throughs': move(STANDING, {
    start: { both: { plane: 55, raise: 40, elbow: 0, pronate: 80, curl: 80 } },
    keys: [
      { both: { plane: 45, raise: 100 } },
      { both: { plane: 8, raise: 152 } },
      { both: { plane: -30, raise: 105 } },
      { both: { plane: -45, raise: 48 } },
    ],
    props: [STRAP],
    view: 'three-quarter',
    second: 'side',
  }),
  'shoulder-circles-tension': sided(STANDING, {
    start: { right: { plane: 88, raise: 10, elbow: 2, curl: 85 } },
    keys: [
      { right: { plane: 88, raise: 92 } },
      { right: { plane: 55, raise: 174 } },
      { right: { plane: -8, raise: 100, rotate: 30 } },
      { right: { plane: -60, raise: 34 } },
    ],
    round: true,
    view: 'three-quarter',
  }),
  'low-kneel-lifts': move(CHEST_LOW, { keys: [{ off: ['right forearm', 'left forearm'], both: { raise: 182, elbow: 2 } }] }),
  'side-reaches': sided(STANDING, {
    keys: [{ right: { plane: 0, raise: 160, elbow: 2, pronate: -40, curl: 0 } }],
    view: 'front',
    second: 'back',
  }),
  'hands-open': move(STANDING, {
    start: { both: { raise: 4, rotate: -28, elbow: 90, pronate: -20, curl: 0 } },
    keys: [{ both: { rotate: 48 } }],
    view: 'front',
  }),
  'supine-rotations': sided(SUPINE, {
    start: { right: { plane: 0, raise: 88, rotate: 82, elbow: 90, pronate: 0 } },
    keys: [{ right: { rotate: -58 } }],
    view: 'side',
    second: 'three-quarter',
  }),
  'backward-reaches': move(STANDING, {
    start: { both: { plane: -85, raise: 14, elbow: 2, pronate: 60, curl: 80 } },
    keys: [{ both: { raise: 52 } }],
    props: [STRAP],
    view: 'side',
  }),
  'supine-arm-raises': move(SUPINE, { start: { both: { plane: 88, raise: 12, elbow: 2 } }, keys: [{ both: { raise: 166 } }] }),
  'scapular-plane-raises': move(STANDING, {
    start: { both: { plane: 35 } },
    keys: [{ both: { raise: 158, elbow: 2, pronate: -20, curl: 0 } }],
    view: 'three-quarter',
    second: 'back',
  }),
  'thread-and-open': sided(TABLETOP, {
    contacts: [one('left', 'palm'), ...both('shin'), one('right', 'hand', { kind: 'level', z: 0.04 })],
    start: { turn: 30, bend: -6, right: { plane: 118, raise: 92, elbow: 4, wrist: 0 } },
    keys: [
      { off: ['right hand'], turn: -2, right: { plane: 146, raise: 88, elbow: 24 } },
      { off: ['right hand'], turn: -10, right: { plane: 70, raise: 50, elbow: 128 } },
      { off: ['right hand'], turn: -50, bend: 0, look: -50, right: { plane: 4, raise: 92, elbow: 4, wrist: 0 } },
    ],
    view: 'left side',
    second: 'front',
  }),
  halo: sided(STANDING, {
    start: { both: { plane: 80, raise: 104, elbow: 104, rotate: -8, pronate: 20, curl: 80 }, right: { plane: 80 } },
    keys: [
      { right: { plane: 118, raise: 122, elbow: 118, rotate: 10 }, left: { plane: 30, raise: 118, elbow: 132, rotate: 30 } },
      { both: { plane: 62, raise: 150, elbow: 140, rotate: 20 } },
      { left: { plane: 118, raise: 122, elbow: 118, rotate: 10 }, right: { plane: 30, raise: 118, elbow: 132, rotate: 30 } },
    ],
    round: true,
    props: [{ kind: 'weight', in: 'both hands' }],
    view: 'front',
    second: 'back',
  }),
  'side-lying-arm-circles': sided(SIDE_LYING, {
    start: { right: { plane: 90, raise: 88, elbow: 2 } },
    keys: [
      { right: { plane: 70, raise: 168 }, look: -20 },
      { right: { plane: -10, raise: 120 }, look: -40, turn: -24 },
      { right: { plane: -40, raise: 40 }, look: -20, turn: -12 },
    ],
    round: true,
    view: 'front',
    second: 'above',
  }),
  'blocks-pull-apart': move(CHEST_LOW, {
    start: { both: { elbow: 88, raise: 150, rotate: 0 } },
    contacts: [...both('elbow', { kind: 'level', z: 0.12 }), ...both('shin')],
    keys: [{ pitch: 120, flex: -28, both: { rotate: 16 } }],
    props: [STRAP],
  }),
  'overhead-behind-reach': sided(STANDING, {
    start: {
      right: { plane: 30, raise: 160, rotate: 40, elbow: 60, curl: 0 },
      left: { plane: -70, raise: 16, rotate: -50, elbow: 50, curl: 0 },
    },
    keys: [{ right: { raise: 168, rotate: 55, elbow: 138 }, left: { plane: -80, raise: 34, rotate: -92, elbow: 112 } }],
    view: 'back',
    second: 'behind at an angle',
  }),
  'strap-behind-slides': sided(STANDING, {
    start: {
      right: { plane: 30, raise: 150, rotate: 50, elbow: 130, curl: 80 },
      left: { plane: -80, raise: 30, rotate: -88, elbow: 92, curl: 80 },
    },
    keys: [{ right: { raise: 168, elbow: 76 }, left: { raise: 36, elbow: 126, rotate: -96 } }],
    props: [STRAP],
    view: 'back',
  }),
  'active-arm-across': sided(STANDING, {
    start: { right: { plane: 60, raise: 84, elbow: 2, curl: 0 } },
    keys: [{ right: { plane: 138, reach: 14 } }],
    view: 'front',
    second: 'above',
  }),
  'stick-back-lifts': move(STANDING, {
    start: { both: { plane: -88, raise: 16, elbow: 4, pronate: -70, curl: 85 } },
    keys: [{ both: { raise: 50 } }],
    props: [{ kind: 'stick', in: 'both hands' }],
    view: 'behind at an angle',
    second: 'side',
  }),
  'clasped-fold': move(STANDING, {
    start: { both: { plane: -90, raise: 22, elbow: 4, rotate: -20, curl: 80 } },
    keys: [{ pitch: 88, flex: 40, nod: 20, by: [-0.12, 0, -0.02], both: { raise: 62, hip: 84, knee: 14 } }],
    view: 'side',
  }),
  'thread-under-rest': sided(TABLETOP, {
    start: {
      pitch: 100,
      turn: 44,
      roll: 18,
      look: 30,
      right: { plane: 128, raise: 96, elbow: 2, wrist: 0, reach: 20 },
      left: { plane: 80, raise: 140, elbow: 60 },
      both: { hip: 98 },
    },
    contacts: [one('left', 'palm'), ...both('shin'), one('right', 'hand', { kind: 'level', z: 0.05 })],
    view: 'left side',
    second: 'above',
  }),
  'wall-shoulder-hang': move(STANDING, {
    start: { pitch: 62, nod: -6, both: { hip: 62, knee: 6, plane: 88, raise: 150, elbow: 2, pronate: 80, wrist: 30 } },
    contacts: [...both('palm', upright(0.86)), ...both('sole')],
    keys: [{ pitch: 74, flex: -8, by: [-0.03, 0, -0.02], both: { hip: 72, raise: 168 } }],
    view: 'side',
  }),
  'kneeling-chest-to-floor': move(CHEST_LOW, {
    start: { both: { elbow: 6, raise: 168, pronate: 80, wrist: 10 } },
    contacts: [...both('hand', { kind: 'level', z: 0.03 }), ...both('shin')],
    keys: [{ pitch: 124, flex: -34, both: { raise: 178 } }],
  }),
  'prone-chest-turn': sided(PRONE, {
    start: { right: { plane: 0, raise: 92, elbow: 2, pronate: 80 }, left: { plane: -30, raise: 16 }, at: [0, 0, 0.12] },
    contacts: [middle('front'), one('right', 'hand', { kind: 'level', z: 0.03 })],
    keys: [{ off: ['front'], spin: -52, by: [0, 0.06, 0.05], look: 20, left: { plane: -60, raise: 30 }, right: { plane: -40 } }],
    view: 'above',
    second: 'front',
  }),
  'arm-across': sided(STANDING, {
    start: { right: { plane: 118, raise: 82, elbow: 8, curl: 0, reach: 10 }, left: { plane: 90, raise: 56, elbow: 116, rotate: -20 } },
    also: [one('left', 'hand', { kind: 'body', at: 'right elbow', off: [0.06, 0, 0] })],
    keys: [{ right: { plane: 138 } }],
    view: 'front',
  }),
  'shake-out': move(STANDING, {
    start: { both: { raise: 12, plane: 20, elbow: 24, curl: 10 } },
    keys: [{ both: { wrist: 40, rotate: 20 } }, { both: { wrist: -40, rotate: -20 } }],
    view: 'front',
  }),
  'floor-slides': move(SUPINE, {
    start: { both: { plane: 0, raise: 74, rotate: 84, elbow: 92, pronate: 0 } },
    keys: [{ both: { raise: 142, rotate: 76, elbow: 34 } }],
    view: 'above',
    second: 'side',
  }),
  'side-lying-rotation': sided(SIDE_LYING, {
    start: { right: { raise: 10, plane: 0, rotate: -62, elbow: 90, curl: 80 } },
    keys: [{ right: { rotate: 42 } }],
    props: [{ kind: 'weight', in: 'right hand' }],
    view: 'front',
    second: 'above',
  }),
  'upper-back-waves': move(TABLETOP, {
    start: { flex: -26, nod: -30 },
    keys: [{ flex: 52, nod: 36, both: { reach: 20 } }],
  }),
  'standing-side-bends': sided(STANDING, {
    start: { both: { ...ARMS_UP, plane: 8 } },
    keys: [{ bend: -34, roll: -4, tilt: -8 }],
    view: 'front',
    contacts: both('ball'),
  }),
  'straddle-pulses': move(LONG_SITTING, {
    start: { both: { abduct: 46, hip: 91, raise: 24, plane: 80, elbow: 20, pronate: 80 } },
    contacts: [middle('seat')],
    keys: [{ both: { hip: 98 } }],
    view: 'three-quarter',
    second: 'front',
  }),
  'wall-straddle': move(SUPINE, {
    start: { both: { hip: 92, knee: 4, abduct: 20, raise: 30, plane: 0 } },
    contacts: [middle('back')],
    props: [{ kind: 'wall', x: 0.14 }],
    keys: [{ both: { abduct: 56 } }],
    view: 'three-quarter',
    second: 'above',
  }),
  'flat-back-hinge': move(STANDING, {
    start: { both: { raise: 22, plane: 90, elbow: 128, rotate: -46 } },
    keys: [{ pitch: 78, by: [-0.14, 0, 0], both: { hip: 78, knee: 4 } }],
    view: 'side',
  }),
  'hip-compressions': move(LONG_SITTING, {
    start: { pitch: 14, flex: 14, both: { hip: 107, plane: 88, raise: 48, elbow: 10, pronate: 80, wrist: 50 } },
    contacts: [middle('seat'), ...both('palm')],
    keys: [{ both: { hip: 112 } }],
  }),
  'ribs-and-pelvis': move(SUPINE, {
    start: { flex: -16, both: { raise: 24 } },
    keys: [{ flex: 8 }],
    contacts: [middle('back'), ...both('sole')],
  }),
  'hollow-hold': move(SUPINE, {
    start: { flex: 34, nod: 20, both: { hip: 16, knee: 0, plane: 88, raise: 160, elbow: 2, ankle: -40 } },
    contacts: [middle('seat')],
  }),
  'next-position-rehearsal': move(STANDING, {
    start: { pitch: 30, both: { plane: 88, raise: 58, elbow: 4, pronate: 80, wrist: 80, ankle: 10 } },
    contacts: [...both('palm', { kind: 'level', z: 0.72 }), ...both('sole')],
    keys: [{ by: [0.1, 0, 0] }],
    view: 'side',
  }),
};
