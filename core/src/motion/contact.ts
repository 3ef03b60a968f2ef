import { SIDES, type Side } from '../anatomy/index.ts';
import { WRITTEN_FOR } from './frame.ts';
import type { Limbs, Skeleton } from './skeleton.ts';
import { from, midway, type Vec } from './space.ts';

/** Parts of a side that can rest on something. */
export const SIDE_PARTS = [
  'palm',
  'fist',
  'tips',
  'back of the hand',
  'knuckles',
  'index side',
  'little side',
  'hand',
  'grip',
  'forearm',
  'elbow',
  'knee',
  'shin',
  'sole',
  'ball',
  'heel',
  'hip',
] as const;
export type SidePart = (typeof SIDE_PARTS)[number];
/** Parts of the middle. */
export const MIDDLE_PARTS = ['seat', 'back', 'front', 'forehead', 'tailbone'] as const;
export type MiddlePart = (typeof MIDDLE_PARTS)[number];

/** What a part rests on: heights and places in metres, as written for a stature of 1.7 m; they grow with the body. */
export type Support =
  | { readonly kind: 'level'; readonly z: number }
  /** A wall or the like at this x. */
  | { readonly kind: 'upright'; readonly x: number }
  /** A bar from left to right. */
  | { readonly kind: 'bar'; readonly x: number; readonly z: number }
  /** A bar from back to front, on either side. */
  | { readonly kind: 'rail'; readonly y: number; readonly z: number }
  | { readonly kind: 'post'; readonly x: number; readonly y: number }
  /** The body's own: a hand on the other hand, on the hip. */
  | { readonly kind: 'body'; readonly at: BodyPlace; readonly off?: Vec };

/** Places of the body that a hand is laid on. */
export type BodyPlace =
  | `${Side} ${'hand' | 'wrist' | 'elbow' | 'upper arm' | 'shoulder' | 'hip' | 'knee' | 'foot' | 'blade'}`
  | 'nape'
  | 'chest'
  | 'belly'
  | 'forehead';

/** One part on one support. */
export type Contact = { readonly on: Support } & (
  { readonly part: SidePart; readonly side: Side } | { readonly part: MiddlePart; readonly side?: never }
);

/** Half the thickness of a limb around its bone, metres at the stature that is written for. */
const FLESH = { elbow: 0.035, wrist: 0.028, knee: 0.055, shin: 0.045, seat: 0.085, back: 0.11, front: 0.11, head: 0.1, hip: 0.13 } as const;

/** A point of the body: how much flesh lies around it, and behind how many joints of its limb it hangs (0 to 3). */
export interface Point {
  readonly at: Vec;
  readonly thickness: number;
  /** Absent: a point of the middle. */
  readonly side?: Side | undefined;
  readonly behind: 0 | 1 | 2 | 3;
}

type Local = readonly [at: Vec, behind: Point['behind'], thickness?: number];

const OF_SIDE: Readonly<Record<SidePart, (limbs: Limbs) => readonly Local[]>> = {
  palm: (l) => [
    [l.heelOfHand, 3],
    [l.indexKnuckle, 3],
    [l.littleKnuckle, 3],
  ],
  knuckles: (l) => [
    [l.indexKnuckle, 3],
    [l.littleKnuckle, 3],
  ],
  'index side': (l) => [[l.indexKnuckle, 3]],
  'little side': (l) => [[l.littleKnuckle, 3]],
  hand: (l) => [[l.grip, 3]],
  fist: (l) => [[from(l.knuckles, l.handTurn, [0, 0, -0.012]), 3]],
  tips: (l) => l.outerTips.map((tip) => [tip, 3, 0.004] as const),
  'back of the hand': (l) => l.backOfHand.map((p) => [p, 3] as const),
  grip: (l) => [[l.grip, 3]],
  forearm: (l) => [
    [l.elbow, 1, FLESH.elbow],
    [l.wrist, 2, FLESH.wrist],
  ],
  elbow: (l) => [[l.elbow, 1, FLESH.elbow]],
  knee: (l) => [[l.knee, 1, FLESH.knee]],
  shin: (l) => [
    [l.knee, 1, FLESH.knee],
    [l.ankle, 2, FLESH.shin],
  ],
  sole: (l) => [
    [l.heel, 3],
    [l.ball, 3],
  ],
  ball: (l) => [[l.ball, 3]],
  heel: (l) => [[l.heel, 3]],
  hip: (l) => [[l.hip, 0, FLESH.hip]],
};

const OF_MIDDLE: Readonly<Record<MiddlePart, (s: Skeleton) => readonly Local[]>> = {
  seat: (s) => [[s.pelvis, 0, FLESH.seat]],
  back: (s) => [
    [s.pelvis, 0, FLESH.back],
    [s.top, 0, FLESH.back],
  ],
  front: (s) => [
    [s.pelvis, 0, FLESH.front],
    [s.top, 0, FLESH.front],
  ],
  forehead: (s) => [[s.head, 0, FLESH.head]],
  tailbone: (s) => [[s.pelvis, 0, FLESH.back]],
};

