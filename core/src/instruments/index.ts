export { CAPTURE_SECONDS, handLoadFromScale, held, peak, type Captured, type ScalePlace, type Stream } from './capture.ts';
export { instrumentFor, SCENARIOS, standInReading, type InstrumentKind, type Movement, type Scenario, type Script } from './standIn.ts';
