/**
 * A damped local trend with a dose, in continuous time (weeks). The state is level x, drift v and gain g:
 *
 *   dx = (v + g·u(t)) dt + wander dW₁,  dv = −v/τ dt + … dW₂ (stationary, standard deviation `drift`),  dg = 0
 *
 * u is the effect of what was trained. Over an interval of constant u this integrates exactly (the integrated Ornstein–Uhlenbeck process;
 * Gillespie 1996, Phys. Rev. E 54:2084, from memory), so gaps and uneven dates need no approximation.
 */
export interface TrendModel {
  /** Standard deviation of the level's own wandering over one week. */
  readonly wander: number;
  /** Standard deviation of the drift that no dose explains, per week. */
  readonly drift: number;
  /** Weeks after which such a drift has faded to a third. */
  readonly fadesWeeks: number;
  /** What the usual dose gains a week, before anything is known of the trainee. */
  readonly gain: { readonly mean: number; readonly sd: number };
}

/** Level, drift, gain, and their covariance, row by row. */
export interface TrendState {
  readonly mean: readonly [number, number, number];
  readonly cov: Cov;
}
/** xx, xv, xg, vv, vg, gg. */
type Cov = readonly [number, number, number, number, number, number];

/** What a first figure leaves to the prior. */
export function firstState(model: TrendModel, value: number, error: number): TrendState {
  return { mean: [value, 0, model.gain.mean], cov: [error ** 2, 0, 0, model.drift ** 2, 0, model.gain.sd ** 2] };
}

/** What one interval does: how much of the drift stays and adds up, and the noise of level and drift. */
export interface Interval {
  readonly weeks: number;
  /** Share of the drift that is left. */
  readonly left: number;
  /** Weeks of drift that went into the level. */
  readonly through: number;
  /** Variances and covariance of what happens by itself. */
  readonly xx: number;
  readonly xv: number;
  readonly vv: number;
}

export function intervalOf({ wander, drift, fadesWeeks: tau }: TrendModel, weeks: number): Interval {
  const h = weeks / tau;
  const gone = -Math.expm1(-h);
  const s2 = drift ** 2;
  return {
    weeks,
    left: 1 - gone,
    through: tau * gone,
    xx: s2 * tau ** 2 * integrated(h) + wander ** 2 * weeks,
    xv: s2 * tau * gone ** 2,
    vv: s2 * -Math.expm1(-2 * h),
  };
}

/** Below it the closed form loses its digits to the difference of like numbers, and the series has all of them. */
const SHORT = 1e-3;

/** 2h − 3 + 4e^(−h) − e^(−2h), without loss for short stretches. */
function integrated(h: number): number {
  if (h < SHORT) return h ** 3 * (2 / 3 - h / 2 + (7 / 30) * h ** 2);
  return 2 * h - 3 + 4 * Math.exp(-h) - Math.exp(-2 * h);
}

/** The state after an interval in which the dose had a constant effect. */
export function ahead({ mean: [x, v, g], cov: [xx, xv, xg, vv, vg, gg] }: TrendState, interval: Interval, effect: number): TrendState {
  const { left: a, through: b, weeks } = interval;
  const c = effect * weeks;
  const crossV = xv + b * vv + c * vg;
  const crossG = xg + b * vg + c * gg;
  return {
    mean: [x + b * v + c * g, a * v, g],
    cov: [
      xx + b * b * vv + c * c * gg + 2 * (b * xv + c * xg + b * c * vg) + interval.xx,
      a * crossV + interval.xv,
      crossG,
      a * a * vv + interval.vv,
      a * vg,
      gg,
    ],
  };
}

/** Innovations beyond so many standard deviations count as if they were no further out: one wild figure bends nothing. */
const MOST_SURPRISE = 3;

/**
 * The state after a figure was seen (Kalman 1960). A figure that lies further out than three standard deviations gets an error so large
 * that it lies there.
 *
 * @param value on the model's scale
 * @param error its standard error
 */
export function seen(state: TrendState, value: number, error: number): TrendState {
  const { mean, cov } = state;
  const [xx, xv, xg, vv, vg, gg] = cov;
  const surprise = value - mean[0];
  const variance = Math.max(xx + error ** 2, (surprise / MOST_SURPRISE) ** 2);
  const gain = [xx / variance, xv / variance, xg / variance] as const;
  return {
    mean: [mean[0] + gain[0] * surprise, mean[1] + gain[1] * surprise, mean[2] + gain[2] * surprise],
    cov: [xx - gain[0] * xx, xv - gain[0] * xv, xg - gain[0] * xg, vv - gain[1] * xv, vg - gain[1] * xg, gg - gain[2] * xg],
  };
}
