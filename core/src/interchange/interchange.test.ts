import Ajv2020 from 'ajv/dist/2020.js';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { BUILT_IN, BUILT_IN_VERSION } from '../catalogue/index.ts';
import type { Drill } from '../drills/index.ts';
import { EMPTY_LIBRARY } from '../library/index.ts';
import { librarySchema, readDrillsCsv, readLibraryFile, writeDrillsCsv, writeLibraryFile } from './index.ts';

const now = new Date('2026-11-24T12:00:00Z');
const FILE = writeLibraryFile(BUILT_IN, BUILT_IN_VERSION);
type Plain = { [key: string]: unknown; drills: Record<string, unknown>[]; ladders: Record<string, unknown>[] };
const at = (id: string) => BUILT_IN.drills.findIndex((d) => d.id === id);
const dipAt = BUILT_IN.ladders.findIndex((l) => l.id === 'dip');

/** The built-in library as a file with something done to it. */
function spoilt(spoil: (file: Plain) => void): string {
  const file = JSON.parse(FILE) as Plain;
  spoil(file);
  return JSON.stringify(file);
}
const read = (text: string) => readLibraryFile(text, BUILT_IN, now);

describe('a library file', () => {
  it('brings back what was written, to the letter', () => {
    const { content, problems } = read(FILE);
    expect(problems).toEqual([]);
    expect(JSON.parse(JSON.stringify(content.drills))).toEqual(JSON.parse(JSON.stringify(BUILT_IN.drills)));
    expect(JSON.parse(JSON.stringify(content.ladders))).toEqual(JSON.parse(JSON.stringify(BUILT_IN.ladders)));
  });

  it.each<[string, (file: Plain) => void, string, RegExp]>([
    ['another version', (f) => (f.formatVersion = 2), '/formatVersion', /version 2 of the format; this program reads version 1/],
    ['another kind of file', (f) => (f.format = 'recipe'), '/format', /not a library file/],
    [
      'a dose upside down',
      (f) => Object.assign(f.drills[at('plank')]?.dose as object, { min: 50 }),
      `/drills/${at('plank')}/dose/max`,
      /Drill “plank”: The top \(40\) is below the bottom \(50\)/,
    ],
    [
      'an unknown check',
      (f) => Object.assign(f.drills[at('plank')] ?? {}, { trains: { 'moon-hold': 2 } }),
      `/drills/${at('plank')}/trains`,
      /“Plank”: there is no check called "moon-hold"/,
    ],
    [
      'script in a name',
      (f) => Object.assign(f.drills[at('plank')] ?? {}, { name: '<script>alert(1)</script>' }),
      `/drills/${at('plank')}/name`,
      /must not contain < or >/,
    ],
    [
      'a name that a spreadsheet would run',
      (f) => Object.assign(f.drills[at('plank')] ?? {}, { name: '=HYPERLINK("x")' }),
      `/drills/${at('plank')}/name`,
      /must not begin with "="/,
    ],
    [
      'a demand in the wrong unit',
      (f) => {
        const rungs = f.ladders[dipAt]?.rungs as { demands: { unit: string }[] }[];
        Object.assign(rungs[0]?.demands[0] ?? {}, { unit: 's' });
      },
      `/ladders/${dipAt}/rungs/0/demands/0/unit`,
      /“Bar support, feet carrying half”: Shoulder extension is measured in degrees \("deg"\), not in "s"/,
    ],
    [
      'a demand no trial could read',
      (f) => {
        const rungs = f.ladders[dipAt]?.rungs as { demands: { value: number }[] }[];
        Object.assign(rungs[0]?.demands[0] ?? {}, { value: 400 });
      },
      `/ladders/${dipAt}/rungs/0/demands/0/value`,
      /reads from .* to 110°/,
    ],
    [
      'a field nobody knows',
      (f) => Object.assign(f.drills[at('plank')] ?? {}, { colour: 'teal' }),
      `/drills/${at('plank')}/colour`,
      /colour/,
    ],
    [
      'an origin without its words',
      (f) => Object.assign(f.drills[at('plank')] ?? {}, { origin: { kind: 'published' } }),
      `/drills/${at('plank')}/origin/citation`,
      /citation must be text/,
    ],
  ])('is refused with %s, at its place, and brings nothing', (_, spoil, field, message) => {
    const { content, problems } = read(spoilt(spoil));
    expect(content.drills).toEqual([]);
    expect(problems.map((p) => p.field)).toContain(field);
    expect(problems.find((p) => p.field === field)?.message).toMatch(message);
  });

  it('is refused with a ring of neighbours, at its place in the file, even when half the ring is in the library', () => {
    const ring = { ...BUILT_IN.drills[at('wall-push-hold')], easier: ['raised-arm-plank'] } as Drill;
    const { problems, content } = read(writeLibraryFile({ ...EMPTY_LIBRARY, drills: [ring] }, 'x'));
    expect(content.drills).toEqual([]);
    expect(problems.map((p) => p.field)).toContain('/drills/0/easier/0');
    expect(problems.every((p) => p.limit === 'acyclic')).toBe(true);
  });

  it('reports every problem at once', () => {
    const { problems } = read(
      spoilt((f) => {
        for (const d of f.drills.slice(0, 7)) d.name = '';
        Object.assign(f.drills[8]?.dose as object, { sets: 0 });
      }),
    );
    expect(problems).toHaveLength(8);
  });

  it('is refused when it is no JSON, no object, or far too large', () => {
    expect(read('{ "drills": [').problems[0]?.message).toMatch(/not readable JSON/);
    expect(read('[]').problems[0]?.message).toMatch(/one JSON object/);
    expect(read('x'.repeat(50 * 1024 * 1024)).problems[0]?.message).toMatch(/limit of 12 MB/);
    expect(read('null').problems).toHaveLength(1);
  });
});

