import type { Ladder } from '../ladders/index.ts';
import type { MeasureOf } from '../measuring/index.ts';
import { calendarDay, daysBetween, type Instant, shortDay } from '../quantities/index.ts';
import type { Symptom } from '../safety/index.ts';
import type { Verdict } from './verdict.ts';

/** One thing to do about a trainee today. */
export interface DueToday {
  readonly kind: 'sign' | 'stop sign' | 'screening' | 'morning' | 'session' | 're-check';
  readonly sentence: string;
  /** The session a morning question or a planned session is about. */
  readonly sessionId?: string;
}

/** What Today rests on, of one trainee. */
export interface TodayFacts {
  readonly verdict: Pick<Verdict, 'rung' | 'gate' | 'headrooms' | 'standing'>;
  /** What the screening waits for; nothing while it is fresh. */
  readonly screeningWaits: string | undefined;
  /** Reasons of stop signs that are open. */
  readonly openStopSigns: readonly string[];
  readonly sessions: readonly { readonly id: string; readonly performedAt: Instant }[];
  readonly symptoms: readonly (Pick<Symptom, 'moment'> & { readonly sessionId: string | null })[];
  readonly trainsToday: boolean;
  readonly ladder: Pick<Ladder, 'name'>;
  readonly measureOf: MeasureOf;
  readonly now: Date;
}

/** Mornings are asked about for this long; later the memory says little (project default). */
const MORNING_DAYS = 7;

/**
 * What there is to do about a trainee today, in the order of what hurts if left.
 *
 * @example dueToday({ …, openStopSigns: ['Sharp 7/10, right shoulder.'] })[0].kind // 'stop sign'
 */
export function dueToday(facts: TodayFacts): readonly DueToday[] {
  const { verdict, screeningWaits, openStopSigns, ladder } = facts;
  const { rung, gate } = verdict;
  return [
    ...openStopSigns.map((sentence): DueToday => ({ kind: 'stop sign', sentence })),
    ...(screeningWaits === undefined ? [] : [{ kind: 'screening', sentence: screeningWaits } as const]),
    ...(gate?.open && rung ? [{ kind: 'sign', sentence: `“${rung.name}”: every line of the gate is met.` } as const] : []),
    ...mornings(facts),
    ...(trainsStill(facts)
      ? [{ kind: 'session', sentence: `Trains today on “${ladder.name}”${care(openStopSigns, gate)}.` } as const]
      : []),
    ...recheck(facts),
  ];
}

/** Mornings after sessions of days before this one that nobody has answered for. */
function mornings({ sessions, symptoms, now }: TodayFacts): readonly DueToday[] {
  const today = calendarDay(now);
  const answered = new Set(symptoms.filter((s) => s.moment === 'next morning').map((s) => s.sessionId));
  return sessions
    .filter(({ id, performedAt }) => daysBetween(performedAt, now) <= MORNING_DAYS && !answered.has(id) && calendarDay(performedAt) < today)
    .map(({ id, performedAt }) => ({
      kind: 'morning',
      sessionId: id,
      sentence: `How was the morning after ${shortDay(performedAt, now)}?`,
    }));
}

function trainsStill({ trainsToday, sessions, now }: TodayFacts): boolean {
  return trainsToday && !sessions.some((s) => calendarDay(s.performedAt) === calendarDay(now));
}

/** What to think of before today's session starts. */
function care(openStopSigns: readonly string[], gate: Verdict['gate']): string {
  if (openStopSigns.length > 0) return ': a stop sign is open, see to it first';
  return gate?.lines.some((l) => l.kind === 'lock') ? ': locked, look at the cautions first' : '';
}

function recheck({ verdict: { headrooms, standing }, measureOf }: TodayFacts): readonly DueToday[] {
  const lapse = standing.rungs[standing.here]?.lapse;
  if (lapse) return [{ kind: 're-check', sentence: `Clearance lapsed: ${lapse.reason}` }];
  const due = [...new Set(headrooms.filter((h) => h.state === 'unknown').map((h) => h.demand.measureId))];
  if (due.length === 0) return [];
  const names = due.map((id) => measureOf(id).name).join(', ');
  return [{ kind: 're-check', sentence: `${due.length === 1 ? 'Check' : `${due.length} checks`} due: ${names}.` }];
}
