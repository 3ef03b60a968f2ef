import { copyFileSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statfsSync, statSync } from 'node:fs';
import { basename, join } from 'node:path';
import type { CopiesReply, CopyReply } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { instant, type Instant } from '@myokinet/core/quantities';
import Database from 'better-sqlite3';
import { ACCOUNTS_FILE } from './folder.ts';
import { keptOf } from './kept.ts';
import { SealBroken, sealFile, unsealFile } from './seal.ts';
import { mustBeWhole } from './studios.ts';

interface Options {
  /** Where copies go: best on another disk. */
  readonly folder: string;
  readonly passphrase: string | undefined;
  readonly now: () => Date;
}

/** A file to be copied: open already, or by its path. */
export interface Source {
  readonly name: string;
  readonly db?: Database.Database;
  readonly path: string;
}

const SEALED = '.sealed';
const UNFINISHED = '.unfinished';
const OWNER_ONLY = 0o700;
const NAME = /^(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d)Z$/;
/** Older than this, a copy no longer counts as one of today. */
const OVERDUE_MS = 26 * 60 * 60 * 1000;

const nameOf = (moment: Date): string => moment.toISOString().slice(0, 'yyyy-mm-ddThh:mm:ss'.length).replaceAll(':', '-') + 'Z';
const momentOf = (name: string): Date => new Date(name.replace(NAME, '$1T$2:$3:$4Z'));

/**
 * Copies of the studios' files in a second folder: each made while the program runs, opened and looked over before it counts, and kept
 * for days, weeks and months.
 */
