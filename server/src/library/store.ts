import { BUILT_IN, BUILT_IN_VERSION } from '@myokinet/core/catalogue';
import type { EntryResetDto, ImportReply, LibraryReply, OwnEntryReply } from '@myokinet/core/contracts';
import { type FieldProblem, Refusal } from '@myokinet/core/errors';
import { readDrillsCsv, readLibraryFile, type ReadLibrary } from '@myokinet/core/interchange';
import {
  differences,
  EMPTY_LIBRARY,
  ENTRY_KINDS,
  type EntryKind,
  type Library,
  type LibraryContent,
  type LibraryEntry as Entry,
  libraryProblems,
  LIST_OF,
  merged,
  openLibrary,
} from '@myokinet/core/library';
import { instant } from '@myokinet/core/quantities';
import type { Context } from '../context.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import * as sql from './statements.ts';

type Row = Omit<OwnEntryReply, 'builtIn'> & { document: string | null };

interface Opened {
  readonly library: Library;
  readonly rows: readonly Row[];
  /** Changes with every save. */
  readonly state: string;
}

const BUILT_IN_LIBRARY = openLibrary(BUILT_IN);

/** What an import has to say: everything that is wrong, but not more than anybody reads. */
const MOST_PROBLEMS = 200;

const BUILT_IN_ENTRIES = entriesById(BUILT_IN);

/** The built-in library with the studio's own entries over it. */
export function libraryStore(context: Context) {
  const { db, who, now } = context;
  const ownEntries = db.prepare<{ studioId: string }, Row>(sql.OWN_ENTRIES);
  const currentRevision = db.prepare<{ studioId: string; kind: EntryKind; id: string }, { revision: string }>(sql.CURRENT_REVISION);
  const insertEntry = db.prepare(sql.INSERT_ENTRY);
  const pointToRevision = db.prepare(sql.POINT_TO_REVISION);
  const insertRevision = db.prepare(sql.INSERT_REVISION);

  let opened: Opened | undefined;

  function open(): Opened {
    if (opened) return opened;
    const rows = ownEntries.all({ studioId: who.studioId });
    const library = openLibrary(merged(BUILT_IN, ownContent(rows)));
    opened = { library, rows, state: [BUILT_IN_VERSION, ...rows.map((r) => r.revision)].join(' ') };
    return opened;
  }

  interface Write {
    readonly kind: EntryKind;
    readonly id: string;
    readonly revision: string;
    readonly basedOn: string | null;
    readonly standing: OwnEntryReply['standing'];
    readonly entry: Entry | null;
  }

  function write({ entry, ...head }: Write): void {
    const row = {
      ...head,
      studioId: who.studioId,
      coachId: who.coachId,
      savedAt: instant(now()),
      builtInVersion: BUILT_IN_VERSION,
      document: entry ? JSON.stringify(entry) : null,
    };
    if (head.basedOn === null) insertEntry.run(row);
    insertRevision.run(row);
    if (head.basedOn !== null) pointToRevision.run(row);
  }

  function mustBeNewest(kind: EntryKind, id: string, basedOn: string | null): void {
    const current = currentRevision.get({ studioId: who.studioId, kind, id })?.revision ?? null;
    if (current !== basedOn)
      throw new Refusal('edited-elsewhere', 'Somebody else saved this entry first. Your version is kept on this screen.');
  }

  /** Writes inside one transaction, and forgets the opened library whichever way it went. */
  function change(id: string, content: unknown, apply: () => void): void {
    try {
      acceptOnce(context, id, content, apply);
    } finally {
      opened = undefined;
    }
  }

  function reply(): LibraryReply {
    const { library, rows, state } = open();
    return {
      version: BUILT_IN_VERSION,
      state,
      content: library.content,
      own: rows.map(({ document: _, ...row }) => {
        const builtIn = BUILT_IN_ENTRIES[row.kind].get(row.id);
        return { ...row, ...(builtIn ? { builtIn } : {}) };
      }),
    };
  }

  function preview({ content }: ReadLibrary): Pick<ImportReply, 'entries'> {
    const { library } = open();
    const current = entriesById(library.content);
    const judge = (kind: EntryKind, entry: Entry) => {
      const before = current[kind].get(entry.id);
      const changes = before ? differences(before, entry).length : 0;
      return {
        kind,
        id: entry.id,
        name: entry.name,
        what: !before ? ('new' as const) : changes === 0 ? ('same' as const) : ('changed' as const),
        changes,
      };
    };
    return { entries: ENTRY_KINDS.flatMap((kind) => content[LIST_OF[kind]].map((entry) => judge(kind, entry))) };
  }

  return {
    current: (): Library => open().library,
    state: (): string => open().state,

    /** A rung's name for the record, also where the studio's ladder no longer has it. */
    rungName(ladderId: string, rungId: string): string {
      const name = open().library.rungName(ladderId, rungId);
      return name === rungId ? BUILT_IN_LIBRARY.rungName(ladderId, rungId) : name;
    },
    reply,

    /** Saves an entry as the studio's own: a new one, or a copy that takes the place of a built-in one. */
    save(kind: EntryKind, { revision, basedOn, entry }: { revision: string; basedOn: string | null; entry: Entry }): LibraryReply {
      change(revision, { kind, basedOn, entry }, () => {
        mustBeNewest(kind, entry.id, basedOn);
        const own: LibraryContent = { ...EMPTY_LIBRARY, [LIST_OF[kind]]: [entry] };
        const problems = problemsWith(merged(open().library.content, own), kind, entry.id);
        if (problems.length > 0) throw new Refusal('contract-broken', problems[0]?.message, problems);
        write({ kind, id: entry.id, revision, basedOn, standing: 'own', entry });
      });
      return reply();
    },

    /** Goes back to the built-in entry; an own entry without one is set aside, since records name it. */
    reset(kind: EntryKind, id: string, { revision, basedOn }: EntryResetDto): LibraryReply {
      change(revision, { kind, id, basedOn: basedOn ?? null }, () => {
        mustBeNewest(kind, id, basedOn ?? null);
        const row = open().rows.find((r) => r.kind === kind && r.id === id);
        if (!row || row.standing !== 'own') throw new Refusal('entry-missing', 'There is no version of the studio’s own to take back.');
        const head = { kind, id, revision, basedOn: basedOn ?? null };
        if (BUILT_IN_ENTRIES[kind].has(id)) write({ ...head, standing: 'built in', entry: null });
        else write({ ...head, standing: 'set aside', entry: JSON.parse(row.document ?? 'null') as Entry });
      });
      return reply();
    },

    /** Reads a file and tells what it would do; does it only when asked, as a whole or not at all. */
    import({ id, format, text, apply, state }: ImportRequest, newId: () => string): ImportReply {
      const { library } = open();
      const read = format === 'json' ? readLibraryFile(text, library.content, now()) : readDrillsCsv(text, library.content, now());
      if (read.problems.length > 0) {
        const { length } = read.problems;
        return {
          problems: read.problems.slice(0, MOST_PROBLEMS),
          more: Math.max(0, length - MOST_PROBLEMS),
          entries: [],
          applied: false,
          state: open().state,
        };
      }
      const { entries } = preview(read);
      if (apply)
        change(id, { format, text }, () => {
          if (state !== open().state)
            throw new Refusal('edited-elsewhere', 'The library changed since the file was looked at. Look at it again.');
          const changed = new Set(entries.filter((e) => e.what !== 'same').map((e) => `${e.kind} ${e.id}`));
          const all = ENTRY_KINDS.flatMap((kind) => read.content[LIST_OF[kind]].map((entry) => [kind, entry] as const));
          for (const [kind, entry] of all) {
            if (!changed.has(`${kind} ${entry.id}`)) continue;
            const basedOn = currentRevision.get({ studioId: who.studioId, kind, id: entry.id })?.revision ?? null;
            write({ kind, id: entry.id, revision: newId(), basedOn, standing: 'own', entry });
          }
        });
      return { problems: [], more: 0, entries, applied: apply, state: open().state };
    },
  };
}

