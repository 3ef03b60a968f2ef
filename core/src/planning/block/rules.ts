/** The rules that a block keeps: by these names its rows are known, lifted and bent. */
export type BlockRule =
  | 'minutes'
  | 'phases'
  | 'spacing'
  | 'loaded days'
  | 'ramp'
  | 'joint ramp'
  | 'light'
  | 'new'
  | 'doses'
  | 'pairs'
  | 'balance'
  | 'always'
  | 'pinned';

/**
 * What work on a need is worth as it adds up over a week, in doses weighted by how strongly they train it: the first three count in
 * full, the next three half, six more a fifth (project default: further sets return less).
 */
export const RETURNS = [
  { width: 3, slope: 1 },
  { width: 3, slope: 0.5 },
  { width: 6, slope: 0.2 },
] as const;

/** Small weights beside the needs, whose own lie between 0.25 and 8 (project defaults). */
export const SMALL = {
  like: 0.3,
  dislike: -0.6,
  didWell: 0.1,
  equipment: -0.04,
  again: -0.15,
  focus: 0.5,
  led: 0.4,
  unbalanced: -0.02,
} as const;

/** A training day with something on it is worth this much for itself: habit counts (project default). */
export const HELD = 1;

/** Body-weight seconds by which push and pull may always lie apart: about two sets (project default). */
export const BALANCE_START = 40;

/** Days a week from which the same drill grows dull. */
export const DULL_AFTER = 2;

/** The practice of the rung in hand: worth this much for each of the first two full doses a week. */
export const PRACTICE = { worth: 5, doses: 2 } as const;

/** Body-weight seconds with which a joint that carried nothing may begin a week (project default). */
export const JOINT_START = 60;
