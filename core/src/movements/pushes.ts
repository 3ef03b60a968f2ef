import { both, type KeyPose, type Movement, middle, one, type Pose, type Support } from '../motion/index.ts';
import {
  AT_WALL,
  FOREARM_DOG,
  FOREARM_PLANK,
  KNEE_PLANK,
  level,
  LONG_SITTING,
  move,
  PLANK,
  sided,
  STANDING,
  type Stance,
  stance,
  TABLETOP,
  upright,
} from './build.ts';

/** Elbows halfway to the ribs, body as one piece. */
const LOWERED = { elbow: 96, plane: 20, raise: 52, rotate: 24, reach: -8 } as const;
const WIDE = { reach: 16 } as const;

/** A push-up with the hands on a surface of so many metres. */
function pushUpAt(z: number, pitch: number): Stance {
  return stance(PLANK, {
    start: { pitch, at: [0, 0, 0.45 + z * 0.75], both: { raise: 84 } },
    contacts: [...both('palm', level(z)), ...both('ball')],
  });
}

const pushUp = (base: Stance, more: Partial<Movement> = {}, depth = 0.2): Movement =>
  move(base, { keys: [{ pitch: (base.start.pitch ?? 0) + 65 * depth, by: [0.06, 0, -depth], both: LOWERED }], ...more });

/** On ten fingertips. */
function onTips(base: Stance, z = 0): Stance {
  const on = level(z);
  return stance(base, {
    start: {
      pitch: (base.start.pitch ?? 0) - 5,
      both: { raise: (base.start.both?.raise ?? 70) - 8, wrist: 52, knuckle: 14, curl: 26, spread: 14 },
    },
    contacts: [...both('tips', on), ...base.contacts.filter((c) => c.side !== undefined && c.part !== 'palm')],
  });
}

/** Hands and knees with the shoulders higher, as tips lift them. */
const LOW_TABLETOP = stance(TABLETOP, { start: { pitch: 72, both: { hip: 72, raise: 74 } } });

const PRESS: Pose = { pitch: 6, flex: 20, both: { abduct: 0, plane: -30, raise: 14, elbow: 10, pronate: 60, wrist: 80, rotate: 0 } };
/** Sitting, hands beside the hips. */
const pressing = (seat: Support | undefined, on: Support | undefined, start: Pose, legs: Stance['contacts']): Stance =>
  stance(LONG_SITTING, {
    start: { ...PRESS, ...start, both: { ...PRESS.both, ...start.both } },
    contacts: [middle('seat', seat), ...both('palm', on), ...legs],
  });

const SEAT_UP: KeyPose = { off: ['seat'], by: [0, 0, 0.04], flex: 8, both: { lift: -14, elbow: 2 } };
const SEAT_LIGHT: KeyPose = { off: ['seat'], by: [0, 0, 0.012], flex: 14, both: { lift: -10, elbow: 4 } };

const BENCH_DIP: Stance = stance(STANDING, {
  start: { at: [0.12, 0, 0.5], both: { hip: 70, knee: 62, plane: -85, raise: 18, elbow: 6, pronate: -70, wrist: 70, curl: 0, ankle: 0 } },
  contacts: [...both('grip', level(0.47)), ...both('sole')],
  view: 'side',
});
const DIPPED: KeyPose = { by: [0.03, 0, -0.2], both: { raise: 66, elbow: 88, hip: 92 } };

const RAILS = both('grip', { kind: 'rail', y: 0.25, z: 1.12 });
const BAR_SUPPORT: Stance = stance(STANDING, {
  start: {
    at: [0, 0, 1.16],
    pitch: 4,
    both: { raise: 12, plane: -20, elbow: 2, pronate: 0, curl: 85, wrist: 20, lift: -8, ankle: -20, knee: 12 },
  },
  contacts: RAILS,
  view: 'side',
});
const LOW_DIP: KeyPose = { by: [0.1, 0, -0.24], pitch: 16, both: { plane: -80, raise: 62, elbow: 88, lift: 4 } };

