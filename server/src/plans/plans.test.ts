import { v7 } from 'uuid';
import { afterEach, beforeEach, expect, it } from 'vitest';
import type { PlanDto, CaseloadRow } from '@myokinet/core/contracts';
import { screeningDto, type TestBench, testBench, traineeDto } from '../testBench.ts';

let bench: TestBench;
let week: string;
beforeEach(async () => {
  bench = await testBench();
  const trainee = traineeDto();
  await bench.post('/api/trainees', trainee);
  week = `/api/trainees/${trainee.id}/plans/2026-11-23`;
});
afterEach(() => bench.close());

const plan = (own: Partial<PlanDto> = {}): PlanDto => ({
  id: v7(),
  weekStart: '2026-11-23',
  revision: v7(),
  basedOn: null,
  sessions: [
    {
      id: v7(),
      day: '2026-11-26',
      items: [{ id: v7(), drillId: 'plank', sets: 3, min: 20, max: 30, restSeconds: 45, why: 'For the plank.' }],
    },
  ],
  notes: ['A rule.'],
  leftOut: [{ drillId: 'wrist-circles', why: 'No time.' }],
  ...own,
});

it('a week without a plan says so', async () => {
  expect(await bench.get(week)).toMatchObject({
    status: 404,
    body: { code: 'plan-missing', detail: 'There is no plan for the week of 2026-11-23 yet.' },
  });
});

it('is saved and read whole, and shows in the caseload', async () => {
  const dto = plan();
  expect(await bench.put(week, dto)).toMatchObject({ status: 200, body: dto });
  expect(await bench.get(week)).toMatchObject({ status: 200, body: dto });
  expect(((await bench.get('/api/caseload')) as { body: CaseloadRow[] }).body).toMatchObject([{ nextSessionOn: '2026-11-26' }]);
});

it('of two tabs the second is told, and loses nothing of the first', async () => {
  const first = plan();
  await bench.put(week, first);
  const edit = (notes: string[]) => ({ ...first, notes, basedOn: first.revision, revision: v7() });
  expect((await bench.put(week, edit(['Tab one.']))).status).toBe(200);
  expect(await bench.put(week, edit(['Tab two.']))).toMatchObject({ status: 409, body: { code: 'edited-elsewhere' } });
  expect(await bench.get(week)).toMatchObject({ body: { notes: ['Tab one.'] } });
  expect(bench.db.prepare('SELECT count(*) FROM plan_revision').pluck().get()).toBe(2);
});

it('keeps the reason for which a drill is planned all the same, and lets nobody talk a lock round', async () => {
  const overruled = (own: Partial<PlanDto> = {}) => {
    const dto = plan(own);
    return {
      ...dto,
      sessions: dto.sessions.map((s) => ({ ...s, items: s.items.map((i) => ({ ...i, overruled: 'Did it at the other studio.' })) })),
    };
  };
  // Nobody has screened this trainee yet: only unloaded work.
  expect(await bench.put(week, overruled())).toMatchObject({
    status: 409,
    body: {
      code: 'lock-not-overruled',
      detail: expect.stringMatching(/^“Plank” stays closed, whatever the reason: Not screened/) as string,
    },
  });
  expect(bench.db.prepare('SELECT count(*) FROM plan_revision').pluck().get()).toBe(0);
  await bench.post(week.replace(/\/plans.*/, '/screenings'), screeningDto(bench.now()));
  const dto = overruled();
  expect(await bench.put(week, dto)).toMatchObject({
    status: 200,
    body: { sessions: [{ items: [{ overruled: 'Did it at the other studio.' }] }] },
  });
  // A lock that comes later closes it on the floor; the week can still be edited.
  await bench.post(week.replace(/\/plans.*/, '/screenings'), screeningDto(bench.now(), { 'medical-hold': 'whole' }));
  expect((await bench.put(week, { ...dto, basedOn: dto.revision, revision: v7(), notes: ['Later.'] })).status).toBe(200);
});

it('does not start a second plan for the same week', async () => {
  await bench.put(week, plan());
  expect(await bench.put(week, plan())).toMatchObject({ status: 409, body: { code: 'edited-elsewhere' } });
});

it('is the same when the request comes twice', async () => {
  const dto = plan();
  await bench.put(week, dto);
  expect((await bench.put(week, dto)).status).toBe(200);
  expect(bench.db.prepare('SELECT count(*) FROM plan_revision').pluck().get()).toBe(1);
});

it('is refused at another address than its week', async () => {
  expect(await bench.put(week, plan({ weekStart: '2026-11-30' }))).toMatchObject({ status: 404, body: { code: 'plan-missing' } });
});

it('tells in whose weeks a drill is, from this one on', async () => {
  const dto = plan();
  const more = (drills: readonly string[]) =>
    drills.map((drillId) => ({ id: v7(), drillId, sets: 1, min: 20, max: 20, restSeconds: 10, why: 'For the plank.' }));
  const twice = { ...dto, sessions: [...dto.sessions, { id: v7(), day: '2026-11-24', items: more(['plank', 'plank']) }] };
  await bench.put(week, twice);
  const uses = async (drill: string) => (await bench.get(`/api/drills/${drill}/plans`)).body;
  expect(await uses('plank')).toEqual([
    { traineeId: week.split('/')[3], name: 'Ada Spar', weekStart: '2026-11-23', days: ['2026-11-24', '2026-11-26'] },
  ]);
  expect(await uses('wrist-circles')).toEqual([]);
  expect(await uses("' OR 1=1 --")).toEqual([]);
  await bench.put(week, plan({ id: dto.id, basedOn: dto.revision, sessions: [] }));
  expect(await uses('plank')).toEqual([]);
});

it('a week gone by is no use any more', async () => {
  await bench.put(week, plan());
  bench.passDays(7);
  expect((await bench.get('/api/drills/plank/plans')).body).toEqual([]);
});
