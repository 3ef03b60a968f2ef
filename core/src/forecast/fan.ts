import type { Measure } from '../measuring/index.ts';
import type { CapacityForecast } from './capacity.ts';
import { effectOf } from './dose.ts';
import { scaleOf } from './scale.ts';
import { ahead, intervalOf, type TrendState } from './trend.ts';

/** Where a figure is likely to be on one day: in the check's unit, eight of ten futures inside. */
export interface FanPoint {
  /** From now. */
  readonly days: number;
  readonly low: number;
  readonly mid: number;
  readonly high: number;
}

/** z₀.₉₀: eight of ten lie within so many standard deviations. */
const EIGHT_OF_TEN = 1.2815515655446004;

/**
 * Where one side of a check is going: true figures, without the error of a further check.
 *
 * @param trend of one side
 * @param days from now, any order
 * @param missedDays from now on without training
 * @example fanOf(trend, library.measure('wrist-extension'), [0, 28])[1] // { days: 28, low: 68, mid: 73, high: 78 }
 */
export function fanOf(trend: CapacityForecast, measure: Measure, days: readonly number[], missedDays = 0): readonly FanPoint[] {
  const scale = scaleOf(measure);
  const { min, max } = measure.limits;
  const figure = (scaled: number) => Math.min(max, Math.max(min, scale.back(scaled)));
  const rested = after(trend.state, trend, missedDays, effectOf(0));
  return days.map((day) => {
    const { mean, cov } =
      day <= missedDays ? after(trend.state, trend, day, effectOf(0)) : after(rested, trend, day - missedDays, trend.effect);
    const spread = EIGHT_OF_TEN * Math.sqrt(Math.max(0, cov[0]));
    return { days: day, low: figure(mean[0] - spread), mid: figure(mean[0]), high: figure(mean[0] + spread) };
  });
}

const DAYS_PER_WEEK = 7;

function after(state: TrendState, { model }: CapacityForecast, days: number, effect: number): TrendState {
  return ahead(state, intervalOf(model, days / DAYS_PER_WEEK), effect);
}
