import Papa from 'papaparse';
import { Refusal } from '../errors.ts';
import type { Samples, TraceQuantity } from '../traces/index.ts';

/** Bytes of a trace file; two hours at 200 Hz fit. */
export const TRACE_FILE_BYTES = 40 * 1024 * 1024;

/** One column of a trace file. */
export interface TraceColumn {
  /** As the file names it, or its place counted from 1. */
  readonly name: string;
  /** Its figures; what is no number is NaN. Dates and times of day are seconds. */
  readonly figures: Float64Array;
  /** The first cells as the file has them. */
  readonly shown: readonly string[];
  /** Whether its cells were dates or times of day. */
  readonly dated: boolean;
}

/** A trace file before anybody has said what is what in it. */
export interface TraceTable {
  readonly columns: readonly TraceColumn[];
  readonly rows: number;
  /** Lines before the figures that are no header: titles, remarks. */
  readonly skippedLines: number;
  /** The file says that a stand-in gave it. */
  readonly simulated: boolean;
  /** The file says that a pose model read it off a clip. */
  readonly ofClip: boolean;
}

export const TIME_UNITS = ['s', 'ms', 'us', 'min', 'samples'] as const;
/** `samples`: the rows are numbered or not even that, and the rate is told. */
export type TimeUnit = (typeof TIME_UNITS)[number];

const SECONDS_IN: Readonly<Record<Exclude<TimeUnit, 'samples'>, number>> = { s: 1, ms: 0.001, us: 1e-6, min: 60 };

const RADIAN = 180 / Math.PI;
const GRAVITY = 9.80665;

/** Units that a trace may come in, what they are of, and how much of its own unit one is. */
export const VALUE_UNITS = {
  deg: { quantity: 'angle', factor: 1 },
  rad: { quantity: 'angle', factor: RADIAN },
  'deg/s': { quantity: 'turn rate', factor: 1 },
  'rad/s': { quantity: 'turn rate', factor: RADIAN },
  'm/s2': { quantity: 'acceleration', factor: 1 },
  g: { quantity: 'acceleration', factor: GRAVITY },
  kg: { quantity: 'load', factor: 1 },
  N: { quantity: 'load', factor: 1 / GRAVITY },
  '% of body': { quantity: 'height', factor: 1 },
} as const satisfies Readonly<Record<string, { readonly quantity: TraceQuantity; readonly factor: number }>>;
export type ValueUnit = keyof typeof VALUE_UNITS;

/** What somebody said is what in a trace file. */
export interface TraceChoice {
  /** The column of time; none where the rows are simply counted. */
  readonly time: number | undefined;
  readonly timeUnit: TimeUnit;
  /** Samples a second, where rows are counted. */
  readonly rate: number | undefined;
  readonly value: number;
  /** Asked where the file does not say. */
  readonly unit: ValueUnit | undefined;
}

/** Lines that begin so say something about the file and are no figures. */
const REMARK = /^\s*(#|\/\/|%)/;
const DELIMITERS = ['\t', ';', ',', ' '] as const;
/** Lines looked at to find out how a file is written. */
const LOOKED_AT = 200;
const SHOWN = 4;

/**
 * Opens a trace file: finds how its columns are parted, where the figures begin and what the columns are called. Titles, remarks and a
 * line of units are stepped over; decimal commas work where columns are parted by anything but commas; dates and times of day become
 * seconds.
 *
 * @throws Refusal `trace-unreadable` when no two lines of figures follow one another
 * @example openTraceTable('Trial 3\ntime ms;roll\n0;10,5\n10;11,0').columns.map((c) => c.name) // ['time ms', 'roll']
 */
export function openTraceTable(text: string): TraceTable {
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\n|\r/);
  const remarks = lines.filter((line) => REMARK.test(line));
  const kept = lines.filter((line) => line.trim() !== '' && !REMARK.test(line));
  const delimiter = delimiterOf(kept.slice(0, LOOKED_AT));
  const rows = kept.map((line) => cellsOf(line, delimiter));
  const isFigures = (cells: readonly string[] | undefined) =>
    cells !== undefined && cells.filter((c) => isFigure(c, delimiter)).length >= 1;
  const sameShape = (i: number) => rows[i]?.length === rows[i + 1]?.length;
  const begin = rows.findIndex((cells, i) => isFigures(cells) && isFigures(rows[i + 1]) && sameShape(i) && wholly(cells, delimiter));
  if (begin < 0) throw new Refusal('trace-unreadable', 'The file has no two lines of figures below one another.');
  const figures = rows.slice(begin);
  const width = figures[0]?.length ?? 0;
  const header = headerOf(rows.slice(0, begin), width, delimiter);
  const columns = Array.from({ length: width }, (_, i): TraceColumn => {
    const cells = figures.map((row) => row[i] ?? '');
    return { name: header.names[i] ?? `column ${i + 1}`, shown: cells.slice(0, SHOWN), ...figuresOf(cells, delimiter) };
  });
  return {
    columns,
    rows: figures.length,
    skippedLines: remarks.length + begin - header.lines,
    simulated: remarks.some((line) => SIMULATED.test(line)),
    ofClip: remarks.some((line) => OF_CLIP.test(line)),
  };
}

