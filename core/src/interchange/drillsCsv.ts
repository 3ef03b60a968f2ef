import Papa from 'papaparse';
import { DrillDto, inspect, LIBRARY_LIMITS } from '../contracts/index.ts';
import type { FieldProblem } from '../errors.ts';
import type { Drill } from '../drills/index.ts';
import { EMPTY_LIBRARY, type LibraryContent } from '../library/index.ts';
import type { Origin } from '../reference/index.ts';
import { type ReadLibrary, readEntries } from './libraryFile.ts';

type Cells = Readonly<Record<string, string>>;

/** One column: how a drill is written into it, and how it is read back. */
interface Column {
  readonly write: (drill: Drill) => string;
  readonly read: (text: string) => unknown;
}

const LIST = '; ';
const text = (write: (drill: Drill) => string): Column => ({ write, read: (t) => t });
const optional = (write: (drill: Drill) => string | undefined): Column => ({ write: (d) => write(d) ?? '', read: (t) => t || undefined });
const list = (write: (drill: Drill) => readonly string[]): Column => ({ write: (d) => write(d).join(LIST), read: readList });
const number = (write: (drill: Drill) => number | undefined): Column => ({
  write: (d) => String(write(d) ?? ''),
  read: (t) => (t === '' ? undefined : Number(t)),
});
const yesNo = (write: (drill: Drill) => boolean): Column => ({
  write: (d) => (write(d) ? 'yes' : 'no'),
  read: (t) => ({ yes: true, no: false })[t] ?? t,
});
/** `yes`, or nothing. */
const mark = (write: (drill: Drill) => true | undefined): Column => ({
  write: (d) => (write(d) ? 'yes' : ''),
  read: (t) => (t === 'yes' ? true : undefined),
});
/** An object in one cell. */
const json = (write: (drill: Drill) => object | undefined): Column => ({
  write: (d) => (write(d) ? JSON.stringify(write(d)) : ''),
  read: (t) => (t === '' ? undefined : readJson(t)),
});
/** `a: 1; b: 2` */
const pairs = (write: (drill: Drill) => Readonly<Record<string, string | number>>, value: (t: string) => unknown): Column => ({
  write: (d) =>
    Object.entries(write(d))
      .map(([k, v]) => `${k}: ${v}`)
      .join(LIST),
  read: (t) => Object.fromEntries(readList(t).map((pair) => readPair(pair, value))),
});

/** The columns of the table, in order. Nested fields carry their path: `dose.min`. */
const COLUMNS: Readonly<Record<string, Column>> = {
  id: text((d) => d.id),
  name: text((d) => d.name),
  phase: text((d) => d.phase),
  joint: text((d) => d.joint),
  alsoWorks: list((d) => d.alsoWorks),
  motions: list((d) => d.motions),
  quality: text((d) => d.quality),
  position: text((d) => d.position),
  pose: text((d) => d.pose),
  movement: optional((d) => d.movement),
  equipment: list((d) => d.equipment),
  'dose.unit': text((d) => d.dose.unit),
  'dose.min': number((d) => d.dose.min),
  'dose.max': number((d) => d.dose.max),
  'dose.sets': number((d) => d.dose.sets),
  'dose.perSide': yesNo((d) => d.dose.perSide),
  'dose.restSeconds': number((d) => d.dose.restSeconds),
  'dose.tempo.out': number((d) => d.dose.tempo?.out),
  'dose.tempo.hold': number((d) => d.dose.tempo?.hold),
  'dose.tempo.back': number((d) => d.dose.tempo?.back),
  'dose.tempo.rest': number((d) => d.dose.tempo?.rest),
  'dose.course': json((d) => d.dose.course),
  'effort.scale': text((d) => d.effort.scale),
  'effort.min': number((d) => d.effort.min),
  'effort.max': number((d) => d.effort.max),
  'handLoad.direction': optional((d) => d.handLoad?.direction),
  'handLoad.share': number((d) => d.handLoad?.share),
  'handLoad.joints': { write: (d) => (d.handLoad?.joints ?? []).join(LIST), read: (t) => (t === '' ? undefined : readList(t)) },
  support: json((d) => d.support),
  trains: pairs((d) => d.trains, Number),
  cue: text((d) => d.cue),
  blade: optional((d) => d.blade),
  bladeCues: { ...pairs((d) => d.bladeCues ?? {}, String), read: (t) => (t === '' ? undefined : pairs(() => ({}), String).read(t)) },
  bladeTravels: mark((d) => d.bladeTravels),
  faults: list((d) => d.faults),
  faultNotes: json((d) => d.faultNotes),
  teaching: json((d) => d.teaching),
  easier: list((d) => d.easier),
  excludedBy: list((d) => d.excludedBy),
  byChoice: mark((d) => d.byChoice),
  aids: list((d) => d.aids),
  standIns: pairs((d) => d.standIns, String),
  'rung.ladderId': optional((d) => d.rung?.ladderId),
  'rung.rungId': optional((d) => d.rung?.rungId),
  'origin.kind': text((d) => d.origin.kind),
  'origin.text': optional((d) => originText(d.origin)),
};

/**
 * Drills as a table (RFC 4180), one row each.
 *
 * @example writeDrillsCsv([plank]).split('\r\n')[1].startsWith('plank,Plank,stability') // true
 */
export function writeDrillsCsv(drills: readonly Drill[]): string {
  const rows = drills.map((d) => Object.values(COLUMNS).map((c) => c.write(d)));
  return `${Papa.unparse({ fields: Object.keys(COLUMNS), data: rows }, { newline: '\r\n' })}\r\n`;
}

