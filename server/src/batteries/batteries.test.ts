import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { CheckReply, BatteryReply } from '@myokinet/core/contracts';
import { addDays, instant } from '@myokinet/core/quantities';
import { type TestBench, testBench, traineeDto } from '../testBench.ts';

let bench: TestBench;
let at: string;
beforeEach(async () => {
  bench = await testBench();
  const trainee = traineeDto();
  await bench.post('/api/trainees', trainee);
  at = `/api/trainees/${trainee.id}`;
});
afterEach(() => bench.close());

const cell = (ordinal: number, text: string, own: object = {}) => ({
  measureId: 'shoulder-flexion',
  side: 'left',
  ordinal,
  trialId: v7(),
  text,
  ...own,
});
const patch = (own: object = {}) => ({ id: v7(), startedAt: instant(bench.now()), scope: 'gate', note: '', cells: [], skips: [], ...own });
const put = async (body: object) => (await bench.put(`${at}/battery`, body)) as { status: number; body: { battery: BatteryReply } };
const battery = async () => ((await bench.get(`${at}/battery`)) as { body: { battery: BatteryReply | null } }).body.battery;

describe('a battery that is being taken', () => {
  it('is there on another device, figure by figure', async () => {
    expect(await battery()).toBeNull();
    const first = patch({ cells: [cell(0, '158'), cell(1, '16')] });
    await put(first);
    await put({ ...first, cells: [cell(1, '160')], skips: [{ measureId: 'grip', reason: 'no equipment' }] });
    expect(await battery()).toMatchObject({
      id: first.id,
      coach: 'Built-in coach',
      scope: 'gate',
      cells: [
        { ordinal: 0, text: '158' },
        { ordinal: 1, text: '160' },
      ],
      skips: [{ measureId: 'grip', reason: 'no equipment' }],
    });
    await put({ ...first, skips: [{ measureId: 'grip', reason: null }] });
    expect((await battery())?.skips).toEqual([]);
  });

  it('takes in what a second device brings, under the id that came first', async () => {
    const first = patch({ cells: [cell(0, '158')] });
    await put(first);
    const { body } = await put(patch({ cells: [cell(2, '162')] }));
    expect(body.battery.id).toBe(first.id);
    expect(body.battery.cells.map((c) => c.text)).toEqual(['158', '162']);
  });

  it('keeps the notes of both devices, and what it was begun for', async () => {
    await put(patch({ note: 'left is stiff', noteBefore: '' }));
    await put(patch({ note: 'slept badly', noteBefore: '', scope: 'all' }));
    expect(await battery()).toMatchObject({ note: 'left is stiff\nslept badly', scope: 'gate' });
    await put(patch({ note: 'slept badly', noteBefore: 'left is stiff\nslept badly' }));
    expect((await battery())?.note).toBe('slept badly');
  });

  it('keeps where a figure came from', async () => {
    const reading = { kind: 'instrument', instrument: 'Simulated inclinometer', simulated: true };
    await put(patch({ cells: [cell(0, '158', { reading })] }));
    expect((await battery())?.cells[0]?.reading).toEqual(reading);
  });

  it('ends when it becomes the check, with what was skipped; a late device is told', async () => {
    const mine = patch({ cells: [cell(0, '158')] });
    await put(mine);
    const trials = [{ id: v7(), measureId: 'shoulder-flexion', side: 'left', value: 158 }];
    const dto = { id: mine.id, takenAt: instant(new Date(addDays(bench.now(), -0.01))), note: '', trials };
    const skips = [{ measureId: 'grip', reason: 'pain' }];
    const { body } = (await bench.post(`${at}/checks`, { ...dto, skips })) as { body: CheckReply };
    expect(body.skips).toEqual(skips);
    expect(await battery()).toBeNull();
    expect(await put({ ...mine, cells: [cell(1, '160')] })).toMatchObject({ status: 409, body: { code: 'battery-finished' } });
    expect(await battery()).toBeNull();
    expect(((await bench.get(`${at}/checks`)) as { body: CheckReply[] }).body[0]?.skips).toEqual(skips);
  });

  it('is given up without a trace in the record', async () => {
    const mine = patch({ cells: [cell(0, '158')] });
    await put(mine);
    expect(await bench.delete(`${at}/battery/${mine.id}`)).toMatchObject({ status: 200, body: { battery: null } });
    expect(bench.db.prepare('SELECT count(*) FROM battery_cell').pluck().get()).toBe(0);
  });

  it('refuses a bad figure whole, and names it', async () => {
    expect(await put(patch({ cells: [cell(0, '158'), cell(1, 'x'.repeat(40))] }))).toMatchObject({
      status: 422,
      body: { fields: [{ field: '/cells/1/text', message: 'A figure must be at most 20 characters.' }] },
    });
    expect(await put(patch({ cells: [cell(0, '1', { side: 'whole' })] }))).toMatchObject({
      status: 422,
      body: { fields: [{ message: 'Shoulder flexion is taken for left or right, not "whole".' }] },
    });
    expect(await put(patch({ skips: [{ measureId: 'grip', reason: 'bored' }] }))).toMatchObject({ status: 422 });
    expect(await battery()).toBeNull();
  });
});
