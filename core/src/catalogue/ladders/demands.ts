import type { RungDemand } from '../../ladders/index.ts';
import { measureOf } from '../../measuring/index.ts';
import { COMMON_PRACTICE, type Origin, projectDefault } from '../../reference/index.ts';

const STARTING_VALUE = projectDefault('a starting value; edit it to your own experience');

function demand(measureId: string, value: number, direction: RungDemand['direction'], origin: Origin): RungDemand {
  return { measureId, value, unit: measureOf(measureId).unit, direction, origin };
}

/** A floor under a capacity. Starting values are project defaults unless they are trade practice. */
export function atLeast(measureId: string, value: number): RungDemand {
  return demand(measureId, value, 'at least', STARTING_VALUE);
}

export function atMost(measureId: string, value: number): RungDemand {
  return demand(measureId, value, 'at most', STARTING_VALUE);
}

/** A floor as a share of body mass: 0.4 asks 30 kg of somebody of 75 kg. */
export function shareOfBodyMass(measureId: string, value: number): RungDemand {
  return { ...demand(measureId, value, 'at least', STARTING_VALUE), per: 'bodyMass' };
}

/** A floor that coaches use as it stands. */
export function customary(measureId: string, value: number): RungDemand {
  return demand(measureId, value, 'at least', COMMON_PRACTICE);
}
