import type { PictureDto, PictureReply } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import type { Context } from '../context.ts';
import { type Actor, mustMay } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import type { TraineeStore } from '../trainees/store.ts';
import { reencoded } from './reencoded.ts';
import * as sql from './statements.ts';

type PictureRow = Omit<PictureReply, 'points' | 'kept'> & { readonly points: string; readonly kept: number };

export function pictureStore(context: Context, trainees: TraineeStore) {
  const { db, studioId } = context;
  const insert = db.prepare(sql.INSERT_PICTURE);
  const picturesOf = db.prepare<{ traineeId: string }, PictureRow>(sql.PICTURES_OF_TRAINEE);
  const imageOf = db.prepare<{ id: string; traineeId: string }, { image: Buffer | null }>(sql.IMAGE);
  const takeOff = db.prepare(sql.TAKE_OFF);

  function list(traineeId: string): readonly PictureReply[] {
    trainees.find(traineeId);
    return picturesOf
      .all({ traineeId })
      .map(({ points, kept, ...row }) => ({ ...row, points: JSON.parse(points) as PictureReply['points'], kept: kept === 1 }));
  }

  return {
    list,

    async keep(actor: Actor, traineeId: string, dto: PictureDto): Promise<readonly PictureReply[]> {
      mustMay(actor, 'measure');
      trainees.find(traineeId);
      const image = await reencoded(dto.image);
      acceptOnce(context, dto.id, { traineeId, dto }, () =>
        insert.run({ ...dto, studioId, coachId: actor.coachId, traineeId, points: JSON.stringify(dto.points), image }),
      );
      return list(traineeId);
    },

    image(traineeId: string, id: string): Buffer {
      const image = imageOf.get({ id, traineeId })?.image;
      if (!image) throw new Refusal('picture-missing');
      return image;
    },

    /** Takes the image off the record; what was read from it stays. */
    takeOff(actor: Actor, traineeId: string, id: string): readonly PictureReply[] {
      mustMay(actor, 'measure');
      if (takeOff.run({ id, traineeId }).changes === 0) throw new Refusal('picture-missing');
      return list(traineeId);
    },
  };
}

export type PictureStore = ReturnType<typeof pictureStore>;
