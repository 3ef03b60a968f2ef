import { BUILT_IN_LIBRARY } from '@myokinet/core/catalogue';
import { say } from '@myokinet/core/words';
import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { ConsultationDto, ReadinessReply, ScreeningsReply, TraineeReply } from '@myokinet/core/contracts';
import { addDays, calendarDay } from '@myokinet/core/quantities';
import {
  answerScreening,
  checkFor,
  reachOpenGate,
  screeningDto,
  sessionDto,
  symptomDto,
  type TestBench,
  testBench,
  traineeDto,
} from '../testBench.ts';

let bench: TestBench;
const trainee = traineeDto();
const at = `/api/trainees/${trainee.id}`;
beforeEach(async () => {
  bench = await testBench();
  await bench.post('/api/trainees', trainee);
});
afterEach(() => bench.close());

const screenOf = async () => ((await bench.get(at)).body as TraineeReply).screening;
const unmet = async () =>
  ((await bench.get(`${at}/readiness`)).body as ReadinessReply).gate?.unmet.map((f) =>
    say(f, { headrooms: [], measureOf: BUILT_IN_LIBRARY.measure, now: bench.now() }),
  ) ?? [];

function consultation(screeningId: string, own: Partial<ConsultationDto> = {}): ConsultationDto {
  return {
    id: v7(),
    screeningId,
    cautionIds: ['medical-hold'],
    role: 'general practitioner',
    consultedOn: calendarDay(bench.now()),
    allowed: 'Training without straining.',
    permit: { loadPerArm: 0.5, overhead: true, hanging: true, headDown: false, effort: 7, until: calendarDay(addDays(bench.now(), 60)) },
    ...own,
  };
}

