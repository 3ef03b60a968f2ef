import { both, type Contact, type Movement, middle, one, type Pose, type Support, type View } from '../motion/index.ts';

/** A position in which drills begin: its pose and what it rests on. */
export interface Stance {
  readonly start: Pose;
  readonly contacts: readonly Contact[];
  readonly props?: Movement['props'];
  readonly view: View;
  readonly placed?: true;
}

/** What a drill adds to its stance. */
export interface Own extends Partial<Omit<Movement, 'contacts'>> {
  /** Further contacts. */
  readonly also?: readonly Contact[];
  /** Contacts in place of the stance's. */
  readonly contacts?: readonly Contact[];
}

/** One pose over another. */
export function over(a: Pose, b: Pose = {}): Pose {
  const side = (name: 'both' | 'right' | 'left') => (a[name] || b[name] ? { [name]: { ...a[name], ...b[name] } } : {});
  return { ...a, ...b, ...side('both'), ...side('right'), ...side('left') };
}

/** A stance with another pose, further contacts or props. */
export function stance(base: Stance, { start, also = [], contacts, props, view }: Own): Stance {
  return {
    start: over(base.start, start),
    contacts: [...(contacts ?? base.contacts), ...also],
    props: [...(base.props ?? []), ...(props ?? [])],
    view: view ?? base.view,
    ...(base.placed ? { placed: true } : {}),
  };
}

/** A movement out of a stance. */
export function move(base: Stance, own: Own): Movement {
  const { keys = [], slides, round, second, closeUp, closeFrom, marks } = own;
  const { start, contacts, props = [], view, placed } = stance(base, own);
  return {
    ...{ start, keys, contacts, view },
    ...(props.length > 0 ? { props } : {}),
    ...(placed ? { placed } : {}),
    ...(slides ? { slides } : {}),
    ...(marks ? { marks } : {}),
    ...(round ? { round } : {}),
    ...(second ? { second } : {}),
    ...(closeUp ? { closeUp } : {}),
    ...(closeFrom ? { closeFrom } : {}),
  };
}

/** Done on the right, then on the left. */
export function sided(base: Stance, own: Own): Movement {
  return { ...move(base, own), sided: true };
}

/** A level at a height in metres. */
export const level = (z: number): Support => ({ kind: 'level', z });
export const upright = (x: number): Support => ({ kind: 'upright', x });

export const STANDING: Stance = {
  start: { at: [0, 0, 0.9], both: { raise: 7, elbow: 8, pronate: 15, curl: 15 } },
  contacts: both('sole'),
  view: 'three-quarter',
};

export const SEATED: Stance = {
  start: { at: [0, 0, 0.56], both: { hip: 88, knee: 88, raise: 6, elbow: 10, curl: 15, abduct: 6 } },
  contacts: [middle('seat', level(0.42)), ...both('sole')],
  props: [{ kind: 'chair', z: 0.42, x: 0 }],
  view: 'three-quarter',
};

export const LONG_SITTING: Stance = {
  start: { at: [0, 0, 0.1], both: { hip: 90, ankle: 0, raise: 6, elbow: 10 } },
  contacts: [middle('seat'), ...both('heel')],
  view: 'side',
};

export const TABLETOP: Stance = {
  start: { at: [0, 0, 0.5], pitch: 77, nod: -8, both: { hip: 77, knee: 90, ankle: -74, plane: 90, raise: 77, pronate: 80, wrist: 89 } },
  contacts: [...both('palm'), ...both('shin')],
  view: 'side',
};

export const CHEST_LOW: Stance = {
  start: { at: [0, 0, 0.46], pitch: 116, flex: -22, nod: -10, both: { hip: 112, knee: 88, ankle: -74, plane: 90, raise: 158, elbow: 42 } },
  contacts: [...both('forearm'), ...both('shin')],
  placed: true,
  view: 'side',
};

