import { v7 } from 'uuid';
import type { Database } from 'better-sqlite3';
import { BUILT_IN } from '@myokinet/core/catalogue';
import { demandsOn } from '@myokinet/core/ladders';
import { openLibrary } from '@myokinet/core/library';
import { capacityFromTrials } from '@myokinet/core/measuring';
import { addDays, calendarDay, type Instant, instant } from '@myokinet/core/quantities';
import { QUESTION_IDS } from '@myokinet/core/safety';
import { BUILT_IN_COACH } from '../src/context.ts';
import { bodyModel } from '@myokinet/core/statics';

const { studioId, coachId } = BUILT_IN_COACH;
const LIBRARY = openLibrary(BUILT_IN);
const ALL_NO = JSON.stringify(QUESTION_IDS.map((questionId) => ({ questionId, answer: 'no', side: 'whole' })));
const CHECK_EVERY_DAYS = 12;
const SESSION_EVERY_DAYS = 2.5;
const SETS_PER_SESSION = 6;

/** Fills a database with plain, regular histories: what the lists read, at full size. */
export function fillWithRecords(db: Database, trainees: number, years: number, now: Date): void {
  const days = Math.round(years * 365);
  db.pragma('synchronous = OFF');
  db.transaction(() => {
    for (let n = 0; n < trainees; n++) oneTrainee(db, n, days, now);
  })();
  db.exec('ANALYZE');
}

function oneTrainee(db: Database, n: number, days: number, now: Date): void {
  const id = v7();
  const revision = v7();
  const ladder = LIBRARY.ladder(n % 2 === 0 ? 'push-up' : 'hang-and-swing');
  const insert = statements(db);
  insert.trainee.run(id, studioId, revision);
  insert.revision.run(revision, id, coachId, instant(new Date(addDays(now, -days))), `Trainee ${String(n).padStart(3, '0')}`, ladder.id);

  insert.screening.run(v7(), studioId, id, coachId, addDays(now, -100), ALL_NO);

  const rung = ladder.rungs[2 + (n % 3)];
  if (!rung) return;
  const demands = demandsOn(rung, bodyModel({ statureM: 1.72, massKg: 70 }), LIBRARY.measure);
  const occasions = Array.from({ length: Math.floor(days / CHECK_EVERY_DAYS) }, (_, i) =>
    addDays(now, -1 - i * CHECK_EVERY_DAYS),
  ).reverse();
  occasions.forEach((takenAt, i) => {
    const checkId = v7();
    insert.check.run(checkId, studioId, id, coachId, takenAt);
    for (const { measureId, side, value } of demands) {
      const measure = LIBRARY.measure(measureId);
      const readings = [-1, 0, 1].map((step) => Math.max(0, value * (0.9 + (0.25 * i) / occasions.length) + step * measure.limits.step));
      readings.forEach((reading, position) => insert.trial.run(v7(), checkId, coachId, position, measureId, side, reading));
      const c = capacityFromTrials(
        measure,
        readings.map((r) => ({ side, value: r })),
        { takenAt },
      );
      insert.capacity.run(
        checkId,
        id,
        measureId,
        side,
        takenAt,
        c.value,
        c.band,
        c.standardError,
        c.trials,
        c.errorBasis,
        i === occasions.length - 1 ? 1 : 0,
      );
    }
  });

  for (let ago = 1; ago < days; ago += SESSION_EVERY_DAYS) {
    const at = addDays(now, -ago);
    const sessionId = v7();
    insert.session.run(sessionId, studioId, id, coachId, at, JSON.stringify([rung.practice, 'plank']));
    insert.symptom.run(v7(), studioId, id, coachId, sessionId, addDays(at, 0.6));
    const itemId = v7();
    insert.item.run(itemId, sessionId);
    for (let position = 0; position < SETS_PER_SESSION; position++) insert.set.run(v7(), itemId, position);
  }
  plans(insert, id, days, now);
  insert.clearance.run(v7(), studioId, id, coachId, ladder.id, ladder.rungs[0]?.id ?? '', addDays(now, -30));
}

function plans(insert: ReturnType<typeof statements>, traineeId: string, days: number, now: Date): void {
  const monday = new Date(now);
  monday.setDate(monday.getDate() - ((monday.getDay() + 6) % 7));
  for (let week = 0; week * 7 < days; week++) {
    const start = new Date(addDays(monday, -7 * week));
    const [planId, revision] = [v7(), v7()];
    insert.plan.run(
      planId,
      studioId,
      traineeId,
      calendarDay(start),
      revision,
      JSON.stringify([0, 2, 4].map((d) => calendarDay(addDays(start, d) as Instant))),
    );
    insert.planRevision.run(revision, planId, coachId, instant(start), JSON.stringify({ sessions: [], notes: [], leftOut: [] }));
  }
}

const prepared = new WeakMap<Database, ReturnType<typeof prepare>>();

function statements(db: Database) {
  const known = prepared.get(db) ?? prepare(db);
  prepared.set(db, known);
  return known;
}

function prepare(db: Database) {
  return {
    trainee: db.prepare('INSERT INTO trainee VALUES (?, ?, ?)'),
    revision: db.prepare(`
      INSERT INTO trainee_revision
      VALUES (?, ?, ?, NULL, ?, ?, 1990, 'female', 170, 70, 'right', '', ?, '["Monday","Wednesday","Friday"]', 45, '["bar","step"]', NULL, NULL)`),
    check: db.prepare(`INSERT INTO check_occasion VALUES (?, ?, ?, ?, ?, '')`),
    trial: db.prepare('INSERT INTO trial VALUES (?, ?, ?, ?, ?, ?, ?, NULL, NULL, NULL)'),
    capacity: db.prepare('INSERT INTO capacity VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, 0, ?, 9, NULL)'),
    session: db.prepare(`INSERT INTO session VALUES (?, ?, ?, ?, NULL, ?, 6, 40, '', 1, 'Clean.', 60, 40, ?, NULL, NULL, NULL)`),
    item: db.prepare(`INSERT INTO session_item VALUES (?, ?, 0, 'plank', 6, 20, 30, NULL, NULL)`),
    set: db.prepare(`INSERT INTO session_set VALUES (?, ?, ?, 'whole', 30, '[]', NULL)`),
    symptom: db.prepare(`INSERT INTO symptom VALUES (?, ?, ?, ?, ?, ?, 0, 'shoulder', 'whole', 'none', 'next morning', '', NULL, NULL)`),
    screening: db.prepare(`INSERT INTO screening VALUES (?, ?, ?, ?, ?, ?, NULL, '')`),
    plan: db.prepare('INSERT INTO plan VALUES (?, ?, ?, ?, ?, ?)'),
    planRevision: db.prepare('INSERT INTO plan_revision VALUES (?, ?, ?, NULL, ?, ?)'),
    clearance: db.prepare(`INSERT INTO clearance VALUES (?, ?, ?, ?, ?, ?, 'BC', ?, '[]')`),
  };
}