/** As a file of a stand-in says what it is. */
const SIMULATED = /simulated/i;
const SIMULATED_REMARK = '# simulated: read from a stand-in, opens no gate';
/** As a file of a clip does. */
const OF_CLIP = /off a clip/i;
const CLIP_REMARK = '# read off a clip by a pose model, opens no gate';

function cellsOf(line: string, delimiter: string): readonly string[] {
  if (delimiter === ' ') return line.trim().split(/\s+/);
  if (!line.includes('"')) return line.split(delimiter).map((c) => c.trim());
  return (Papa.parse<string[]>(line, { delimiter }).data[0] ?? []).map((c) => c.trim());
}

/** The way of parting columns under which most lines have the same number of cells, all of them figures. */
function delimiterOf(lines: readonly string[]): string {
  const score = (delimiter: string) => {
    const counts = new Map<number, number>();
    for (const line of lines) {
      const cells = cellsOf(line, delimiter);
      if (!wholly(cells, delimiter)) continue;
      counts.set(cells.length, (counts.get(cells.length) ?? 0) + 1);
    }
    const [most] = [...counts].toSorted((a, b) => b[1] - a[1]);
    return most ? most[1] * (most[0] > 1 ? 2 : 1) : 0;
  };
  return DELIMITERS.reduce<string>((best, d) => (score(d) > score(best) ? d : best), DELIMITERS[0]);
}

/** Whether a line is one of figures: at least half of its cells are, the first among them. */
function wholly(cells: readonly string[] | undefined, delimiter: string): boolean {
  if (!cells || cells.length === 0) return false;
  const figures = cells.filter((c) => isFigure(c, delimiter)).length;
  return figures * 2 >= cells.length && isFigure(cells[0] ?? '', delimiter);
}

function isFigure(cell: string, delimiter: string): boolean {
  return Number.isFinite(figureOf(cell, delimiter)) || secondsOf(cell) !== undefined;
}

function figureOf(cell: string, delimiter: string): number {
  const text = delimiter === ',' ? cell : cell.replace(',', '.');
  return text === '' ? Number.NaN : Number(text.replace('−', '-'));
}

const DATE = /^\d{4}-\d\d-\d\d[T ]\d\d:\d\d/;
const TIME_OF_DAY = /^(\d{1,2}):(\d\d)(?::(\d\d(?:[.,]\d+)?))?$/;

/** Seconds of a date or a time of day. */
function secondsOf(cell: string): number | undefined {
  if (DATE.test(cell)) {
    const at = Date.parse(cell.replace(' ', 'T').replace(',', '.'));
    return Number.isFinite(at) ? at / 1000 : undefined;
  }
  const [, hours, minutes, seconds = '0'] = TIME_OF_DAY.exec(cell) ?? [];
  return hours === undefined || minutes === undefined
    ? undefined
    : Number(hours) * 3600 + Number(minutes) * 60 + Number(seconds.replace(',', '.'));
}

