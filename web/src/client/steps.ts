/** Steps that can be undone and done again, the newest last. What stands now is held elsewhere: in a draft that outlives the page. */
export interface Steps<T> {
  readonly past: readonly T[];
  readonly future: readonly T[];
}

export const NO_STEPS: Steps<never> = { past: [], future: [] };

const MOST_STEPS = 100;

/** One more step, away from what stood until now; what was undone before it is gone. */
export function stepFrom<T>({ past }: Steps<T>, until: T): Steps<T> {
  return { past: [...past, until].slice(-MOST_STEPS), future: [] };
}

/** One step back or forth from what stands now: where that leads, and the steps from there. Nothing at the end of the way. */
export function travel<T>(
  { past, future }: Steps<T>,
  way: 'undo' | 'redo',
  now: T,
): { readonly to: T; readonly steps: Steps<T> } | undefined {
  const from = way === 'undo' ? past : future;
  if (from.length === 0) return undefined;
  const to = from.at(-1) as T;
  const rest = from.slice(0, -1);
  return { to, steps: way === 'undo' ? { past: rest, future: [...future, now] } : { past: [...past, now], future: rest } };
}
