import { type Gate, type GateFinding, type SessionFact, spoiledBy } from '../readiness/index.ts';
import { daysBetween } from '../quantities/index.ts';
import { quantileOf } from './draws.ts';
import { judgementOf, type Symptom } from '../safety/index.ts';

/** What nobody can wait for: somebody has to act first. */
export type Blocked = 'stop-signs' | 'screening' | 'rung-open' | 'demand-asked' | 'nobody-trains';

/** What a gate still waits for besides figures, in days from now. */
export interface Waits {
  readonly blocked: readonly Blocked[];
  /** Days until symptoms, mornings, a closed stop sign and the tissue's time have had theirs, if nothing new comes. */
  readonly days: number;
  /** Sessions that are still to come, and the hours that must lie between them. */
  readonly sessions: readonly { readonly rule: 'clean-sessions' | 'tissue-time'; readonly missing: number; readonly hoursApart: number }[];
}

/** How somebody trains: what the sessions of the last weeks tell. */
export interface Rhythm {
  readonly sessionsPerWeek: number;
  /** Minutes of a usual session: the median of late; 0 where none is known. */
  readonly minutes: number;
  /** Sessions of those weeks, and how many of them counted at a gate. */
  readonly held: number;
  readonly counted: number;
}

const DAYS_PER_WEEK = 7;
/** Weeks whose sessions tell a rhythm. */
const RHYTHM_WEEKS = 4;

/**
 * How often somebody trained in the last four weeks, and how often so that it counts.
 *
 * @param practice drills that a clean session must hold
 * @param minutes of the sessions of late, any order
 * @example rhythmOf([monday, thursday], ['plank'], now, [45, 40]) // { sessionsPerWeek: 0.5, minutes: 40, held: 2, counted: 1 }
 */
export function rhythmOf(
  sessions: readonly SessionFact[],
  practice: readonly string[],
  now: Date,
  minutes: readonly number[] = [],
): Rhythm {
  const recent = sessions.filter((s) => {
    const age = daysBetween(s.performedAt, now);
    return age >= 0 && age <= RHYTHM_WEEKS * DAYS_PER_WEEK;
  });
  const counted = recent.filter(
    (s) => s.clean && !spoiledBy(s.symptoms) && s.practised.some((p) => p.top && practice.includes(p.drillId)),
  ).length;
  const sorted = [...minutes].sort((a, b) => a - b);
  return {
    sessionsPerWeek: recent.length / RHYTHM_WEEKS,
    minutes: sorted.length === 0 ? 0 : quantileOf(sorted, 0.5),
    ...{ held: recent.length, counted },
  };
}

/**
 * What a gate waits for, read off its findings.
 *
 * @param gate as judged now
 * @param symptoms of the last weeks: the last loud one starts the quiet days
 * @example waitsOf(gate, [], rhythm, now) // { blocked: [], days: 0, sessions: [{ rule: 'clean-sessions', missing: 1, hoursApart: 48 }] }
 */
export function waitsOf(gate: Gate, symptoms: readonly Symptom[], rhythm: Rhythm, now: Date): Waits {
  const sessions = gate.unmet.flatMap((f): Waits['sessions'] => {
    if (f.rule !== 'clean-sessions' && f.rule !== 'tissue-time') return [];
    return f.needed > f.counted ? [{ rule: f.rule, missing: f.needed - f.counted, hoursApart: f.hoursApart }] : [];
  });
  const acts = gate.unmet.flatMap(({ rule }): Blocked[] =>
    rule === 'stop-signs' || rule === 'screening' || rule === 'rung-open' || rule === 'demand-asked' ? [rule] : [],
  );
  const blocked: readonly Blocked[] = sessions.length > 0 && rhythm.sessionsPerWeek === 0 ? [...acts, 'nobody-trains'] : acts;
  return { blocked: [...new Set(blocked)], days: Math.max(0, ...gate.unmet.map((f) => daysOf(f, symptoms, now))), sessions };
}

function daysOf(finding: GateFinding, symptoms: readonly Symptom[], now: Date): number {
  switch (finding.rule) {
    case 'settled':
      return finding.closedAt ? finding.days - daysBetween(finding.closedAt, now) : 0;
    case 'symptoms':
      return Math.max(0, ...symptoms.filter((s) => !judgementOf(s).quiet).map((s) => finding.days - daysBetween(s.at, now)));
    case 'mornings':
      // One that nobody asked about can be heard tomorrow; a worse one has to go out of the quiet days.
      return finding.problem?.kind === 'worse' ? finding.days - daysBetween(finding.problem.symptom.at, now) : 1;
    case 'tissue-time':
      return -daysBetween(finding.earliest, now);
    default:
      return 0;
  }
}
