import type { FloorRunReply, ReadinessReply, RecordReply, WorkloadReply } from '@myokinet/core/contracts';
import type { FloorDeed, FloorEvent, FloorHead } from '@myokinet/core/floor';
import { drawnPicture } from '../drawnPicture.ts';
import { addDays, instant } from '@myokinet/core/quantities';
import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import {
  answerScreening,
  reachOpenGate,
  screeningDto,
  sessionDto,
  symptomDto,
  testBench,
  type TestBench,
  traineeDto,
} from '../testBench.ts';

let bench: TestBench;
let traineeId: string;
let order = 0;
beforeEach(async () => {
  bench = await testBench();
  order = 0;
  const dto = traineeDto();
  traineeId = dto.id;
  await bench.post('/api/trainees', dto);
  await bench.post(`/api/trainees/${traineeId}/screenings`, screeningDto(bench.now()));
});
afterEach(() => bench.close());

const head = (own: Partial<FloorHead> = {}): FloorHead => ({
  id: v7(),
  plannedSessionId: null,
  startedAt: addDays(bench.now(), -0.02),
  form: 'sets',
  progress: 'count',
  items: [{ id: v7(), drillId: 'plank', sets: 2, min: 10, max: 20, restSeconds: 45 }],
  ...own,
});
const event = (deed: FloorDeed, own: Partial<FloorEvent> = {}): FloorEvent =>
  ({ id: v7(), order: ++order, at: instant(bench.now()), ...deed, ...own }) as FloorEvent;
const set = (run: FloorHead, round: number, amount = 20) =>
  event({ kind: 'set', itemId: run.items[0]?.id ?? '', round, side: 'whole', amount });
const close = (effort = 5) => event({ kind: 'close', effort, minutes: 30, note: 'calm' });
const hurt = (intensity = 6) =>
  event({ kind: 'symptom', symptom: { intensity, kind: 'ache', place: 'wrist', side: 'left', moment: 'during' } });

async function send(run: FloorHead, events: readonly FloorEvent[]) {
  const reply = await bench.put(`/api/floor/${run.id}`, { traineeId, head: run, events });
  return { status: reply.status, body: reply.body as unknown as FloorRunReply & { code?: string; detail?: string } };
}
const record = async () => (await bench.get(`/api/trainees/${traineeId}/record`)).body as unknown as RecordReply;

describe('a run', () => {
  it('is kept event by event, and becomes a session when it is closed', async () => {
    const run = head();
    await send(run, [set(run, 1)]);
    expect((await record()).sessions).toEqual([]);
    const end = close();
    const { body } = await send(run, [set(run, 2), end]);
    expect(body.events).toHaveLength(3);
    expect(body.sessionId).toBe(end.id);
    const [session] = (await record()).sessions;
    expect(session).toMatchObject({
      id: end.id,
      clean: true,
      effort: 5,
      minutes: 30,
      note: 'calm',
      performedAt: instant(bench.now()),
      runId: run.id,
    });
    expect(session?.items[0]?.sets.map((s) => s.amount)).toEqual([20, 20]);
  });

  it('sent again, in another order, in pieces: the same', async () => {
    const run = head();
    const events = [set(run, 1), set(run, 2), close()];
    await send(run, [events[2], events[0]] as FloorEvent[]);
    await send(run, events);
    const once = await record();
    await send(run, events.toReversed());
    expect(await record()).toEqual(once);
    expect(once.sessions[0]?.items[0]?.sets).toHaveLength(2);
  });

  it('with a set that ran out by the clock is not clean until somebody says what it was; said after the end, it is so from then on', async () => {
    const run = head();
    const first = set(run, 1);
    const ranOut = event({ kind: 'set', itemId: run.items[0]?.id ?? '', round: 2, side: 'whole', amount: 20, ranOut: true });
    await send(run, [first, ranOut, close()]);
    const [before] = (await record()).sessions;
    expect(before).toMatchObject({ clean: false, finding: { code: 'unconfirmed', sets: 1 } });
    expect(before?.items[0]?.sets.map((s) => [s.amount, s.unconfirmed])).toEqual([
      [20, undefined],
      [20, true],
    ]);
    await send(run, [event({ kind: 'amend', setId: ranOut.id, amount: 20 })]);
    expect((await record()).sessions).toMatchObject([{ clean: true, replaced: { id: before?.id } }]);
    expect((await send(run, [event({ kind: 'amend', setId: ranOut.id, amount: -1 })])).status).toBe(422);
    expect((await send(run, [{ ...ranOut, id: v7(), ranOut: 'yes' } as unknown as FloorEvent])).status).toBe(422);
  });

  it('an id that stands for something else is refused, and nothing of that request is kept', async () => {
    const run = head();
    const first = set(run, 1);
    await send(run, [first]);
    const { status, body } = await send(run, [set(run, 2), { ...first, amount: 3 } as FloorEvent]);
    expect([status, body.code]).toEqual([409, 'id-reused']);
    expect(((await bench.get(`/api/floor/${run.id}`)).body as unknown as FloorRunReply).events).toHaveLength(1);
  });

  it('the head of whoever came first stands', async () => {
    const run = head();
    await send(run, []);
    const { body } = await send({ ...run, form: 'flow' }, [set(run, 1)]);
    expect(body.head.form).toBe('sets');
  });

  it('is listed while it is open, with who opened it', async () => {
    const run = head();
    await send(run, [set(run, 1)]);
    const listed = async () => (await bench.get(`/api/trainees/${traineeId}/floor`)).body as unknown;
    expect(await listed()).toMatchObject([{ id: run.id, sets: 1, ended: false }]);
    await send(run, [event({ kind: 'give up' })]);
    expect(await listed()).toMatchObject([{ id: run.id, ended: true }]);
    expect((await record()).sessions).toEqual([]);
  });

  it('stays with its trainee', async () => {
    const run = head();
    await send(run, []);
    const other = traineeDto({ name: 'Ben Yard' });
    await bench.post('/api/trainees', other);
    const reply = await bench.put(`/api/floor/${run.id}`, { traineeId: other.id, head: run, events: [set(run, 1)] });
    expect(reply.status).toBe(404);
    expect((await bench.get(`/api/floor/${v7()}`)).status).toBe(404);
  });
});

