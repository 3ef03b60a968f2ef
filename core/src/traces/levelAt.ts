/** Around an end of a movement, the part of the range within which its shape is read. */
const WITHIN = 0.15;
/** Samples to either side at most, in seconds. */
const REACH_SECONDS = 0.3;
const FEWEST = 7;

/**
 * Where a movement truly turns. The highest of many noisy samples runs high: of a range with noise of 5–10 % by about a tenth. So the
 * samples within a seventh of the range of the turn are fitted by a parabola (least squares), whose vertex is the level; where it has no
 * vertex among them (a pause, a jerk), their mean. Fewer than seven samples are taken as they are.
 *
 * @param values evenly sampled, smoothed
 * @param index of the extreme
 * @param range of the movement, in the signal's unit
 * @param rate samples a second
 */
export function levelAt(values: Float64Array, index: number, range: number, rate: number): number {
  const extreme = values[index] ?? 0;
  const near = (i: number) => Math.abs((values[i] ?? Infinity) - extreme) <= WITHIN * range;
  const reach = Math.round(REACH_SECONDS * rate);
  let from = index;
  while (from > 0 && index - from < reach && near(from - 1)) from--;
  let to = index;
  while (to < values.length - 1 && to - index < reach && near(to + 1)) to++;
  if (to - from + 1 < FEWEST) return extreme;
  const fit = parabola(values, from, to);
  const vertex = -fit.slope / (2 * fit.curve);
  const half = (to - from) / 2;
  return Number.isFinite(vertex) && Math.abs(vertex) <= half ? fit.level - fit.slope ** 2 / (4 * fit.curve) : fit.mean;
}

/** Least squares level + slope·x + curve·x² about the middle of a window, x in samples. */
function parabola(values: Float64Array, from: number, to: number) {
  const n = to - from + 1;
  const middle = (from + to) / 2;
  let [s2, s4, y0, y1, y2] = [0, 0, 0, 0, 0];
  for (let i = from; i <= to; i++) {
    const x = i - middle;
    const y = values[i] ?? 0;
    s2 += x ** 2;
    s4 += x ** 4;
    y0 += y;
    y1 += x * y;
    y2 += x ** 2 * y;
  }
  // Odd sums vanish about the middle, so that the slope stands alone.
  const curve = (n * y2 - s2 * y0) / (n * s4 - s2 ** 2);
  return { curve, slope: y1 / s2, level: (y0 - curve * s2) / n, mean: y0 / n };
}
