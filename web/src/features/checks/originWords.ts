import type { ReadingDto } from '@myokinet/core/contracts';

/** Where a figure comes from, in a few words; nothing for one that was typed. */
export function originWords(reading: ReadingDto | null | undefined): string | undefined {
  if (!reading) return undefined;
  const { kind, instrument, simulated, points, trace } = reading;
  const corrections = trace?.corrections.length ?? 0;
  if (kind === 'trace')
    return `${trace?.ofClip ? 'clip' : 'trace'}, ${instrument}${corrections > 0 ? `, count corrected ${corrections === 1 ? 'once' : `${corrections} times`}` : ''}`;
  if (kind === 'set-up') return `known set-up, held ${reading.heldSeconds ?? 0} s`;
  if (kind === 'picture') return points?.some((p) => p.placedBy === 'suggested') ? 'picture, points suggested' : 'picture';
  return simulated ? instrument.replace(/^Simulated/, 'simulated') : instrument.toLowerCase();
}
