import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { CheckReply, MeasuringReply, ProblemReply, ReadinessReply, ReadingDto } from '@myokinet/core/contracts';
import { addDays, instant } from '@myokinet/core/quantities';
import { checkFor, reachOpenGate, type TestBench, testBench, traineeDto } from '../testBench.ts';

let bench: TestBench;
beforeEach(async () => {
  bench = await testBench();
});
afterEach(() => bench.close());

const newTrainee = async () => {
  const trainee = traineeDto();
  await bench.post('/api/trainees', trainee);
  return trainee.id;
};

const check = (daysAgo: number, values: readonly number[], reading?: Partial<ReadingDto>) => ({
  id: v7(),
  takenAt: instant(new Date(addDays(bench.now(), -daysAgo))),
  note: '',
  trials: values.map((value) => ({
    id: v7(),
    measureId: 'shoulder-flexion',
    side: 'left' as const,
    value,
    ...(reading ? { reading: { kind: 'instrument', instrument: 'Inclinometer', simulated: false, ...reading } } : {}),
  })),
});
const measuring = async () => (await bench.get('/api/measuring')) as { body: MeasuringReply };
const take = async (id: string, body: object) =>
  (await bench.post(`/api/trainees/${id}/checks`, body)) as { status: number; body: CheckReply };

describe('the coach’s own measuring error', () => {
  it('replaces the default once three trainees have given twenty degrees of freedom, and only for later checks', async () => {
    const crew = [await newTrainee(), await newTrainee(), await newTrainee()];
    const first = await take(crew[0]!, check(30, [159, 160, 161]));
    expect(first.body.capacities[0]?.errorBasis).toBe('default');
    for (let day = 29; day > 19; day--) await take(crew[day % 3]!, check(day, [159, 160, 161]));
    expect((await measuring()).body.ownErrors['shoulder-flexion']).toMatchObject({
      within: { sd: 1, degreesOfFreedom: 22 },
      source: 'own trials',
      from: { sets: 11, trainees: 3 },
    });
    const later = await take(crew[0]!, check(2, [159, 160, 161]));
    expect(later.body.capacities[0]?.errorBasis).toBe('own trials');
    // Narrower for it, but by no more than what repeated trials of single visits can tell.
    expect(later.body.capacities[0]?.band).toBeLessThan(first.body.capacities[0]!.band);
    expect(later.body.capacities[0]?.standardError).toBeGreaterThan(3);
    // An occasion entered late knows only what came before it.
    expect((await take(crew[0]!, check(29.5, [159, 160, 161]))).body.capacities[0]?.errorBasis).toBe('default');
  });

  it('is not fed by stand-ins', async () => {
    const crew = [await newTrainee(), await newTrainee(), await newTrainee()];
    for (let day = 20; day > 5; day--) await take(crew[day % 3]!, check(day, [159, 160, 161], { simulated: true }));
    expect((await measuring()).body.ownErrors).toEqual({});
  });
});

describe('a repeatability test', () => {
  const test = (ids: readonly string[], second = (v: number) => v + 2, own: object = {}) => ({
    id: v7(),
    takenAt: instant(new Date(addDays(bench.now(), -1))),
    measureId: 'shoulder-flexion',
    kind: 'one coach',
    otherCoach: '',
    repeated: ids.flatMap((traineeId, i) =>
      (['left', 'right'] as const).map((side, j) => {
        const first = [150 + 9 * i + 4 * j, 151 + 9 * i + 4 * j];
        return { traineeId, side, measureId: 'shoulder-flexion', first, second: first.map(second) };
      }),
    ),
    ...own,
  });

  it('is told with SEM, MDC95 and both coefficients, and becomes the coach’s error', async () => {
    const crew = [await newTrainee(), await newTrainee(), await newTrainee()];
    const { status, body } = (await bench.post('/api/repeatability-tests', test(crew))) as { status: number; body: MeasuringReply };
    expect(status).toBe(201);
    const [told] = body.tests;
    expect(told?.coach).toBe('Built-in coach');
    expect(told?.result).toMatchObject({ targets: 6, occasions: 2, trials: 2 });
    // Everybody 2° more the second time: consistent, but √2° off between occasions.
    expect(told?.result.sem).toBeCloseTo(Math.SQRT2, 6);
    expect(told?.result.mdc95).toBeCloseTo(1.96 * 2, 2);
    expect(told?.result.icc31.value).toBeCloseTo(1, 9);
    expect(told?.result.icc21.value).toBeLessThan(1);
    expect(body.ownErrors['shoulder-flexion']).toMatchObject({
      source: 'own test',
      occasion: { sem: expect.closeTo(Math.SQRT2, 6) as number, trials: 2, degreesOfFreedom: 5 },
    });
  });

  it('of two coaches is told, and is nobody’s own error', async () => {
    const crew = [await newTrainee(), await newTrainee(), await newTrainee()];
    const { body } = (await bench.post(
      '/api/repeatability-tests',
      test(crew, undefined, { kind: 'two coaches', otherCoach: 'Second coach' }),
    )) as {
      body: MeasuringReply;
    };
    expect(body.tests[0]).toMatchObject({ kind: 'two coaches', otherCoach: 'Second coach' });
    expect(body.ownErrors).toEqual({});
  });

  it('is written once, and refused whole where something is wrong', async () => {
    const crew = [await newTrainee(), await newTrainee(), await newTrainee()];
    const dto = test(crew);
    await bench.post('/api/repeatability-tests', dto);
    await bench.post('/api/repeatability-tests', dto);
    expect((await measuring()).body.tests).toHaveLength(1);
    const beyond = (await bench.post(
      '/api/repeatability-tests',
      test(crew, (v) => v + 400),
    )) as { status: number; body: ProblemReply };
    expect(beyond.status).toBe(422);
    expect(beyond.body.fields?.[0]?.message).toBe('Shoulder flexion: 550° is above the limit of 200°.');
    expect(beyond.body.fields?.[0]?.field).toBe('/repeated/0/second');
    expect((await bench.post('/api/repeatability-tests', test(crew.slice(0, 1)))).status).toBe(422);
    expect(await bench.post('/api/repeatability-tests', test([...crew.slice(0, 2), v7()]))).toMatchObject({
      status: 404,
      body: { code: 'trainee-missing' },
    });
    expect(await bench.post('/api/repeatability-tests', test(crew, undefined, { measureId: 'grip' }))).toMatchObject({
      status: 422,
      body: { code: 'measure-mismatch' },
    });
    expect((await measuring()).body.tests).toHaveLength(1);
  });
});

