import { BUILT_IN } from '@myokinet/core/catalogue';
import type { CheckReply, LibraryReply, ReadinessReply } from '@myokinet/core/contracts';
import type { FaultEntry } from '@myokinet/core/drills';
import type { Ladder } from '@myokinet/core/ladders';
import type { Measure } from '@myokinet/core/measuring';
import { addDays, instant } from '@myokinet/core/quantities';
import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { buildApp } from '../app.ts';
import { STUDIO_ID } from '../context.ts';
import { BUILT_IN_COACH } from '../actor.ts';
import { openSeat } from '../seat.ts';
import { servicesFor } from '../services.ts';
import { sessionDto, type TestBench, testBench, traineeDto } from '../testBench.ts';

let bench: TestBench;
let at: string;
beforeEach(async () => {
  bench = await testBench();
  const trainee = traineeDto();
  at = `/api/trainees/${trainee.id}`;
  await bench.post('/api/trainees', trainee);
});
afterEach(() => bench.close());

const CARRY: Measure = {
  id: 'elbow-carry',
  name: 'Elbow carrying angle',
  phrase: 'carrying angle',
  unit: 'deg',
  joint: 'elbow',
  motion: 'extension',
  sided: true,
  better: 'inside',
  inside: { from: 5, to: 20 },
  trials: 2,
  combine: 'mean',
  error: { kind: 'amount', within: 1, between: 1, degreesOfFreedom: 4 },
  freshDays: 40,
  limits: { min: -10, max: 45, step: 1 },
  position: 'standing',
  instrument: 'goniometer',
  device: 'angle held',
  protocol: ['Arms hang, palms forward.', 'Read the forearm against the upper arm.'],
  origin: { kind: 'studio', note: 'ours' },
};
const library = async () => (await bench.get('/api/library')).body as LibraryReply;
const saveMeasure = (entry: Measure, basedOn: string | null = null) =>
  bench.put(`/api/library/measures/${entry.id}`, { revision: v7(), basedOn, entry });
const take = async (left: number, right: number, measureId = CARRY.id) =>
  bench.post(`${at}/checks`, {
    id: v7(),
    takenAt: instant(new Date(addDays(bench.now(), -1))),
    note: '',
    trials: (['left', 'right'] as const).map((side) => ({ id: v7(), measureId, side, value: side === 'left' ? left : right })),
  });

async function askForIt(): Promise<Ladder> {
  const ladder = BUILT_IN.ladders.find((l) => l.id === 'push-up') as Ladder;
  const [wall, ...rest] = ladder.rungs;
  if (!wall) throw new Error('a rung');
  const demand = { measureId: CARRY.id, value: 5, upTo: 20, unit: 'deg', direction: 'within', origin: CARRY.origin } as const;
  const entry = { ...ladder, rungs: [{ ...wall, demands: [demand] }, ...rest] };
  expect(await bench.put('/api/library/ladders/push-up', { revision: v7(), basedOn: null, entry })).toMatchObject({ status: 200 });
  return entry;
}
const states = async () => {
  const { body } = await bench.get(`${at}/readiness`);
  return (body as ReadinessReply).headrooms.map((h) => [h.demand.measureId, h.side, h.state, h.amount]);
};

