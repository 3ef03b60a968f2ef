import type { LibraryReply, OwnEntryReply, SchoolsReply } from '@myokinet/core/contracts';
import type { EntryKind, Library } from '@myokinet/core/library';
import type { Schools } from '@myokinet/core/schools';
import { createContext, use } from 'react';

/** The studio's library, opened, with what the server says about it. */
export interface StudioLibrary {
  readonly library: Library;
  readonly reply: LibraryReply;
  readonly schools: SchoolsReply;
}

export const LibraryContext = createContext<StudioLibrary | undefined>(undefined);

export function useStudioLibrary(): StudioLibrary {
  const studio = use(LibraryContext);
  if (!studio) throw new Error('Pages that need the library stand inside a LibraryGate.');
  return studio;
}

export function useLibrary(): Library {
  return useStudioLibrary().library;
}

/** The schools the studio works by. */
export function useSchools(): Schools {
  return useStudioLibrary().schools.schools;
}

/** What the studio has made of an entry; undefined for an untouched built-in one. */
export function useOwnEntry(kind: EntryKind, id: string): OwnEntryReply | undefined {
  return useStudioLibrary().reply.own.find((e) => e.kind === kind && e.id === id);
}
