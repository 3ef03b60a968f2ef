import type { Drill } from '../../drills/index.ts';
import { ARM_AND_WRIST_LESSONS } from './armsAndWrists.ts';
import { BLADES_AND_TRUNK } from './bladesAndTrunk.ts';
import { HANG_LESSONS } from './hangs.ts';
import { MOBILITY_LESSONS } from './mobility.ts';
import { SUPPORT_LESSONS } from './supports.ts';
import { SUPPORT_BETWEEN_LESSONS } from './supportsBetween.ts';
import { type Taught, taught } from './taught.ts';
import { WRISTS_AND_FOREARMS } from './wristsAndForearms.ts';

/** How each built-in drill is taught, by its id. */
export const LESSONS = {
  ...WRISTS_AND_FOREARMS,
  ...ARM_AND_WRIST_LESSONS,
  ...MOBILITY_LESSONS,
  ...BLADES_AND_TRUNK,
  ...HANG_LESSONS,
  ...SUPPORT_LESSONS,
  ...SUPPORT_BETWEEN_LESSONS,
};

/** A drill of the catalogue before it says how it is taught. */
export type Untaught = Omit<Drill, keyof Taught>;

/** A drill with its lesson. */
export function withLesson(drill: Untaught): Drill {
  const lesson = LESSONS[drill.id];
  if (!lesson) throw new Error(`The catalogue has no lesson for “${drill.id}”.`);
  return { ...drill, ...taught(lesson) };
}
