import type { OutcomesReply, TodayItem } from '@myokinet/core/contracts';
import { addDays } from '@myokinet/core/quantities';
import { v7 } from 'uuid';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { reachOpenGate, sessionDto, type TestBench, testBench, traineeDto } from '../testBench.ts';

let bench: TestBench;
let id: string;
let at: string;
let clearanceId: string;
beforeEach(async () => {
  bench = await testBench();
  const trainee = traineeDto();
  await bench.post('/api/trainees', trainee);
  id = trainee.id;
  at = `/api/trainees/${id}`;
  await reachOpenGate(bench, id);
  clearanceId = v7();
  const signed = await bench.post(`${at}/clearances`, { id: clearanceId, ladderId: 'push-up', rungId: 'wall', initials: 'AS' });
  expect(signed.status).toBe(201);
});
afterEach(() => bench.close());

const asked = async () => ((await bench.get('/api/today')).body as TodayItem[]).filter((t) => t.kind === 'outcome');
const tell = (own: object = {}) => bench.post(`${at}/outcomes`, { id: v7(), clearanceId, weeks: 2, outcome: 'well', ...own });
const reply = async () => (await bench.get('/api/outcomes')).body as unknown as OutcomesReply;

it('Today asks after two weeks, with what the record suggests, until somebody answers', async () => {
  expect(await asked()).toEqual([]);
  expect(await tell()).toMatchObject({ status: 409, body: { code: 'outcome-too-early' } });
  bench.passDays(15);
  expect(await asked()).toMatchObject([{ clearanceId, weeks: 2, suggested: { outcome: 'unknown', because: 'hardly trained' } }]);
  for (const days of [3, 6]) await bench.post(`${at}/sessions`, sessionDto(new Date(addDays(bench.now(), -days))));
  expect(await asked()).toMatchObject([{ suggested: { outcome: 'well', because: 'sessions', count: 2 } }]);
  expect((await tell()).status).toBe(201);
  expect(await asked()).toEqual([]);
  bench.passDays(30);
  expect(await asked()).toMatchObject([{ weeks: 6 }]);
});

it('a second answer puts the first right, the same one sent twice counts once', async () => {
  bench.passDays(15);
  const first = { id: v7(), outcome: 'well' };
  await tell(first);
  expect((await tell(first)).status).toBe(201);
  expect((await reply()).reliability.all).toMatchObject({ cleared: 1, flared: 0 });
  bench.passDays(1);
  await tell({ outcome: 'flared', note: 'elbow, told in passing' });
  const { reliability, answers } = await reply();
  expect(reliability.all).toMatchObject({ cleared: 1, flared: 1 });
  expect(reliability.byMargin).toHaveLength(1);
  expect(answers).toMatchObject([{ clearanceId, weeks: 2, outcome: 'flared', note: 'elbow, told in passing', rungName: 'At a wall' }]);
});

it('nobody tells of another’s clearance, and an answer goes with the trainee', async () => {
  bench.passDays(15);
  const other = traineeDto();
  await bench.post('/api/trainees', other);
  const foreign = await bench.post(`/api/trainees/${other.id}/outcomes`, { id: v7(), clearanceId, weeks: 2, outcome: 'well' });
  expect(foreign).toMatchObject({ status: 404, body: { code: 'fact-missing' } });
  await tell();
  expect(bench.db.prepare('SELECT count(*) FROM clearance_outcome').pluck().get()).toBe(1);
});
