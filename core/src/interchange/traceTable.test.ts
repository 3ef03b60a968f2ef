import { describe, expect, it } from 'vitest';
import { readTrace, TRACE_QUANTITIES } from '../traces/index.ts';
import { guessTraceChoice, openTraceTable, type TraceChoice, traceFrom, VALUE_UNITS, writeTraceCsv } from './index.ts';

/** Five movements of 60° in 3 s, at 50 samples a second: what every dialect below is written from. */
const RATE = 50;
const SAMPLES = Array.from({ length: 17 * RATE }, (_, i) => ({
  t: i / RATE,
  deg: i / RATE > 16 ? 0 : 30 - 30 * Math.cos((2 * Math.PI * Math.max(0, i / RATE - 1)) / 3),
}));
const BEGIN = Date.UTC(2026, 10, 20, 9, 30, 0);

const lines = (row: (t: number, deg: number, i: number) => string) => SAMPLES.map(({ t, deg }, i) => row(t, deg, i)).join('\n');
const rad = (deg: number) => (deg * Math.PI) / 180;
const comma = (text: string) => text.replaceAll('.', ',');
const clock = (t: number) => new Date(BEGIN + t * 1000).toISOString();

/** A way of writing a log file; what has to be said where the file does not. */
const DIALECTS: readonly (readonly [name: string, text: string, said?: Partial<TraceChoice>])[] = [
  ['named, seconds', `time s,angle deg\n${lines((t, d) => `${t},${d}`)}`],
  ['no names', lines((t, d) => `${t},${d}`), { unit: 'deg' }],
  ['decimal commas', `Zeit s;Winkel °\n${lines((t, d) => comma(`${t};${d}`))}`],
  ['tabs, milliseconds', `time (ms)\tangle (deg)\n${lines((t, d) => `${Math.round(t * 1000)}\t${d}`)}`],
  ['microseconds', `us,deg\n${lines((t, d) => `${Math.round(t * 1e6)},${d}`)}`],
  ['minutes', `time min,deg\n${lines((t, d) => `${(t / 60).toFixed(8)},${d}`)}`],
  ['blanks', `t deg\n${lines((t, d) => `${t}   ${d}`)}`],
  ['radians', `t,pitch rad\n${lines((t, d) => `${t},${rad(d)}`)}`],
  ['sample numbers', `sample,angle deg\n${lines((_, d, i) => `${i},${d}`)}`, { rate: RATE }],
  ['one column', `deg\n${lines((_, d) => `${d}`)}`, { rate: RATE }],
  ['epoch in milliseconds', `timestamp,deg\n${lines((t, d) => `${BEGIN + t * 1000},${d}`)}`],
  ['epoch in seconds', `epoch,deg\n${lines((t, d) => `${BEGIN / 1000 + t},${d}`)}`],
  ['ISO times', `datetime,deg\n${lines((t, d) => `${clock(t)},${d}`)}`],
  ['times of day', `time,deg\n${lines((t, d) => `${clock(t).slice(11, 23)},${d}`)}`],
  ['title lines', `Session of Tuesday\nright arm, third try\ntime,deg\n${lines((t, d) => `${t},${d}`)}`],
  ['remarks', `# device 7\n// calibrated\ntime,deg\n${lines((t, d) => `${t},${d}`)}`],
  ['a line of units', `time,angle\ns,deg\n${lines((t, d) => `${t},${d}`)}`],
  ['quoted cells', `"time, s","angle, deg"\n${lines((t, d) => `"${t}","${d}"`)}`],
  ['several columns', `time,acc m/s2,pitch deg,label\n${lines((t, d) => `${t},${9.81 + t / 100},${d},arm`)}`],
  ['three angles', `t;roll [°];pitch [°];yaw [°]\n${lines((t, d) => `${t};${d};1.5;-120`)}`],
  ['windows lines and a mark', `\uFEFFtime,deg\r\n${lines((t, d) => `${t},${d}`).replaceAll('\n', '\r\n')}\r\n\r\n`],
];

describe('a log file', () => {
  it.each(DIALECTS.map(([name, text, said = {}]) => ({ name, text, said })))('with $name shows five movements of 60°', ({ text, said }) => {
    const table = openTraceTable(text);
    const { samples, quantity } = traceFrom(table, { ...guessTraceChoice(table), ...said });
    expect(quantity).toBe('angle');
    const { repetitions, duration } = readTrace(samples);
    expect(duration).toBeCloseTo(SAMPLES.at(-1)!.t, 1);
    expect(repetitions.map((r) => Math.round(r.range))).toEqual([60, 60, 60, 60, 60]);
  });

  it('keeps its place for cells that are no numbers', () =>
    expect(Array.from(openTraceTable('0,1\n0.1,1\n0.1,off\n0.2,3').columns[1]!.figures)).toEqual([1, 1, Number.NaN, 3]));

  it('says how much of it is no figures', () => expect(openTraceTable(DIALECTS[14]![1]).skippedLines).toBe(2));

  it.each([[''], ['<html><body>,x\n<p>,y'], ['time,angle\nfive,ten\nsix,eleven']])('%j is refused', (text) =>
    expect(() => openTraceTable(text)).toThrow('no two lines of figures'),
  );
});

describe('a unit', () => {
  it('is asked where the file does not tell it, and so is the rate of counted rows', () => {
    const table = openTraceTable('0,1\n0.02,2\n0.04,3');
    expect(() => traceFrom(table, guessTraceChoice(table))).toThrow('Say in which unit “column 2” is.');
    expect(() => traceFrom(table, { ...guessTraceChoice(table), unit: 'deg', timeUnit: 'samples' })).toThrow('how many samples a second');
  });

  it('of an acceleration or a turn rate makes no angle', () => {
    const of = (header: string) => {
      const table = openTraceTable(`time s,${header}\n0,1\n0.02,2\n0.04,3`);
      return traceFrom(table, guessTraceChoice(table)).quantity;
    };
    expect([of('acc m/s²'), of('a (m/s^2)'), of('gyro deg/s'), of('gz °/s'), of('rad/s'), of('force N'), of('kg'), of('roll °')]).toEqual([
      ...['acceleration', 'acceleration', 'turn rate', 'turn rate', 'turn rate', 'load', 'load', 'angle'],
    ]);
  });

  it('is what it is: a radian 57.3°, a g 9.81 m/s², a newton a tenth of a kilogram', () => {
    expect(VALUE_UNITS.rad.factor).toBeCloseTo(57.29578, 5);
    expect(VALUE_UNITS.g.factor).toBeCloseTo(9.80665, 6);
    expect(10 * VALUE_UNITS.N.factor).toBeCloseTo(1.0197, 3);
  });
});

it('a written trace comes back as it went, and one of a stand-in or off a clip keeps its mark', () => {
  const samples = { times: [0, 0.01, 0.02], angles: [10, 11.25, Number.NaN] };
  for (const quantity of TRACE_QUANTITIES) {
    const simulated = quantity === 'load';
    const ofClip = quantity === 'height';
    const table = openTraceTable(writeTraceCsv(samples, { quantity, simulated, ofClip }));
    const chosen = traceFrom(table, guessTraceChoice(table));
    expect(chosen.quantity).toBe(quantity);
    expect([Array.from(chosen.samples.times), Array.from(chosen.samples.angles)]).toEqual([samples.times, samples.angles]);
    expect([table.simulated, table.ofClip]).toEqual([simulated, ofClip]);
  }
});
