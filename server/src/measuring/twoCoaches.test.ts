import type { CheckReply, MeasuringReply } from '@myokinet/core/contracts';
import { addDays, instant } from '@myokinet/core/quantities';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { type Device, foundStudio, type HouseBench, houseBench, invited } from '../studios/houseBench.ts';
import { traineeDto } from '../testBench.ts';

const MEASURE = 'shoulder-flexion';

let bench: HouseBench;
let steady: Device;
let shaky: Device;
let crew: readonly string[];
beforeAll(async () => {
  bench = await houseBench();
  steady = await foundStudio(bench);
  shaky = await invited(bench, steady, 'coach', 'bo.wren');
  const trainees = [traineeDto(), traineeDto(), traineeDto()];
  for (const trainee of trainees) await steady.post('/api/trainees', trainee);
  crew = trainees.map((t) => t.id);
});
afterAll(() => bench.close());

/** A coach's own test: two visits that differ by so many degrees, up and down. */
const testOf = (differsBy: number) => ({
  ...{ id: v7(), takenAt: instant(new Date(addDays(bench.now(), -1))), measureId: MEASURE, kind: 'one coach', otherCoach: '' },
  repeated: crew.flatMap((traineeId, i) =>
    (['left', 'right'] as const).map((side, j) => {
      const first = [150 + 3 * i + 2 * j, 151 + 3 * i + 2 * j];
      return { traineeId, side, measureId: MEASURE, first, second: first.map((v) => v + (i + j) * differsBy) };
    }),
  ),
});

const checkOf = () => ({
  ...{ id: v7(), takenAt: instant(bench.now()), note: '' },
  trials: [158, 160, 159].map((value) => ({ id: v7(), measureId: MEASURE, side: 'left', value })),
});

it('a coach who corrects another’s trial lends it no error of their own, and nobody inherits the other’s', async () => {
  await steady.post('/api/repeatability-tests', testOf(0.5));
  await shaky.post('/api/repeatability-tests', testOf(9));
  const own = async (coach: Device) => ((await coach.get('/api/measuring')).body as MeasuringReply).ownErrors[MEASURE]?.occasion?.sem ?? 0;
  expect(await own(shaky)).toBeGreaterThan(4 * (await own(steady)));

  const at = `/api/trainees/${crew[0]}`;
  const check = checkOf();
  const taken = (await steady.post(`${at}/checks`, check)).body as CheckReply;
  const [before] = taken.capacities;
  const trial = check.trials[0];
  const corrected = (
    await shaky.post(`${at}/trial-corrections`, {
      id: v7(),
      replaces: trial?.id,
      measureId: MEASURE,
      value: trial?.value,
      reason: 'read again, the same',
    })
  ).body as CheckReply;
  expect(corrected.capacities[0]).toEqual(before);
  expect(corrected.coach).toBe('Ada Finch');

  const byTheOther = (await shaky.post(`/api/trainees/${crew[1]}/checks`, checkOf())).body as CheckReply;
  expect(byTheOther.capacities[0]?.band).toBeGreaterThan(2 * (before?.band ?? Infinity));
});
