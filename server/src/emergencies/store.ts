import type {
  EmergencyCareDto,
  EmergencyCareReply,
  EmergencyDto,
  EmergencyMistakeDto,
  EmergencyReply,
  EmergencySeenDto,
} from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { instant } from '@myokinet/core/quantities';
import { type EmergencyFact, type EmergencySign, MISTAKE_SECONDS } from '@myokinet/core/safety';
import type { Context } from '../context.ts';
import { type Actor, mustMay } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import { groupRows } from '../database/groupRows.ts';
import * as sql from './statements.ts';

type Row = Omit<EmergencyReply, 'signs' | 'mistake' | 'note'> & {
  readonly traineeId: string;
  readonly signs: string | null;
  readonly note: string | null;
  readonly mistake: string | null;
};

/** Emergencies: pressed, described, or pressed by mistake; and whom to call. */
export function emergencyStore(context: Context) {
  const { db, studioId, now } = context;
  const ofTrainee = db.prepare<{ traineeId: string }, Row>(sql.EMERGENCIES_OF_TRAINEE);
  const ofStudio = db.prepare<{ studioId: string }, Row>(sql.EMERGENCIES_OF_STUDIO);
  const known = db.prepare<{ traineeId: string; studioId: string }, unknown>(sql.TRAINEE_OF_STUDIO);
  const insert = db.prepare(sql.INSERT_EMERGENCY);
  const insertSeen = db.prepare(sql.INSERT_SEEN);
  const insertMistake = db.prepare(sql.INSERT_MISTAKE);
  const currentCare = db.prepare<{ studioId: string }, EmergencyCareReply>(sql.CARE);
  const insertCare = db.prepare(sql.INSERT_CARE);

  const stamp = (actor: Actor) => ({ coachId: actor.coachId, recordedAt: instant(now()) });

  function mustExist(traineeId: string): void {
    if (!known.get({ traineeId, studioId })) throw new Refusal('trainee-missing');
  }

  function list(traineeId: string): readonly EmergencyReply[] {
    mustExist(traineeId);
    return ofTrainee.all({ traineeId }).map(replyOf);
  }

  function find(traineeId: string, id: string): EmergencyReply {
    const found = list(traineeId).find((e) => e.id === id);
    if (!found) throw new Refusal('fact-missing');
    return found;
  }

  const care = (): EmergencyCareReply => currentCare.get({ studioId }) ?? { id: null, number: '', place: '' };

  return {
    list,
    care,

    /** Those that count. */
    factsOf: (traineeId: string): readonly EmergencyFact[] => ofTrainee.all({ traineeId }).map(replyOf).filter(counts),

    factsOfStudio(): (traineeId: string) => readonly EmergencyFact[] {
      const rows = groupRows(ofStudio.all({ studioId }), (e) => e.traineeId);
      return (traineeId) => (rows.get(traineeId) ?? []).map(replyOf).filter(counts);
    },

    press(actor: Actor, traineeId: string, dto: EmergencyDto): readonly EmergencyReply[] {
      mustMay(actor, 'log');
      mustExist(traineeId);
      acceptOnce(context, dto.id, { traineeId, dto }, () => {
        const { recordedAt } = stamp(actor);
        const at = dto.at > recordedAt ? recordedAt : dto.at;
        insert.run({ ...dto, ...stamp(actor), at, traineeId, studioId });
      });
      return list(traineeId);
    },

    seen(actor: Actor, traineeId: string, dto: EmergencySeenDto): readonly EmergencyReply[] {
      mustMay(actor, 'log');
      find(traineeId, dto.emergencyId);
      acceptOnce(context, dto.id, { traineeId, dto }, () => insertSeen.run({ ...dto, ...stamp(actor), signs: JSON.stringify(dto.signs) }));
      return list(traineeId);
    },

    /** Within a minute of the press as this server took it in: what comes later is for a doctor to lift. */
    mistake(actor: Actor, traineeId: string, dto: EmergencyMistakeDto): readonly EmergencyReply[] {
      mustMay(actor, 'log');
      const pressed = find(traineeId, dto.emergencyId);
      acceptOnce(context, dto.id, { traineeId, dto }, () => {
        if (pressed.mistake !== undefined) throw new Refusal('fact-not-in-force');
        if (now().getTime() - Date.parse(pressed.recordedAt) > MISTAKE_SECONDS * 1000)
          throw new Refusal(
            'emergency-stands',
            `It was pressed more than ${MISTAKE_SECONDS} seconds ago: only a doctor’s word lifts it now.`,
          );
        insertMistake.run({ ...dto, ...stamp(actor) });
      });
      return list(traineeId);
    },

    saveCare(actor: Actor, dto: EmergencyCareDto): EmergencyCareReply {
      mustMay(actor, 'run-studio');
      acceptOnce(context, dto.id, dto, () => {
        if (care().id !== (dto.basedOn ?? null)) throw new Refusal('edited-elsewhere');
        const { coachId, recordedAt: savedAt } = stamp(actor);
        insertCare.run({ ...dto, basedOn: dto.basedOn ?? null, coachId, savedAt, studioId });
      });
      return care();
    },
  };
}

function counts({ mistake }: EmergencyReply): boolean {
  return mistake === undefined;
}

function replyOf({ traineeId: _, signs, note, mistake, ...row }: Row): EmergencyReply {
  return {
    ...row,
    signs: signs === null ? [] : (JSON.parse(signs) as EmergencySign[]),
    note: note ?? '',
    ...(mistake === null ? {} : { mistake }),
  };
}

export type EmergencyStore = ReturnType<typeof emergencyStore>;
