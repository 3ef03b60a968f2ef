import type { Breathing } from './teaching.ts';

export const DOSE_UNITS = ['reps', 's', 'breaths'] as const;
export type DoseUnit = (typeof DOSE_UNITS)[number];

/** Seconds of one repetition: the working way out, what is held there, the way back, and what is waited before the next. */
export interface Tempo {
  readonly out: number;
  readonly hold: number;
  readonly back: number;
  /** Absent: none. */
  readonly rest?: number;
}

export const HELPER_DEEDS = ['resists', 'supports'] as const;
export type HelperDeed = (typeof HELPER_DEEDS)[number];

/** How a set is gone through, beside how often and how fast; what is absent is not so. */
export interface Course {
  /** Half of the number one way round, half the other: circles and turns. */
  readonly bothWays?: true;
  /** Of what is done on each side: left, right, left, right, and a repetition is one on each; absent: one side whole, then the other. */
  readonly alternating?: true;
  /** Small pulses at the end of the way out, in every repetition. */
  readonly pulses?: number;
  /** Seconds that the last repetition is held at its end. */
  readonly lastHold?: number;
  /** What a helper's hands do. */
  readonly helper?: HelperDeed;
  /** The breath, where it is not the drill's. */
  readonly breath?: Breathing;
}

/** What a course may ask for. */
export const COURSE_LIMITS = { pulses: { min: 1, max: 20 }, lastHold: { min: 1, max: 60 } } as const;

/** What a drill is done for by default. */
export interface DoseRange {
  readonly unit: DoseUnit;
  readonly min: number;
  readonly max: number;
  readonly sets: number;
  readonly perSide: boolean;
  readonly restSeconds: number;
  /** Of repetitions only. */
  readonly tempo?: Tempo;
  readonly course?: Course;
}

/** A dose as planned for one trainee. */
export interface Dose {
  readonly sets: number;
  readonly min: number;
  readonly max: number;
  readonly restSeconds: number;
}

/** Bands by how hard they pull, in order: whatever their colours, a studio knows its own by these. */
export const BANDS = ['very light', 'light', 'medium', 'strong', 'very strong'] as const;
export type Band = (typeof BANDS)[number];

/** How one planned drill is done, beside its numbers: with a weight in each hand that holds one, against a band, at a tempo of its own, on a course of its own. */
export interface Manner {
  /** Kilograms. */
  readonly kg?: number;
  readonly band?: Band;
  readonly tempo?: Tempo;
  /** In the place of the drill's own. */
  readonly course?: Course;
}
