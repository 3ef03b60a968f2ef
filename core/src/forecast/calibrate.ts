import { binomialInterval } from '../statistics/index.ts';
import { quantileOf } from './draws.ts';

/** A forecast of the past beside what became of it; days from the day of the forecast. */
export interface Replay {
  readonly early: number;
  readonly median: number;
  /** Absent: beyond the horizon. */
  readonly late?: number | undefined;
  /** The day on which it happened; absent while it had not. */
  readonly happened?: number | undefined;
  /** So many days of the time after the forecast are known. */
  readonly knownDays: number;
}

export interface Calibration {
  /** Forecasts whose end is known. */
  readonly judged: number;
  /** Forecasts of which nobody can tell yet. */
  readonly open: number;
  readonly inside: number;
  /** Share inside 10–90%, and what it may truly be with 95% (exact binomial). Absent without any. */
  readonly share?: { readonly value: number; readonly from: number; readonly to: number };
  /** Of those that happened: how many days off the median was. */
  readonly medianError?: number;
  /** Median width of 10–90% in days. */
  readonly sharpness?: number;
  /** By how much the ranges have to be wider; 1 while nothing speaks against them. */
  readonly widen: number;
}

/** What 10–90% means. */
const NOMINAL = 0.8;
const CONFIDENCE = 0.95;
/** Wider than this no range tells anything. */
const MOST_WIDER = 3;

/**
 * How good forecasts were. One that had not happened by its late day was wrong; one whose late day nobody has reached is open. When the
 * share inside is too low beyond chance, ranges are widened so far that it would have held.
 *
 * @example calibrate([{ early: 10, median: 20, late: 40, happened: 30, knownDays: 100 }]).inside // 1
 */
export function calibrate(replays: readonly Replay[]): Calibration {
  const judged = replays.filter(({ happened, late, knownDays }) => happened !== undefined || (late !== undefined && knownDays > late));
  const inside = judged.filter((r) => stretchOf(r) <= 1).length;
  const open = replays.length - judged.length;
  if (judged.length === 0) return { judged: 0, open, inside: 0, widen: 1 };
  const interval = binomialInterval(inside, judged.length, CONFIDENCE);
  const errors = judged.flatMap(({ happened, median }) => (happened === undefined ? [] : [Math.abs(happened - median)])).sort(ascending);
  const widths = judged.flatMap(({ early, late }) => (late === undefined ? [] : [late - early])).sort(ascending);
  return {
    judged: judged.length,
    open,
    inside,
    share: { value: inside / judged.length, ...interval },
    ...(errors.length > 0 ? { medianError: quantileOf(errors, 0.5) } : {}),
    ...(widths.length > 0 ? { sharpness: quantileOf(widths, 0.5) } : {}),
    widen: interval.to < NOMINAL ? Math.min(MOST_WIDER, Math.max(1, quantileOf(judged.map(stretchOf).sort(ascending), NOMINAL))) : 1,
  };
}

/** By how much the half of the range on that side would have had to be longer to hold what happened. */
function stretchOf({ early, median, late, happened }: Replay): number {
  if (happened === undefined) return Infinity;
  if (happened <= median) return happened >= early ? 0 : (median - happened) / Math.max(median - early, 1);
  return late === undefined || happened <= late ? 0 : (happened - median) / Math.max(late - median, 1);
}

function ascending(a: number, b: number): number {
  return a - b;
}
