import { calendarDay, daysBetween, type Instant } from '../quantities/index.ts';
import { atSamePlace, isSoreMuscle, judgementOf, type Symptom } from '../safety/index.ts';
import type { SessionFact } from './cleanSession.ts';
import type { GateFinding, MorningProblem } from './findings.ts';
import type { GateInput } from './gateInput.ts';
import type { GateSettings } from './settings.ts';

/** Nobody has left a stop sign open. */
export function stopSigns({ openStopSigns }: GateInput): GateFinding[] {
  return [{ rule: 'stop-signs', met: openStopSigns.length === 0, open: openStopSigns }];
}

/** A stop sign that was closed has had its quiet days. */
export function settled({ lastStopSignClosedAt: closedAt, now }: GateInput, { quietDays: days }: GateSettings): GateFinding[] {
  if (!closedAt) return [];
  return [{ rule: 'settled', met: daysBetween(closedAt, now) > days, closedAt, days }];
}

/** Whoever reported it and whether or not it belongs to a session; a stopping kind is loud at any strength, closed or not. */
export function symptoms({ symptoms: all, now }: GateInput, { quietDays: days }: GateSettings): GateFinding[] {
  const loud = all.find((s) => !judgementOf(s).quiet && daysBetween(s.at, now) <= days);
  return [{ rule: 'symptoms', met: !loud, days, ...(loud ? { loud } : {}) }];
}

/**
 * The morning after every session of the quiet days was reported, on a later day, and was at no place worse than before the session.
 * A morning inside the quiet days counts also where its session lies just outside. A little soreness of muscle is no worse morning; at
 * a place of a known lasting pain one point more may be there, if it is gone after two days.
 */
export function mornings({ sessions, symptoms: all, now }: GateInput, { quietDays: days }: GateSettings): GateFinding[] {
  const recent = sessions.filter((s) => daysBetween(s.performedAt, now) <= days);
  const problems = sessions.flatMap((session): MorningProblem[] => {
    const after = morningsAfter(session);
    // What a trainee tells may be worse; that it was quiet a coach has to have heard.
    if (recent.includes(session) && after.every((m) => m.reportedBy)) return [notReported(session.performedAt, now)];
    const worse = after.filter((m) => daysBetween(m.at, now) <= days).find((m) => isWorse(session, m, all));
    return worse ? [{ kind: 'worse', performedAt: session.performedAt, symptom: worse, before: before(session, worse) }] : [];
  });
  const [problem] = problems;
  return [{ rule: 'mornings', met: !problem, days, sessions: recent.length, ...(problem ? { problem } : {}) }];
}

/** A morning is one of a later day: an hour after the session nobody knows. */
function morningsAfter({ performedAt, symptoms: felt }: SessionFact): readonly Symptom[] {
  return felt.filter((s) => s.moment === 'next morning' && calendarDay(s.at) > calendarDay(performedAt));
}

/** Hours after a session by which a point more at a place of lasting pain is gone again. */
const BACK_HOURS = 48;
const HOURS_PER_DAY = 24;

function isWorse(session: SessionFact, morning: Symptom, all: readonly Symptom[]): boolean {
  const { quiet, usual } = judgementOf(morning);
  if (isSoreMuscle(morning) && quiet) return false;
  const there = before(session, morning);
  if (usual === undefined) return morning.intensity > there;
  const more = morning.intensity - Math.max(there, usual);
  if (more <= 0 || more > 1) return more > 1;
  return all.some(
    (s) =>
      atSamePlace(s, morning) &&
      s.intensity >= morning.intensity &&
      daysBetween(session.performedAt, new Date(s.at)) * HOURS_PER_DAY >= BACK_HOURS,
  );
}

/** What was there at the same place before the session. */
function before({ symptoms: felt }: SessionFact, morning: Symptom): number {
  return Math.max(0, ...felt.filter((s) => s.moment === 'before' && atSamePlace(s, morning)).map((s) => s.intensity));
}

function notReported(performedAt: Instant, now: Date): MorningProblem {
  return { kind: calendarDay(performedAt) === calendarDay(now) ? 'still to come' : 'not reported', performedAt };
}
