import type { ImportReply, ReadinessReply, RecordReply, RoutineReply, WorkloadReply } from '@myokinet/core/contracts';
import { addDays } from '@myokinet/core/quantities';
import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { PREPARES, reachOpenGate, sessionDto, type TestBench, testBench, traineeDto } from '../testBench.ts';

let bench: TestBench;
beforeEach(async () => {
  bench = await testBench();
});
afterEach(() => bench.close());

const step = (drillId = 'wrist-circles') => ({ id: v7(), kind: 'drill', drillId, amount: 10, restSeconds: 0 });
const block = (own: object = {}) => ({ id: v7(), name: '', part: 'work', way: 'once', mirrored: false, steps: [step()], ...own });
const routine = (own: object = {}) => ({
  revision: v7(),
  name: 'Before a climb',
  purpose: 'preparation',
  note: '',
  blocks: [block()],
  ...own,
});
const at = (id: string) => `/api/routines/${id}`;
const all = async (): Promise<readonly RoutineReply[]> => (await bench.get('/api/routines')).body;

describe('a routine of the studio', () => {
  it('is saved, changed and taken off the list; the same write come twice counts once', async () => {
    const [id, first] = [v7(), routine()];
    for (const _ of [1, 2]) expect((await bench.put(at(id), first)).status).toBe(200);
    expect(await all()).toMatchObject([
      { id, revision: first.revision, name: 'Before a climb', blocks: [{ steps: [{ drillId: 'wrist-circles' }] }] },
    ]);
    const next = routine({ basedOn: first.revision, name: 'Before climbing' });
    await bench.put(at(id), next);
    expect(await all()).toMatchObject([{ revision: next.revision, name: 'Before climbing' }]);
    await bench.delete(at(id));
    expect(await all()).toEqual([]);
    expect((await bench.delete(at(id))).body).toMatchObject({ code: 'routine-missing' });
  });

  it('is not written over by who had an older one, nor brought back by who had it open', async () => {
    const [id, first] = [v7(), routine()];
    await bench.put(at(id), first);
    const theirs = routine({ basedOn: first.revision, name: 'Theirs' });
    await bench.put(at(id), theirs);
    expect(await bench.put(at(id), routine({ basedOn: first.revision, name: 'Mine' }))).toMatchObject({
      status: 409,
      body: { code: 'edited-elsewhere' },
    });
    expect(await all()).toMatchObject([{ name: 'Theirs' }]);
    await bench.delete(at(id));
    expect(await bench.put(at(id), routine({ basedOn: theirs.revision }))).toMatchObject({
      status: 404,
      body: { code: 'routine-missing' },
    });
  });

  it.each([
    ['0 rounds', { way: 'rounds', rounds: 0 }, 'Rounds must be a whole number from 1 to 20.'],
    ['500 rounds', { way: 'rounds', rounds: 500 }, 'Rounds must be a whole number from 1 to 20.'],
    ['a clock without minutes', { way: 'time' }, 'Minutes must be a whole number from 1 to 60.'],
    ['an unknown drill', { steps: [step('flying')] }, 'There is no drill called "flying".'],
    ['a pause for ever', { steps: [{ id: v7(), kind: 'pause', seconds: 100_000 }] }, 'A stretch must be a whole number from 1 to 600.'],
    ['41 steps', { steps: Array.from({ length: 41 }, () => step()) }, 'At most 40 steps fit one block.'],
  ])('is refused with %s, and says why', async (_, own, message) => {
    const { status, body } = await bench.put(at(v7()), routine({ blocks: [block(own)] }));
    expect(status).toBe(422);
    expect(JSON.stringify((body as { fields: object }).fields)).toContain(message.replaceAll('"', '\\"'));
    expect(await all()).toEqual([]);
  });
});

