import { type ReadinessReply, readStored, STORED, type TraineeReply } from '@myokinet/core/contracts';
import type { BodySide } from '@myokinet/core/anatomy';
import type { Capacity } from '@myokinet/core/measuring';
import type { Joint } from '@myokinet/core/anatomy';
import { BUILD_ON_DAYS, type DoneAmount, type LoggedWork, type PlannerFacts, plannerFacts } from '@myokinet/core/planning';
import { addDays, type Instant, instant } from '@myokinet/core/quantities';
import {
  type CheckTimes,
  checkKey,
  type Gate,
  GATE_LIMITS,
  judgeReadiness,
  type Practised,
  type SessionFact,
  type Verdict,
} from '@myokinet/core/readiness';
import { fittedTo } from '@myokinet/core/library';
import type { Symptom } from '@myokinet/core/safety';
import { traineeBody } from '@myokinet/core/statics';
import { clearanceFact } from '../clearances/store.ts';
import type { Context } from '../context.ts';
import { groupRows } from '../database/groupRows.ts';
import type { GateSettingsStore } from '../gates/store.ts';
import type { LibraryStore } from '../library/store.ts';
import type { ScreeningStore } from '../screenings/store.ts';
import type { SymptomStore } from '../symptoms/store.ts';
import type { TraineeStore } from '../trainees/store.ts';
import { type LateRow, type Of, type Rows, rowGatherers, type SessionRow, type SymptomRow } from './gather.ts';
import { keptVerdicts } from './kept.ts';
import * as sql from './statements.ts';

/** Sessions older than these never decide a gate; a day is added for mornings after. */
const SESSION_DAYS = GATE_LIMITS.sessionWindowDays.max + 1;
const TRAIL_LENGTH = 3;

type DoneRow = Omit<DoneAmount, 'support' | 'manner'> & {
  readonly support: string | null;
  readonly supportVersion: number;
  readonly manner: string | null;
  readonly mannerVersion: number;
};
type BuildOnRow = {
  readonly performedAt: Instant;
  readonly drillIds: string;
  readonly dose: number;
  readonly jointDoses: string | null;
  readonly clean: number;
};
/** A trainee's verdict together with the rows lists are made of. */
export interface Judged {
  readonly trainee: TraineeReply;
  readonly verdict: Verdict;
  readonly sessions: readonly SessionRow[];
  /** The same and some older ones, as the gate sees them. */
  readonly sessionFacts: readonly SessionFact[];
  readonly symptoms: readonly SymptomRow[];
  readonly openStopSigns: readonly Symptom[];
  /** Clearances that a correction has taken back. */
  readonly withdrawn: readonly { readonly at: Instant; readonly rungName: string; readonly reason: string }[];
  readonly lastCheckAt: Instant | undefined;
}

interface Neighbours {
  readonly trainees: TraineeStore;
  readonly screenings: ScreeningStore;
  readonly symptoms: SymptomStore;
  readonly library: LibraryStore;
  readonly gates: GateSettingsStore;
}

/** The gate of a standing clearance as the facts of its signature give it today, corrections and all. */
export interface SignedGate {
  readonly clearanceId: string;
  readonly signedAt: Instant;
  readonly gate: Gate | undefined;
  readonly headrooms: Verdict['headrooms'];
}

