import type { TraceReading } from './readTrace.ts';

/** The coach overrules the count at one moment of a trace. */
export interface CountCorrection {
  readonly what: 'leave out' | 'count as well';
  /** Seconds from the start: the turn of the repetition left out, or where one is added. */
  readonly at: number;
}

/**
 * How many repetitions count once the coach has had a say. Leaving out what was not counted, or the
 * same one twice, changes nothing.
 *
 * @example countAfter(reading, [{ what: 'leave out', at: reading.repetitions[0].turn }]) // one less
 */
export function countAfter({ repetitions }: Pick<TraceReading, 'repetitions'>, corrections: readonly CountCorrection[]): number {
  const leftOut = new Set(corrections.filter((c) => c.what === 'leave out').map((c) => c.at));
  const added = new Set(corrections.filter((c) => c.what === 'count as well').map((c) => c.at));
  return repetitions.filter((r) => !leftOut.has(r.turn)).length + added.size;
}
