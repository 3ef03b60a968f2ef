import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { ReadinessReply, RecheckReply } from '@myokinet/core/contracts';
import { BUILT_IN_LIBRARY } from '@myokinet/core/catalogue';
import { addDays, calendarDay, instant } from '@myokinet/core/quantities';
import { type TestBench, testBench, traineeDto } from '../testBench.ts';

let bench: TestBench;
beforeEach(async () => {
  bench = await testBench();
});
afterEach(() => bench.close());

const rechecks = async () => ((await bench.get('/api/rechecks')) as { body: readonly RecheckReply[] }).body;

describe('the studio’s re-check calendar', () => {
  it('is empty before anything was checked', async () => {
    await bench.post('/api/trainees', traineeDto());
    expect(await rechecks()).toEqual([]);
  });

  it('has what the next gate asks for, on the day on which it falls due, and nothing else', async () => {
    const trainee = traineeDto();
    await bench.post('/api/trainees', trainee);
    const { headrooms } = ((await bench.get(`/api/trainees/${trainee.id}/readiness`)) as { body: ReadinessReply }).body;
    const [asked] = headrooms;
    if (!asked) throw new Error('The first gate asks for nothing.');
    const { measureId, side } = asked.demand;
    const takenAt = instant(new Date(addDays(bench.now(), -2)));
    const value = BUILT_IN_LIBRARY.measure(measureId).limits.max;
    const trials = [
      { id: v7(), measureId, side, value },
      // No demand of the first rung.
      { id: v7(), measureId: 'release-swing', side: 'left', value: 20 },
    ];
    const { status } = (await bench.post(`/api/trainees/${trainee.id}/checks`, { id: v7(), takenAt, note: '', trials })) as {
      status: number;
    };
    expect(status).toBe(201);
    const dueOn = calendarDay(addDays(takenAt, BUILT_IN_LIBRARY.measure(measureId).freshDays));
    expect(await rechecks()).toEqual([{ traineeId: trainee.id, name: trainee.name, measureIds: [measureId], dueOn, overdue: false }]);
  });
});
