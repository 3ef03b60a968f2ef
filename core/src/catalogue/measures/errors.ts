import type { Measure } from '../../measuring/index.ts';

type Known = Pick<Measure, 'error' | 'freshDays'>;

/** What a default scatter is worth against the trials' own: three trials move the band without owning it (project default). */
const DEFAULT_DEGREES_OF_FREEDOM = 4;

const amount = (within: number, between: number, freshDays: number): Known => ({
  error: { kind: 'amount', within, between, degreesOfFreedom: DEFAULT_DEGREES_OF_FREEDOM },
  freshDays,
});
const share = (within: number, between: number, freshDays: number): Known => ({
  error: { kind: 'share', within, between, degreesOfFreedom: DEFAULT_DEGREES_OF_FREEDOM },
  freshDays,
});

/**
 * Starting errors of the checks, within and between occasions, one tester, and for how many days a figure speaks for the trainee.
 * Professional judgement, from memory, no single published source; of the order of the published standard error of measurement of
 * shoulder motions, 2–3° for one tester and 3–4° over several days (Kolber & Hanney 2012, from memory).
 */
export const ERRORS = {
  elevation: amount(1.5, 3, 28),
  rotation: amount(2, 4, 28),
  /** Extension and horizontal adduction of the shoulder. */
  reachBack: amount(2, 3.5, 28),
  wrist: amount(2, 3, 28),
  /** A loaded wrist, and the arm leaning over it. */
  lean: amount(2, 4, 14),
  forearm: amount(2, 3.5, 28),
  elbow: amount(1.5, 2, 56),
  crease: amount(5, 8, 28),
  /** Wall slide and pike. */
  fold: amount(3, 5, 28),
  sideReach: amount(1, 1.5, 28),
  /** A blade's way in one direction, with a tape, in centimetres. */
  bladeWay: amount(0.5, 0.8, 28),
  /** Seat to heels in the kneeling forearm stretch. */
  seatGap: amount(1, 2, 28),
  strap: amount(0.04, 0.08, 28),
  /** Planks and presses. */
  plank: share(0.08, 0.12, 21),
  /** Supports on one side or one arm. */
  sideSupport: share(0.1, 0.15, 21),
  /** Hangs, fingertips, leans. */
  hang: share(0.1, 0.15, 14),
  count: amount(1, 2, 21),
  load: amount(2, 4, 14),
  swing: amount(3, 5, 14),
  grip: amount(1.5, 2.5, 56),
  neck: amount(3, 4, 28),
  /** Outer ÷ inner rotators, in percent: two readings of a dynamometer, so more than one. */
  rotators: amount(4, 6, 56),
  /** Half a step and a step; asked on the day itself. */
  confidence: amount(0.5, 1, 1),
  /** By eye: what is seen is what it is, and never the only condition of a rung. */
  level: { error: { kind: 'none' }, freshDays: 14 },
} as const satisfies Readonly<Record<string, Known>>;
