import { Refusal } from '../errors.ts';
import type { Capacity, Measure } from '../measuring/index.ts';
import { daysBetween } from '../quantities/index.ts';
import { effectBetween, effectOf, recentDose, type WeeklyDoses } from './dose.ts';
import { type Scale, scaleOf } from './scale.ts';
import { ahead, firstState, intervalOf, seen, type TrendModel, type TrendState } from './trend.ts';

const DAYS_PER_WEEK = 7;
/** Checks on days of their own from which a trend can be told at all. */
export const CHECKS_NEEDED = 3;

/**
 * Priors in standard errors of one occasion, so that one rule fits degrees, seconds and kilograms: the usual dose gains a quarter of an
 * error a week, a real change in about eleven weeks, and may gain nothing or twice that (professional judgement, no published source).
 */
const PRIOR = { gain: 0.25, gainSd: 0.25, drift: 0.1, fadesWeeks: 6, wander: 0.15 };

/** What the studio's own trainees gained of the usual dose, in standard errors of one occasion a week. */
export interface PooledGain {
  readonly mean: number;
  readonly sd: number;
}

export interface ForecastOptions {
  readonly now: Date;
  /** What others of the studio gained; the project's prior where nothing is known. */
  readonly gain?: PooledGain | undefined;
  /** Weighted sets a week from now on; those of the last weeks where nobody says. */
  readonly setsAhead?: number | undefined;
}

/** One side of one check: where it stands, where it is going, and how well that is known. All on the check's own {@link scaleOf}. */
export interface CapacityForecast {
  readonly model: TrendModel;
  /** As of now: level, drift, gain. */
  readonly state: TrendState;
  /** Effect of the dose from now on. */
  readonly effect: number;
  /** Standard error that a further check is expected to have. */
  readonly checkError: number;
  /** Checks on days of their own that the trend rests on. */
  readonly checks: number;
  /** What the usual dose gains this trainee, by these checks alone and no prior; undefined while they tell nothing of it. */
  readonly gained: PooledGain | undefined;
}

/**
 * Follows one side of one check through its history: a damped local trend (see {@link TrendModel}) that knows the error of each check, the
 * days between them and what was trained meanwhile. With few checks it falls back to the prior; whether that is enough to speak is the
 * caller's to ask ({@link CHECKS_NEEDED}).
 *
 * @param history every capacity of that check and side up to now, any order; two of one moment count once
 * @param doses weekly sets that trained it, newest week first
 * @param measure the check
 * @throws Refusal `measure-mismatch` when figures of another check or of both sides are mixed, `history-missing` without a figure up to now
 * @example forecastCapacity(wristExtension, [6, 6, 3], library.measure('wrist-extension'), { now }).state.mean[0] // 71.8
 */
export function forecastCapacity(
  history: readonly Capacity[],
  doses: WeeklyDoses,
  measure: Measure,
  { now, gain, setsAhead }: ForecastOptions,
): CapacityForecast {
  const [any] = history;
  if (history.some((c) => c.measureId !== measure.id || c.side !== any?.side)) throw new Refusal('measure-mismatch');
  const figures = inOrder(history, now);
  const [first] = figures;
  if (!first) throw new Refusal('history-missing', `${measure.name}: a forecast needs at least one figure.`);
  const scale = scaleOf(measure);
  const model = modelFor(measure, scale, gain);
  const weeksAgo = (c: Capacity) => Math.max(0, daysBetween(c.takenAt, now) / DAYS_PER_WEEK);
  let state = firstState(model, scale.of(first.value), scale.errorOf(first));
  let at = weeksAgo(first);
  for (const figure of figures.slice(1)) {
    state = through(state, model, doses, at, weeksAgo(figure));
    at = weeksAgo(figure);
    state = seen(state, scale.of(figure.value), scale.errorOf(figure));
  }
  state = through(state, model, doses, at, 0);
  return {
    model,
    state,
    effect: effectOf(setsAhead ?? recentDose(doses)),
    checkError: scale.errorOf(figures.at(-1) ?? first),
    checks: new Set(figures.map((c) => c.takenAt.slice(0, 10))).size,
    gained: withoutPrior(state, model, scale.usualError * directionOf(measure)),
  };
}

