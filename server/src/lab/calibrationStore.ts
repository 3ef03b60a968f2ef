import {
  type CalibrationReply,
  type ReadingSetAsideDto,
  readStored,
  type ScaleReadingDto,
  type ScaleReadingReply,
  type Scope,
  STORED,
} from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { type Instant, instant } from '@myokinet/core/quantities';
import { type Belief, calibrate, readingProblem, type RecordedBody, traineeBody } from '@myokinet/core/statics';
import type { Context } from '../context.ts';
import { type Actor, mustMay } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import { groupRows } from '../database/groupRows.ts';
import type { StoredDocument } from '../database/storedDocument.ts';
import * as sql from './statements.ts';

type ReadingRow = Omit<ScaleReadingDto, 'setUp' | 'insisted'> &
  StoredDocument & {
    readonly traineeId: string;
    readonly insisted: number;
    readonly coach: string;
    readonly reason: string | null;
    readonly at: Instant | null;
  };

type Measured = RecordedBody & { readonly id: string };

/** What scales showed under trainees in named set-ups, and what the model has learned from it. */
export function calibrationStore(context: Context, scope: () => Scope) {
  const { db, studioId, now } = context;
  const ofTrainee = db.prepare<{ traineeId: string }, ReadingRow>(sql.READINGS_OF_TRAINEE);
  const ofStudio = db.prepare<{ studioId: string }, ReadingRow>(sql.READINGS_OF_STUDIO);
  const insertReading = db.prepare(sql.INSERT_READING);
  const insertSetAside = db.prepare(sql.INSERT_SET_ASIDE);

  const readingsOf = (traineeId: string) => ofTrainee.all({ traineeId });

  function read({ document, version, insisted, ...row }: ReadingRow): Reading | { readonly unreadable: string } {
    const setUp = readStored(STORED.setUp, document, version, scope());
    return 'value' in setUp ? { ...row, setUp: setUp.value, insisted: insisted === 1 } : setUp;
  }

  function believed(trainee: Measured, rows: readonly ReadingRow[]): Belief | undefined {
    const counting = rows.filter(counts).map(read).filter(isReadable);
    if (counting.length === 0) return undefined;
    const { belief } = calibrate(traineeBody(trainee), counting);
    return belief.readings > 0 ? belief : undefined;
  }

  function reply(trainee: Measured): CalibrationReply {
    const all = readingsOf(trainee.id).map(read);
    const rows = all.filter(isReadable);
    const body = traineeBody(trainee);
    const counting = rows.filter(counts);
    const { readings: judged } = calibrate(body, counting);
    const byId = new Map(counting.map((row, i) => [row.id, judged[i]]));
    const readings = rows.map((row): ScaleReadingReply => {
      const alone = byId.get(row.id) ?? calibrate(body, [row]).readings[0];
      if (!alone) throw new Refusal('unexpected');
      const { traineeId: _, reason: _reason, at: _at, ...dto } = row;
      return {
        ...dto,
        judged: alone,
        ...(row.reason !== null && row.at !== null ? { setAside: { reason: row.reason, at: row.at } } : {}),
      };
    });
    return { readings: readings.reverse(), unreadable: all.flatMap((r) => ('unreadable' in r ? [r.unreadable] : [])) };
  }

  return {
    reply,

    beliefOf: (trainee: Measured): Belief | undefined => believed(trainee, readingsOf(trainee.id)),

    /** What is believed about everybody in the studio, gathered once. */
    beliefsOfStudio(): (trainee: Measured) => Belief | undefined {
      const rows = groupRows(ofStudio.all({ studioId }), (r) => r.traineeId);
      return (trainee) => believed(trainee, rows.get(trainee.id) ?? []);
    },

    record(actor: Actor, trainee: Measured, dto: ScaleReadingDto): CalibrationReply {
      mustMay(actor, 'measure');
      const problem = readingProblem(traineeBody(trainee), dto);
      if (problem) throw new Refusal('scale-reading-unusable', problem);
      acceptOnce(context, dto.id, { traineeId: trainee.id, dto }, () =>
        insertReading.run({
          ...dto,
          setUp: JSON.stringify(dto.setUp),
          insisted: dto.insisted ? 1 : 0,
          traineeId: trainee.id,
          studioId,
          coachId: actor.coachId,
        }),
      );
      return reply(trainee);
    },

    setAside(actor: Actor, trainee: Measured, dto: ReadingSetAsideDto): CalibrationReply {
      mustMay(actor, 'measure');
      acceptOnce(context, dto.id, { traineeId: trainee.id, dto }, () => {
        const row = readingsOf(trainee.id).find((r) => r.id === dto.readingId);
        if (!row) throw new Refusal('scale-reading-missing');
        if (row.at === null)
          insertSetAside.run({ readingId: dto.readingId, coachId: actor.coachId, at: instant(now()), reason: dto.reason });
      });
      return reply(trainee);
    },
  };
}

/** A reading whose set-up could be read. */
type Reading = Omit<ReadingRow, keyof StoredDocument | 'insisted'> & Pick<ScaleReadingDto, 'setUp' | 'insisted'>;

function isReadable(row: Reading | { readonly unreadable: string }): row is Reading {
  return !('unreadable' in row);
}

function counts({ at }: Pick<ReadingRow, 'at'>): boolean {
  return at === null;
}

export type CalibrationStore = ReturnType<typeof calibrationStore>;
