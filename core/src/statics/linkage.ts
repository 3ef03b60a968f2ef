import type { SegmentLengths, Sex } from '../reference/index.ts';
import { SEGMENT_LENGTHS } from '../reference/index.ts';

/** Directions of the segments in a side view, in degrees counter-clockwise from "forward". */
export interface Pose {
  readonly foot: number;
  /** ankle → knee */
  readonly shank: number;
  /** knee → hip */
  readonly thigh: number;
  /** hip → shoulder */
  readonly trunk: number;
  /** shoulder → top of the head */
  readonly head: number;
  /** shoulder → elbow */
  readonly upperArm: number;
  /** elbow → wrist */
  readonly forearm: number;
  /** wrist → knuckles */
  readonly hand: number;
  /** The far arm where it does something else: shoulder → elbow → wrist. */
  readonly otherArm?: readonly [number, number];
  /** The far leg where it does something else: hip → knee → ankle. */
  readonly otherLeg?: readonly [number, number];
  /** What the figure rests on or hangs from, placed at the hands or feet by the drawing. */
  readonly surfaces: readonly Surface[];
}

export type Surface =
  | 'floor'
  | 'wall'
  | 'wall behind'
  | 'bench'
  | 'bench behind'
  | 'seat'
  | 'bar'
  | 'step'
  | 'post'
  | 'band to the feet'
  | 'weight on the back'
  | 'weight in the hand';

export interface Point {
  readonly x: number;
  readonly y: number;
}

export type Landmark =
  | 'toe'
  | 'ankle'
  | 'knee'
  | 'hip'
  | 'shoulder'
  | 'crown'
  | 'elbow'
  | 'wrist'
  | 'knuckles'
  | 'otherElbow'
  | 'otherWrist'
  | 'otherKnee'
  | 'otherAnkle';

export interface Build {
  /** Absent: a blend of both published samples. */
  readonly sex?: Sex | undefined;
  /** Metres. */
  readonly stature: number;
}

/** Head and neck together, as a share of the tabulated head: the table ends at mid-neck. */
const HEAD_AND_NECK = 1.35;

/**
 * Segment lengths of a trainee in metres: the published sample scaled to stature.
 *
 * @example scaledSegments({ sex: 'male', stature: 1.741 }).thigh // 0.4222
 */
export function scaledSegments({ sex, stature }: Build): Omit<SegmentLengths, 'stature'> {
  const tables = sex ? [SEGMENT_LENGTHS[sex]] : [SEGMENT_LENGTHS.female, SEGMENT_LENGTHS.male];
  const scaled = (name: keyof SegmentLengths) => tables.reduce((sum, t) => sum + (t[name] / t.stature) * stature, 0) / tables.length;
  return {
    head: scaled('head'),
    trunk: scaled('trunk'),
    upperArm: scaled('upperArm'),
    forearm: scaled('forearm'),
    hand: scaled('hand'),
    thigh: scaled('thigh'),
    shank: scaled('shank'),
    foot: scaled('foot'),
  };
}

/**
 * Where the joints of a posed body lie in metres, with the ankle at the origin, x forward, y up.
 *
 * @param pose segment directions in degrees
 * @param build sex and stature of the trainee
 * @example linkage({ ...standing }, { stature: 1.7 }).shoulder.y // about 1.35
 */
export function linkage(pose: Pose, build: Build): Readonly<Record<Landmark, Point>> {
  const lengths = scaledSegments(build);
  const ankle = { x: 0, y: 0 };
  const knee = step(ankle, pose.shank, lengths.shank);
  const hip = step(knee, pose.thigh, lengths.thigh);
  const shoulder = step(hip, pose.trunk, lengths.trunk);
  const elbow = step(shoulder, pose.upperArm, lengths.upperArm);
  const wrist = step(elbow, pose.forearm, lengths.forearm);
  const otherKnee = pose.otherLeg ? step(hip, pose.otherLeg[0], lengths.thigh) : knee;
  const otherElbow = step(shoulder, pose.otherArm?.[0] ?? pose.upperArm, lengths.upperArm);
  return {
    toe: step(ankle, pose.foot, lengths.foot * 0.75),
    ankle,
    knee,
    hip,
    shoulder,
    crown: step(shoulder, pose.head, lengths.head * HEAD_AND_NECK),
    elbow,
    wrist,
    knuckles: step(wrist, pose.hand, lengths.hand),
    otherElbow,
    otherWrist: step(otherElbow, pose.otherArm?.[1] ?? pose.forearm, lengths.forearm),
    otherKnee,
    otherAnkle: pose.otherLeg ? step(otherKnee, pose.otherLeg[1], lengths.shank) : ankle,
  };
}

function step(from: Point, degrees: number, metres: number): Point {
  const angle = (degrees * Math.PI) / 180;
  return { x: from.x + metres * Math.cos(angle), y: from.y + metres * Math.sin(angle) };
}
