import { BUILT_IN } from '@myokinet/core/catalogue';
import type { ImportReply } from '@myokinet/core/contracts';
import { readDrillsCsv, readLibraryFile } from '@myokinet/core/interchange';
import { differences, EMPTY_LIBRARY, ENTRY_KINDS, type EntryKind, type LibraryContent, LIST_OF, merged } from '@myokinet/core/library';

/** A file, and the library it comes to. Entries travel as text: threads hand text over at once, and objects slowly. */
export interface FileToJudge {
  readonly format: 'json' | 'csv';
  readonly text: string;
  /** The studio's own entries, over the built-in ones. */
  readonly own: readonly { readonly kind: EntryKind; readonly document: string }[];
  readonly setAside: readonly string[];
  readonly now: string;
}

/** What a file would do, and the entries that it would write. */
export interface JudgedFile extends Pick<ImportReply, 'problems' | 'more' | 'entries'> {
  readonly writes: readonly { readonly kind: EntryKind; readonly id: string; readonly document: string }[];
}

/** What an import has to say: everything that is wrong, but not more than anybody reads. */
const MOST_PROBLEMS = 200;

/** Reads a file against the library it comes to. Takes seconds for the largest: see `judgeInThread`. */
export function judgeFile({ format, text, own, setAside, now }: FileToJudge): JudgedFile {
  const content = merged(BUILT_IN, contentOf(own, setAside));
  const read = (format === 'json' ? readLibraryFile : readDrillsCsv)(text, content, new Date(now));
  if (read.problems.length > 0) {
    const more = Math.max(0, read.problems.length - MOST_PROBLEMS);
    return { problems: read.problems.slice(0, MOST_PROBLEMS), more, entries: [], writes: [] };
  }
  const all = ENTRY_KINDS.flatMap((kind) => {
    const current = new Map<string, object>(content[LIST_OF[kind]].map((entry) => [entry.id, entry]));
    return read.content[LIST_OF[kind]].map((entry) => {
      const before = current.get(entry.id);
      const changes = before ? differences(before, entry).length : 0;
      const what = !before ? ('new' as const) : changes === 0 ? ('same' as const) : ('changed' as const);
      return { head: { kind, id: entry.id, name: entry.name, what, changes }, entry };
    });
  });
  return {
    problems: [],
    more: 0,
    entries: all.map(({ head }) => head),
    writes: all.flatMap(({ head: { kind, id, what }, entry }) => (what === 'same' ? [] : [{ kind, id, document: JSON.stringify(entry) }])),
  };
}

function contentOf(own: FileToJudge['own'], setAside: readonly string[]): LibraryContent {
  const list = (kind: EntryKind): unknown[] => own.filter((o) => o.kind === kind).map((o) => JSON.parse(o.document) as unknown);
  return {
    ...EMPTY_LIBRARY,
    drills: list('drill') as LibraryContent['drills'],
    ladders: list('ladder') as LibraryContent['ladders'],
    faults: list('fault') as LibraryContent['faults'],
    setAside,
  };
}
