/** Layers of equal area under the normal curve; where the last one begins, and the area of each (Doornik 2005, from memory). */
const LAYERS = 128;
const TAIL = 3.442619855899;
const AREA = 9.91256303526217e-3;

const density = (x: number) => Math.exp(-0.5 * x * x);

/** Right ends of the layers, the lowest first. */
const ENDS = endsOfLayers();

function endsOfLayers(): Float64Array {
  const ends = new Float64Array(LAYERS + 1);
  ends[0] = AREA / density(TAIL);
  ends[1] = TAIL;
  for (let i = 2; i < LAYERS; i++) {
    const below = ends[i - 1] ?? 0;
    ends[i] = Math.sqrt(-2 * Math.log(AREA / below + density(below)));
  }
  return ends;
}

/**
 * Standard normal draws from uniform ones, by the ziggurat (Marsaglia and Tsang 2000): most draws cost one uniform and two products.
 *
 * @example normalDraws(seedrandom.alea('one'))() // 0.31
 */
export function normalDraws(random: () => number): () => number {
  return () => {
    for (;;) {
      const scaled = random() * LAYERS;
      const layer = Math.floor(scaled);
      const u = 2 * (scaled - layer) - 1;
      const end = ENDS[layer] ?? 0;
      const inner = ENDS[layer + 1] ?? 0;
      const x = u * end;
      if (Math.abs(x) < inner) return x;
      if (layer === 0) return Math.sign(u) * tailDraw(random);
      const [low, high] = [density(end), density(inner)];
      if (low + random() * (high - low) < density(x)) return x;
    }
  };
}

/** Beyond the last layer (Marsaglia 1964). */
function tailDraw(random: () => number): number {
  for (;;) {
    const x = -Math.log(1 - random()) / TAIL;
    const y = -Math.log(1 - random());
    if (2 * y >= x * x) return TAIL + x;
  }
}

/**
 * The p-quantile of sorted values: the least value that at least a share p of them does not exceed.
 *
 * @example quantileOf([1, 2, 3, 4], 0.5) // 2
 */
export function quantileOf(sorted: ArrayLike<number>, p: number): number {
  return sorted[Math.max(0, Math.ceil(p * sorted.length) - 1)] ?? Number.NaN;
}
