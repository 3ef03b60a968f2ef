import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { ClearanceReply, ReadinessReply, RecordReply } from '@myokinet/core/contracts';
import { GRACE_DAYS } from '@myokinet/core/readiness';
import {
  answerScreening,
  checkFor,
  comfortably,
  reachOpenGate,
  screeningDto,
  sessionDto,
  symptomDto,
  type TestBench,
  testBench,
  traineeDto,
} from '../testBench.ts';

let bench: TestBench;
let id: string;
let at: string;
beforeEach(async () => {
  bench = await testBench();
  const trainee = traineeDto();
  await bench.post('/api/trainees', trainee);
  id = trainee.id;
  at = `/api/trainees/${id}`;
});
afterEach(() => bench.close());

const readiness = async () => ((await bench.get(`${at}/readiness`)) as { body: ReadinessReply }).body;
const record = async () => ((await bench.get(`${at}/record`)) as { body: RecordReply }).body;
const sign = (own: object = {}) =>
  bench.post(`${at}/clearances`, { id: v7(), ladderId: 'push-up', rungId: 'wall', initials: 'AS', ...own });

describe('readiness', () => {
  it('of somebody new is unknown in every demand', async () => {
    const { headrooms, gate, rungId } = await readiness();
    expect(rungId).toBe('wall');
    expect(headrooms.every((h) => h.state === 'unknown')).toBe(true);
    expect(gate?.open).toBe(false);
  });

  it('names the limiter that the figures give', async () => {
    await bench.post(
      `${at}/checks`,
      checkFor('wall', bench.now(), (d) => (d.measureId === 'wrist-extension' && d.side === 'left' ? 44 : comfortably(d))),
    );
    const { gate, headrooms } = await readiness();
    expect(gate?.limiter).toMatchObject({ side: 'left', state: 'short', demand: { measureId: 'wrist-extension' } });
    expect(headrooms[0]).toMatchObject({ side: 'left', demand: { measureId: 'wrist-extension' } });
  });
});

describe('signing', () => {
  it('is refused while the gate is closed, with the first reason, what guards safety before all else', async () => {
    expect(await sign()).toMatchObject({ status: 409, body: { detail: expect.stringContaining('screening before training') as string } });
    await answerScreening(bench, at, screeningDto(bench.now()));
    expect(await sign()).toMatchObject({
      status: 409,
      body: { code: 'gate-closed', detail: expect.stringContaining('has never been checked') as string },
    });
  });

  it('stores the figures it rests on, and moves the trainee up', async () => {
    await reachOpenGate(bench, id);
    expect((await readiness()).gate?.unmet).toEqual([]);
    const { status, body } = (await sign()) as { status: number; body: ClearanceReply };
    expect(status).toBe(201);
    expect(body.figures).toHaveLength(7);
    expect(body.figures.every((f) => f.state === 'spare' && f.capacity)).toBe(true);
    expect(await readiness()).toMatchObject({ rungId: 'far-wall', standing: { here: 0, next: 1 } });
  });

  it('happens once, however often it is sent', async () => {
    await reachOpenGate(bench, id);
    const clearanceId = v7();
    expect([(await sign({ id: clearanceId })).status, (await sign({ id: clearanceId })).status]).toEqual([201, 201]);
    expect((await record()).clearances).toHaveLength(1);
  });

  it('does not jump over a rung', async () => {
    await reachOpenGate(bench, id);
    expect(await sign({ rungId: 'far-wall' })).toMatchObject({
      status: 409,
      body: { detail: expect.stringContaining('not the next gate') as string },
    });
  });

  it('does not open by a check alone: two clean sessions 48 hours apart are asked', async () => {
    await answerScreening(bench, at, screeningDto(bench.now()));
    await bench.post(`${at}/checks`, checkFor('wall', bench.now()));
    await bench.post(`${at}/sessions`, sessionDto(bench.now()));
    expect((await readiness()).gate?.unmet.map((f) => f.rule)).toEqual(['mornings', 'clean-sessions']);
  });
});

