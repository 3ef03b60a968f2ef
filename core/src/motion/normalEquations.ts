import { valueAt } from './joints.ts';

/** The normal equations of a step: what the contacts ask (damped when solved), what the joints ask, and the right side. */
export interface Normal {
  readonly n: number;
  /** Lower half, row by row. */
  readonly contacts: Float64Array;
  readonly joints: Float64Array;
  readonly right: Float64Array;
}

/** The step of a damped system, by Cholesky. */
export function solved({ n, contacts, joints, right }: Normal, damping: number): Float64Array {
  const a = Float64Array.from(contacts);
  for (let i = 0; i < n; i += 1) a[i * n + i] = valueAt(a, i * n + i) * (1 + damping) + valueAt(joints, i) + 1e-9;
  for (let i = 0; i < n; i += 1)
    for (let j = 0; j <= i; j += 1) {
      let sum = valueAt(a, i * n + j);
      for (let k = 0; k < j; k += 1) sum -= valueAt(a, i * n + k) * valueAt(a, j * n + k);
      a[i * n + j] = i === j ? Math.sqrt(Math.max(sum, 1e-12)) : sum / valueAt(a, j * n + j);
    }
  const y = Float64Array.from(right);
  for (let i = 0; i < n; i += 1) {
    for (let k = 0; k < i; k += 1) y[i] = valueAt(y, i) - valueAt(a, i * n + k) * valueAt(y, k);
    y[i] = valueAt(y, i) / valueAt(a, i * n + i);
  }
  for (let i = n - 1; i >= 0; i -= 1) {
    for (let k = i + 1; k < n; k += 1) y[i] = valueAt(y, i) - valueAt(a, k * n + i) * valueAt(y, k);
    y[i] = valueAt(y, i) / valueAt(a, i * n + i);
  }
  return y;
}
