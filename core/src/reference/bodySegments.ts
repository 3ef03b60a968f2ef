import type { Sex } from './table.ts';

/** Citation of the body segments below. */
export const SEGMENTS_CITATION = 'de Leva, J. Biomechanics 29, 1996 (from memory)';

export const SEGMENTS = ['head', 'trunk', 'upperArm', 'forearm', 'hand', 'thigh', 'shank', 'foot'] as const;
export type SegmentName = (typeof SEGMENTS)[number];

export interface SegmentRow {
  /** Millimetres at the sample's mean stature. */
  readonly length: number;
  /** Percent of body mass, of one side where there are two. */
  readonly mass: number;
  /** Centre of mass, percent of the length from the proximal end (head: from the vertex, foot: from the heel). */
  readonly centre: number;
}

export interface SegmentTable {
  /** Millimetres. */
  readonly stature: number;
  readonly segments: Readonly<Record<SegmentName, SegmentRow>>;
}

const row = (length: number, mass: number, centre: number): SegmentRow => ({ length, mass, centre });

/** Lengths, masses and centres of mass of the body's segments. The head ends at mid-neck, the hand at the third knuckle. */
export const BODY_SEGMENTS: Readonly<Record<Sex, SegmentTable>> = {
  male: {
    stature: 1741,
    segments: {
      head: row(203.3, 6.94, 59.76),
      trunk: row(515.5, 43.46, 43.1),
      upperArm: row(281.7, 2.71, 57.72),
      forearm: row(268.9, 1.62, 45.74),
      hand: row(86.2, 0.61, 79.0),
      thigh: row(422.2, 14.16, 40.95),
      shank: row(440.3, 4.33, 43.95),
      foot: row(258.1, 1.37, 44.15),
    },
  },
  female: {
    stature: 1735,
    segments: {
      head: row(200.2, 6.68, 58.94),
      trunk: row(497.9, 42.57, 37.82),
      upperArm: row(275.1, 2.55, 57.54),
      forearm: row(264.3, 1.38, 45.59),
      hand: row(78.0, 0.56, 74.74),
      thigh: row(368.5, 14.78, 36.12),
      shank: row(438.6, 4.81, 43.52),
      foot: row(228.3, 1.29, 40.14),
    },
  },
};
