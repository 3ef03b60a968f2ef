import { forecastGate, type GateForecast, type GateOutlook, type Narrowing, narrowingOf } from '@myokinet/core/forecast';
import seedrandom from 'seedrandom';

/** Fewer futures are enough to compare checks with each other. */
const DRAWS_TO_COMPARE = 600;

/** Draws futures with the chance of a seed: the same question gets the same answer. */
export const forecaster = {
  gate: (outlook: GateOutlook, seed: string): GateForecast => forecastGate(outlook, seedrandom.alea(seed)),
  narrowing: (outlook: GateOutlook, seed: string): readonly Narrowing[] =>
    narrowingOf({ ...outlook, draws: DRAWS_TO_COMPARE }, () => seedrandom.alea(seed)),
};
export type Forecaster = typeof forecaster;
