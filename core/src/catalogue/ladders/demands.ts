import type { RungDemand } from '../../ladders/index.ts';
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

/** As much hand load tolerated as the rung's own set-up puts on the trainee, or a part of it. */
export function ownLoad(measureId: 'hand-load-push' | 'hand-load-hang', part = 1): RungDemand {
  return { ...demand(measureId, part, 'at least', OWN_LOAD), per: 'setUpLoad' };
}

/** A floor that coaches use as it stands. */
export function customary(measureId: string, value: number): RungDemand {
  return demand(measureId, value, 'at least', COMMON_PRACTICE);
}