/**
 * Reads a table of drills. Everything is checked before anything is handed over.
 *
 * @param csv the text of the file
 * @param current the library the drills come to
 * @param now the moment of judging
 * @returns the drills, or every problem with its row and column
 */
export function readDrillsCsv(csv: string, current: LibraryContent, now: Date): ReadLibrary {
  if (csv.length > LIBRARY_LIMITS.fileBytes) {
    const message = `The file is larger than the limit of ${LIBRARY_LIMITS.fileBytes / 1024 / 1024} MB.`;
    return { content: EMPTY_LIBRARY, problems: [{ field: '', limit: 'size', message }] };
  }
  const { data, errors, meta } = Papa.parse<Cells>(csv.replace(/^\uFEFF/, ''), { header: true, skipEmptyLines: 'greedy' });
  const missing = Object.keys(COLUMNS).filter((c) => !meta.fields?.includes(c) && !LATER_COLUMNS.has(c));
  if (missing.length > 0) {
    const message = `The table lacks the ${missing.length === 1 ? 'column' : 'columns'} ${missing.join(', ')}.`;
    return { content: EMPTY_LIBRARY, problems: [{ field: '', limit: 'columns', message }] };
  }
  const problems: FieldProblem[] = errors.map((e) => ({
    field: `/drills/${e.row ?? 0}`,
    limit: 'csv',
    message: `Row ${(e.row ?? 0) + FIRST_ROW}: ${e.message}.`,
  }));
  const absent = [...LATER_COLUMNS].filter((c) => !meta.fields?.includes(c));
  const known = new Map(current.drills.map((drill) => [drill.id, drill]));
  const drills = data.map((cells, i) => {
    const { instance, problems: own } = inspect(DrillDto, drillFrom(withKept(cells, known.get((cells.id ?? '').trim()), absent)), { now });
    problems.push(...own.map((p) => inRow({ ...p, field: `/drills/${i}${p.field}` })));
    return instance as Drill;
  });
  if (problems.length > 0) return { content: EMPTY_LIBRARY, problems };
  const read = readEntries({ ...EMPTY_LIBRARY, drills }, current);
  return { ...read, problems: read.problems.map(inRow) };
}

/** A problem with the row and column that it lies in. */
function inRow(problem: FieldProblem): FieldProblem {
  const [, kind, row, ...rest] = problem.field.split('/');
  if (kind !== 'drills') return problem;
  return { ...problem, message: `Row ${Number(row) + FIRST_ROW}, ${columnOf(`/${rest.join('/')}`)}: ${problem.message}` };
}

/** A row with what its drill has in columns that the table lacks: a table that says nothing of them changes nothing of them. */
function withKept(cells: Cells, drill: Drill | undefined, absent: readonly string[]): Cells {
  return drill ? { ...cells, ...Object.fromEntries(absent.map((name) => [name, COLUMNS[name]?.write(drill) ?? ''])) } : cells;
}

/** Columns that tables written by earlier versions do not have. */
const LATER_COLUMNS: ReadonlySet<string> = new Set([
  'dose.tempo.rest',
  'dose.course',
  'support',
  'byChoice',
  'movement',
  'bladeTravels',
  'faultNotes',
  'teaching',
]);

/** Rows count from one, and the first holds the names. */
const FIRST_ROW = 2;

function columnOf(pointer: string): string {
  return pointer
    .slice(1)
    .split('/')
    .filter((part) => !/^\d+$/.test(part))
    .join('.');
}

function readList(t: string): string[] {
  return t
    .split(';')
    .map((part) => part.trim())
    .filter((part) => part !== '');
}

/** An object in a cell; a text that is none is handed on, for the contract to refuse. */
function readJson(t: string): unknown {
  try {
    return JSON.parse(t) as unknown;
  } catch {
    return t;
  }
}

function readPair(pair: string, value: (t: string) => unknown): [string, unknown] {
  const at = pair.indexOf(':');
  return at < 0 ? [pair, undefined] : [pair.slice(0, at).trim(), value(pair.slice(at + 1).trim())];
}

function originText(origin: Origin): string | undefined {
  switch (origin.kind) {
    case 'published':
      return origin.fromMemory ? `${origin.citation} (from memory)` : origin.citation;
    case 'project default':
      return origin.reason;
    case 'studio':
      return origin.note;
    case 'common practice':
      return undefined;
  }
}

function originFrom(kind: unknown, told: unknown): unknown {
  const words = typeof told === 'string' ? told : '';
  if (kind === 'published') {
    const fromMemory = words.endsWith(' (from memory)');
    return { kind, citation: words.replace(/ \(from memory\)$/, ''), fromMemory };
  }
  if (kind === 'project default') return { kind, reason: words };
  if (kind === 'studio') return { kind, note: words };
  return { kind };
}

/** A drill out of a row: paths become objects, and objects without a single value go. */
function drillFrom(cells: Cells): unknown {
  const drill: Record<string, unknown> = {};
  for (const [name, column] of Object.entries(COLUMNS)) {
    const value = column.read((cells[name] ?? '').trim());
    if (value !== undefined) put(drill, name.split('.'), value);
  }
  const origin = drill.origin as { kind?: unknown; text?: unknown } | undefined;
  return { ...drill, origin: originFrom(origin?.kind, origin?.text) };
}

function put(target: Record<string, unknown>, [head = '', ...rest]: readonly string[], value: unknown): void {
  if (rest.length === 0) target[head] = value;
  else put((target[head] ??= {}) as Record<string, unknown>, rest, value);
}
