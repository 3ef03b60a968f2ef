const BISECTIONS = 200;

/** The x at which an increasing function reaches `target`, by bisection between two brackets. */
export function invertIncreasing(f: (x: number) => number, target: number, low: number, high: number): number {
  let [a, b] = [low, high];
  for (let i = 0; i < BISECTIONS && b - a > Number.EPSILON * Math.max(1, Math.abs(a)); i++) {
    const middle = (a + b) / 2;
    if (f(middle) < target) a = middle;
    else b = middle;
  }
  return (a + b) / 2;
}
