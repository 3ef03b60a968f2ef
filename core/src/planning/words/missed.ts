import type { MissedShift } from '../missed.ts';
import { dayShort } from '../spacing.ts';

/**
 * What to do about a missed session, in a sentence.
 *
 * @example missedInWords({ sessionId, day: '2026-11-30', to: '2026-12-04', loaded: true }) // 'Mon 30 Nov was missed: it fits on Fri 4 Dec, …'
 */
export function missedInWords({ day, to, loaded }: MissedShift): string {
  return to
    ? `${dayShort(day)} was missed: it fits on ${dayShort(to)}${loaded ? ', 48 hours from other loads' : ''}.`
    : `${dayShort(day)} was missed, and no day of the week is left for it: let it go, the next week stays as planned.`;
}
