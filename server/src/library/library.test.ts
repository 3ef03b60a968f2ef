import { BUILT_IN, BUILT_IN_VERSION } from '@myokinet/core/catalogue';
import type { ImportReply, LibraryReply } from '@myokinet/core/contracts';
import type { Drill } from '@myokinet/core/drills';
import type { Ladder } from '@myokinet/core/ladders';
import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { sessionDto, type TestBench, testBench, traineeDto } from '../testBench.ts';

let bench: TestBench;
beforeEach(async () => {
  bench = await testBench();
});
afterEach(() => bench.close());

const builtInDrill = (id: string) => BUILT_IN.drills.find((d) => d.id === id) as Drill;
const builtInLadder = (id: string) => BUILT_IN.ladders.find((l) => l.id === id) as Ladder;
const library = async () => (await bench.get('/api/library')).body as LibraryReply;
const saveDrill = (entry: Readonly<Record<string, unknown>> & { readonly id: string }, basedOn: string | null = null, revision = v7()) =>
  bench.put(`/api/library/drills/${entry.id}`, { revision, basedOn, entry });
const ours = { ...builtInDrill('plank'), name: 'Plank, our way', origin: { kind: 'studio', note: 'Since 2024' } };

describe('the library', () => {
  it('is the built-in one until the studio changes something, and is not sent twice', async () => {
    const reply = await library();
    expect(reply).toMatchObject({ version: BUILT_IN_VERSION, own: [] });
    expect(reply.content.drills.length).toBe(BUILT_IN.drills.length);
    const first = await bench.app.inject({ url: '/api/library', headers: { host: '127.0.0.1' } });
    const again = await bench.app.inject({
      url: '/api/library',
      headers: { host: '127.0.0.1', 'if-none-match': String(first.headers.etag) },
    });
    expect([first.statusCode, again.statusCode]).toEqual([200, 304]);
  });

  it('takes a copy over a built-in drill, compares it, and goes back', async () => {
    expect(await saveDrill(ours)).toMatchObject({ status: 200 });
    const changed = await library();
    expect(changed.content.drills.find((d) => d.id === 'plank')?.name).toBe('Plank, our way');
    expect(changed.own).toMatchObject([
      { kind: 'drill', id: 'plank', standing: 'own', builtInVersion: BUILT_IN_VERSION, builtIn: { name: 'Plank' } },
    ]);
    const [entry] = changed.own;
    expect(await bench.post('/api/library/drills/plank/reset', { revision: v7(), basedOn: entry?.revision })).toMatchObject({
      status: 200,
    });
    const back = await library();
    expect(back.content.drills.find((d) => d.id === 'plank')?.name).toBe('Plank');
    expect(back.own).toMatchObject([{ standing: 'built in' }]);
    expect(bench.db.prepare('SELECT count(*) FROM library_revision').pluck().get()).toBe(2);
    expect(await saveDrill(ours, back.own[0]?.revision)).toMatchObject({ status: 200 });
  });

  it('keeps a copy whatever the built-in library becomes', async () => {
    await saveDrill(ours);
    bench.db.prepare("UPDATE library_revision SET built_in_version = '2020-01'").run();
    const reopened = await testBench(bench.db);
    const reply = (await reopened.get('/api/library')).body as LibraryReply;
    expect(reply.own).toMatchObject([{ builtInVersion: '2020-01', builtIn: { name: 'Plank' } }]);
    expect(reply.content.drills.find((d) => d.id === 'plank')?.name).toBe('Plank, our way');
    await reopened.app.close();
  });

  it('only what is done on each side has sides that take turns', async () => {
    const plank = builtInDrill('opposite-reach');
    const put = (perSide: boolean) =>
      bench.put('/api/library/drills/opposite-reach', {
        ...{ revision: v7(), basedOn: null },
        entry: { ...plank, dose: { ...plank.dose, perSide, course: { alternating: true } } },
      });
    expect(await put(false)).toMatchObject({
      status: 422,
      body: { fields: [{ field: '/entry/dose/course', message: 'Only what is done on each side has sides that take turns.' }] },
    });
    expect((await put(true)).status).toBe(200);
  });

  it('takes a new drill, sets it aside, and still knows it in the record', async () => {
    const id = v7();
    const mine = { ...ours, id, easier: ['plank'] };
    await saveDrill(mine);
    const trainee = traineeDto();
    await bench.post('/api/trainees', trainee);
    const at = `/api/trainees/${trainee.id}`;
    expect(await bench.post(`${at}/sessions`, sessionDto(bench.now(), {}, [id]))).toMatchObject({ status: 201 });
    const { own } = await library();
    await bench.post(`/api/library/drills/${id}/reset`, { revision: v7(), basedOn: own[0]?.revision });
    expect((await library()).content.setAside).toEqual([...BUILT_IN.setAside, id]);
    expect(await bench.post(`${at}/sessions`, sessionDto(bench.now(), {}, [id]))).toMatchObject({ status: 201 });
    expect(await bench.get(`${at}/record`)).toMatchObject({ status: 200, body: { sessions: [{ items: [{ drillId: id }] }, {}] } });
  });

  it('is refused when somebody saved in between, and the same request twice is one', async () => {
    const revision = v7();
    await saveDrill(ours, null, revision);
    expect(await saveDrill(ours, null, revision)).toMatchObject({ status: 200 });
    expect(await saveDrill({ ...ours, cue: 'Mine.' })).toMatchObject({ status: 409, body: { code: 'edited-elsewhere' } });
    expect(await bench.post('/api/library/drills/halo/reset', { revision: v7(), basedOn: null })).toMatchObject({
      status: 404,
      body: { code: 'entry-missing' },
    });
  });

  it.each<[string, object, string]>([
    ['a ring of neighbours', { ...builtInDrill('wall-push-hold'), easier: ['raised-arm-plank'] }, '/entry/easier/0'],
    ['an unknown neighbour', { ...ours, easier: ['moonwalk'] }, '/entry/easier/0'],
    ['a dose upside down', { ...ours, dose: { ...ours.dose, min: 90 } }, '/entry/dose/max'],
    ['script in its name', { ...ours, name: '<img src=x onerror=alert(1)>' }, '/entry/name'],
    ['an unknown check', { ...ours, trains: { moon: 1 } }, '/entry/trains'],
  ])('refuses a drill with %s, and changes nothing', async (_, entry, field) => {
    const reply = await saveDrill(entry as { id: string });
    expect(reply).toMatchObject({ status: 422 });
    expect((reply.body as { fields: { field: string }[] }).fields.map((f) => f.field)).toContain(field);
    expect((await library()).own).toEqual([]);
  });
});

