import type { Stretch } from './stretches.ts';

/** The longest time a position was kept. Seconds from the start of the trace, degrees. */
export interface Hold {
  readonly from: number;
  readonly to: number;
  readonly mean: number;
  /** Steadiness: standard deviation of the smoothed angle. */
  readonly sd: number;
}

/**
 * The longest part of a smoothed stretch in which the angle stays inside ± the tolerance.
 *
 * @param tolerance degrees, above 0
 * @example longestHold({ start: 0, rate: 50, values: new Float64Array(100).fill(40) }, 3) // from 0 to 1.98, mean 40, sd 0
 */
export function longestHold({ start, rate, values }: Stretch, tolerance: number): Hold | undefined {
  // Two queues of indices keep the highest and the lowest value of the window that slides along.
  const high = new Int32Array(values.length);
  const low = new Int32Array(values.length);
  let [highFirst, highEnd, lowFirst, lowEnd, from] = [0, 0, 0, 0, 0];
  let best = { from: 0, to: -1 };
  const at = (i: number | undefined) => values[i ?? 0] ?? 0;
  for (let to = 0; to < values.length; to++) {
    const value = values[to] ?? 0;
    while (highEnd > highFirst && at(high[highEnd - 1]) <= value) highEnd--;
    while (lowEnd > lowFirst && at(low[lowEnd - 1]) >= value) lowEnd--;
    high[highEnd++] = to;
    low[lowEnd++] = to;
    while (at(high[highFirst]) - at(low[lowFirst]) > 2 * tolerance) {
      from++;
      if ((high[highFirst] ?? 0) < from) highFirst++;
      if ((low[lowFirst] ?? 0) < from) lowFirst++;
    }
    if (to - from > best.to - best.from) best = { from, to };
  }
  if (best.to < 0) return undefined;
  const part = values.subarray(best.from, best.to + 1);
  const mean = part.reduce((sum, v) => sum + v, 0) / part.length;
  const sd = Math.sqrt(part.reduce((sum, v) => sum + (v - mean) ** 2, 0) / Math.max(1, part.length - 1));
  return { from: start + best.from / rate, to: start + best.to / rate, mean, sd };
}
