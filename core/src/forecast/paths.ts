import { effectOf } from './dose.ts';
import type { DemandOutlook } from './demand.ts';
import { ahead, type Interval, intervalOf } from './trend.ts';

/** The futures of one check, one occasion after the other, so that nobody draws further than has to be known. */
export interface DemandPaths {
  readonly measureId: string;
  /** Starts the next future. */
  readonly begin: () => void;
  /** Whether all sides pass at an occasion; asked for in order, from 0. */
  readonly passesAt: (occasion: number) => boolean;
}

const DAYS_PER_WEEK = 7;
/** How much of what moves one side moves the other too (professional judgement, no published source). */
const ALIKE = 0.7;
const SHARED = Math.sqrt(ALIKE);
const OWN = Math.sqrt(1 - ALIKE);
/** So many standard deviations inside, nothing has to be drawn. */
const CERTAIN = 4;

/** A stretch between two occasions. */
interface Step extends Interval {
  /** Effect of the dose × weeks. */
  readonly dosed: number;
  /** What happens by itself: to the level, to the drift with it, and to the drift alone. */
  readonly levelNoise: number;
  readonly driftNoise: number;
  readonly ownDriftNoise: number;
}

/** What one side needs to be drawn. */
interface SidePlan {
  readonly outlook: DemandOutlook;
  readonly start: readonly [number, number, number];
  /** Cholesky factor of the covariance of now: x, v, g, row by row below the diagonal. */
  readonly root: readonly [number, number, number, number, number, number];
  readonly steps: readonly Step[];
  readonly checkError: number;
}

/**
 * @param sides of one check, one or two
 * @param days of the occasions from now, the first is now
 * @param missedDays from now on without training
 * @param normal standard normal draws
 */
export function pathsOf(sides: readonly DemandOutlook[], days: readonly number[], missedDays: number, normal: () => number): DemandPaths {
  const measureId = sides[0]?.measureId ?? '';
  const open = sides.filter((side) => !isCertain(side, days, missedDays));
  const plans = open.flatMap((outlook) => planOf(outlook, days, missedDays) ?? []);
  if (plans.length < open.length) return { measureId, begin: nothing, passesAt: () => false };
  if (plans.length === 0) return { measureId, begin: nothing, passesAt: () => true };
  const alone = plans.length === 1;
  // What moves both sides; one side alone has its own chance only.
  const common = new Float64Array(3);
  const alike = alone ? { shared: 0, own: 1 } : { shared: SHARED, own: OWN };
  const shareAnew = (most: number) => {
    if (alone) return;
    for (let i = 0; i < most; i++) common[i] = normal();
  };
  const followed = plans.map((plan) => followedSide(plan, days, { common, ...alike, normal }));
  return {
    measureId,
    begin() {
      shareAnew(3);
      for (const side of followed) side.begin();
    },
    passesAt(occasion) {
      if (occasion > 0) shareAnew(2);
      let all = true;
      for (let i = 0; i < followed.length; i++) if (followed[i]?.passesAt(occasion) === false) all = false;
      return all;
    },
  };
}

function nothing(): void {
  // A future that is certain begins by itself.
}

interface Chance {
  /** What moves both sides, of this step. */
  readonly common: Float64Array;
  readonly shared: number;
  readonly own: number;
  readonly normal: () => number;
}

/** Places in the state of a side: level, drift, gain, and the day until which its figure passes. Numbers in an array are not boxed. */
const [X, V, G, GOOD] = [0, 1, 2, 3] as const;

