import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Database } from 'better-sqlite3';

/** Where the migrations of each kind of file lie. */
export const MIGRATIONS = {
  studio: fileURLToPath(new URL('./migrations/', import.meta.url)),
  accounts: fileURLToPath(new URL('./accountMigrations/', import.meta.url)),
} as const;
const NAME = /^(\d{3})_[a-z_]+\.sql$/;

export interface Migration {
  readonly number: number;
  readonly sql: string;
}

/** The numbered SQL files, in order; a gap or a repeated number is refused. */
export function readMigrations(folder: string = MIGRATIONS.studio): readonly Migration[] {
  const files = readdirSync(folder)
    .filter((f) => f.endsWith('.sql'))
    .sort();
  return files.map((file, i) => {
    const number = Number(NAME.exec(file)?.[1]);
    if (number !== i + 1) throw new Error(`Migration ${file} should be number ${i + 1}.`);
    return { number, sql: readFileSync(`${folder}/${file}`, 'utf8') };
  });
}

/**
 * Applies what is missing, each migration whole or not at all; `user_version` counts them. A table can only be made anew while
 * nothing watches what refers to it, so that is looked at once, at the end of each migration.
 */
export function migrate(db: Database, migrations = readMigrations()): void {
  const done = db.pragma('user_version', { simple: true }) as number;
  if (done > migrations.length)
    throw new Error(`The database is at version ${done}; this program knows ${migrations.length}. Start a newer program.`);
  const watched = db.pragma('foreign_keys', { simple: true }) as number;
  db.pragma('foreign_keys = OFF');
  try {
    for (const { number, sql } of migrations.slice(done)) {
      db.transaction(() => {
        db.exec(sql);
        const torn = db.pragma('foreign_key_check') as readonly unknown[];
        if (torn.length > 0) throw new Error(`Migration ${number} leaves ${torn.length} rows that refer to nothing.`);
        db.pragma(`user_version = ${number}`);
      }).immediate();
    }
  } finally {
    db.pragma(`foreign_keys = ${watched}`);
  }
}
