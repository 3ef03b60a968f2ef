import type { Database } from 'better-sqlite3';
import { belongings } from './belongings.ts';

/** What nobody's verdict rests on. */
const NOBODYS = new Set([
  ...['accepted_write', 'audit', 'clearance_outcome', 'band_revision', 'class_event', 'class_run', 'coach', 'emergency_care', 'erasure'],
  ...['plan_template', 'repeatability_test', 'named_group', 'routine_revision', 'schools_revision', 'studio'],
]);

/** Stands for everybody. */
const EVERYBODY = '*';

/**
 * Notes about whom something was written, in whatever table: by temporary triggers, which belong to this connection and are part of the
 * write, so that a write that is taken back leaves no note (looked for first: inside a trigger the statement
 * outside says what becomes of a conflict). A table that nobody thought of counts for everybody.
 */
export function writeWatch(db: Database) {
  db.exec('CREATE TEMP TABLE IF NOT EXISTS touched (trainee_id TEXT PRIMARY KEY) WITHOUT ROWID');
  const about = new Map(belongings(db).map((b) => [b.table, b.traineeOf]));
  const names = db
    .prepare("SELECT name FROM main.sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%'")
    .pluck()
    .all() as string[];
  for (const table of names.filter((name) => !NOBODYS.has(name)))
    for (const [event, row] of [
      ['INSERT', 'new'],
      ['UPDATE', 'new'],
      ['DELETE', 'old'],
    ] as const)
      db.exec(
        `CREATE TEMP TRIGGER IF NOT EXISTS "touched_${table}_${event}" AFTER ${event} ON main."${table}"
         BEGIN
           INSERT INTO touched SELECT t.id FROM (SELECT coalesce(${about.get(table)?.(row) ?? 'NULL'}, '${EVERYBODY}') AS id) t
           WHERE NOT EXISTS (SELECT 1 FROM touched WHERE trainee_id = t.id);
         END`,
      );
  const touched = db.prepare<[], string>('SELECT trainee_id FROM temp.touched').pluck();
  const forget = db.prepare('DELETE FROM temp.touched');
  return {
    /** About whom something was written since this was asked last. */
    take(): 'everybody' | readonly string[] {
      const ids = touched.all();
      if (ids.length > 0) forget.run();
      return ids.includes(EVERYBODY) ? 'everybody' : ids;
    },
  };
}
