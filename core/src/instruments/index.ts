export { CAPTURE_SECONDS, handLoadFromScale, held, peak, type Captured, type ScalePlace, type Stream } from './capture.ts';
export { instrumentFor, SCENARIOS, standInReading, type InstrumentKind, type Movement, type Scenario, type Script } from './standIn.ts';
export { turnedSince, upFrom, type UpVector } from './tilt.ts';
export { traceFigure, type TraceFigure } from './traceFigure.ts';
