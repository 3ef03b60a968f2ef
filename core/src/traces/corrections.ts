import { cleanCount } from './clean.ts';
import type { TraceReading } from './readTrace.ts';

/** The coach overrules the count at one moment of a trace. */
export interface CountCorrection {
  readonly what: 'leave out' | 'count as well';
  /** Seconds from the start: the turn of the repetition left out or counted after all, or where one is added. */
  readonly at: number;
}

/**
 * How many repetitions count: the clean ones, once the coach has had a say. Leaving out what was not counted, or the same one twice,
 * changes nothing; so does counting what counts already.
 *
 * @example countAfter(reading, [{ what: 'leave out', at: reading.repetitions[0].turn }]) // one less
 */
export function countAfter({ repetitions }: Pick<TraceReading, 'repetitions'>, corrections: readonly CountCorrection[]): number {
  const moments = (what: CountCorrection['what']) => new Set(corrections.filter((c) => c.what === what).map((c) => c.at));
  const counted = new Set(repetitions.slice(0, cleanCount(repetitions).clean).map((r) => r.turn));
  for (const at of moments('leave out')) counted.delete(at);
  for (const at of moments('count as well')) counted.add(at);
  return counted.size;
}