export interface ImportRequest {
  readonly id: string;
  readonly format: 'json' | 'csv';
  readonly text: string;
  readonly apply: boolean;
  /** State of the library that the file was looked at beside. */
  readonly state: string;
}

function entriesById(content: LibraryContent): Readonly<Record<EntryKind, ReadonlyMap<string, Entry>>> {
  const byId = (kind: EntryKind) => new Map<string, Entry>(content[LIST_OF[kind]].map((entry) => [entry.id, entry]));
  return { drill: byId('drill'), ladder: byId('ladder'), fault: byId('fault') };
}

function ownContent(rows: readonly Row[]): LibraryContent {
  const own = (kind: EntryKind) => rows.flatMap((r) => (r.kind === kind && r.document !== null ? [JSON.parse(r.document) as Entry] : []));
  return {
    drills: own('drill') as LibraryContent['drills'],
    ladders: own('ladder') as LibraryContent['ladders'],
    faults: own('fault') as LibraryContent['faults'],
    setAside: rows.filter((r) => r.standing === 'set aside').map((r) => r.id),
  };
}

/** Problems in one entry of a library, as pointers into the request that saves it. */
function problemsWith(content: LibraryContent, kind: EntryKind, id: string): readonly FieldProblem[] {
  const key = LIST_OF[kind];
  const at = `/${key}/${content[key].findIndex((e) => e.id === id)}/`;
  return libraryProblems(content)
    .filter(({ field }) => field.startsWith(at))
    .map((p) => ({ ...p, field: `/entry/${p.field.slice(at.length)}` }));
}

export type LibraryStore = ReturnType<typeof libraryStore>;
