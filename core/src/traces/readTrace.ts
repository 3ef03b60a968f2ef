import { smoothed } from './butterworth.ts';
import { type Hold, longestHold } from './holds.ts';
import { type Repetition, repetitionsIn } from './repetitions.ts';
import { SCALE_OF, type TraceQuantity } from './quantity.ts';
import { ENOUGH_FOR_A_QUANTILE, type Samples, tidySamples } from './samples.ts';
import { type Stretch, stretchesOf } from './stretches.ts';
import { type Swing, swingOf } from './swing.ts';
import { bandRms, welch } from './welch.ts';
import { Refusal } from '../errors.ts';

export interface TraceOptions {
  /** What the values are; an angle in degrees where nothing is said. */
  readonly quantity?: TraceQuantity;
  /** In the trace's unit, on either side within which a position counts as held. */
  readonly tolerance?: number;
  /** Share of the robust range that a movement must come back by to count as a repetition. */
  readonly prominence?: number;
  /** What a movement must have at least, in the trace's unit. */
  readonly leastRange?: number;
  /** Hz of the low-pass. */
  readonly cutoff?: number;
}

/** Project defaults; the cut-off is Winter's (see butterworth.ts). */
export const TRACE_DEFAULTS = { prominence: 0.25 } as const;

/** What a trace says. Times in seconds from its first sample, values in degrees or in the unit of what it is of. */
export interface TraceReading {
  readonly quantity: TraceQuantity;
  readonly duration: number;
  /** Samples a second that were read. */
  readonly rate: number;
  /** The smoothed trace in its parts between gaps. */
  readonly stretches: readonly Stretch[];
  readonly repetitions: readonly Repetition[];
  readonly hold?: Hold;
  /** RMS between 4 and 12 Hz of the unsmoothed angle; absent where the sampling is too slow for it. */
  readonly shake?: number;
  readonly swing: Swing;
  /** What was left out, thinned or missing, in sentences. */
  readonly notices: readonly string[];
}

/** Physiological tremor lies between these, Hz (common practice, no source). */
const SHAKE_BAND = { low: 4, high: 12 } as const;
const ROBUST = { low: 0.05, high: 0.95 } as const;

/**
 * Reads an angle over time: repetitions, the longest hold, shake and swing.
 *
 * Samples are tidied, cut at gaps, put on an even grid and low-passed without phase shift; turning
 * points come back by a share of the 5th–95th percentile range (models: zero-phase Butterworth,
 * Winter; Welch 1967; both from memory).
 *
 * @param samples seconds and degrees; gaps, repeated times and nonsense are left out and said
 * @param options how much counts as a movement or as held
 * @throws Refusal `trace-unreadable`, `trace-too-slow`
 * @example readTrace({ times, angles }).repetitions.length // 8 for eight out-and-back movements
 */
export function readTrace(samples: Samples, options: TraceOptions = {}): TraceReading {
  const { quantity = 'angle' } = options;
  const scale = SCALE_OF[quantity];
  const { tolerance, prominence, leastRange } = { ...TRACE_DEFAULTS, ...scale, ...options };
  const tidy = tidySamples(samples, scale.nonsense);
  const raw = stretchesOf(tidy);
  if (raw.length === 0) throw new Refusal('trace-unreadable', 'No part of the trace lasts half a second without a gap.');
  const stretches = raw.map((s) => ({ ...s, values: smoothed(s.values, s.rate, options.cutoff) }));
  const least = Math.max(leastRange, prominence * robustRange(stretches));
  const longest = stretches.reduce((a, b) => (b.values.length > a.values.length ? b : a));
  const hold = stretches
    .map((s) => longestHold(s, tolerance))
    .filter((h) => h !== undefined)
    .reduce<Hold | undefined>((a, b) => (a && a.to - a.from >= b.to - b.from ? a : b), undefined);
  const shake = shakeOf(raw);
  return {
    quantity,
    duration: (tidy.times.at(-1) ?? 0) - (tidy.times[0] ?? 0),
    rate: tidy.rate,
    stretches,
    repetitions: stretches.flatMap((s) => repetitionsIn(s, least)),
    ...(hold ? { hold } : {}),
    ...(shake === undefined ? {} : { shake }),
    swing: swingOf(longest),
    notices: [...tidy.notices, ...gapNotices(raw)],
  };
}

/** Between the 5th and the 95th percentile, so that one slip does not set the scale. */
function robustRange(stretches: readonly Stretch[]): number {
  const total = stretches.reduce((n, s) => n + s.values.length, 0);
  const stride = Math.ceil(total / ENOUGH_FOR_A_QUANTILE);
  const picked = stretches.flatMap(({ values }) => {
    const few: number[] = [];
    for (let i = 0; i < values.length; i += stride) few.push(values[i] ?? 0);
    return few;
  });
  const all = Float64Array.from(picked).sort();
  const at = (share: number) => all[Math.floor(share * (all.length - 1))] ?? 0;
  return at(ROBUST.high) - at(ROBUST.low);
}

/** Mean square over all parts, each by its length. */
function shakeOf(raw: readonly Stretch[]): number | undefined {
  const readable = raw.filter((s) => s.rate > 2 * SHAKE_BAND.high && s.values.length >= s.rate);
  const total = readable.reduce((n, s) => n + s.values.length, 0);
  if (total === 0) return undefined;
  const square = readable.reduce(
    (sum, s) => sum + s.values.length * bandRms(welch(s.values, s.rate), SHAKE_BAND.low, SHAKE_BAND.high) ** 2,
    0,
  );
  return Math.sqrt(square / total);
}

function gapNotices(stretches: readonly Stretch[]): readonly string[] {
  const gaps = stretches.slice(1).map((s, i) => {
    const before = stretches[i];
    return { at: before ? before.start + (before.values.length - 1) / before.rate : 0, until: s.start };
  });
  if (gaps.length === 0) return [];
  const missing = gaps.reduce((sum, g) => sum + g.until - g.at, 0);
  return [`${gaps.length} ${gaps.length === 1 ? 'gap' : 'gaps'}, ${missing.toFixed(1)} s without samples; nothing is counted across them.`];
}
