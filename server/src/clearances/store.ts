import { v7 as uuidv7 } from 'uuid';
import {
  type ClearanceDto,
  type ClearanceReply,
  findingsFrom,
  LIMITS,
  readStored,
  type Scope,
  signedChecks,
  STORED,
  type WithdrawalDto,
} from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { type Instant, instant } from '@myokinet/core/quantities';
import {
  type ClearanceFact,
  type Gate,
  type GateFinding,
  guardsSafety,
  RULES_VERSION,
  standingOn,
  type Verdict,
} from '@myokinet/core/readiness';
import { say } from '@myokinet/core/words';
import type { Context } from '../context.ts';
import { type Actor, mustMay, mustSign } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import type { LibraryStore } from '../library/store.ts';
import { CLEARANCES_OF_TRAINEE, INSERT_CLEARANCE, INSERT_WITHDRAWAL } from './statements.ts';

export interface ClearanceRow {
  readonly id: string;
  readonly traineeId: string;
  readonly ladderId: string;
  readonly rungId: string;
  readonly initials: string;
  readonly signedAt: Instant;
  readonly figures: string;
  readonly figuresVersion: number;
  readonly withdrawnAt: Instant | null;
  readonly withdrawnReason: string | null;
  readonly withdrawnBy: 'coach' | 'stop sign' | 'correction' | null;
  readonly findings: string | null;
  readonly rulesVersion: number;
  readonly likelihood: number | null;
  readonly against: string | null;
}

/**
 * A clearance as core judges it; the figures are read only for a clearance that may still stand. One that stood on figures which
 * cannot be read stands no more: nothing is returned, and the record says why.
 */
export function clearanceFact(row: ClearanceRow): ClearanceFact | undefined {
  const figures = row.withdrawnAt ? [] : signedChecks(row.figures);
  if (!figures) return undefined;
  return {
    id: row.id,
    ladderId: row.ladderId,
    rungId: row.rungId,
    signedAt: row.signedAt,
    signedBy: row.initials,
    figures,
    ...(row.withdrawnAt ? { withdrawnAt: row.withdrawnAt } : {}),
    ...(row.withdrawnReason ? { withdrawnReason: row.withdrawnReason } : {}),
  };
}

export function clearanceStore(context: Context, library: LibraryStore, scope: () => Scope) {
  const { db, studioId, now } = context;
  const ofTrainee = db.prepare<{ traineeId: string }, ClearanceRow>(CLEARANCES_OF_TRAINEE);
  const insertClearance = db.prepare(INSERT_CLEARANCE);
  const insertWithdrawal = db.prepare(INSERT_WITHDRAWAL);

  function list(traineeId: string): readonly ClearanceReply[] {
    return ofTrainee
      .all({ traineeId })
      .map(
        ({ traineeId: _, figures, figuresVersion, findings, likelihood, against, withdrawnAt, withdrawnReason, withdrawnBy, ...row }) => {
          const read = readStored(STORED.figures, figures, figuresVersion, scope());
          return {
            ...row,
            rungName: library.rungName(row.ladderId, row.rungId),
            ...('value' in read ? { figures: read.value } : { figures: [], unreadable: read.unreadable }),
            ...(withdrawnAt ? { withdrawnAt } : {}),
            ...(withdrawnReason ? { withdrawnReason } : {}),
            ...(withdrawnBy ? { withdrawnBy } : {}),
            ...(findings === null ? {} : { findings: findingsFrom(findings) }),
            ...(likelihood === null ? {} : { likelihood }),
            ...(against === null ? {} : { against }),
          };
        },
      );
  }

  return {
    list,

    /** Signs a rung on the figures of the verdict that was judged just now. */
    sign(actor: Actor, traineeId: string, dto: ClearanceDto, judge: () => Verdict): ClearanceReply {
      mustSign(actor);
      acceptOnce(context, dto.id, { traineeId, dto }, () => {
        const { rung, gate, headrooms } = judge();
        if (rung?.id !== dto.rungId) throw new Refusal('gate-closed', 'This is not the next gate on the trainee’s ladder.');
        const against = mayBeSigned(gate, dto, (finding) => say(finding, { headrooms, measureOf: library.current().measure, now: now() }));
        insertClearance.run({
          ...dto,
          initials: actor.initials ?? dto.initials,
          against,
          findings: JSON.stringify(gate?.findings ?? []),
          rulesVersion: gate?.rulesVersion ?? RULES_VERSION,
          likelihood: gate?.likelihood ?? null,
          traineeId,
          studioId,
          coachId: actor.coachId,
          signedAt: instant(now()),
          figures: JSON.stringify(headrooms),
        });
      });
      return found(list(traineeId).find((c) => c.id === dto.id));
    },

    withdraw(actor: Actor, traineeId: string, dto: WithdrawalDto): ClearanceReply {
      mustMay(actor, 'sign');
      const clearance = found(list(traineeId).find((c) => c.id === dto.clearanceId));
      acceptOnce(context, dto.id, { traineeId, dto }, () => {
        if (clearance.withdrawnAt) throw new Refusal('clearance-not-standing', 'This clearance was withdrawn before.');
        insertWithdrawal.run({ ...dto, coachId: actor.coachId, symptomId: null, withdrawnAt: instant(now()), cause: 'coach' });
      });
      return found(list(traineeId).find((c) => c.id === dto.clearanceId));
    },

    /** Takes a clearance back because something it rested on was corrected. Runs inside the transaction of the correction. */
    withdrawForCorrection(actor: Actor, clearanceId: string, reason: string): void {
      insertWithdrawal.run({
        ...{ id: uuidv7(), clearanceId, coachId: actor.coachId, symptomId: null, withdrawnAt: instant(now()) },
        reason: reason.slice(0, LIMITS.reason),
        cause: 'correction',
      });
    },

    /**
     * Withdraws the clearance in hand on every ladder because of a stop sign: one rung back. Runs
     * inside the transaction that records the symptom.
     */
    withdrawForStopSign(actor: Actor, traineeId: string, symptom: { readonly id: string; readonly at: string }, reason: string): void {
      const facts = ofTrainee.all({ traineeId }).flatMap((row) => clearanceFact(row) ?? []);
      for (const ladder of library.current().content.ladders) {
        const { here, rungs } = standingOn(ladder, facts, new Map(), library.current().measure, now());
        const clearance = rungs[here]?.clearance;
        // A late report about the time before the signature does not undo it: the gate stays closed anyway.
        if (!clearance || clearance.signedAt > symptom.at) continue;
        insertWithdrawal.run({
          id: uuidv7(),
          clearanceId: clearance.id,
          coachId: actor.coachId,
          symptomId: symptom.id,
          withdrawnAt: instant(now()),
          reason,
          cause: 'stop sign',
        });
      }
    },
  };
}

/**
 * Why the coach signs, where not every line is met; nothing where all are. A line that guards safety is never signed against.
 *
 * @throws Refusal `gate-closed`
 */
function mayBeSigned(gate: Gate | undefined, { against }: ClearanceDto, words: (finding: GateFinding) => string): string | null {
  if (gate?.open) return null;
  const guarded = gate?.unmet.find(guardsSafety);
  const first = guarded ?? gate?.unmet[0];
  if (!gate || guarded || !against) throw new Refusal('gate-closed', `The gate is closed: ${first ? words(first) : 'nothing was judged'}`);
  return against;
}

function found(clearance: ClearanceReply | undefined): ClearanceReply {
  if (!clearance) throw new Refusal('clearance-missing');
  return clearance;
}

export type ClearanceStore = ReturnType<typeof clearanceStore>;
