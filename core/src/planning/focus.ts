import type { Joint } from '../anatomy/index.ts';
import { type Drill, isLoaded } from '../drills/index.ts';

/** What a day is for; a day without one is for whatever is needed most. */
export const FOCI = {
  push: 'Pushing',
  pull: 'Pulling',
  arms: 'Arms',
  trunk: 'Trunk',
  mobility: 'Mobility',
} as const;
export type Focus = keyof typeof FOCI;

const ARMS: readonly Joint[] = ['elbow', 'forearm', 'wrist', 'grip'];

/**
 * Whether loaded work may stand on a day of this focus: pushing days pull nothing heavy, pulling days push nothing heavy, days for arms or
 * trunk load nothing that works neither, mobility days load nothing at all. Unloaded work may stand on any day.
 *
 * @example fitsFocus(plank, 'pull') // false
 */
export function fitsFocus(drill: Drill, focus: Focus | undefined): boolean {
  return !focus || !isLoaded(drill) || servesFocus(drill, focus);
}

/**
 * Whether a drill is what a day of this focus is for.
 *
 * @example servesFocus(rowUnderTheBar, 'pull') // true
 */
export function servesFocus(drill: Drill, focus: Focus): boolean {
  switch (focus) {
    case 'push':
    case 'pull':
      return isLoaded(drill) && drill.handLoad?.direction === focus;
    case 'arms':
      return ARMS.includes(drill.joint);
    case 'trunk':
      return drill.joint === 'trunk' || drill.alsoWorks.includes('trunk');
    case 'mobility':
      return !isLoaded(drill) && (drill.quality === 'mobility active' || drill.quality === 'mobility passive');
  }
}

/** How much each joint is worked. */
export type Work = Readonly<Partial<Record<Joint, number>>>;

/** What a session works, before it is known what stands in it (common practice, no source; weights a project default). */
const USUAL_WORK: Readonly<Record<Focus | 'any', Work>> = {
  any: { shoulder: 3, scapula: 2, wrist: 2, elbow: 1, forearm: 1, grip: 1 },
  push: { wrist: 3, shoulder: 2, elbow: 2, scapula: 1 },
  pull: { shoulder: 3, scapula: 2, grip: 3, forearm: 2, elbow: 1 },
  arms: { elbow: 3, forearm: 3, wrist: 3, grip: 2 },
  trunk: { trunk: 4, scapula: 1, shoulder: 1 },
  mobility: { shoulder: 3, scapula: 2, wrist: 2, forearm: 1, neck: 1, trunk: 1 },
};

/** What a session of a focus works, by joint. */
export function usualWork(focus: Focus | undefined): Work {
  return USUAL_WORK[focus ?? 'any'];
}

/**
 * How well a drill fits what a session works, from 0 to 1: the share of the work that its own joint has, and half of what the joints have
 * that it works besides.
 *
 * @example fitTo({ joint: 'shoulder', alsoWorks: ['wrist'] }, { shoulder: 3, wrist: 1 }) // 0.875
 */
export function fitTo({ joint, alsoWorks }: Pick<Drill, 'joint' | 'alsoWorks'>, work: Work): number {
  const all = Object.values(work).reduce((sum, w) => sum + w, 0);
  if (all === 0) return 0;
  return ((work[joint] ?? 0) + alsoWorks.reduce((sum, j) => sum + (work[j] ?? 0) / 2, 0)) / all;
}

/** One direction of load is what a session is for, where it is at least so many times the other (project default). */
const FOR_ONE = 1.5;

/**
 * What a session turned out to be for, from the load it puts on the hands; nothing where push and pull are much the same.
 *
 * @example leanOf({ push: 12, pull: 60 }) // 'pull'
 */
export function leanOf({ push, pull }: { readonly push: number; readonly pull: number }): 'push' | 'pull' | undefined {
  if (pull > 0 && pull >= FOR_ONE * push) return 'pull';
  return push > 0 && push >= FOR_ONE * pull ? 'push' : undefined;
}
