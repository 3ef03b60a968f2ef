import type { Ladder } from '../ladders/index.ts';
import { calendarDay, daysBetween, type Instant } from '../quantities/index.ts';
import type { DueOutcome } from '../outcomes/index.ts';
import type { Morning, ScreeningLock, Symptom } from '../safety/index.ts';
import type { Verdict } from './verdict.ts';

/** One thing to do about a trainee today; how it reads is said in `words`. */
export type DueToday =
  | { readonly kind: 'stop sign'; readonly symptom: Symptom }
  | { readonly kind: 'screening'; readonly lock: ScreeningLock }
  | { readonly kind: 'withdrawn'; readonly rungName: string; readonly reason: string }
  | { readonly kind: 'sign'; readonly rungName: string }
  | { readonly kind: 'morning'; readonly sessionId: string; readonly performedAt: Instant; readonly told?: Morning }
  /** What became of a clearance. */
  | ({ readonly kind: 'outcome' } & DueOutcome)
  /** Words of the trainee that no coach has read. */
  | { readonly kind: 'note'; readonly text: string; readonly more: number }
  | ({ readonly kind: 'session'; readonly ladderName: string } & SessionToday)
  | { readonly kind: 're-check'; readonly measureIds: readonly string[]; readonly lapsed: boolean };

/** What is special about a session: a gate to sign, checks to take, the first day on a new rung. */
export type SpecialToday = 'sign' | 're-check' | 'new-rung';

/** A session of today beside its ladder. */
interface SessionToday {
  readonly care?: 'stop sign' | 'locked';
  readonly mainDrillId?: string;
  /** When it begins, like `17:30`, where the brief says. */
  readonly startsAt?: string;
  /** Where it is, as the plan says. */
  readonly place?: string;
  readonly special?: readonly SpecialToday[];
}

/** What Today rests on, of one trainee. */
export interface TodayFacts {
  readonly verdict: Pick<Verdict, 'rung' | 'gate' | 'headrooms' | 'standing'>;
  /** Clearances that a correction has taken back. */
  readonly withdrawn: readonly { readonly at: Instant; readonly rungName: string; readonly reason: string }[];
  /** What the screening waits for; nothing while it is fresh. */
  readonly screeningWaits: ScreeningLock | undefined;
  readonly openStopSigns: readonly Symptom[];
  readonly sessions: readonly { readonly id: string; readonly performedAt: Instant }[];
  readonly symptoms: readonly (Pick<Symptom, 'moment' | 'reportedBy'> & { readonly sessionId: string | null })[];
  readonly trainsToday: boolean;
  /** What today's session is for, where one is planned and says it. */
  readonly mainDrillId?: string | undefined;
  /** When today's session begins and where it is, where it is known. */
  readonly appointment?: { readonly startsAt?: string | undefined; readonly place?: string | undefined } | undefined;
  readonly ladder: Pick<Ladder, 'name'>;
  /** Words of the trainee that no coach has read, oldest first. */
  readonly unread?: readonly string[] | undefined;
  /** How mornings after sessions were, as trainees told it. */
  readonly told?: ReadonlyMap<string, Morning> | undefined;
  /** Clearances to ask about. */
  readonly outcomes?: readonly DueOutcome[] | undefined;
  readonly now: Date;
}

/** Mornings are asked about for this long; later the memory says little (project default). */
const MORNING_DAYS = 7;
/** A clearance that a correction took back is shown for so long (project default). */
const SHOWN_DAYS = 7;

/**
 * What there is to do about a trainee today, in the order of what hurts if left.
 *
 * @example dueToday({ …, openStopSigns: [sharp] })[0].kind // 'stop sign'
 */
