/** Where a signal turns: the index of an extreme and which kind it is. */
export interface TurningPoint {
  readonly index: number;
  readonly kind: 'high' | 'low';
}

/**
 * The turning points of a signal: extremes from which it comes back by at least `prominence` on both
 * sides. Highs and lows alternate; the ends of the signal count as turning points.
 *
 * @param values evenly sampled
 * @param prominence in the signal's unit, above 0
 * @example turningPoints(Float64Array.of(0, 5, 10, 5, 0), 4).map((p) => p.kind) // ['low', 'high', 'low']
 */
export function turningPoints(values: Float64Array, prominence: number): readonly TurningPoint[] {
  const points: TurningPoint[] = [];
  let low = 0;
  let high = 0;
  let rising: boolean | undefined;
  for (let i = 1; i < values.length; i++) {
    const value = values[i] ?? 0;
    if (value > (values[high] ?? 0)) high = i;
    if (value < (values[low] ?? 0)) low = i;
    if (rising !== true && value - (values[low] ?? 0) >= prominence) {
      points.push({ index: low, kind: 'low' });
      rising = true;
      high = i;
    } else if (rising !== false && (values[high] ?? 0) - value >= prominence) {
      points.push({ index: high, kind: 'high' });
      rising = false;
      low = i;
    }
  }
  if (rising !== undefined) points.push(rising ? { index: high, kind: 'high' } : { index: low, kind: 'low' });
  return points;
}