describe('two devices', () => {
  it('sets that come in after the end make a second version; the first stays on record', async () => {
    const run = head();
    await send(run, [set(run, 1), close()]);
    const before = (await record()).sessions[0];
    expect(before).toMatchObject({ clean: false });
    const { body } = await send(run, [set(run, 2)]);
    const sessions = (await record()).sessions;
    expect(sessions).toHaveLength(1);
    expect(sessions[0]).toMatchObject({ id: body.sessionId, clean: true, replaced: { id: before?.id, sets: 1, load: 150 } });
    expect(bench.db.prepare('SELECT count(*) FROM session').pluck().get()).toBe(2);
    const loads = (await bench.get(`/api/trainees/${traineeId}/workload`)).body as unknown as WorkloadReply;
    expect(loads.sessions).toHaveLength(1);
  });

  it('the morning after the first version is the morning after the second', async () => {
    const run = head();
    const end = close();
    await send(run, [set(run, 1), end]);
    bench.passDays(0.6);
    await bench.post(`/api/trainees/${traineeId}/symptoms`, symptomDto(bench.now(), { sessionId: end.id }));
    await send(run, [set(run, 2)]);
    const [session] = (await record()).sessions;
    expect(session?.symptoms.map((s) => s.moment)).toEqual(['next morning']);
  });
});

describe('symptoms act at once', () => {
  it('a stop sign in a run withdraws the clearance and locks before anything is closed', async () => {
    await reachOpenGate(bench, traineeId);
    const { body: gate } = await bench.get(`/api/trainees/${traineeId}/readiness`);
    expect((gate as unknown as ReadinessReply).gate?.open).toBe(true);
    const run = head();
    const { body } = await send(run, [hurt()]);
    expect(body.holds).toEqual(['Ache 6/10, left wrist, during: stop and step back.']);
    const after = (await bench.get(`/api/trainees/${traineeId}/readiness`)).body as unknown as ReadinessReply;
    expect(after.gate?.open).toBe(false);
    expect(after.stopSigns).toHaveLength(1);
  });

  it('belongs to the session when there is one, once', async () => {
    const run = head();
    await send(run, [hurt(2), set(run, 1), set(run, 2), close()]);
    const { sessions, symptoms } = await record();
    expect(sessions[0]?.symptoms).toMatchObject([{ intensity: 2, place: 'wrist' }]);
    expect(symptoms).toEqual([]);
  });

  it('a lock that comes in meanwhile from elsewhere is told to the floor', async () => {
    const run = head();
    await send(run, [set(run, 1)]);
    await answerScreening(bench, `/api/trainees/${traineeId}`, screeningDto(bench.now(), { 'medical-hold': 'whole' }));
    const { body } = await send(run, []);
    expect(body.holds).toHaveLength(1);
    expect(body.holds[0]).toMatch(/hold/i);
  });
});

