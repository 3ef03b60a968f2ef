import { CalcCascades } from 'fili';
import { describe, expect, it } from 'vitest';
import { smoothed } from './butterworth.ts';
import { bandRms, butterworthLowPass, welch, zeroPhase } from './index.ts';
import scipy from './reference/scipy.json' with { type: 'json' };

const RATE = 100;
const sine = (hertz: number, seconds = 20, rate = RATE) =>
  Float64Array.from({ length: seconds * rate }, (_, i) => Math.sin((2 * Math.PI * hertz * i) / rate));
const amplitude = (signal: Float64Array) => Math.max(...signal.subarray(signal.length / 4, (3 * signal.length) / 4));

describe('the low-pass, against SciPy', () => {
  it.each(Object.entries(scipy.butter))('has the coefficients of signal.butter at %s Hz', (name, { b, a }) => {
    const [cutoff = 0, rate = 0] = name.split('/').map(Number);
    const filter = butterworthLowPass(cutoff, rate);
    filter.b.forEach((x, i) => expect(x).toBeCloseTo(b[i] ?? NaN, 12));
    filter.a.forEach((x, i) => expect(x).toBeCloseTo(a[i] ?? NaN, 12));
  });

  it('gives what signal.filtfilt gives, to the ends', () => {
    const out = zeroPhase(butterworthLowPass(6, scipy.rate), Float64Array.from(scipy.input));
    expect(out).toHaveLength(scipy.filtfilt.length);
    out.forEach((y, i) => expect(y).toBeCloseTo(scipy.filtfilt[i] ?? NaN, 6));
  });
});

it('has the coefficients of a filter library of the registry', () => {
  const [section] = new CalcCascades().lowpass({ order: 1, characteristic: 'butterworth', Fs: RATE, Fc: 6, preGain: false });
  const { a } = butterworthLowPass(6, RATE);
  expect(section?.a[0]).toBeCloseTo(a[1], 9);
  expect(section?.a[1]).toBeCloseTo(a[2], 9);
});

describe('smoothing both ways', () => {
  it('lets slow motion pass, is down to 1/√2 at 6 Hz and to next to nothing at 20 Hz', () => {
    expect(amplitude(smoothed(sine(0.5), RATE))).toBeCloseTo(1, 3);
    expect(amplitude(smoothed(sine(6), RATE))).toBeCloseTo(Math.SQRT1_2, 2);
    expect(amplitude(smoothed(sine(20), RATE))).toBeLessThan(0.02);
  });

  it('has the squared response of its order: 1/(1 + (0.802 ω/ωc)⁴), frequencies pre-warped', () => {
    for (const hertz of [2, 4, 6, 9, 12]) {
      const ratio = (Math.tan((Math.PI * hertz) / RATE) / Math.tan((Math.PI * 6) / RATE)) * (Math.SQRT2 - 1) ** 0.25;
      expect(amplitude(smoothed(sine(hertz, 40), RATE))).toBeCloseTo(1 / (1 + ratio ** 4), 2);
    }
  });

  it('moves no peak in time', () => {
    const bump = Float64Array.from({ length: 401 }, (_, i) => Math.exp(-(((i - 200) / 25) ** 2)));
    const out = smoothed(bump, RATE);
    expect(out.indexOf(Math.max(...out))).toBe(200);
    out.forEach((y, i) => expect(y).toBeCloseTo(out[400 - i] ?? NaN, 9));
  });

  it('leaves rest at rest', () => smoothed(new Float64Array(50).fill(42), 50).forEach((y) => expect(y).toBeCloseTo(42, 9)));
});

it('refuses a cut-off beyond half the sampling rate', () =>
  expect(() => butterworthLowPass(60, RATE)).toThrow('A cut-off of 60 Hz must lie between 0 and half of 100 samples a second.'));

describe('band power', () => {
  it('is that of SciPy’s signal.welch, bin by bin', () => {
    const { size, step, density } = scipy.welch;
    const own = welch(Float64Array.from(scipy.input), scipy.rate, size);
    expect(own.step).toBeCloseTo(step, 12);
    own.density.forEach((d, k) => expect(d).toBeCloseTo(density[k] ?? NaN, 6));
  });

  it('of a sine of 8 Hz is its root mean square, and none outside', () => {
    const spectrum = welch(
      sine(8).map((v) => 2 * v),
      RATE,
    );
    expect(bandRms(spectrum, 4, 12)).toBeCloseTo(2 * Math.SQRT1_2, 2);
    expect(bandRms(spectrum, 14, 40)).toBeLessThan(0.01);
  });
});
