import { createHash } from 'node:crypto';
import { BUILT_IN } from '@myokinet/core/catalogue';
import { type ImportReply, type LibraryFilePictureDto, LibraryImportDto, validated } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { readDrillsCsv, readLibraryFile, type ReadLibrary, type RoutineInFile } from '@myokinet/core/interchange';
import { differences, EMPTY_LIBRARY, ENTRY_KINDS, type EntryKind, type LibraryContent, LIST_OF, merged } from '@myokinet/core/library';

/** A request to import, as it arrived, and the library it comes to. Entries travel as text: threads hand objects over slowly. */
export interface FileToJudge {
  readonly body: Uint8Array;
  /** The studio's own entries, over the built-in ones. */
  readonly own: readonly { readonly kind: EntryKind; readonly document: string }[];
  readonly setAside: readonly string[];
  readonly now: string;
}

/** What a file would do, and the entries that it would write. */
export interface JudgedFile extends Pick<ImportReply, 'problems' | 'more' | 'entries'> {
  /** Pictures that lie in the file itself. */
  readonly pictures: readonly LibraryFilePictureDto[];
  /** Routines that lie in the file. */
  readonly routines: readonly RoutineInFile[];
  readonly request: Pick<LibraryImportDto, 'id' | 'apply' | 'state'>;
  /** Of the file, so that the same id with another file is noticed. */
  readonly fingerprint: string;
  readonly writes: readonly { readonly kind: EntryKind; readonly id: string; readonly document: string }[];
}

/** What an import has to say: everything that is wrong, but not more than anybody reads. */
const MOST_PROBLEMS = 200;

/**
 * Reads a file against the library it comes to. Takes seconds for the largest: see `judgeInThread`.
 *
 * @throws Refusal `body-unreadable`, `contract-broken` where the request itself is at fault; a bad file is told in `problems`
 */
export function judgeFile({ body, own, setAside, now }: FileToJudge): JudgedFile {
  const { text, format, id, apply, state } = validated(LibraryImportDto, readJson(body), { now: new Date(now) });
  const about = { request: { id, apply, state }, fingerprint: createHash('sha256').update(text).digest('hex') };
  const content = merged(BUILT_IN, contentOf(own, setAside));
  const read = (format === 'json' ? readLibraryFile : readDrillsCsv)(text, content, new Date(now));
  if (read.problems.length > 0) {
    const more = Math.max(0, read.problems.length - MOST_PROBLEMS);
    return { ...about, problems: read.problems.slice(0, MOST_PROBLEMS), more, entries: [], writes: [], pictures: [], routines: [] };
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
    ...about,
    problems: [],
    more: 0,
    routines: (read as ReadLibrary).routines ?? [],
    pictures: ((read as ReadLibrary).pictures ?? []).filter((p) => p.image !== undefined),
    entries: all.map(({ head }) => head),
    writes: all.flatMap(({ head: { kind, id, what }, entry }) => (what === 'same' ? [] : [{ kind, id, document: JSON.stringify(entry) }])),
  };
}

function readJson(body: Uint8Array): unknown {
  try {
    return JSON.parse(new TextDecoder().decode(body));
  } catch {
    throw new Refusal('body-unreadable');
  }
}

function contentOf(own: FileToJudge['own'], setAside: readonly string[]): LibraryContent {
  const list = (kind: EntryKind): unknown[] => own.filter((o) => o.kind === kind).map((o) => JSON.parse(o.document) as unknown);
  return {
    ...EMPTY_LIBRARY,
    drills: list('drill') as LibraryContent['drills'],
    ladders: list('ladder') as LibraryContent['ladders'],
    measures: list('measure') as LibraryContent['measures'],
    faults: list('fault') as LibraryContent['faults'],
    setAside,
  };
}