describe('what a reading is worth', () => {
  const points = (placedBy: string) => ['hip', 'shoulder', 'elbow'].map((id, i) => ({ id, x: 100 * i, y: 50, placedBy }));

  it('a picture brings its own error, which widens the band', async () => {
    const id = await newTrainee();
    const picture = { kind: 'picture', instrument: 'Photo', standardError: 6, points: points('coach') } as const;
    const { body } = await take(id, check(1, [160], picture as never));
    expect(body.capacities[0]).toMatchObject({
      standardError: expect.closeTo(Math.hypot(1.5, 3, 6), 6) as number,
      errorBasis: 'default, reading',
    });
    expect(body.trials[0]?.reading).toMatchObject({ kind: 'picture', points: points('coach') });
  });

  it.each([
    ['a simulated instrument', { simulated: true }, 'simulated'],
    ['suggested points', { kind: 'picture', points: points('suggested') }, 'suggested'],
  ])('%s opens no gate', async (_, reading, verdict) => {
    const id = await newTrainee();
    await reachOpenGate(bench, id);
    const gate = async () => ((await bench.get(`/api/trainees/${id}/readiness`)) as { body: ReadinessReply }).body.gate;
    expect((await gate())?.open).toBe(true);
    const again = checkFor('wall', new Date(addDays(bench.now(), -0.1)));
    const origin = { kind: 'instrument', instrument: 'Stand-in', simulated: false, ...reading };
    const [first, ...rest] = again.trials;
    await take(id, { ...again, trials: [{ ...first, reading: origin }, ...rest] });
    const closed = await gate();
    expect(closed?.open).toBe(false);
    expect(JSON.stringify(closed?.unmet)).toContain(verdict);
  });

  it('a confirmed suggestion counts', async () => {
    const id = await newTrainee();
    const { body } = await take(id, check(1, [160], { kind: 'picture', points: points('confirmed') } as never));
    expect(body.capacities[0]?.provisional ?? undefined).toBeUndefined();
  });

  it('a correction of the count stays on record', async () => {
    const id = await newTrainee();
    const trace = { seconds: 21.4, rate: 100, counted: 9, corrections: [{ what: 'leave out', at: 12.31 }] };
    const reading = { kind: 'trace', instrument: 'Inclinometer', simulated: false, trace };
    const trial = { id: v7(), measureId: 'scapular-push-ups', side: 'whole', value: 8, reading };
    const { body } = await take(id, { id: v7(), takenAt: instant(bench.now()), note: '', trials: [trial] });
    expect(body.trials[0]?.reading?.trace).toEqual(trace);
  });

  it('nonsense is refused with its field', async () => {
    const id = await newTrainee();
    expect(await take(id, check(1, [160], { standardError: 900 }))).toMatchObject({
      status: 422,
      body: { fields: [{ field: '/trials/0/reading/standardError' }] },
    });
    expect(await take(id, check(1, [160], { instrument: '' }))).toMatchObject({ status: 422 });
  });
});
