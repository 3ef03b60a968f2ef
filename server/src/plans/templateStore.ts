import { type PlanTemplateDto, type PlanTemplateReply, readStored, type Scope, STORED } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { type Instant, instant } from '@myokinet/core/quantities';
import type { Context } from '../context.ts';
import { type Actor, mustMay } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import type { StoredDocument } from '../database/storedDocument.ts';
import { INSERT_TEMPLATE, SET_TEMPLATE_ASIDE, TEMPLATES } from './statements.ts';

interface TemplateRow extends StoredDocument {
  readonly id: string;
  readonly name: string;
  readonly savedAt: Instant;
  readonly coach: string;
}

/** Weeks that the studio keeps for the next trainee. */
export function templateStore(context: Context, scope: () => Scope) {
  const { db, studioId, now } = context;
  const templates = db.prepare<{ studioId: string }, TemplateRow>(TEMPLATES);
  const insert = db.prepare(INSERT_TEMPLATE);
  const setAside = db.prepare(SET_TEMPLATE_ASIDE);

  const list = (): readonly PlanTemplateReply[] =>
    templates.all({ studioId }).map(({ document, version, ...row }) => {
      const template = readStored(STORED.template, document, version, scope());
      return 'value' in template ? { ...row, ...template.value } : { ...row, note: '', sessions: [], unreadable: template.unreadable };
    });

  return {
    all: list,

    save(actor: Actor, dto: PlanTemplateDto): readonly PlanTemplateReply[] {
      mustMay(actor, 'plan');
      acceptOnce(context, dto.id, dto, () => {
        const { id, name, note, sessions } = dto;
        insert.run({
          id,
          name,
          document: JSON.stringify({ note, sessions }),
          studioId,
          coachId: actor.coachId,
          savedAt: instant(now()),
        });
      });
      return list();
    },

    /** Takes a template off the list; plans made from it stay. */
    setAside(actor: Actor, id: string): readonly PlanTemplateReply[] {
      mustMay(actor, 'plan');
      if (setAside.run({ id, studioId }).changes === 0) throw new Refusal('template-missing');
      return list();
    },
  };
}

export type TemplateStore = ReturnType<typeof templateStore>;