describe('the screening before training', () => {
  it('keeps every gate closed until it is answered', async () => {
    expect(await unmet()).toContain('The screening before training has not been answered yet.');
    expect(await bench.get('/api/today')).toMatchObject({ body: [{ kind: 'screening', traineeId: trainee.id }, { kind: 're-check' }] });
    expect(await bench.post(`${at}/screenings`, screeningDto(bench.now()))).toMatchObject({ status: 201 });
    expect((await screenOf()).state).toBe('fresh');
    expect((await unmet()).join(' ')).not.toContain('screening');
  });

  it('locks by an answer, and opens only when a professional’s word is on record', async () => {
    await reachOpenGate(bench, trainee.id);
    const screening = screeningDto(bench.now(), { 'medical-hold': 'whole' });
    await answerScreening(bench, at, screening);
    expect(await unmet()).toEqual([expect.stringMatching(/^Medical hold: .*Because: a doctor advised against straining\.$/)]);
    const sign = { id: v7(), ladderId: 'push-up', rungId: 'wall', initials: 'BC' };
    expect(await bench.post(`${at}/clearances`, sign)).toMatchObject({ status: 409, body: { code: 'gate-closed' } });

    expect(await bench.post(`${at}/consultations`, consultation(screening.id))).toMatchObject({
      status: 201,
      body: { consultations: [{ role: 'general practitioner', about: [{ questionId: 'medical-hold', side: 'whole' }] }] },
    });
    expect(await unmet()).toEqual([]);
    expect((await screenOf()).lifted).toMatchObject([
      { id: 'medical-hold', role: 'general practitioner', allowed: 'Training without straining.' },
    ]);
    expect(await bench.post(`${at}/clearances`, { ...sign, id: v7() })).toMatchObject({ status: 201 });
  });

  it('keeps every screening; a consultation is about the newest one only', async () => {
    const [first, second] = [screeningDto(new Date(addDays(bench.now(), -2)), { 'medical-hold': 'whole' }), screeningDto(bench.now())];
    await bench.post(`${at}/screenings`, first);
    await answerScreening(bench, at, second);
    expect(await bench.get(`${at}/screenings`)).toMatchObject({ body: { current: { id: second.id }, earlier: [{ id: first.id }] } });
    expect(await bench.post(`${at}/consultations`, consultation(first.id))).toMatchObject({
      status: 409,
      body: { code: 'screening-missing' },
    });
    expect(((await bench.get(`${at}/screenings`)).body as ScreeningsReply).consultations).toEqual([]);
  });

  it('taken back opens nothing, unless it was a slip of a few minutes: what it said yes to needs a professional’s word', async () => {
    const takeBack = (factId: string) => bench.post(`${at}/taken-back`, { id: v7(), kind: 'screening', factId, reason: 'Asked in haste.' });
    const locks = async () => (await screenOf()).locks.map((l) => (l.code === 'caution' ? l.caution.id : l.code));
    const slip = screeningDto(new Date(bench.now().getTime() - 5 * 60_000), { 'medical-hold': 'whole' });
    await bench.post(`${at}/screenings`, slip);
    await takeBack(slip.id);
    expect(await locks()).toEqual(['never-screened']);
    const meant = screeningDto(new Date(bench.now().getTime() - 11 * 60_000), { 'medical-hold': 'whole' });
    await bench.post(`${at}/screenings`, meant);
    await takeBack(meant.id);
    expect(await locks()).toEqual(['never-screened', 'medical-hold']);
    await bench.post(`${at}/screenings`, screeningDto(bench.now()));
    expect(await locks()).toEqual(['medical-hold']);
  });

  it('names the one it builds on: of two people who answer at once the later is told', async () => {
    const [ours, theirs] = [screeningDto(bench.now()), screeningDto(bench.now(), { 'medical-hold': 'whole' })];
    expect(await bench.post(`${at}/screenings`, theirs)).toMatchObject({ status: 201 });
    expect(await bench.post(`${at}/screenings`, ours)).toMatchObject({ status: 409, body: { code: 'edited-elsewhere' } });
    expect((await screenOf()).locks).toMatchObject([{ code: 'caution', caution: { id: 'medical-hold' } }]);
  });

  it('is the same when the request comes twice, and is never changed', async () => {
    const dto = screeningDto(bench.now());
    await bench.post(`${at}/screenings`, dto);
    expect(await bench.post(`${at}/screenings`, dto)).toMatchObject({ status: 201 });
    expect(bench.db.prepare('SELECT count(*) FROM screening').pluck().get()).toBe(1);
    expect(() => bench.db.prepare("UPDATE screening SET note = 'else'").run()).toThrow('screenings are facts');
    expect(() => bench.db.prepare('DELETE FROM consultation').run()).not.toThrow();
  });

  it('is refused with a hole in it, naming the question', async () => {
    const dto = screeningDto(bench.now());
    const reply = await bench.post(`${at}/screenings`, { ...dto, answers: dto.answers.slice(2) });
    expect(reply).toMatchObject({ status: 422, body: { fields: [{ field: '/answers' }] } });
    expect((await screenOf()).state).toBe('missing');
  });

  it('grows old within half a year', async () => {
    await bench.post(`${at}/screenings`, screeningDto(bench.now()));
    bench.passDays(181);
    expect((await screenOf()).state).toBe('stale');
  });

  it('closes the rungs that a rebuilding wrist must not stand on, and leaves the rest open', async () => {
    await bench.post(`${at}/screenings`, screeningDto(bench.now(), { 'wrist-injury': 'right' }));
    const { closedRungs } = (await bench.get(`${at}/readiness`)).body as ReadinessReply;
    expect(Object.keys(closedRungs)).toContain('floor');
    expect(Object.keys(closedRungs)).not.toContain('wall');
    expect(closedRungs.floor?.because).toEqual([{ code: 'answered', questionId: 'wrist-injury', answer: 'yes', side: 'right' }]);
  });

  it('takes nobody else’s trainee', async () => {
    expect(await bench.get(`/api/trainees/${v7()}/screenings`)).toMatchObject({ status: 404, body: { code: 'trainee-missing' } });
  });
});

it('takes a session by feel and gives it back', async () => {
  const session = sessionDto(bench.now());
  const felt = { ...session, items: session.items.map((i) => ({ ...i, sets: i.sets.map((s) => ({ ...s, feeling: 'right' })) })) };
  expect(await bench.post(`${at}/sessions`, felt)).toMatchObject({ status: 201, body: { clean: true } });
  expect(await bench.get(`${at}/record`)).toMatchObject({ body: { sessions: [{ items: [{ sets: [{ feeling: 'right' }, {}] }] }] } });
  await bench.post(`${at}/symptoms`, symptomDto(bench.now(), { sessionId: session.id }));
});

it('takes readings below zero where a check has them', async () => {
  const check = checkFor('wall', bench.now());
  const trials = [{ id: v7(), measureId: 'elbow-extension', side: 'left' as const, value: -6 }];
  expect(await bench.post(`${at}/checks`, { ...check, trials })).toMatchObject({ status: 201, body: { capacities: [{ value: -6 }] } });
});

