import type { BandReply, CalibrationReply, TraineeReply } from '@myokinet/core/contracts';
import { addDays, instant } from '@myokinet/core/quantities';
import { handLoad, type SetUp, traineeBody } from '@myokinet/core/statics';
import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { type TestBench, testBench, traineeDto } from '../testBench.ts';

let bench: TestBench;
let at: string;
const dto = traineeDto();
const body = traineeBody(dto);
beforeEach(async () => {
  bench = await testBench();
  await bench.post('/api/trainees', dto);
  at = `/api/trainees/${dto.id}`;
});
afterEach(() => bench.close());

/** A reading under the feet that differs from what the model expects by so many kilograms. */
function reading(setUp: SetUp, off = 0, own: object = {}) {
  return {
    id: v7(),
    takenAt: instant(addDays(bench.now(), -1)),
    setUp,
    under: 'feet',
    kg: Math.round((dto.mass - handLoad(body, setUp).verticalKg + off) * 10) / 10,
    massKg: dto.mass,
    insisted: false,
    note: '',
    ...own,
  };
}

const calibration = async () => (await bench.get(`${at}/calibration`)).body as CalibrationReply;
const trainee = async () => (await bench.get(at)).body as TraineeReply;

describe('readings of a scale', () => {
  it('teach the model of the trainee, and shrink its band', async () => {
    expect(await trainee()).not.toHaveProperty('belief');
    for (const setUp of [{ position: 'push-up' }, { position: 'push-up', handHeightM: 0.3 }] as const)
      expect((await bench.post(`${at}/scale-readings`, reading(setUp, 1))).status).toBe(201);
    const known = traineeBody(await trainee());
    expect(known.belief?.readings).toBe(2);
    const width = (b: typeof body) => {
      const { low, high } = handLoad(b, { position: 'push-up', handHeightM: 0.45 }).band;
      return high - low;
    };
    expect(width(known)).toBeLessThan(0.85 * width(body));
    expect((await bench.get('/api/trainees')).body).toMatchObject([{ belief: { readings: 2 } }]);
  });

  it('that contradict the model are kept, questioned, and teach nothing until the coach insists', async () => {
    const wild = reading({ position: 'push-up' }, -15);
    await bench.post(`${at}/scale-readings`, wild);
    expect((await calibration()).readings).toMatchObject([{ id: wild.id, judged: { state: 'questioned' } }]);
    expect(await trainee()).not.toHaveProperty('belief');
    await bench.post(`${at}/scale-readings`, { ...wild, id: v7(), insisted: true });
    expect(await trainee()).toMatchObject({ belief: { readings: 1 } });
  });

  it('are counted once, however often they arrive', async () => {
    const once = reading({ position: 'plank' });
    await bench.post(`${at}/scale-readings`, once);
    expect((await bench.post(`${at}/scale-readings`, once)).status).toBe(201);
    expect((await calibration()).readings).toHaveLength(1);
    expect(await bench.post(`${at}/scale-readings`, { ...once, kg: 1 })).toMatchObject({ status: 409, body: { code: 'id-reused' } });
  });

  it('that were set aside teach nothing and stay on record', async () => {
    const real = reading({ position: 'plank' });
    await bench.post(`${at}/scale-readings`, real);
    const aside = { id: v7(), readingId: real.id, reason: 'The scale stood on a mat.' };
    expect(await bench.post(`${at}/scale-readings/set-aside`, aside)).toMatchObject({ status: 200 });
    expect(await bench.post(`${at}/scale-readings/set-aside`, aside)).toMatchObject({ status: 200 });
    const { readings } = await calibration();
    expect(readings.find((r) => r.id === real.id)).toMatchObject({ setAside: { reason: 'The scale stood on a mat.' } });
    expect(await trainee()).not.toHaveProperty('belief');
    expect(await bench.post(`${at}/scale-readings/set-aside`, { ...aside, id: v7(), readingId: v7() })).toMatchObject({
      status: 404,
      body: { code: 'scale-reading-missing' },
    });
  });

  it.each([
    [{ kg: 300 }, 'A scale under the feet shows from 0 kg to 70 kg here, not 300 kg.'],
    [{ setUp: { position: 'supported-hang' }, kg: 20 }, 'teaches nothing'],
    [{ setUp: { position: 'push-up', handHeightM: 9 } }, 'Height under the hands must be from 0 cm to 130 cm'],
    [{ under: 'nose' }, 'A scale stands under hands, forearms, feet, knees, shanks.'],
    [{ massKg: 3 }, 'Body mass must be at least 20 kg.'],
    [{ takenAt: '2199-01-01T00:00:00.000Z' }, 'in the future'],
  ])('are refused with the limit they break: %j', async (wrong, sentence) => {
    const reply = await bench.post(`${at}/scale-readings`, reading({ position: 'push-up' }, 0, wrong));
    expect(reply.status).toBe(422);
    expect(JSON.stringify(reply.body)).toContain(sentence);
    expect((await calibration()).readings).toEqual([]);
  });
});

