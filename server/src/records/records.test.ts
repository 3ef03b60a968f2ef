import type { ArchivedReply, CaseloadRow, ErasureReply } from '@myokinet/core/contracts';
import { addDays, instant } from '@myokinet/core/quantities';
import Ajv2020 from 'ajv/dist/2020.js';
import Database from 'better-sqlite3';
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { strFromU8, unzipSync } from 'fflate';
import sharp from 'sharp';
import Papa from 'papaparse';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Device, foundStudio, type HouseBench, houseBench, invited } from '../studios/houseBench.ts';
import { drawnPicture } from '../drawnPicture.ts';
import { checkFor, screeningDto, sessionDto, symptomDto, traineeDto } from '../testBench.ts';
import { belongings } from '../database/belongings.ts';

const JPEG = await drawnPicture();

let bench: HouseBench;
let owner: Device;
let file: string;
beforeAll(async () => {
  bench = await houseBench();
  owner = await foundStudio(bench);
  file = join(bench.data, 'studios', `${(await owner.look()).studio?.id}.sqlite`);
});
afterAll(() => bench.close());

/** A trainee with something in many tables. */
async function livedHere(name: string): Promise<string> {
  const trainee = traineeDto({ name });
  await owner.post('/api/trainees', trainee);
  const at = `/api/trainees/${trainee.id}`;
  const ago = (days: number) => new Date(addDays(bench.now(), -days));
  const check = checkFor('wall', ago(3));
  const session = sessionDto(ago(2), { note: `=1+1, said ${name}` });
  const symptom = symptomDto(ago(1), { sessionId: session.id, intensity: 6, kind: 'sharp', note: 'in the shoulder' });
  const runId = v7();
  const head = {
    id: runId,
    plannedSessionId: null,
    startedAt: instant(ago(0.5)),
    form: 'sets',
    progress: 'count',
    items: [{ id: v7(), drillId: 'plank', sets: 2, min: 10, max: 20, restSeconds: 30 }],
  };
  const picture = {
    ...{ id: v7(), takenAt: instant(ago(0.4)), measureId: 'shoulder-flexion', side: 'left', width: 100, height: 100, facing: 'left' },
    ...{
      points: ['hip', 'shoulder', 'elbow'].map((id, i) => ({ id, x: 30 * i, y: 40, placedBy: 'coach' })),
      value: 150,
      standardError: 3,
      image: JPEG,
    },
  };
  const week = { id: v7(), weekStart: '2026-11-30', revision: v7(), basedOn: null, sessions: [], notes: [], leftOut: [] };
  for (const [path, body] of [
    [`${at}/screenings`, screeningDto(ago(4))],
    [`${at}/checks`, check],
    [`${at}/sessions`, session],
    [`${at}/symptoms`, symptom],
    [
      `${at}/trial-corrections`,
      { id: v7(), replaces: check.trials[0]?.id, measureId: check.trials[0]?.measureId, value: 80, reason: 'misread' },
    ],
    [`${at}/emergencies`, { id: v7(), at: instant(ago(0.3)) }],
    [`${at}/pictures`, picture],
    [`/api/floor/${runId}/photos`, { id: v7(), takenAt: instant(ago(0.2)), image: JPEG }],
  ] as const) {
    if (path.startsWith('/api/floor')) await owner.put(`/api/floor/${runId}`, { traineeId: trainee.id, head, events: [] });
    const reply = await owner.post(path, body);
    expect([path, reply.status, reply.status === 201 ? '' : reply.body]).toEqual([path, 201, '']);
  }
  expect((await owner.put(`${at}/plans/2026-11-30`, week)).status).toBe(200);
  await owner.put(`${at}/battery`, {
    ...{ id: v7(), startedAt: instant(ago(0.1)), scope: 'gate', note: '', skips: [] },
    cells: [{ measureId: 'grip', side: 'left', ordinal: 0, trialId: v7(), text: '4' }],
  });
  return trainee.id;
}

