import { chmodSync } from 'node:fs';
import Database from 'better-sqlite3';
import { migrate, MIGRATIONS, readMigrations } from './migrate.ts';

interface Opening {
  /** Which tables it has. */
  readonly kind?: keyof typeof MIGRATIONS;
  /** Keeps every other program out for as long as this one has it open, and however this one ends. */
  readonly alone?: boolean;
  /** Called before an older file is brought up to date: the moment for a copy. */
  readonly beforeMigration?: (db: Database.Database, version: number) => void;
}

/** How long a statement waits for another writer, in milliseconds; then the request is told to come again. */
const BUSY_MS = 1000;
/** Read and written by the one who runs the program. */
const OWNER_ONLY = 0o600;

/**
 * Opens (and creates, and migrates) a database file; `:memory:` for tests.
 *
 * WAL with full synchronisation: what was answered as saved survives a kill and a power cut.
 */
export function openDatabase(file: string, { kind = 'studio', alone = false, beforeMigration }: Opening = {}): Database.Database {
  const db = new Database(file);
  try {
    db.pragma(`busy_timeout = ${BUSY_MS}`);
    if (alone) db.pragma('locking_mode = EXCLUSIVE');
    db.pragma('journal_mode = WAL');
    if (file !== ':memory:') chmodSync(file, OWNER_ONLY);
    db.pragma('synchronous = FULL');
    db.pragma('foreign_keys = ON');
    // Takes the lock at once where it is to be held alone.
    if (alone) db.exec('BEGIN IMMEDIATE; COMMIT');
    const migrations = readMigrations(MIGRATIONS[kind]);
    const version = db.pragma('user_version', { simple: true }) as number;
    if (version > 0 && version < migrations.length) beforeMigration?.(db, version);
    migrate(db, migrations);
    return db;
  } catch (error) {
    db.close();
    throw error;
  }
}
