import { cleanCount, type CleanCount } from './clean.ts';
import type { TraceQuantity } from './quantity.ts';
import type { TraceReading } from './readTrace.ts';
import type { Samples } from './samples.ts';

/** Points of the curve that stays on record. */
export const CURVE_POINTS = 120;

/** What stays of a trace on record: enough to see later what was judged. */
export interface TraceSummary {
  readonly quantity: TraceQuantity;
  readonly clean: number;
  readonly fellOff?: NonNullable<CleanCount['fellOff']>['what'];
  /** Means over the clean repetitions: range in the trace's unit, seconds there and back, the shorter way ÷ the longer. */
  readonly range?: number;
  readonly tempo?: number;
  readonly evenness?: number;
  /** The smoothed trace, evenly picked. */
  readonly curve: number[];
}

/**
 * The summary of a trace as it goes on record, rounded to what can be told.
 *
 * @example traceSummary(reading).curve.length // at most 120
 */
export function traceSummary({ repetitions, stretches, quantity }: TraceReading): TraceSummary {
  const { clean, fellOff } = cleanCount(repetitions);
  const counted = repetitions.slice(0, clean);
  const mean = (of: (r: (typeof counted)[number]) => number) => rounded(counted.reduce((sum, r) => sum + of(r), 0) / counted.length);
  const all = stretches.flatMap((s) => [...s.values]);
  const every = Math.max(1, Math.ceil(all.length / CURVE_POINTS));
  return {
    quantity,
    clean,
    ...(fellOff ? { fellOff: fellOff.what } : {}),
    ...(clean > 0 ? { range: mean((r) => r.range), tempo: mean((r) => r.outTime + r.backTime), evenness: mean((r) => r.evenness) } : {}),
    curve: all.filter((_, i) => i % every === 0).map(rounded),
  };
}

const rounded = (value: number) => Math.round(value * 100) / 100;

/**
 * The part of a trace between two moments, seconds from its first sample: walking in and out cut off.
 *
 * @example trimmed({ times: [0, 1, 2], angles: [5, 6, 7] }, 0.5, 2) // { times: [1, 2], angles: [6, 7] }
 */
export function trimmed({ times, angles }: Samples, from: number, to: number): Samples {
  const begin = Array.from(times).find(Number.isFinite) ?? 0;
  const kept = Array.from(times, (t, i) => ({ t, angle: angles[i] ?? Number.NaN })).filter(
    ({ t }) => !(t - begin < from) && !(t - begin > to),
  );
  return { times: kept.map((s) => s.t), angles: kept.map((s) => s.angle) };
}
