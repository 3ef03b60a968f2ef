import { describe, expect, it } from 'vitest';
import { BUILT_IN } from '../catalogue/index.ts';
import { openLibrary } from '../library/index.ts';
import { addDays, type CalendarDay, instant } from '../quantities/index.ts';
import { type LoggedWork, type PlannedSession, halvedDose, plannerFacts, whatStays } from './index.ts';

const library = openLibrary(BUILT_IN);
const now = new Date('2026-11-25T12:00:00Z');
const ago = (days: number, own: Partial<LoggedWork> = {}): LoggedWork => ({
  performedAt: instant(addDays(now, -days)),
  drillIds: ['plank'],
  dose: 60,
  byJoint: { wrist: 60 },
  clean: true,
  ...own,
});
const facts = (recent: readonly LoggedWork[], firstDaysAgo?: number) =>
  plannerFacts(
    recent,
    {
      knownDrills: ['plank'],
      firstAt: firstDaysAgo === undefined ? undefined : instant(addDays(now, -firstDaysAgo)),
      ...{ capacities: [], foothold: { ladderId: 'push-up', here: -1 } },
    },
    { library, massKg: 70, now },
  );

describe('what the planner knows of the past', () => {
  it('counts whole weeks since the first session', () => {
    expect([facts([]).weeksIn, facts([], 6).weeksIn, facts([], 7).weeksIn, facts([], 20).weeksIn]).toEqual([0, 0, 1, 2]);
  });

  it('adds up hand load by week, newest first, and by joint only where every session of the week knows', () => {
    const { weekDoses } = facts([
      ago(1),
      ago(2, { dose: 40, byJoint: { wrist: 10, shoulder: 30 } }),
      ago(8),
      ago(9, { byJoint: undefined as never }),
    ]);
    expect(weekDoses).toEqual([
      { weekStart: '2026-11-23', dose: 100, byJoint: { wrist: 70, shoulder: 30 } },
      { weekStart: '2026-11-16', dose: 120 },
    ]);
  });

  it('says what clean sessions of the last four weeks had, once', () => {
    const recent = [ago(2), ago(3), ago(5, { drillIds: ['wall-slides'], clean: false }), ago(29, { drillIds: ['forearm-plank'] })];
    expect(facts(recent).didWell).toEqual(['plank']);
  });

  it('says when a joint was loaded last', () => {
    expect(facts([ago(2), ago(6)]).lastLoaded.wrist).toBe('2026-11-23T12:00:00.000Z');
    expect(facts([ago(2, { drillIds: ['wrist-circles'] })]).lastLoaded).toEqual({});
  });
});

describe('what stays when a plan is made again', () => {
  const item = (id: string, pinned = false) => ({ id, drillId: 'plank', sets: 2, min: 10, max: 20, restSeconds: 30, why: '', pinned });
  const session = (id: string, day: string, ...items: ReturnType<typeof item>[]): PlannedSession => ({
    id,
    day: day as CalendarDay,
    items,
  });
  const today = '2026-11-25' as CalendarDay;
  const ask = (sessions: readonly PlannedSession[], done: readonly string[] = []) => {
    const { kept, pinned } = whatStays(sessions, { today, done: new Set(done) });
    return { kept: kept?.map((s) => s.id), pinned: pinned?.map((p) => [p.day, p.item.id]) };
  };

  it('is what was done, and what is pinned whole', () => {
    const all = [
      session('past', '2026-11-23', item('a')),
      session('pinned', '2026-11-26', item('b', true)),
      session('free', '2026-11-27', item('c')),
    ];
    expect(ask(all, ['past'])).toEqual({ kept: ['past', 'pinned'], pinned: [] });
  });

  it('is not what was planned for a day that is over and was not done: it loads nothing', () => {
    expect(ask([session('missed', '2026-11-23', item('a', true))])).toEqual({ kept: [], pinned: [] });
  });

  it('are single pinned drills of other sessions, and nothing of an empty one', () => {
    const all = [session('mixed', '2026-11-26', item('a', true), item('b')), session('empty', '2026-11-27')];
    expect(ask(all)).toEqual({ kept: [], pinned: [['2026-11-26', 'a']] });
  });
});

it('half of a dose is half the sets, or half of the one', () => {
  const dose = { sets: 3, min: 8, max: 10, restSeconds: 40 };
  expect(halvedDose(dose)).toEqual({ ...dose, sets: 1 });
  expect(halvedDose({ ...dose, sets: 4 })).toEqual({ ...dose, sets: 2 });
  expect(halvedDose({ ...dose, sets: 1 })).toEqual({ sets: 1, min: 4, max: 5, restSeconds: 40 });
  expect(halvedDose({ ...dose, sets: 1, min: 1, max: 1 })).toMatchObject({ min: 1, max: 1 });
});
