import type { MeasuringReply, RepeatabilityReply, RepeatabilityTestDto, RepeatedDto } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import {
  type Measure,
  OWN_ERROR_RULES,
  type OwnError,
  ownErrorFromTest,
  ownErrorFromTrials,
  repeatability,
  type Repeatability,
  type TrialScatter,
} from '@myokinet/core/measuring';
import { type Instant, instant } from '@myokinet/core/quantities';
import type { Context } from '../context.ts';
import { type Actor, mustMay } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import type { LibraryStore } from '../library/store.ts';
import type { TraineeStore } from '../trainees/store.ts';
import * as sql from './statements.ts';

type TestRow = Omit<RepeatabilityReply, 'repeated' | 'result'> & { readonly repeated: string };

interface Neighbours {
  readonly trainees: TraineeStore;
  readonly library: LibraryStore;
}

/** What the coach's figures are worth: their own measuring error, and the tests of it. */
export function measuringStore(context: Context, { trainees, library }: Neighbours) {
  const { db, studioId, now } = context;
  const scatters = db.prepare<{ measureId: string; before: string; coachId: string; limit: number }, TrialScatter>(sql.SCATTERS);
  const insertTest = db.prepare(sql.INSERT_TEST);
  const tests = db.prepare<{ studioId: string }, TestRow>(sql.TESTS);
  const ownTest = db.prepare<{ studioId: string; coachId: string; measureId: string; before: string }, { repeated: string }>(sql.OWN_TEST);

  /** The coach's own error in a check as it was known at a moment: by a test of it, else by repeated trials. */
  function ownError(coachId: string, measure: Measure, before: Instant): OwnError | undefined {
    if (measure.error.kind !== 'amount') return undefined;
    const key = { measureId: measure.id, before, coachId };
    const test = ownTest.get({ ...key, studioId });
    const within = ownErrorFromTrials(measure, scatters.all({ ...key, limit: OWN_ERROR_RULES.sets }));
    const tested = test && ownErrorFromTest(measure, resultOf(JSON.parse(test.repeated) as RepeatedDto[]), within);
    return tested ?? within;
  }

  function reply(actor: Actor): MeasuringReply {
    const moment = instant(now());
    const own = library.current().content.measures.flatMap((measure) => {
      const error = ownError(actor.coachId, measure, moment);
      return error ? [[measure.id, error] as const] : [];
    });
    return { ownErrors: Object.fromEntries(own), tests: tests.all({ studioId }).map(testReply) };
  }

  return {
    ownError,
    reply,

    recordTest(actor: Actor, dto: RepeatabilityTestDto): MeasuringReply {
      mustMay(actor, 'measure');
      for (const { traineeId, measureId } of dto.repeated) {
        trainees.find(traineeId);
        if (measureId !== dto.measureId) throw new Refusal('measure-mismatch', 'A repeatability test is about one check.');
      }
      // Refuses what no repeatability can be told from, before anything is written.
      resultOf(dto.repeated);
      acceptOnce(context, dto.id, dto, () =>
        insertTest.run({ ...dto, repeated: JSON.stringify(dto.repeated), studioId, coachId: actor.coachId }),
      );
      return reply(actor);
    },
  };
}

function resultOf(repeated: readonly RepeatedDto[]): Repeatability {
  return repeatability(repeated.map(({ first, second }) => [first, second]));
}

function testReply({ repeated, ...row }: TestRow): RepeatabilityReply {
  const readings = JSON.parse(repeated) as RepeatedDto[];
  return { ...row, repeated: readings, result: resultOf(readings) };
}

export type MeasuringStore = ReturnType<typeof measuringStore>;
