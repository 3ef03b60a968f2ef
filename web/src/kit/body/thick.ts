/** Thickness of the parts at the stature that is written for, metres (project defaults). */
export const THICK = {
  upperArm: 0.085,
  forearm: 0.068,
  thigh: 0.125,
  shank: 0.09,
  foot: 0.05,
  neck: 0.09,
  trunk: 0.17,
  head: 0.2,
} as const;

/** How far the paper shows round a limb, metres. */
export const RIM = 0.034;
