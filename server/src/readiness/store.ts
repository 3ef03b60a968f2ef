import type { ReadinessReply, TraineeReply } from '@myokinet/core/contracts';
import type { Capacity } from '@myokinet/core/measuring';
import type { Joint } from '@myokinet/core/anatomy';
import { BUILD_ON_DAYS, type LoggedWork, type PlannerFacts, plannerFacts } from '@myokinet/core/planning';
import { addDays, type Instant, instant } from '@myokinet/core/quantities';
import { type CheckTimes, checkKey, DEFAULT_GATE_RULES, judgeReadiness, type SessionFact, type Verdict } from '@myokinet/core/readiness';
import type { Symptom } from '@myokinet/core/safety';
import { traineeBody } from '@myokinet/core/statics';
import { clearanceFact, type ClearanceRow } from '../clearances/store.ts';
import type { Context } from '../context.ts';
import { groupRows } from '../database/groupRows.ts';
import type { LibraryStore } from '../library/store.ts';
import type { SessionStore } from '../sessions/store.ts';
import type { TraineeStore } from '../trainees/store.ts';
import * as sql from './statements.ts';

/** Sessions and symptoms older than these never decide a gate; a day is added for mornings after. */
const SESSION_DAYS = DEFAULT_GATE_RULES.sessionWindowDays;
const SYMPTOM_DAYS = DEFAULT_GATE_RULES.quietDays + 1;
const TRAIL_LENGTH = 3;

type Of<Row> = Row & { readonly traineeId: string };
type SessionRow = Of<{ id: string; performedAt: Instant; clean: number; effort: number; minutes: number; drillIds: string }>;
type BuildOnRow = {
  readonly performedAt: Instant;
  readonly drillIds: string;
  readonly dose: number;
  readonly jointDoses: string | null;
  readonly clean: number;
};
type SymptomRow = Of<Symptom & { sessionId: string | null }>;

/** A trainee's verdict together with the rows lists are made of. */
export interface Judged {
  readonly trainee: TraineeReply;
  readonly verdict: Verdict;
  readonly sessions: readonly SessionRow[];
  readonly symptoms: readonly SymptomRow[];
  readonly openStopSigns: readonly string[];
  readonly lastCheckAt: Instant | undefined;
}

interface Neighbours {
  readonly trainees: TraineeStore;
  readonly sessions: SessionStore;
  readonly library: LibraryStore;
}

