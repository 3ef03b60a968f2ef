import type { CheckDto, CheckReply, ReadingDto, TrialCorrectionDto, TrialReply } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import {
  type Capacity,
  capacityFromTrials,
  ERROR_VERSION,
  independentTrials,
  type Skip,
  sumOfSquares,
  type Trial,
  trialFrom,
} from '@myokinet/core/measuring';
import { HELD_SECONDS, substituteProblem, type SubstituteProblem } from '@myokinet/core/checking';
import { traineeBody } from '@myokinet/core/statics';
import { addDays, calendarDay, type Instant } from '@myokinet/core/quantities';
import { checkKey, lateAfter } from '@myokinet/core/readiness';
import type { Context } from '../context.ts';
import { type Actor, mustMay } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import { groupRows } from '../database/groupRows.ts';
import type { LibraryStore } from '../library/store.ts';
import type { MeasuringStore } from '../measuring/store.ts';
import type { BatteryStore } from '../batteries/store.ts';
import type { TraineeStore } from '../trainees/store.ts';
import * as sql from './statements.ts';

type StandingTrial = Pick<Trial, 'side' | 'value'> & { measureId: string; reading: string | null };
type CheckRow = Pick<CheckReply, 'id' | 'takenAt' | 'note' | 'coach'> & { recordedAt: Instant | null; takenBack: string | null };
type TrialRow = {
  checkId: string;
  id: string;
  measureId: string;
  side: TrialReply['side'];
  value: number;
  replaces: string | null;
  reason: string | null;
  replacedBy: string | null;
  reading: string | null;
};

interface Page {
  readonly traineeId: string;
  readonly limit: number;
  /** Only this occasion, whatever its age. */
  readonly checkId: string | null;
}

/** Occasions sent to a page at once; a history asks for all. */
const PAGE = 60;
const ALL = -1;

interface Neighbours {
  readonly library: LibraryStore;
  readonly trainees: TraineeStore;
  readonly measuring: MeasuringStore;
  readonly batteries: BatteryStore;
}

/** Longer than a figure may be fresh (366 days). */
const RENEWED_DAYS = 400;

