import { handLoad, traineeBody } from '@myokinet/core/statics';
import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { CaseloadRow, ReadinessReply, RecordReply, TodayItem } from '@myokinet/core/contracts';
import { addDays } from '@myokinet/core/quantities';
import { reachOpenGate, sessionDto, symptomDto, type TestBench, testBench, traineeDto } from '../testBench.ts';

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

/** Share of body weight that a plank puts on the hands of this trainee. */
const PLANK = handLoad(traineeBody(traineeDto()), { position: 'plank' }).loadShare;

const ago = (days: number) => new Date(addDays(bench.now(), -days));
const record = async () => ((await bench.get(`${at}/record`)) as { body: RecordReply }).body;

describe('a session', () => {
  it('is kept set by set, with its verdict, load and hand-load dose', async () => {
    const dto = sessionDto(ago(1), { effort: 6, minutes: 45 });
    expect((await bench.post(`${at}/sessions`, dto)).status).toBe(201);
    const [session] = (await record()).sessions;
    expect(session).toMatchObject({ ...dto, clean: true, load: 270 });
    expect(session?.handLoad.push).toBeCloseTo(PLANK * 80, 9);
  });

  it('keeps the weight and the tempo of a drill, and the planner goes on from them', async () => {
    const dto = sessionDto(ago(2), {}, ['halo', 'plank']);
    const manner = { kg: 1.5, tempo: { out: 3, hold: 0, back: 4 } };
    dto.items = dto.items.map((i) => (i.drillId === 'halo' ? { ...i, manner } : i));
    expect((await bench.post(`${at}/sessions`, dto)).status).toBe(201);
    expect((await record()).sessions[0]?.items.map((i) => i.manner)).toEqual([manner, undefined]);
    const { planner } = ((await bench.get(`${at}/readiness`)) as { body: ReadinessReply }).body;
    expect(planner.lastManner).toEqual({ halo: manner });
    for (const [wrong, says] of [
      [{ kg: 900 }, 'at most 100 kg'],
      [{ kg: 0 }, 'at least 0.25 kg'],
      [{ kg: 1.1 }, 'steps of 0.25'],
      [{}, 'Name a weight'],
    ] as const) {
      const items = sessionDto(ago(1)).items.map((i) => ({ ...i, manner: wrong }));
      const reply = await bench.post(`${at}/sessions`, { ...sessionDto(ago(1)), items });
      expect(reply.status).toBe(422);
      expect(JSON.stringify(reply.body)).toContain(says);
    }
  });

  it('comes back in the order it was done', async () => {
    for (const days of [3, 9, 1]) await bench.post(`${at}/sessions`, sessionDto(ago(days)));
    const days = (await record()).sessions.map((s) => s.performedAt);
    expect(days).toEqual([...days].sort().reverse());
  });

  it('is written once, however often it is sent', async () => {
    const dto = sessionDto(ago(1));
    await bench.post(`${at}/sessions`, dto);
    expect(await bench.post(`${at}/sessions`, dto)).toMatchObject({ status: 201, body: { id: dto.id } });
    expect((await record()).sessions).toHaveLength(1);
    expect(await bench.post(`${at}/sessions`, { ...dto, effort: 9 })).toMatchObject({ status: 409 });
  });

  it('shows of each drill the most of a set that somebody confirmed and no fault spoiled; a skipped drill stays new', async () => {
    const dto = sessionDto(ago(3), {}, ['plank', 'wall-slides']);
    const [plank, skipped] = dto.items;
    const set = (amount: number, own: object = {}) => ({ id: v7(), side: 'whole' as const, amount, faults: [], ...own });
    const sets = [
      set(22),
      set(25, { faults: [{ faultId: 'hips-sag', mended: true }] }),
      set(31, { faults: [{ faultId: 'hips-sag', mended: false }] }),
      set(38, { unconfirmed: true }),
      set(0),
    ];
    const items = [
      { ...plank!, sets },
      { ...skipped!, sets: [], skipped: 'out of time' as const },
    ];
    expect(await bench.post(`${at}/sessions`, { ...dto, items })).toMatchObject({ status: 201 });
    // Too long ago to build on.
    await bench.post(`${at}/sessions`, sessionDto(ago(40)));
    const { planner } = ((await bench.get(`${at}/readiness`)) as { body: ReadinessReply }).body;
    expect(planner.shown.sets?.['plank']?.map((s) => s.most)).toEqual([25]);
    expect(planner.knownDrills).toEqual(['plank']);
  });

  it('tells the planner what is known, what was loaded last and how much', async () => {
    await bench.post(`${at}/sessions`, sessionDto(ago(3), {}, ['plank', 'wrist-circles']));
    // light blade work against a wall is not a loaded day
    await bench.post(`${at}/sessions`, sessionDto(ago(1), {}, ['wall-scapular-push-up']));
    const { planner } = ((await bench.get(`${at}/readiness`)) as { body: ReadinessReply }).body;
    expect([...planner.knownDrills].sort()).toEqual(['plank', 'wall-scapular-push-up', 'wrist-circles']);
    expect(planner.lastLoaded).toMatchObject({ wrist: ago(3).toISOString() });
    expect(planner.weekDoses[1]?.byJoint?.wrist).toBeCloseTo(PLANK * 80, 9);
    expect(planner.weekDoses.map((w) => w.weekStart)).toEqual(['2026-11-23', '2026-11-16']);
    expect(planner.weekDoses[1]?.dose).toBeCloseTo(PLANK * 80, 9);
  });
});