describe('the published schema, checked by a general validator', () => {
  const validate = new Ajv2020({ strict: false }).compile(librarySchema());

  it('takes the built-in library', () => {
    expect(validate(JSON.parse(FILE)) || validate.errors?.slice(0, 3)).toBe(true);
  });

  it.each<[string, (file: Plain) => void]>([
    ['a phase that is none', (f) => Object.assign(f.drills[3] ?? {}, { phase: 'lunch' })],
    ['a strength of four', (f) => Object.assign(f.drills[3] ?? {}, { trains: { grip: 4 } })],
    ['a missing cue', (f) => delete f.drills[3]?.cue],
    ['a set-up beyond its dial', (f) => Object.assign(f.drills[3] ?? {}, { support: { setUp: { position: 'plank', leanM: 4 } } })],
    ['a field nobody knows', (f) => Object.assign(f.ladders[0] ?? {}, { colour: 'teal' })],
    ['script in a name', (f) => Object.assign(f.ladders[0] ?? {}, { name: '<b>' })],
  ])('refuses %s, as the program does', (_, spoil) => {
    const text = spoilt(spoil);
    expect(validate(JSON.parse(text))).toBe(false);
    expect(read(text).problems.length).toBeGreaterThan(0);
  });
});

describe('a table of drills', () => {
  const csv = writeDrillsCsv(BUILT_IN.drills);

  it('has one row a drill, and reads alike in a general reader', () => {
    const { data, errors } = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true });
    expect(errors).toEqual([]);
    expect(data.map((row) => row.id)).toEqual(BUILT_IN.drills.map((d) => d.id));
    expect(data.find((row) => row.id === 'plank')).toMatchObject({
      name: 'Plank',
      'dose.unit': 's',
      'dose.max': '40',
      'handLoad.share': '0.69',
    });
  });

  it('written before there were set-ups and lessons is still taken, and takes nothing away', () => {
    const rows = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true }).data;
    const { content, problems } = readDrillsCsv(
      Papa.unparse(rows.map(({ support: _s, teaching: _t, faultNotes: _n, ...row }) => row)),
      BUILT_IN,
      now,
    );
    expect(problems).toEqual([]);
    expect(JSON.parse(JSON.stringify(content.drills))).toEqual(JSON.parse(JSON.stringify(BUILT_IN.drills)));
    const fresh = readDrillsCsv(
      Papa.unparse([{ ...rows[0], id: 'a-new-one', rung: '', support: undefined, teaching: undefined }]),
      BUILT_IN,
      now,
    );
    expect([fresh.problems, fresh.content.drills[0]?.teaching]).toEqual([[], undefined]);
  });

  it('brings back what was written, to the letter', () => {
    const { content, problems } = readDrillsCsv(csv, BUILT_IN, now);
    expect(problems).toEqual([]);
    expect(JSON.parse(JSON.stringify(content.drills))).toEqual(JSON.parse(JSON.stringify(BUILT_IN.drills)));
  });

  it('names row and column of what is wrong, and brings nothing', () => {
    const rows = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true }).data;
    Object.assign(rows[0] ?? {}, { 'dose.max': 'many' });
    Object.assign(rows[1] ?? {}, { trains: 'plank-hold: 9' });
    const { content, problems } = readDrillsCsv(Papa.unparse(rows), BUILT_IN, now);
    expect(content.drills).toEqual([]);
    expect(problems.map((p) => p.message.split(':')[0])).toEqual(['Row 2, dose.max', 'Row 3, trains']);
  });

  it('names the row of what the rest of the library does not know', () => {
    const rows = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true }).data;
    Object.assign(rows[1] ?? {}, { trains: 'moon-hold: 2' });
    const { content, problems } = readDrillsCsv(Papa.unparse(rows), BUILT_IN, now);
    expect(content.drills).toEqual([]);
    expect(problems.map((p) => p.message)).toEqual([expect.stringMatching(/^Row 3, trains: .*no check called "moon-hold"/)]);
  });

  it('is refused without its columns', () => {
    expect(readDrillsCsv('id,name\nplank,Plank\n', BUILT_IN, now).problems[0]?.message).toMatch(
      /^The table lacks the columns phase, joint/,
    );
  });
});
