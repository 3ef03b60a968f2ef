import { BUILT_IN, BUILT_IN_VERSION } from '@myokinet/core/catalogue';
import { type EntryResetDto, type ImportReply, type LibraryReply, type OwnEntryReply, readStored, STORED } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import {
  askingFor,
  type EntryKind,
  entryProblems,
  type Library,
  type LibraryContent,
  type LibraryEntry as Entry,
  LIST_OF,
  merged,
  openLibrary,
} from '@myokinet/core/library';
import { unreadableMeasure } from '@myokinet/core/measuring';
import { instant } from '@myokinet/core/quantities';
import type { Context } from '../context.ts';
import { type Actor, mustMay } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import type { JudgeFile } from './judgeInThread.ts';
import type { RoutineShelf } from '../routines/shelf.ts';
import type { LibraryPictureStore } from './pictureStore.ts';
import * as sql from './statements.ts';

type Row = Omit<OwnEntryReply, 'builtIn'> & { document: string | null; version: number };

interface Opened {
  readonly library: Library;
  readonly rows: readonly Row[];
  readonly unreadable: LibraryReply['unreadable'];
  /** Changes with every save. */
  readonly state: string;
}

const BUILT_IN_LIBRARY = openLibrary(BUILT_IN);

const BUILT_IN_ENTRIES = entriesById(BUILT_IN);

/** The built-in library with the studio's own entries over it. */
export function libraryStore(context: Context, judge: JudgeFile, pictures: LibraryPictureStore, routines: RoutineShelf) {
  const { db, studioId, now } = context;
  const ownEntries = db.prepare<{ studioId: string }, Row>(sql.OWN_ENTRIES);
  const currentRevision = db.prepare<{ studioId: string; kind: EntryKind; id: string }, { revision: string }>(sql.CURRENT_REVISION);
  const insertEntry = db.prepare(sql.INSERT_ENTRY);
  const pointToRevision = db.prepare(sql.POINT_TO_REVISION);
  const insertRevision = db.prepare(sql.INSERT_REVISION);

  let opened: Opened | undefined;

  function open(): Opened {
    if (opened) return opened;
    const rows = ownEntries.all({ studioId });
    const own = ownContent(rows);
    const library = openLibrary(merged(BUILT_IN, own.content));
    opened = { library, rows, unreadable: own.unreadable, state: [BUILT_IN_VERSION, ...rows.map((r) => r.revision)].join(' ') };
    return opened;
  }

  interface Write {
    readonly kind: EntryKind;
    readonly id: string;
    readonly revision: string;
    readonly basedOn: string | null;
    readonly standing: OwnEntryReply['standing'];
    readonly document: string | null;
  }

  function write(actor: Actor, head: Write): void {
    const row = {
      ...head,
      studioId,
      coachId: actor.coachId,
      savedAt: instant(now()),
      builtInVersion: BUILT_IN_VERSION,
      documentVersion: STORED[head.kind].version,
    };
    if (head.basedOn === null) insertEntry.run(row);
    insertRevision.run(row);
    // It was judged before it came here.
    if (head.document !== null) READ.set(head.revision, { value: JSON.parse(head.document) as Entry });
    if (head.basedOn !== null) pointToRevision.run(row);
  }

  function mustBeNewest(kind: EntryKind, id: string, basedOn: string | null): void {
    const current = currentRevision.get({ studioId, kind, id })?.revision ?? null;
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
    const { library, rows, unreadable, state } = open();
    return {
      unreadable,
      version: BUILT_IN_VERSION,
      state,
      content: library.content,
      own: rows.map(({ document: _, version: _version, ...row }) => {
        const builtIn = BUILT_IN_ENTRIES[row.kind].get(row.id);
        return { ...row, ...(builtIn ? { builtIn } : {}) };
      }),
    };
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
    save(
      actor: Actor,
      kind: EntryKind,
      { revision, basedOn, entry }: { revision: string; basedOn: string | null; entry: Entry },
    ): LibraryReply {
      mustMay(actor, 'edit-library');
      change(revision, { kind, basedOn, entry }, () => {
        mustBeNewest(kind, entry.id, basedOn);
        const problems = entryProblems(open().library.content, kind, entry).map((p) => ({ ...p, field: `/entry${p.field}` }));
        if (problems.length > 0) throw new Refusal('contract-broken', problems[0]?.message, problems);
        write(actor, { kind, id: entry.id, revision, basedOn, standing: 'own', document: JSON.stringify(entry) });
      });
      return reply();
    },

    /** Goes back to the built-in entry; an own entry without one is set aside, since records name it. */
    reset(actor: Actor, kind: EntryKind, id: string, { revision, basedOn }: EntryResetDto): LibraryReply {
      mustMay(actor, 'edit-library');
      change(revision, { kind, id, basedOn: basedOn ?? null }, () => {
        mustBeNewest(kind, id, basedOn ?? null);
        const row = open().rows.find((r) => r.kind === kind && r.id === id);
        if (!row || row.standing !== 'own') throw new Refusal('entry-missing', 'There is no version of the studio’s own to take back.');
        const head = { kind, id, revision, basedOn: basedOn ?? null };
        const asking = kind === 'measure' ? askingFor(open().library.content, id) : [];
        if (asking.length > 0 && !BUILT_IN_ENTRIES[kind].has(id))
          throw new Refusal('entry-asked-for', `Asked for by ${asking.join('; ')}. Take the demand out there first.`);
        if (BUILT_IN_ENTRIES[kind].has(id)) write(actor, { ...head, standing: 'built in', document: null });
        else write(actor, { ...head, standing: 'set aside', document: JSON.stringify(entryOf(row) ?? null) });
      });
      return reply();
    },

    /** Reads a file and tells what it would do; does it only when asked, as a whole or not at all. */
    async import(actor: Actor, body: Uint8Array, newId: () => string): Promise<ImportReply> {
      mustMay(actor, 'edit-library');
      const { rows } = open();
      const own = rows.flatMap((row) => {
        const entry = entryOf(row);
        return entry ? [{ kind: row.kind, document: JSON.stringify(entry) }] : [];
      });
      const setAside = rows.filter((r) => r.standing === 'set aside').map((r) => r.id);
      const judged = await judge({ body, own, setAside, now: instant(now()) });
      const { request, fingerprint, problems, more, entries, writes } = judged;
      const { id, apply, state } = request;
      const told = {
        problems,
        more,
        entries,
        pictures: pictures.newOf(judged.pictures),
        routines: routines.differing(judged.routines).length,
      };
      if (problems.length > 0 || !apply) return { ...told, applied: false, state: open().state };
      const ready = await pictures.ready(judged.pictures);
      change(id, { fingerprint }, () => {
        if (state !== open().state)
          throw new Refusal('edited-elsewhere', 'The library changed since the file was looked at. Look at it again.');
        for (const { kind, id: entryId, document } of writes) {
          const basedOn = currentRevision.get({ studioId, kind, id: entryId })?.revision ?? null;
          write(actor, { kind, id: entryId, revision: newId(), basedOn, standing: 'own', document });
        }
        for (const picture of ready) pictures.write(actor, picture);
        routines.take(actor, routines.differing(judged.routines), newId);
      });
      return { ...told, applied: true, state: open().state };
    },
  };
}

