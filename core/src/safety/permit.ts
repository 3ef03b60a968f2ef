import type { CalendarDay } from '../quantities/index.ts';

/** What a licensed professional permits while a caution stands; only that opens. */
export interface Permit {
  /** Most load on one arm, as a share of body weight: 0 to {@link MOST_LOAD_PER_ARM}. */
  readonly loadPerArm: number;
  readonly overhead: boolean;
  readonly hanging: boolean;
  readonly headDown: boolean;
  /** Hardest effort, 0 to 10. */
  readonly effort: number;
  /** The last day on which it counts, at most {@link PERMIT_DAYS} after the consultation. */
  readonly until: CalendarDay;
}

/** A swing on one hand pulls with more than the body's weight. */
export const MOST_LOAD_PER_ARM = 1.5;

/** Longest time for which a word counts (professional judgement, from memory, no single source). */
export const PERMIT_DAYS = 90;

/** How a drill or a check strains the body. */
export interface Strain {
  /** Hardest effort asked for, 0 to 10. */
  readonly effort: number;
  /** Share of body weight on one arm. */
  readonly loadPerArm: number;
  /** Share of body weight on both arms together. */
  readonly loadInAll: number;
  readonly overhead: boolean;
  readonly hanging: boolean;
  readonly headDown: boolean;
  readonly oneArmed: boolean;
  /** Held longer than 20 s at effort. */
  readonly longHold: boolean;
  /** A weight beyond the body's own. */
  readonly externalWeight: boolean;
  /** One may come down from a height or out of balance. */
  readonly mayFall: boolean;
  /** One kicks up into it, or swings freely. */
  readonly kickUp: boolean;
}

/** From here on an effort strains (professional judgement, from memory, no single source). */
const STRAINING_EFFORT = 5;
/** Load on one arm from which it strains however easy it feels: a tenth of body weight (project default). */
const STRAINING_LOAD = 0.1;
/** Beyond it the load on one arm is heavy for a tendon (professional judgement, from memory, no single source). */
const HEAVY_LOAD = 0.25;
/** A model's rounding is no load. */
const ROUNDING = 0.005;

/** What a caution can close. */
export const CLOSABLE = {
  anything: () => true,
  straining: (s) =>
    s.effort >= STRAINING_EFFORT || s.loadPerArm >= STRAINING_LOAD || s.externalWeight || s.headDown || s.oneArmed || s.longHold,
  loaded: (s) => s.loadPerArm >= STRAINING_LOAD || s.externalWeight,
  'heavy load': (s) => s.loadPerArm > HEAVY_LOAD || s.externalWeight,
  'hard effort': (s) => s.effort > STRAINING_EFFORT,
  'long hold': (s) => s.longHold,
  'head down': (s) => s.headDown,
  hanging: (s) => s.hanging,
  fall: (s) => s.mayFall,
  'kick-up': (s) => s.kickUp,
  'one arm': (s) => s.oneArmed,
  'heavy hang': (s) => s.hanging && s.loadPerArm > HEAVY_LOAD + ROUNDING,
  'free hang': (s) => s.hanging && s.mayFall,
  'one-hand hang': (s) => s.hanging && s.oneArmed,
  'over a quarter': (s) => s.loadInAll > HEAVY_LOAD + ROUNDING,
} as const satisfies Readonly<Record<string, (strain: Strain) => boolean>>;

export type Closable = keyof typeof CLOSABLE;

/** Whether something strains at all: what a lock closes. */
export function isStraining(strain: Strain): boolean {
  return CLOSABLE.straining(strain);
}

/** Whether nothing is left closed. */
export function permitsAll({ loadPerArm, overhead, hanging, headDown, effort }: Permit): boolean {
  return loadPerArm >= 1 && overhead && hanging && headDown && effort >= 10;
}

/**
 * Whether a permit covers a strain: every limit of it, and nothing beyond. Falls and long holds go with the effort and the places that
 * it names.
 *
 * @example permits({ loadPerArm: 0.25, hanging: false, … }, strainOf(freeHang)) // false
 */
export function permits(permit: Permit, strain: Strain): boolean {
  return (
    strain.effort <= permit.effort &&
    strain.loadPerArm <= permit.loadPerArm + 1e-9 &&
    (permit.overhead || !strain.overhead) &&
    (permit.hanging || !strain.hanging) &&
    (permit.headDown || !strain.headDown)
  );
}
