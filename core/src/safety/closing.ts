import { addDays, type CalendarDay, calendarDay, daysBetween, type Instant } from '../quantities/index.ts';
import type { ProfessionalRole } from './professionals.ts';
import { BRIEF_KINDS } from './painRule.ts';
import { atSamePlace, type Symptom } from './symptoms.ts';

/** Hours without pain at the place after which a coach may close a sharp one (professional judgement, from memory, no single source). */
export const PAINLESS_HOURS = 48;
/** Up to here a coach may. */
const COACH_UP_TO = 4;

/** A licensed professional's word about a stop sign: by role, and on which day. */
export interface HeardWord {
  readonly role: ProfessionalRole;
  readonly consultedOn: CalendarDay;
}

/** Why a stop sign may not be closed yet; how it reads is said in `words`. */
export type ClosingProblem =
  | { readonly code: 'professional-only' }
  | { readonly code: 'not-painless'; readonly from: Instant }
  | { readonly code: 'word-before' }
  | { readonly code: 'word-future' };

/**
 * Who may close a stop sign. A coach closes only a sharp pain or a pinch of at most 4, after 48 hours without pain at that place; all
 * else a licensed professional, heard on the day of the sign or later.
 *
 * @param sign the symptom that is a stop sign
 * @param felt every report, to know when the place was last felt
 * @param word absent: the coach closes it
 * @example closingProblem({ kind: 'ache', intensity: 6, … }, [], undefined, now) // { code: 'professional-only' }
 */
export function closingProblem(
  sign: Symptom,
  felt: readonly Symptom[],
  word: HeardWord | undefined,
  now: Date,
): ClosingProblem | undefined {
  if (word) {
    if (word.consultedOn > calendarDay(now)) return { code: 'word-future' };
    return word.consultedOn < calendarDay(sign.at) ? { code: 'word-before' } : undefined;
  }
  if (!BRIEF_KINDS.includes(sign.kind) || sign.intensity > COACH_UP_TO) return { code: 'professional-only' };
  const last = felt.reduce((newest, s) => (s.intensity > 0 && atSamePlace(s, sign) && s.at > newest ? s.at : newest), sign.at);
  const from = addDays(last, PAINLESS_HOURS / 24);
  return daysBetween(from, now) < 0 ? { code: 'not-painless', from } : undefined;
}
