import { armLoadOf, type Drill, LOADING_PHASES } from '../drills/index.ts';
import { type KnownBody, nearestSetUp, plannedLoads, type SetUp } from '../statics/index.ts';

/** Shares of the load for the easy sets before a loaded drill (professional judgement, from memory). */
const RAMP = [0.4, 0.7] as const;
/** From here on an arm a drill is led up to (project default). */
const FROM = 0.25;
/** A set-up nearer to the full load than this leads up to nothing. */
const NEAR = 0.9;

/** One easy set before a loaded drill. */
export interface RampSet {
  /** Share of the drill's own load. */
  readonly part: number;
  /** The drill's set-up turned down to it; absent where it cannot be turned so far. */
  readonly setUp?: SetUp;
}

/**
 * The easy sets that lead up to a loaded drill: two, at 40 and 70% of its load; none for what is light, or is no work.
 *
 * @param drill in the set-up in which it is to be done, fitted to the trainee
 * @example rampSets(library.drill('practice-free-hang'), body).map((r) => r.part) // [0.4, 0.7]
 */
export function rampSets(drill: Drill, body: KnownBody): readonly RampSet[] {
  const { handLoad, support } = drill;
  if (!handLoad || !LOADING_PHASES.includes(drill.phase) || armLoadOf(drill) < FROM) return [];
  return RAMP.map((part) => {
    const setUp = support && nearestSetUp(body, support.setUp, handLoad.share * part);
    const load = setUp && plannedLoads(body, { setUp })?.share;
    return setUp && load !== undefined && load < handLoad.share * NEAR ? { part, setUp } : { part };
  });
}
