import { Refusal } from '../errors.ts';

/** A stream so far: seconds since its start, and readings in the instrument's unit. */
export interface Stream {
  readonly times: readonly number[];
  readonly values: readonly number[];
}

/** A figure taken off a stream. */
export interface Captured {
  readonly value: number;
  /** Standard deviation over the time it was taken from. */
  readonly unrest: number;
  /** Readings that made it. */
  readonly readings: number;
}

/** Seconds looked back on for a position that is held, and for a load that is quiet (project defaults). */
export const CAPTURE_SECONDS = { angle: 0.5, load: 2 } as const;

/**
 * The mean of the last moments of a stream, for a position or load that is being held.
 *
 * @param seconds how far to look back
 * @throws Refusal `reading-missing` when nothing was read in that time
 * @example held({ times: [0, 0.1, 0.2], values: [40, 41, 42] }, 0.15).value // 41.5
 */
export function held({ times, values }: Stream, seconds: number): Captured {
  const end = times.at(-1) ?? 0;
  const from = times.findIndex((t) => t >= end - seconds);
  const recent = from < 0 ? [] : values.slice(from);
  if (recent.length === 0) throw new Refusal('reading-missing');
  const value = recent.reduce((sum, v) => sum + v, 0) / recent.length;
  const unrest = Math.sqrt(recent.reduce((sum, v) => sum + (v - value) ** 2, 0) / Math.max(1, recent.length - 1));
  return { value, unrest, readings: recent.length };
}

/** Readings averaged for a peak, so that one spike is no squeeze (project default). */
const PEAK_SECONDS = 0.1;

/**
 * The peak of a squeeze: the highest mean over a tenth of a second.
 *
 * @throws Refusal `reading-missing`
 */
export function peak({ times, values }: Stream): Captured {
  if (times.length === 0) throw new Refusal('reading-missing');
  let best: Captured = { value: -Infinity, unrest: 0, readings: 0 };
  let [from, sum] = [0, 0];
  const begin = times[0] ?? 0;
  const brief = (times.at(-1) ?? 0) - begin < PEAK_SECONDS;
  for (let to = 0; to < times.length; to++) {
    sum += values[to] ?? 0;
    while ((times[to] ?? 0) - (times[from] ?? 0) > PEAK_SECONDS) sum -= values[from++] ?? 0;
    const mean = sum / (to - from + 1);
    // The first readings span less than a tenth of a second: too few to be a peak unless nothing else came.
    const whole = brief || (times[to] ?? 0) - begin >= PEAK_SECONDS;
    if (whole && mean > best.value) best = { value: mean, unrest: 0, readings: to - from + 1 };
  }
  return best;
}

/** Where the scale lies: what it shows is in the hands, or what it no longer shows. */
export type ScalePlace = 'under the hands' | 'under the feet';

/**
 * What the hands carry, in percent of body weight, from a scale's reading.
 *
 * @param reading kilograms
 * @param mass body mass in kilograms
 * @example handLoadFromScale(21, 70, 'under the feet') // 70
 */
export function handLoadFromScale(reading: number, mass: number, place: ScalePlace): number {
  return (100 * (place === 'under the hands' ? reading : mass - reading)) / mass;
}
