import type { SchoolsReply, StudioSchoolsDto } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { type Instant, instant } from '@myokinet/core/quantities';
import { DEFAULT_SCHOOLS, type Schools } from '@myokinet/core/schools';
import type { Context } from '../context.ts';
import { type Actor, mustMay } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import { CURRENT_SCHOOLS, INSERT_SCHOOLS } from './statements.ts';

export function schoolStore(context: Context) {
  const { db, studioId, now } = context;
  const current = db.prepare<{ studioId: string }, { revision: string; savedAt: Instant; choices: string }>(CURRENT_SCHOOLS);
  const insert = db.prepare(INSERT_SCHOOLS);

  function find(): SchoolsReply {
    const row = current.get({ studioId });
    if (!row) return { revision: null, schools: DEFAULT_SCHOOLS };
    return { revision: row.revision, schools: { ...DEFAULT_SCHOOLS, ...(JSON.parse(row.choices) as Partial<Schools>) } };
  }

  return {
    find,

    save(actor: Actor, { revision, basedOn, ...schools }: StudioSchoolsDto): SchoolsReply {
      mustMay(actor, 'edit-library');
      acceptOnce(context, revision, { basedOn: basedOn ?? null, schools }, () => {
        if (find().revision !== (basedOn ?? null))
          throw new Refusal('edited-elsewhere', 'Somebody else changed the studio’s schools first.');
        insert.run({
          revision,
          basedOn: basedOn ?? null,
          studioId,
          coachId: actor.coachId,
          savedAt: instant(now()),
          choices: JSON.stringify(schools),
        });
      });
      return find();
    },
  };
}

export type SchoolStore = ReturnType<typeof schoolStore>;
