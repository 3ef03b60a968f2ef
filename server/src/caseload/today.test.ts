import type { TodayItem } from '@myokinet/core/contracts';
import { calendarDay } from '@myokinet/core/quantities';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { screeningDto, type TestBench, testBench, traineeDto } from '../testBench.ts';

let bench: TestBench;
const trainee = traineeDto();
beforeAll(async () => {
  bench = await testBench();
  await bench.post('/api/trainees', trainee);
  await bench.post(`/api/trainees/${trainee.id}/screenings`, screeningDto(bench.now()));
});
afterAll(() => bench.close());

const sessions = async () => ((await bench.get('/api/today')).body as TodayItem[]).filter((i) => i.kind === 'session');
const item = (drillId: string) => ({
  id: v7(),
  drillId,
  sets: 2,
  min: 8,
  max: 10,
  restSeconds: 30,
  why: 'Asked for.',
  without: 'Nothing.',
});

it('today’s session says what it is for, and a document that cannot be read stops nothing', async () => {
  const day = calendarDay(bench.now());
  const plan = {
    ...{ id: v7(), weekStart: '2026-11-23', revision: v7(), basedOn: null, notes: [], leftOut: [] },
    sessions: [
      { id: v7(), day, place: 'gym', form: 'sets', items: ['wrist-circles', 'tabletop-scapular-push-up', 'hands-open'].map(item) },
    ],
  };
  const put = await bench.put(`/api/trainees/${trainee.id}/plans/2026-11-23`, plan);
  expect([put.status, put.status === 200 ? '' : put.body]).toEqual([200, '']);
  expect(await sessions()).toMatchObject([{ traineeId: trainee.id, mainDrillId: 'tabletop-scapular-push-up' }]);
  // Revisions are facts: a bad one can only come from outside.
  const guards = bench.db.prepare<[], { name: string; sql: string }>("SELECT name, sql FROM sqlite_schema WHERE type = 'trigger'").all();
  for (const { name } of guards) bench.db.exec(`DROP TRIGGER "${name}"`);
  for (const document of [
    '{"sessions":[{"day":"DAY","items":{"a":1}}]}',
    '{"sessions":[{"day":"DAY"}]}',
    '{"sessions":[{"day":"DAY","items":[null,7,{}]}]}',
    '{}',
  ]) {
    bench.db.prepare('UPDATE plan_revision SET document = ?').run(document.replace('DAY', day));
    expect(await sessions()).toMatchObject([{ traineeId: trainee.id }]);
  }
});