/** Rows about a trainee, by table. */
function rowsAbout(id: string): Readonly<Record<string, number>> {
  const db = new Database(file, { readonly: true });
  const found = belongings(db).map(
    ({ table, where }) => [table, db.prepare(`SELECT count(*) FROM "${table}" WHERE ${where}`).pluck().get({ id }) as number] as const,
  );
  db.close();
  return Object.fromEntries(found);
}

const raw = async (device: Device, url: string) => {
  const reply = await bench.app.inject({ method: 'GET', url, headers: { host: '127.0.0.1', cookie: device.cookie() } });
  return { status: reply.statusCode, type: reply.headers['content-type'], bytes: reply.rawPayload };
};

describe('what belongs to a trainee', () => {
  it('is found in every table that has something of one: each new table is on one of these lists', async () => {
    const db = new Database(file, { readonly: true });
    const all = db.prepare("SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%'").pluck().all() as string[];
    const belonging = new Set(belongings(db).map((b) => b.table));
    db.close();
    expect(all.filter((table) => !belonging.has(table)).sort()).toEqual([
      ...['accepted_write', 'audit', 'band_revision', 'class_run', 'coach', 'emergency_care', 'erasure', 'library_entry'],
      ...['library_picture', 'library_revision', 'named_group', 'plan_template', 'repeatability_test', 'routine_revision'],
      ...['schools_revision', 'studio'],
    ]);
  });
});

describe('an archive of a trainee', () => {
  it('holds every row about them and nobody else, as JSON that fits its schema, as CSV, and the pictures', async () => {
    const [id, neighbour] = [await livedHere('Ysolde Marrow'), await livedHere('Tamsin Grey')];
    const { status, type, bytes } = await raw(owner, `/api/trainees/${id}/records.zip`);
    expect([status, type]).toEqual([200, 'application/zip']);
    const files = unzipSync(bytes);
    const records = JSON.parse(strFromU8(files['records.json'] ?? new Uint8Array())) as { tables: Record<string, { id?: string }[]> };
    const counts = Object.fromEntries(Object.entries(records.tables).map(([table, rows]) => [table, rows.length]));
    expect(counts).toEqual(rowsAbout(id));
    for (const table of [
      'trial',
      'session_set',
      'symptom',
      'picture',
      'floor_photo',
      'plan_revision',
      'battery_cell',
      'emergency',
      'capacity',
    ])
      expect(counts[table], table).toBeGreaterThan(0);
    const validate = new Ajv2020({ strict: false, formats: { 'date-time': true } }).compile(
      JSON.parse(strFromU8(files['schema.json'] ?? new Uint8Array())) as object,
    );
    expect(validate(records), JSON.stringify(validate.errors)).toBe(true);
    for (const [table, rows] of Object.entries(records.tables)) {
      const csv = Papa.parse<Record<string, string>>(strFromU8(files[`tables/${table}.csv`] ?? new Uint8Array()), {
        header: true,
        skipEmptyLines: true,
      });
      expect(csv.data.length, table).toBe(rows.length);
    }
    // A spreadsheet runs nothing of what was typed.
    expect(strFromU8(files['tables/session.csv'] ?? new Uint8Array())).toContain("'=1+1, said Ysolde");
    const pictures = Object.keys(files).filter((name) => name.startsWith('pictures/'));
    expect(pictures).toHaveLength(2);
    expect(await sharp(files[pictures[0] ?? '']).metadata()).toMatchObject({ format: 'jpeg', width: 40 });
    const everything = Object.values(files)
      .map((f) => strFromU8(f))
      .join('\n');
    expect(everything).not.toContain(neighbour);
    expect(everything).not.toContain('Tamsin');
  });

  it('of the whole studio holds everybody, for owners alone', async () => {
    const coach = await invited(bench, owner, 'coach', 'bo.wren');
    const assistant = await invited(bench, owner, 'assistant', 'cy.lark');
    const some = ((await owner.get('/api/caseload')).body as CaseloadRow[])[0]?.id;
    expect((await raw(assistant, `/api/trainees/${some}/records.zip`)).status).toBe(403);
    expect((await raw(coach, `/api/trainees/${some}/records.zip`)).status).toBe(200);
    expect((await raw(coach, '/api/records.zip')).status).toBe(403);
    const { bytes } = await raw(owner, '/api/records.zip');
    const records = JSON.parse(strFromU8(unzipSync(bytes)['records.json'] ?? new Uint8Array())) as { tables: Record<string, unknown[]> };
    expect(JSON.stringify(records.tables.trainee_revision)).toContain('Tamsin Grey');
    expect(records.tables.coach?.length).toBeGreaterThanOrEqual(3);
  });
});

