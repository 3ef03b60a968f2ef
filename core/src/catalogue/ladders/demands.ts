import { LOAD_PER_GRIP, type RungDemand } from '../../ladders/index.ts';
import { COMMON_PRACTICE, type Origin, projectDefault } from '../../reference/index.ts';
import { UNIT_OF } from '../measures/index.ts';

const OWN_LOAD = projectDefault('what the set-up of the rung puts on this trainee');
const STARTING_VALUE = projectDefault('a starting value; edit it to your own experience');

function demand(measureId: string, value: number, direction: RungDemand['direction'], origin: Origin): RungDemand {
  const unit = UNIT_OF.get(measureId);
  if (!unit) throw new Error(`The built-in library has no check called "${measureId}".`);
  return { measureId, value, unit, direction, origin };
}

/** A floor under a capacity. Starting values are project defaults unless they are trade practice. */
export function atLeast(measureId: string, value: number): RungDemand {
  return demand(measureId, value, 'at least', STARTING_VALUE);
}

export function atMost(measureId: string, value: number): RungDemand {
  return demand(measureId, value, 'at most', STARTING_VALUE);
}

/** A range with two ends, for checks that are good inside one. */
export function within(measureId: string, value: number, upTo: number): RungDemand {
  return { ...demand(measureId, value, 'within', STARTING_VALUE), upTo };
}

/** A floor as a share of body mass: 0.4 asks 30 kg of somebody of 75 kg. */
export function shareOfBodyMass(measureId: string, value: number): RungDemand {
  return { ...demand(measureId, value, 'at least', STARTING_VALUE), per: 'bodyMass' };
}

/** Grip for so much of body weight on one hand. */
export function gripFor(shareOnOneHand: number): RungDemand {
  return shareOfBodyMass('grip', Math.ceil((100 * shareOnOneHand) / LOAD_PER_GRIP) / 100);
}

/**
 * Parts of a rung's load that lie ten points of body weight on an arm below it: nearer a scale cannot show it, or it would be the rung
 * itself (professional judgement, from memory).
 */
export const WITHIN_TEN_POINTS = { bothHands: 0.8, of45: 0.78, of60: 0.84, of80: 0.88, of100: 0.9 } as const;

/** As much load tolerated as the rung's own set-up puts on the trainee, or a part of it: on both hands, or on one where the check has sides. */
export function ownLoad(measureId: 'hand-load-push' | 'hand-load-hang' | 'one-hand-load-hang' | 'forearm-load', part = 1): RungDemand {
  return { ...demand(measureId, part, 'at least', OWN_LOAD), per: 'setUpLoad' };
}

/** A floor that coaches use as it stands. */
export function customary(measureId: string, value: number): RungDemand {
  return demand(measureId, value, 'at least', COMMON_PRACTICE);
}
