export { stopwatch } from './stopwatch.ts';
export type { TakeReading } from './takeReading.ts';
export { InstrumentPanel } from './InstrumentPanelLater.ts';
export { TraceView } from './TraceViewLater.ts';