/** The prior divided out of what is known of the gain: everything here is Gaussian, so precisions subtract. */
function withoutPrior({ mean, cov }: TrendState, { gain }: TrendModel, unit: number): PooledGain | undefined {
  const precision = 1 / cov[5] - 1 / gain.sd ** 2;
  if (!(precision > LEAST_TOLD / gain.sd ** 2)) return undefined;
  return {
    mean: (mean[2] / cov[5] - gain.mean / gain.sd ** 2) / precision / unit,
    sd: 1 / Math.sqrt(precision) / Math.abs(unit),
  };
}

/** Checks that tell less of a gain than this share of what the prior does tell nothing. */
const LEAST_TOLD = 0.01;

/** Where a capacity will be in so many days, on its scale. */
export function expectedIn({ model, state, effect }: CapacityForecast, days: number): { readonly mean: number; readonly sd: number } {
  const then = ahead(state, intervalOf(model, days / DAYS_PER_WEEK), effect);
  return { mean: then.mean[0], sd: Math.sqrt(Math.max(0, then.cov[0])) };
}

function through(state: TrendState, model: TrendModel, doses: WeeklyDoses, from: number, to: number): TrendState {
  return from > to ? ahead(state, intervalOf(model, from - to), effectBetween(doses, from, to)) : state;
}

function inOrder(history: readonly Capacity[], now: Date): readonly Capacity[] {
  const past = history.filter((c) => Date.parse(c.takenAt) <= now.getTime());
  return [...new Map(past.map((c) => [c.takenAt, c])).values()].sort((a, b) => a.takenAt.localeCompare(b.takenAt));
}

/** Training moves a figure where it is good; one that is good inside a range, nobody knows where to. */
function directionOf({ better }: Measure): number {
  return better === 'less' ? -1 : 1;
}

function modelFor(measure: Measure, { usualError }: Scale, pooled?: PooledGain): TrendModel {
  const gain = pooled ?? { mean: PRIOR.gain, sd: PRIOR.gainSd };
  const mean = measure.better === 'inside' ? 0 : gain.mean * usualError * directionOf(measure);
  return {
    wander: PRIOR.wander * usualError,
    drift: PRIOR.drift * usualError,
    fadesWeeks: PRIOR.fadesWeeks,
    gain: { mean, sd: gain.sd * usualError },
  };
}

/** So much of a prior everybody keeps, however alike the others were. */
const LEAST_SD = 0.08;

/**
 * What the studio's trainees gain of the usual dose: a mean and a spread over people, by the method of moments (DerSimonian and Laird 1986,
 * from memory), with the project's prior as one more trainee.
 *
 * @param gained of each trainee and side of one kind of check
 * @example poolGains([]) // { mean: 0.25, sd: 0.25 }
 */
export function poolGains(gained: readonly PooledGain[]): PooledGain {
  const all = [{ mean: PRIOR.gain, sd: PRIOR.gainSd }, ...gained];
  if (all.length === 1) return { mean: PRIOR.gain, sd: PRIOR.gainSd };
  const sum = (of: (g: PooledGain) => number) => all.reduce((total, g) => total + of(g), 0);
  const weight = (g: PooledGain, between: number) => 1 / (g.sd ** 2 + between);
  const meanAt = (between: number) => sum((g) => weight(g, between) * g.mean) / sum((g) => weight(g, between));
  const fixed = meanAt(0);
  const q = sum((g) => weight(g, 0) * (g.mean - fixed) ** 2);
  const spread = sum((g) => weight(g, 0)) - sum((g) => weight(g, 0) ** 2) / sum((g) => weight(g, 0));
  const between = Math.max(LEAST_SD ** 2, (q - (all.length - 1)) / spread);
  return { mean: meanAt(between), sd: Math.sqrt(between + 1 / sum((g) => weight(g, between))) };
}
