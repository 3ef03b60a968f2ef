import { type PlanBriefDto, type PlanBriefReply, readStored, type Scope, STORED } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { defaultBrief } from '@myokinet/core/planning';
import { instant } from '@myokinet/core/quantities';
import type { Context } from '../context.ts';
import { type Actor, mustMay } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import type { StoredDocument } from '../database/storedDocument.ts';
import type { TraineeStore } from '../trainees/store.ts';
import { CURRENT_BRIEF, INSERT_BRIEF } from './statements.ts';

/** What the weeks of each trainee must fit; without one written the profile speaks. */
export function briefStore(context: Context, trainees: TraineeStore, scope: () => Scope) {
  const { db, studioId, now } = context;
  const current = db.prepare<{ traineeId: string }, { revision: string } & StoredDocument>(CURRENT_BRIEF);
  const insert = db.prepare(INSERT_BRIEF);

  function find(traineeId: string): PlanBriefReply {
    const trainee = trainees.find(traineeId);
    const row = current.get({ traineeId });
    if (!row) return { revision: null, ...defaultBrief(trainee) };
    const { revision } = row;
    const brief = readStored(STORED.brief, row.document, row.version, scope());
    return 'value' in brief ? { revision, ...brief.value } : { revision, ...defaultBrief(trainee), unreadable: brief.unreadable };
  }

  return {
    find,

    save(actor: Actor, traineeId: string, dto: PlanBriefDto): PlanBriefReply {
      mustMay(actor, 'plan');
      trainees.find(traineeId);
      acceptOnce(context, dto.revision, { traineeId, dto }, () => {
        const before = current.get({ traineeId });
        if ((before?.revision ?? null) !== (dto.basedOn ?? null))
          throw new Refusal('edited-elsewhere', 'Somebody else saved this brief first. Your version is kept on this screen.');
        const { revision, basedOn, ...document } = dto;
        insert.run({
          revision,
          basedOn: basedOn ?? null,
          traineeId,
          studioId,
          coachId: actor.coachId,
          savedAt: instant(now()),
          document: JSON.stringify(document),
        });
      });
      return find(traineeId);
    },
  };
}

export type BriefStore = ReturnType<typeof briefStore>;
