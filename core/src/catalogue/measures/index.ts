import type { Measure } from '../../measuring/index.ts';
import { BLADES_AND_REACHES } from './bladesAndReaches.ts';
import { HANG_MEASURES } from './hang.ts';
import { LEADS } from './leads.ts';
import { SHOULDER_MEASURES } from './shoulder.ts';
import { SUPPORT_MEASURES } from './support.ts';
import { WRIST_AND_GRIP_MEASURES } from './wristAndGrip.ts';

/** Every check the product ships. */
export const MEASURES: readonly Measure[] = [
  ...SHOULDER_MEASURES,
  ...BLADES_AND_REACHES,
  ...WRIST_AND_GRIP_MEASURES,
  ...SUPPORT_MEASURES,
  ...HANG_MEASURES,
].map((measure): Measure => {
  const leads = LEADS[measure.id];
  return leads ? { ...measure, leads } : measure;
});

/** Unit of a built-in check, for the ladders written beside it. */
export const UNIT_OF = new Map(MEASURES.map(({ id, unit }) => [id, unit]));