export function dueToday(facts: TodayFacts): readonly DueToday[] {
  const { verdict, withdrawn, screeningWaits, openStopSigns, ladder, now } = facts;
  const { rung, gate } = verdict;
  return [
    ...openStopSigns.map((symptom): DueToday => ({ kind: 'stop sign', symptom })),
    ...withdrawn
      .filter(({ at }) => daysBetween(at, now) <= SHOWN_DAYS)
      .map(({ rungName, reason }): DueToday => ({ kind: 'withdrawn', rungName, reason })),
    ...(screeningWaits === undefined ? [] : [{ kind: 'screening', lock: screeningWaits } as const]),
    ...(gate?.open && rung ? [{ kind: 'sign', rungName: rung.name } as const] : []),
    ...notes(facts),
    ...mornings(facts),
    ...(trainsStill(facts) ? [{ kind: 'session', ladderName: ladder.name, ...sessionToday(facts) } as const] : []),
    ...(facts.outcomes ?? []).map((due): DueToday => ({ kind: 'outcome', ...due })),
    ...recheck(verdict),
  ];
}

/** Mornings after sessions of days before this one that nobody has answered for. */
function mornings({ sessions, symptoms, told, now }: TodayFacts): readonly DueToday[] {
  const today = calendarDay(now);
  const answered = new Set(symptoms.filter((s) => s.moment === 'next morning' && !s.reportedBy).map((s) => s.sessionId));
  return sessions
    .filter(({ id, performedAt }) => daysBetween(performedAt, now) <= MORNING_DAYS && !answered.has(id) && calendarDay(performedAt) < today)
    .map(({ id, performedAt }) => {
      const how = told?.get(id);
      return { kind: 'morning', sessionId: id, performedAt, ...(how ? { told: how } : {}) };
    });
}

/** The oldest note that waits, and how many after it. */
function notes({ unread = [] }: TodayFacts): readonly DueToday[] {
  const [text, ...more] = unread;
  return text === undefined ? [] : [{ kind: 'note', text, more: more.length }];
}

function trainsStill({ trainsToday, sessions, now }: TodayFacts): boolean {
  return trainsToday && !sessions.some((s) => calendarDay(s.performedAt) === calendarDay(now));
}

function sessionToday(facts: TodayFacts): SessionToday {
  const { openStopSigns, verdict, appointment } = facts;
  const special = specialOf(facts);
  return {
    ...care(openStopSigns, verdict.gate),
    ...main(facts),
    ...(appointment?.startsAt === undefined ? {} : { startsAt: appointment.startsAt }),
    ...(appointment?.place === undefined ? {} : { place: appointment.place }),
    ...(special.length > 0 ? { special } : {}),
  };
}

function specialOf({ verdict, sessions }: TodayFacts): readonly SpecialToday[] {
  const { standing, gate } = verdict;
  const signedAt = standing.rungs[standing.here]?.clearance?.signedAt;
  return [
    ...(gate?.open ? (['sign'] as const) : []),
    ...(recheck(verdict).length > 0 ? (['re-check'] as const) : []),
    ...(signedAt !== undefined && sessions.every((s) => s.performedAt < signedAt) ? (['new-rung'] as const) : []),
  ];
}

/** What it is for; behind a stop sign or a lock nobody is shown what not to do. */
function main({ mainDrillId, openStopSigns, verdict }: TodayFacts): { readonly mainDrillId?: string } {
  return mainDrillId === undefined || care(openStopSigns, verdict.gate).care ? {} : { mainDrillId };
}

/** What to think of before today's session starts. */
function care(openStopSigns: readonly Symptom[], gate: Verdict['gate']): { readonly care?: 'stop sign' | 'locked' } {
  if (openStopSigns.length > 0) return { care: 'stop sign' };
  return gate?.unmet.some(({ rule }) => rule === 'screening' || rule === 'rung-open') ? { care: 'locked' } : {};
}

function recheck({ headrooms, standing }: TodayFacts['verdict']): readonly DueToday[] {
  const lapse = standing.rungs[standing.here]?.lapse;
  if (lapse) return [{ kind: 're-check', measureIds: [lapse.measureId], lapsed: true }];
  const due = [...new Set(headrooms.filter((h) => h.state === 'unknown').map((h) => h.demand.measureId))];
  return due.length === 0 ? [] : [{ kind: 're-check', measureIds: due, lapsed: false }];
}
