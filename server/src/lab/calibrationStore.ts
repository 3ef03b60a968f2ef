import type { CalibrationReply, ReadingSetAsideDto, ScaleReadingDto, ScaleReadingReply } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { type Instant, instant } from '@myokinet/core/quantities';
import { type Belief, calibrate, readingProblem, type RecordedBody, traineeBody } from '@myokinet/core/statics';
import type { Context } from '../context.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import { groupRows } from '../database/groupRows.ts';
import * as sql from './statements.ts';

type ReadingRow = Omit<ScaleReadingDto, 'setUp' | 'insisted'> & {
  readonly traineeId: string;
  readonly setUp: string;
  readonly insisted: number;
  readonly coach: string;
  readonly reason: string | null;
  readonly at: Instant | null;
};

type Measured = RecordedBody & { readonly id: string };

/** What scales showed under trainees in named set-ups, and what the model has learned from it. */
export function calibrationStore(context: Context) {
  const { db, who, now } = context;
  const ofTrainee = db.prepare<{ traineeId: string }, ReadingRow>(sql.READINGS_OF_TRAINEE);
  const ofStudio = db.prepare<{ studioId: string }, ReadingRow>(sql.READINGS_OF_STUDIO);
  const insertReading = db.prepare(sql.INSERT_READING);
  const insertSetAside = db.prepare(sql.INSERT_SET_ASIDE);

  const readingsOf = (traineeId: string) => ofTrainee.all({ traineeId });

  function believed(trainee: Measured, rows: readonly ReadingRow[]): Belief | undefined {
    const counting = rows.filter(counts);
    if (counting.length === 0) return undefined;
    const { belief } = calibrate(traineeBody(trainee), counting.map(readingDto));
    return belief.readings > 0 ? belief : undefined;
  }

  function reply(trainee: Measured): CalibrationReply {
    const rows = readingsOf(trainee.id);
    const body = traineeBody(trainee);
    const counting = rows.filter(counts);
    const { readings: judged } = calibrate(body, counting.map(readingDto));
    const byId = new Map(counting.map((row, i) => [row.id, judged[i]]));
    const readings = rows.map((row): ScaleReadingReply => {
      const alone = byId.get(row.id) ?? calibrate(body, [readingDto(row)]).readings[0];
      if (!alone) throw new Refusal('unexpected');
      return {
        ...readingDto(row),
        coach: row.coach,
        judged: alone,
        ...(row.reason !== null && row.at !== null ? { setAside: { reason: row.reason, at: row.at } } : {}),
      };
    });
    return { readings: readings.reverse() };
  }

  return {
    reply,

    beliefOf: (trainee: Measured): Belief | undefined => believed(trainee, readingsOf(trainee.id)),

    /** What is believed about everybody in the studio, gathered once. */
    beliefsOfStudio(): (trainee: Measured) => Belief | undefined {
      const rows = groupRows(ofStudio.all({ studioId: who.studioId }), (r) => r.traineeId);
      return (trainee) => believed(trainee, rows.get(trainee.id) ?? []);
    },

    record(trainee: Measured, dto: ScaleReadingDto): CalibrationReply {
      const problem = readingProblem(traineeBody(trainee), dto);
      if (problem) throw new Refusal('scale-reading-unusable', problem);
      acceptOnce(context, dto.id, { traineeId: trainee.id, dto }, () =>
        insertReading.run({
          ...dto,
          setUp: JSON.stringify(dto.setUp),
          insisted: dto.insisted ? 1 : 0,
          traineeId: trainee.id,
          studioId: who.studioId,
          coachId: who.coachId,
        }),
      );
      return reply(trainee);
    },

    setAside(trainee: Measured, dto: ReadingSetAsideDto): CalibrationReply {
      acceptOnce(context, dto.id, { traineeId: trainee.id, dto }, () => {
        const row = readingsOf(trainee.id).find((r) => r.id === dto.readingId);
        if (!row) throw new Refusal('scale-reading-missing');
        if (row.at === null) insertSetAside.run({ readingId: dto.readingId, coachId: who.coachId, at: instant(now()), reason: dto.reason });
      });
      return reply(trainee);
    },
  };
}

function counts({ at }: ReadingRow): boolean {
  return at === null;
}

function readingDto({ traineeId: _t, coach: _c, reason: _r, at: _a, setUp, insisted, ...row }: ReadingRow): ScaleReadingDto {
  return { ...row, setUp: JSON.parse(setUp) as ScaleReadingDto['setUp'], insisted: insisted === 1 };
}

export type CalibrationStore = ReturnType<typeof calibrationStore>;
