import {
  type PlanBlockDto,
  type PlanDocumentDto,
  type PlanDto,
  type PlanReply,
  type PlanUse,
  readStored,
  type Scope,
  STORED,
} from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { exclusionByCaution } from '@myokinet/core/library';
import { weekStartOf, weeksLater } from '@myokinet/core/planning';
import { type CalendarDay, type Instant, instant } from '@myokinet/core/quantities';
import { cautionInWords } from '@myokinet/core/words';
import type { Context } from '../context.ts';
import { type Actor, mustMay } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import { groupRows } from '../database/groupRows.ts';
import type { StoredDocument } from '../database/storedDocument.ts';
import type { DatedSession } from './calendar.ts';
import type { TraineeStore } from '../trainees/store.ts';
import {
  INSERT_PLAN,
  INSERT_REVISION,
  PLAN_OF_WEEK,
  PLANS_FROM,
  PLANS_WITH_DRILL,
  POINT_TO_REVISION,
  VERSIONS_FROM,
} from './statements.ts';

type PlanRow = Pick<PlanReply, 'id' | 'revision' | 'basedOn' | 'savedAt'> & StoredDocument;
interface VersionRow extends StoredDocument {
  readonly id: string;
  readonly savedAt: Instant;
  readonly isCurrent: number;
}

/** A week of which nothing can be read; its head stands, so that it can be replaced. */
const EMPTY_WEEK: PlanDocumentDto = { sessions: [], notes: [], leftOut: [] };

export function planStore(context: Context, trainees: TraineeStore, scope: () => Scope) {
  const { db, studioId, now } = context;
  const planOfWeek = db.prepare<{ traineeId: string; weekStart: string; studioId: string }, PlanRow>(PLAN_OF_WEEK);
  const plansWithDrill = db.prepare<{ drillId: string; from: string; studioId: string }, Omit<PlanUse, 'days'> & { days: string }>(
    PLANS_WITH_DRILL,
  );
  const plansFrom = db.prepare<{ traineeId: string; studioId: string; from: string; to: string }, PlanRow & { weekStart: string }>(
    PLANS_FROM,
  );
  const versionsFrom = db.prepare<{ traineeId: string; studioId: string; from: string }, VersionRow>(VERSIONS_FROM);
  const insertPlan = db.prepare(INSERT_PLAN);
  const pointToRevision = db.prepare(POINT_TO_REVISION);
  const insertRevision = db.prepare(INSERT_REVISION);

  const current = (traineeId: string, weekStart: string) => planOfWeek.get({ traineeId, weekStart, studioId });

  function read<Row extends StoredDocument>({ document, version, ...head }: Row) {
    const week = readStored(STORED.plan, document, version, scope());
    return 'value' in week ? { ...head, ...week.value } : { ...head, ...EMPTY_WEEK, unreadable: week.unreadable };
  }

  function find(traineeId: string, weekStart: string): PlanReply {
    trainees.find(traineeId);
    const row = current(traineeId, weekStart);
    if (!row) throw new Refusal('plan-missing', `There is no plan for the week of ${weekStart} yet.`);
    return { weekStart, ...read(row) };
  }

  function write(actor: Actor, traineeId: string, dto: PlanDto): void {
    const before = current(traineeId, dto.weekStart);
    if ((before?.revision ?? null) !== (dto.basedOn ?? null) || (before && before.id !== dto.id))
      throw new Refusal('edited-elsewhere', 'Somebody else saved this week first. Your version is kept on this screen.');
    const { sessions, notes, leftOut, schools } = dto;
    refuseTalkingRound(traineeId, sessions, before ? read(before).sessions : []);
    const row = {
      id: dto.id,
      revision: dto.revision,
      basedOn: dto.basedOn ?? null,
      weekStart: dto.weekStart,
      traineeId,
      studioId,
      coachId: actor.coachId,
      savedAt: instant(now()) satisfies Instant,
      sessionDays: JSON.stringify(sessions.map((s) => s.day).sort()),
      document: JSON.stringify({ sessions, notes, leftOut, ...(schools ? { schools } : {}) } satisfies PlanDocumentDto),
    };
    if (!before) insertPlan.run(row);
    insertRevision.run(row);
    if (before) pointToRevision.run(row);
  }

  /** A coach overrules rules, never a lock; what was overruled before the lock came may stand, the floor keeps it shut. */
  function refuseTalkingRound(traineeId: string, sessions: PlanDocumentDto['sessions'], before: PlanDocumentDto['sessions']): void {
    const { cautions } = trainees.find(traineeId).screening;
    const known = new Set(before.flatMap((s) => s.items).flatMap((i) => (i.overruled ? [i.id] : [])));
    for (const item of sessions.flatMap((s) => s.items)) {
      const library = item.overruled && !known.has(item.id) ? scope().library : undefined;
      const drill = library?.asPlanned(item);
      const caution = drill && exclusionByCaution(drill, cautions);
      if (caution) throw new Refusal('lock-not-overruled', `“${drill.name}” stays closed, whatever the reason: ${cautionInWords(caution)}`);
    }
  }

  function between(traineeId: string, from: string, weeks: number): readonly PlanReply[] {
    trainees.find(traineeId);
    const rows = plansFrom.all({ traineeId, studioId, from, to: weeksLater(from as CalendarDay, weeks) });
    return rows.map(read);
  }

  return {
    find,
    between,

    /** Sessions from a day on, those that were taken out again among them: what a calendar is told. */
    dated(traineeId: string, from: CalendarDay): readonly DatedSession[] {
      const versions = versionsFrom.all({ traineeId, studioId, from: weekStartOf(new Date(`${from}T12:00:00`)) });
      const found = new Map<string, DatedSession>();
      for (const [, ofPlan] of groupRows(versions, (v) => v.id))
        ofPlan.forEach((version, sequence) => {
          const { savedAt, isCurrent } = version;
          const { sessions } = read(version);
          for (const session of sessions) found.set(session.id, { session, sequence, savedAt, cancelled: isCurrent === 0 });
          if (isCurrent === 1)
            for (const [id, dated] of found)
              if (dated.cancelled && ofPlan.some((v) => v.document.includes(id))) found.set(id, { ...dated, sequence, savedAt });
        });
      return [...found.values()].filter(({ session }) => session.day >= from).sort((a, b) => a.session.day.localeCompare(b.session.day));
    },

    /** Saves several weeks together, or none of them. */
    saveBlock(actor: Actor, traineeId: string, { revision, plans }: PlanBlockDto): readonly PlanReply[] {
      mustMay(actor, 'plan');
      trainees.find(traineeId);
      acceptOnce(context, revision, { traineeId, plans }, () => {
        for (const plan of plans) write(actor, traineeId, plan);
      });
      return plans.map((p) => find(traineeId, p.weekStart));
    },

    /** The weeks from this one on that have the drill in them. */
    uses(drillId: string): readonly PlanUse[] {
      const rows = plansWithDrill.all({ drillId, from: weekStartOf(now()), studioId });
      return rows.map((row) => ({ ...row, days: (JSON.parse(row.days) as string[]).sort() }));
    },

    /** Saves a whole week as a new revision; refuses when somebody saved in between. */
    save(actor: Actor, traineeId: string, dto: PlanDto): PlanReply {
      mustMay(actor, 'plan');
      trainees.find(traineeId);
      acceptOnce(context, dto.revision, { traineeId, dto }, () => {
        write(actor, traineeId, dto);
      });
      return find(traineeId, dto.weekStart);
    },
  };
}

export type PlanStore = ReturnType<typeof planStore>;
