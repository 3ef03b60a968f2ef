import type { Instant } from '@myokinet/core/quantities';
import { tableCsv } from '@myokinet/core/interchange';
import type { Database } from 'better-sqlite3';
import type { Belonging } from '../database/belongings.ts';
import type { ZipEntry } from './zip.ts';

type Value = string | number | null | Buffer;
type Row = Readonly<Record<string, Value>>;

const PICTURE = 'image';
/** Rows of a table read at once. */
const PAGE = 500;

interface About {
  readonly title: string;
  readonly madeAt: Instant;
  readonly version: number;
}

/**
 * What is on record as an archive: every table as CSV, all of it as one JSON document with its schema, every picture as a file. Tables
 * are read page by page.
 *
 * @param parameters what the conditions of the tables ask for
 */
export function* archiveOf(
  db: Database,
  tables: readonly Belonging[],
  parameters: Readonly<Record<string, string>>,
  about: About,
): Generator<ZipEntry> {
  const rowsOf = (belonging: Belonging) => pagesOf(db, belonging, parameters);
  yield { name: 'README.txt', parts: [readme(about, tables)] };
  yield { name: 'schema.json', parts: [JSON.stringify(schemaOf(db, tables), null, 2)] };
  yield { name: 'records.json', parts: jsonParts(tables, rowsOf, about) };
  for (const belonging of tables) yield { name: `tables/${belonging.table}.csv`, parts: csvParts(belonging, rowsOf(belonging)) };
  for (const belonging of tables.filter((t) => t.columns.includes(PICTURE)))
    for (const row of rowsOf(belonging)) {
      const image = row[PICTURE];
      if (Buffer.isBuffer(image)) yield { name: pictureName(belonging.table, row), dense: true, parts: [image] };
    }
}

/** What is kept of a secret to know it again is nobody’s record, and a short PIN could be guessed from it. */
const isSecret = (column: string) => column.endsWith('_hash');
const withoutSecrets = (row: Row): Row => Object.fromEntries(Object.entries(row).filter(([column]) => !isSecret(column)));

function* pagesOf(db: Database, { table, where }: Belonging, parameters: Readonly<Record<string, string>>): Generator<Row> {
  const key = keyOf(db, table);
  const after = `AND (${key.map((k) => `"${k}"`).join(', ')}) > (${key.map((_, i) => `@key${i}`).join(', ')})`;
  const pageAfter = (condition: string) =>
    db.prepare<[Record<string, Value>], Row>(
      `SELECT ${key[0] === ROW_ID ? `${ROW_ID}, *` : '*'} FROM "${table}" WHERE (${where}) ${condition}
       ORDER BY ${key.map((k) => `"${k}"`).join(', ')} LIMIT ${PAGE}`,
    );
  let rows = pageAfter('').all(parameters);
  while (rows.length > 0) {
    for (const { [ROW_ID]: _, ...row } of rows) yield withoutSecrets(row);
    const last = rows.at(-1);
    if (!last || rows.length < PAGE) return;
    rows = pageAfter(after).all({ ...parameters, ...Object.fromEntries(key.map((k, i) => [`key${i}`, last[k] ?? null])) });
  }
}

const ROW_ID = 'rowid';

/** By which columns a table is read page by page. */
function keyOf(db: Database, table: string): readonly string[] {
  const listed = db.pragma('table_list') as readonly { name: string; wr: number }[];
  if (listed.find((t) => t.name === table)?.wr === 0) return [ROW_ID];
  const columns = db.pragma(`table_info("${table}")`) as readonly { name: string; pk: number }[];
  return columns
    .filter((c) => c.pk > 0)
    .sort((a, b) => a.pk - b.pk)
    .map((c) => c.name);
}

const pictureName = (table: string, row: Row) => `pictures/${table}-${String(row.id)}.jpg`;

/** A picture stands in a table as the name of its file. */
function plain(table: string, row: Row): Readonly<Record<string, string | number | null>> {
  return Object.fromEntries(
    Object.entries(row).map(([column, value]) => [column, Buffer.isBuffer(value) ? pictureName(table, row) : value]),
  );
}

function* jsonParts(tables: readonly Belonging[], rowsOf: (b: Belonging) => Iterable<Row>, { madeAt, version }: About): Generator<string> {
  yield `{"format":"myokinet-records","version":${version},"madeAt":${JSON.stringify(madeAt)},"tables":{`;
  for (const [i, belonging] of tables.entries()) {
    yield `${i > 0 ? ',' : ''}\n${JSON.stringify(belonging.table)}:[`;
    let first = true;
    for (const row of rowsOf(belonging)) {
      yield `${first ? '' : ','}\n${JSON.stringify(plain(belonging.table, row))}`;
      first = false;
    }
    yield ']';
  }
  yield '}}\n';
}

function* csvParts({ table, columns: all }: Belonging, rows: Iterable<Row>): Generator<string> {
  const columns = all.filter((column) => !isSecret(column));
  yield tableCsv([columns]);
  for (const row of rows) {
    const values = plain(table, row);
    yield tableCsv([columns.map((column) => values[column] ?? '')]);
  }
}

const JSON_TYPE: Readonly<Record<string, string>> = { TEXT: 'string', INTEGER: 'integer', REAL: 'number', BLOB: 'string' };

/** What the document holds, as JSON Schema (2020-12). */
function schemaOf(db: Database, tables: readonly Belonging[]): object {
  const rowOf = (table: string) => {
    const all = db.pragma(`table_info("${table}")`) as readonly { name: string; type: string; notnull: number }[];
    const columns = all.filter((c) => !isSecret(c.name));
    const typeOf = (c: { type: string; notnull: number }) => (c.notnull === 1 ? JSON_TYPE[c.type] : [JSON_TYPE[c.type], 'null']);
    return {
      type: 'object',
      properties: Object.fromEntries(columns.map((c) => [c.name, { type: typeOf(c) }])),
      required: columns.map((c) => c.name),
      additionalProperties: false,
    };
  };
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Records of a Myokinet studio',
    type: 'object',
    required: ['format', 'version', 'madeAt', 'tables'],
    properties: {
      format: { const: 'myokinet-records' },
      version: { type: 'integer' },
      madeAt: { type: 'string', format: 'date-time' },
      tables: {
        type: 'object',
        required: tables.map((t) => t.table),
        properties: Object.fromEntries(tables.map((t) => [t.table, { type: 'array', items: rowOf(t.table) }])),
      },
    },
  };
}

function readme({ title, madeAt }: About, tables: readonly Belonging[]): string {
  return [
    title,
    `Taken out of Myokinet on ${madeAt}.`,
    '',
    'records.json holds everything, schema.json describes it (JSON Schema 2020-12).',
    'tables/ holds the same as CSV, one file a table (RFC 4180, UTF-8); pictures/ holds the pictures that were kept.',
    'Times are in UTC. A row with “replaces” stands in the place of the row it names; what was taken back is in taken_back.',
    '',
    'Tables:',
    ...tables.map((t) => `  ${t.table}`),
    '',
  ].join('\n');
}
