export const DOSE_UNITS = ['reps', 's', 'breaths'] as const;
export type DoseUnit = (typeof DOSE_UNITS)[number];

/** Seconds of one repetition: the working way out, what is held there, the way back. */
export interface Tempo {
  readonly out: number;
  readonly hold: number;
  readonly back: number;
}

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

/** How one planned drill is done, beside its numbers: with a weight in each hand that holds one, against a band, at a tempo of its own. */
export interface Manner {
  /** Kilograms. */
  readonly kg?: number;
  readonly band?: Band;
  readonly tempo?: Tempo;
}
