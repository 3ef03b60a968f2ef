import type { PlanDto, PlanReply, PlanUse } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { weekStartOf } from '@myokinet/core/planning';
import { type Instant, instant } from '@myokinet/core/quantities';
import type { Context } from '../context.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import type { TraineeStore } from '../trainees/store.ts';
import { INSERT_PLAN, INSERT_REVISION, PLAN_OF_WEEK, PLANS_WITH_DRILL, POINT_TO_REVISION } from './statements.ts';

type PlanRow = Pick<PlanReply, 'id' | 'revision' | 'basedOn' | 'savedAt'> & { document: string };
type PlanDocument = Pick<PlanDto, 'sessions' | 'notes' | 'leftOut' | 'schools'>;

export function planStore(context: Context, trainees: TraineeStore) {
  const { db, who, now } = context;
  const planOfWeek = db.prepare<{ traineeId: string; weekStart: string; studioId: string }, PlanRow>(PLAN_OF_WEEK);
  const plansWithDrill = db.prepare<{ drillId: string; from: string; studioId: string }, Omit<PlanUse, 'days'> & { days: string }>(
    PLANS_WITH_DRILL,
  );
  const insertPlan = db.prepare(INSERT_PLAN);
  const pointToRevision = db.prepare(POINT_TO_REVISION);
  const insertRevision = db.prepare(INSERT_REVISION);

  const current = (traineeId: string, weekStart: string) => planOfWeek.get({ traineeId, weekStart, studioId: who.studioId });

  function find(traineeId: string, weekStart: string): PlanReply {
    trainees.find(traineeId);
    const row = current(traineeId, weekStart);
    if (!row) throw new Refusal('plan-missing', `There is no plan for the week of ${weekStart} yet.`);
    const { document, ...head } = row;
    return { ...head, weekStart, ...(JSON.parse(document) as PlanDocument) };
  }

  return {
    find,

    /** The weeks from this one on that have the drill in them. */
    uses(drillId: string): readonly PlanUse[] {
      const rows = plansWithDrill.all({ drillId, from: weekStartOf(now()), studioId: who.studioId });
      return rows.map((row) => ({ ...row, days: (JSON.parse(row.days) as string[]).sort() }));
    },

    /** Saves a whole week as a new revision; refuses when somebody saved in between. */
    save(traineeId: string, dto: PlanDto): PlanReply {
      trainees.find(traineeId);
      acceptOnce(context, dto.revision, { traineeId, dto }, () => {
        const before = current(traineeId, dto.weekStart);
        if ((before?.revision ?? null) !== (dto.basedOn ?? null) || (before && before.id !== dto.id))
          throw new Refusal('edited-elsewhere', 'Somebody else saved this week first. Your version is kept on this screen.');
        const { sessions, notes, leftOut, schools } = dto;
        const row = {
          id: dto.id,
          revision: dto.revision,
          basedOn: dto.basedOn ?? null,
          weekStart: dto.weekStart,
          traineeId,
          studioId: who.studioId,
          coachId: who.coachId,
          savedAt: instant(now()) satisfies Instant,
          sessionDays: JSON.stringify(sessions.map((s) => s.day).sort()),
          document: JSON.stringify({ sessions, notes, leftOut, ...(schools ? { schools } : {}) } satisfies PlanDocument),
        };
        if (!before) insertPlan.run(row);
        insertRevision.run(row);
        if (before) pointToRevision.run(row);
      });
      return find(traineeId, dto.weekStart);
    },
  };
}

export type PlanStore = ReturnType<typeof planStore>;
