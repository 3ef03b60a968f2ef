import { addDays, type CalendarDay, calendarDay, type Instant } from '../quantities/index.ts';

export const GUARDIAN_ROLES = ['parent', 'guardian'] as const;
export type GuardianRole = (typeof GUARDIAN_ROLES)[number];

/** That whoever is responsible for a child agreed, on a day, after what was said to them. Only roles, never names. */
export interface GuardianConsent {
  readonly role: GuardianRole;
  readonly givenOn: CalendarDay;
  /** A consent taken back. */
  readonly agreed: boolean;
}

/** Asked again after so many days (project default). */
export const CONSENT_DAYS = 365;

/**
 * Whether a consent stands: the newest word counts, for a year.
 *
 * @param words newest first
 */
export function consentStands(words: readonly GuardianConsent[], now: Date): boolean {
  const [newest] = words;
  if (!newest?.agreed) return false;
  const today = calendarDay(now);
  const last = addDays(`${newest.givenOn}T12:00:00.000Z` as Instant, CONSENT_DAYS).slice(0, 10);
  return newest.givenOn <= today && today <= last;
}
