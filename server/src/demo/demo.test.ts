import { copyFileSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import type { CaseloadRow, TodayItem } from '@myokinet/core/contracts';
import { daysBetween, type Instant } from '@myokinet/core/quantities';
import { STUDIO_ID } from '../context.ts';
import { openDatabase } from '../database/open.ts';
import { servicesFor } from '../services.ts';
import { CREW } from './people.ts';
import { seedDemo } from './seed.ts';

const today = new Date('2026-11-24T09:30:00');

/** The data that all tests of a run share, where it was made already; it takes a while to live half a year. */
const shared = process.env.MYOKINET_DEMO_DATA;

function demo(crew = CREW, now = today) {
  if (shared && crew === CREW && now === today) {
    const file = join(mkdtempSync(join(tmpdir(), 'myokinet-demo-')), 'demo.sqlite');
    copyFileSync(shared, file);
    const db = openDatabase(file);
    return { db, services: servicesFor({ db, studioId: STUDIO_ID, now: () => now }) };
  }
  const db = openDatabase(':memory:');
  seedDemo(db, now, crew);
  return { db, services: servicesFor({ db, studioId: STUDIO_ID, now: () => now }) };
}

describe('the demo crew', () => {
  let rows: readonly CaseloadRow[];
  let items: readonly TodayItem[];
  let world: ReturnType<typeof demo>;
  beforeAll(() => {
    world = demo();
    rows = world.services.caseload.rows();
    items = world.services.caseload.today();
  }, 120_000);

  it('is about a dozen, on several ladders, with half a year behind them', () => {
    expect(rows.length).toBeGreaterThanOrEqual(12);
    expect(new Set(rows.map((r) => r.ladderId)).size).toBeGreaterThanOrEqual(4);
    const oldest = world.db.prepare('SELECT min(taken_at) FROM check_occasion').pluck().get() as Instant;
    expect(daysBetween(oldest, today)).toBeGreaterThan(170);
  });

  it('has every kind of day in it', () => {
    expect(rows.some((r) => r.gateOpen)).toBe(true);
    expect(rows.some((r) => r.locked)).toBe(true);
    const screenings = world.services.trainees.all().map((t) => t.screening);
    expect(screenings.every((s) => s.state === 'fresh')).toBe(true);
    expect(screenings.some((s) => s.lifted.length > 0)).toBe(true);
    expect(screenings.some((s) => s.laxity?.lax)).toBe(true);
    expect(screenings.some((s) => s.cautions.some((c) => c.id === 'shoulder-dislocated'))).toBe(true);
    expect(rows.some((r) => r.lapsed)).toBe(true);
    expect(rows.some((r) => r.openStopSigns > 0)).toBe(true);
    expect(rows.some((r) => r.limiter?.state === 'short')).toBe(true);
    expect(rows.some((r) => r.unknown > 0)).toBe(true);
    expect(new Set(items.map((i) => i.kind))).toEqual(new Set(['sign', 'stop sign', 'morning', 'session', 're-check', 'outcome']));
  });

  it('lies in no future', () => {
    for (const [table, column] of [
      ['trial_time', 'SELECT max(taken_at) FROM check_occasion'],
      ['session', 'SELECT max(performed_at) FROM session'],
      ['symptom', 'SELECT max(at) FROM symptom'],
      ['clearance', 'SELECT max(signed_at) FROM clearance'],
      ['clearance_outcome', 'SELECT max(told_at) FROM clearance_outcome'],
    ] as const)
      expect([table, Date.parse(world.db.prepare(column).pluck().get() as string) <= today.getTime()]).toEqual([table, true]);
  });
});

it.each(['2026-11-30T06:00:00', '2027-02-06T22:00:00', '2027-03-28T12:00:00'])(
  'has a gate to sign, a limiter that is short and a stop sign to see to on %s too',
  (moment) => {
    const some = CREW.filter(({ profile: { name } }) => /^(Jory|Kasper|Linus)/.test(name));
    const rows = demo(some, new Date(moment)).services.caseload.rows();
    expect(rows.map((r) => [r.gateOpen, r.limiter?.state === 'short', r.openStopSigns])).toEqual([
      [true, false, 0],
      [false, true, 0],
      [false, expect.any(Boolean), 1],
    ]);
  },
  60_000,
);

it('comes out the same from the same seed', () => {
  const values = () => demo(CREW.slice(0, 1)).db.prepare('SELECT value FROM trial ORDER BY id').pluck().all();
  expect(values()).toEqual(values());
}, 60_000);
