import type {
  StopSignClosureDto,
  StopSignReply,
  SymptomCorrectionDto,
  SymptomDto,
  SymptomReply,
  TraineeReply,
} from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { type Instant, instant } from '@myokinet/core/quantities';
import { closingProblem, type HeardWord, judgeSymptom, type Symptom } from '@myokinet/core/safety';
import type { ClearanceStore } from '../clearances/store.ts';
import type { Context } from '../context.ts';
import { type Actor, mustMay, mustSign } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import type { TraineeStore } from '../trainees/store.ts';
import * as sql from './statements.ts';
import { closingProblemInWords, stopSignInWords } from '@myokinet/core/words';

type StopRow = {
  readonly [K in keyof HeardWord]: HeardWord[K] | null;
} & {
  readonly symptomId: string;
  readonly reason: string;
  readonly at: Instant;
  readonly ground: string | null;
  readonly closedAt: Instant | null;
};
type SymptomRow = Omit<SymptomReply, 'judged' | 'retest' | 'reportedBy'> & {
  readonly judged: string | null;
  readonly retest: Symptom['retest'];
  readonly reportedBy: 'trainee' | null;
};

/** Newest entries sent to a page at once. */
const PAGE = 400;

interface SymptomOrigin {
  readonly sessionId?: string | null;
  readonly runId?: string | null;
  readonly classId?: string | null;
  /** The symptom that it corrects, and why. */
  readonly replaces?: string | null;
  readonly reason?: string | null;
}

interface Neighbours {
  readonly trainees: TraineeStore;
  readonly clearances: ClearanceStore;
}