describe('bad input', () => {
  it.each([
    [{ amount: -1 }, 'A set must be a whole number from 0 to 3600.'],
    [{ amount: 99_999 }, 'A set must be a whole number from 0 to 3600.'],
    [{ amount: 2.5 }, 'A set must be a whole number from 0 to 3600.'],
    [{ at: 'yesterday' }, 'The time of the event must be a date and time in UTC'],
  ])('a set with %j', async (own, message) => {
    const run = head();
    const { status, body } = await send(run, [{ ...set(run, 1), ...own } as FloorEvent]);
    expect([status, body.detail?.slice(0, message.length)]).toEqual([422, message]);
  });

  it('a kind of event that there is not, an empty head, an absurd end', async () => {
    const run = head();
    expect((await send(run, [{ ...set(run, 1), kind: 'dance' } as unknown as FloorEvent])).status).toBe(422);
    expect((await send({ ...run, items: [] }, [])).status).toBe(422);
    expect((await send(run, [event({ kind: 'close', effort: 11, minutes: 0, note: '' })])).status).toBe(422);
  });

  it('a clock that is a year ahead: kept, and on record as of now', async () => {
    const run = head({ startedAt: addDays(bench.now(), 365) });
    await send(run, [{ ...set(run, 1), at: addDays(bench.now(), 365) } as FloorEvent, hurt(1), close()]);
    const [session] = (await record()).sessions;
    expect(session?.performedAt).toBe(instant(bench.now()));
  });

  it('a clock that ran backwards between two sets changes nothing of their order', async () => {
    const run = head();
    const first = set(run, 1, 15);
    await send(run, [{ ...set(run, 2, 20), at: addDays(bench.now(), -3) } as FloorEvent, first, close()]);
    expect((await record()).sessions[0]?.items[0]?.sets.map((s) => s.amount)).toEqual([15, 20]);
  });
});

it('a picture of the end is kept with the session, and can be taken off', async () => {
  const run = head();
  await send(run, [set(run, 1), close()]);
  const photo = { id: v7(), takenAt: instant(bench.now()), image: await drawnPicture() };
  expect((await bench.post(`/api/floor/${run.id}/photos`, photo)).status).toBe(201);
  await bench.post(`/api/floor/${run.id}/photos`, photo);
  expect((await record()).sessions[0]?.photos).toMatchObject([{ id: photo.id, kept: true }]);
  expect((await bench.get(`/api/floor/${run.id}/photos/${photo.id}`)).type).toBe('image/jpeg');
  await bench.delete(`/api/floor/${run.id}/photos/${photo.id}`);
  expect((await record()).sessions[0]?.photos).toMatchObject([{ kept: false }]);
  expect((await bench.post(`/api/floor/${run.id}/photos`, { ...photo, id: v7(), image: 'AAAA' })).status).toBe(422);
});

it('the workload has every session in force with what it put on each joint', async () => {
  await bench.post(`/api/trainees/${traineeId}/sessions`, sessionDto(new Date(addDays(bench.now(), -3))));
  const { sessions } = (await bench.get(`/api/trainees/${traineeId}/workload`)).body as unknown as WorkloadReply;
  expect(sessions).toMatchObject([{ effort: 5, minutes: 40, byJoint: { wrist: expect.any(Number) as number } }]);
});

it('a capacity from a session opens no gate and takes no check’s place', async () => {
  await reachOpenGate(bench, traineeId);
  const readiness = async () => (await bench.get(`/api/trainees/${traineeId}/readiness`)).body as unknown as ReadinessReply;
  const before = await readiness();
  const measured = before.headrooms.find((h) => h.demand.measureId === 'plank-hold' || h.side === 'whole');
  if (!measured) throw new Error('no demand to try');
  const reading = { kind: 'session', instrument: 'Set of a session', simulated: false };
  const trial = (measureId: string, value: number) => ({ id: v7(), measureId, side: 'whole', value, reading });
  const check = {
    id: v7(),
    takenAt: instant(bench.now()),
    note: '',
    trials: [trial(measured.demand.measureId, measured.demand.value + 20), trial('dead-hang', 20)],
  };
  expect((await bench.post(`/api/trainees/${traineeId}/checks`, check)).status).toBe(201);
  const after = await readiness();
  expect(after.gate?.open).toBe(true);
  expect(after.headrooms.find((h) => h.demand.measureId === measured.demand.measureId)?.capacity?.value).toBe(measured.capacity?.value);
  const [newest] = (await bench.get(`/api/trainees/${traineeId}/checks`)).body as unknown as {
    capacities: { provisional: string | null }[];
  }[];
  expect(newest?.capacities.map((c) => c.provisional)).toEqual(['in a session', 'in a session']);
});
