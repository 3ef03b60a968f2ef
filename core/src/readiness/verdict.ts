import { type Drill, LOADING_PHASES } from '../drills/index.ts';
import { demandsOn, type Ladder, type Rung } from '../ladders/index.ts';
import { exclusionByCaution, type Library } from '../library/index.ts';
import type { Capacity, MeasureOf } from '../measuring/index.ts';
import type { Instant } from '../quantities/index.ts';
import type { KnownBody } from '../statics/index.ts';
import { type CautionInForce, cautionOf, type ScreeningOutcome, type Symptom } from '../safety/index.ts';
import type { SessionFact } from './cleanSession.ts';
import { onRungSince, tissueTimeOn } from './tissueTime.ts';
import { type Gate, judgeGate } from './gate.ts';
import type { GateInput, Practice } from './gateInput.ts';
import { headroom, type Headroom } from './headroom.ts';
import { byUrgency } from './limiter.ts';
import { DEFAULT_GATE_SETTINGS, type GateSettings } from './settings.ts';
import { type CheckDates, checkKey, type ClearanceFact, rungSigned, type Standing, standingOn } from './standing.ts';

/** Everything on record about a trainee that a verdict may rest on. */
export interface ReadinessFacts {
  readonly library: Library;
  readonly ladder: Ladder;
  readonly body: KnownBody;
  readonly screening: Pick<ScreeningOutcome, 'cautions' | 'locks'>;
  /** The latest capacity of each check and side. */
  readonly capacities: readonly Capacity[];
  readonly checkDates: CheckDates;
  /** What a side of a check showed before its newest figure. */
  readonly before?: GateInput['before'];
  readonly clearances: readonly ClearanceFact[];
  readonly sessions: readonly SessionFact[];
  readonly symptoms: readonly Symptom[];
  readonly openStopSigns: readonly Symptom[];
  /** When the newest stop sign was felt, open or closed: clean sessions before it count no more. */
  readonly lastStopSignAt?: Instant | undefined;
  readonly lastStopSignClosedAt?: Instant | undefined;
  /** The newest time that each check was left out for pain or safety. */
  readonly skips: ReadonlyMap<string, NonNullable<Headroom['skipped']>>;
  /** When the trainee was added, and when first screened: sessions dated before count for nothing. */
  readonly knownSince: readonly Instant[];
  readonly settings?: GateSettings | undefined;
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
  readonly closedRungs: Readonly<Record<string, CautionInForce>>;
  /** What the gate was judged by. */
  readonly settings: GateSettings;
}

/**
 * Where a trainee stands on a ladder, what the next rung asks, and whether its gate is open.
 *
 * @param facts the record, and the moment of judging
 */
export function judgeReadiness(facts: ReadinessFacts): Verdict {
  const { library, ladder, screening, settings = DEFAULT_GATE_SETTINGS, now } = facts;
  const standing = standingOn(ladder, facts.clearances, facts.checkDates, library.measure, now);
  const closedRungs = rungsClosedBy(ladder, screening, library);
  const inHand = ladder.rungs[standing.here];
  const rung = standing.next === undefined ? undefined : ladder.rungs[standing.next];
  const slipped = inHand && inHand !== rung ? headroomsFor(inHand, facts, standing).filter((h) => h.state === 'short') : [];
  if (!rung) return { standing, headrooms: inHand ? headroomsFor(inHand, facts, standing) : [], slipped, closedRungs, settings };
  const headrooms = headroomsFor(rung, facts, standing);
  const gate = judgeGate({
    headrooms,
    before: facts.before,
    sessions: facts.sessions,
    symptoms: facts.symptoms,
    openStopSigns: facts.openStopSigns,
    lastStopSignClosedAt: facts.lastStopSignClosedAt,
    locks: screening.locks,
    closedBy: notLockedAnyway(closedRungs[rung.id]),
    since: [...facts.knownSince, ...[standing.cleanSince, facts.lastStopSignAt].filter((at) => at !== undefined)],
    practice: practiceOf(ladder, standing.here, library),
    tissue: inHand && tissueOn(inHand, facts, standing),
    settings,
    now,
  });
  return { standing, rung, headrooms, gate, slipped, closedRungs, settings };
}

