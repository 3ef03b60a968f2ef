import type { Side } from '../anatomy/index.ts';
import type { Point } from './contact.ts';
import { signOf } from './frame.ts';
import { type Figures, middleAt, type PairedJoint, pairedAt, valueAt } from './joints.ts';
import { type Limbs, RISE_SHARE, RISES_FROM, type Skeleton } from './skeleton.ts';
import { aboutY, aboutZ, after, turned, type Turn, type Vec } from './space.ts';

/** How a figure of the row moves points: along a way, or about an axis through a pivot. */
export interface Mover {
  readonly at: number;
  /** Absent: it moves everything. */
  readonly side?: Side;
  readonly limb?: 'arm' | 'leg';
  /** It moves points that hang behind so many joints of the limb, or more. */
  readonly from: number;
  readonly axis?: Vec;
  readonly pivot?: Vec;
  /** What it moves everything behind it along, per degree or metre. */
  readonly along?: Vec;
}

const DEGREE = Math.PI / 180;
const NOWHERE: Vec = [0, 0, 0];

const times = (v: Vec, by: number): Vec => [v[0] * by, v[1] * by, v[2] * by];
const cross = (a: Vec, b: Vec): Vec => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
const less = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const column = (t: Turn, axis: 0 | 1 | 2): Vec => [t[axis], valueAt(t, 3 + axis), valueAt(t, 6 + axis)];

/** The movers of the pelvis: its place and its turns. */
export function pelvisMovers({ pelvis }: Skeleton, figures: Figures): readonly Mover[] {
  const yaw = aboutZ(valueAt(figures, middleAt('yaw')));
  const pitch = valueAt(figures, middleAt('pitch')) * DEGREE;
  const ways: readonly Vec[] = [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ];
  return [
    ...ways.map((along, at): Mover => ({ at, from: 0, along })),
    { at: middleAt('pitch'), from: 0, axis: column(yaw, 1), pivot: pelvis },
    { at: middleAt('roll'), from: 0, axis: turned(yaw, [Math.cos(pitch), 0, -Math.sin(pitch)]), pivot: pelvis },
    { at: middleAt('yaw'), from: 0, axis: [0, 0, 1], pivot: pelvis },
  ];
}

/** The movers of an arm, from the shoulder to the wrist. */
export function armMovers(s: Skeleton, figures: Figures, side: Side): readonly Mover[] {
  const limbs: Limbs = s[side];
  const out = signOf(side);
  const at = (joint: PairedJoint) => pairedAt(side, joint);
  const swing = (out * (90 - valueAt(figures, at('plane'))) - 90) * DEGREE;
  const shaft = column(limbs.upperArmTurn, 2);
  const rises = valueAt(figures, at('raise')) > RISES_FROM;
  // Raising the arm lifts the shoulder a little.
  const lifted = rises
    ? times(cross(times(column(limbs.girdleTurn, 0), out), less(limbs.shoulder, limbs.socket)), RISE_SHARE * DEGREE)
    : NOWHERE;
  const mover = (joint: PairedJoint, from: number, axis: Vec, pivot: Vec, along?: Vec): Mover => ({
    at: at(joint),
    side,
    limb: 'arm',
    from,
    axis,
    pivot,
    ...(along ? { along } : {}),
  });
  return [
    mover('plane', 1, times(less(column(s.chestTurn, 2), shaft), -out), limbs.shoulder),
    mover('raise', 1, turned(s.chestTurn, [Math.cos(swing), Math.sin(swing), 0]), limbs.shoulder, lifted),
    mover('rotate', 1, times(shaft, out), limbs.shoulder),
    mover('elbow', 2, times(column(limbs.upperArmTurn, 1), -1), limbs.elbow),
    mover('pronate', 2, times(column(limbs.forearmTurn, 2), -out), limbs.elbow),
    mover('wrist', 3, times(column(limbs.forearmTurn, 0), out), limbs.wrist),
    mover('deviate', 3, times(column(limbs.handTurn, 1), -1), limbs.wrist),
  ];
}

/** The movers of a leg, from the hip to the ankle. */
export function legMovers(s: Skeleton, figures: Figures, side: Side): readonly Mover[] {
  const limbs: Limbs = s[side];
  const out = signOf(side);
  const at = (joint: PairedJoint) => pairedAt(side, joint);
  const mover = (joint: PairedJoint, from: number, axis: Vec, pivot: Vec): Mover => ({
    at: at(joint),
    side,
    limb: 'leg',
    from,
    axis,
    pivot,
  });
  const flexed = after(s.pelvisTurn, aboutY(-valueAt(figures, at('hip'))));
  return [
    mover('hip', 1, times(column(s.pelvisTurn, 1), -1), limbs.hip),
    mover('abduct', 1, times(column(flexed, 0), out), limbs.hip),
    mover('hipTurn', 1, times(column(limbs.thighTurn, 2), out), limbs.hip),
    mover('knee', 2, column(limbs.thighTurn, 1), limbs.knee),
    mover('ankle', 3, times(column(limbs.footTurn, 1), -1), limbs.ankle),
  ];
}

/**
 * How far a point goes along one axis for one degree, or one metre, of a figure.
 *
 * @param limb which limb of its side the point belongs to
 */
export function slopeOf(
  { side, limb: own, from, axis: a, pivot, along }: Mover,
  point: Point,
  limb: 'arm' | 'leg' | undefined,
  axis: 0 | 1 | 2,
): number {
  if (side !== undefined && (side !== point.side || own !== limb)) return 0;
  const straight = along ? along[axis] : 0;
  if (!a || !pivot || (side !== undefined && point.behind < from)) return straight;
  const { at } = point;
  if (axis === 0) return straight + (a[1] * (at[2] - pivot[2]) - a[2] * (at[1] - pivot[1])) * DEGREE;
  if (axis === 1) return straight + (a[2] * (at[0] - pivot[0]) - a[0] * (at[2] - pivot[2])) * DEGREE;
  return straight + (a[0] * (at[1] - pivot[1]) - a[1] * (at[0] - pivot[0])) * DEGREE;
}
