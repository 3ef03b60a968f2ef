import { drillOf } from '../drills/index.ts';
import { demandsOn, type Ladder, type Rung } from '../ladders/index.ts';
import type { Capacity } from '../measuring/index.ts';
import type { Symptom } from '../safety/index.ts';
import { type CautionId, CAUTIONS } from '../safety/index.ts';
import type { SessionFact } from './cleanSession.ts';
import { type Gate, judgeGate } from './gate.ts';
import { headroom, type Headroom } from './headroom.ts';
import { byUrgency } from './limiter.ts';
import { type CheckDates, checkKey, type ClearanceFact, type Standing, standingOn } from './standing.ts';

/** Everything on record about a trainee that a verdict may rest on. */
export interface ReadinessFacts {
  readonly ladder: Ladder;
  /** Body mass in kilograms. */
  readonly mass: number;
  readonly cautions: readonly CautionId[];
  /** The latest capacity of each check and side. */
  readonly capacities: readonly Capacity[];
  readonly checkDates: CheckDates;
  readonly clearances: readonly ClearanceFact[];
  readonly sessions: readonly SessionFact[];
  readonly symptoms: readonly Symptom[];
  readonly openStopSigns: readonly string[];
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
}

/**
 * Where a trainee stands on a ladder, what the next rung asks, and whether its gate is open.
 *
 * @param facts the record, and the moment of judging
 */
export function judgeReadiness(facts: ReadinessFacts): Verdict {
  const { ladder, now } = facts;
  const standing = standingOn(ladder, facts.clearances, facts.checkDates, now);
  const inHand = ladder.rungs[standing.here];
  const rung = standing.next === undefined ? undefined : ladder.rungs[standing.next];
  const slipped = inHand && inHand !== rung ? headroomsFor(inHand, facts).filter((h) => h.state === 'short') : [];
  if (!rung) return { standing, headrooms: inHand ? headroomsFor(inHand, facts) : [], slipped };
  const headrooms = headroomsFor(rung, facts);
  const gate = judgeGate({
    headrooms,
    sessions: facts.sessions,
    symptoms: facts.symptoms,
    openStopSigns: facts.openStopSigns,
    locks: locksOf(facts.cautions),
    cleanSince: standing.cleanSince,
    practice: inHand ? { drillId: inHand.practice, name: drillOf(inHand.practice).name } : undefined,
    now,
  });
  return { standing, rung, headrooms, gate, slipped };
}

function headroomsFor(rung: Rung, { mass, capacities, now }: ReadinessFacts): readonly Headroom[] {
  const latest = new Map(capacities.map((c) => [checkKey(c.measureId, c.side), c]));
  return demandsOn(rung, { mass })
    .map((demand) => headroom(latest.get(checkKey(demand.measureId, demand.side)), demand, now))
    .sort(byUrgency);
}

function locksOf(cautions: readonly CautionId[]): readonly string[] {
  return cautions.filter((id) => CAUTIONS[id].locks).map((id) => `${CAUTIONS[id].name}: ${CAUTIONS[id].consequence}`);
}
