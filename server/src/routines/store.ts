import { readStored, type RoutineDto, type RoutineReply, type Scope, STORED } from '@myokinet/core/contracts';
import type { Phase } from '@myokinet/core/drills';
import { Refusal } from '@myokinet/core/errors';
import { type Instant, instant } from '@myokinet/core/quantities';
import { type Actor, mustMay } from '../actor.ts';
import type { Context } from '../context.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import type { StoredDocument } from '../database/storedDocument.ts';
import { DOCUMENTS_NAMED, INSERT_REVISION, NEWEST_OF_ROUTINE, RETIRE, ROUTINES } from './statements.ts';

interface RoutineRow extends StoredDocument {
  readonly id: string;
  readonly revision: string;
  readonly name: string;
  readonly savedAt: Instant;
  readonly coach: string;
}

/** Sequences that the studio teaches. */
export function routineStore(context: Context, scope: () => Scope) {
  const { db, studioId, now } = context;
  const routines = db.prepare<{ studioId: string }, RoutineRow>(ROUTINES);
  const newest = db.prepare<{ id: string; studioId: string }, RoutineRow>(NEWEST_OF_ROUTINE);
  const documentsNamed = db.prepare<{ name: string; studioId: string }, StoredDocument>(DOCUMENTS_NAMED);
  const insert = db.prepare(INSERT_REVISION);
  const retire = db.prepare(RETIRE);

  function replyOf({ document, version, ...row }: RoutineRow): RoutineReply {
    const read = readStored(STORED.routine, document, version, scope());
    return 'value' in read ? { ...row, ...read.value } : { ...row, purpose: 'session', note: '', blocks: [], unreadable: read.unreadable };
  }

  const list = (): readonly RoutineReply[] => routines.all({ studioId }).map(replyOf);

  return {
    all: list,

    /** Drills of what is or was called so, in any revision, and phases of the places in it that are filled for each trainee. */
    taughtIn(name: string): { readonly drills: ReadonlySet<string>; readonly phases: ReadonlySet<Phase> } {
      const blocks = documentsNamed.all({ name, studioId }).flatMap(({ document, version }) => {
        const read = readStored(STORED.routine, document, version, scope());
        return 'value' in read ? read.value.blocks : [];
      });
      const steps = blocks.flatMap((b) => b.steps);
      return {
        drills: new Set(steps.flatMap((s) => (s.kind === 'drill' ? [s.drillId] : []))),
        phases: new Set(steps.flatMap((s) => (s.kind === 'choice' ? [s.phase] : []))),
      };
    },

    /** A new revision; whoever saves over another's is told, and nothing is lost. */
    save(actor: Actor, routineId: string, { revision, basedOn = null, name, purpose, note, blocks }: RoutineDto): readonly RoutineReply[] {
      mustMay(actor, 'plan');
      acceptOnce(context, revision, { routineId, name, purpose, note, blocks }, () => {
        const there = newest.get({ id: routineId, studioId });
        if ((there?.revision ?? null) !== basedOn) throw new Refusal(there ? 'edited-elsewhere' : 'routine-missing');
        insert.run({
          ...{ id: revision, routineId, basedOn, studioId, name },
          coachId: actor.coachId,
          document: JSON.stringify({ purpose, note, blocks }),
          savedAt: instant(now()),
        });
      });
      return list();
    },

    /** Takes a routine off the list; what was done of it stays on record. */
    retire(actor: Actor, id: string): readonly RoutineReply[] {
      mustMay(actor, 'plan');
      if (retire.run({ id, studioId, at: instant(now()) }).changes === 0) throw new Refusal('routine-missing');
      return list();
    },
  };
}

export type RoutineStore = ReturnType<typeof routineStore>;
