import type { Capacity, SkipReason } from '@myokinet/core/measuring';
import { addDays, type Instant } from '@myokinet/core/quantities';
import { GATE_LIMITS } from '@myokinet/core/readiness';
import type { Symptom, SymptomJudgement } from '@myokinet/core/safety';
import type { Database } from 'better-sqlite3';
import type { ClearanceRow } from '../clearances/store.ts';
import { groupRows } from '../database/groupRows.ts';
import * as sql from './statements.ts';

/** How far back sessions count for the time that tissue needs on a rung. */
const TISSUE_DAYS = 70;
/** Symptoms older than these never decide a gate; a day is added for mornings after. */
const SYMPTOM_DAYS = GATE_LIMITS.quietDays.max + 1;
/** Clocks of two machines differ a little: five minutes. */
const CLOCK_DAYS = 5 / (24 * 60);

export type Of<Row> = Row & { readonly traineeId: string };
export type SessionRow = Of<{
  id: string;
  performedAt: Instant;
  plannedSessionId: string | null;
  clean: number;
  practised: string | null;
  effort: number;
  minutes: number;
  drillIds: string;
}>;
export type LateRow = Of<{ measureId: string; side: Capacity['side']; takenAt: Instant }>;
type Kept<S> = Omit<S, 'judged'> & { readonly judged: string | null };
export type SymptomRow = Of<Symptom & { sessionId: string | null }>;

/** Everything a verdict rests on, by trainee, of one of them or of a whole studio. */
export type Rows = ReturnType<ReturnType<typeof prepareGatherer>>;

export const rowGatherers = (db: Database) => ({ trainee: prepareGatherer(db, 'trainee'), studio: prepareGatherer(db, 'studio') });

function prepareGatherer(db: Database, scope: sql.Scope) {
  type Until = { scope: string; until: string };
  const capacities = db.prepare<{ scope: string }, Of<Capacity>>(sql.currentCapacities(scope));
  const late = db.prepare<{ scope: string }, LateRow>(sql.lateChecks(scope));
  const clearances = db.prepare<{ scope: string }, ClearanceRow>(sql.clearances(scope));
  const recentSessions = db.prepare<Until & { since: string }, SessionRow>(sql.recentSessions(scope));
  const recentSymptoms = db.prepare<Until & { since: string }, Kept<SymptomRow>>(sql.recentSymptoms(scope));
  const stopSigns = db.prepare<Until, Kept<Of<Symptom>>>(sql.openStopSigns(scope));
  const lastStopSigns = db.prepare<Until, Of<{ at: Instant; closedAt: Instant | null }>>(sql.lastStopSigns(scope));
  const skips = db.prepare<Until, Of<{ measureId: string; at: Instant; reason: SkipReason }>>(sql.skips(scope));
  const knownSince = db.prepare<{ scope: string }, Of<{ addedAt: Instant; screenedAt: Instant | null }>>(sql.knownSince(scope));
  const byTrainee = <Row extends { traineeId: string }>(rows: readonly Row[]) => groupRows(rows, (r) => r.traineeId);

  /** @param moment the newest facts that count; what is dated later is not looked at */
  return (id: string, moment: Date) => {
    const until = addDays(moment, CLOCK_DAYS);
    const since = (days: number) => addDays(moment, -days);
    return {
      capacities: byTrainee(capacities.all({ scope: id })),
      late: byTrainee(late.all({ scope: id })),
      clearances: byTrainee(clearances.all({ scope: id })),
      sessions: byTrainee(recentSessions.all({ scope: id, until, since: since(TISSUE_DAYS) })),
      symptoms: byTrainee(recentSymptoms.all({ scope: id, until, since: since(SYMPTOM_DAYS) }).map(asJudged)),
      stopSigns: byTrainee(stopSigns.all({ scope: id, until }).map(asJudged)),
      lastStopSigns: byTrainee(lastStopSigns.all({ scope: id, until })),
      skips: byTrainee(skips.all({ scope: id, until })),
      knownSince: byTrainee(knownSince.all({ scope: id })),
    };
  };
}

function asJudged<S extends Symptom>({ judged, ...row }: Kept<S>): S {
  return { ...row, ...(judged === null ? {} : { judged: JSON.parse(judged) as SymptomJudgement }) } as unknown as S;
}
