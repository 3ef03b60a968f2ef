import type { Phase } from '../drills/index.ts';

/** How many drills of a phase a session of forty minutes holds at most (project default: a session stays readable). */
const MOST_LOADED: Partial<Record<Phase, number>> = {
  'active mobility': 3,
  'blade activation': 2,
  stability: 4,
  skill: 1,
  strength: 2,
  isolation: 1,
  'cool-down': 2,
};

/** A session without load has room for more that is light (project default). */
const MORE_UNLOADED: Partial<Record<Phase, number>> = { 'active mobility': 4, 'blade activation': 1, stability: 1, isolation: 2 };

/** What tires or is learned does not grow with the minutes: freshness limits it. */
const FIXED: readonly Phase[] = ['skill', 'strength'];

const USUAL_MINUTES = 40;

/** Phases of which drills are chosen at all; the others come with the warm-up. */
export function isChosenPhase(phase: Phase): boolean {
  return MOST_LOADED[phase] !== undefined;
}

/**
 * How many drills of a phase one session holds at most: more where there are more minutes, and more light ones where nothing is loaded.
 *
 * @example mostOfPhase('active mobility', { minutes: 60, loaded: false }) // 10
 */
export function mostOfPhase(phase: Phase, { minutes, loaded }: { readonly minutes: number; readonly loaded: boolean }): number {
  const usual = (MOST_LOADED[phase] ?? 0) + (loaded ? 0 : (MORE_UNLOADED[phase] ?? 0));
  return FIXED.includes(phase) ? usual : Math.floor(usual * Math.max(1, minutes / USUAL_MINUTES));
}
