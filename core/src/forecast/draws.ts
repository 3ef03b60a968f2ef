/** Standard normal draws from uniform ones, two at a time (Marsaglia's polar method, 1964). */
export function normalDraws(random: () => number): () => number {
  let spare: number | undefined;
  return () => {
    if (spare !== undefined) {
      const kept = spare;
      spare = undefined;
      return kept;
    }
    for (;;) {
      const u = 2 * random() - 1;
      const v = 2 * random() - 1;
      const s = u * u + v * v;
      if (s >= 1 || s === 0) continue;
      const factor = Math.sqrt((-2 * Math.log(s)) / s);
      spare = v * factor;
      return u * factor;
    }
  };
}

/**
 * The p-quantile of sorted values: the least value that at least a share p of them does not exceed.
 *
 * @example quantileOf([1, 2, 3, 4], 0.5) // 2
 */
export function quantileOf(sorted: ArrayLike<number>, p: number): number {
  return sorted[Math.max(0, Math.ceil(p * sorted.length) - 1)] ?? Number.NaN;
}