export const PLANK: Stance = {
  start: { at: [0, 0, 0.45], pitch: 72, nod: -10, both: { plane: 90, raise: 74, pronate: 80, wrist: 87, ankle: 12 } },
  contacts: [...both('palm'), ...both('ball')],
  view: 'side',
};

/** Hips high over hands and feet on the floor, arms and legs straight. */
export const PIKE: Stance = {
  start: { at: [-0.3, 0, 0.85], pitch: 142, nod: 4, both: { hip: 92, plane: 90, raise: 178, pronate: 80, wrist: 60, ankle: 20 } },
  contacts: [...both('palm'), ...both('sole')],
  view: 'side',
};

export const KNEE_PLANK: Stance = {
  start: { at: [0, 0, 0.3], pitch: 56, nod: -10, both: { knee: 42, ankle: -74, plane: 90, raise: 57, pronate: 80, wrist: 85 } },
  contacts: [...both('palm'), ...both('shin')],
  view: 'side',
};

export const FOREARM_PLANK: Stance = {
  start: { at: [0, 0, 0.3], pitch: 81, nod: -10, both: { plane: 90, raise: 84, elbow: 90, ankle: 10, curl: 60 } },
  contacts: [...both('forearm'), ...both('ball')],
  view: 'side',
};

export const FOREARM_DOG: Stance = {
  start: { at: [0, 0, 0.75], pitch: 135, nod: 5, both: { hip: 80, plane: 90, raise: 178, elbow: 46, ankle: 0, curl: 40 } },
  contacts: [...both('forearm'), ...both('ball')],
  view: 'side',
};

export const PRONE: Stance = {
  start: { at: [0, 0, 0.11], pitch: 90, both: { ankle: -74, raise: 10 } },
  contacts: [middle('front')],
  view: 'side',
};

export const SUPINE: Stance = {
  start: { at: [0, 0, 0.11], pitch: -90, both: { hip: 45, knee: 88, raise: 12, ankle: 0 } },
  contacts: [middle('back'), ...both('sole')],
  view: 'side',
};

/** On the left side, the right one free. */
export const SIDE_LYING: Stance = {
  start: {
    at: [0, 0, 0.15],
    roll: -90,
    tilt: 20,
    both: { hip: 45, knee: 70 },
    left: { plane: 90, raise: 100, elbow: 120 },
    right: { raise: 5 },
  },
  contacts: [one('left', 'hip')],
  view: 'front',
};

/** Facing a wall, palms on it at shoulder height. */
export const AT_WALL: Stance = {
  start: { at: [0, 0, 0.88], pitch: 12, both: { plane: 90, raise: 97, pronate: 80, wrist: 90, ankle: 12 } },
  contacts: [...both('palm', upright(0.62)), ...both('sole')],
  view: 'side',
};

const BAR: Support = { kind: 'bar', x: 0, z: 2.2 };
const OVERHEAD = { plane: 82, raise: 172, pronate: 78, curl: 80, knuckle: 10 } as const;

export const HANGING: Stance = {
  start: { at: [0, 0, 1], both: { ...OVERHEAD, ankle: -25, hip: 3, knee: 6 } },
  contacts: both('grip', BAR),
  view: 'three-quarter',
};

/** Under a bar, feet flat on the floor, knees bent. */
export const FEET_HANG: Stance = {
  start: { at: [-0.05, 0, 0.7], pitch: 4, both: { ...OVERHEAD, hip: 62, knee: 72, ankle: 10 } },
  contacts: [...both('grip', { kind: 'bar', x: 0, z: 1.82 }), ...both('sole')],
  view: 'side',
};

/** Under a bar, feet forward on a step. */
export const STEP_HANG: Stance = {
  start: { at: [-0.06, 0, 0.78], pitch: -6, both: { ...OVERHEAD, raise: 180, hip: 50, knee: 32, ankle: 10 } },
  contacts: [...both('grip', { kind: 'bar', x: 0, z: 1.98 }), ...both('sole', level(0.3))],
  view: 'side',
};
