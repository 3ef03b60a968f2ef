import type { NoteDto, NoteReply, NotesSeenDto } from '@myokinet/core/contracts';
import { instant } from '@myokinet/core/quantities';
import { type Actor, mustMay } from '../actor.ts';
import type { Context } from '../context.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import type { TraineeStore } from '../trainees/store.ts';
import * as sql from './statements.ts';

type NoteRow = Pick<NoteReply, 'id' | 'at' | 'text'> & {
  readonly drillId: string | null;
  readonly coach: string | null;
  readonly seen: number;
};

const SHOWN = 40;

/** Words between a trainee and the coaches. */
export function noteStore(context: Context, trainees: TraineeStore) {
  const { db, now } = context;
  const insert = db.prepare(sql.INSERT_NOTE);
  const ofTrainee = db.prepare<{ traineeId: string; limit: number }, NoteRow>(sql.NOTES_OF_TRAINEE);
  const seen = db.prepare(sql.NOTES_SEEN);

  const list = (traineeId: string): readonly NoteReply[] =>
    ofTrainee.all({ traineeId, limit: SHOWN }).map(({ drillId, coach, seen: read, ...note }) => ({
      ...note,
      ...(drillId === null ? {} : { drillId }),
      ...(coach === null ? {} : { coach }),
      seen: read === 1,
    }));

  const markSeen = (traineeId: string, upTo: string) => seen.run({ traineeId, upTo, seenAt: instant(now()) });

  return {
    list(traineeId: string): readonly NoteReply[] {
      trainees.find(traineeId);
      return list(traineeId);
    },

    /** A trainee’s words, or a coach’s; whoever answers has read what was written before. */
    write(actor: Actor, traineeId: string, dto: NoteDto): readonly NoteReply[] {
      mustMay(actor, 'log');
      trainees.find(traineeId);
      acceptOnce(context, dto.id, { traineeId, dto }, () => {
        const coachId = actor.isTrainee ? null : actor.coachId;
        insert.run({ ...dto, drillId: dto.drillId ?? null, traineeId, coachId, recordedAt: instant(now()) });
        if (coachId !== null) markSeen(traineeId, dto.at);
      });
      return list(traineeId);
    },

    seen(actor: Actor, traineeId: string, { upTo }: NotesSeenDto): readonly NoteReply[] {
      mustMay(actor, 'log');
      trainees.find(traineeId);
      markSeen(traineeId, upTo);
      return list(traineeId);
    },
  };
}

export type NoteStore = ReturnType<typeof noteStore>;