export function checkStore(context: Context, { library, trainees, measuring, batteries }: Neighbours) {
  const { db, studioId, now } = context;
  const insertCheck = db.prepare(sql.INSERT_CHECK);
  const insertTrial = db.prepare(sql.INSERT_TRIAL);
  const insertSkip = db.prepare(sql.INSERT_SKIP);
  const skipsOf = db.prepare<Omit<Page, 'limit'>, Skip & { checkId: string }>(sql.SKIPS_OF_TRAINEE);
  const standingTrials = db.prepare<{ checkId: string }, StandingTrial>(sql.STANDING_TRIALS);
  const sourceUsed = db.prepare<{ traineeId: string; checkId: string; source: string; measureId: string }, { takenAt: Instant }>(
    sql.SOURCE_USED,
  );
  const trialById = db.prepare<
    { id: string; traineeId: string },
    { checkId: string; position: number; measureId: string; side: string; reading: string | null; replaced: number; takenBack: number }
  >(sql.TRIAL_BY_ID);
  const occasionOf = db.prepare<{ checkId: string }, { takenAt: Instant; coachId: string }>(
    'SELECT taken_at AS takenAt, coach_id AS coachId FROM check_occasion WHERE id = @checkId',
  );
  const upsertCapacity = db.prepare(sql.UPSERT_CAPACITY);
  const datesOfKey = db.prepare<
    { traineeId: string; measureId: string; side: string },
    { checkId: string; takenAt: Instant; provisional: number; inSession: number }
  >(sql.DATES_OF_KEY);
  const keysOfCheck = db.prepare<{ checkId: string }, { measureId: string; side: string }>(sql.KEYS_OF_CHECK);
  const olderErrors = db.prepare<{ errorVersion: number; since: string }, { traineeId: string; checkId: string }>(sql.OLDER_ERRORS);
  const dropCapacities = db.prepare(sql.DROP_CAPACITIES);
  const flagCapacity = db.prepare(sql.FLAG_CAPACITY);
  const capacitiesOf = db.prepare<Omit<Page, 'limit'>, Capacity & { checkId: string }>(sql.CAPACITIES_OF_TRAINEE);
  const checksOf = db.prepare<Page, CheckRow>(sql.CHECKS_OF_TRAINEE);
  const trialsOf = db.prepare<Page, TrialRow>(sql.TRIALS_OF_TRAINEE);

  /** Works the capacities of one occasion out again from its standing trials, by the error of whoever took it. */
  function recompute(traineeId: string, checkId: string): void {
    const occasion = occasionOf.get({ checkId });
    if (!occasion) return;
    const { takenAt, coachId } = occasion;
    const groups = groupRows(standingTrials.all({ checkId }), (t) => checkKey(t.measureId, t.side));
    for (const trials of groups.values()) {
      const [first] = trials;
      if (!first) continue;
      const measure = library.current().measure(first.measureId);
      const counted = trials.map(asTrial);
      const capacity = capacityFromTrials(measure, counted, { takenAt, ownError: measuring.ownError(coachId, measure, takenAt) });
      const scatter = sumOfSquares(independentTrials(counted).map((t) => t.value));
      upsertCapacity.run({ provisional: null, checkId, traineeId, scatter, errorVersion: ERROR_VERSION, ...capacity });
      reflag(traineeId, first.measureId, first.side);
    }
  }

  /**
   * Marks the newest capacity of a kind, and those whose successor came too late. What a session showed is the newest only where
   * nothing was ever checked, and freshens nothing.
   */
  function reflag(traineeId: string, measureId: string, side: string): void {
    const dates = datesOfKey.all({ traineeId, measureId, side });
    const checked = dates.filter((d) => d.inSession === 0);
    const current = checked.at(-1) ?? dates.at(-1);
    // A figure that opens no gate keeps no clearance alive either.
    const late = new Set(
      lateAfter(
        dates.filter((d) => d.provisional === 0).map((d) => d.takenAt),
        library.current().measure(measureId).freshDays,
      ),
    );
    const flags = dates.map(({ checkId, takenAt, provisional }) => ({
      checkId,
      measureId,
      side,
      followedLate: provisional === 0 && late.has(takenAt) ? 1 : 0,
      isCurrent: checkId === current?.checkId ? 1 : 0,
    }));
    // The old mark goes before the new one comes: only one may be current.
    for (const flag of flags.sort((a, b) => a.isCurrent - b.isCurrent)) flagCapacity.run(flag);
  }

  /**
   * Figures whose error an older program worked out get today's, so that no band is narrower than it should be. What is older than any
   * check may be fresh decides nothing and stays as it was.
   */
  function renewErrors(): void {
    const older = olderErrors.all({ errorVersion: ERROR_VERSION, since: addDays(now(), -RENEWED_DAYS) });
    if (older.length === 0) return;
    db.transaction(() => {
      for (const { traineeId, checkId } of older) {
        try {
          recompute(traineeId, checkId);
        } catch (error) {
          // A check whose limits the studio has changed since no longer takes its old trials: they stay as they are.
          if (!(error instanceof Refusal)) throw error;
        }
      }
    })();
  }
  renewErrors();

  function history(traineeId: string, checkId: string | null = null, limit = PAGE): readonly CheckReply[] {
    trainees.find(traineeId);
    const page = { traineeId, limit, checkId };
    const skips = groupRows(skipsOf.all(page), (s) => s.checkId);
    const trials = groupRows(trialsOf.all(page), (t) => t.checkId);
    const capacities = groupRows(capacitiesOf.all(page), (c) => c.checkId);
    return checksOf.all(page).map(({ takenBack, recordedAt, ...check }) => ({
      ...check,
      ...(recordedAt === null ? {} : { recordedAt }),
      ...(takenBack === null ? {} : { takenBack }),
      trials: (trials.get(check.id) ?? []).map(trialReply),
      capacities: (capacities.get(check.id) ?? []).map(({ checkId: _, ...capacity }) => capacity),
      skips: (skips.get(check.id) ?? []).map(({ checkId: _, ...skip }) => skip),
    }));
  }

  return {
    history: (traineeId: string, whole: boolean) => history(traineeId, null, whole ? ALL : PAGE),

    /** Every capacity of a trainee, newest first. */
    capacities: (traineeId: string): readonly Capacity[] =>
      capacitiesOf.all({ traineeId, checkId: null }).map(({ checkId: _, ...capacity }) => capacity),

    record(actor: Actor, traineeId: string, dto: CheckDto): CheckReply {
      mustMay(actor, 'measure');
      trainees.find(traineeId);
      acceptOnce(context, dto.id, { traineeId, dto }, () => {
        refuseUsedSources(traineeId, dto);
        refuseFalseSubstitutes(traineeId, dto.trials);
        insertCheck.run({ ...dto, trials: null, skips: null, traineeId, studioId, coachId: actor.coachId });
        dto.trials.forEach(({ reading, ...trial }, position) =>
          insertTrial.run({
            ...trial,
            checkId: dto.id,
            coachId: actor.coachId,
            position,
            replaces: null,
            reason: null,
            reading: reading ? JSON.stringify(reading) : null,
          }),
        );
        for (const { measureId, reason } of dto.skips ?? []) insertSkip.run({ checkId: dto.id, measureId, reason });
        batteries.end(actor, traineeId, dto.id);
        recompute(traineeId, dto.id);
      });
      return one(traineeId, dto.id);
    },

    /** Works out anew what an occasion showed, after it was taken back: nothing, and the one before counts again. */
    forget(traineeId: string, checkId: string): void {
      const keys = keysOfCheck.all({ checkId });
      dropCapacities.run({ checkId });
      for (const { measureId, side } of keys) reflag(traineeId, measureId, side);
    },

    correct(actor: Actor, traineeId: string, dto: TrialCorrectionDto): CheckReply {
      mustMay(actor, 'measure');
      trainees.find(traineeId);
      const old = trialById.get({ id: dto.replaces, traineeId });
      if (!old || old.measureId !== dto.measureId) throw new Refusal('trial-missing');
      // What a figure came from stays with it: a mistyped digit makes no measurement of a simulation.
      const { checkId, position, side, reading } = old;
      if (reading !== null) {
        const kept = JSON.parse(reading) as ReadingDto;
        refuseFalseSubstitutes(traineeId, [{ measureId: dto.measureId, value: dto.value, reading: kept }]);
      }
      acceptOnce(context, dto.id, { traineeId, dto }, () => {
        if (old.takenBack) throw new Refusal('fact-not-in-force', 'The whole check was taken back: its trials count no more.');
        if (old.replaced) throw new Refusal('edited-elsewhere', 'This trial was corrected before; correct the newer one.');
        insertTrial.run({ ...dto, checkId, coachId: actor.coachId, position, side, reading });
        recompute(traineeId, checkId);
      });
      return one(traineeId, checkId);
    },
  };

  /** A picture of last month is no check of today: what was read once shows nothing new. */
  function refuseUsedSources(traineeId: string, { id, trials }: CheckDto): void {
    for (const { measureId, reading } of trials) {
      if (!reading?.source) continue;
      const used = sourceUsed.get({ traineeId, checkId: id, source: reading.source, measureId });
      if (!used) continue;
      const what = reading.kind === 'trace' ? 'trace' : 'picture';
      throw new Refusal(
        'source-used-before',
        `${library.current().measure(measureId).name}: this ${what} was read before, in the check of ${calendarDay(used.takenAt)}. Take a new one, or type what was measured.`,
      );
    }
  }

  /** What a held set-up shows is worked out again: another figure, too short a hold or another set-up stands for nothing. */
  function refuseFalseSubstitutes(
    traineeId: string,
    trials: readonly Pick<CheckDto['trials'][number], 'measureId' | 'value' | 'reading'>[],
  ) {
    for (const { measureId, value, reading } of trials) {
      if (reading?.kind !== 'set-up') continue;
      const measure = library.current().measure(measureId);
      const { setUp, heldSeconds = 0 } = reading;
      const body = traineeBody(trainees.find(traineeId));
      const problem = setUp ? substituteProblem(measure, body, { setUp, heldSeconds: heldSeconds ?? 0, value }) : 'no substitute';
      if (problem) throw new Refusal('substitute-refused', `${measure.name}: ${SUBSTITUTE_WORDS[problem]}`);
    }
  }

  function one(traineeId: string, checkId: string): CheckReply {
    const [check] = history(traineeId, checkId);
    if (!check) throw new Refusal('trial-missing');
    return check;
  }
}

function trialReply({ checkId: _, replaces, reason, replacedBy, reading, ...trial }: TrialRow): TrialReply {
  return {
    ...trial,
    ...(replaces ? { replaces } : {}),
    ...(reason ? { reason } : {}),
    ...(replacedBy ? { replacedBy } : {}),
    ...(reading ? { reading: JSON.parse(reading) as ReadingDto } : {}),
  };
}

/** A stored trial with what its reading knows about its worth. */
function asTrial({ side, value, reading }: StandingTrial): Trial {
  return trialFrom(side, value, reading === null ? null : (JSON.parse(reading) as ReadingDto));
}

export type CheckStore = ReturnType<typeof checkStore>;

const SUBSTITUTE_WORDS: Readonly<Record<SubstituteProblem, string>> = {
  'no substitute': 'no such set-up stands in for this check.',
  'held too short': `a set-up has to be held for ${HELD_SECONDS} seconds to show anything.`,
  'another figure': 'the set-up puts another load on this trainee than was sent; take the trial again.',
};
