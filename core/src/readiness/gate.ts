import { calendarDay, formatApart, shortDay, daysBetween, type Instant } from '../quantities/index.ts';
import { demandInWords } from '../ladders/index.ts';
import { type Measure, type MeasureOf, PROVISIONAL, readingInWords, sideDifference } from '../measuring/index.ts';
import { QUIET_UP_TO, stopSign, type Symptom, symptomInWords } from '../safety/index.ts';
import { type SessionFact, spacedCleanSessions } from './cleanSession.ts';
import { capacityInWords, type Headroom } from './headroom.ts';
import { limiterOf } from './limiter.ts';

export type GateLineKind = 'demand' | 'sides' | 'stop sign' | 'symptoms' | 'mornings' | 'clean sessions' | 'lock';

/** One condition of a gate, met or not, as a sentence. */
export interface GateLine {
  readonly kind: GateLineKind;
  readonly met: boolean;
  readonly sentence: string;
  readonly measureId?: string;
  readonly limiter?: boolean;
}

export interface Gate {
  readonly open: boolean;
  readonly lines: readonly GateLine[];
  readonly unmet: readonly GateLine[];
  readonly limiter?: Headroom;
}

export interface GateRules {
  readonly cleanSessions: number;
  /** Days over which sessions and symptoms count. */
  readonly sessionWindowDays: number;
  readonly quietDays: number;
}

/** Defaults (common practice, no source); a studio may change them. */
export const DEFAULT_GATE_RULES: GateRules = { cleanSessions: 2, sessionWindowDays: 28, quietDays: 7 };

export interface GateInput {
  /** Every demand of the rung, each side. */
  readonly headrooms: readonly Headroom[];
  /** Sessions of the last weeks, any order. */
  readonly sessions: readonly SessionFact[];
  /** Symptoms reported outside a session, and those of sessions. */
  readonly symptoms: readonly Symptom[];
  /** Stop signs that nobody has closed yet, as sentences. */
  readonly openStopSigns: readonly string[];
  /** Locks of the screening, as sentences. */
  readonly locks: readonly string[];
  /** Clean sessions count only after this moment (the last withdrawal). */
  readonly cleanSince?: Instant | undefined;
  /** The practice of the rung in hand; a clean session must contain it. */
  readonly practice?: { readonly drillId: string; readonly name: string } | undefined;
  readonly measureOf: MeasureOf;
  readonly now: Date;
  readonly rules?: GateRules;
}

/**
 * Judges a gate: every demand spare, sides alike, no open stop sign, symptoms quiet during and the
 * morning after, enough clean sessions, no lock. Each condition is one line with its sentence.
 *
 * @param input everything the verdict rests on; nothing else is looked at
 * @example judgeGate({ headrooms: [], sessions: [], symptoms: [], openStopSigns: [], locks: ['Medical hold'], measureOf, now })
 * // { open: false, unmet: [three lines: no demand, clean sessions, lock], … }
 */
export function judgeGate(input: GateInput): Gate {
  const rules = input.rules ?? DEFAULT_GATE_RULES;
  const limiter = limiterOf(input.headrooms);
  const lines = [
    ...(input.headrooms.length === 0 ? [NO_DEMANDS] : demandLines(input, limiter)),
    ...sideLines(input),
    stopSignLine(input.openStopSigns),
    duringLine(input, rules),
    morningLine(input, rules),
    cleanLine(input, rules),
    ...lockLines(input.locks),
  ];
  const unmet = lines.filter((l) => !l.met);
  return { open: unmet.length === 0, lines, unmet, ...(limiter ? { limiter } : {}) };
}

/** Nothing asked is nothing shown. */
const NO_DEMANDS: GateLine = {
  kind: 'demand',
  met: false,
  sentence: 'This rung asks for no check yet: write at least one demand into its ladder.',
};

function byMeasure(headrooms: readonly Headroom[]): readonly (readonly [string, readonly Headroom[]])[] {
  return [...new Set(headrooms.map((h) => h.demand.measureId))].map((id) => [id, headrooms.filter((h) => h.demand.measureId === id)]);
}

function passes({ state, demand, capacity }: Headroom): boolean {
  if (capacity?.provisional) return false;
  return state === 'spare' || (state === 'on the mark' && demand.allowOnTheMark);
}

function demandLines({ headrooms, measureOf }: GateInput, limiter: Headroom | undefined): GateLine[] {
  return byMeasure(headrooms).map(([measureId, sides]) => {
    const failing = sides.filter((h) => !passes(h));
    const shown = failing.length > 0 ? failing : sides;
    const measure = measureOf(measureId);
    return {
      kind: 'demand',
      measureId,
      met: failing.length === 0,
      limiter: failing.some((h) => h === limiter),
      sentence: unknownSentence(failing, measure) ?? shown.map((h) => demandSentence(h, measure)).join(' '),
    };
  });
}

/** One sentence where no side is known: never checked, or too long ago, the older side counting. */
function unknownSentence(sides: readonly Headroom[], measure: Measure): string | undefined {
  const [first] = sides;
  if (!first || sides.some((h) => h.state !== 'unknown')) return undefined;
  const { name, freshDays } = measure;
  if (sides.some((h) => h.inFuture)) return `${name} is dated in the future: set the clock right and check it again.`;
  if (sides.some((h) => !h.capacity)) return `${name} has never been checked; ${demandInWords(first.demand, measure)} asked.`;
  const age = Math.max(...sides.map((h) => h.ageDays ?? 0));
  return `${name} was last checked ${age} days ago; ${freshDays} days is the limit. Check it again.`;
}

