import { COMMON_PRACTICE, projectDefault } from '../reference/index.ts';
import type { RungDemand } from './ladder.ts';

const STARTING_VALUE = projectDefault('a starting value; edit it to your own experience');

/** A floor under a capacity. Starting values are project defaults unless they are trade practice. */
export function atLeast(measureId: string, value: number): RungDemand {
  return { measureId, value, direction: 'at least', origin: STARTING_VALUE };
}

export function atMost(measureId: string, value: number): RungDemand {
  return { measureId, value, direction: 'at most', origin: STARTING_VALUE };
}

/** A floor as a share of body mass: 0.4 asks 30 kg of somebody of 75 kg. */
export function shareOfBodyMass(measureId: string, value: number): RungDemand {
  return { measureId, value, per: 'bodyMass', direction: 'at least', origin: STARTING_VALUE };
}

/** A floor that coaches use as it stands. */
export function customary(measureId: string, value: number): RungDemand {
  return { measureId, value, direction: 'at least', origin: COMMON_PRACTICE };
}