describe('a trainee', () => {
  it('is archived and brought back: out of the lists, with everything kept', async () => {
    const id = await livedHere('Away For A Year');
    const before = rowsAbout(id);
    const listed = async () => ((await owner.get('/api/caseload')).body as CaseloadRow[]).some((r) => r.id === id);
    expect(
      ((await owner.post(`/api/trainees/${id}/archived`, { id: v7(), archived: true })).body as ArchivedReply[]).map((a) => a.name),
    ).toEqual(['Away For A Year']);
    expect(await listed()).toBe(false);
    expect((await owner.get(`/api/trainees/${id}/record`)).status).toBe(200);
    expect((await owner.get(`/api/trainees/${id}`)).body).toMatchObject({ archivedAt: instant(bench.now()) });
    expect((await owner.post(`/api/trainees/${id}/archived`, { id: v7(), archived: false })).body).toEqual([]);
    expect(await listed()).toBe(true);
    expect(rowsAbout(id)).toEqual(before);
  });

  it('is erased by the owner who types the name: no row, no picture, no byte of the name in the files; the others stay', async () => {
    const [id, other] = [await livedHere('Quillon Vantage'), await livedHere('Stays Here')];
    const others = rowsAbout(other);
    const coach = await invited(bench, owner, 'coach', 'dee.rook');
    const erasure = (name: string) => ({ id: v7(), name, reason: 'asked for it in writing' });
    const at = `/api/trainees/${id}/erasure`;
    expect((await coach.post(at, erasure('Quillon Vantage'))).body).toMatchObject({ code: 'role-short' });
    expect((await owner.post(at, erasure('Quillon'))).body).toMatchObject({ code: 'name-differs' });
    expect(Object.values(rowsAbout(id)).some((n) => n > 0)).toBe(true);

    expect((await owner.post(at, erasure('Quillon Vantage'))).body).toEqual({ erased: true });
    expect(Object.values(rowsAbout(id)).filter((n) => n > 0)).toEqual([]);
    expect(rowsAbout(other)).toEqual(others);
    for (const name of readdirSync(join(bench.data, 'studios'))) {
      const bytes = readFileSync(join(bench.data, 'studios', name));
      expect(bytes.includes('Quillon'), name).toBe(false);
      expect(bytes.includes(id), name).toBe(false);
    }
    expect((await owner.get(`/api/trainees/${id}`)).status).toBe(404);
    const digest = createHash('sha256').update(id).digest('hex');
    expect(((await coach.get('/api/erasures')).body as ErasureReply[]).map((e) => e.digest)).toContain(digest);
    // Facts are guarded as before.
    const db = new Database(file);
    expect(() => db.prepare('DELETE FROM trial').run()).toThrow('trials are facts');
    expect(db.pragma('foreign_key_check')).toEqual([]);
    db.close();
    // What a device sends late makes nobody anew.
    expect((await coach.post(`/api/trainees/${id}/sessions`, sessionDto(bench.now()))).status).toBe(404);
  });
});
