import { daysBetween, type Instant } from '../quantities/index.ts';
import { type SessionFact, spoiledBy } from './cleanSession.ts';
import type { GateFinding } from './findings.ts';
import type { GateInput } from './gateInput.ts';
import type { GateSettings } from './settings.ts';

/** Lighter than the rung by more than a tenth is another rung (project default). */
const LEAST_LOAD = 0.9;
/** Clocks of two machines differ a little: five minutes. */
const FUTURE_DAYS = 5 / (24 * 60);

/**
 * Enough clean sessions that hold the practice, far enough apart: after the last withdrawal and stop sign, after the trainee was
 * added and screened, and one session of a plan once, however often it was logged.
 */
export function cleanSessions(input: GateInput, settings: GateSettings): GateFinding[] {
  const { sessions, practice, since, now } = input;
  const { cleanSessions: needed, hoursApart, sessionWindowDays: windowDays } = settings;
  const counting = sessions.filter(
    (s) =>
      s.clean &&
      !spoiledBy(s.symptoms) &&
      daysBetween(s.performedAt, now) <= windowDays &&
      s.practised.some((p) => p.top && isPractice(p, practice)),
  );
  const counted = Math.min(needed, practisedSessions(counting, practice, since, now, hoursApart).length);
  return [
    {
      rule: 'clean-sessions',
      met: counted >= needed,
      ...{ counted, needed, hoursApart, windowDays },
      practice: practice.names,
      preparation: practice.preparation,
    },
  ];
}

/** Sessions that hold the practice under its load, after each of some moments, far enough apart, none in the future, each once. */
export function practisedSessions(
  sessions: readonly SessionFact[],
  practice: GateInput['practice'],
  since: readonly Instant[],
  now: Date,
  hoursApart: number,
): readonly SessionFact[] {
  const counting = sessions.filter(
    (s) =>
      daysBetween(s.performedAt, now) >= -FUTURE_DAYS &&
      since.every((moment) => s.performedAt > moment) &&
      s.practised.some((p) => isPractice(p, practice)),
  );
  return spaced(oncePerPlan(counting), hoursApart);
}

function isPractice({ drillId, load }: SessionFact['practised'][number], { drillIds }: GateInput['practice']): boolean {
  return drillIds.includes(drillId) && load >= LEAST_LOAD;
}

/** The same planned session in two logs is one session. */
function oncePerPlan(sessions: readonly SessionFact[]): readonly SessionFact[] {
  const seen = new Set<string>();
  return byTime(sessions).filter(({ plannedSessionId }) => {
    if (!plannedSessionId) return true;
    if (seen.has(plannedSessionId)) return false;
    seen.add(plannedSessionId);
    return true;
  });
}

const MS_PER_HOUR = 3_600_000;

/**
 * Sessions that are far enough apart, oldest first: each so many elapsed hours after the one counted before, whatever clocks did.
 *
 * @example spaced([monday, tuesday, wednesday], 48) // [monday, wednesday]
 */
export function spaced<T extends { readonly performedAt: Instant }>(sessions: readonly T[], hoursApart: number): readonly T[] {
  const counted: T[] = [];
  for (const session of byTime(sessions)) {
    const last = counted.at(-1);
    if (!last || Date.parse(session.performedAt) - Date.parse(last.performedAt) >= hoursApart * MS_PER_HOUR) counted.push(session);
  }
  return counted;
}

function byTime<T extends { readonly performedAt: Instant }>(sessions: readonly T[]): readonly T[] {
  return [...sessions].sort((a, b) => a.performedAt.localeCompare(b.performedAt));
}
