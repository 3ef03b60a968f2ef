import type { StopSignClosureDto, StopSignReply, SymptomCorrectionDto, SymptomDto } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { type Instant, instant } from '@myokinet/core/quantities';
import { isStopSign, type Symptom } from '@myokinet/core/safety';
import type { ClearanceStore } from '../clearances/store.ts';
import type { Context } from '../context.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import type { TraineeStore } from '../trainees/store.ts';
import * as sql from './statements.ts';
import { stopSignInWords } from '@myokinet/core/words';

type StopRow = { symptomId: string; reason: string; at: Instant; ground: string | null; closedAt: Instant | null };

/** Newest entries sent to a page at once. */
const PAGE = 400;

interface SymptomOrigin {
  readonly sessionId?: string | null;
  readonly runId?: string | null;
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
  const { db, who, now } = context;
  const insertSymptom = db.prepare(sql.INSERT_SYMPTOM);
  const insertClosure = db.prepare(sql.INSERT_CLOSURE);
  const symptomsOf = db.prepare<{ traineeId: string; limit: number }, SymptomDto>(sql.SYMPTOMS_OF_TRAINEE);
  const stopSignsOf = db.prepare<{ traineeId: string }, StopRow>(sql.STOP_SIGNS_OF_TRAINEE);
  const toCorrect = db.prepare<{ id: string; traineeId: string }, { sessionId: string | null; runId: string | null; inForce: number }>(
    sql.SYMPTOM_TO_CORRECT,
  );
  const ownerOf = db.prepare<{ sessionId: string }, { traineeId: string }>(sql.SESSION_OWNER);

  function stopSigns(traineeId: string): readonly StopSignReply[] {
    return stopSignsOf
      .all({ traineeId })
      .map(({ ground, closedAt, ...sign }) => ({ ...sign, ...(ground && closedAt ? { closure: { ground, closedAt } } : {}) }));
  }

  /** Writes a symptom; a stop sign withdraws the clearance in hand in the same transaction. */
  function write(
    traineeId: string,
    dto: SymptomDto,
    { sessionId = null, runId = null, replaces = null, reason: why = null }: SymptomOrigin,
  ): void {
    const felt = dto as Symptom & SymptomDto;
    const reason = isStopSign(felt) ? stopSignInWords(felt) : undefined;
    insertSymptom.run({
      ...dto,
      ...{ sessionId, runId, traineeId, replaces },
      studioId: who.studioId,
      coachId: who.coachId,
      stopReason: reason ?? null,
      reason: why,
      recordedAt: instant(now()),
    });
    if (reason) clearances.withdrawForStopSign(traineeId, dto, reason);
  }

  return {
    stopSigns,
    /** Inside a transaction of the caller's. */
    write,

    list: (traineeId: string): readonly SymptomDto[] => symptomsOf.all({ traineeId, limit: PAGE }),

    /** Puts a symptom in the place of one on record, in the same session. */
    correct(traineeId: string, { replaces, reason, symptom }: SymptomCorrectionDto): SymptomDto {
      const old = toCorrect.get({ id: replaces, traineeId });
      if (!old) throw new Refusal('fact-missing');
      acceptOnce(context, symptom.id, { traineeId, replaces, reason, symptom }, () => {
        if (!old.inForce) throw new Refusal('fact-not-in-force');
        write(traineeId, symptom, { sessionId: old.sessionId, runId: old.runId, replaces, reason });
      });
      return symptom;
    },

    report(traineeId: string, dto: SymptomDto): SymptomDto {
      trainees.find(traineeId);
      if (dto.sessionId && ownerOf.get({ sessionId: dto.sessionId })?.traineeId !== traineeId) throw new Refusal('session-missing');
      acceptOnce(context, dto.id, { traineeId, dto }, () => write(traineeId, dto, { sessionId: dto.sessionId ?? null }));
      return dto;
    },

    closeStopSign(traineeId: string, dto: StopSignClosureDto): readonly StopSignReply[] {
      trainees.find(traineeId);
      acceptOnce(context, dto.id, { traineeId, dto }, () => {
        const sign = stopSigns(traineeId).find((s) => s.symptomId === dto.symptomId);
        if (!sign) throw new Refusal('symptom-missing');
        if (sign.closure) throw new Refusal('stop-sign-not-open', 'This stop sign was closed before.');
        insertClosure.run({ ...dto, coachId: who.coachId, closedAt: instant(now()) });
      });
      return stopSigns(traineeId);
    },
  };
}

export type SymptomStore = ReturnType<typeof symptomStore>;
