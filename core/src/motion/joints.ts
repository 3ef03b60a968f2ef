import type { Side } from '../anatomy/index.ts';

/** Least and most that a joint can do, degrees. */
type Limits = readonly [min: number, max: number];

/**
 * What turns in the middle of the body, degrees. `pitch`, `roll` and `yaw` place the pelvis: pitch 0 is upright, 90 face down, -90 face
 * up; a positive roll tips the head to the right, a positive yaw looks to the left; `spin` turns about the body's long axis, however it lies. `flex`, `bend` and `turn` are the trunk's (forward,
 * to the right, to the left), `nod`, `tilt` and `look` the neck's.
 */
export const MIDDLE = {
  pitch: [-200, 270],
  roll: [-120, 120],
  yaw: [-200, 200],
  spin: [-120, 120],
  flex: [-50, 90],
  bend: [-45, 45],
  turn: [-55, 55],
  nod: [-70, 60],
  tilt: [-45, 45],
  look: [-80, 80],
} as const satisfies Readonly<Record<string, Limits>>;

/**
 * What turns on either side, degrees; the widest that healthy adults reach (handbooks of joint motion, from memory), a hand's extension
 * as far as load takes it.
 *
 * `lift` and `reach` are the shoulder girdle's elevation and protraction, `upward` the blade's upward rotation beyond what follows from
 * the arm. `plane`, `raise` and `rotate` are the shoulder's (plane 0 is abduction, 90 flexion, -90 extension; rotation outward is
 * positive). `elbow` is flexion, `pronate` turns the palm down, `wrist` is extension, `deviate` goes toward the thumb, `knuckle` bends the fingers
 * where they meet the palm, `curl` closes them. `hip` is flexion, `abduct` to the side, `hipTurn` outward, `knee` flexion, `ankle` toward the shin.
 */
export const PAIRED = {
  lift: [-14, 40],
  reach: [-32, 36],
  upward: [-25, 30],
  plane: [-110, 160],
  raise: [-60, 186],
  rotate: [-105, 115],
  elbow: [-10, 155],
  pronate: [-95, 95],
  wrist: [-95, 106],
  deviate: [-45, 35],
  knuckle: [-45, 95],
  curl: [-20, 95],
  spread: [0, 25],
  hip: [-35, 140],
  abduct: [-35, 80],
  hipTurn: [-60, 65],
  knee: [-8, 162],
  ankle: [-78, 48],
} as const satisfies Readonly<Record<string, Limits>>;

export type MiddleJoint = keyof typeof MIDDLE;
export type PairedJoint = keyof typeof PAIRED;

export const MIDDLE_JOINTS = Object.keys(MIDDLE) as readonly MiddleJoint[];
export const PAIRED_JOINTS = Object.keys(PAIRED) as readonly PairedJoint[];

/** All figures of a pose in a row: where the pelvis is (metres), the middle, then right and left. */
export type Figures = Float64Array<ArrayBuffer>;

/** A figure of a row. */
export function valueAt(row: ArrayLike<number>, at: number): number {
  return row[at] ?? 0;
}

export const PLACE = 3;
const RIGHT = PLACE + MIDDLE_JOINTS.length;
export const FIGURES = RIGHT + 2 * PAIRED_JOINTS.length;

const MIDDLE_AT = new Map(MIDDLE_JOINTS.map((joint, i) => [joint, PLACE + i]));
const PAIRED_AT = new Map(PAIRED_JOINTS.map((joint, i) => [joint, RIGHT + i]));

/** Where a joint of the middle stands in the row. */
export function middleAt(joint: MiddleJoint): number {
  return MIDDLE_AT.get(joint) ?? 0;
}

/** Where a joint of a side stands in the row. */
export function pairedAt(side: Side, joint: PairedJoint): number {
  return (PAIRED_AT.get(joint) ?? 0) + (side === 'left' ? PAIRED_JOINTS.length : 0);
}
