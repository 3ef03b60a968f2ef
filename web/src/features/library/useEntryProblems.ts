import { inspect } from '@myokinet/core/contracts';
import { type EntryKind, entryProblems } from '@myokinet/core/library';
import type { FieldProblem } from '@myokinet/core/errors';
import { useLibrary } from '../../client/LibraryContext.ts';
import type { SavedEntry } from './endpoints.ts';

/** What is wrong with an entry by itself and, once it is sound, beside the rest of the library: what the server would say. */
export function useEntryProblems(
  kind: EntryKind,
  contract: Parameters<typeof inspect>[0],
  body: SavedEntry['body'],
): readonly FieldProblem[] {
  const library = useLibrary();
  const { problems } = inspect(contract, body, { now: new Date(), library });
  if (problems.length > 0) return problems;
  return entryProblems(library.content, kind, body.entry).map((p) => ({ ...p, field: `/entry${p.field}` }));
}
