import type { OutcomeDto, OutcomesReply, Scope } from '@myokinet/core/contracts';
import { readStored, STORED } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import {
  type Cleared,
  type DueOutcome,
  type Judgeable,
  OUTCOME_WEEKS,
  type Outcome,
  outcomesDue,
  reliabilityOf,
} from '@myokinet/core/outcomes';
import { addDays, daysBetween, type Instant, instant } from '@myokinet/core/quantities';
import { judgementOf, type Symptom, type SymptomJudgement } from '@myokinet/core/safety';
import type { Headroom } from '@myokinet/core/readiness';
import type { Context } from '../context.ts';
import { type Actor, mustMay } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import { groupRows } from '../database/groupRows.ts';
import type { LibraryStore } from '../library/store.ts';
import type { TraineeStore } from '../trainees/store.ts';
import * as sql from './statements.ts';

interface ClearedRow {
  readonly clearanceId: string;
  readonly traineeId: string;
  readonly ladderId: string;
  readonly rungId: string;
  readonly signedAt: Instant;
  readonly withdrawnAt: Instant | null;
  readonly withdrawnBy: 'coach' | 'stop sign' | 'correction' | null;
}
interface ToldRow extends Pick<ClearedRow, 'clearanceId' | 'traineeId' | 'ladderId' | 'rungId' | 'signedAt'> {
  readonly weeks: number;
  readonly outcome: Outcome;
  readonly note: string;
  readonly toldAt: Instant;
  readonly figures: string;
}
type SymptomRow = Omit<Symptom, 'judged'> & { readonly judged: string | null };

const DAYS_PER_WEEK = 7;
/** Nobody is asked about what was signed longer ago: the last question, and the weeks for which it is asked. */
const ASKED_DAYS = 16 * DAYS_PER_WEEK;
const NEWEST_SHOWN = 50;

interface Neighbours {
  readonly trainees: TraineeStore;
  readonly library: LibraryStore;
  readonly scope: () => Scope;
}

/** What became of clearances, as coaches told it. */
export function outcomeStore(context: Context, { trainees, library, scope }: Neighbours) {
  const { db, now } = context;
  type Window = { traineeId: string; since: string; until: string };
  const clearedSince = db.prepare<{ traineeId: string | null; since: string; until: string }, ClearedRow>(sql.CLEARED_SINCE);
  const answered = db.prepare<{ since: string }, { clearanceId: string; weeks: number }>(sql.ANSWERED);
  const sessionsSince = db.prepare<Window, { at: Instant }>(sql.SESSIONS_SINCE);
  const symptomsSince = db.prepare<Window, SymptomRow>(sql.SYMPTOMS_SINCE);
  const signedAtOf = db.prepare<{ clearanceId: string; traineeId: string }, { signedAt: Instant }>(sql.CLEARANCE_OF_TRAINEE);
  const insert = db.prepare(sql.INSERT_OUTCOME);
  const told = db.prepare<[], ToldRow>(sql.TOLD);

  function sinceOf(traineeId: string, { signedAt }: Cleared) {
    const window = { traineeId, since: signedAt, until: instant(now()) };
    return {
      sessions: sessionsSince.all(window).map((s) => s.at),
      loud: symptomsSince
        .all(window)
        .filter((s) => !judgementOf(judgedOf(s)).quiet)
        .map((s) => s.at),
    };
  }

  return {
    /** Clearances to ask about now, by trainee. */
    due(traineeId: string | null = null): ReadonlyMap<string, readonly DueOutcome[]> {
      const moment = now();
      const since = addDays(moment, -ASKED_DAYS);
      const rows = clearedSince.all({ traineeId, since, until: instant(moment) });
      const answers = answered.all({ since });
      const due = [...groupRows(rows, (r) => r.traineeId)].map(([id, of]): [string, readonly DueOutcome[]] => {
        const cleared = of.map((row): Cleared => ({
          ...{ clearanceId: row.clearanceId, signedAt: row.signedAt, rungName: library.rungName(row.ladderId, row.rungId) },
          ...(row.withdrawnAt && row.withdrawnBy ? { withdrawn: { at: row.withdrawnAt, by: row.withdrawnBy } } : {}),
        }));
        return [id, outcomesDue(cleared, answers, (one) => sinceOf(id, one), moment)];
      });
      return new Map(due.filter(([, of]) => of.length > 0));
    },

    tell(actor: Actor, traineeId: string, dto: OutcomeDto): void {
      mustMay(actor, 'log');
      const clearance = signedAtOf.get({ clearanceId: dto.clearanceId, traineeId });
      if (!clearance) throw new Refusal('fact-missing', 'There is no such clearance on this trainee’s record.');
      if (daysBetween(clearance.signedAt, now()) < dto.weeks * DAYS_PER_WEEK)
        throw new Refusal('outcome-too-early', `Its ${dto.weeks} weeks are not over.`);
      acceptOnce(context, dto.id, { traineeId, dto }, () =>
        insert.run({
          ...{ id: dto.id, traineeId, clearanceId: dto.clearanceId, weeks: dto.weeks, outcome: dto.outcome },
          ...{ note: dto.note ?? '', coachId: actor.coachId, toldAt: instant(now()) },
        }),
      );
    },

    /** How right the studio's gates were, and the newest answers. */
    reply(): OutcomesReply {
      const rows = told.all();
      const names = new Map(trainees.all().map((t) => [t.id, t.name]));
      const clearances = [...groupRows(rows, (r) => r.clearanceId).values()];
      return {
        reliability: reliabilityOf(clearances.map(judgeable)),
        answers: rows
          .filter((r) => names.has(r.traineeId))
          .slice(0, NEWEST_SHOWN)
          .map(({ figures: _, ladderId, rungId, ...row }) => ({
            ...row,
            name: names.get(row.traineeId) ?? '',
            rungName: library.rungName(ladderId, rungId),
          })),
        due: [...this.due()].reduce((sum, [, of]) => sum + of.length, 0),
        weeks: OUTCOME_WEEKS,
      };
    },
  };

  function judgeable(rows: readonly ToldRow[]): Judgeable {
    const [first] = rows;
    const outcomes = rows.map((r) => r.outcome);
    if (!first) return { ladderId: '', outcomes, margins: {} };
    // What cannot be read tells nothing of margins.
    const read = readStored(STORED.figures, first.figures, 1, scope());
    const figures = 'value' in read ? read.value : [];
    const ages = figures.flatMap((f) => (f.capacity ? daysBetween(f.capacity.takenAt, new Date(first.signedAt)) : []));
    return {
      ...{ ladderId: first.ladderId, outcomes, margins: marginsOf(figures) },
      ...(ages.length > 0 ? { oldestDays: Math.max(...ages) } : {}),
    };
  }
}

/** What every check had to spare, the worse side. */
function marginsOf(figures: readonly Headroom[]): Readonly<Record<string, number>> {
  const margins: Record<string, number> = {};
  for (const { demand, bands } of figures) {
    if (bands === undefined) continue;
    margins[demand.measureId] = Math.min(bands, margins[demand.measureId] ?? Infinity);
  }
  return margins;
}

function judgedOf({ judged, ...row }: SymptomRow): Symptom {
  return { ...row, ...(judged === null ? {} : { judged: JSON.parse(judged) as SymptomJudgement }) } as Symptom;
}

export type OutcomeStore = ReturnType<typeof outcomeStore>;