describe('a fault', () => {
  const words = { id: 'shrug', name: 'ears swallowed', cue: 'Tall neck.', regression: 'Lighter.' };
  const save = (entry: object, basedOn: string | null = null) => bench.put('/api/library/faults/shrug', { revision: v7(), basedOn, entry });

  it('takes the studio’s words, and gives the built-in ones back', async () => {
    expect(await save(words)).toMatchObject({ status: 200 });
    const { content, own } = await library();
    expect(content.faults.find((f) => f.id === 'shrug')).toEqual(words);
    expect(own).toMatchObject([{ kind: 'fault', id: 'shrug', builtIn: { name: 'shoulder shrugs to the ear' } }]);
    await bench.post('/api/library/faults/shrug/reset', { revision: v7(), basedOn: own[0]?.revision });
    expect((await library()).content.faults.find((f) => f.id === 'shrug')?.name).toBe('shoulder shrugs to the ear');
  });

  it('is refused without its cue, and under another address than its own', async () => {
    expect(await save({ ...words, cue: '' })).toMatchObject({ status: 422, body: { fields: [{ field: '/entry/cue' }] } });
    expect(await save({ ...words, id: 'laziness' })).toMatchObject({ status: 404 });
  });
});

describe('a ladder of the studio’s own', () => {
  const saveLadder = (entry: Ladder, basedOn: string | null = null) =>
    bench.put(`/api/library/ladders/${entry.id}`, { revision: v7(), basedOn, entry });

  it('is what trainees are judged by from then on, and signed rungs keep their name in the record', async () => {
    const trainee = traineeDto();
    await bench.post('/api/trainees', trainee);
    const readiness = () => bench.get(`/api/trainees/${trainee.id}/readiness`);
    expect(await readiness()).toMatchObject({ body: { rungId: 'wall' } });
    const ladder = builtInLadder('push-up');
    const [wall, ...rest] = ladder.rungs;
    if (!wall) throw new Error('a rung');
    const gentle = { ...wall, id: 'gentle-wall', name: 'Gentle wall', demands: wall.demands.slice(0, 1) };
    expect(await saveLadder({ ...ladder, rungs: [gentle, wall, ...rest] })).toMatchObject({ status: 200 });
    expect(await readiness()).toMatchObject({ body: { rungId: 'gentle-wall', headrooms: [{}, {}] } });
    expect(await bench.get('/api/caseload')).toMatchObject({
      body: [{ ladderName: 'Push-up', rungs: ladder.rungs.length + 1, nextRungName: 'Gentle wall' }],
    });
  });

  it('is refused with a demand in another unit, at its place', async () => {
    const ladder = builtInLadder('dip');
    const [first, ...rest] = ladder.rungs;
    if (!first) throw new Error('a rung');
    const demands = first.demands.map((d, i) => (i === 0 ? { ...d, unit: 'kg' as const } : d));
    const reply = await saveLadder({ ...ladder, rungs: [{ ...first, demands }, ...rest] });
    expect(reply).toMatchObject({ status: 422, body: { fields: [{ field: '/entry/rungs/0/demands/0/unit' }] } });
  });
});