describe('own measures', () => {
  it('override what stature says', async () => {
    await bench.put(at, { ...dto, basedOn: dto.revision, revision: v7(), armLength: 60, legLength: 88 });
    const measured = traineeBody(await trainee());
    expect(measured.armM).toBeCloseTo(0.6, 9);
    expect(measured.legM).toBeCloseTo(0.88, 9);
  });

  it.each([
    [{ armLength: 10 }, 'Arm length must be from 25 to 95 cm.'],
    [{ legLength: 500 }, 'Leg length must be from 40 to 130 cm.'],
    [{ legLength: 128 }, 'leaves no room for the head'],
  ])('are refused where they fit nobody: %j', async (wrong, sentence) => {
    const reply = await bench.put(at, { ...dto, basedOn: dto.revision, revision: v7(), ...wrong });
    expect(reply.status).toBe(422);
    expect(JSON.stringify(reply.body)).toContain(sentence);
  });
});

describe('a studio’s bands', () => {
  const band = (own: object = {}) => ({
    id: v7(),
    revision: v7(),
    basedOn: null,
    name: 'Heron',
    slackCm: 100,
    readings: [
      { stretchCm: 50, kg: 9 },
      { stretchCm: 100, kg: 15 },
    ],
    inUse: true,
    ...own,
  });

  it('are kept with the curve through their readings, each save a revision', async () => {
    const first = band();
    const saved = (await bench.put(`/api/bands/${first.id}`, first)) as { status: number; body: readonly BandReply[] };
    expect(saved.body).toMatchObject([{ name: 'Heron', inUse: true, curve: { slackM: 1, mostM: 1 } }]);
    const worn = { ...first, basedOn: first.revision, revision: v7(), inUse: false };
    expect((await bench.put(`/api/bands/${first.id}`, worn)).body).toMatchObject([{ revision: worn.revision, inUse: false }]);
    expect(await bench.put(`/api/bands/${first.id}`, { ...worn, revision: v7() })).toMatchObject({
      status: 409,
      body: { code: 'edited-elsewhere' },
    });
  });

  it.each([
    [{ readings: [{ stretchCm: 50, kg: 9 }] }, 'A band needs at least two readings.'],
    [{ name: '' }, 'The name of the band is needed.'],
    [
      {
        readings: [
          { stretchCm: 50, kg: 9 },
          { stretchCm: 100, kg: 7 },
        ],
      },
      'At 100 cm the band pulls 7 kg, no more than at 50 cm',
    ],
    [{ slackCm: 0 }, 'The slack length must be at least 1 cm.'],
  ])('are refused when they are no bands: %j', async (wrong, sentence) => {
    const no = band(wrong);
    const reply = await bench.put(`/api/bands/${no.id}`, no);
    expect(reply.status).toBe(422);
    expect(JSON.stringify(reply.body)).toContain(sentence);
    expect((await bench.get('/api/bands')).body).toEqual([]);
  });
});
