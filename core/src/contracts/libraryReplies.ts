import type { FieldProblem } from '../errors.ts';
import type { Instant } from '../quantities/index.ts';
import type { EntryKind, LibraryContent, LibraryEntry } from '../library/index.ts';
import type { Schools } from '../schools/index.ts';
import type { Pictured } from './libraryPicture.ts';

/** An entry that the studio has touched. */
export interface OwnEntryReply {
  readonly kind: EntryKind;
  readonly id: string;
  readonly revision: string;
  readonly savedAt: Instant;
  readonly coach: string;
  /** Version of the built-in library it was written beside. */
  readonly builtInVersion: string;
  readonly standing: 'own' | 'built in' | 'set aside';
  /** The built-in entry it stands over, where there is one. */
  readonly builtIn?: LibraryEntry;
}

export interface LibraryReply {
  /** Version of the built-in library. */
  readonly version: string;
  /** Changes with every save. */
  readonly state: string;
  readonly content: LibraryContent;
  /** Entries of the studio that could not be read: the built-in one stands instead, where there is one. */
  readonly unreadable: readonly { readonly kind: EntryKind; readonly id: string; readonly sentence: string }[];
  readonly own: readonly OwnEntryReply[];
}

/** A picture or clip of the studio's own; the image itself has an address of its own. */
export interface LibraryPictureReply {
  readonly id: string;
  readonly kind: Pictured;
  readonly entry: string;
  readonly shows: string;
  readonly moving: boolean;
  readonly addedAt: Instant;
  readonly coach: string;
}

/** What a file brings, and whether it was taken over. */
export interface ImportReply {
  readonly problems: readonly FieldProblem[];
  /** Further problems that are not listed. */
  readonly more: number;
  readonly entries: readonly {
    readonly kind: EntryKind;
    readonly id: string;
    readonly name: string;
    readonly what: 'new' | 'changed' | 'same';
    readonly changes: number;
  }[];
  /** Pictures in the file that the studio has not got yet. */
  readonly pictures: number;
  /** Routines in the file that are new, or not as they are here. */
  readonly routines: number;
  readonly applied: boolean;
  readonly state: string;
}

export interface SchoolsReply {
  readonly revision: string | null;
  readonly schools: Schools;
}