/** One side of one future after the other. */
function followedSide({ outlook, start, root, steps, checkError }: SidePlan, days: readonly number[], chance: Chance) {
  const { passing, passesDays, freshDays } = outlook;
  const { from = -Infinity, to = Infinity } = passing;
  const { common, shared, own, normal } = chance;
  const state = new Float64Array(4);
  const passesNow = passesDays >= (days[1] ?? Infinity) || (passesDays > 0 && days.length === 1);
  return {
    begin(): void {
      const a = shared * (common[0] ?? 0) + own * normal();
      const b = shared * (common[1] ?? 0) + own * normal();
      const c = shared * (common[2] ?? 0) + own * normal();
      state[X] = start[0] + root[0] * a;
      state[V] = start[1] + root[1] * a + root[2] * b;
      state[G] = start[2] + root[3] * a + root[4] * b + root[5] * c;
      state[GOOD] = passesDays;
    },
    passesAt(occasion: number): boolean {
      const step = steps[occasion - 1];
      if (!step) return passesNow;
      const day = days[occasion] ?? 0;
      const n = shared * (common[0] ?? 0) + own * normal();
      const m = shared * (common[1] ?? 0) + own * normal();
      const drift = state[V] ?? 0;
      const level = (state[X] ?? 0) + step.through * drift + (state[G] ?? 0) * step.dosed + step.levelNoise * n;
      state[X] = level;
      state[V] = step.left * drift + step.driftNoise * n + step.ownDriftNoise * m;
      const good = state[GOOD] ?? 0;
      if (good >= (days[occasion + 1] ?? day) && good > day) return true;
      const read = level + checkError * normal();
      state[GOOD] = read >= from && read <= to ? day + freshDays : 0;
      return state[GOOD] > day;
    },
  };
}

function planOf(outlook: DemandOutlook, days: readonly number[], missedDays: number): SidePlan | undefined {
  const { trend, passing } = outlook;
  if (!trend || (passing.from ?? -Infinity) > (passing.to ?? Infinity)) return undefined;
  const { mean, cov } = trend.state;
  return { outlook, start: mean, root: rootOf(cov), steps: stepsOf(outlook, days, missedDays), checkError: trend.checkError };
}

function stepsOf({ trend }: DemandOutlook, days: readonly number[], missedDays: number): readonly Step[] {
  if (!trend) return [];
  return days.slice(1).map((to, i): Step => {
    const from = days[i] ?? 0;
    const interval = intervalOf(trend.model, (to - from) / DAYS_PER_WEEK);
    const missed = Math.max(0, Math.min(to, missedDays) - from) / DAYS_PER_WEEK;
    const l11 = Math.sqrt(interval.xx);
    const l21 = l11 > 0 ? interval.xv / l11 : 0;
    return {
      ...interval,
      dosed: missed * effectOf(0) + (interval.weeks - missed) * trend.effect,
      levelNoise: l11,
      driftNoise: l21,
      ownDriftNoise: Math.sqrt(Math.max(0, interval.vv - l21 ** 2)),
    };
  });
}

/** Passes now, and at every occasion that comes lies far inside. */
function isCertain(outlook: DemandOutlook, days: readonly number[], missedDays: number): boolean {
  const { trend, passing, passesDays } = outlook;
  const { from = -Infinity, to = Infinity } = passing;
  if (passesDays <= 0 || !trend) return false;
  let state = trend.state;
  return stepsOf(outlook, days, missedDays).every((step) => {
    state = ahead(state, step, step.weeks > 0 ? step.dosed / step.weeks : 0);
    const sd = Math.hypot(Math.sqrt(Math.max(0, state.cov[0])), trend.checkError);
    return state.mean[0] - CERTAIN * sd >= from && state.mean[0] + CERTAIN * sd <= to;
  });
}

/** Cholesky factor of a covariance that may have lost its last digits. */
function rootOf([xx, xv, xg, vv, vg, gg]: readonly [number, number, number, number, number, number]): SidePlan['root'] {
  const a = Math.sqrt(Math.max(0, xx));
  const b = a > 0 ? xv / a : 0;
  const c = Math.sqrt(Math.max(0, vv - b * b));
  const d = a > 0 ? xg / a : 0;
  const e = c > 0 ? (vg - b * d) / c : 0;
  return [a, b, c, d, e, Math.sqrt(Math.max(0, gg - d * d - e * e))];
}