/** What was felt, in a session or outside one, and the stop signs among it. */
export function symptomStore(context: Context, { trainees, clearances }: Neighbours) {
  const { db, studioId, now } = context;
  const insertSymptom = db.prepare(sql.INSERT_SYMPTOM);
  const insertClosure = db.prepare(sql.INSERT_CLOSURE);
  const symptomsOf = db.prepare<{ traineeId: string; limit: number }, SymptomRow>(sql.SYMPTOMS_OF_TRAINEE);
  const stopSignsOf = db.prepare<{ traineeId: string }, StopRow>(sql.STOP_SIGNS_OF_TRAINEE);
  const toCorrect = db.prepare<
    { id: string; traineeId: string },
    { sessionId: string | null; runId: string | null; classId: string | null; inForce: number }
  >(sql.SYMPTOM_TO_CORRECT);
  const ownerOf = db.prepare<{ sessionId: string }, { traineeId: string }>(sql.SESSION_OWNER);

  const list = (traineeId: string): readonly SymptomReply[] => symptomsOf.all({ traineeId, limit: PAGE }).map(readSymptom);

  function stopSigns(traineeId: string): readonly StopSignReply[] {
    const felt = list(traineeId);
    return stopSignsOf.all({ traineeId }).map(({ ground, closedAt, role, consultedOn, ...sign }) => {
      if (ground && closedAt) return { ...sign, closure: { ground, closedAt, ...(role && consultedOn ? { role, consultedOn } : {}) } };
      const symptom = felt.find((s) => s.id === sign.symptomId);
      // One that is out of sight is for a professional.
      const problem = symptom ? closingProblem(symptom, felt, undefined, now()) : ({ code: 'professional-only' } as const);
      return { ...sign, ...(problem ? { problem } : {}) };
    });
  }

  /** A symptom as the pain rule judges it beside what is on record now: the days before, the age, lasting pains. */
  function judged<S extends SymptomDto>(
    trainee: Pick<TraineeReply, 'id' | 'screening' | 'lastingPains'>,
    dto: S,
    replaces: string | null = null,
  ): S & Symptom {
    const felt = dto as S & Symptom;
    const history = list(trainee.id).filter((s) => s.id !== dto.id && s.id !== replaces);
    const under18 = trainee.screening.cautions.some((c) => c.id === 'minor');
    return { ...felt, judged: judgeSymptom(felt, { history, under18, lasting: trainee.lastingPains }) };
  }

  /** Writes a symptom; a stop sign withdraws the clearance in hand in the same transaction. */
  function write(
    actor: Actor,
    traineeId: string,
    dto: SymptomDto,
    { sessionId = null, runId = null, classId = null, replaces = null, reason: why = null }: SymptomOrigin,
  ): void {
    const felt = judged(trainees.find(traineeId), dto, replaces);
    const reason = stopSignInWords(felt);
    insertSymptom.run({
      ...dto,
      ...{ sessionId, runId, classId, traineeId, replaces },
      studioId,
      coachId: actor.coachId,
      stopReason: reason ?? null,
      reason: why,
      recordedAt: instant(now()),
      retest: dto.retest ?? null,
      judged: JSON.stringify(felt.judged),
      reportedBy: actor.isTrainee ? 'trainee' : null,
    });
    if (reason) clearances.withdrawForStopSign(actor, traineeId, dto, reason);
  }

  /** What is wrong with a professional's word about a sign. */
  const wordProblem = ({ at }: StopSignReply, word: HeardWord) => closingProblem({ at } as Symptom, [], word, now());

  return {
    stopSigns,
    /** Inside a transaction of the caller's. */
    write,

    list,
    judged,

    /** Puts a symptom in the place of one on record, in the same session. */
    correct(actor: Actor, traineeId: string, { replaces, reason, symptom }: SymptomCorrectionDto): SymptomDto {
      mustMay(actor, 'log');
      const old = toCorrect.get({ id: replaces, traineeId });
      if (!old) throw new Refusal('fact-missing');
      acceptOnce(context, symptom.id, { traineeId, replaces, reason, symptom }, () => {
        if (!old.inForce) throw new Refusal('fact-not-in-force');
        write(actor, traineeId, symptom, { sessionId: old.sessionId, runId: old.runId, classId: old.classId, replaces, reason });
      });
      return symptom;
    },

    report(actor: Actor, traineeId: string, dto: SymptomDto): SymptomDto {
      mustMay(actor, 'log');
      trainees.find(traineeId);
      if (dto.sessionId && ownerOf.get({ sessionId: dto.sessionId })?.traineeId !== traineeId) throw new Refusal('session-missing');
      acceptOnce(context, dto.id, { traineeId, dto }, () => write(actor, traineeId, dto, { sessionId: dto.sessionId ?? null }));
      return dto;
    },

    closeStopSign(actor: Actor, traineeId: string, dto: StopSignClosureDto): readonly StopSignReply[] {
      mustSign(actor);
      trainees.find(traineeId);
      acceptOnce(context, dto.id, { traineeId, dto }, () => {
        const sign = stopSigns(traineeId).find((s) => s.symptomId === dto.symptomId);
        if (!sign) throw new Refusal('symptom-missing');
        if (sign.closure) throw new Refusal('stop-sign-not-open', 'This stop sign was closed before.');
        const { role = null, consultedOn = null } = dto;
        const problem = role && consultedOn ? wordProblem(sign, { role, consultedOn }) : sign.problem;
        if (problem) throw new Refusal('stop-sign-not-yours', closingProblemInWords(problem));
        insertClosure.run({ ...dto, role, consultedOn, coachId: actor.coachId, closedAt: instant(now()) });
      });
      return stopSigns(traineeId);
    },
  };
}

function readSymptom({ judged, retest, reportedBy, ...row }: SymptomRow): SymptomReply {
  return {
    ...row,
    ...(retest ? { retest } : {}),
    ...(reportedBy ? { reportedBy } : {}),
    ...(judged === null ? {} : { judged: JSON.parse(judged) as NonNullable<SymptomReply['judged']> }),
  };
}

export type SymptomStore = ReturnType<typeof symptomStore>;
