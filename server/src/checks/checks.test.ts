import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { BUILT_IN_LIBRARY } from '@myokinet/core/catalogue';
import { substituteFigure } from '@myokinet/core/checking';
import { traineeBody } from '@myokinet/core/statics';
import type { CheckReply } from '@myokinet/core/contracts';
import { addDays, instant } from '@myokinet/core/quantities';
import { checkFor, type TestBench, testBench, traineeDto } from '../testBench.ts';

let bench: TestBench;
let at: string;
beforeEach(async () => {
  bench = await testBench();
  const trainee = traineeDto();
  await bench.post('/api/trainees', trainee);
  at = `/api/trainees/${trainee.id}`;
});
afterEach(() => bench.close());

const rows = (table: string) => bench.db.prepare(`SELECT count(*) FROM ${table}`).pluck().get();
const trial = (value: number) => ({ id: v7(), measureId: 'shoulder-flexion', side: 'left' as const, value });
const check = (daysAgo: number, ...values: number[]) => ({
  id: v7(),
  takenAt: instant(new Date(addDays(bench.now(), -daysAgo))),
  note: '',
  trials: values.map(trial),
});

describe('a check', () => {
  it('turns its trials into a capacity with an error band', async () => {
    const reply = (await bench.post(`${at}/checks`, check(1, 158, 160, 162))) as { status: number; body: CheckReply };
    expect(reply.status).toBe(201);
    expect(reply.body.coach).toBe('Built-in coach');
    expect(reply.body.trials.map((t) => t.value)).toEqual([158, 160, 162]);
    const [capacity] = reply.body.capacities;
    expect(capacity).toMatchObject({ measureId: 'shoulder-flexion', side: 'left', value: 160, trials: 3 });
    expect(capacity?.band).toBeCloseTo(5.21118, 4);
  });

  it('is written once, however often it is sent', async () => {
    const dto = check(1, 158, 160, 162);
    for (let i = 0; i < 3; i++) expect((await bench.post(`${at}/checks`, dto)).status).toBe(201);
    expect([rows('check_occasion'), rows('trial'), rows('capacity')]).toEqual([1, 3, 1]);
  });

  it('with one bad trial in the middle is not half-written', async () => {
    expect(await bench.post(`${at}/checks`, check(1, 158, 400, 162))).toMatchObject({
      status: 422,
      body: {
        code: 'contract-broken',
        fields: [{ field: '/trials/1/value', message: 'Shoulder flexion: 400° is above the limit of 200°.' }],
      },
    });
    expect([rows('check_occasion'), rows('trial'), rows('accepted_write')]).toEqual([0, 0, 1]);
  });

  it('that trips over the database is not half-written either', async () => {
    const dto = check(1, 158, 160);
    await bench.post(`${at}/checks`, dto);
    const second = { ...check(1, 170, 171), trials: [trial(170), { ...trial(171), id: dto.trials[0]?.id }] };
    expect(await bench.post(`${at}/checks`, second)).toMatchObject({ status: 409, body: { code: 'id-reused' } });
    expect([rows('check_occasion'), rows('trial')]).toEqual([1, 2]);
  });

  it('off a picture that an earlier check was read off is refused, and the earlier one named', async () => {
    const source = 'ab'.repeat(32);
    const reading = { kind: 'picture', instrument: 'Picture', simulated: false, standardError: 2, source };
    const read = (daysAgo: number) => ({ ...check(daysAgo), trials: [{ ...trial(170), reading }] });
    const first = read(40);
    expect((await bench.post(`${at}/checks`, first)).status).toBe(201);
    expect((await bench.post(`${at}/checks`, first)).status).toBe(201);
    expect(await bench.post(`${at}/checks`, read(1))).toMatchObject({
      status: 409,
      body: { code: 'source-used-before', detail: expect.stringContaining(first.takenAt.slice(0, 10)) as string },
    });
    expect(rows('check_occasion')).toBe(1);
    const twice = { ...check(0.5), trials: [170, 171].map((v) => ({ ...trial(v), reading: { ...reading, source: 'cd'.repeat(32) } })) };
    const reply = (await bench.post(`${at}/checks`, twice)) as { status: number; body: CheckReply };
    expect(reply.body.capacities[0]).toMatchObject({ value: 170.5, trials: 1 });
  });

  it('by a held set-up counts when it is what that set-up puts on the trainee, and only then', async () => {
    const setUp = { position: 'wall-push', distanceM: 0.9 } as const;
    const { value, standardError } = substituteFigure(BUILT_IN_LIBRARY.measure('hand-load-push'), traineeBody(traineeDto()), setUp);
    const held = (own: object, figure = value) => ({
      ...check(1),
      trials: [
        {
          ...trial(figure),
          measureId: 'hand-load-push',
          side: 'whole',
          reading: { kind: 'set-up', instrument: 'Known set-up held', simulated: false, standardError, setUp, heldSeconds: 12, ...own },
        },
      ],
    });
    for (const [wrong, says] of [
      [held({}, value + 20), 'another load'],
      [held({ heldSeconds: 4 }), '10 seconds'],
      [held({ setUp: { position: 'free-hang' } }), 'no such set-up'],
      [held({ setUp: undefined }), 'no such set-up'],
    ] as const)
      expect(await bench.post(`${at}/checks`, wrong)).toMatchObject({
        status: 422,
        body: { code: 'substitute-refused', detail: expect.stringContaining(says) as string },
      });
    expect(rows('check_occasion')).toBe(0);
    const reply = (await bench.post(`${at}/checks`, held({}))) as { status: number; body: CheckReply };
    expect(reply.status).toBe(201);
    expect(reply.body.capacities[0]).toMatchObject({ measureId: 'hand-load-push', value });
    expect(reply.body.capacities[0]?.provisional).toBeFalsy();
    const mistyped = { id: v7(), replaces: reply.body.trials[0]?.id, measureId: 'hand-load-push', value: 90, reason: 'typed wrong' };
    expect(await bench.post(`${at}/trial-corrections`, mistyped)).toMatchObject({ status: 422, body: { code: 'substitute-refused' } });
  });

  it('entered late takes its place in history and does not become current', async () => {
    await bench.post(`${at}/checks`, check(2, 160, 160, 160));
    await bench.post(`${at}/checks`, check(20, 150, 150, 150));
    const current = bench.db.prepare('SELECT value, is_current FROM capacity ORDER BY taken_at').all();
    expect(current).toEqual([
      { value: 150, is_current: 0 },
      { value: 160, is_current: 1 },
    ]);
  });

  it('sends the newest occasions first', async () => {
    await bench.post(`${at}/checks`, check(9, 150));
    await bench.post(`${at}/checks`, check(2, 160));
    const history = (await bench.get(`${at}/checks`)) as { body: readonly CheckReply[] };
    expect(history.body.map((c) => c.trials[0]?.value)).toEqual([160, 150]);
  });
});