/** What trains a demand at least so strongly prepares for it; so does what is a step easier than its practice. */
const PREPARES = 2;

/**
 * The practice that a gate asks for: that of the rung in hand, below the ladder the preparation that it names. Where it names none,
 * general drills stand in; the practice of a rung, of this ladder or another, never prepares.
 *
 * @param here index of the rung in hand; −1 below the ladder
 */
export function practiceOf(ladder: Ladder, here: number, library: Library): Practice {
  const inHand = ladder.rungs[here];
  if (inHand) return { drillIds: [inHand.practice], names: [library.drill(inHand.practice).name], preparation: false };
  const named = (ladder.preparation ?? []).filter((id) => library.hasDrill(id)).map((id) => library.drill(id));
  if (named.length > 0) return preparing(named);
  const next = ladder.rungs[here + 1];
  if (!next) return preparing([]);
  const easier = library.hasDrill(next.practice) ? library.drill(next.practice).easier : [];
  const prepares = library.drills.filter(
    (d) =>
      LOADING_PHASES.includes(d.phase) &&
      !d.rung &&
      (easier.includes(d.id) || next.demands.some((asked) => (d.trains[asked.measureId] ?? 0) >= PREPARES)),
  );
  return preparing(prepares);
}

function preparing(drills: readonly Drill[]): Practice {
  return { drillIds: drills.map((d) => d.id), names: drills.map((d) => d.name), preparation: true };
}

/** What the rung in hand asks of the tissue before the next; nothing where its practice is gone from the library. */
function tissueOn(rung: Rung, { library, clearances, ladder, screening }: ReadinessFacts, { cleanSince }: Standing): GateInput['tissue'] {
  if (!library.hasDrill(rung.practice)) return undefined;
  const signatures = clearances.filter((c) => rungSigned(c, ladder) === rung.id && !c.withdrawnAt).map((c) => c.signedAt);
  const since = onRungSince(signatures, cleanSince);
  return since && { since, asks: tissueTimeOn(library.drill(rung.practice), screening.cautions) };
}

function headroomsFor(
  rung: Rung,
  { library, body, capacities, skips, settings, now }: ReadinessFacts,
  standing: Standing,
): readonly Headroom[] {
  const measureOf = countingFor(settings?.freshPercent ?? 100, library.measure);
  const signedAt = standing.rungs[standing.here]?.clearance?.signedAt;
  const latest = new Map(
    capacities.filter((c) => stillSpeaks(c, library.measure, signedAt)).map((c) => [checkKey(c.measureId, c.side), c]),
  );
  return demandsOn(rung, body, library.measure)
    .map((demand) =>
      headroom(latest.get(checkKey(demand.measureId, demand.side)), demand, measureOf(demand.measureId), now, skips.get(demand.measureId)),
    )
    .sort(byUrgency);
}

/** Checks that count at a gate for a share of their fresh days only. */
function countingFor(percent: number, measureOf: MeasureOf): MeasureOf {
  if (percent >= 100) return measureOf;
  return (id) => {
    const measure = measureOf(id);
    return { ...measure, freshDays: Math.max(1, Math.floor((measure.freshDays * percent) / 100)) };
  };
}

/** A check about the next rung says nothing about the one after: a signature makes it void. */
function stillSpeaks({ measureId, takenAt }: Capacity, measureOf: MeasureOf, signedAt: Instant | undefined): boolean {
  return !signedAt || takenAt > signedAt || !measureOf(measureId).aboutNextRung;
}

/** A lock has a line of its own. */
function notLockedAnyway(caution: CautionInForce | undefined): CautionInForce | undefined {
  return caution && cautionOf(caution.id).kind === 'lock' && !caution.permit ? undefined : caution;
}

function rungsClosedBy(
  ladder: Ladder,
  { cautions }: ReadinessFacts['screening'],
  library: Library,
): Readonly<Record<string, CautionInForce>> {
  const closed: Record<string, CautionInForce> = {};
  if (cautions.length === 0) return closed;
  for (const rung of ladder.rungs) {
    if (!library.hasDrill(rung.practice)) continue;
    const caution = exclusionByCaution(library.drill(rung.practice), cautions);
    if (caution) closed[rung.id] = caution;
  }
  return closed;
}
