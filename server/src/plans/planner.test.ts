import ICAL from 'ical.js';
import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { PlanBriefDto, PlanBriefReply, PlanDto, PlanReply, PlanTemplateDto, SessionDto } from '@myokinet/core/contracts';
import { type TestBench, testBench, traineeDto } from '../testBench.ts';

let bench: TestBench;
let at: string;
beforeEach(async () => {
  bench = await testBench();
  const trainee = traineeDto();
  await bench.post('/api/trainees', trainee);
  at = `/api/trainees/${trainee.id}`;
});
afterEach(() => bench.close());

const item = (drillId = 'plank', own: Partial<PlanDto['sessions'][number]['items'][number]> = {}) => ({
  id: v7(),
  drillId,
  sets: 2,
  min: 20,
  max: 30,
  restSeconds: 45,
  why: 'For the plank.',
  ...own,
});
const week = (weekStart: string, days: string[], own: Partial<PlanDto> = {}): PlanDto => ({
  id: v7(),
  weekStart,
  revision: v7(),
  basedOn: null,
  sessions: days.map((day) => ({ id: v7(), day, items: [item()] })),
  notes: [],
  leftOut: [],
  ...own,
});
const block = (...plans: PlanDto[]) => ({ revision: v7(), plans });

describe('a block of weeks', () => {
  it('is saved and read whole, with places, forms, pins and set-ups', async () => {
    const first = week('2026-11-23', ['2026-11-26']);
    const own = { setUp: { position: 'plank' }, wanted: 0.5 } as const;
    first.sessions[0] = {
      ...first.sessions[0]!,
      place: 'deck',
      form: 'circuit',
      items: [item('plank', { pinned: true, support: own, without: 'Less.' })],
    };
    const plans = [first, week('2026-11-30', ['2026-12-01', '2026-12-03'])];
    expect(await bench.put(`${at}/plans`, block(...plans))).toMatchObject({ status: 200, body: plans });
    const read = (await bench.get(`${at}/plans?from=2026-11-23&weeks=4`)) as { body: PlanReply[] };
    expect(read.body).toMatchObject(plans);
    expect((await bench.get(`${at}/plans?from=2026-11-30&weeks=1`)).body).toHaveLength(1);
  });

  it('is saved as a whole or not at all', async () => {
    const one = week('2026-11-23', ['2026-11-26']);
    await bench.put(`${at}/plans`, block(one));
    const stale = week('2026-11-23', ['2026-11-27'], { id: one.id });
    const answer = await bench.put(`${at}/plans`, block(week('2026-11-30', ['2026-12-01']), stale));
    expect(answer).toMatchObject({ status: 409, body: { code: 'edited-elsewhere' } });
    expect((await bench.get(`${at}/plans?from=2026-11-23&weeks=4`)).body).toHaveLength(1);
  });

  it('is the same when the request comes twice', async () => {
    const dto = block(week('2026-11-23', ['2026-11-26']));
    await bench.put(`${at}/plans`, dto);
    expect((await bench.put(`${at}/plans`, dto)).status).toBe(200);
    expect(bench.db.prepare('SELECT count(*) FROM plan_revision').pluck().get()).toBe(1);
  });

  it.each<[string, (dto: ReturnType<typeof block>) => object, RegExp]>([
    ['a week twice', (dto) => ({ ...dto, plans: [dto.plans[0], { ...dto.plans[0], id: v7() }] }), /named twice/],
    ['no week', (dto) => ({ ...dto, plans: [] }), /no week to save/],
    [
      'an unknown form',
      (dto) => ({ ...dto, plans: [{ ...dto.plans[0], sessions: [{ ...dto.plans[0]!.sessions[0], form: 'sprint' }] }] }),
      /form/,
    ],
  ])('is refused with %s', async (_, change, message) => {
    const { status, body } = (await bench.put(`${at}/plans`, change(block(week('2026-11-23', ['2026-11-26']))))) as {
      status: number;
      body: unknown;
    };
    expect(status).toBe(422);
    expect(JSON.stringify(body)).toMatch(message);
  });

  it('is asked for by a day and 1 to 16 weeks', async () => {
    expect((await bench.get(`${at}/plans?from=soon&weeks=2`)).status).toBe(422);
    expect((await bench.get(`${at}/plans?from=2026-11-23&weeks=99`)).status).toBe(422);
  });
});

