import type { BodySide } from '../anatomy/index.ts';
import { CHECKS_NEEDED } from './capacity.ts';
import type { DemandOutlook } from './demand.ts';
import { pathsOf } from './paths.ts';
import { normalDraws, quantileOf } from './draws.ts';
import { waitingDraw } from './waitingDraw.ts';
import type { Blocked, Rhythm, Waits } from './waits.ts';

/** Everything a forecast of a gate rests on. */
export interface GateOutlook {
  readonly demands: readonly DemandOutlook[];
  readonly waits: Waits;
  readonly rhythm: Rhythm;
  /** Days until the next occasion of checks, and from one to the next. */
  readonly nextCheckDays: number;
  readonly checkDays: number;
  /** Days from now on which nobody trains. */
  readonly missedDays?: number;
  /** How much wider past forecasts would have had to be; 1 where they held. */
  readonly widen?: number;
  readonly draws?: number;
}

/** Which capacity, or the waiting rules, the day hangs on. */
export interface Deciding {
  readonly what: string;
  /** By how many days the median would come sooner if it were met already; absent where the median lies beyond the horizon. */
  readonly daysSooner?: number;
  /** Share of the draws in which it is met before the gate opens or the horizon ends. */
  readonly metShare: number;
}

/** Stands for the waiting rules among what decides. */
export const WAITING = 'waiting';

export interface Missing {
  readonly measureId: string;
  readonly side: BodySide;
  readonly checks: number;
  readonly needed: number;
}

/**
 * When a gate opens. Days are counted from now. `late` is absent where more than a tenth of the draws lie beyond the horizon.
 * - `blocked`: somebody has to act before anything can be foreseen
 * - `too little`: so many checks are missing
 * - `not at this rate`: in more than half of the draws it does not open within the horizon
 */
export type GateForecast =
  | { readonly kind: 'blocked'; readonly blocked: readonly Blocked[] }
  | { readonly kind: 'too little'; readonly missing: readonly Missing[] }
  | {
      readonly kind: 'range';
      readonly early: number;
      readonly median: number;
      readonly late?: number;
      readonly openShare: number;
      readonly deciding: readonly Deciding[];
      readonly horizonDays: number;
    }
  | {
      readonly kind: 'not at this rate';
      readonly early?: number;
      readonly openShare: number;
      readonly deciding: readonly Deciding[];
      readonly horizonDays: number;
    };

/** Half a year: further nobody looks. */
export const HORIZON_DAYS = 182;
const DRAWS = 2000;
/** Nobody is checked more often than this within the horizon. */
const MOST_OCCASIONS = 30;
/** Coaches do not check on the very day: within so much of the days between two checks. */
const ABOUT = 0.35;

/**
 * When the gate of the next rung is likely to open: so many futures are drawn, in each every capacity follows its trend and is checked with
 * its error, what is short or going stale is taken again at every occasion, and the waiting rules run beside it. The gate opens on the
 * first day on which all hold together.
 *
 * Both sides of a check are drawn alike to a large part, since one training moves both. What a forecast cannot know it leaves out:
 * symptoms to come, and sides that drift apart.
 *
 * @param input the outlook as of now
 * @param random uniform draws from 0 to 1; a seeded one gives one answer
 * @returns days from now; a range and never one day
 * @example forecastGate(outlook, seedrandom.alea('one')) // { kind: 'range', early: 12, median: 26, late: 54, … }
 */