export function readinessStore({ db, who, now }: Context, { trainees, sessions, library }: Neighbours) {
  const trailOfKey = db.prepare<{ traineeId: string; measureId: string; side: string; limit: number }, Capacity>(sql.TRAIL_OF_KEY);
  const knownDrills = db.prepare<{ traineeId: string }, { drillId: string }>(sql.KNOWN_DRILLS);
  const sessionsToBuildOn = db.prepare<{ traineeId: string; since: string }, BuildOnRow>(sql.SESSIONS_TO_BUILD_ON);

  const firstSession = db.prepare<{ traineeId: string }, { performedAt: Instant | null }>(sql.FIRST_SESSION);

  const gatherers = { trainee: prepareGatherer('trainee'), studio: prepareGatherer('studio') };

  function prepareGatherer(scope: sql.Scope) {
    const capacities = db.prepare<{ scope: string }, Of<Capacity>>(sql.currentCapacities(scope));
    const late = db.prepare<{ scope: string }, Of<{ measureId: string; side: Capacity['side']; takenAt: Instant }>>(sql.lateChecks(scope));
    const clearances = db.prepare<{ scope: string }, ClearanceRow>(sql.clearances(scope));
    const recentSessions = db.prepare<{ scope: string; since: string }, SessionRow>(sql.recentSessions(scope));
    const recentSymptoms = db.prepare<{ scope: string; since: string }, SymptomRow>(sql.recentSymptoms(scope));
    const stopSigns = db.prepare<{ scope: string }, Of<{ reason: string }>>(sql.openStopSigns(scope));
    const lastStopSigns = db.prepare<{ scope: string }, Of<{ at: Instant }>>(sql.lastStopSigns(scope));
    const byTrainee = <Row extends { traineeId: string }>(rows: readonly Row[]) => groupRows(rows, (r) => r.traineeId);

    return (id: string) => {
      return {
        capacities: byTrainee(capacities.all({ scope: id })),
        late: byTrainee(late.all({ scope: id })),
        clearances: byTrainee(clearances.all({ scope: id })),
        sessions: byTrainee(recentSessions.all({ scope: id, since: addDays(now(), -SESSION_DAYS) })),
        symptoms: byTrainee(recentSymptoms.all({ scope: id, since: addDays(now(), -SYMPTOM_DAYS) })),
        stopSigns: byTrainee(stopSigns.all({ scope: id })),
        lastStopSigns: byTrainee(lastStopSigns.all({ scope: id })),
      };
    };
  }

  function judge(trainee: TraineeReply, ladderId: string, rows: ReturnType<ReturnType<typeof prepareGatherer>>): Judged {
    const capacities = rows.capacities.get(trainee.id) ?? [];
    const recent = rows.sessions.get(trainee.id) ?? [];
    const symptoms = rows.symptoms.get(trainee.id) ?? [];
    const openStopSigns = (rows.stopSigns.get(trainee.id) ?? []).map((s) => s.reason);
    const bySession = groupRows(symptoms, (s) => s.sessionId ?? '');
    const verdict = judgeReadiness({
      library: library.current(),
      ladder: library.current().ladder(ladderId),
      body: traineeBody(trainee),
      screening: trainee.screening,
      capacities,
      checkDates: checkTimes(capacities, rows.late.get(trainee.id) ?? []),
      clearances: (rows.clearances.get(trainee.id) ?? []).flatMap((row) => clearanceFact(row) ?? []),
      sessions: recent.map((s): SessionFact => ({
        id: s.id,
        performedAt: s.performedAt,
        clean: s.clean === 1,
        drillIds: JSON.parse(s.drillIds) as string[],
        symptoms: bySession.get(s.id) ?? [],
      })),
      symptoms,
      openStopSigns,
      lastStopSignAt: rows.lastStopSigns.get(trainee.id)?.[0]?.at,
      now: now(),
    });
    const lastCheckAt = capacities
      .map((c) => c.takenAt)
      .sort()
      .at(-1);
    return { trainee, verdict, sessions: recent, symptoms, openStopSigns, lastCheckAt };
  }

  const judgeOne = (trainee: TraineeReply, ladderId: string) => judge(trainee, ladderId, gatherers.trainee(trainee.id));

  function factsFor(traineeId: string): PlannerFacts {
    const rows = sessionsToBuildOn.all({ traineeId, since: addDays(now(), -BUILD_ON_DAYS) });
    const recent = rows.map(({ clean, drillIds, jointDoses, ...row }): LoggedWork => ({
      ...row,
      clean: clean === 1,
      drillIds: JSON.parse(drillIds) as string[],
      ...(jointDoses === null ? {} : { byJoint: JSON.parse(jointDoses) as Record<Joint, number> }),
    }));
    const past = {
      knownDrills: knownDrills.all({ traineeId }).map((d) => d.drillId),
      firstAt: firstSession.get({ traineeId })?.performedAt ?? undefined,
    };
    return plannerFacts(recent, past, { library: library.current(), now: now() });
  }

  return {
    verdict: (traineeId: string, ladderId: string): Verdict => judgeOne(trainees.find(traineeId), ladderId).verdict,

    /** Every trainee of the studio, judged on the ladder of their target. */
    all(): readonly Judged[] {
      const rows = gatherers.studio(who.studioId);
      return trainees.all().map((trainee) => judge(trainee, trainee.ladderId, rows));
    },

    reply(traineeId: string): ReadinessReply {
      const trainee = trainees.find(traineeId);
      const { verdict } = judgeOne(trainee, trainee.ladderId);
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
        stopSigns: sessions.stopSigns(traineeId),
        planner: factsFor(traineeId),
      };
    },
  };
}

function checkTimes(
  capacities: readonly Capacity[],
  late: readonly { measureId: string; side: Capacity['side']; takenAt: Instant }[],
): ReadonlyMap<string, CheckTimes> {
  const lateByKey = groupRows(late, (l) => checkKey(l.measureId, l.side));
  return new Map(
    capacities.map((c) => {
      const key = checkKey(c.measureId, c.side);
      return [key, { latest: c.takenAt, lateAfter: (lateByKey.get(key) ?? []).map((l) => l.takenAt) }];
    }),
  );
}

export type ReadinessStore = ReturnType<typeof readinessStore>;