describe('health besides the screening', () => {
  const post = (path: string, body: object) => bench.post(`${at}/${path}`, { id: v7(), ...body });
  const ids = async () => (await screenOf()).cautions.map((c) => c.id);

  it('a fever locks until 48 hours after it, by its own days', async () => {
    await bench.post(`${at}/screenings`, screeningDto(bench.now()));
    const since = calendarDay(addDays(bench.now(), -3));
    expect(await post('before-session', { at: bench.now().toISOString(), yes: ['fever'], ill: { since } })).toMatchObject({
      status: 201,
      body: { before: [{ yes: ['fever'], ill: { since } }] },
    });
    expect(await ids()).toEqual(['fever']);
    expect((await unmet()).join(' ')).toContain('Fever, or not yet 48 hours without');
    bench.passDays(5);
    await post('before-session', { at: bench.now().toISOString(), yes: [] });
    expect(await ids()).toEqual(['after-fever']);
    // Ill for six days: half for as many.
    bench.passDays(6.1);
    expect(await ids()).toEqual([]);
  });

  it('an injury since then is asked about in the screening before anything strains', async () => {
    await bench.post(`${at}/screenings`, screeningDto(bench.now()));
    await post('before-session', { at: bench.now().toISOString(), yes: ['injury'] });
    expect(await ids()).toEqual(['changed-since']);
    bench.passDays(0.1);
    const { current } = (await bench.get(`${at}/screenings`)).body as ScreeningsReply;
    await bench.post(`${at}/screenings`, { ...screeningDto(bench.now()), basedOn: current?.id ?? null });
    expect(await ids()).toEqual([]);
  });

  it.each([
    ['before-session', { at: '2026-11-24T09:00:00.000Z', yes: ['fever'] }, 'Say since which day there was a fever.'],
    [
      'before-session',
      { at: '2026-11-24T09:00:00.000Z', yes: [], ill: { since: '2026-11-20' } },
      'Days of illness go with a yes to fever.',
    ],
    ['before-session', { at: '2030-11-24T09:00:00.000Z', yes: [] }, 'in the future'],
    ['before-session', { at: '2026-11-24T09:00:00.000Z', yes: ['cough'] }, 'The questions are'],
    ['blood-pressures', { takenAt: '2026-11-24T09:00:00.000Z', systolic: 90, diastolic: 120 }, 'lower figure lies below'],
    ['blood-pressures', { takenAt: '2026-11-24T09:00:00.000Z', systolic: 12, diastolic: 8 }, 'whole number from 60 to 260 mmHg'],
    ['consents', { role: 'neighbour', givenOn: '2026-11-20', agreed: true }, 'Say who by role'],
    ['consents', { role: 'parent', givenOn: '2031-11-20', agreed: true }, 'in the future'],
  ])('%s refuses %j and keeps nothing', async (path, body, sentence) => {
    const { status, body: problem } = await post(path, body);
    expect([status, JSON.stringify(problem)]).toEqual([422, expect.stringContaining(sentence)]);
    expect(((await bench.get(`${at}/screenings`)).body as ScreeningsReply).health).toEqual({ before: [], pressures: [], consents: [] });
  });

  it('a reading and a consent count in every list', async () => {
    const child = traineeDto({ birthYear: 2014 });
    await bench.post('/api/trainees', child);
    const of = async () =>
      ((await bench.get(`/api/trainees/${child.id}`)).body as TraineeReply).screening.cautions
        .map((c) => c.id)
        .filter((id) => id !== 'unscreened');
    expect(await of()).toEqual(['no-consent', 'minor']);
    await bench.post(`/api/trainees/${child.id}/consents`, { id: v7(), role: 'guardian', givenOn: calendarDay(bench.now()), agreed: true });
    await bench.post(`/api/trainees/${child.id}/blood-pressures`, {
      id: v7(),
      takenAt: bench.now().toISOString(),
      systolic: 150,
      diastolic: 80,
    });
    expect((await of()).sort()).toEqual(['minor', 'raised-pressure']);
    const list = (await bench.get('/api/caseload')).body as { id: string; cautions?: unknown }[];
    expect(list.some((r) => r.id === child.id)).toBe(true);
  });
});
