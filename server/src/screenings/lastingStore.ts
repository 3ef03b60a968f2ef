import type { LastingPainDto, LastingPainReply } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { instant } from '@myokinet/core/quantities';
import type { Context } from '../context.ts';
import { type Actor, mustMay } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import { groupRows } from '../database/groupRows.ts';
import * as sql from './statements.ts';

type Row = LastingPainReply & { readonly traineeId: string };

/** Known, lasting pains, each with a licensed professional's word; newest word first. */
export function lastingPainStore(context: Context) {
  const { db, studioId, now } = context;
  const ofTrainee = db.prepare<{ traineeId: string }, Row>(sql.LASTING_OF_TRAINEE);
  const ofStudio = db.prepare<{ studioId: string }, Row>(sql.LASTING_OF_STUDIO);
  const insert = db.prepare(sql.INSERT_LASTING);
  const traineeOfStudio = db.prepare<{ traineeId: string; studioId: string }, { id: string }>(sql.TRAINEE_OF_STUDIO);
  const plain = ({ traineeId: _, ...pain }: Row): LastingPainReply => pain;
  const list = (traineeId: string): readonly LastingPainReply[] => ofTrainee.all({ traineeId }).map(plain);

  return {
    list,

    /** Of everybody in the studio, gathered once. */
    ofStudio(): (traineeId: string) => readonly LastingPainReply[] {
      const all = groupRows(ofStudio.all({ studioId }), (r) => r.traineeId);
      return (traineeId) => (all.get(traineeId) ?? []).map(plain);
    },

    record(actor: Actor, traineeId: string, dto: LastingPainDto): readonly LastingPainReply[] {
      mustMay(actor, 'sign');
      if (!traineeOfStudio.get({ traineeId, studioId })) throw new Refusal('trainee-missing');
      acceptOnce(context, dto.id, { traineeId, dto }, () =>
        insert.run({ ...dto, traineeId, studioId, coachId: actor.coachId, recordedAt: instant(now()) }),
      );
      return list(traineeId);
    },
  };
}

export type LastingPainStore = ReturnType<typeof lastingPainStore>;
