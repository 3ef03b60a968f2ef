import type {
  CalibrationReply,
  FloorRunReply,
  FloorRunRow,
  LibraryReply,
  PlanBriefReply,
  PlanReply,
  PlanTemplateReply,
  ReadinessReply,
  RecordReply,
} from '@myokinet/core/contracts';
import { instant } from '@myokinet/core/quantities';
import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { servicesFor } from '../services.ts';
import { buildApp } from '../app.ts';
import { STUDIO_ID } from '../context.ts';
import { BUILT_IN_COACH } from '../actor.ts';
import { openSeat } from '../seat.ts';
import { reachOpenGate, sessionDto, type TestBench, testBench, traineeDto } from '../testBench.ts';

let bench: TestBench;
let traineeId: string;
let at: string;
beforeEach(async () => {
  bench = await testBench();
  const trainee = traineeDto();
  traineeId = trainee.id;
  at = `/api/trainees/${traineeId}`;
  await bench.post('/api/trainees', trainee);
});
afterEach(() => bench.close());

/** As a slip of an older program or of a hand would leave it. */
function damage(table: string, column: string, document: string, version = 1): void {
  for (const trigger of bench.db
    .prepare<[string], string>(`SELECT name FROM sqlite_schema WHERE type = 'trigger' AND tbl_name = ?`)
    .pluck()
    .all(table))
    bench.db.exec(`DROP TRIGGER "${trigger}"`);
  bench.db.prepare(`UPDATE ${table} SET ${column} = ?, ${column}_version = ?`).run(document, version);
}
const read = async <T>(path: string) => {
  const reply = await bench.get(path);
  expect([path, reply.status]).toEqual([path, 200]);
  return reply.body as T;
};
const week = (weekStart: string, day: string) => ({
  id: v7(),
  weekStart,
  revision: v7(),
  basedOn: null,
  sessions: [{ id: v7(), day, items: [{ id: v7(), drillId: 'plank', sets: 2, min: 10, max: 20, restSeconds: 30, why: 'x' }] }],
  notes: [],
  leftOut: [],
});

