import type { Demand } from '../ladders/index.ts';
import { capacityFromTrials, type Measure, type OwnError, trialProblem } from '../measuring/index.ts';
import type { Instant } from '../quantities/index.ts';
import { overDemand } from './headroom.ts';

/** Any day will do: an error does not depend on it. */
const SOME_DAY = '2000-01-01T00:00:00.000Z' as Instant;

/**
 * The least that one attempt must read for a demand to be spare: the demand and the error band of a reading there. A hold need not go on
 * beyond it. (The safety design ends a hold at 1.25 × the demand; with the errors it names itself that is not yet spare.)
 *
 * @returns in the measure's unit, a multiple of its step; nothing where no reading within the limits is enough, or less is better
 * @example enoughFor(atLeast('plank-hold', 30), library.measure('plank-hold')) // 42
 */
export function enoughFor(demand: Demand, measure: Measure, ownError?: OwnError): number | undefined {
  if (demand.direction !== 'at least') return undefined;
  const { step, max } = measure.limits;
  for (let steps = Math.ceil(demand.value / step - 1e-9); steps * step <= max; steps++) {
    const value = steps * step;
    if (trialProblem(measure, value)) continue;
    const { band } = capacityFromTrials(measure, [{ side: demand.side, value }], { takenAt: SOME_DAY, ownError });
    if (overDemand(value, demand) >= band) return value;
  }
  return undefined;
}
