// eslint-disable-next-line @typescript-eslint/triple-slash-reference -- the rooms that import this one must see it too
/// <reference path="./fft.d.ts" />
import FFT from 'fft.js';

/** One-sided power density of a signal. */
export interface Spectrum {
  /** Hz between two values. */
  readonly step: number;
  /** Squared unit of the signal per Hz, from 0 Hz up. */
  readonly density: Float64Array;
}

/** Seconds that one window should at least span, so that 4 Hz is seen as 4 Hz. */
const WINDOW_SECONDS = 2;

/**
 * Power density by Welch's method: Hann windows, half overlapping, each freed of its mean, averaged
 * (Welch 1967, from memory). A window is the power of two that spans at least two seconds, or what
 * fits.
 *
 * @param values evenly sampled
 * @param rate samples a second
 */
export function welch(values: Float64Array, rate: number, size = windowSize(values.length, rate)): Spectrum {
  const fft = new FFT(size);
  // The periodic Hann window, as spectral estimation wants it.
  const hann = Float64Array.from({ length: size }, (_, i) => 0.5 - 0.5 * Math.cos((2 * Math.PI * i) / size));
  const scale = 1 / (rate * hann.reduce((sum, w) => sum + w * w, 0));
  const density = new Float64Array(size / 2 + 1);
  const input = new Float64Array(size);
  const output = fft.createComplexArray();
  let windows = 0;
  for (let begin = 0; begin + size <= values.length; begin += size / 2) {
    const part = values.subarray(begin, begin + size);
    const mean = part.reduce((sum, v) => sum + v, 0) / size;
    for (let i = 0; i < size; i++) input[i] = ((part[i] ?? 0) - mean) * (hann[i] ?? 0);
    fft.realTransform(output, input);
    for (let k = 0; k <= size / 2; k++) {
      const oneSided = k === 0 || k === size / 2 ? 1 : 2;
      density[k] = (density[k] ?? 0) + oneSided * scale * ((output[2 * k] ?? 0) ** 2 + (output[2 * k + 1] ?? 0) ** 2);
    }
    windows++;
  }
  return { step: rate / size, density: density.map((d) => d / Math.max(1, windows)) };
}

function windowSize(length: number, rate: number): number {
  const wanted = 2 ** Math.ceil(Math.log2(WINDOW_SECONDS * rate));
  return Math.max(2, Math.min(wanted, 2 ** Math.floor(Math.log2(Math.max(2, length)))));
}

/**
 * Root mean square of what lies between two frequencies.
 *
 * @param low Hz, inclusive
 * @param high Hz, inclusive
 */
export function bandRms({ step, density }: Spectrum, low: number, high: number): number {
  let power = 0;
  for (let k = Math.ceil(low / step - 1e-9); k * step <= high + 1e-9 && k < density.length; k++) power += (density[k] ?? 0) * step;
  return Math.sqrt(power);
}