describe('a symptom', () => {
  it('belongs to a session of the same trainee, or to none', async () => {
    const other = traineeDto();
    await bench.post('/api/trainees', other);
    const session = sessionDto(ago(1));
    await bench.post(`/api/trainees/${other.id}/sessions`, session);
    expect(await bench.post(`${at}/symptoms`, symptomDto(bench.now(), { sessionId: session.id }))).toMatchObject({
      status: 404,
      body: { code: 'session-missing' },
    });
    expect((await bench.post(`${at}/symptoms`, symptomDto(bench.now(), { intensity: 2, kind: 'ache', moment: 'after' }))).status).toBe(201);
    expect((await record()).symptoms).toHaveLength(1);
  });

  it('that nobody reported cannot be closed', async () => {
    expect(await bench.post(`${at}/stop-sign-closures`, { id: v7(), symptomId: v7(), ground: 'Seen by a doctor.' })).toMatchObject({
      status: 404,
      body: { code: 'symptom-missing' },
    });
  });
});

describe('lists', () => {
  const today = async () => ((await bench.get('/api/today')) as { body: readonly TodayItem[] }).body;
  const caseload = async () => ((await bench.get('/api/caseload')) as { body: readonly CaseloadRow[] }).body;

  it('ask for the first check, then for the signature', async () => {
    expect(await today()).toMatchObject([{ kind: 'screening' }, { kind: 're-check', name: 'Ada Spar' }]);
    expect(await caseload()).toMatchObject([{ here: -1, nextRungName: 'At a wall', gateOpen: false, limiter: { state: 'unknown' } }]);
    await reachOpenGate(bench, id);
    expect(await today()).toMatchObject([{ kind: 'sign', rungName: 'At a wall' }]);
    expect(await caseload()).toMatchObject([{ gateOpen: true, unmet: 0, unknown: 0 }]);
  });

  it('ask about a morning only when it has come', async () => {
    await bench.post(`${at}/sessions`, sessionDto(ago(0)));
    expect((await today()).filter((i) => i.kind === 'morning')).toEqual([]);
    bench.passDays(0.6);
    expect((await today()).filter((i) => i.kind === 'morning')).toMatchObject([
      { performedAt: expect.stringMatching(/^2026-11-24/) as string },
    ]);
  });

  it('put stop signs before anything else', async () => {
    await bench.post(`${at}/symptoms`, symptomDto(bench.now(), { intensity: 7, kind: 'ache', moment: 'during' }));
    expect((await today())[0]).toMatchObject({ kind: 'stop sign', symptom: { intensity: 7, kind: 'ache' } });
    expect(await caseload()).toMatchObject([{ openStopSigns: 1 }]);
  });

  it('count four weeks of load, oldest first', async () => {
    for (const days of [1, 8, 9, 26]) await bench.post(`${at}/sessions`, sessionDto(ago(days), { effort: 5, minutes: 40 }));
    expect((await caseload())[0]?.weekLoads).toEqual([200, 0, 400, 200]);
  });
});