function entriesById(content: LibraryContent): Readonly<Record<EntryKind, ReadonlyMap<string, Entry>>> {
  const byId = (kind: EntryKind) => new Map<string, Entry>(content[LIST_OF[kind]].map((entry) => [entry.id, entry]));
  return { drill: byId('drill'), ladder: byId('ladder'), measure: byId('measure'), fault: byId('fault') };
}

/** What the studio has made of the library; an entry that cannot be read leaves the built-in one standing. */
function ownContent(rows: readonly Row[]): { readonly content: LibraryContent; readonly unreadable: LibraryReply['unreadable'] } {
  const unreadable: LibraryReply['unreadable'][number][] = [];
  const lists: Record<EntryKind, Entry[]> = { drill: [], ladder: [], measure: [], fault: [] };
  for (const row of rows) {
    const read = readEntry(row);
    if (!read) continue;
    if ('value' in read) lists[row.kind].push(read.value);
    else {
      unreadable.push({ kind: row.kind, id: row.id, sentence: read.unreadable });
      // Records name it: it stands for nothing, and opens nothing.
      if (row.kind === 'measure' && !BUILT_IN_ENTRIES.measure.has(row.id)) lists.measure.push(unreadableMeasure(row.id));
    }
  }
  const content = {
    drills: lists.drill as LibraryContent['drills'],
    ladders: lists.ladder as LibraryContent['ladders'],
    measures: lists.measure as LibraryContent['measures'],
    faults: lists.fault as LibraryContent['faults'],
    setAside: rows.filter((r) => r.standing === 'set aside').map((r) => r.id),
  };
  return { content, unreadable };
}

type ReadEntry = { readonly value: Entry } | { readonly unreadable: string };

/** A revision never changes, so each is read once. */
const READ = new Map<string, ReadEntry>();

function readEntry({ revision, kind, document, version }: Row): ReadEntry | undefined {
  if (document === null) return undefined;
  const known = READ.get(revision);
  if (known) return known;
  // An entry may name others that come with it or went: what it names is judged where entries are saved.
  const read: ReadEntry = readStored(STORED[kind] as (typeof STORED)['drill'], document, version, { now: new Date(8.64e15) });
  READ.set(revision, read);
  return read;
}

function entryOf(row: Row): Entry | undefined {
  const read = readEntry(row);
  return read && 'value' in read ? read.value : undefined;
}

export type LibraryStore = ReturnType<typeof libraryStore>;
