import type { ForecastReply } from '@myokinet/core/contracts';
import { addDays } from '@myokinet/core/quantities';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { answerScreening, checkFor, reachOpenGate, screeningDto, type TestBench, testBench, traineeDto } from '../testBench.ts';

let bench: TestBench;
let id: string;
beforeEach(async () => {
  bench = await testBench();
  const trainee = traineeDto();
  await bench.post('/api/trainees', trainee);
  id = trainee.id;
});
afterEach(() => bench.close());

const forecast = async () => ((await bench.get(`/api/trainees/${id}/forecast`)).body as unknown as ForecastReply).forecast;

it('says what has to happen first, how many checks are missing, and nothing of a gate that is open', async () => {
  expect(await forecast()).toMatchObject({ kind: 'blocked', blocked: expect.arrayContaining(['screening']) as unknown });
  await answerScreening(bench, `/api/trainees/${id}`, screeningDto(bench.now()));
  expect(await forecast()).toMatchObject({ kind: 'blocked', blocked: ['nobody-trains'] });
  await reachOpenGate(bench, id);
  expect(await forecast()).toBeUndefined();
});

it('figures that go stale are foreseen from their history, the same all day', async () => {
  await reachOpenGate(bench, id);
  for (const days of [60, 45, 30]) await bench.post(`/api/trainees/${id}/checks`, checkFor('wall', new Date(addDays(bench.now(), -days))));
  bench.passDays(25);
  const told = await forecast();
  if (told?.kind !== 'range') throw new Error(told?.kind);
  expect(told.early).toBeGreaterThanOrEqual(0);
  expect(told.median).toBeGreaterThanOrEqual(told.early);
  expect(told.deciding.map((d) => d.what)).toContain('waiting');
  expect(await forecast()).toEqual(told);
  expect((await bench.get('/api/trainees/nobody/forecast')).status).toBe(404);
});
