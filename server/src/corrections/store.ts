import type {
  CheckReply,
  FactKind,
  SessionCorrectionDto,
  SessionReply,
  SymptomCorrectionDto,
  SymptomDto,
  TakenBackDto,
  TakenBackReply,
  TrialCorrectionDto,
} from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { instant } from '@myokinet/core/quantities';
import { say } from '@myokinet/core/words';
import type { CheckStore } from '../checks/store.ts';
import type { ClearanceStore } from '../clearances/store.ts';
import type { Context } from '../context.ts';
import { type Actor, mustMay } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import type { LibraryStore } from '../library/store.ts';
import type { ReadinessStore, SignedGate } from '../readiness/store.ts';
import type { SessionStore } from '../sessions/store.ts';
import type { SymptomStore } from '../symptoms/store.ts';
import type { TraineeStore } from '../trainees/store.ts';
import * as sql from './statements.ts';

interface Neighbours {
  readonly trainees: TraineeStore;
  readonly library: LibraryStore;
  readonly checks: CheckStore;
  readonly sessions: SessionStore;
  readonly symptoms: SymptomStore;
  readonly clearances: ClearanceStore;
  readonly readiness: ReadinessStore;
}

/** Corrections of facts, and what becomes of the clearances that rested on them. */
export function correctionStore(context: Context, { trainees, library, checks, sessions, symptoms, clearances, readiness }: Neighbours) {
  const { db, studioId, now } = context;
  const insert = db.prepare(sql.INSERT_TAKEN_BACK);
  const ofTrainee = db.prepare<{ traineeId: string }, TakenBackReply>(sql.TAKEN_BACK_OF_TRAINEE);
  const owned: Readonly<Record<FactKind, (key: { factId: string; traineeId: string }) => unknown>> = {
    session: (key) => db.prepare(sql.SESSION_IN_FORCE).get(key),
    symptom: (key) => db.prepare(sql.SYMPTOM_IN_FORCE).get(key),
    check: (key) => db.prepare(sql.CHECK_OF_TRAINEE).get(key),
    screening: (key) => db.prepare(sql.SCREENING_IN_FORCE).get(key),
  };

  /**
   * Corrects something, and judges the gates of all standing clearances as they stood at their signature, before and after: what held
   * before and holds no more is withdrawn, in the same transaction.
   */
  function around<T>(actor: Actor, traineeId: string, why: string, correct: () => T): T {
    return db.transaction(() => {
      const before = new Map(readiness.signedGates(traineeId).map((g) => [g.clearanceId, g]));
      const result = correct();
      for (const after of readiness.signedGates(traineeId)) {
        const broken = newlyUnmet(before.get(after.clearanceId), after);
        if (broken) clearances.withdrawForCorrection(actor, after.clearanceId, `Corrected since it was signed (${why}): ${broken}`);
      }
      return result;
    })();
  }

  /** The first line that the correction has taken away, as a sentence. */
  function newlyUnmet(before: SignedGate | undefined, { gate, headrooms, signedAt }: SignedGate): string | undefined {
    const known = new Set((before?.gate?.unmet ?? []).map(keyOf));
    const broken = gate?.unmet.find((finding) => !known.has(keyOf(finding)));
    return broken && say(broken, { headrooms, measureOf: library.current().measure, now: new Date(signedAt) });
  }

  return {
    correctTrial: (actor: Actor, traineeId: string, dto: TrialCorrectionDto): CheckReply =>
      around(actor, traineeId, dto.reason, () => checks.correct(actor, traineeId, dto)),

    correctSession: (actor: Actor, traineeId: string, dto: SessionCorrectionDto): SessionReply =>
      around(actor, traineeId, dto.reason, () => sessions.correct(actor, traineeId, dto)),

    correctSymptom: (actor: Actor, traineeId: string, dto: SymptomCorrectionDto): SymptomDto =>
      around(actor, traineeId, dto.reason, () => symptoms.correct(actor, traineeId, dto)),

    /** Takes a whole fact back: it stays on record and counts no more. */
    takeBack(actor: Actor, traineeId: string, dto: TakenBackDto): readonly TakenBackReply[] {
      mustMay(actor, 'log');
      trainees.find(traineeId);
      around(actor, traineeId, dto.reason, () =>
        acceptOnce(context, dto.id, { traineeId, dto }, () => {
          const known = ofTrainee.all({ traineeId }).some((b) => b.factId === dto.factId);
          if (known) throw new Refusal('fact-not-in-force');
          if (!owned[dto.kind]({ factId: dto.factId, traineeId })) throw new Refusal('fact-missing');
          insert.run({ ...dto, traineeId, studioId, coachId: actor.coachId, at: instant(now()) });
          if (dto.kind === 'check') checks.forget(traineeId, dto.factId);
        }),
      );
      return ofTrainee.all({ traineeId });
    },

    takenBack: (traineeId: string): readonly TakenBackReply[] => ofTrainee.all({ traineeId }),
  };
}

/** Which condition a finding is about. */
function keyOf(finding: NonNullable<SignedGate['gate']>['findings'][number]): string {
  return 'measureId' in finding ? `${finding.rule}/${finding.measureId}` : finding.rule;
}

export type CorrectionStore = ReturnType<typeof correctionStore>;