describe('a brief', () => {
  const current = async () => ((await bench.get(`${at}/brief`)) as { body: PlanBriefReply }).body;
  const dto = (from: PlanBriefReply, own: object = {}): PlanBriefDto =>
    ({ ...structuredClone(from), revision: v7(), basedOn: from.revision, ...own }) as unknown as PlanBriefDto;

  it('is the profile’s until one is written', async () => {
    const { trainingDays, sessionMinutes } = traineeDto();
    const brief = await current();
    expect(brief.revision).toBeNull();
    expect(brief.days.map((d) => d.weekday)).toEqual(trainingDays);
    expect(brief.days.every((d) => d.minutes === sessionMinutes)).toBe(true);
  });

  it('is saved in revisions, of which the second of two tabs is told', async () => {
    const before = await current();
    const first = dto(before, { weeks: 6, always: ['plank'] });
    expect(await bench.put(`${at}/brief`, first)).toMatchObject({
      status: 200,
      body: { weeks: 6, always: ['plank'], revision: first.revision },
    });
    expect(await bench.put(`${at}/brief`, dto(before, { weeks: 2 }))).toMatchObject({ status: 409, body: { code: 'edited-elsewhere' } });
    expect((await bench.put(`${at}/brief`, dto(await current(), { weeks: 2 }))).status).toBe(200);
    expect((await current()).weeks).toBe(2);
  });

  const event = { id: v7(), name: 'Hauling', weekday: 'Tuesday', effort: 7, minutes: 60, joints: ['grip'] };
  it.each<[string, object, RegExp]>([
    ['52 weeks', { weeks: 52 }, /at most 8 weeks/],
    ['a day named twice', { days: [1, 2].map(() => ({ weekday: 'Monday', minutes: 30, place: 'gym', form: 'sets' })) }, /named twice/],
    ['two minutes', { days: [{ weekday: 'Monday', minutes: 2, place: 'gym', form: 'sets' }] }, /at least 5/],
    ['an hour that is none', { days: [{ weekday: 'Monday', minutes: 30, place: 'gym', form: 'sets', at: '25:00' }] }, /like 17:30/],
    ['a drill that is not there', { never: ['no-such-drill'] }, /no drill called/],
    ['an event on no day', { events: [{ ...event, weekday: undefined }] }, /on a weekday of every week, or on one date/],
    ['effort of 11', { events: [{ ...event, effort: 11 }] }, /from 0 to 10/],
    ['a pause that ends first', { pauses: [{ from: '2026-12-05', to: '2026-12-01', reason: 'illness' }] }, /before it begins/],
    ['growth of 90%', { ramp: 0.9 }, /at most 50%/],
  ])('is refused with %s', async (_, own, message) => {
    const { status, body } = (await bench.put(`${at}/brief`, dto(await current(), own))) as { status: number; body: unknown };
    expect(status).toBe(422);
    expect(JSON.stringify(body)).toMatch(message);
  });
});

describe('templates', () => {
  const template = (name = 'First month'): PlanTemplateDto => ({
    id: v7(),
    name,
    note: '',
    sessions: [{ week: 0, weekday: 'Monday', place: 'gym', form: 'sets', items: [{ drillId: 'plank', sets: 3 }] }],
  });

  it('are kept, listed by name and taken off the list', async () => {
    const [b, a] = [template('B'), template('A')];
    expect((await bench.post('/api/plan-templates', b)).status).toBe(201);
    await bench.post('/api/plan-templates', a);
    expect((await bench.get('/api/plan-templates')).body).toMatchObject([a, b]);
    expect((await bench.delete(`/api/plan-templates/${a.id}`)).body).toMatchObject([b]);
    expect(await bench.delete(`/api/plan-templates/${a.id}`)).toMatchObject({ status: 404, body: { code: 'template-missing' } });
  });

  it('need a name', async () => expect((await bench.post('/api/plan-templates', template(' '))).status).toBe(422));
});

