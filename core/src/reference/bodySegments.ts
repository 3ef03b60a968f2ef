import type { Sex } from './table.ts';

/** Citation of the segment lengths below. */
export const SEGMENTS_CITATION = 'de Leva, J. Biomechanics 29, 1996 (from memory)';

export interface SegmentLengths {
  readonly stature: number;
  readonly head: number;
  readonly trunk: number;
  readonly upperArm: number;
  readonly forearm: number;
  readonly hand: number;
  readonly thigh: number;
  readonly shank: number;
  readonly foot: number;
}

/** Segment lengths in millimetres at the sample's mean stature. */
export const SEGMENT_LENGTHS: Readonly<Record<Sex, SegmentLengths>> = {
  male: { stature: 1741, head: 203.3, trunk: 515.5, upperArm: 281.7, forearm: 268.9, hand: 86.2, thigh: 422.2, shank: 440.3, foot: 258.1 },
  female: {
    stature: 1735,
    head: 200.2,
    trunk: 497.9,
    upperArm: 275.1,
    forearm: 264.3,
    hand: 78.0,
    thigh: 368.5,
    shank: 438.6,
    foot: 228.3,
  },
};