describe('a file', () => {
  const importing = (text: string, own: object = {}) =>
    bench.post('/api/library/imports', { id: v7(), format: 'json', text, apply: false, state: '', ...own });
  const exported = async () => (await bench.app.inject({ url: '/api/library/file.json', headers: { host: '127.0.0.1' } })).body;

  it('goes out and comes back with nothing to take over', async () => {
    const reply = (await importing(await exported())).body as ImportReply;
    expect(reply.problems).toEqual([]);
    expect(new Set(reply.entries.map((e) => e.what))).toEqual(new Set(['same']));
  });

  it('says what it would change, changes it when asked, and only what differs', async () => {
    const file = JSON.parse(await exported()) as { drills: Drill[] };
    const text = JSON.stringify({
      ...file,
      drills: file.drills.map((d) => (d.id === 'plank' ? ours : d)).concat({ ...ours, id: 'our-new-plank' } as Drill),
    });
    const look = (await importing(text)).body as ImportReply;
    expect(look.entries.filter((e) => e.what !== 'same').map((e) => [e.id, e.what])).toEqual([
      ['plank', 'changed'],
      ['our-new-plank', 'new'],
    ]);
    expect((await library()).own).toEqual([]);
    expect(await importing(text, { apply: true, state: look.state })).toMatchObject({ status: 200, body: { applied: true } });
    expect((await library()).own.map((e) => e.id).sort()).toEqual(['our-new-plank', 'plank']);
  });

  it('changes nothing when a single entry is wrong, and nothing when the library changed meanwhile', async () => {
    const file = JSON.parse(await exported()) as { drills: Drill[] };
    const wrong = JSON.stringify({ ...file, drills: [ours, { ...ours, id: 'x', name: '' }] });
    const reply = (await importing(wrong, { apply: true })).body as ImportReply;
    expect(reply).toMatchObject({ applied: false, entries: [], problems: [{ field: '/drills/1/name' }] });
    const fine = JSON.stringify({ ...file, drills: [ours] });
    expect(await importing(fine, { apply: true, state: 'of yesterday' })).toMatchObject({
      status: 409,
      body: { code: 'edited-elsewhere' },
    });
    expect((await library()).own).toEqual([]);
  });

  it('comes as a table too', async () => {
    const csv = (await bench.app.inject({ url: '/api/library/drills.csv', headers: { host: '127.0.0.1' } })).body;
    const changed = csv.replace(/^plank,Plank,/m, 'plank,"Plank, by table",');
    const reply = (await importing(changed, { format: 'csv' })).body as ImportReply;
    expect(reply.entries.filter((e) => e.what !== 'same')).toEqual([
      { kind: 'drill', id: 'plank', name: 'Plank, by table', what: 'changed', changes: 1 },
    ]);
  });

  it('of fifty megabytes is refused before it is read', async () => {
    expect(await importing('x'.repeat(50 * 1024 * 1024))).toMatchObject({ status: 413, body: { code: 'body-too-large' } });
  });

  it('is described by a schema', async () => {
    const reply = await bench.app.inject({ url: '/api/library/schema.json', headers: { host: '127.0.0.1' } });
    // Published as it is; `npx vitest run server/src/library -u` writes it anew after a change of the contract.
    await expect(reply.body).toMatchFileSnapshot('../../../docs/library.schema.json');
    expect(reply.json()).toMatchObject({
      title: 'A library of drills, ladders, checks and faults',
      $defs: { DrillDto: { type: 'object' } },
    });
  });
});

describe('schools', () => {
  const save = (own: object, basedOn: string | null, revision = v7()) =>
    bench.put('/api/schools', {
      revision,
      basedOn,
      blade: 'set',
      progress: 'feel',
      rhythm: 'little daily',
      stretching: 'any time',
      ...own,
    });

  it('start from the defaults, are saved, and not over somebody else’s', async () => {
    expect(await bench.get('/api/schools')).toMatchObject({ body: { revision: null, schools: { blade: 'by drill' } } });
    const revision = v7();
    expect(await save({}, null, revision)).toMatchObject({ status: 200, body: { revision, schools: { blade: 'set', progress: 'feel' } } });
    expect(await save({ blade: 'follow' }, null)).toMatchObject({ status: 409, body: { code: 'edited-elsewhere' } });
    expect(await save({ blade: 'nowhere' }, revision)).toMatchObject({ status: 422 });
  });
});