export function forecastGate(input: GateOutlook, random: () => number): GateForecast {
  const { demands, waits, rhythm, missedDays = 0, widen = 1, draws = DRAWS } = input;
  if (waits.blocked.length > 0) return { kind: 'blocked', blocked: waits.blocked };
  const missing = demands
    .filter((d) => d.passesDays <= 0 && (d.trend?.checks ?? 0) < CHECKS_NEEDED)
    .map(({ measureId, side, trend }) => ({ measureId, side, checks: trend?.checks ?? 0, needed: CHECKS_NEEDED }));
  if (missing.length > 0) return { kind: 'too little', missing };

  const days = occasionsOf(input);
  const normal = normalDraws(random);
  const paths = byMeasure(demands).map((sides) => pathsOf(sides, days, missedDays, normal));
  const opened = new Float64Array(draws).fill(Infinity);
  const unwaited = new Float64Array(draws).fill(Infinity);
  const without = paths.map(() => new Float64Array(draws).fill(Infinity));
  const met = paths.map(() => 0);
  const seenMet = new Uint8Array(paths.length);
  let waited = 0;
  for (let draw = 0; draw < draws; draw++) {
    const wait = waitingDraw(waits, rhythm, missedDays, random);
    if (wait <= HORIZON_DAYS) waited++;
    const about = ABOUT * (random() * 2 - 1);
    for (const path of paths) path.begin();
    seenMet.fill(0);
    for (let k = 0; k < days.length && opened[draw] === Infinity; k++) {
      let failing = -1;
      let fails = 0;
      for (let i = 0; i < paths.length; i++) {
        if (paths[i]?.passesAt(k)) {
          seenMet[i] = 1;
        } else {
          fails++;
          failing = i;
        }
      }
      if (fails > 1) continue;
      const day = dayAt(k, days, wait, about);
      // With one that fails only its own question is answered; with none all are that still wait for an answer.
      for (let i = 0; i < paths.length; i++) if (fails === 0 || i === failing) sooner(without[i], draw, day);
      if (fails > 0) continue;
      sooner(unwaited, draw, dayAt(k, days, 0, about));
      sooner(opened, draw, day);
    }
    for (let i = 0; i < paths.length; i++) met[i] = (met[i] ?? 0) + (seenMet[i] ?? 0);
  }
  opened.sort();
  const median = quantileOf(opened, 0.5);
  const spread = (p: number) => Math.max(0, median + widen * (quantileOf(opened, p) - median));
  const deciding = [
    ...paths.map((p, i) => decidingOf(p.measureId, median, without[i]?.sort() ?? opened, (met[i] ?? 0) / draws)),
    decidingOf(WAITING, median, unwaited.sort(), waited / draws),
  ].sort(byWeight);
  const openShare = opened.filter(Number.isFinite).length / draws;
  const told = { openShare, deciding, horizonDays: HORIZON_DAYS };
  const early = quantileOf(opened, 0.1);
  if (!Number.isFinite(median)) return { kind: 'not at this rate', ...(Number.isFinite(early) ? { early } : {}), ...told };
  const late = spread(0.9);
  return { kind: 'range', early: spread(0.1), median, ...(Number.isFinite(late) ? { late } : {}), ...told };
}

/** Days from now: now itself, and each occasion of checks after it. */
function occasionsOf({ nextCheckDays, checkDays }: GateOutlook): readonly number[] {
  const step = Math.max(checkDays, HORIZON_DAYS / MOST_OCCASIONS);
  const days = [0];
  for (let day = Math.max(nextCheckDays, 0.5); day <= HORIZON_DAYS && days.length <= MOST_OCCASIONS; day += step) days.push(day);
  return days;
}

/** The day from which an occasion opens the gate; Infinity where the waiting outlasts it. */
function dayAt(k: number, days: readonly number[], wait: number, about: number): number {
  const from = days[k] ?? 0;
  if (wait >= (days[k + 1] ?? HORIZON_DAYS)) return Infinity;
  if (wait > from || k === 0) return Math.max(wait, from);
  return Math.max(0, from + about * (from - (days[k - 1] ?? 0)));
}

function sooner(days: Float64Array | undefined, draw: number, day: number): void {
  if (days && day < (days[draw] ?? Infinity)) days[draw] = day;
}

function decidingOf(what: string, median: number, without: ArrayLike<number>, metShare: number): Deciding {
  const sooner = median - quantileOf(without, 0.5);
  return { what, metShare, ...(Number.isFinite(sooner) ? { daysSooner: Math.max(0, sooner) } : {}) };
}

/** What brings the median forward most; where nothing alone does, what is met least. */
function byWeight(a: Deciding, b: Deciding): number {
  return (b.daysSooner ?? 0) - (a.daysSooner ?? 0) || a.metShare - b.metShare;
}

function byMeasure(demands: readonly DemandOutlook[]): readonly (readonly DemandOutlook[])[] {
  return [...new Set(demands.map((d) => d.measureId))].map((id) => demands.filter((d) => d.measureId === id));
}
