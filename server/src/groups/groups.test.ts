import type { GroupReply } from '@myokinet/core/contracts';
import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { type TestBench, testBench, traineeDto } from '../testBench.ts';

let bench: TestBench;
let ada: string;
beforeEach(async () => {
  bench = await testBench();
  const dto = traineeDto();
  ada = dto.id;
  await bench.post('/api/trainees', dto);
});
afterEach(() => bench.close());

const group = (own: object = {}) => ({
  ...{ revision: v7(), basedOn: null, name: 'Tuesday evening', place: 'hall', note: '', routineId: null },
  ...{ days: [{ weekday: 2, time: '18:30' }], memberIds: [ada] },
  ...own,
});
const at = (id: string) => `/api/groups/${id}`;
const all = async (): Promise<readonly GroupReply[]> => (await bench.get('/api/groups')).body;

describe('a group', () => {
  it('is saved, changed and taken off the list', async () => {
    const [id, first] = [v7(), group()];
    for (const _ of [1, 2]) expect((await bench.put(at(id), first)).status).toBe(200);
    expect(await all()).toMatchObject([{ id, name: 'Tuesday evening', days: [{ weekday: 2, time: '18:30' }], memberIds: [ada] }]);
    await bench.put(at(id), group({ basedOn: first.revision, memberIds: [] }));
    expect(await all()).toMatchObject([{ memberIds: [] }]);
    await bench.delete(at(id));
    expect(await all()).toEqual([]);
  });

  it('is not written over by who had an older one, nor brought back', async () => {
    const [id, first] = [v7(), group()];
    await bench.put(at(id), first);
    const theirs = group({ basedOn: first.revision, name: 'Theirs' });
    await bench.put(at(id), theirs);
    expect(await bench.put(at(id), group({ basedOn: first.revision }))).toMatchObject({ status: 409, body: { code: 'edited-elsewhere' } });
    await bench.delete(at(id));
    expect(await bench.put(at(id), group({ basedOn: theirs.revision }))).toMatchObject({ status: 404, body: { code: 'group-missing' } });
  });

  it.each([
    ['the same person twice', () => ({ memberIds: [ada, ada] }), 'The same person is in it twice.'],
    ['a day that is none', () => ({ days: [{ weekday: 8, time: '18:30' }] }), 'A weekday is a number from 1 (Monday) to 7 (Sunday).'],
    ['a time that is none', () => ({ days: [{ weekday: 1, time: '24:30' }] }), 'A time of day is written like 18:30.'],
    ['41 people', () => ({ memberIds: Array.from({ length: 41 }, () => v7()) }), 'At most 40 people fit one group.'],
  ])('is refused with %s, and says why', async (_, own, message) => {
    const { status, body } = await bench.put(at(v7()), group(own()));
    expect(status).toBe(422);
    expect(JSON.stringify(body)).toContain(message);
  });

  it('is refused with somebody or a routine that the studio has not got, and nothing is written', async () => {
    expect((await bench.put(at(v7()), group({ memberIds: [v7()] }))).body).toMatchObject({ code: 'trainee-missing' });
    expect((await bench.put(at(v7()), group({ routineId: v7() }))).body).toMatchObject({ code: 'routine-missing' });
    expect(await all()).toEqual([]);
  });

  it('keeps who is archived, and shows them no longer', async () => {
    const [id, first] = [v7(), group()];
    await bench.put(at(id), first);

    expect((await bench.post(`/api/trainees/${ada}/archived`, { id: v7(), archived: true })).status).toBeLessThan(300);
    expect(await all()).toMatchObject([{ memberIds: [] }]);
  });
});