describe('a correction', () => {
  it('stands beside what it replaces, and the capacity is worked out again', async () => {
    const dto = check(1, 158, 60, 162);
    await bench.post(`${at}/checks`, dto);
    const correction = { id: v7(), replaces: dto.trials[1]?.id, measureId: 'shoulder-flexion', value: 160, reason: 'mistyped' };
    const { body } = (await bench.post(`${at}/trial-corrections`, correction)) as { body: CheckReply };
    expect(body.trials).toHaveLength(4);
    expect(body.trials.find((t) => t.value === 60)?.replacedBy).toBe(correction.id);
    expect(body.trials.find((t) => t.id === correction.id)).toMatchObject({ value: 160, reason: 'mistyped' });
    expect(body.capacities[0]).toMatchObject({ value: 160, trials: 3 });
  });

  it('of a simulated figure stays simulated, and of a picture keeps its error', async () => {
    const simulated = { kind: 'instrument', instrument: 'Simulated inclinometer', simulated: true };
    const picture = { kind: 'picture', instrument: 'Picture', simulated: false, standardError: 6 };
    for (const [reading, days] of [
      [simulated, 1],
      [picture, 0.5],
    ] as const) {
      const dto = check(days, 158);
      await bench.post(`${at}/checks`, { ...dto, trials: dto.trials.map((t) => ({ ...t, reading })) });
      const before = ((await bench.get(`${at}/checks`)) as { body: CheckReply[] }).body[0]?.capacities[0];
      const correction = { id: v7(), replaces: dto.trials[0]?.id, measureId: 'shoulder-flexion', value: 160, reason: 'mistyped' };
      const { body } = (await bench.post(`${at}/trial-corrections`, correction)) as { body: CheckReply };
      expect(body.trials.find((t) => t.id === correction.id)?.reading).toMatchObject(reading);
      expect(body.capacities[0]).toMatchObject({ value: 160, provisional: before?.provisional, band: before?.band });
    }
  });

  it('of a corrected trial is refused, and of a trial of somebody else', async () => {
    const dto = check(1, 158);
    await bench.post(`${at}/checks`, dto);
    const correct = (traineeAt: string) =>
      bench.post(`${traineeAt}/trial-corrections`, {
        id: v7(),
        replaces: dto.trials[0]?.id,
        measureId: 'shoulder-flexion',
        value: 160,
        reason: 'mistyped',
      });
    const other = traineeDto();
    await bench.post('/api/trainees', other);
    expect(await correct(`/api/trainees/${other.id}`)).toMatchObject({ status: 404, body: { code: 'trial-missing' } });
    expect((await correct(at)).status).toBe(201);
    expect(await correct(at)).toMatchObject({ status: 409, body: { code: 'edited-elsewhere' } });
  });
});

it('takes a whole battery', async () => {
  const reply = (await bench.post(`${at}/checks`, checkFor('floor', bench.now()))) as { body: CheckReply };
  expect(reply.body.capacities.length).toBeGreaterThanOrEqual(9);
});