function figuresOf(cells: readonly string[], delimiter: string): Pick<TraceColumn, 'figures' | 'dated'> {
  const dated = secondsOf(cells[0] ?? '') !== undefined;
  return { dated, figures: Float64Array.from(cells, (c) => (dated ? secondsOf(c) : undefined) ?? figureOf(c, delimiter)) };
}

/** A cell that is nothing but a unit, or empty. */
const UNIT_CELL = /^[[(]?(s|ms|us|µs|min|deg|°|rad|kg|N|g|m\/s\^?2|m\/s²|(deg|°|rad)\/s|-)?[\])]?$/i;

/** The names of the columns, and of how many lines they are made: a line of units below the names belongs to them. */
function headerOf(before: readonly (readonly string[])[], width: number, delimiter: string) {
  const fits = (cells: readonly string[] | undefined) => cells?.length === width && !cells.some((c) => isFigure(c, delimiter));
  const [last, above] = [before.at(-1), before.at(-2)];
  if (!last || !fits(last)) return { names: [], lines: 0 };
  if (!above || !fits(above) || !last.every((c) => UNIT_CELL.test(c))) return { names: last, lines: 1 };
  return { names: above.map((name, i) => `${name} ${last[i] ?? ''}`.trim()), lines: 2 };
}

/** Words of a header that tell a unit, tried in order; what stands in brackets counts like a word. */
const UNIT_WORDS: readonly (readonly [RegExp, ValueUnit])[] = [
  [/rad\s*\/\s*s|rad\s*s-1/i, 'rad/s'],
  [/% of body/i, '% of body'],
  [/(deg|°)\s*\/\s*s|dps\b/i, 'deg/s'],
  [/m\s*\/\s*s\s*(\^?2|²)|m\s*s-2/i, 'm/s2'],
  [/\brad(ians?)?\b/i, 'rad'],
  [/\bdeg(rees?)?\b|°/i, 'deg'],
  [/\bkg\b|\bkilograms?\b/i, 'kg'],
  [/\b(n|newtons?)\b/i, 'N'],
  [/[[( ]g[\])]?$/i, 'g'],
];
const TIME_NAME = /\b(time|t|timestamp|seconds?|millis(econds)?|ms|elapsed|epoch|datetime|date|uhrzeit|zeit)\b/i;
const COUNT_NAME = /\b(samples?|frames?|index|row|nr|no)\b/i;
const MINUTES = /\bmin(utes?)?\b/i;
const MICROSECONDS = /\b(us|µs|microseconds?|micros)\b/i;
const MILLISECONDS = /\b(ms|millis(econds)?)\b/i;

/** The unit that the name of a column tells, if it tells one. */
export function unitTold({ name }: Pick<TraceColumn, 'name'>): ValueUnit | undefined {
  return UNIT_WORDS.find(([words]) => words.test(name))?.[1];
}

/**
 * What a file most likely means, for somebody to confirm. A unit is never guessed: where the name of a column does not tell it, it is
 * asked.
 *
 * @example guessTraceChoice(openTraceTable('sample,pitch deg\n1,10\n2,11')).timeUnit // 'samples'
 */
export function guessTraceChoice({ columns }: TraceTable): TraceChoice {
  const named = columns.findIndex((c) => c.dated || (TIME_NAME.test(c.name) && !unitTold(c)));
  const counted = columns.findIndex((c) => COUNT_NAME.test(c.name) && rises(c.figures));
  const rising = columns.findIndex((c) => rises(c.figures));
  const time = named >= 0 ? named : counted >= 0 ? counted : rising >= 0 && columns.length > 1 ? rising : undefined;
  const timeUnit = time === undefined ? 'samples' : timeUnitOf(columns[time]);
  const others = columns.map((c, i) => ({ c, i })).filter(({ i }) => i !== time);
  const best = others.find(({ c }) => unitTold(c) === 'deg' || unitTold(c) === 'rad') ?? others.find(({ c }) => unitTold(c)) ?? others[0];
  return { time, timeUnit, rate: undefined, value: best?.i ?? 0, unit: best && unitTold(best.c) };
}

function rises(figures: Float64Array): boolean {
  const looked = figures.subarray(0, LOOKED_AT).filter(Number.isFinite);
  return looked.length > 1 && looked.every((v, i) => i === 0 || v > (looked[i - 1] ?? 0));
}

