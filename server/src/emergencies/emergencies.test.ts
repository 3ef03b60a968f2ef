import type { EmergencyCareReply, EmergencyReply, ReadinessReply, TraineeReply } from '@myokinet/core/contracts';
import { addDays, calendarDay, instant } from '@myokinet/core/quantities';
import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { reachOpenGate, screeningDto, type TestBench, testBench, traineeDto } from '../testBench.ts';

let bench: TestBench;
let at: string;
beforeEach(async () => {
  bench = await testBench();
  const trainee = traineeDto();
  await bench.post('/api/trainees', trainee);
  at = `/api/trainees/${trainee.id}`;
});
afterEach(() => bench.close());

const press = async (id = v7()) => ({ id, ...(await bench.post(`${at}/emergencies`, { id, at: instant(bench.now()) })) });
const list = async () => (await bench.get(`${at}/emergencies`)).body as readonly EmergencyReply[];
const screening = async () => ((await bench.get(at)).body as TraineeReply).screening;
const gateOpen = async () => ((await bench.get(`${at}/readiness`)).body as ReadinessReply).gate?.open;
const word = (screeningId: string, own: object = {}, permit: object = {}) => ({
  ...{ id: v7(), screeningId, cautionIds: ['emergency'], role: 'specialist doctor', consultedOn: calendarDay(bench.now()) },
  allowed: 'Seen in the hospital, nothing found.',
  permit: {
    ...{ loadPerArm: 1, overhead: true, hanging: true, headDown: true, effort: 10, until: calendarDay(addDays(bench.now(), 30)) },
    ...permit,
  },
  ...own,
});

describe('an emergency', () => {
  it('is on record with one press, closes every gate, and opens with a doctor’s word only', async () => {
    await reachOpenGate(bench, at.split('/').at(-1) ?? '');
    expect(await gateOpen()).toBe(true);
    expect(await press()).toMatchObject({ status: 201 });
    expect(await gateOpen()).toBe(false);
    expect((await screening()).locks).toMatchObject([{ caution: { id: 'emergency', because: [{ code: 'emergency', signs: [] }] } }]);
    const asked = screeningDto(bench.now());
    const { current } = (await bench.get(`${at}/screenings`)).body as { current: { id: string } };
    // A form answered again opens nothing, nor does somebody else's word.
    expect(await bench.post(`${at}/screenings`, { ...asked, basedOn: current.id })).toMatchObject({ status: 201 });
    expect(await gateOpen()).toBe(false);
    expect(await bench.post(`${at}/consultations`, word(asked.id, { role: 'physiotherapist' }))).toMatchObject({ status: 422 });
    expect(await bench.post(`${at}/consultations`, word(asked.id))).toMatchObject({ status: 201 });
    expect((await screening()).cautions).toEqual([]);
    bench.passDays(0.1);
    expect(await gateOpen()).toBe(true);
  });

  it('stays restricted where the word permits a part, and is there again when that has run out', async () => {
    const asked = screeningDto(bench.now());
    await bench.post(`${at}/screenings`, asked);
    await press();
    await bench.post(`${at}/consultations`, word(asked.id, {}, { effort: 4 }));
    expect((await screening()).cautions).toMatchObject([{ id: 'emergency', permit: { effort: 4 } }]);
    bench.passDays(31);
    expect((await screening()).locks).toMatchObject([{ code: 'caution' }]);
  });

  it('says what was seen afterwards; signs for a doctor today are told apart', async () => {
    const { id } = await press();
    const seen = { id: v7(), emergencyId: id, signs: ['tendon-pop'], note: '' };
    expect(await bench.post(`${at}/emergencies/seen`, seen)).toMatchObject({ status: 201, body: [{ signs: ['tendon-pop'] }] });
    expect((await screening()).cautions.map((c) => c.id)).toContain('doctor-today');
    await bench.post(`${at}/emergencies/seen`, { ...seen, id: v7(), signs: ['tendon-pop', 'cold-hand'] });
    expect((await screening()).cautions.map((c) => c.id)).toContain('emergency');
    expect(await bench.post(`${at}/emergencies/seen`, { ...seen, id: v7(), signs: ['hiccup'] })).toMatchObject({ status: 422 });
  });

  it('is pressed by mistake for a minute, with a reason, and stays on record', async () => {
    const { id } = await press();
    const mistake = { id: v7(), emergencyId: id, reason: 'a thumb on the wrong button' };
    expect(await bench.post(`${at}/emergencies/mistake`, { ...mistake, reason: '' })).toMatchObject({ status: 422 });
    bench.passDays(59 / 86_400);
    expect(await bench.post(`${at}/emergencies/mistake`, mistake)).toMatchObject({ status: 201 });
    expect((await screening()).cautions.map((c) => c.id)).not.toContain('emergency');
    expect(await list()).toMatchObject([{ id, mistake: 'a thumb on the wrong button' }]);
    const late = await press();
    bench.passDays(61 / 86_400);
    expect(await bench.post(`${at}/emergencies/mistake`, { ...mistake, id: v7(), emergencyId: late.id })).toMatchObject({
      status: 409,
      body: { code: 'emergency-stands' },
    });
  });

  it('sent twice is one; of a clock that is ahead it is as of now; of nobody it is refused', async () => {
    const { id } = await press();
    await press(id);
    expect(await list()).toHaveLength(1);
    expect(await bench.post(`${at}/emergencies`, { id: v7(), at: addDays(bench.now(), 400) })).toMatchObject({ status: 201 });
    expect((await list()).every((e) => e.at <= instant(bench.now()))).toBe(true);
    expect(await bench.post(`${at}/emergencies`, { id: v7(), at: 'now' })).toMatchObject({ status: 422 });
    expect(await bench.post(`/api/trainees/${v7()}/emergencies`, { id: v7(), at: instant(bench.now()) })).toMatchObject({ status: 404 });
    expect(() => bench.db.prepare("UPDATE emergency SET at = '2026-01-01T00:00:00.000Z'").run()).toThrow('emergencies are facts');
  });
});

it('knows whom to call and where, each change on record', async () => {
  const save = (own: object) => bench.put('/api/emergency-care', { id: v7(), basedOn: null, number: '112', place: 'Quay 4', ...own });
  expect((await bench.get('/api/emergency-care')).body).toEqual({ id: null, number: '', place: '' });
  const { body } = await save({});
  expect(body).toMatchObject({ number: '112', place: 'Quay 4' });
  expect(await save({ number: '113' })).toMatchObject({ status: 409 });
  expect(await save({ basedOn: (body as unknown as EmergencyCareReply).id, number: 'help!' })).toMatchObject({
    status: 422,
    body: { fields: [{ field: '/number' }] },
  });
});
