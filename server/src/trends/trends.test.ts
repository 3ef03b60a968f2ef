import type { StudioTrendsReply } from '@myokinet/core/contracts';
import { addDays } from '@myokinet/core/quantities';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { checkFor, sessionDto, symptomDto, type TestBench, testBench, traineeDto } from '../testBench.ts';

let bench: TestBench;
beforeEach(async () => {
  bench = await testBench();
});
afterEach(() => bench.close());

const trends = async () => (await bench.get('/api/trends')).body as unknown as StudioTrendsReply;

it('of a new studio there is nothing to say', async () => {
  expect(await trends()).toMatchObject({ people: 0, stalls: [], rungs: [], demands: [], drills: [] });
});

it('who stands long, before what, short of what, and beside which drills something loud was felt', async () => {
  const trainee = traineeDto({ name: 'Ada' });
  await bench.post('/api/trainees', trainee);
  const at = `/api/trainees/${trainee.id}`;
  bench.passDays(70);
  await bench.post(
    `${at}/checks`,
    checkFor('wall', bench.now(), () => 1),
  );
  for (const days of [2, 9]) {
    const session = sessionDto(new Date(addDays(bench.now(), -days)));
    await bench.post(`${at}/sessions`, session);
    await bench.post(`${at}/symptoms`, symptomDto(new Date(addDays(bench.now(), -days)), { sessionId: session.id, intensity: 5 }));
  }
  const told = await trends();
  expect(told.stalls).toMatchObject([
    { name: 'Ada', weeks: 10, rungId: 'wall', reasons: expect.arrayContaining(['not-trained', 'not-recovered', 'short']) as unknown },
  ]);
  expect(told.rungs).toMatchObject([{ rungId: 'wall', people: [{ name: 'Ada' }] }]);
  expect(told.demands[0]).toMatchObject({ count: { short: 1 }, short: [{ name: 'Ada' }] });
  expect(told.drills).toMatchObject([{ drillId: 'plank', loud: 2, sessions: 2, people: [{ name: 'Ada' }] }]);
});
