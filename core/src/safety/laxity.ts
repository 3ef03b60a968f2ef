/** The nine tests of the Beighton score (Beighton 1973, from memory): four on each side, one of the trunk. */
export const BEIGHTON_TEST_IDS = [
  'little-finger-left',
  'little-finger-right',
  'thumb-left',
  'thumb-right',
  'elbow-left',
  'elbow-right',
  'knee-left',
  'knee-right',
  'palms-to-floor',
] as const;
export type BeightonTest = (typeof BEIGHTON_TEST_IDS)[number];

/** Points from which an adult counts as lax (from memory; the limit is kept for minors too, the safe side). */
export const LAX_FROM = 5;

export interface Laxity {
  readonly points: number;
  readonly lax: boolean;
}

/**
 * The nine-point Beighton score: one point for each test that is positive.
 *
 * @param positive tests that were positive; one named twice counts once
 * @example beightonScore(['thumb-left', 'thumb-right']) // { points: 2, lax: false }
 */
export function beightonScore(positive: readonly BeightonTest[]): Laxity {
  const points = new Set(positive).size;
  return { points, lax: points >= LAX_FROM };
}
