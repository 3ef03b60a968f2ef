import type { Repetition } from './repetitions.ts';

/** The first repetitions say what a whole one is; a later one is clean within these shares of them (project defaults). */
export const CLEAN = { first: 3, leastRange: 0.75, leastTime: 0.5, mostTime: 1.75 } as const;

/** The clean repetitions at the start of a set, and what ended them. */
export interface CleanCount {
  readonly clean: number;
  /** The first that was not: its turn, in what it fell off, and its share of the first ones. */
  readonly fellOff?: { readonly at: number; readonly what: 'range' | 'tempo'; readonly share: number };
}

/**
 * How many repetitions were clean: counted until the range shrinks under three quarters of the first ones, or the tempo leaves half to
 * 1¾ of theirs. The first ones are the median of up to three.
 *
 * @example repetitions of 41, 41, 39, 37, 31, 25, 22 and 20°: { clean: 5, fellOff: { what: 'range', share: 0.61 } }
 */
export function cleanCount(repetitions: readonly Repetition[]): CleanCount {
  const first = repetitions.slice(0, CLEAN.first);
  const whole = { range: median(first.map((r) => r.range)), time: median(first.map(timeOf)) };
  for (const [clean, repetition] of repetitions.entries()) {
    const range = repetition.range / whole.range;
    const time = timeOf(repetition) / whole.time;
    if (range < CLEAN.leastRange) return { clean, fellOff: { at: repetition.turn, what: 'range', share: range } };
    if (time < CLEAN.leastTime || time > CLEAN.mostTime) return { clean, fellOff: { at: repetition.turn, what: 'tempo', share: time } };
  }
  return { clean: repetitions.length };
}

const timeOf = ({ outTime, backTime }: Repetition) => outTime + backTime;

function median(values: readonly number[]): number {
  return values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? 1;
}
