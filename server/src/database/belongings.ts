import type { Database } from 'better-sqlite3';

/** A table whose rows are, in part, about one trainee, and the condition that finds them by `@id`. */
export interface Belonging {
  readonly table: string;
  readonly where: string;
  readonly columns: readonly string[];
  /** The trainee of a row, as an expression over the name that the row has in a statement. */
  readonly traineeOf: (row: string) => string;
}

interface Column {
  readonly name: string;
  readonly notnull: number;
}
interface Reference {
  readonly from: string;
  readonly table: string;
  readonly to: string;
  readonly seq: number;
}

/** Lines of who did what stay when the one they were about is gone. */
const STAYS = new Set(['audit']);

/**
 * Every table with rows about a trainee, those that others hang on first: found by following what the tables themselves say they refer
 * to, so that a new table can be forgotten neither by an export nor by an erasure.
 */
export function belongings(db: Database): readonly Belonging[] {
  const names = db.prepare("SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name").pluck();
  const left = new Set((names.all() as string[]).filter((name) => !STAYS.has(name)));
  const found = new Map<string, Belonging>();
  const columnsOf = (table: string) => db.pragma(`table_info("${table}")`) as readonly Column[];
  const add = (table: string, where: string, traineeOf: Belonging['traineeOf']) => {
    left.delete(table);
    found.set(table, { table, where, traineeOf, columns: columnsOf(table).map((c) => c.name) });
  };
  add('trainee', 'id = @id', (row) => `${row}.id`);
  for (const table of left)
    if (columnsOf(table).some((c) => c.name === 'trainee_id')) add(table, 'trainee_id = @id', (row) => `${row}.trainee_id`);
  for (let before = -1; before !== found.size;) {
    before = found.size;
    for (const table of left) {
      const needed = new Set(
        columnsOf(table)
          .filter((c) => c.notnull === 1)
          .map((c) => c.name),
      );
      const references = db.pragma(`foreign_key_list("${table}")`) as readonly Reference[];
      const owner = references.find((r) => needed.has(r.from) && found.has(r.table));
      const of = owner && found.get(owner.table);
      if (!owner || !of) continue;
      const { from, to } = owner;
      const traineeOf = (row: string) =>
        `(SELECT ${of.traineeOf(of.table)} FROM "${of.table}" WHERE "${of.table}"."${to}" = ${row}."${from}")`;
      add(table, `"${from}" IN (SELECT "${to}" FROM "${of.table}" WHERE ${of.where})`, traineeOf);
    }
  }
  return [...found.values()];
}