describe('a signed clearance', () => {
  beforeEach(async () => {
    await reachOpenGate(bench, id);
    await sign();
  });

  it('is withdrawn by a stop sign, with its reason, and the gate stays closed until it is closed on a ground', async () => {
    bench.passDays(0.5);
    const symptom = symptomDto(bench.now(), { intensity: 4, kind: 'sharp', side: 'left', place: 'wrist', moment: 'during' });
    await bench.post(`${at}/symptoms`, symptom);
    const [clearance] = (await record()).clearances;
    expect(clearance).toMatchObject({ withdrawnReason: 'Sharp 4/10, left wrist, during: stop and step back.' });
    const closed = await readiness();
    expect(closed.standing.here).toBe(-1);
    expect(closed.gate?.unmet.map((f) => f.rule)).toEqual(['stop-signs', 'symptoms', 'clean-sessions']);
    const close = (ground: string) => bench.post(`${at}/stop-sign-closures`, { id: v7(), symptomId: symptom.id, ground });
    expect(await close('ok')).toMatchObject({ status: 422, body: { fields: [{ field: '/ground' }] } });
    expect(await close('Nothing found.')).toMatchObject({ status: 409, body: { code: 'stop-sign-not-yours' } });
    bench.passDays(2.01);
    expect((await close('Two painless days, full range.')).status).toBe(201);
    expect((await readiness()).gate?.unmet.map((f) => f.rule)).not.toContain('stop-signs');
    expect(await close('Two painless days, full range.')).toMatchObject({ status: 409, body: { code: 'stop-sign-not-open' } });
  });

  it('is withdrawn by a stop sign inside a logged session too, in the same write', async () => {
    bench.passDays(0.5);
    const session = sessionDto(bench.now());
    const symptom = symptomDto(bench.now(), { sessionId: session.id, intensity: 2, kind: 'pinch', moment: 'during' });
    await bench.post(`${at}/sessions`, { ...session, symptoms: [symptom] });
    const { clearances, sessions, stopSigns } = await record();
    expect(clearances[0]?.withdrawnReason).toMatch(/^Pinch 2\/10/);
    expect(sessions[0]).toMatchObject({ clean: false, finding: { code: 'stop-sign', symptom: { kind: 'pinch', intensity: 2 } } });
    expect(stopSigns).toHaveLength(1);
  });

  it('outlives an ache of 3, which only closes the next gate', async () => {
    bench.passDays(0.5);
    await bench.post(`${at}/symptoms`, symptomDto(bench.now(), { intensity: 3, kind: 'ache', moment: 'after' }));
    expect((await record()).clearances[0]?.withdrawnAt).toBeUndefined();
    expect((await readiness()).gate?.unmet.map((f) => f.rule)).toContain('symptoms');
  });

  it('is withdrawn by the coach for a reason, once', async () => {
    const [clearance] = (await record()).clearances;
    const withdraw = () => bench.post(`${at}/withdrawals`, { id: v7(), clearanceId: clearance?.id, reason: 'Signed for the wrong rung.' });
    expect(await withdraw()).toMatchObject({ status: 201, body: { withdrawnReason: 'Signed for the wrong rung.' } });
    expect(await withdraw()).toMatchObject({ status: 409, body: { code: 'clearance-not-standing' } });
    expect(await bench.post(`${at}/withdrawals`, { id: v7(), clearanceId: v7(), reason: 'No such thing.' })).toMatchObject({ status: 404 });
  });

  it('lapses when its checks are stale for longer than the days of grace, and a late check does not bring it back', async () => {
    bench.passDays(12.9 + GRACE_DAYS);
    // Nothing progresses meanwhile: the next gate asks for the check.
    expect((await readiness()).headrooms.some((h) => h.state === 'unknown')).toBe(true);
    expect((await readiness()).standing.rungs[0]).toMatchObject({ state: 'signed' });
    bench.passDays(0.2);
    const lapsed = await readiness();
    expect(lapsed.standing.rungs[0]).toMatchObject({
      state: 'lapsed',
      lapse: { measureId: expect.any(String) as string },
    });
    expect(lapsed.rungId).toBe('wall');
    await bench.post(`${at}/checks`, checkFor('wall', bench.now()));
    expect((await readiness()).standing.rungs[0]).toMatchObject({ state: 'lapsed' });
  });

  it('stays while its checks are renewed in time', async () => {
    for (let i = 0; i < 4; i++) {
      bench.passDays(10);
      await bench.post(`${at}/checks`, checkFor('wall', bench.now()));
    }
    expect((await readiness()).standing.rungs[0]).toMatchObject({ state: 'signed' });
  });
});

it('a medical hold locks every gate', async () => {
  await reachOpenGate(bench, id);
  await answerScreening(bench, at, screeningDto(bench.now(), { 'medical-hold': 'whole' }));
  expect(await sign()).toMatchObject({ status: 409, body: { detail: expect.stringContaining('Medical hold') as string } });
});