const PIKE: Stance = stance(PLANK, {
  start: { pitch: 154, nod: 6, at: [-0.1, 0, 1], both: { hip: 108, raise: 180, wrist: 86, ankle: 10 } },
  contacts: [...both('palm'), ...both('ball', level(0.4))],
});
const HANDSTAND: Stance = stance(PLANK, {
  start: { pitch: 182, nod: -20, at: [0.06, 0, 1.05], both: { hip: -4, raise: 178, wrist: 84, ankle: -40 } },
  contacts: [...both('palm'), ...both('heel', upright(0.15))],
});
const FOREARM_BALANCE: Stance = stance(FOREARM_DOG, {
  start: { pitch: 174, nod: -30, at: [0, 0, 0.8], both: { hip: 0, raise: 172, elbow: 90, ankle: -40 } },
  contacts: both('forearm'),
});
const CROUCHED: Stance = stance(PLANK, {
  start: {
    pitch: 74,
    flex: 24,
    nod: -34,
    at: [-0.22, 0, 0.5],
    both: { hip: 118, knee: 118, abduct: 26, raise: 48, elbow: 42, ankle: 10, wrist: 82 },
  },
  contacts: [...both('palm'), ...both('ball', level(0.15))],
  view: 'side',
});

const POST = { kind: 'post', x: 0.12, y: 0 } as const;
/** Beside a post: the left hand high and pulling, the right one low and pushing. */
const AT_POST: Stance = stance(STANDING, {
  start: {
    at: [-0.42, 0, 0.86],
    right: { plane: 60, raise: 34, elbow: 6, pronate: 0, curl: 80 },
    left: { plane: 80, raise: 132, elbow: 10, pronate: 0, curl: 80 },
  },
  contacts: [one('right', 'grip', POST), one('left', 'grip', POST), ...both('sole')],
  view: 'side',
});
const braced = (by: readonly [number, number, number], more: Partial<KeyPose> = {}): Movement =>
  sided(AT_POST, { keys: [{ by, ...more }], second: 'three-quarter' });
const FEET_OFF: KeyPose = { off: ['right sole', 'left sole'], by: [0.02, 0, 0.12], both: { hip: 74, knee: 96 }, left: { elbow: 40 } };

const carry = (kind: 'side' | 'overhead', heavy: boolean, walks: boolean, view: Movement['view']): Movement => {
  const arm = kind === 'side' ? { curl: 85, raise: 4 } : { plane: 60, raise: 172, elbow: 2, curl: 85 };
  const step: readonly KeyPose[] = [
    { off: ['left sole'], left: { hip: 36, knee: 42, plane: 90, raise: 16 } },
    {},
    { off: ['right sole'], right: { hip: 36, knee: 42 } },
  ];
  return sided(STANDING, {
    start: { right: arm },
    ...(walks ? { keys: step, round: true } : { keys: [{ right: { lift: kind === 'side' ? -5 : 6 } }] }),
    props: [{ kind: 'weight', in: 'right hand', ...(heavy && kind === 'side' ? { heavy: true } : {}) }],
    view,
  });
};

const press = (view: Movement['view']): Movement =>
  sided(STANDING, {
    start: { right: { plane: 50, raise: 34, elbow: 140, rotate: 20, curl: 85 } },
    keys: [{ right: { plane: 60, raise: 172, elbow: 4, rotate: 0 } }],
    props: [{ kind: 'weight', in: 'right hand' }],
    view,
  });

const lean = (metres: number, wrist: number): Movement =>
  move(PLANK, { start: { both: WIDE }, keys: [{ by: [metres, 0, -metres / 8], both: { wrist } }] });

