// eslint-disable-next-line @typescript-eslint/triple-slash-reference -- one declaration for tests and benchmarks
/// <reference path="../../core/src/traces/fili.d.ts" />
import { createRequire } from 'node:module';
import { LIMB_MOTION_HZ, readTrace } from '@myokinet/core/traces';

// The package is older than modules: Node does not see its names.
const { CalcCascades, IirFilter } = createRequire(import.meta.url)('fili') as typeof import('fili');

const MINUTES = 10;
const RATE = 100;

/** A long trace of slow movements with tremor, read whole, and the filter alone by a library of the registry. */
export function readTraces() {
  const length = MINUTES * 60 * RATE;
  const times = Float64Array.from({ length }, (_, i) => i / RATE);
  const angles = times.map((t) => 45 - 45 * Math.cos((2 * Math.PI * t) / 4) + Math.sin(2 * Math.PI * 8 * t));
  const plain = [...angles];
  const sections = new CalcCascades().lowpass({ order: 1, characteristic: 'butterworth', Fs: RATE, Fc: LIMB_MOTION_HZ, preGain: false });
  return {
    minutes: MINUTES,
    read: () => readTrace({ times, angles }),
    filter: () => new IirFilter(sections).filtfilt(plain),
  };
}