describe('a document that cannot be read fails alone, and is named', () => {
  it('a week: the other weeks, the calendar and the lists stand, and it can be replaced', async () => {
    await bench.put(`${at}/plans`, { revision: v7(), plans: [week('2026-11-23', '2026-11-25')] });
    damage('plan_revision', 'document', '{"sessions":[null]}');
    await bench.put(`${at}/plans`, { revision: v7(), plans: [week('2026-11-30', '2026-12-02')] });
    const [broken, whole] = await read<PlanReply[]>(`${at}/plans?from=2026-11-23&weeks=2`);
    expect(broken).toMatchObject({
      sessions: [],
      unreadable: 'This week cannot be read: Sessions: entry 1 must be an object. (/sessions)',
    });
    expect(whole?.sessions).toHaveLength(1);
    const calendar = await bench.get(`${at}/calendar.ics`);
    expect([calendar.status, String(calendar.body)]).toEqual([200, expect.stringContaining('20261202')]);
    await read('/api/caseload');
    const next = { ...week('2026-11-23', '2026-11-26'), id: broken?.id, basedOn: broken?.revision };
    expect(await bench.put(`${at}/plans/2026-11-23`, next)).toMatchObject({ status: 200, body: { sessions: [{ day: '2026-11-26' }] } });
  });

  it('one that a newer program wrote', async () => {
    await bench.put(`${at}/plans`, { revision: v7(), plans: [week('2026-11-23', '2026-11-25')] });
    damage('plan_revision', 'document', '{"sessions":[],"notes":[],"leftOut":[]}', 7);
    const [broken] = await read<PlanReply[]>(`${at}/plans?from=2026-11-23&weeks=1`);
    expect(broken?.unreadable).toBe('This week was written by a newer program (version 7).');
  });

  it('a brief and a template', async () => {
    const { unreadable: _, revision: _none, ...brief } = await read<PlanBriefReply>(`${at}/brief`);
    await bench.put(`${at}/brief`, { ...brief, revision: v7(), basedOn: null });
    damage('plan_brief_revision', 'document', '{"weeks":"four"}');
    expect(await read<PlanBriefReply>(`${at}/brief`)).toMatchObject({
      weeks: brief.weeks,
      unreadable: expect.stringContaining('/weeks') as string,
    });
    for (const name of ['Kept', 'Lost']) await bench.post('/api/plan-templates', { id: v7(), name, note: '', sessions: [] });
    damage('plan_template', 'document', '[]');
    expect(await read<PlanTemplateReply[]>('/api/plan-templates')).toMatchObject([
      { name: 'Kept', unreadable: expect.any(String) as string },
      { name: 'Lost' },
    ]);
  });

  it('the figures of a clearance: it stands no more, and says why', async () => {
    await reachOpenGate(bench, traineeId);
    await bench.post(`${at}/clearances`, { id: v7(), ladderId: 'push-up', rungId: 'wall', initials: 'AS' });
    expect((await read<ReadinessReply>(`${at}/readiness`)).standing.here).toBe(0);
    damage('clearance', 'figures', '[{"capacity":{"measureId":7}}]');
    expect((await read<ReadinessReply>(`${at}/readiness`)).standing.here).toBe(-1);
    expect((await read<RecordReply>(`${at}/record`)).clearances).toMatchObject([
      { figures: [], unreadable: expect.stringContaining('/list/0') as string },
    ]);
    await read('/api/today');
  });

  it('a set-up of a scale reading and of a drill that was done', async () => {
    const reading = {
      takenAt: instant(bench.now()),
      setUp: { position: 'plank' },
      under: 'hands',
      kg: 48,
      massKg: 70,
      insisted: false,
      note: '',
    };
    await bench.post(`${at}/scale-readings`, { ...reading, id: v7() });
    damage('scale_reading', 'set_up', '{"position":"levitating"}');
    const calibration = await read<CalibrationReply>(`${at}/calibration`);
    expect([calibration.readings, calibration.unreadable]).toEqual([[], [expect.stringContaining('set-up cannot be read')]]);
    const session = sessionDto(bench.now());
    await bench.post(`${at}/sessions`, {
      ...session,
      items: session.items.map((i) => ({ ...i, support: { setUp: { position: 'plank' } } })),
    });
    damage('session_item', 'support', '{"setUp":{}}');
    expect((await read<RecordReply>(`${at}/record`)).sessions).toMatchObject([
      { id: session.id, unreadable: expect.any(String) as string },
    ]);
    await read('/api/caseload');
  });

  it('an event of a run: the run goes on without it; a head: the run alone', async () => {
    const itemId = v7();
    const head = {
      id: v7(),
      plannedSessionId: null,
      startedAt: instant(bench.now()),
      form: 'sets',
      progress: 'count',
      items: [{ id: itemId, drillId: 'plank', sets: 2, min: 10, max: 20, restSeconds: 30 }],
    };
    const set = (round: number) => ({
      id: v7(),
      order: round,
      at: instant(bench.now()),
      kind: 'set',
      itemId,
      round,
      side: 'whole',
      amount: 20,
    });
    await bench.put(`/api/floor/${head.id}`, { traineeId, head, events: [set(1)] });
    damage('floor_event', 'event', '{"kind":"set","amount":"many"}');
    await bench.put(`/api/floor/${head.id}`, { traineeId, head, events: [set(2)] });
    const run = await read<FloorRunReply>(`/api/floor/${head.id}`);
    expect([run.events.length, run.unreadable]).toEqual([1, [expect.stringContaining('An event of this run cannot be read')]]);
    damage('floor_run', 'head', '{}');
    expect(await bench.get(`/api/floor/${head.id}`)).toMatchObject({ status: 409, body: { code: 'document-unreadable' } });
    expect(await read<FloorRunRow[]>(`${at}/floor`)).toMatchObject([{ id: head.id, unreadable: expect.any(String) as string }]);
  });

  it('an entry of the library: the built-in one stands in, and the studio opens', async () => {
    const { content } = await read<LibraryReply>('/api/library');
    const plank = content.drills.find((d) => d.id === 'plank');
    await bench.put('/api/library/drills/plank', { revision: v7(), basedOn: null, entry: { ...plank, name: 'Our plank' } });
    damage('library_revision', 'document', '{"id":"plank","motions":7}');
    // As after a start: what was read before is not known any more.
    bench.db.prepare('PRAGMA defer_foreign_keys = ON').run();
    const fresh = v7();
    bench.db.transaction(() => {
      bench.db.pragma('defer_foreign_keys = ON');
      bench.db.prepare('UPDATE library_revision SET id = ?').run(fresh);
      bench.db.prepare('UPDATE library_entry SET current_revision = ?').run(fresh);
    })();
    const app = await buildApp(openSeat(servicesFor({ db: bench.db, studioId: STUDIO_ID, now: bench.now }), BUILT_IN_COACH), bench.now);
    const reply = (await app.inject({ url: '/api/library', headers: { host: '127.0.0.1' } })).json<LibraryReply>();
    expect(reply.unreadable).toMatchObject([
      { kind: 'drill', id: 'plank', sentence: expect.stringContaining('drill cannot be read') as string },
    ]);
    expect(reply.content.drills.find((d) => d.id === 'plank')?.name).toBe(plank?.name);
    await app.close();
  });
});
