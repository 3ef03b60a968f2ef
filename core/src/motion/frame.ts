import type { Side } from '../anatomy/index.ts';
import type { SegmentName } from '../reference/index.ts';
import { segmentLengths } from '../statics/index.ts';
import type { Sex } from '../reference/index.ts';

/** A body to be moved: segment lengths and breadths in metres. */
export interface Frame {
  readonly statureM: number;
  readonly lengths: Readonly<Record<SegmentName, number>>;
  /** Mid-line to the shoulder's centre, and to the hip's. */
  readonly halfShoulders: number;
  readonly halfHips: number;
  /** Knuckle to fingertip. */
  readonly fingers: number;
  readonly ankleHeight: number;
  readonly heelToAnkle: number;
  readonly heelToBall: number;
}

/** Half the distance between the shoulders' centres, and between the hips', as shares of stature: Drillis & Contini 1966 (from memory). */
const HALF_SHOULDERS = 0.1;
const HALF_HIPS = 0.048;
/** Ankle over the sole: Winter (from memory). */
const ANKLE_HEIGHT = 0.039;
/** Fingers as a share of the hand up to the knuckles; where ankle and ball lie along the sole (project defaults). */
const FINGERS = 1.15;
const HEEL_TO_ANKLE = 0.22;
const HEEL_TO_BALL = 0.72;

/** What is known of whom is shown: sex and stature, and own lengths where they were measured. */
export interface Shown {
  readonly sex?: Sex | undefined;
  /** Metres. */
  readonly stature: number;
  /** Shoulder to wrist, hip to ankle, metres. */
  readonly armM?: number | undefined;
  readonly legM?: number | undefined;
}

/** The stature for which heights in movements are written, metres: for others they grow along. */
export const WRITTEN_FOR = 1.7;

/**
 * The frame of a body.
 *
 * @example frameOf({ stature: 1.7 }).halfShoulders // 0.17
 */
export function frameOf({ sex, stature, armM, legM }: Shown): Frame {
  const scaled = segmentLengths({ sex, stature });
  const arm = armM === undefined ? 1 : armM / (scaled.upperArm + scaled.forearm);
  const leg = legM === undefined ? 1 : legM / (scaled.thigh + scaled.shank);
  const lengths = {
    ...scaled,
    upperArm: scaled.upperArm * arm,
    forearm: scaled.forearm * arm,
    thigh: scaled.thigh * leg,
    shank: scaled.shank * leg,
  };
  return {
    statureM: stature,
    lengths,
    halfShoulders: HALF_SHOULDERS * stature,
    halfHips: HALF_HIPS * stature,
    fingers: FINGERS * lengths.hand,
    ankleHeight: ANKLE_HEIGHT * stature,
    heelToAnkle: HEEL_TO_ANKLE * lengths.foot,
    heelToBall: HEEL_TO_BALL * lengths.foot,
  };
}

/** 1 on the left, -1 on the right: the sign of y. */
export function signOf(side: Side): 1 | -1 {
  return side === 'left' ? 1 : -1;
}
