import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import { openDatabase } from '../database/open.ts';

/** What stops a start, in one sentence. */
export class StartProblem extends Error {}

/** A data folder that this program alone works in. */
export interface DataFolder {
  readonly path: string;
  /** Where the studios' files lie. */
  readonly studios: string;
  /** Where files go that another has taken the place of. */
  readonly setAside: string;
  readonly accounts: Database;
  release(): void;
}

export const ACCOUNTS_FILE = 'accounts.sqlite';
const HOLDER_FILE = 'held-by.json';
const OWNER_ONLY = { file: 0o600, folder: 0o700 } as const;

/**
 * Takes a data folder for this program alone: the file of accounts is locked by the system for as long as the process lives, so that a
 * kill or a power cut leaves nothing behind that keeps the next start out.
 *
 * @throws StartProblem when another program holds it
 */
export function takeFolder(path: string, beforeMigration?: (db: Database, version: number) => void): DataFolder {
  const studios = join(path, 'studios');
  const setAside = join(path, 'set-aside');
  for (const folder of [path, studios, setAside]) mkdirSync(folder, { recursive: true, mode: OWNER_ONLY.folder });
  const accounts = openAlone(path, beforeMigration);
  const holder = join(path, HOLDER_FILE);
  writeFileSync(holder, JSON.stringify({ pid: process.pid, since: new Date().toISOString() }), { mode: OWNER_ONLY.file });
  return {
    path,
    studios,
    setAside,
    accounts,
    release(): void {
      rmSync(holder, { force: true });
      accounts.close();
    },
  };
}

function openAlone(path: string, beforeMigration?: (db: Database, version: number) => void): Database {
  try {
    return openDatabase(join(path, ACCOUNTS_FILE), { kind: 'accounts', alone: true, ...(beforeMigration ? { beforeMigration } : {}) });
  } catch (error) {
    if ((error as { code?: string }).code?.startsWith('SQLITE_BUSY')) throw new StartProblem(heldBy(path));
    throw error;
  }
}

function heldBy(path: string): string {
  try {
    const { pid, since } = JSON.parse(readFileSync(join(path, HOLDER_FILE), 'utf8')) as { pid: number; since: string };
    return `The data folder ${path} is in use by the program with process number ${pid}, since ${since}. Stop that one first, or name another folder: MYOKINET_DATA.`;
  } catch {
    return `The data folder ${path} is in use by another program. Stop that one first, or name another folder: MYOKINET_DATA.`;
  }
}
