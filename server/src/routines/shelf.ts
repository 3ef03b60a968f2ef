import type { RoutineInFile } from '@myokinet/core/interchange';
import { instant } from '@myokinet/core/quantities';
import type { Actor } from '../actor.ts';
import type { Context } from '../context.ts';
import type { StoredDocument } from '../database/storedDocument.ts';
import { INSERT_REVISION, NEWEST_OF_ROUTINE, ROUTINES } from './statements.ts';

type Row = StoredDocument & { readonly id: string; readonly revision: string; readonly name: string };

/** Routines as they travel with the library: whole documents, by the id under which they are the same elsewhere. */
export function routineShelf({ db, studioId, now }: Context) {
  const routines = db.prepare<{ studioId: string }, Row>(ROUTINES);
  const newest = db.prepare<{ id: string; studioId: string }, Row>(NEWEST_OF_ROUTINE);
  const insert = db.prepare(INSERT_REVISION);

  const inFile = ({ id, name, document }: Row): RoutineInFile => ({
    id,
    name,
    ...(JSON.parse(document) as Omit<RoutineInFile, 'id' | 'name'>),
  });
  const documentOf = ({ purpose, note, blocks }: RoutineInFile) => JSON.stringify({ purpose, note, blocks });

  return {
    all: (): readonly RoutineInFile[] => routines.all({ studioId }).map(inFile),

    /** Those that the studio has not got, or has otherwise. */
    differing: (list: readonly RoutineInFile[]): readonly RoutineInFile[] =>
      list.filter((one) => {
        const there = newest.get({ id: one.id, studioId });
        return !there || there.name !== one.name || documentOf(inFile(there)) !== documentOf(one);
      }),

    /** Each as the next revision, inside a transaction of the caller's. */
    take(actor: Actor, list: readonly RoutineInFile[], newId: () => string): void {
      for (const one of list)
        insert.run({
          ...{ id: newId(), routineId: one.id, studioId, name: one.name, coachId: actor.coachId },
          basedOn: newest.get({ id: one.id, studioId })?.revision ?? null,
          document: documentOf(one),
          savedAt: instant(now()),
        });
    },
  };
}

export type RoutineShelf = ReturnType<typeof routineShelf>;