export function readinessStore({ db, studioId, now }: Context, { trainees, screenings, symptoms, library, gates }: Neighbours) {
  const capacityBefore = db.prepare<{ traineeId: string; measureId: string; side: string; before: Instant }, Capacity>(sql.CAPACITY_BEFORE);
  const trailOfKey = db.prepare<{ traineeId: string; measureId: string; side: string; limit: number }, Capacity>(sql.TRAIL_OF_KEY);
  const knownDrills = db.prepare<{ traineeId: string }, { drillId: string }>(sql.KNOWN_DRILLS);
  const doneAmounts = db.prepare<{ traineeId: string; since: string }, DoneRow>(sql.DONE_AMOUNTS);
  const sessionsToBuildOn = db.prepare<{ traineeId: string; since: string }, BuildOnRow>(sql.SESSIONS_TO_BUILD_ON);
  const firstSession = db.prepare<{ traineeId: string }, { performedAt: Instant | null }>(sql.FIRST_SESSION);
  const lastLoaded = db.prepare<{ traineeId: string }, { performedAt: Instant | null }>(sql.LAST_LOADED_SESSION);
  const capacitiesUntil = db.prepare<{ scope: string; until: string }, Of<Capacity>>(sql.CAPACITIES_UNTIL);

  const gatherers = rowGatherers(db);

  function judge(trainee: TraineeReply, ladderId: string, rows: Rows, moment = now()): Judged {
    const capacities = rows.capacities.get(trainee.id) ?? [];
    const recent = rows.sessions.get(trainee.id) ?? [];
    const symptoms = rows.symptoms.get(trainee.id) ?? [];
    const openStopSigns = rows.stopSigns.get(trainee.id) ?? [];
    const [stop] = rows.lastStopSigns.get(trainee.id) ?? [];
    const [known] = rows.knownSince.get(trainee.id) ?? [];
    const bySession = groupRows(symptoms, (s) => s.sessionId ?? '');
    const sessionFacts = recent.map((s): SessionFact => ({
      ...{ id: s.id, performedAt: s.performedAt, plannedSessionId: s.plannedSessionId, clean: s.clean === 1 },
      practised: practisedOf(s),
      symptoms: bySession.get(s.id) ?? [],
    }));
    const verdict = judgeReadiness({
      library: library.current(),
      ladder: library.current().ladder(ladderId),
      body: traineeBody(trainee),
      screening: trainee.screening,
      capacities,
      checkDates: checkTimes(capacities, rows.late.get(trainee.id) ?? []),
      // Asked for only where two sides are not alike.
      before: (measureId, side) => {
        const newest = capacities.find((c) => c.measureId === measureId && c.side === side)?.takenAt;
        return newest && capacityBefore.get({ traineeId: trainee.id, measureId, side, before: newest });
      },
      clearances: (rows.clearances.get(trainee.id) ?? []).flatMap((row) => clearanceFact(row) ?? []),
      sessions: sessionFacts,
      symptoms,
      openStopSigns,
      lastStopSignAt: stop?.at,
      lastStopSignClosedAt: stop?.closedAt ?? undefined,
      skips: new Map((rows.skips.get(trainee.id) ?? []).map(({ measureId, at, reason }) => [measureId, { at, reason }])),
      knownSince: [known?.addedAt, known?.screenedAt].filter((at) => at !== undefined && at !== null),
      settings: gates.settingsFor(trainee.id, instant(moment)),
      now: moment,
    });
    const lastCheckAt = capacities
      .map((c) => c.takenAt)
      .sort()
      .at(-1);
    const withdrawn = (rows.clearances.get(trainee.id) ?? []).flatMap(
      ({ ladderId: on, rungId, withdrawnBy, withdrawnAt, withdrawnReason }) =>
        withdrawnBy === 'correction' && withdrawnAt
          ? [{ at: withdrawnAt, rungName: library.rungName(on, rungId), reason: withdrawnReason ?? '' }]
          : [],
    );
    const listed = addDays(moment, -SESSION_DAYS);
    const sessions = recent.filter((s) => s.performedAt >= listed);
    return { trainee, verdict, sessions, sessionFacts, symptoms, openStopSigns, withdrawn, lastCheckAt };
  }

  function judgedAt(traineeId: string, ladderId: string, moment: Date): Judged {
    const trainee = trainees.find(traineeId);
    const rows = gatherers.trainee(traineeId, moment);
    const until = instant(moment);
    const then = new Map(capacitiesUntil.all({ scope: traineeId, until }).map((c) => [checkKey(c.measureId, c.side), c]));
    const stoodThen = (rows.clearances.get(traineeId) ?? [])
      .filter((c) => c.signedAt < until)
      .map((c) => (c.withdrawnAt !== null && c.withdrawnAt > until ? { ...c, withdrawnAt: null, withdrawnReason: null } : c));
    return judge(
      { ...trainee, screening: screenings.outcomeAt(trainee, moment) },
      ladderId,
      { ...rows, capacities: new Map([[traineeId, [...then.values()]]]), clearances: new Map([[traineeId, stoodThen]]) },
      moment,
    );
  }

  const judgeOne = (trainee: TraineeReply, ladderId: string) => judge(trainee, ladderId, gatherers.trainee(trainee.id, now()));

  const forLists = keptVerdicts<Judged>(db, {
    listed: trainees.listed,
    all() {
      const rows = gatherers.studio(studioId, now());
      return new Map(trainees.all().map((trainee) => [trainee.id, judge(trainee, trainee.ladderId, rows)]));
    },
    one(traineeId) {
      const trainee = trainees.find(traineeId);
      return judgeOne(trainee, trainee.ladderId);
    },
  });

  function factsFor(trainee: TraineeReply, here: number, capacities: readonly Capacity[]): PlannerFacts {
    const traineeId = trainee.id;
    const rows = sessionsToBuildOn.all({ traineeId, since: addDays(now(), -BUILD_ON_DAYS) });
    const recent = rows.map(({ clean, drillIds, jointDoses, ...row }): LoggedWork => ({
      ...row,
      clean: clean === 1,
      drillIds: JSON.parse(drillIds) as string[],
      ...(jointDoses === null ? {} : { byJoint: JSON.parse(jointDoses) as Record<Joint, number> }),
    }));
    const done = doneAmounts.all({ traineeId, since: addDays(now(), -BUILD_ON_DAYS) });
    const past = {
      doneAmounts: done.flatMap(({ support, supportVersion, manner, mannerVersion, ...amount }): DoneAmount[] => {
        const scope = { now: now(), library: library.current() };
        const setUp = support === null ? undefined : readStored(STORED.support, support, supportVersion, scope);
        const way = manner === null ? undefined : readStored(STORED.manner, manner, mannerVersion, scope);
        // What cannot be read shows nothing.
        if ((setUp && !('value' in setUp)) || (way && !('value' in way))) return [];
        return [{ ...amount, ...(setUp ? { support: setUp.value } : {}), ...(way ? { manner: way.value } : {}) }];
      }),
      knownDrills: knownDrills.all({ traineeId }).map((d) => d.drillId),
      firstAt: firstSession.get({ traineeId })?.performedAt ?? undefined,
      lastLoadedAt: lastLoaded.get({ traineeId })?.performedAt ?? undefined,
      foothold: { ladderId: trainee.ladderId, here },
      capacities,
    };
    return plannerFacts(recent, past, {
      library: fittedTo(library.current(), traineeBody(trainee)),
      massKg: trainee.mass,
      now: now(),
    });
  }

  return {
    verdict: (traineeId: string, ladderId: string): Verdict => judgeOne(trainees.find(traineeId), ladderId).verdict,

    /** One trainee, judged on the ladder of their target. */
    judged(traineeId: string): Judged {
      const trainee = trainees.find(traineeId);
      return judgeOne(trainee, trainee.ladderId);
    },

    /** Every figure of one trainee up to a moment, oldest first. */
    history: (traineeId: string, until: Date): readonly Capacity[] => capacitiesUntil.all({ scope: traineeId, until: instant(until) }),

    /** The gates that were signed on record, each with the ladder it stands on, oldest first; corrections apart. */
    signed: (traineeId: string) =>
      (gatherers.trainee(traineeId, now()).clearances.get(traineeId) ?? [])
        .filter((c) => c.withdrawnBy !== 'correction' && c.against === null)
        .map(({ ladderId, rungId, signedAt }) => ({ ladderId, rungId, signedAt }))
        .sort((a, b) => a.signedAt.localeCompare(b.signedAt)),

    /** The gates of a trainee's standing clearances, each judged as of its signature. */
    signedGates(traineeId: string): readonly SignedGate[] {
      const standing = (gatherers.trainee(traineeId, now()).clearances.get(traineeId) ?? []).filter((c) => c.withdrawnAt === null);
      return standing.flatMap(({ id, ladderId, rungId, signedAt }) => {
        if (!library.current().hasLadder(ladderId)) return [];
        const { rung, gate, headrooms } = judgedAt(traineeId, ladderId, new Date(signedAt)).verdict;
        return rung?.id === rungId ? [{ clearanceId: id, signedAt, gate, headrooms }] : [];
      });
    },

    /** Every trainee of the studio, judged on the ladder of their target. */
    all: (): readonly Judged[] => forLists.all(now(), library.current()),

    /** Changes with every write about a trainee that the lists have seen. */
    writesAbout: forLists.writesAbout,

    /** One trainee as the facts of a moment in the past judge them today: what came later is not looked at. */
    judgedAt,

    /** Earlier capacities of one check and side, newest first. */
    trail: (traineeId: string, measureId: string, side: BodySide, limit: number): readonly Capacity[] =>
      trailOfKey.all({ traineeId, measureId, side, limit }),

    reply(traineeId: string): ReadinessReply {
      const trainee = trainees.find(traineeId);
      const rows = gatherers.trainee(trainee.id, now());
      const { verdict } = judge(trainee, trainee.ladderId, rows);
      const capacities = rows.capacities.get(trainee.id) ?? [];
      const trails = Object.fromEntries(
        verdict.headrooms.map(({ demand, side }) => [
          checkKey(demand.measureId, side),
          trailOfKey.all({ traineeId, measureId: demand.measureId, side, limit: TRAIL_LENGTH }),
        ]),
      );
      const { rung, ...rest } = verdict;
      return {
        judgedAt: instant(now()),
        ladderId: trainee.ladderId,
        ...rest,
        ...(rung ? { rungId: rung.id } : {}),
        trails,
        stopSigns: symptoms.stopSigns(traineeId),
        planner: factsFor(trainee, verdict.standing.here, capacities),
      };
    },
  };
}

/** What a session showed; one that an older program judged showed its drills where it was clean. */
function practisedOf({ practised, drillIds, clean }: SessionRow): readonly Practised[] {
  if (practised !== null) return JSON.parse(practised) as Practised[];
  return (JSON.parse(drillIds) as string[]).map((drillId) => ({ drillId, top: clean === 1, load: 1 }));
}

function checkTimes(capacities: readonly Capacity[], late: readonly LateRow[]): ReadonlyMap<string, CheckTimes> {
  const lateByKey = groupRows(late, (l) => checkKey(l.measureId, l.side));
  return new Map(
    capacities.map((c) => {
      const key = checkKey(c.measureId, c.side);
      return [key, { latest: c.takenAt, lateAfter: (lateByKey.get(key) ?? []).map((l) => l.takenAt) }];
    }),
  );
}

export type ReadinessStore = ReturnType<typeof readinessStore>;