/** The points with which a part touches. */
export function pointsOf(skeleton: Skeleton, { part, side }: Contact, statureM: number): readonly Point[] {
  const points = side === undefined ? OF_MIDDLE[part as MiddlePart](skeleton) : OF_SIDE[part as SidePart](skeleton[side]);
  const k = statureM / WRITTEN_FOR;
  return points.map(([at, behind, thickness = 0]) => ({ at, behind, side, thickness: thickness * k }));
}

const ofHand = (l: Limbs): Local => [l.grip, 3];

const PLACES: Readonly<Record<string, (l: Limbs) => Local>> = {
  hand: ofHand,
  wrist: (l) => [l.wrist, 2],
  elbow: (l) => [l.elbow, 1],
  'upper arm': (l) => [midway(l.shoulder, l.elbow), 1],
  shoulder: (l) => [l.shoulder, 0],
  hip: (l) => [l.hip, 0],
  knee: (l) => [l.knee, 1],
  foot: (l) => [l.ball, 3],
  blade: (l) => [l.blade[2], 0],
};

/** A place of the body that a hand is laid on. */
export function placeOn(s: Skeleton, place: BodyPlace): Point {
  if (place === 'nape') return { at: from(s.neck, s.headTurn, [-0.07, 0, 0.06]), behind: 0, thickness: 0 };
  if (place === 'chest') return { at: from(s.top, s.chestTurn, [0.11, 0, -0.1]), behind: 0, thickness: 0 };
  if (place === 'belly') return { at: from(s.waist, s.chestTurn, [0.12, 0, -0.02]), behind: 0, thickness: 0 };
  if (place === 'forehead') return { at: from(s.head, s.headTurn, [0.1, 0, 0.03]), behind: 0, thickness: 0 };
  const [side, ...part] = place.split(' ') as [Side, ...string[]];
  const [at, behind] = (PLACES[part.join(' ')] ?? ofHand)(s[side]);
  return { at, behind, side, thickness: 0 };
}

/** In which directions a support holds, and how far a point is from it, metres. */
export function offSupport(
  { at, thickness }: Point,
  on: Exclude<Support, { readonly kind: 'body' }>,
  k: number,
): readonly (readonly [axis: 0 | 1 | 2, off: number])[] {
  switch (on.kind) {
    case 'level':
      return [[2, at[2] - on.z * k - thickness]];
    case 'upright':
      return [[0, at[0] - on.x * k + thickness * Math.sign(on.x || 1)]];
    case 'bar':
      return [
        [0, at[0] - on.x * k],
        [2, at[2] - on.z * k],
      ];
    case 'rail':
      return [
        [1, at[1] - on.y * k],
        [2, at[2] - on.z * k],
      ];
    case 'post':
      return [
        [0, at[0] - on.x * k],
        [1, at[1] - on.y * k],
      ];
  }
}

const FLOOR: Support = { kind: 'level', z: 0 };

/** The same part of both sides on a support; on the floor where none is named. */
export function both(part: SidePart, on: Support = FLOOR): readonly Contact[] {
  return SIDES.map((side) => ({
    part,
    side,
    on: side === 'right' && (on.kind === 'rail' || on.kind === 'post') ? { ...on, y: -on.y } : on,
  }));
}

export function one(side: Side, part: SidePart, on: Support = FLOOR): Contact {
  return { part, side, on };
}

export function middle(part: MiddlePart, on: Support = FLOOR): Contact {
  return { part, on };
}

/** A short name of a contact, by which a key pose lets it go or moves it. */
export type ContactName = `${Side} ${SidePart}` | MiddlePart;

export function nameOf(contact: Contact): ContactName {
  return contact.side === undefined ? contact.part : `${contact.side} ${contact.part}`;
}

const other = (side: Side): Side => (side === 'left' ? 'right' : 'left');

function mirroredSupport(on: Support): Support {
  if (on.kind === 'rail' || on.kind === 'post') return { ...on, y: -on.y };
  if (on.kind !== 'body') return on;
  const at = on.at.startsWith('left ') ? on.at.replace('left ', 'right ') : on.at.replace('right ', 'left ');
  return { kind: 'body', at: at as BodyPlace, ...(on.off ? { off: [on.off[0], -on.off[1], on.off[2]] as const } : {}) };
}

/** The same contact in a mirror. */
export function mirroredContact(contact: Contact): Contact {
  const on = mirroredSupport(contact.on);
  return contact.side === undefined ? { ...contact, on } : { ...contact, side: other(contact.side), on };
}