/** A count goes up by one; milliseconds and microseconds by more; since 1970 there are 10⁹ seconds, 10¹² milliseconds, 10¹⁵ microseconds. */
function timeUnitOf(column: TraceColumn | undefined): TimeUnit {
  if (!column || column.dated) return 's';
  if (MICROSECONDS.test(column.name)) return 'us';
  if (MILLISECONDS.test(column.name)) return 'ms';
  if (MINUTES.test(column.name)) return 'min';
  const [first = 0] = column.figures;
  if (first > 1e14) return 'us';
  if (first > 1e11) return 'ms';
  if (first > 1e8) return 's';
  const steps = Array.from(column.figures.subarray(1, LOOKED_AT), (v, i) => v - (column.figures[i] ?? 0)).toSorted((a, b) => a - b);
  const step = steps[Math.floor(steps.length / 2)] ?? 0;
  if (step === 1 && Number.isInteger(first)) return 'samples';
  if (step >= 1000) return 'us';
  return step > 1 ? 'ms' : 's';
}

/** The samples that a choice stands for, and what they are of. */
export interface ChosenTrace {
  readonly samples: Samples;
  readonly quantity: TraceQuantity;
}

/**
 * Samples out of a table, as chosen: seconds, and degrees, degrees a second, metres a second squared or kilograms.
 *
 * @throws Refusal `trace-choice` when the unit or the rate is not said
 * @example traceFrom(openTraceTable('0,1\n1,2'), { time: undefined, timeUnit: 'samples', rate: 50, value: 1, unit: 'rad' }).samples.angles
 */
export function traceFrom({ columns, rows }: TraceTable, { time, timeUnit, rate, value, unit }: TraceChoice): ChosenTrace {
  const values = columns[value];
  if (!values) throw new Refusal('trace-choice', 'Say which column holds the values.');
  if (!unit) throw new Refusal('trace-choice', `Say in which unit “${values.name}” is.`);
  const { quantity, factor } = VALUE_UNITS[unit];
  const counted = time === undefined || timeUnit === 'samples';
  if (counted && !(rate !== undefined && rate >= 1 && rate <= 10_000))
    throw new Refusal('trace-choice', 'Say how many samples a second there are, from 1 to 10,000.');
  const of = time === undefined ? undefined : columns[time]?.figures;
  // Epochs keep their fractions only where they are counted from the first.
  const first = of?.find(Number.isFinite) ?? 0;
  const perSample = counted ? 1 / (rate ?? 1) : SECONDS_IN[timeUnit];
  return {
    samples: {
      times: Float64Array.from({ length: rows }, (_, i) => (of ? (of[i] ?? Number.NaN) - first : i) * perSample),
      angles: values.figures.map((v) => v * factor),
    },
    quantity,
  };
}

const WRITTEN: Readonly<Record<TraceQuantity, string>> = {
  angle: 'angle deg',
  'turn rate': 'turn rate deg/s',
  acceleration: 'acceleration m/s2',
  load: 'load kg',
  height: 'height % of body',
};

/**
 * Writes a trace as `time s,angle deg` (or what else it is of), seconds with milliseconds and values with hundredths. What a stand-in gave
 * or a model read off a clip says so in its first lines, and is known for it when it comes back.
 *
 * @example writeTraceCsv({ times: [0], angles: [10] }, { quantity: 'angle', simulated: false }) // 'time s,angle deg\r\n0.000,10.00'
 */
export function writeTraceCsv(
  { times, angles }: Samples,
  { quantity, simulated, ofClip = false }: { readonly quantity: TraceQuantity; readonly simulated: boolean; readonly ofClip?: boolean },
): string {
  const rows = Array.from(times, (t, i) => [t.toFixed(3), (angles[i] ?? Number.NaN).toFixed(2)]);
  const csv = Papa.unparse([['time s', WRITTEN[quantity]], ...rows]);
  return [...(simulated ? [SIMULATED_REMARK] : []), ...(ofClip ? [CLIP_REMARK] : []), csv].join('\r\n');
}
