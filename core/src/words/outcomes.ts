import type { Outcome, ReliabilityGroup, Suggestion, Telling } from '../outcomes/index.ts';
import { joined } from './joined.ts';
import type { MeasureOf } from '../measuring/index.ts';

/** What became of a clearance, as a coach answers it. */
export const OUTCOME_WORDS: Readonly<Record<Outcome, string>> = {
  well: 'went well',
  flared: 'flared up',
  'stepped-back': 'stepped back',
  unknown: 'cannot say',
};

/**
 * What the record suggests of the weeks after a clearance.
 *
 * @example suggestionInWords({ outcome: 'well', because: 'sessions', count: 5 }) // 'On record: 5 sessions, and nothing loud was felt.'
 */
export function suggestionInWords(suggestion: Suggestion): string {
  switch (suggestion.because) {
    case 'withdrawn':
      return 'On record: the clearance was taken back.';
    case 'stop sign':
      return 'On record: a stop sign took the clearance back.';
    case 'symptoms':
      return `On record: felt something loud ${suggestion.count === 1 ? 'once' : `${suggestion.count} times`}.`;
    case 'sessions':
      return `On record: ${suggestion.count} sessions, and nothing loud was felt.`;
    case 'hardly trained':
      return `On record: ${suggestion.count === 0 ? 'no session' : 'one session'}, so nothing is known.`;
  }
}

const percent = (share: number) => `${Math.round(100 * share)}%`;

/**
 * Of those cleared, how many flared up, with what that share may truly be.
 *
 * @example reliabilityInWords({ key: 'all', cleared: 10, flared: 2, share: 0.2, from: 0.025, to: 0.556 })
 * // '2 of 10 flared up or stepped back: 20%, and truly anything from 3% to 56%.'
 */
export function reliabilityInWords({ cleared, flared, share, from, to }: Omit<ReliabilityGroup, 'key'>): string {
  return `${flared} of ${cleared} flared up or stepped back: ${percent(share)}, and truly anything from ${percent(from)} to ${percent(to)}.`;
}

/**
 * Which demands a coach should look at.
 *
 * @example tellingInWords([], library.measure) // 'No demand tells those who flared up from the others beyond chance.'
 */
export function tellingInWords(telling: readonly Telling[], measureOf: MeasureOf): string {
  const named = telling.filter((t) => t.lookAt).map((t) => measureOf(t.measureId).name);
  if (named.length === 0) return 'No demand tells those who flared up from the others beyond chance.';
  return `Look at what is asked of ${joined(named)}: those who flared up had less to spare there than the others, beyond chance. Nothing changes by itself.`;
}
