import { Refusal } from '../errors.ts';

/** A second-order section: y = (b0 x + b1 x₋₁ + b2 x₋₂ − a1 y₋₁ − a2 y₋₂). */
export interface Biquad {
  readonly b: readonly [number, number, number];
  readonly a: readonly [1, number, number];
}

/** Running both ways squares the response; this widens one pass so that −3 dB stays at the cut-off. */
const BOTH_WAYS = (Math.SQRT2 - 1) ** 0.25;

/**
 * Coefficients of a second-order Butterworth low-pass (bilinear transform, frequency pre-warped).
 *
 * @param cutoff Hz, where one pass is down to 1/√2
 * @param rate samples a second
 * @throws Refusal `cutoff-out-of-range`
 * @example butterworthLowPass(6, 100).b[0] // 0.02786
 */
export function butterworthLowPass(cutoff: number, rate: number): Biquad {
  if (!(cutoff > 0 && cutoff < rate / 2))
    throw new Refusal('cutoff-out-of-range', `A cut-off of ${cutoff} Hz must lie between 0 and half of ${rate} samples a second.`);
  return section(Math.tan((Math.PI * cutoff) / rate));
}

function section(k: number): Biquad {
  const norm = 1 / (1 + Math.SQRT2 * k + k * k);
  const b0 = k * k * norm;
  return { b: [b0, 2 * b0, b0], a: [1, 2 * (k * k - 1) * norm, (1 - Math.SQRT2 * k + k * k) * norm] };
}

/** Samples mirrored beyond each end, so that the filter starts at rest: three times the section's length, as is usual. */
const PAD = 9;

/**
 * Runs a section forwards and backwards over a signal: no phase shift, twice the attenuation. The
 * ends are mirrored through their last value and the filter starts in its steady state.
 *
 * @example zeroPhase(butterworthLowPass(6, 100), new Float64Array(100).fill(3)) // all 3
 */
export function zeroPhase(filter: Biquad, signal: Float64Array): Float64Array {
  const n = signal.length;
  const pad = Math.min(PAD, n - 1);
  const padded = new Float64Array(n + 2 * pad);
  const [first = 0, last = 0] = [signal[0], signal[n - 1]];
  for (let i = 0; i < pad; i++) {
    padded[i] = 2 * first - (signal[pad - i] ?? first);
    padded[pad + n + i] = 2 * last - (signal[n - 2 - i] ?? last);
  }
  padded.set(signal, pad);
  run(filter, padded);
  padded.reverse();
  run(filter, padded);
  padded.reverse();
  return padded.slice(pad, pad + n);
}

/** One pass in place, transposed direct form II, started in the steady state of the first value. */
function run({ b: [b0, b1, b2], a: [, a1, a2] }: Biquad, signal: Float64Array): void {
  const start = signal[0] ?? 0;
  let z1 = (1 - b0) * start;
  let z2 = (b2 - a2) * start;
  for (let i = 0; i < signal.length; i++) {
    const x = signal[i] ?? 0;
    const y = b0 * x + z1;
    z1 = b1 * x - a1 * y + z2;
    z2 = b2 * x - a2 * y;
    signal[i] = y;
  }
}

/** Hz above which limb motion holds next to nothing: Winter, Biomechanics and Motor Control of Human Movement (from memory). */
export const LIMB_MOTION_HZ = 6;

/**
 * Zero-phase low-pass for limb motion, down to 1/√2 at the cut-off after both passes (Winter, from
 * memory: the pre-warped cut-off of each pass is divided by (√2 − 1)^¼ = 0.802).
 *
 * @param signal evenly sampled, degrees
 * @param rate samples a second
 */
export function smoothed(signal: Float64Array, rate: number, cutoff = LIMB_MOTION_HZ): Float64Array {
  const warped = Math.tan((Math.PI * Math.min(cutoff, rate * 0.4)) / rate) / BOTH_WAYS;
  return zeroPhase(section(warped), signal);
}
