/** The nine tests of the Beighton score (Beighton 1973, from memory): four on each side, one of the trunk. */
export const BEIGHTON_TESTS = {
  'little-finger-left': 'Left little finger bends back past 90°',
  'little-finger-right': 'Right little finger bends back past 90°',
  'thumb-left': 'Left thumb reaches the forearm',
  'thumb-right': 'Right thumb reaches the forearm',
  'elbow-left': 'Left elbow over-extends by more than 10°',
  'elbow-right': 'Right elbow over-extends by more than 10°',
  'knee-left': 'Left knee over-extends by more than 10°',
  'knee-right': 'Right knee over-extends by more than 10°',
  'palms-to-floor': 'Palms rest flat on the floor, knees straight',
} as const;

export type BeightonTest = keyof typeof BEIGHTON_TESTS;
export const BEIGHTON_TEST_IDS = Object.keys(BEIGHTON_TESTS) as readonly BeightonTest[];

/** Points from which an adult counts as lax (from memory; the limit is kept for minors too, the safe side). */
export const LAX_FROM = 5;

export interface Laxity {
  readonly points: number;
  readonly lax: boolean;
  readonly sentence: string;
}

/**
 * The nine-point Beighton score: one point for each test that is positive.
 *
 * @param positive tests that were positive; one named twice counts once
 * @example beightonScore(['thumb-left', 'thumb-right']).sentence // '2 of 9 points; 5 or more count as lax.'
 */
export function beightonScore(positive: readonly BeightonTest[]): Laxity {
  const points = new Set(positive).size;
  return { points, lax: points >= LAX_FROM, sentence: `${points} of 9 points; ${LAX_FROM} or more count as lax.` };
}