describe('a preparation', () => {
  let trainee: string;
  beforeEach(async () => {
    const dto = traineeDto({ equipment: ['wall', 'bench', 'bar'] });
    trainee = `/api/trainees/${dto.id}`;
    await bench.post('/api/trainees', dto);
  });
  const log = (days: number, own: object = {}) =>
    bench.post(`${trainee}/sessions`, {
      ...sessionDto(new Date(addDays(bench.now(), -days)), { effort: 3, minutes: 10, ...own }, [PREPARES]),
      preparation: 'Before a climb',
    });

  it('is on record and in the load, and no session: it shows nothing and opens nothing', async () => {
    expect((await log(2)).status).toBe(201);
    const { sessions } = (await bench.get(`${trainee}/record`)).body as RecordReply;
    expect(sessions).toMatchObject([{ preparation: 'Before a climb', clean: false, finding: { code: 'preparation' } }]);
    expect(((await bench.get(`${trainee}/workload`)).body as WorkloadReply).sessions).toHaveLength(1);
    const { planner } = (await bench.get(`${trainee}/readiness`)).body as ReadinessReply;
    expect(planner.shown.sets).toEqual({});
    expect(planner.weeksIn).toBe(0);
  });

  it('neither opens a gate that sessions would open, nor shuts one that is open', async () => {
    const openOf = async (url: string) => ((await bench.get(`${url}/readiness`)).body as ReadinessReply).gate?.open;
    await reachOpenGate(bench, trainee.split('/')[3] ?? '');
    expect(await openOf(trainee)).toBe(true);
    await log(0.2);
    expect(await openOf(trainee)).toBe(true);
  });

  it('stays one when it is corrected', async () => {
    const { body } = await log(1);
    const { id: replaces } = body as { id: string };
    const session = sessionDto(new Date(addDays(bench.now(), -1)), { effort: 4, minutes: 12 }, [PREPARES]);
    const reason = 'two sets more';
    const corrected = await bench.post(`${trainee}/session-corrections`, { replaces, reason, session });
    expect(corrected.status).toBe(201);
    const { sessions } = (await bench.get(`${trainee}/record`)).body as RecordReply;
    expect(sessions).toMatchObject([{ preparation: 'Before a climb', clean: false, finding: { code: 'preparation' } }]);
  });

  it.each([{ effort: 9 }, { minutes: 45 }])('of %j counts as a session that is not clean: nothing hard hides in it', async (own) => {
    await reachOpenGate(bench, trainee.split('/')[3] ?? '');
    await log(0.2, own);
    expect(((await bench.get(`${trainee}/readiness`)).body as ReadinessReply).gate?.open).toBe(false);
  });
});

describe('routines in the library file', () => {
  const take = async (text: string) => {
    const look = (await bench.post('/api/library/imports', { id: v7(), format: 'json', text, apply: false, state: '' }))
      .body as ImportReply;
    if (look.problems.length > 0) return look;
    return (await bench.post('/api/library/imports', { id: v7(), format: 'json', text, apply: true, state: look.state }))
      .body as ImportReply;
  };
  const fileOf = async () => (await bench.get('/api/library/file.json')).body as { routines?: { id: string; name: string }[] };

  it('go out with it and come back the same, or as the next revision where they differ', async () => {
    const id = v7();
    await bench.put(at(id), routine());
    const file = await fileOf();
    expect(file.routines).toMatchObject([{ id, name: 'Before a climb', purpose: 'preparation' }]);
    expect(await take(JSON.stringify(file))).toMatchObject({ routines: 0, applied: true });
    const other = {
      ...file,
      routines: [
        { ...file.routines?.[0], name: 'Before climbing' },
        { ...file.routines?.[0], id: v7() },
      ],
    };
    expect(await take(JSON.stringify(other))).toMatchObject({ routines: 2, applied: true });
    expect((await all()).map((r) => r.name)).toEqual(['Before a climb', 'Before climbing']);
    // Where it was taken off the list, the file brings it back.
    await bench.delete(at(id));
    await take(JSON.stringify(file));
    expect((await all()).map((r) => r.id)).toContain(id);
  });

  it.each([
    [
      'a drill that the library has not got',
      { blocks: [block({ steps: [step('flying')] })] },
      'Routine “One”: There is no drill called "flying".',
    ],
    ['0 rounds', { blocks: [block({ way: 'rounds', rounds: 0 })] }, 'Routine “One”: Rounds must be a whole number from 1 to 20.'],
  ])('are refused with %s, and nothing of the file is taken', async (_, own, message) => {
    const file = await fileOf();
    const { problems } = await take(
      JSON.stringify({ ...file, routines: [{ id: v7(), name: 'One', purpose: 'session', note: '', ...own }] }),
    );
    expect(JSON.stringify(problems)).toContain(JSON.stringify(message).slice(1, -1));
    expect(await all()).toEqual([]);
  });
});
