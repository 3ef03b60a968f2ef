export { TRACE_LIMITS, type Samples } from './samples.ts';
export { type Stretch } from './stretches.ts';
export { butterworthLowPass, LIMB_MOTION_HZ, zeroPhase, type Biquad } from './butterworth.ts';
export { bandRms, welch, type Spectrum } from './welch.ts';
export { readTrace, TRACE_DEFAULTS, type TraceOptions, type TraceReading } from './readTrace.ts';
export { countAfter, type CountCorrection } from './corrections.ts';
export { type Repetition, type StickingPoint } from './repetitions.ts';
export { type Hold } from './holds.ts';
export { type Swing } from './swing.ts';
