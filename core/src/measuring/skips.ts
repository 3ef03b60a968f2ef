/** Why a check was left out of a battery, or what stopped its movement (common practice, no source). */
export const SKIP_REASONS = ['pain', 'worry', 'not safe today', 'no equipment', 'out of time', 'asked not to'] as const;
export type SkipReason = (typeof SKIP_REASONS)[number];

/**
 * Of these, what stops a movement before its end. Figures taken until then stay on record as what was reached; they show no capacity, and
 * take away what an earlier check showed.
 */
export const STOPPING = ['pain', 'worry', 'not safe today'] as const satisfies readonly SkipReason[];

/** @example stopsMovement('out of time') // false */
export function stopsMovement(reason: SkipReason): boolean {
  return STOPPING.some((r) => r === reason);
}

/** A check that was to be taken and was not. */
export interface Skip {
  readonly measureId: string;
  readonly reason: SkipReason;
}
