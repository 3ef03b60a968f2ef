import { BUILT_IN_LIBRARY } from '@myokinet/core/catalogue';
import type { ForecastCalibrationReply, ForecastReply, ForecastsReply } from '@myokinet/core/contracts';
import { addDays } from '@myokinet/core/quantities';
import { v7 } from 'uuid';
import { afterEach, beforeEach, expect, it } from 'vitest';
import {
  answerScreening,
  checkFor,
  comfortably,
  PREPARES,
  reachOpenGate,
  screeningDto,
  sessionDto,
  type TestBench,
  testBench,
  traineeDto,
} from '../testBench.ts';

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

it('a goal of the brief is told by the forecast and by the time of the rungs between, and moves no gate', async () => {
  await reachOpenGate(bench, id);
  const before = (await bench.get(`/api/trainees/${id}/readiness`)).body as { gate: object };
  const goal = async (rungId: string, days: number) => {
    const { revision, ...brief } = (await bench.get(`/api/trainees/${id}/brief`)).body as { revision: string | null };
    const day = addDays(bench.now(), days).slice(0, 10);
    const saved = await bench.put(`/api/trainees/${id}/brief`, {
      ...brief,
      revision: v7(),
      basedOn: revision,
      goal: { name: 'Exam', day, rungId },
    });
    expect(saved.status).toBe(200);
    return ((await bench.get(`/api/trainees/${id}/forecast`)).body as unknown as ForecastReply).goal;
  };
  const { rungs } = BUILT_IN_LIBRARY.ladder('push-up');
  expect(await goal('wall', 3)).toMatchObject({ name: 'Exam', rungName: 'At a wall', outlook: { kind: 'on course', sure: true } });
  expect(await goal(rungs.at(-1)?.id ?? '', 7)).toMatchObject({ outlook: { kind: 'out of reach' } });
  expect(await goal(rungs.at(-1)?.id ?? '', 700)).toMatchObject({ outlook: { kind: 'on course', sure: false } });
  expect(await goal('nowhere', 7)).toMatchObject({ rungName: '', outlook: { kind: 'elsewhere' } });
  expect(((await bench.get(`/api/trainees/${id}/readiness`)).body as { gate: object }).gate).toEqual(before.gate);
});

it('everybody’s forecasts come as they are drawn, and anew after a write', async () => {
  const all = async () => (await bench.get('/api/forecasts')).body as unknown as ForecastsReply;
  const drawn = () => expect.poll(async () => (await all()).pending, { timeout: 5000 }).toBe(0);
  expect((await all()).pending).toBe(1);
  await drawn();
  expect((await all()).forecasts).toMatchObject([{ traineeId: id, forecast: { kind: 'blocked' } }]);
  await reachOpenGate(bench, id);
  expect((await all()).pending).toBe(1);
  await drawn();
  expect((await all()).forecasts).toEqual([]);
  const calibration = async () => (await bench.get('/api/forecasts/calibration')).body as unknown as ForecastCalibrationReply;
  await expect.poll(async () => (await calibration()).ready, { timeout: 5000 }).toBe(true);
  expect(await calibration()).toMatchObject({ replays: [], calibration: { judged: 0, widen: 1 } });
});

it('the studio’s past is replayed with what was known then', async () => {
  await answerScreening(bench, `/api/trainees/${id}`, screeningDto(bench.now()));
  for (let week = 0; week < 8; week++) {
    // The wrist is short at first and grows; all the rest is there from the start.
    await bench.post(
      `/api/trainees/${id}/checks`,
      checkFor('wall', bench.now(), (d) => (d.measureId === 'wrist-extension' ? 38 + 4 * week : comfortably(d))),
    );
    for (const days of [1, 3])
      await bench.post(`/api/trainees/${id}/sessions`, sessionDto(new Date(addDays(bench.now(), -days)), {}, [PREPARES]));
    bench.passDays(7);
  }
  const calibration = async () => (await bench.get('/api/forecasts/calibration')).body as unknown as ForecastCalibrationReply;
  await expect.poll(async () => (await calibration()).ready, { timeout: 20_000 }).toBe(true);
  const { replays } = await calibration();
  expect(replays.length).toBeGreaterThan(0);
  for (const r of replays) expect(r).toMatchObject({ traineeId: id, rungName: 'At a wall' });
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
