import type { ClearanceReply, GateSettingsReply, ReadinessReply, RecordReply, TodayItem } from '@myokinet/core/contracts';
import { addDays, instant } from '@myokinet/core/quantities';
import { RULES_VERSION } from '@myokinet/core/readiness';
import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import {
  checkFor,
  PREPARES,
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

const ago = (days: number) => new Date(addDays(bench.now(), -days));
const readiness = async () => ((await bench.get(`${at}/readiness`)) as { body: ReadinessReply }).body;
const record = async () => ((await bench.get(`${at}/record`)) as { body: RecordReply }).body;
const rules = async () => (await readiness()).gate?.unmet.map((f) => f.rule);
const sign = async (own: object = {}) =>
  bench.post(`${at}/clearances`, { id: v7(), ladderId: 'push-up', rungId: 'wall', initials: 'AS', ...own });
const takeBack = (kind: string, factId: string | undefined, reason = 'of somebody else') =>
  bench.post(`${at}/taken-back`, { id: v7(), kind, factId, reason });
const standing = async () => (await record()).clearances[0];

describe('what a signature rested on', () => {
  let signed: ClearanceReply;
  beforeEach(async () => {
    await reachOpenGate(bench, id);
    signed = (await sign()).body as ClearanceReply;
    bench.passDays(0.1);
  });

  it('is kept with it: lines, rules version, likelihood', () => {
    expect(signed.findings?.map((f) => [f.rule, f.met])).toContainEqual(['clean-sessions', true]);
    expect(signed.findings?.every((f) => f.met)).toBe(true);
    expect(signed).toMatchObject({ rulesVersion: RULES_VERSION, likelihood: expect.any(Number) as number });
  });

  it('withdraws it when a trial of its check is corrected, with the reason, and Today says so', async () => {
    const checks = (await bench.get(`${at}/checks`)).body as { trials: { id: string; measureId: string; side: string; value: number }[] }[];
    const trials = checks[0]?.trials.filter((t) => t.measureId === 'wrist-extension' && t.side === 'left') ?? [];
    for (const trial of trials)
      await bench.post(`${at}/trial-corrections`, {
        id: v7(),
        replaces: trial.id,
        measureId: trial.measureId,
        value: 20,
        reason: 'read the other way',
      });
    expect(await standing()).toMatchObject({
      withdrawnBy: 'correction',
      withdrawnReason: expect.stringContaining('read the other way') as string,
    });
    expect((await readiness()).standing.here).toBe(-1);
    const today = (await bench.get('/api/today')).body as TodayItem[];
    expect(today.find((i) => i.kind === 'withdrawn')).toMatchObject({
      rungName: 'At a wall',
      reason: expect.stringContaining('read the other way') as string,
    });
  });

  it('keeps standing when a correction changes nothing that decided', async () => {
    const checks = (await bench.get(`${at}/checks`)).body as { trials: { id: string; measureId: string; value: number }[] }[];
    const trial = checks[0]?.trials[0];
    await bench.post(`${at}/trial-corrections`, {
      id: v7(),
      replaces: trial?.id,
      measureId: trial?.measureId,
      value: (trial?.value ?? 0) + 1,
      reason: 'one off',
    });
    expect((await standing())?.withdrawnAt).toBeUndefined();
  });

  it.each<[string, () => Promise<unknown>]>([
    ['a session is taken back', async () => takeBack('session', (await record()).sessions[0]?.id)],
    ['a check is taken back', async () => takeBack('check', ((await bench.get(`${at}/checks`)).body as { id: string }[])[0]?.id)],
    [
      'the screening is taken back',
      async () => takeBack('screening', ((await bench.get(`${at}/screenings`)).body as { current: { id: string } }).current.id),
    ],
    [
      'a morning turns out to have been bad',
      async () => {
        const { judged: _, ...morning } = (await record()).sessions[0]!.symptoms[0]!;
        const symptom = {
          ...symptomDto(ago(1.5), { ...morning, id: v7(), intensity: 2, kind: 'ache', place: 'wrist', side: 'left' }),
          note: '',
        };
        return bench.post(`${at}/symptom-corrections`, { replaces: morning.id, reason: 'asked again', symptom });
      },
    ],
    [
      'a session turns out to have been done with one set',
      async () => {
        const [session] = (await record()).sessions;
        const was = sessionDto(new Date(session?.performedAt ?? ''));
        const fixed = { ...was, items: was.items.map((i) => ({ ...i, sets: i.sets.slice(0, 1) })) };
        return bench.post(`${at}/session-corrections`, { replaces: session?.id, reason: 'one set only', session: fixed });
      },
    ],
  ])('withdraws it when %s', async (_, correct) => {
    expect(await correct()).toMatchObject({ status: 201 });
    expect(await standing()).toMatchObject({ withdrawnBy: 'correction' });
  });
});

describe('a corrected fact', () => {
  it('takes the place of the one before, which stays on record with the reason', async () => {
    const wrong = sessionDto(ago(1), { effort: 9 });
    await bench.post(`${at}/sessions`, wrong);
    await bench.post(`${at}/symptoms`, symptomDto(ago(0.4), { sessionId: wrong.id }));
    const right = sessionDto(ago(1), { effort: 5 });
    const body = { replaces: wrong.id, reason: 'effort mistyped', session: right };
    expect(await bench.post(`${at}/session-corrections`, body)).toMatchObject({ status: 201, body: { clean: true } });
    const { sessions } = await record();
    expect(sessions).toMatchObject([{ id: right.id, effort: 5, reason: 'effort mistyped', replaced: { id: wrong.id }, symptoms: [{}] }]);
    // The same request again is the same correction; another of the old one is refused.
    expect((await bench.post(`${at}/session-corrections`, body)).status).toBe(201);
    expect(await bench.post(`${at}/session-corrections`, { ...body, session: sessionDto(ago(1)) })).toMatchObject({
      status: 409,
      body: { code: 'fact-not-in-force' },
    });
    expect(() => bench.db.prepare('UPDATE session SET effort = 1').run()).toThrow('sessions are facts');
  });

  it('may be corrected again, and what was felt stays with it', async () => {
    const first = sessionDto(ago(2));
    await bench.post(`${at}/sessions`, first);
    await bench.post(`${at}/symptoms`, symptomDto(ago(1.4), { sessionId: first.id }));
    let replaces = first.id;
    for (const effort of [6, 7]) {
      const session = sessionDto(ago(2), { effort });
      await bench.post(`${at}/session-corrections`, { replaces, reason: 'again', session });
      replaces = session.id;
    }
    expect((await record()).sessions).toMatchObject([{ effort: 7, symptoms: [{ moment: 'next morning' }] }]);
  });

  it('of a stop sign that was none opens the gate again, and of an ache that was one shuts it', async () => {
    await reachOpenGate(bench, id);
    const sharp = symptomDto(ago(0.2), { intensity: 3, kind: 'sharp', moment: 'during' });
    await bench.post(`${at}/symptoms`, sharp);
    expect(await rules()).toContain('stop-signs');
    const ache = symptomDto(ago(0.2), { intensity: 1, kind: 'ache', moment: 'during' });
    await bench.post(`${at}/symptom-corrections`, { replaces: sharp.id, reason: 'misheard', symptom: ache });
    expect(await rules()).toEqual([]);
    const again = symptomDto(ago(0.2), { intensity: 3, kind: 'sharp', moment: 'during' });
    await bench.post(`${at}/symptom-corrections`, { replaces: ache.id, reason: 'heard right', symptom: again });
    expect(await rules()).toContain('stop-signs');
  });

  it('of a check: the one before it counts again', async () => {
    await bench.post(`${at}/checks`, checkFor('wall', ago(2)));
    const later = checkFor('wall', ago(1), () => 1);
    await bench.post(`${at}/checks`, later);
    expect((await readiness()).headrooms.some((h) => h.state === 'short')).toBe(true);
    expect((await takeBack('check', later.id)).status).toBe(201);
    expect((await readiness()).headrooms.every((h) => h.state === 'spare')).toBe(true);
    expect((await record()).takenBack).toMatchObject([{ kind: 'check', factId: later.id, reason: 'of somebody else' }]);
    // A trial of it that is corrected afterwards does not bring it back.
    const [trial] = later.trials;
    const late = { id: v7(), replaces: trial?.id, measureId: trial?.measureId, value: 3, reason: 'late' };
    expect(await bench.post(`${at}/trial-corrections`, late)).toMatchObject({ status: 409, body: { code: 'fact-not-in-force' } });
    expect((await readiness()).headrooms.every((h) => h.state === 'spare')).toBe(true);
  });

  it.each([['session'], ['symptom'], ['check'], ['screening']])('is nobody else’s %s, and taken back once', async (kind) => {
    expect(await takeBack(kind, v7())).toMatchObject({ status: 404, body: { code: 'fact-missing' } });
    const screening = screeningDto(ago(1));
    await bench.post(`${at}/screenings`, screening);
    expect((await takeBack('screening', screening.id)).status).toBe(201);
    expect(await takeBack('screening', screening.id)).toMatchObject({ status: 409, body: { code: 'fact-not-in-force' } });
    expect(await takeBack(kind, screening.id, 'x')).toMatchObject({ status: 422, body: { fields: [{ field: '/reason' }] } });
  });
});

describe('signing against unmet lines', () => {
  it('takes a written reason, which is marked and stays, and never goes against a line that guards safety', async () => {
    await bench.post(`${at}/screenings`, screeningDto(ago(6)));
    await bench.post(`${at}/checks`, checkFor('wall', ago(1)));
    expect(await rules()).toEqual(['clean-sessions']);
    expect(await sign()).toMatchObject({ status: 409, body: { code: 'gate-closed' } });
    expect(await sign({ against: 'short' })).toMatchObject({ status: 422, body: { fields: [{ field: '/against' }] } });
    await bench.post(`${at}/symptoms`, symptomDto(ago(0.1), { intensity: 4, kind: 'ache', moment: 'during' }));
    expect(await sign({ against: 'Trains with me since years.' })).toMatchObject({
      status: 409,
      body: { detail: expect.stringContaining('ache 4/10') as string },
    });
    bench.passDays(7.2);
    expect(await sign({ against: 'Trains with me since years.' })).toMatchObject({
      status: 201,
      body: { against: 'Trains with me since years.' },
    });
    expect((await standing())?.findings?.filter((f) => !f.met).map((f) => f.rule)).toEqual(['clean-sessions']);
  });
});

describe('settings of gates', () => {
  const set = (choices: object, own: object = {}) =>
    bench.put('/api/gate-settings', { id: v7(), basedOn: null, traineeId: null, choices, reason: '', ...own });

  it('ask for more, of everybody or of one, and each change is on record', async () => {
    await reachOpenGate(bench, id);
    expect(await rules()).toEqual([]);
    const { body } = await set({ cleanSessions: 3 });
    expect(body).toMatchObject({ settings: { cleanSessions: 3, quietDays: 7 }, changes: [{ choices: { cleanSessions: 3 } }] });
    expect(await rules()).toEqual(['clean-sessions']);
    const { changes } = body as GateSettingsReply;
    expect(await set({ cleanSessions: 4 })).toMatchObject({ status: 409, body: { code: 'edited-elsewhere' } });
    await set({ cleanSessions: 2 }, { traineeId: id, reason: 'known for years' });
    expect(await rules()).toEqual([]);
    await set({ cleanSessions: 2, quietDays: 14 }, { basedOn: changes[0]?.id });
    expect(((await bench.get('/api/gate-settings')).body as GateSettingsReply).changes).toHaveLength(3);
  });

  it.each([
    ['less than the rules', { cleanSessions: 1 }],
    ['what nobody may set', { sides: 3 }],
    ['half a day', { quietDays: 7.5 }],
    ['a word', { hoursApart: 'many' }],
    ['the language', { constructor: 3 }],
  ])('refuse %s', async (_, choices) => {
    expect((await set(choices)).status).toBeGreaterThanOrEqual(400);
    expect(((await bench.get('/api/gate-settings')).body as GateSettingsReply).changes).toEqual([]);
  });

  it('change nothing about what was signed before', async () => {
    await reachOpenGate(bench, id);
    await sign();
    bench.passDays(0.1);
    await set({ cleanSessions: 6 });
    const [session] = (await record()).sessions;
    await bench.post(`${at}/session-corrections`, {
      replaces: session?.id,
      reason: 'note added',
      session: { ...sessionDto(new Date(session?.performedAt ?? ''), {}, [PREPARES]), note: 'By the window.' },
    });
    expect((await standing())?.withdrawnAt).toBeUndefined();
    expect(instant(bench.now())).toBeTruthy();
  });
});
