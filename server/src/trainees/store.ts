import type { LastingPainReply, TraineeDto, TraineeReply } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { type Instant, instant } from '@myokinet/core/quantities';
import type { ScreeningOutcome } from '@myokinet/core/safety';
import type { Belief } from '@myokinet/core/statics';
import type { Context } from '../context.ts';
import { type Actor, mustMay } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import type { CalibrationStore } from '../lab/calibrationStore.ts';
import type { ScreeningStore } from '../screenings/store.ts';
import type { LastingPainStore } from '../screenings/lastingStore.ts';
import { ALL_TRAINEES, INSERT_REVISION, INSERT_TRAINEE, LISTED, ONE_TRAINEE, POINT_TO_REVISION } from './statements.ts';

interface Neighbours {
  readonly screenings: ScreeningStore;
  readonly calibrations: CalibrationStore;
  readonly lastingPains: LastingPainStore;
}

type Json = 'trainingDays' | 'equipment';
type TraineeRow = Omit<TraineeDto, Json> & Record<Json, string> & { savedAt: Instant; archivedAt: Instant | null };

export function traineeStore(context: Context, { screenings, calibrations, lastingPains }: Neighbours) {
  const { db, studioId, now } = context;
  const all = db.prepare<{ studioId: string }, TraineeRow>(ALL_TRAINEES);
  const listed = db.prepare<{ studioId: string }, string>(LISTED).pluck();
  const one = db.prepare<{ traineeId: string; studioId: string }, TraineeRow>(ONE_TRAINEE);
  const insertTrainee = db.prepare(INSERT_TRAINEE);
  const pointToRevision = db.prepare(POINT_TO_REVISION);
  const insertRevision = db.prepare(INSERT_REVISION);

  const reply = (
    { archivedAt, ...row }: TraineeRow,
    { screening, pains, belief }: { screening: ScreeningOutcome; pains: readonly LastingPainReply[]; belief: Belief | undefined },
  ): TraineeReply => ({
    ...row,
    trainingDays: JSON.parse(row.trainingDays) as TraineeDto['trainingDays'],
    equipment: JSON.parse(row.equipment) as TraineeDto['equipment'],
    screening,
    lastingPains: pains,
    ...(archivedAt === null ? {} : { archivedAt }),
    ...(belief ? { belief } : {}),
  });

  const find = (traineeId: string): TraineeReply => {
    const row = one.get({ traineeId, studioId });
    if (!row) throw new Refusal('trainee-missing');
    return reply(row, { screening: screenings.outcomeOf(row), pains: lastingPains.list(traineeId), belief: calibrations.beliefOf(row) });
  };

  return {
    find,

    /** Who is in the lists, in their order. */
    listed: (): readonly string[] => listed.all({ studioId }),

    all(): readonly TraineeReply[] {
      const outcomeOf = screenings.outcomesOfStudio();
      const beliefOf = calibrations.beliefsOfStudio();
      const painsOf = lastingPains.ofStudio();
      return all.all({ studioId }).map((row) => reply(row, { screening: outcomeOf(row), pains: painsOf(row.id), belief: beliefOf(row) }));
    },

    /** Creates a trainee or adds a revision to one; refuses when somebody saved in between. */
    save(actor: Actor, dto: TraineeDto): TraineeReply {
      mustMay(actor, 'plan');
      acceptOnce(context, dto.revision, dto, () => {
        const current = one.get({ traineeId: dto.id, studioId });
        if ((current?.revision ?? null) !== (dto.basedOn ?? null)) {
          throw current
            ? new Refusal('edited-elsewhere', 'Somebody else saved this profile first. Your version is kept on this screen.')
            : new Refusal('trainee-missing');
        }
        const row = {
          ...dto,
          basedOn: dto.basedOn ?? null,
          birthDate: dto.birthDate ?? null,
          armLength: dto.armLength ?? null,
          legLength: dto.legLength ?? null,
          coachId: actor.coachId,
          studioId,
          savedAt: instant(now()),
          trainingDays: JSON.stringify(dto.trainingDays),
          equipment: JSON.stringify(dto.equipment),
        };
        if (!current) insertTrainee.run(row);
        insertRevision.run(row);
        if (current) pointToRevision.run(row);
      });
      return find(dto.id);
    },
  };
}

export type TraineeStore = ReturnType<typeof traineeStore>;
