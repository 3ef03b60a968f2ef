import { addDays, daysBetween, type Instant } from '../quantities/index.ts';

/** Weeks after a clearance at which it is asked what became of it. */
export const OUTCOME_WEEKS = [2, 6, 12] as const;
/** What became of a clearance; `unknown`: nobody can say, as when it was never used. */
export const OUTCOME_IDS = ['well', 'flared', 'stepped-back', 'unknown'] as const;
export type Outcome = (typeof OUTCOME_IDS)[number];

/** A clearance that somebody signed. */
export interface Cleared {
  readonly clearanceId: string;
  readonly rungName: string;
  readonly signedAt: Instant;
  /** Taken back, and by whom: a correction says that it should never have been. */
  readonly withdrawn?: { readonly at: Instant; readonly by: 'coach' | 'stop sign' | 'correction' } | undefined;
}

export interface Answered {
  readonly clearanceId: string;
  readonly weeks: number;
}

/** What happened after a clearance, as far as it is on record. */
export interface Since {
  /** Sessions held. */
  readonly sessions: readonly Instant[];
  /** Symptoms loud enough to spoil a session. */
  readonly loud: readonly Instant[];
}

/** What the record suggests, and by what: the coach's answer counts, not this. */
export type Suggestion =
  | { readonly outcome: 'stepped-back'; readonly because: 'withdrawn' }
  | { readonly outcome: 'flared'; readonly because: 'stop sign' }
  | { readonly outcome: 'flared'; readonly because: 'symptoms'; readonly count: number }
  | { readonly outcome: 'well'; readonly because: 'sessions'; readonly count: number }
  | { readonly outcome: 'unknown'; readonly because: 'hardly trained'; readonly count: number };

export interface DueOutcome {
  readonly clearanceId: string;
  readonly rungName: string;
  readonly signedAt: Instant;
  readonly weeks: (typeof OUTCOME_WEEKS)[number];
  readonly suggested: Suggestion;
}

const DAYS_PER_WEEK = 7;
/** So long it is asked; then it is given up, and the next weeks ask anew. */
const ASKED_DAYS = 28;
/** Fewer sessions tell nothing of how it went (project default). */
const SESSIONS_TOLD = 2;

/**
 * The clearances to ask about now: each at the last of its weeks that has come, while nobody has answered. One that a correction took back
 * is not asked about.
 *
 * @param sinceOf what happened from a signature on, until a moment
 * @example outcomesDue([signedThreeWeeksAgo], [], sinceOf, now)[0].weeks // 2
 */
export function outcomesDue(
  cleared: readonly Cleared[],
  answered: readonly Answered[],
  sinceOf: (clearance: Cleared) => Since,
  now: Date,
): readonly DueOutcome[] {
  return cleared.flatMap((clearance): DueOutcome[] => {
    if (clearance.withdrawn?.by === 'correction') return [];
    const { clearanceId, rungName, signedAt } = clearance;
    const age = daysBetween(signedAt, now);
    const weeks = OUTCOME_WEEKS.findLast((w) => age >= w * DAYS_PER_WEEK);
    if (weeks === undefined || age >= weeks * DAYS_PER_WEEK + ASKED_DAYS) return [];
    if (answered.some((a) => a.clearanceId === clearanceId && a.weeks >= weeks)) return [];
    return [{ clearanceId, rungName, signedAt, weeks, suggested: suggestOutcome(clearance, weeks, sinceOf(clearance)) }];
  });
}

/**
 * What the record says of the weeks after a clearance. A pain that was never told is not seen, so it suggests and never decides.
 *
 * @example suggestOutcome(clearance, 2, { sessions: [], loud: [] }) // { outcome: 'unknown', because: 'hardly trained', count: 0 }
 */
export function suggestOutcome({ signedAt, withdrawn }: Cleared, weeks: number, { sessions, loud }: Since): Suggestion {
  const until = addDays(new Date(signedAt), weeks * DAYS_PER_WEEK);
  const within = (at: Instant) => at > signedAt && at <= until;
  if (withdrawn && within(withdrawn.at))
    return withdrawn.by === 'stop sign' ? { outcome: 'flared', because: 'stop sign' } : { outcome: 'stepped-back', because: 'withdrawn' };
  const felt = loud.filter(within).length;
  if (felt > 0) return { outcome: 'flared', because: 'symptoms', count: felt };
  const held = sessions.filter(within).length;
  return held >= SESSIONS_TOLD
    ? { outcome: 'well', because: 'sessions', count: held }
    : { outcome: 'unknown', because: 'hardly trained', count: held };
}
