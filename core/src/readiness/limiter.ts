import type { Headroom } from './headroom.ts';

/**
 * What holds the trainee back: the headroom with the fewest error bands. When nothing is short,
 * an unknown one comes first ("check this next").
 *
 * @param headrooms every demand of a rung, each side
 * @returns undefined only for an empty list
 * @example limiterOf([headroomOf(-0.5), headroomOf(-2.1)]) // the one at −2.1 bands
 */
export function limiterOf(headrooms: readonly Headroom[]): Headroom | undefined {
  return [...headrooms].sort(byUrgency)[0];
}

const RANK = { short: 0, unknown: 1, 'on the mark': 2, spare: 3 } as const;

/** Shortest headroom first; unknown after short and before all that is known to hold. */
export function byUrgency(a: Headroom, b: Headroom): number {
  if (RANK[a.state] !== RANK[b.state]) return RANK[a.state] - RANK[b.state];
  return (a.bands ?? 0) - (b.bands ?? 0);
}
