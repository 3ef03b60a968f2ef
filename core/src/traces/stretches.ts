import type { TidySamples } from './samples.ts';
import { TRACE_LIMITS } from './samples.ts';

/** A part of a trace without a gap, on an even grid. */
export interface Stretch {
  /** Seconds from the first sample of the trace. */
  readonly start: number;
  /** Samples a second. */
  readonly rate: number;
  readonly values: Float64Array;
}

/**
 * Cuts a trace at its gaps and puts every part on an even grid by linear interpolation. Parts too
 * short to be read are left out.
 */
export function stretchesOf({ times, angles, rate }: TidySamples): readonly Stretch[] {
  const grid = Math.max(TRACE_LIMITS.slowest, Math.round(rate));
  const bounds = [0];
  for (let i = 1; i < times.length; i++) if ((times[i] ?? 0) - (times[i - 1] ?? 0) > TRACE_LIMITS.gap) bounds.push(i);
  bounds.push(times.length);
  return bounds.slice(1).flatMap((end, i) => {
    const begin = bounds[i] ?? 0;
    const start = times[begin] ?? 0;
    const lasting = (times[end - 1] ?? 0) - start;
    if (lasting < TRACE_LIMITS.stretch) return [];
    return [{ start, rate: grid, values: onGrid(times.subarray(begin, end), angles.subarray(begin, end), grid, lasting) }];
  });
}

function onGrid(times: Float64Array, angles: Float64Array, rate: number, lasting: number): Float64Array {
  const values = new Float64Array(Math.floor(lasting * rate + 1e-9) + 1);
  const start = times[0] ?? 0;
  let right = 1;
  for (let i = 0; i < values.length; i++) {
    const time = start + i / rate;
    while (right < times.length - 1 && (times[right] ?? 0) < time) right++;
    const t0 = times[right - 1] ?? 0;
    const v0 = angles[right - 1] ?? 0;
    values[i] = v0 + (((angles[right] ?? 0) - v0) * (time - t0)) / ((times[right] ?? 0) - t0);
  }
  return values;
}
