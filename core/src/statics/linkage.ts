import type { Sex } from '../reference/index.ts';
import { segmentLengths } from './bodyModel.ts';
import { along, type Point } from './plane.ts';

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
 * Where the joints of a posed body lie in metres, with the ankle at the origin, x forward, y up.
 *
 * @param pose segment directions in degrees
 * @param build sex and stature of the trainee
 * @example linkage({ ...standing }, { stature: 1.7 }).shoulder.y // about 1.35
 */
export function linkage(pose: Pose, build: Build): Readonly<Record<Landmark, Point>> {
  const lengths = segmentLengths(build);
  const ankle = { x: 0, y: 0 };
  const knee = along(ankle, pose.shank, lengths.shank);
  const hip = along(knee, pose.thigh, lengths.thigh);
  const shoulder = along(hip, pose.trunk, lengths.trunk);
  const elbow = along(shoulder, pose.upperArm, lengths.upperArm);
  const wrist = along(elbow, pose.forearm, lengths.forearm);
  const otherKnee = pose.otherLeg ? along(hip, pose.otherLeg[0], lengths.thigh) : knee;
  const otherElbow = along(shoulder, pose.otherArm?.[0] ?? pose.upperArm, lengths.upperArm);
  return {
    toe: along(ankle, pose.foot, lengths.foot * 0.75),
    ankle,
    knee,
    hip,
    shoulder,
    crown: along(shoulder, pose.head, lengths.head * HEAD_AND_NECK),
    elbow,
    wrist,
    knuckles: along(wrist, pose.hand, lengths.hand),
    otherElbow,
    otherWrist: along(otherElbow, pose.otherArm?.[1] ?? pose.forearm, lengths.forearm),
    otherKnee,
    otherAnkle: pose.otherLeg ? along(otherKnee, pose.otherLeg[1], lengths.shank) : ankle,
  };
}