describe('a check of the studio’s own', () => {
  it('is taken, asked for inside a range, judged by its nearer end, kept in history and files', async () => {
    expect(await take(12, 12)).toMatchObject({ status: 422, body: { fields: [{ field: '/trials/0/measureId' }, {}] } });
    expect(await saveMeasure(CARRY)).toMatchObject({ status: 200 });
    await askForIt();
    expect(await take(12, 23)).toMatchObject({ status: 201 });
    expect(await states()).toEqual([
      [CARRY.id, 'right', 'short', -3],
      [CARRY.id, 'left', 'spare', 7],
    ]);
    const [check] = (await bench.get(`${at}/checks`)).body as CheckReply[];
    expect(check?.capacities.map((c) => [c.measureId, c.value])).toEqual([
      [CARRY.id, 12],
      [CARRY.id, 23],
    ]);
    const { body } = await bench.app.inject({ url: '/api/library/file.json', headers: { host: '127.0.0.1' } });
    expect((JSON.parse(body) as { measures: Measure[] }).measures.find((m) => m.id === CARRY.id)).toEqual(CARRY);
  });

  it('is retired only when nothing asks for it, stays on record, and is offered again', async () => {
    await saveMeasure(CARRY);
    const ladder = await askForIt();
    await take(12, 12);
    const reset = async () => {
      const basedOn = (await library()).own.find((e) => e.id === CARRY.id)?.revision;
      return bench.post(`/api/library/measures/${CARRY.id}/reset`, { revision: v7(), basedOn });
    };
    expect(await reset()).toMatchObject({ status: 409, body: { code: 'entry-asked-for' } });
    const basedOn = (await library()).own.find((e) => e.id === 'push-up')?.revision;
    await bench.post('/api/library/ladders/push-up/reset', { revision: v7(), basedOn });
    expect(await reset()).toMatchObject({ status: 200 });
    expect((await library()).content.setAside).toContain(CARRY.id);
    expect((await bench.get(`${at}/checks`)).body).toMatchObject([{ capacities: [{ measureId: CARRY.id }, { measureId: CARRY.id }] }]);
    const entry = { ...ladder, rungs: ladder.rungs.slice(0, 1) };
    const current = (await library()).own.find((e) => e.id === 'push-up')?.revision;
    expect(await bench.put('/api/library/ladders/push-up', { revision: v7(), basedOn: current, entry })).toMatchObject({
      status: 422,
      body: { fields: [{ field: '/entry/rungs/0/demands/0/measureId' }] },
    });
  });

  it.each<[string, Partial<Measure>, string]>([
    ['figures without an error', { error: { kind: 'none' } }, '/entry/error'],
    ['a good range that is none', { inside: { from: 20, to: 5 } }, '/entry/better'],
    ['a range beyond its limits', { inside: { from: 5, to: 90 } }, '/entry/better'],
    ['no range where it is good inside one', { inside: undefined as never }, '/entry/better'],
    ['names for figures', { choices: ['a', 'b'] }, '/entry/unit'],
    ['a level without names', { unit: 'level', error: { kind: 'none' } }, '/entry/unit'],
    ['limits upside down', { limits: { min: 40, max: 10, step: 1 } }, '/entry/limits'],
    ['degrees beyond the circle', { limits: { min: 0, max: 500, step: 1 } }, '/entry/limits'],
    ['a picture that nobody can read', { picture: 'x-ray' }, '/entry/picture'],
    ['no step of a protocol', { protocol: [] }, '/entry/protocol'],
  ])('is refused with %s', async (_, part, field) => {
    const { status, body } = await saveMeasure({ ...CARRY, ...part });
    expect(status).toBe(422);
    expect((body as { fields: { field: string }[] }).fields.map((f) => f.field)).toContain(field);
    expect((await library()).own).toEqual([]);
  });

  it('may change a built-in check in all but what its record rests on', async () => {
    const grip = BUILT_IN.measures.find((m) => m.id === 'grip') as Measure;
    expect(await saveMeasure({ ...grip, unit: 'cm' })).toMatchObject({ status: 422, body: { fields: [{ field: '/entry/unit' }] } });
    expect(await saveMeasure({ ...grip, sided: false })).toMatchObject({ status: 422, body: { fields: [{ field: '/entry/sided' }] } });
    expect(await saveMeasure({ ...grip, freshDays: 21 })).toMatchObject({ status: 200 });
    expect((await library()).own).toMatchObject([{ kind: 'measure', id: 'grip', builtIn: { freshDays: 56 } }]);
  });

  it('that cannot be read takes nothing with it: what it showed counts no more, and the library names it', async () => {
    await saveMeasure(CARRY);
    await askForIt();
    await take(12, 12);
    const fresh = v7();
    const triggers = bench.db.prepare(`SELECT name FROM sqlite_schema WHERE type = 'trigger' AND tbl_name = 'library_revision'`).pluck();
    for (const name of triggers.all()) bench.db.exec(`DROP TRIGGER "${String(name)}"`);
    bench.db.transaction(() => {
      bench.db.prepare(`UPDATE library_revision SET document = '{"id":"elbow-carry"}', id = ? WHERE kind = 'measure'`).run(fresh);
      bench.db.prepare(`UPDATE library_entry SET current_revision = ? WHERE kind = 'measure'`).run(fresh);
    })();
    const app = await buildApp(openSeat(servicesFor({ db: bench.db, studioId: STUDIO_ID, now: bench.now }), BUILT_IN_COACH), bench.now);
    const read = async (url: string) => {
      const reply = await app.inject({ url, headers: { host: '127.0.0.1' } });
      expect([url, reply.statusCode]).toEqual([url, 200]);
      return reply.json<unknown>();
    };
    expect(((await read('/api/library')) as LibraryReply).unreadable).toMatchObject([{ kind: 'measure', id: CARRY.id }]);
    const { headrooms } = (await read(`${at}/readiness`)) as ReadinessReply;
    expect(headrooms.map((h) => h.state)).toEqual(['unknown']);
    for (const url of ['/api/caseload', '/api/today', '/api/rechecks', `${at}/checks`]) await read(url);
    await app.close();
  });
});

describe('a fault of the studio’s own', () => {
  const LOOKS_DOWN: FaultEntry = { id: 'looks-down', name: 'looks at the feet', cue: 'Eyes on the wall.', regression: 'Slower.' };
  const save = (basedOn: string | null = null) =>
    bench.put('/api/library/faults/looks-down', { revision: v7(), basedOn, entry: LOOKS_DOWN });

  it('is invited by drills, logged in a set, set aside and kept in the record', async () => {
    expect(await save()).toMatchObject({ status: 200 });
    const plank = BUILT_IN.drills.find((d) => d.id === 'plank');
    const entry = { ...plank, faults: ['looks-down'] };
    expect(await bench.put('/api/library/drills/plank', { revision: v7(), basedOn: null, entry })).toMatchObject({ status: 200 });
    const session = sessionDto(new Date(addDays(bench.now(), -1)));
    const seen = {
      ...session,
      items: session.items.map((i) => ({ ...i, sets: i.sets.map((s) => ({ ...s, faults: [{ faultId: 'looks-down', mended: true }] })) })),
    };
    expect(await bench.post(`${at}/sessions`, seen)).toMatchObject({ status: 201 });
    const basedOn = (await library()).own.find((e) => e.kind === 'fault')?.revision;
    expect(await bench.post('/api/library/faults/looks-down/reset', { revision: v7(), basedOn })).toMatchObject({ status: 200 });
    const { content, own } = await library();
    expect(content.faults.find((f) => f.id === 'looks-down')?.name).toBe('looks at the feet');
    expect(content.setAside).toContain('looks-down');
    expect(own.find((e) => e.kind === 'fault')?.standing).toBe('set aside');
  });

  it('is asked for by name: a drill may invite only faults that there are', async () => {
    const plank = BUILT_IN.drills.find((d) => d.id === 'plank');
    expect(
      await bench.put('/api/library/drills/plank', { revision: v7(), basedOn: null, entry: { ...plank, faults: ['looks-down'] } }),
    ).toMatchObject({ status: 422, body: { fields: [{ field: '/entry/faults/0' }] } });
  });
});
