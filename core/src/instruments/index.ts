export { CAPTURE_SECONDS, handLoadFromScale, held, peak, type Captured, type ScalePlace, type Stream } from './capture.ts';
export { instrumentFor, SCENARIOS, standInReading, type InstrumentKind, type Movement, type Scenario, type Script } from './standIn.ts';
export { steadyPeak, steadyReading, STEADY, type InstrumentRange, type ReadingAsked, type SteadyReading, type Unsteady } from './steady.ts';
export { DIRECTION_NEEDS, tiltFeels, turnedSince, turnIn, turnPlane, upFrom, type TurnPlane, type UpVector } from './tilt.ts';
export { canShow, traceFigure, type SaidOfTrace, type TraceFigure } from './traceFigure.ts';
