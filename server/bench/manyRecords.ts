import { v7 } from 'uuid';
import type { Database } from 'better-sqlite3';
import { BUILT_IN } from '@myokinet/core/catalogue';
import { demandsOn } from '@myokinet/core/ladders';
import { openLibrary } from '@myokinet/core/library';
import { capacityFromTrials, ERROR_VERSION } from '@myokinet/core/measuring';
import { addDays, calendarDay, type Instant, instant } from '@myokinet/core/quantities';
import { RULES_VERSION } from '@myokinet/core/readiness';
import { QUESTION_IDS } from '@myokinet/core/safety';
import { STUDIO_ID as studioId } from '../src/context.ts';
import { BUILT_IN_COACH } from '../src/actor.ts';
import { bodyModel } from '@myokinet/core/statics';

const { coachId } = BUILT_IN_COACH;
const LIBRARY = openLibrary(BUILT_IN);
const ALL_NO = JSON.stringify(QUESTION_IDS.map((questionId) => ({ questionId, answer: 'no', side: 'whole' })));
const DAYS = JSON.stringify(['Monday', 'Wednesday', 'Friday']);
const EQUIPMENT = JSON.stringify(['bar', 'step']);
const CLEAN = JSON.stringify({ code: 'clean' });
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
  insert.revision.run(
    revision,
    id,
    coachId,
    instant(new Date(addDays(now, -days))),
    `Trainee ${String(n).padStart(3, '0')}`,
    ladder.id,
    DAYS,
    EQUIPMENT,
  );

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
    const practised = [rung.practice, 'plank'].map((drillId) => ({ drillId, top: true, load: 1 }));
    insert.session.run(sessionId, studioId, id, coachId, at, JSON.stringify([rung.practice, 'plank']), JSON.stringify(practised), CLEAN);
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

/** Columns are named: a migration that adds one leaves these rows as they are. */
function prepare(db: Database) {
  const into = (table: string, given: string, always: Readonly<Record<string, string | number>> = {}) => {
    const fixed = Object.keys(always);
    const columns = [...given.split(' '), ...fixed];
    const values = columns.map((c) => (fixed.includes(c) ? JSON.stringify(always[c]).replaceAll('"', "'") : '?'));
    return db.prepare(`INSERT INTO ${table} (${columns.join(', ')}) VALUES (${values.join(', ')})`);
  };
  return {
    trainee: into('trainee', 'id studio_id current_revision'),
    revision: into('trainee_revision', 'id trainee_id coach_id saved_at name ladder_id training_days equipment', {
      ...{ birth_year: 1990, sex: 'female', stature_cm: 170, mass_kg: 70, dominant_hand: 'right', history: '', session_minutes: 45 },
    }),
    check: into('check_occasion', 'id studio_id trainee_id coach_id taken_at', { note: '' }),
    trial: into('trial', 'id check_id coach_id position measure_id side value'),
    capacity: into('capacity', 'check_id trainee_id measure_id side taken_at value band standard_error trials error_basis is_current', {
      followed_late: 0,
      scatter: 9,
      error_version: ERROR_VERSION,
    }),
    session: into('session', 'id studio_id trainee_id coach_id performed_at drill_ids practised clean_finding', {
      ...{ effort: 6, minutes: 40, note: '', clean: 1, clean_reason: 'Clean.', push_dose: 60, pull_dose: 40, rules_version: RULES_VERSION },
    }),
    item: into('session_item', 'id session_id', { position: 0, drill_id: 'plank', planned_sets: 6, min_dose: 20, max_dose: 30 }),
    set: into('session_set', 'id item_id position', { side: 'whole', amount: 30, faults: '[]' }),
    symptom: into('symptom', 'id studio_id trainee_id coach_id session_id at', {
      ...{ intensity: 0, place: 'shoulder', side: 'whole', kind: 'none', moment: 'next morning', note: '' },
    }),
    screening: into('screening', 'id studio_id trainee_id coach_id taken_at answers', { note: '' }),
    plan: into('plan', 'id studio_id trainee_id week_start current_revision session_days'),
    planRevision: into('plan_revision', 'id plan_id coach_id saved_at document'),
    clearance: into('clearance', 'id studio_id trainee_id coach_id ladder_id rung_id signed_at', { initials: 'BC', figures: '[]' }),
  };
}
