import Database from 'better-sqlite3';
import { migrate } from './migrate.ts';

/**
 * Opens (and creates, and migrates) a database file; `:memory:` for tests.
 *
 * WAL with full synchronisation: what was answered as saved survives a kill and a power cut.
 */
export function openDatabase(file: string): Database.Database {
  const db = new Database(file);
  db.pragma('journal_mode = WAL');
  db.pragma('synchronous = FULL');
  db.pragma('foreign_keys = ON');
  db.pragma('busy_timeout = 5000');
  migrate(db);
  return db;
}