export const PUSHES: Readonly<Record<string, Movement>> = {
  'kneeling-push-up': pushUp(KNEE_PLANK, {}, 0.17),
  'bench-dip-even': move(BENCH_DIP, { keys: [DIPPED] }),
  'bench-dip-slow-down': move(BENCH_DIP, { keys: [{ ...DIPPED, by: [0.02, 0, -0.11], both: { raise: 58, elbow: 52, hip: 82 } }] }),
  'bench-dip-slow-up': move(BENCH_DIP, { keys: [DIPPED], view: 'three-quarter' }),
  'practice-bench-dip': move(BENCH_DIP, { start: { both: { knee: 40, hip: 60 }, at: [0.12, 0, 0.5] }, keys: [DIPPED] }),
  'fingertip-swap': sided(onTips(LOW_TABLETOP), {
    start: { left: { wrist: 86, knuckle: 0, curl: 0, spread: 0 } },
    contacts: [one('right', 'tips'), one('left', 'palm'), ...both('shin')],
    keys: [{ by: [0, -0.03, 0] }],
    view: 'three-quarter',
    closeUp: 'right hand',
  }),
  'fingertip-raised-lean': move(onTips(pushUpAt(0.8, 38), 0.8), { keys: [{ by: [0.05, 0, 0] }], closeUp: 'right hand' }),
  'seated-press-raised': move(pressing(level(0.42), level(0.46), { at: [0, 0, 0.56], both: { hip: 88, knee: 88 } }, [...both('sole')]), {
    keys: [SEAT_UP],
    props: [{ kind: 'chair', z: 0.42, x: 0 }],
  }),
  'practice-press-raised': move(pressing(level(0.42), level(0.46), { at: [0, 0, 0.56], both: { hip: 78, knee: 60 } }, [...both('sole')]), {
    keys: [SEAT_UP],
    props: [{ kind: 'chair', z: 0.42, x: 0 }],
  }),
  'seated-press-floor': move(pressing(undefined, undefined, { both: { hip: 118, knee: 92 } }, [...both('sole')]), { keys: [SEAT_UP] }),
  'practice-press-floor': move(pressing(undefined, undefined, { both: { hip: 112, knee: 78 } }, [...both('sole')]), {
    keys: [SEAT_UP],
    view: 'three-quarter',
  }),
  'practice-press-legs-long': move(pressing(undefined, undefined, { both: { hip: 92, knee: 2 } }, [...both('heel')]), {
    keys: [SEAT_LIGHT],
  }),
  'practice-seat-light': move(pressing(undefined, undefined, { both: { hip: 114, knee: 88 } }, [...both('sole')]), { keys: [SEAT_LIGHT] }),
  'practice-heels-light': move(pressing(undefined, undefined, { both: { hip: 94, knee: 2 } }, [...both('heel')]), { keys: [SEAT_UP] }),
  'practice-lift-off': move(pressing(undefined, undefined, { both: { hip: 96, knee: 4 } }, [...both('heel')]), {
    keys: [{ off: ['seat', 'right heel', 'left heel'], by: [-0.03, 0, 0.05], flex: 26, both: { lift: -14, elbow: 2, hip: 104, knee: 2 } }],
  }),
  'practice-support-tabletop': move(TABLETOP, { start: { both: WIDE }, keys: [{ by: [0.03, 0, 0] }], view: 'three-quarter' }),
  'practice-support-plank': move(PLANK, { start: { both: WIDE }, keys: [{ flex: 3 }], second: 'three-quarter' }),
  'practice-protracted-hold': move(PLANK, { start: { both: { reach: 8 } }, keys: [{ both: { reach: 28 } }], closeUp: 'blades' }),
  'practice-lean-5': lean(0.06, 94),
  'practice-lean-10': lean(0.13, 101),
  'practice-lean-15': lean(0.18, 105),
  'practice-pike-hold': move(PIKE, { keys: [{ both: { lift: 8 } }] }),
  'practice-coming-down': sided(PIKE, {
    keys: [
      { off: ['right ball'], right: { hip: 60, abduct: 10 }, yaw: 10 },
      { off: ['right ball'], right: { hip: 120, knee: 60, abduct: 16 }, yaw: 18 },
    ],
  }),
  'practice-wall-handstand': move(HANDSTAND, { keys: [{ both: { lift: 10 } }] }),
  'practice-wall-push-up': move(AT_WALL, { keys: [{ pitch: 18, by: [0.16, 0, -0.01], both: LOWERED }] }),
  'practice-far-wall-push-up': move(
    stance(AT_WALL, {
      start: { pitch: 28, at: [-0.35, 0, 0.8], both: { raise: 104, wrist: 94 } },
      contacts: [...both('palm', upright(0.62)), ...both('ball')],
    }),
    { keys: [{ pitch: 36, by: [0.16, 0, -0.04], both: LOWERED }] },
  ),
  'practice-push-up-60': pushUp(pushUpAt(0.6, 48)),
  'practice-push-up-45': pushUp(pushUpAt(0.45, 55)),
  'practice-push-up-30': pushUp(pushUpAt(0.3, 61)),
  'practice-push-up-15': pushUp(pushUpAt(0.15, 67)),
  'practice-floor-push-up': pushUp(PLANK),
  'practice-lowered-hold': pushUp(PLANK, { view: 'three-quarter' }),
  'practice-tempo-push-up': pushUp(PLANK, { view: 'side', second: 'three-quarter' }),
  'practice-loaded-push-up': pushUp(PLANK, { props: [{ kind: 'weight on the back' }] }),
  'practice-bar-support-half': move(BAR_SUPPORT, {
    start: { both: { hip: 40, knee: 44, ankle: 0 } },
    contacts: [...RAILS, ...both('sole', level(0.5))],
    keys: [{ both: { lift: -14 } }],
  }),
  'practice-bar-support-light': move(BAR_SUPPORT, {
    start: { both: { hip: 24, knee: 24, ankle: -10 } },
    contacts: [...RAILS, ...both('ball', level(0.4))],
    keys: [{ both: { lift: -14 } }],
  }),
  'practice-bar-support': move(BAR_SUPPORT, { keys: [{ both: { lift: -14 } }], view: 'three-quarter' }),
  'practice-band-dip': move(BAR_SUPPORT, {
    keys: [LOW_DIP],
    props: [
      { kind: 'band', from: 'right foot', to: [0, -0.25, 1.12] },
      { kind: 'band', from: 'left foot', to: [0, 0.25, 1.12] },
    ],
  }),
  'practice-strict-dip': move(BAR_SUPPORT, { keys: [LOW_DIP] }),
  'practice-tips-20': move(onTips(pushUpAt(0.9, 32), 0.9), { closeUp: 'right hand', keys: [{ by: [0.02, 0, 0] }] }),
  'practice-tips-30': move(onTips(pushUpAt(0.72, 42), 0.72), { closeUp: 'right hand', keys: [{ by: [0.02, 0, 0] }] }),
  'practice-tips-knees': move(onTips(LOW_TABLETOP), { closeUp: 'right hand', keys: [{ by: [0.02, 0, 0] }] }),
  'practice-tips-55': move(onTips(pushUpAt(0.35, 58), 0.35), { closeUp: 'right hand', keys: [{ by: [0.02, 0, 0] }] }),
  'practice-tips-plank': move(onTips(PLANK), { closeUp: 'right hand', keys: [{ flex: 3 }] }),
  'practice-tips-lowered': move(onTips(PLANK), {
    closeUp: 'right hand',
    keys: [{ pitch: 78, by: [0.02, 0, -0.1], both: { ...LOWERED, elbow: 56, raise: 62 } }],
  }),
  'practice-tips-push-ups': pushUp(onTips(PLANK), { closeUp: 'right hand' }, 0.17),
  'practice-tips-lean': move(onTips(PLANK), { closeUp: 'right hand', keys: [{ by: [0.07, 0, 0] }] }),
  'practice-tips-lean-repeated': move(onTips(PLANK), { closeUp: 'right hand', keys: [{ by: [0.07, 0, 0] }], view: 'three-quarter' }),
  'practice-inv-forearm-plank': move(FOREARM_PLANK, { start: { both: WIDE }, keys: [{ flex: 3 }], view: 'three-quarter' }),
  'practice-forearm-dog': move(FOREARM_DOG, { start: { both: { lift: -4 } }, keys: [{ both: { lift: 4 } }] }),
  'practice-dog-rocks': move(FOREARM_DOG, { keys: [{ by: [0.09, 0, -0.02] }] }),
  'practice-dog-leg-raises': sided(FOREARM_DOG, {
    contacts: [...both('forearm'), one('left', 'ball'), one('right', 'ball')],
    keys: [{ off: ['right ball'], right: { hip: -14, knee: 2, ankle: -40 } }],
  }),
  'practice-inversion-exit': sided(FOREARM_DOG, {
    start: { right: { hip: 0, knee: 2, ankle: -40 } },
    contacts: [...both('forearm'), one('left', 'ball', level(0.3))],
    keys: [{ right: { hip: 76, knee: 10 }, yaw: 6 }],
  }),
  'practice-wall-inversion': move(FOREARM_BALANCE, {
    start: { pitch: 186 },
    also: both('heel', upright(0.24)),
    keys: [{ both: { lift: 8 } }],
  }),
  'practice-forearm-balance': move(FOREARM_BALANCE, {
    start: { both: { abduct: 4 } },
    keys: [{ pitch: 178, both: { hip: 4 } }],
    second: 'three-quarter',
  }),
  'practice-inv-side-plank': sided(STANDING, {
    start: { roll: -74, at: [0, 0, 0.3], left: { plane: 0, raise: 76, elbow: 92 }, right: { plane: 0, raise: 90 }, both: { ankle: -8 } },
    contacts: [one('left', 'forearm'), one('left', 'heel')],
    keys: [{ by: [0, 0, 0.02] }],
    view: 'front',
  }),
  'practice-lean-exit': move(CROUCHED, { keys: [{ by: [0.06, 0, 0] }, { by: [-0.03, 0, -0.01] }] }),
  'practice-block-lean': move(CROUCHED, { keys: [{ by: [0.07, 0, 0.01] }] }),
  'practice-one-foot-light': sided(stance(CROUCHED, { contacts: [...both('palm'), ...both('ball')] }), {
    keys: [{ by: [0.05, 0, 0.02], off: ['right ball'], right: { hip: 130, knee: 134, ankle: 20 } }],
  }),
  'practice-both-feet-light': move(stance(CROUCHED, { contacts: [...both('palm'), ...both('ball')] }), {
    keys: [{ by: [0.07, 0, 0.06], off: ['right ball', 'left ball'], both: { knee: 146, ankle: 20, hip: 128 } }],
  }),
  'practice-post-straight-wrist': sided(AT_POST, { keys: [{ by: [-0.02, 0, 0] }], view: 'three-quarter', closeUp: 'right hand' }),
  'practice-post-25': braced([-0.1, 0, -0.02]),
  'practice-post-feet-floor': braced([-0.12, 0.06, -0.02]),
  'practice-post-50': braced([-0.16, 0, -0.05]),
  'practice-post-feet-light': sided(AT_POST, {
    keys: [{ by: [-0.12, 0, 0.04], both: { ankle: -30 } }],
    slides: ['right sole', 'left sole'],
  }),
  'practice-post-step-down': sided(AT_POST, { keys: [{ off: ['right sole'], right: { hip: 70, knee: 80 } }, { by: [0.06, 0, 0] }] }),
  'practice-post-80': sided(AT_POST, { keys: [{ off: ['right sole'], by: [-0.06, 0, 0.05], right: { hip: 40, knee: 60 } }] }),
  'practice-post-feet-off': sided(AT_POST, { keys: [FEET_OFF] }),
  'practice-side-carry': carry('side', true, true, 'front'),
  'practice-carry-13': carry('side', true, true, 'three-quarter'),
  'practice-carry-16': carry('side', true, true, 'side'),
  'practice-heavy-carry': carry('side', true, true, 'back'),
  'practice-thick-lift': sided(STANDING, {
    start: { pitch: 54, at: [-0.1, 0, 0.7], both: { hip: 84, knee: 62, ankle: 20 }, right: { plane: 88, raise: 52, curl: 70, elbow: 2 } },
    keys: [{ pitch: 0, by: [0.08, 0, 0.2], both: { hip: 0, knee: 0, ankle: 0 }, right: { raise: 8 } }],
    props: [{ kind: 'weight', in: 'right hand', heavy: true }],
    view: 'side',
  }),
  'practice-overhead-hold': carry('overhead', false, false, 'side'),
  'practice-overhead-press-light': press('side'),
  'practice-overhead-press': press('three-quarter'),
  'practice-overhead-carry': carry('overhead', true, true, 'three-quarter'),
};