function demandSentence(h: Headroom, measure: Measure): string {
  const asked = `${demandInWords(h.demand, measure)} asked`;
  if (h.capacity?.provisional) return `${capacityInWords(h, measure)}; ${asked}: ${PROVISIONAL[h.capacity.provisional]}.`;
  if (h.state === 'on the mark') {
    const verdict = h.demand.allowOnTheMark ? 'on the mark, which you allow here' : 'too close to call, more trials would decide';
    return `${capacityInWords(h, measure)}; ${asked}: ${verdict}.`;
  }
  return `${capacityInWords(h, measure)}; ${asked}.`;
}

function sideLines({ headrooms, measureOf }: GateInput): GateLine[] {
  return byMeasure(headrooms).flatMap(([measureId, sides]): GateLine[] => {
    const left = sides.find((h) => h.side === 'left');
    const right = sides.find((h) => h.side === 'right');
    if (!left?.capacity || !right?.capacity || left.stale || right.stale) return [];
    const measure = measureOf(measureId);
    const { difference, allowed, alike } = sideDifference(left.capacity, right.capacity);
    if (measure.choices) {
      const sentence = `${measure.name}: ${readingInWords(measure, left.capacity.value)} left, ${readingInWords(measure, right.capacity.value)} right; one step apart counts as alike.`;
      return [{ kind: 'sides', measureId, met: alike, sentence }];
    }
    const [differ, alikeUpTo] = formatApart(difference, allowed, measure.unit);
    const sentence = `Sides of ${measure.phrase} differ by ${differ}; up to ${alikeUpTo} counts as alike.`;
    return [{ kind: 'sides', measureId, met: alike, sentence }];
  });
}

function stopSignLine(openStopSigns: readonly string[]): GateLine {
  return openStopSigns.length === 0
    ? { kind: 'stop sign', met: true, sentence: 'No open stop sign.' }
    : { kind: 'stop sign', met: false, sentence: `Open stop sign: ${openStopSigns.join(' ')}` };
}

function duringLine({ symptoms, now }: GateInput, { quietDays }: GateRules): GateLine {
  // Whoever reported it and whether or not it belongs to a session; a stopping kind is loud at any strength, closed or not.
  const loud = symptoms.find((s) => (s.intensity > QUIET_UP_TO || stopSign(s) !== undefined) && daysBetween(s.at, now) <= quietDays);
  return loud
    ? {
        kind: 'symptoms',
        met: false,
        sentence: `${shortDay(loud.at, now)}: ${symptomInWords(loud)}. ${quietDays} days at ${QUIET_UP_TO}/10 or less are needed.`,
      }
    : { kind: 'symptoms', met: true, sentence: `No symptom above ${QUIET_UP_TO}/10 in the last ${quietDays} days.` };
}

function morningLine({ sessions, now }: GateInput, { quietDays }: GateRules): GateLine {
  const recent = sessions.filter((s) => daysBetween(s.performedAt, now) <= quietDays);
  for (const session of recent) {
    // A morning is one of a later day: an hour after the session nobody knows.
    const mornings = session.symptoms.filter((s) => s.moment === 'next morning' && calendarDay(s.at) > calendarDay(session.performedAt));
    if (mornings.length === 0) {
      const today = calendarDay(session.performedAt) === calendarDay(now);
      const sentence = today
        ? 'Today’s session counts once its next morning is recorded.'
        : `The morning after ${shortDay(session.performedAt, now)} is not recorded yet.`;
      return { kind: 'mornings', met: false, sentence };
    }
    const baseline = Math.max(0, ...session.symptoms.filter((s) => s.moment === 'before').map((s) => s.intensity));
    const worse = mornings.find((s) => s.intensity > baseline);
    if (worse)
      return {
        kind: 'mornings',
        met: false,
        sentence: `The morning after ${shortDay(session.performedAt, now)}: ${symptomInWords(worse)}, above the ${baseline}/10 before the session.`,
      };
  }
  return {
    kind: 'mornings',
    met: true,
    sentence:
      recent.length === 0
        ? `No session in the last ${quietDays} days, so no morning to ask about.`
        : 'Mornings after training were back to baseline.',
  };
}

function cleanLine({ sessions, cleanSince, practice, now }: GateInput, { cleanSessions, sessionWindowDays }: GateRules): GateLine {
  const counted = spacedCleanSessions(
    sessions.filter(
      (s) =>
        daysBetween(s.performedAt, now) <= sessionWindowDays &&
        (!cleanSince || s.performedAt > cleanSince) &&
        (!practice || s.drillIds.includes(practice.drillId)),
    ),
  );
  const what = practice ? ` with “${practice.name}”` : '';
  return {
    kind: 'clean sessions',
    met: counted.length >= cleanSessions,
    sentence: `${Math.min(counted.length, cleanSessions)} of ${cleanSessions} clean sessions${what} at the top of the dose, 48 hours apart, in the last ${sessionWindowDays} days.`,
  };
}

function lockLines(locks: readonly string[]): GateLine[] {
  return locks.map((sentence) => ({ kind: 'lock', met: false, sentence }));
}