export function copyKeeper({ folder, passphrase, now }: Options) {
  let problem: string | undefined;
  let going: Promise<void> | undefined;

  const names = (): readonly string[] =>
    existsSync(folder)
      ? readdirSync(folder)
          .filter((name) => NAME.test(name))
          .sort()
          .reverse()
      : [];

  const filesIn = (name: string) => readdirSync(join(folder, name)).map((file) => join(folder, name, file));

  /** Copies that hold a file, newest first; all where none is named. */
  function list(file?: string): readonly CopyReply[] {
    return names().flatMap((name) => {
      const files = filesIn(name).filter((path) => file === undefined || basename(path).startsWith(`${file}.`));
      if (files.length === 0) return [];
      const bytes = files.reduce((sum, path) => sum + statSync(path).size, 0);
      return [{ name, madeAt: instant(momentOf(name)), bytes, sealed: files.some((path) => path.endsWith(SEALED)) }];
    });
  }

  const lastGoodAt = (): Instant | null => {
    // A clock that was ahead may have left one that lies in the future: it is none of today.
    const newest = names().find((name) => momentOf(name).getTime() <= now().getTime());
    return newest === undefined ? null : instant(momentOf(newest));
  };

  async function copyOne({ name, db, path }: Source, into: string): Promise<void> {
    const to = join(into, `${name}.sqlite`);
    if (db) await db.backup(to);
    else {
      const source = new Database(path, { readonly: true });
      try {
        await source.backup(to);
      } finally {
        source.close();
      }
    }
    // As one file, and only when it opens and is whole.
    const copy = new Database(to);
    try {
      copy.pragma('journal_mode = DELETE');
      mustBeWhole(copy);
    } finally {
      copy.close();
    }
    if (passphrase === undefined) return;
    sealFile(to, to + SEALED, passphrase);
    const opened = `${to}.opened`;
    unsealFile(to + SEALED, opened, passphrase);
    rmSync(opened);
    rmSync(to);
  }

  function thin(): void {
    const all = names();
    const kept = new Set(keptOf(all.map(momentOf)).map(nameOf));
    for (const name of all) if (!kept.has(name)) rmSync(join(folder, name), { recursive: true, force: true });
  }

  async function makeOne(sources: readonly Source[]): Promise<void> {
    const name = nameOf(now());
    const unfinished = join(folder, name + UNFINISHED);
    try {
      mkdirSync(folder, { recursive: true, mode: OWNER_ONLY });
      mustHaveRoom(folder, sources);
      rmSync(unfinished, { recursive: true, force: true });
      mkdirSync(unfinished, { mode: OWNER_ONLY });
      const failed: string[] = [];
      for (const source of sources) {
        try {
          await copyOne(source, unfinished);
        } catch (error) {
          // Half a copy is none.
          for (const suffix of ['', SEALED, '.opened', '-journal'])
            rmSync(join(unfinished, `${source.name}.sqlite${suffix}`), { force: true });
          failed.push(`${source.name}: ${(error as Error).message}`);
        }
      }
      if (failed.length === sources.length) throw new Error(failed.join('; '));
      rmSync(join(folder, name), { recursive: true, force: true });
      renameSync(unfinished, join(folder, name));
      thin();
      problem = failed.length > 0 ? `Some files could not be copied: ${failed.join('; ')}` : undefined;
    } catch (error) {
      rmSync(unfinished, { recursive: true, force: true });
      problem = `The copy failed: ${(error as Error).message}`;
    }
  }

  return {
    list,

    state: (): Omit<CopiesReply, 'copies'> => {
      const last = lastGoodAt();
      const overdue = last === null || now().getTime() - Date.parse(last) > OVERDUE_MS;
      return {
        lastGoodAt: last,
        folder,
        sealed: passphrase !== undefined,
        going: going !== undefined,
        overdue,
        ...(problem === undefined ? {} : { problem }),
      };
    },

    due: (): boolean => {
      const last = lastGoodAt();
      return last === null || now().getTime() - Date.parse(last) > OVERDUE_MS - 2 * 60 * 60 * 1000;
    },

    /** Copies all files; those that cannot be copied are named, and the others are kept. */
    make(sources: readonly Source[]): Promise<void> {
      // Whoever asks while one is being made waits for that one.
      going ??= makeOne(sources).finally(() => {
        going = undefined;
      });
      return going;
    },

    /** Resolves when nothing is being copied. */
    settled: async (): Promise<void> => going,

    /** A copy at once, of one file, before it is brought up to date. */
    beforeMigration(source: string, db: Database.Database, version: number): void {
      mkdirSync(join(folder, 'before-updates'), { recursive: true, mode: OWNER_ONLY });
      const to = join(folder, 'before-updates', `${source}.v${version}.sqlite`);
      rmSync(to, { force: true });
      db.prepare('VACUUM INTO ?').run(to);
    },

    /**
     * Brings a file of a copy to a place, opened and looked over.
     *
     * @throws Refusal `copy-missing`, `copy-unusable`
     */
    bringBack(copyName: string, file: string, to: string): void {
      if (!NAME.test(copyName) || !names().includes(copyName)) throw new Refusal('copy-missing');
      const plain = join(folder, copyName, `${file}.sqlite`);
      try {
        if (existsSync(plain)) copyFileSync(plain, to);
        else if (!existsSync(plain + SEALED)) throw new Refusal('copy-missing', 'This copy holds no file of this studio.');
        else if (passphrase === undefined)
          throw new Refusal('copy-unusable', 'This copy is sealed: start the program with its passphrase.');
        else unsealFile(plain + SEALED, to, passphrase);
        const db = new Database(to);
        try {
          mustBeWhole(db);
        } finally {
          db.close();
        }
      } catch (error) {
        rmSync(to, { force: true });
        if (error instanceof Refusal) throw error;
        throw new Refusal('copy-unusable', error instanceof SealBroken ? error.message : 'This copy is damaged itself. Choose another.');
      }
    },

    /** The files of a copy, without their ending. */
    filesOf: (copyName: string): readonly string[] =>
      filesIn(copyName).map((file) => basename(file).replace(SEALED, '').replace('.sqlite', '')),
  };
}

export type CopyKeeper = ReturnType<typeof copyKeeper>;

/** The name that the file of accounts has in a copy. */
export const ACCOUNTS = basename(ACCOUNTS_FILE, '.sqlite');

function mustHaveRoom(folder: string, sources: readonly Source[]): void {
  const wanted = sources.reduce((sum, { path }) => sum + (existsSync(path) ? statSync(path).size : 0), 0);
  const { bavail, bsize } = statfsSync(folder);
  if (bavail * bsize < 2 * wanted) throw new Error(`there is too little room in ${folder}`);
}

/** Moves a database file with what belongs to it out of the way. */
export function setAside(file: string, to: string): void {
  for (const suffix of ['', '-wal', '-shm']) if (existsSync(file + suffix)) renameSync(file + suffix, to + suffix);
}
