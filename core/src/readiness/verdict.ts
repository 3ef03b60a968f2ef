import { demandsOn, type Ladder, type Rung } from '../ladders/index.ts';
import { exclusionByCaution, type Library } from '../library/index.ts';
import type { Capacity, MeasureOf } from '../measuring/index.ts';
import type { Instant } from '../quantities/index.ts';
import type { KnownBody } from '../statics/index.ts';
import { cautionInWords, type ScreeningOutcome, type Symptom } from '../safety/index.ts';
import type { SessionFact } from './cleanSession.ts';
import { type Gate, judgeGate } from './gate.ts';
import { headroom, type Headroom } from './headroom.ts';
import { byUrgency } from './limiter.ts';
import { type CheckDates, checkKey, type ClearanceFact, type Standing, standingOn } from './standing.ts';

/** Everything on record about a trainee that a verdict may rest on. */
export interface ReadinessFacts {
  readonly library: Library;
  readonly ladder: Ladder;
  readonly body: KnownBody;
  readonly screening: Pick<ScreeningOutcome, 'cautions' | 'locks'>;
  /** The latest capacity of each check and side. */
  readonly capacities: readonly Capacity[];
  readonly checkDates: CheckDates;
  readonly clearances: readonly ClearanceFact[];
  readonly sessions: readonly SessionFact[];
  readonly symptoms: readonly Symptom[];
  readonly openStopSigns: readonly string[];
  /** When the newest stop sign was felt, open or closed: clean sessions before it count no more. */
  readonly lastStopSignAt?: Instant | undefined;
  readonly now: Date;
}

export interface Verdict {
  readonly standing: Standing;
  /** The rung whose gate is judged; absent at the top of the ladder. */
  readonly rung?: Rung;
  /** Most urgent first. */
  readonly headrooms: readonly Headroom[];
  readonly gate?: Gate;
  /** Demands of the rung in hand that a fresh check no longer meets: reasons to think again. */
  readonly slipped: readonly Headroom[];
  /** Rungs of the ladder that the screening closes, with the reason. */
  readonly closedRungs: Readonly<Record<string, string>>;
}

/**
 * Where a trainee stands on a ladder, what the next rung asks, and whether its gate is open.
 *
 * @param facts the record, and the moment of judging
 */
export function judgeReadiness(facts: ReadinessFacts): Verdict {
  const { library, ladder, screening, now } = facts;
  const standing = standingOn(ladder, facts.clearances, facts.checkDates, library.measure, now);
  const closedRungs = rungsClosedBy(ladder, screening, library);
  const inHand = ladder.rungs[standing.here];
  const rung = standing.next === undefined ? undefined : ladder.rungs[standing.next];
  const slipped = inHand && inHand !== rung ? headroomsFor(inHand, facts, standing).filter((h) => h.state === 'short') : [];
  if (!rung) return { standing, headrooms: inHand ? headroomsFor(inHand, facts, standing) : [], slipped, closedRungs };
  const headrooms = headroomsFor(rung, facts, standing);
  const closed = closedRungs[rung.id];
  const gate = judgeGate({
    headrooms,
    sessions: facts.sessions,
    symptoms: facts.symptoms,
    openStopSigns: facts.openStopSigns,
    locks: closed ? [...screening.locks, closed] : screening.locks,
    cleanSince: later(standing.cleanSince, facts.lastStopSignAt),
    practice: inHand ? { drillId: inHand.practice, name: library.drill(inHand.practice).name } : undefined,
    measureOf: library.measure,
    now,
  });
  return { standing, rung, headrooms, gate, slipped, closedRungs };
}

function later(a: Instant | undefined, b: Instant | undefined): Instant | undefined {
  if (!a || !b) return a ?? b;
  return a > b ? a : b;
}

function headroomsFor(rung: Rung, { library, body, capacities, now }: ReadinessFacts, standing: Standing): readonly Headroom[] {
  const signedAt = standing.rungs[standing.here]?.clearance?.signedAt;
  const latest = new Map(
    capacities.filter((c) => stillSpeaks(c, library.measure, signedAt)).map((c) => [checkKey(c.measureId, c.side), c]),
  );
  return demandsOn(rung, body, library.measure)
    .map((demand) => headroom(latest.get(checkKey(demand.measureId, demand.side)), demand, library.measure(demand.measureId), now))
    .sort(byUrgency);
}

/** A check about the next rung says nothing about the one after: a signature makes it void. */
function stillSpeaks({ measureId, takenAt }: Capacity, measureOf: MeasureOf, signedAt: Instant | undefined): boolean {
  return !signedAt || takenAt > signedAt || !measureOf(measureId).aboutNextRung;
}

function rungsClosedBy(ladder: Ladder, { cautions }: ReadinessFacts['screening'], library: Library): Readonly<Record<string, string>> {
  const closed: Record<string, string> = {};
  if (cautions.length === 0) return closed;
  for (const rung of ladder.rungs) {
    if (!library.hasDrill(rung.practice)) continue;
    const caution = exclusionByCaution(library.drill(rung.practice), cautions);
    if (caution) closed[rung.id] = cautionInWords(caution);
  }
  return closed;
}
