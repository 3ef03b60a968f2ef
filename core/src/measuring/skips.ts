/** Why a check was left out of a battery (common practice, no source). */
export const SKIP_REASONS = ['pain', 'not safe today', 'no equipment', 'out of time', 'asked not to'] as const;
export type SkipReason = (typeof SKIP_REASONS)[number];

/** A check that was to be taken and was not. */
export interface Skip {
  readonly measureId: string;
  readonly reason: SkipReason;
}
