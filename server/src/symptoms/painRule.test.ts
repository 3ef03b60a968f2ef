import type { ReadinessReply, RecordReply, TraineeReply } from '@myokinet/core/contracts';
import { addDays, calendarDay } from '@myokinet/core/quantities';
import { v7 } from 'uuid';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { answerScreening, screeningDto, sessionDto, symptomDto, type TestBench, testBench, traineeDto } from '../testBench.ts';

/* The pain rule beside what is on record: earlier reports, the age, a professional's word; and who closes what. */

let bench: TestBench;
let at: string;
beforeEach(async () => {
  bench = await testBench();
  const trainee = traineeDto();
  await bench.post('/api/trainees', trainee);
  at = `/api/trainees/${trainee.id}`;
  await answerScreening(bench, at, screeningDto(bench.now()));
});
afterEach(() => bench.close());

const signs = async () => ((await bench.get(`${at}/readiness`)).body as unknown as ReadinessReply).stopSigns;
async function felt(own: Parameters<typeof symptomDto>[1]) {
  const dto = symptomDto(bench.now(), { intensity: 2, kind: 'sharp', place: 'elbow', side: 'left', moment: 'during', ...own });
  expect(await bench.post(`${at}/symptoms`, dto)).toMatchObject({ status: 201 });
  return dto.id;
}
const close = (symptomId: string, own: object = {}) =>
  bench.post(`${at}/stop-sign-closures`, { id: v7(), symptomId, ground: 'Nothing found.', ...own });
const today = () => calendarDay(bench.now());

it('what was sharp and went at once is no stop sign; the second one at that place within two weeks is', async () => {
  await felt({ retest: 'gone' });
  bench.passDays(13);
  await felt({ retest: 'gone', side: 'right' });
  expect(await signs()).toEqual([]);
  await felt({ retest: 'gone' });
  expect(await signs()).toMatchObject([
    { reason: 'Sharp 2/10, left elbow, during, gone on a second try, the second time within 14 days: stop and step back.' },
  ]);
});

it('a tender bone stops a minor and no adult', async () => {
  await felt({ kind: 'tender bone', intensity: 1 });
  expect(await signs()).toEqual([]);
  const young = traineeDto({ birthYear: 2012 });
  await bench.post('/api/trainees', young);
  at = `/api/trainees/${young.id}`;
  await felt({ kind: 'tender bone', intensity: 1 });
  expect(await signs()).toHaveLength(1);
});

it('a coach closes a sharp pain after two painless days, and nothing else; a professional’s word closes the rest', async () => {
  const sharp = await felt({});
  const swollen = await felt({ kind: 'swelling', intensity: 1 });
  expect(await close(sharp)).toMatchObject({
    status: 409,
    body: { code: 'stop-sign-not-yours', detail: expect.stringMatching(/48 hours without pain/) as string },
  });
  bench.passDays(1.5);
  await felt({ kind: 'ache', intensity: 1 });
  bench.passDays(1);
  expect(await close(sharp)).toMatchObject({ status: 409 });
  bench.passDays(1.1);
  expect((await signs()).find((s) => s.symptomId === sharp)?.problem).toBeUndefined();
  expect(await close(sharp)).toMatchObject({ status: 201 });
  expect(await close(swollen)).toMatchObject({ status: 409 });
  expect((await signs()).find((s) => s.symptomId === swollen)?.problem).toEqual({ code: 'professional-only' });
  const heard = { role: 'physiotherapist', consultedOn: today() };
  expect(await close(swollen, { role: 'physiotherapist' })).toMatchObject({ status: 422, body: { fields: [{ field: '/role' }] } });
  expect(await close(swollen, { ...heard, role: 'neighbour' })).toMatchObject({ status: 422, body: { fields: [{ field: '/role' }] } });
  expect(await close(swollen, { ...heard, consultedOn: calendarDay(addDays(bench.now(), 3)) })).toMatchObject({ status: 422 });
  expect(await close(swollen, { ...heard, consultedOn: calendarDay(addDays(bench.now(), -9)) })).toMatchObject({ status: 409 });
  expect(await close(swollen, heard)).toMatchObject({ status: 201 });
  const { stopSigns } = (await bench.get(`${at}/record`)).body as unknown as RecordReply;
  expect(stopSigns.find((s) => s.symptomId === swollen)?.closure).toMatchObject(heard);
});

it('a known, lasting pain up to what is usual spoils no session; over, it does', async () => {
  const pain = { place: 'elbow', side: 'left', level: 3, role: 'physiotherapist', consultedOn: today(), said: 'Known for years.' };
  const word = (own: object) => bench.post(`${at}/lasting-pains`, { id: v7(), ...pain, ...own });
  expect(await word({ level: 4 })).toMatchObject({ status: 422, body: { fields: [{ field: '/level' }] } });
  expect(await word({ consultedOn: calendarDay(addDays(bench.now(), 3)) })).toMatchObject({ status: 422 });
  expect(await word({})).toMatchObject({ status: 201, body: [{ level: 3 }] });
  expect((await bench.get(at)).body as unknown as TraineeReply).toMatchObject({ lastingPains: [{ place: 'elbow', level: 3 }] });
  const session = async () => {
    const dto = sessionDto(bench.now());
    const symptoms = [
      symptomDto(bench.now(), { sessionId: dto.id, intensity: 3, kind: 'ache', place: 'elbow', side: 'left', moment: 'during' }),
    ];
    return (await bench.post(`${at}/sessions`, { ...dto, symptoms })).body as { clean: boolean };
  };
  expect((await session()).clean).toBe(true);
  bench.passDays(1);
  await word({ level: 0, said: 'It is over.' });
  expect((await session()).clean).toBe(false);
  expect(await bench.post(`/api/trainees/${v7()}/lasting-pains`, { id: v7(), ...pain })).toMatchObject({ status: 404 });
});