describe('the calendar file', () => {
  const events = async () => {
    const { body } = (await bench.get(`${at}/calendar.ics`)) as unknown as { body: string };
    const calendar = new ICAL.Component(ICAL.parse(body));
    return calendar.getAllSubcomponents('vevent').map((e) => new ICAL.Event(e));
  };

  it('is read by a reference library: a session a day, or at its hour', async () => {
    await bench.put(`${at}/plans`, block(week('2026-11-30', ['2026-12-01', '2026-12-03'])));
    const [first, second] = await events();
    expect([first?.startDate.toString(), first?.startDate.isDate]).toEqual(['2026-12-01', true]);
    expect(second?.uid).toMatch(/^session-.*@myokinet$/);
    expect(first?.description).toContain('Plank: 2 × 20–30');
    const brief = ((await bench.get(`${at}/brief`)) as { body: PlanBriefReply }).body;
    const days = [{ weekday: 'Tuesday', minutes: 45, place: 'gym', form: 'sets', at: '17:30' }];
    await bench.put(`${at}/brief`, { ...brief, revision: v7(), basedOn: null, days });
    const timed = (await events())[0]!;
    expect(timed.startDate.toString()).toBe('2026-12-01T17:30:00');
    // An hour without a zone is the hour of whoever looks at it.
    expect(timed.startDate.zone).toBe(ICAL.Timezone.localTimezone);
  });

  it('keeps the UID of a session that moves, counts its versions, and cancels what was taken out', async () => {
    const plan = week('2026-11-30', ['2026-12-01', '2026-12-03']);
    await bench.put(`${at}/plans`, block(plan));
    const before = await events();
    const [moved] = plan.sessions;
    const next = { ...plan, revision: v7(), basedOn: plan.revision, sessions: [{ ...moved!, day: '2026-12-02' }] };
    await bench.put(`${at}/plans`, block(next));
    const after = await events();
    const find = (uid: string) => after.find((e) => e.uid === uid)!;
    const [first, second] = before.map((e) => find(e.uid));
    expect([first?.startDate.toString(), first?.sequence]).toEqual(['2026-12-02', 1]);
    expect([second?.component.getFirstPropertyValue('status'), second?.sequence]).toEqual(['CANCELLED', 1]);
    expect(new Set(after.map((e) => e.uid)).size).toBe(after.length);
  });

  it('leaves what is over', async () => {
    await bench.put(`${at}/plans`, block(week('2026-11-23', ['2026-11-23'])));
    expect((await events()).filter((e) => e.uid.startsWith('session-'))).toEqual([]);
  });
});

it('a session is logged in its own set-up, and loads the hands by it', async () => {
  const support = { setUp: { position: 'plank' }, wanted: 0.3 } as const;
  const log: SessionDto = {
    id: v7(),
    plannedSessionId: null,
    performedAt: '2026-11-24T08:00:00.000Z',
    effort: 5,
    minutes: 30,
    note: '',
    items: [
      {
        id: v7(),
        drillId: 'plank',
        plannedSets: 1,
        min: 20,
        max: 30,
        support: { ...support },
        sets: [{ id: v7(), side: 'whole', amount: 30, faults: [] }],
      },
    ],
    symptoms: [],
  };
  const { body } = (await bench.post(`${at}/sessions`, log)) as unknown as {
    body: { handLoad: { push: number; byJoint: Record<string, number> } };
  };
  expect(body.handLoad.push).toBeCloseTo(9, 9);
  expect(body.handLoad.byJoint['wrist']).toBeCloseTo(9, 9);
  const record = (await bench.get(`${at}/record`)) as unknown as { body: { sessions: { items: { support: unknown }[] }[] } };
  expect(record.body.sessions[0]?.items[0]?.support).toEqual(support);
});
