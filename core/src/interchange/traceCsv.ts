import Papa from 'papaparse';
import { Refusal } from '../errors.ts';
import type { Samples } from '../traces/index.ts';

/** Bytes of a trace file; two hours at 200 Hz fit. */
export const TRACE_FILE_BYTES = 40 * 1024 * 1024;

const SECONDS_IN: Readonly<Record<string, number>> = { s: 1, sec: 1, seconds: 1, ms: 0.001, milliseconds: 0.001, us: 1e-6 };

/**
 * Reads a trace from a text of two columns, time and angle. A first line with names is welcome: a unit
 * of time in it (`time ms`, `t (s)`) counts, else times are seconds. Decimal commas work where columns
 * are parted by semicolons. Cells that are no numbers come out as NaN and are told by `readTrace`.
 *
 * @throws Refusal `trace-unreadable` when there are no two columns of figures
 * @example readTraceCsv('time,angle\n0,10\n0.01,11').angles // [10, 11]
 */
export function readTraceCsv(text: string): Samples {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const [first] = data;
  if (!first || first.length < 2) throw new Refusal('trace-unreadable', 'The file needs two columns: time and angle.');
  const figure = (cell: string | undefined) => {
    const trimmed = cell?.trim().replace(',', '.');
    return trimmed ? Number(trimmed) : Number.NaN;
  };
  const named = Number.isNaN(figure(first[0])) && Number.isNaN(figure(first[1]));
  const scale = named ? secondsIn(first[0] ?? '') : 1;
  const rows = named ? data.slice(1) : data;
  const times = Float64Array.from(rows, (row) => figure(row[0]) * scale);
  const angles = Float64Array.from(rows, (row) => figure(row[1]));
  if (!times.some((t, i) => Number.isFinite(t) && Number.isFinite(angles[i] ?? Number.NaN)))
    throw new Refusal('trace-unreadable', 'The file has no line with a time and an angle in figures.');
  return { times, angles };
}

function secondsIn(header: string): number {
  const unit = header
    .toLowerCase()
    .match(/[a-z]+/g)
    ?.findLast((word) => word in SECONDS_IN);
  return unit ? (SECONDS_IN[unit] ?? 1) : 1;
}

/**
 * Writes a trace as `time,angle`, seconds with milliseconds and degrees with hundredths.
 *
 * @example writeTraceCsv({ times: [0], angles: [10] }) // 'time s,angle deg\r\n0.000,10.00'
 */
export function writeTraceCsv({ times, angles }: Samples): string {
  const rows = Array.from(times, (t, i) => [t.toFixed(3), (angles[i] ?? Number.NaN).toFixed(2)]);
  return Papa.unparse([['time s', 'angle deg'], ...rows]);
}
