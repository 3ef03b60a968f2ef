import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import Database from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { migrate, readMigrations } from './migrate.ts';
import { openDatabase } from './open.ts';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'myokinet-db-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

describe('a database file', () => {
  it('has WAL, foreign keys, full synchronisation, and only STRICT tables', () => {
    const db = openDatabase(join(folder, 'a.sqlite'));
    expect(db.pragma('journal_mode', { simple: true })).toBe('wal');
    expect(db.pragma('foreign_keys', { simple: true })).toBe(1);
    expect(db.pragma('synchronous', { simple: true })).toBe(2);
    const tables = db.pragma('table_list') as { name: string; type: string; strict: number }[];
    expect(tables.filter((t) => t.type === 'table' && !t.name.startsWith('sqlite_') && t.strict !== 1)).toEqual([]);
    db.close();
  });

  it('is opened again as it was', () => {
    const file = join(folder, 'a.sqlite');
    openDatabase(file).close();
    const db = openDatabase(file);
    expect(db.pragma('user_version', { simple: true })).toBe(readMigrations().length);
    expect(db.prepare('SELECT count(*) FROM coach').pluck().get()).toBe(1);
    db.close();
  });

  it('of a newer program is left alone', () => {
    const db = new Database(':memory:');
    db.pragma('user_version = 99');
    expect(() => migrate(db)).toThrow('Start a newer program.');
  });

  it('takes each migration whole or not at all', () => {
    const db = new Database(':memory:');
    const broken = [
      { number: 1, sql: 'CREATE TABLE a (x TEXT) STRICT;' },
      { number: 2, sql: 'CREATE TABLE b (x TEXT) STRICT; CREATE TABLE a (x TEXT) STRICT;' },
    ];
    expect(() => migrate(db, broken)).toThrow(/already exists/);
    expect(db.pragma('user_version', { simple: true })).toBe(1);
    expect(db.prepare("SELECT name FROM sqlite_master WHERE type = 'table'").pluck().all()).toEqual(['a']);
  });

  it('of the first version keeps its facts: ticked cautions become screens, corrected trials stay corrected', () => {
    const db = new Database(':memory:');
    db.pragma('foreign_keys = ON');
    const all = readMigrations();
    migrate(db, all.slice(0, 1));
    const { id: coach, studio_id: studio } = db.prepare('SELECT id, studio_id FROM coach').get() as { id: string; studio_id: string };
    db.transaction(() => {
      db.prepare("INSERT INTO trainee VALUES ('t', ?, 'r2')").run(studio);
      const revision = db.prepare(
        `INSERT INTO trainee_revision VALUES (?, 't', ?, ?, ?, 'Ada', 1990, 'female', 170, 70, 'right', ?, 'Old note.', 'push-up', '[]', 45, '[]')`,
      );
      revision.run('r1', coach, null, '2026-05-01T10:00:00.000Z', '[]');
      revision.run('r2', coach, 'r1', '2026-06-01T10:00:00.000Z', '["shoulder-dislocated","medical-hold"]');
      db.prepare("INSERT INTO check_occasion VALUES ('k', ?, 't', ?, '2026-06-01T10:00:00.000Z', '')").run(studio, coach);
      const trial = db.prepare("INSERT INTO trial VALUES (?, 'k', ?, 0, 'grip', 'left', ?, ?, ?)");
      trial.run('a', coach, 30, null, null);
      trial.run('b', coach, 33, 'a', 'mistyped');
    })();
    migrate(db, all);
    expect(db.pragma('foreign_key_check')).toEqual([]);
    expect(db.prepare('SELECT id, value, replaces, reason FROM trial ORDER BY id').all()).toEqual([
      { id: 'a', value: 30, replaces: null, reason: null },
      { id: 'b', value: 33, replaces: 'a', reason: 'mistyped' },
    ]);
    expect(() => db.prepare('DELETE FROM trial').run()).toThrow('trials are facts');
    const screens = db.prepare('SELECT taken_at, answers, note FROM screening ORDER BY taken_at').all() as {
      taken_at: string;
      answers: string;
      note: string;
    }[];
    const yes = screens.map((s) =>
      (JSON.parse(s.answers) as { questionId: string; answer: string }[]).filter((a) => a.answer === 'yes').map((a) => a.questionId),
    );
    expect(yes).toEqual([[], ['shoulder-dislocated', 'medical-hold']]);
    expect(screens[1]).toMatchObject({ taken_at: '2026-06-01T10:00:00.000Z', note: 'Taken over from the profile.' });
    expect(db.prepare("SELECT history FROM trainee_revision WHERE id = 'r2'").pluck().get()).toBe('Old note.');
  });

  it('of before the plainer names calls them so on record, and facts stay facts', () => {
    const db = new Database(':memory:');
    const all = readMigrations();
    migrate(db, all.slice(0, 21));
    db.pragma('foreign_keys = OFF');
    const { id: coach, studio_id: studio } = db.prepare('SELECT id, studio_id FROM coach').get() as { id: string; studio_id: string };
    /** A row with what it names, and of what else must be there something. */
    const insert = (table: string, row: Readonly<Record<string, unknown>>) => {
      const columns = db.pragma(`table_info(${table})`) as { name: string; notnull: number; dflt_value: unknown; type: string }[];
      const whole = Object.fromEntries(
        columns.flatMap(({ name, notnull, dflt_value, type }) =>
          name in row ? [[name, row[name]]] : notnull && dflt_value === null ? [[name, type === 'TEXT' ? '{}' : 1]] : [],
        ),
      );
      const names = Object.keys(whole);
      db.prepare(`INSERT INTO ${table} (${names.join(', ')}) VALUES (${names.map((n) => `@${n}`).join(', ')})`).run(whole);
    };
    const at = '2026-06-01T10:00:00.000Z';
    const own = { studio_id: studio, coach_id: coach, trainee_id: 't' };
    insert('trainee', { id: 't', studio_id: studio, current_revision: 'r' });
    insert('trainee_revision', {
      ...{ id: 'r', trainee_id: 't', coach_id: coach, saved_at: at, name: 'Ada', birth_year: 1990, sex: 'female' },
      ...{ stature_cm: 170, mass_kg: 70, dominant_hand: 'right', session_minutes: 45, training_days: '[]', equipment: '[]' },
    });
    const finding = '{"code":"felt","drillId":"towel-wringing","feeling":"locked up"}';
    insert('session', {
      id: 's',
      ...own,
      performed_at: at,
      recorded_at: at,
      effort: 5,
      minutes: 30,
      clean: 0,
      clean_finding: finding,
      drill_ids: '["towel-wringing"]',
      practised: '[]',
    });
    insert('session_item', {
      id: 'i',
      session_id: 's',
      position: 0,
      drill_id: 'towel-wringing',
      planned_sets: 1,
      min_dose: 8,
      max_dose: 10,
    });
    insert('session_set', { id: 'e', item_id: 'i', position: 0, side: 'left', amount: 8, faults: '[]', feeling: 'locked up' });
    insert('floor_run', { id: 'f', ...own, opened_at: at, head: '{"items":[{"drillId":"towel-wringing"}]}' });
    const felt = (id: string, event: object) =>
      insert('floor_event', { id, run_id: 'f', ordinal: 1, received_at: at, event: JSON.stringify(event) });
    felt('v', { kind: 'set', feeling: 'locked up' });
    // A joint that locks up is a symptom of its own, and keeps its name.
    felt('w', { kind: 'symptom', symptom: { kind: 'locked up' } });

    migrate(db, all);
    const told = (sql: string) => db.prepare(sql).pluck().all();
    expect(told('SELECT drill_id FROM session_item')).toEqual(['grip-squeezes']);
    expect(told('SELECT feeling FROM session_set')).toEqual(['clenched']);
    expect(told('SELECT drill_ids || clean_finding FROM session')).toEqual([
      '["grip-squeezes"]{"code":"felt","drillId":"grip-squeezes","feeling":"clenched"}',
    ]);
    expect(told('SELECT head FROM floor_run')).toEqual(['{"items":[{"drillId":"grip-squeezes"}]}']);
    expect(told('SELECT event FROM floor_event ORDER BY id')).toEqual([
      '{"kind":"set","feeling":"clenched"}',
      '{"kind":"symptom","symptom":{"kind":"locked up"}}',
    ]);
    for (const change of ['UPDATE session_set SET amount = 9', 'UPDATE session SET effort = 1', 'UPDATE floor_event SET ordinal = 2'])
      expect(() => db.prepare(change).run()).toThrow('facts');
    expect(() =>
      insert('session_set', { id: 'x', item_id: 'i', position: 1, side: 'left', amount: 8, faults: '[]', feeling: 'locked up' }),
    ).toThrow('CHECK');
  });

  it('of the second version learns the scatter of the trials that stand', () => {
    const db = new Database(':memory:');
    db.pragma('foreign_keys = ON');
    const all = readMigrations();
    migrate(db, all.slice(0, 2));
    const { id: coach, studio_id: studio } = db.prepare('SELECT id, studio_id FROM coach').get() as { id: string; studio_id: string };
    db.transaction(() => {
      db.prepare("INSERT INTO trainee VALUES ('t', ?, 'r')").run(studio);
      db.prepare(
        `INSERT INTO trainee_revision
         VALUES ('r', 't', ?, NULL, '2026-05-01T10:00:00.000Z', 'Ada', 1990, 'female', 170, 70, 'right', '', 'grip-and-overhead', '[]', 45, '[]')`,
      ).run(coach);
      db.prepare("INSERT INTO check_occasion VALUES ('k', ?, 't', ?, '2026-06-01T10:00:00.000Z', '')").run(studio, coach);
      const trial = db.prepare("INSERT INTO trial VALUES (?, 'k', ?, ?, 'grip', 'left', ?, ?, ?)");
      trial.run('a', coach, 0, 30, null, null);
      trial.run('b', coach, 1, 99, null, null);
      trial.run('c', coach, 2, 36, null, null);
      trial.run('d', coach, 1, 33, 'b', 'mistyped');
      db.prepare(`INSERT INTO capacity VALUES ('k', 't', 'grip', 'left', '2026-06-01T10:00:00.000Z', 33, 2, 1, 3, 'default', 0, 1)`).run();
    })();
    migrate(db, all);
    // 30, 33, 36: deviations 3, 0, 3.
    expect(db.prepare('SELECT scatter, provisional FROM capacity').get()).toEqual({ scatter: 18, provisional: null });
    expect(db.prepare('SELECT count(*) FROM trial WHERE reading IS NULL').pluck().get()).toBe(4);
    // That ladder became two.
    expect(db.prepare('SELECT ladder_id FROM trainee_revision').pluck().get()).toBe('heavy-grip');
  });

  it('refuses to change or remove facts', () => {
    const db = openDatabase(':memory:');
    const facts = db.prepare("SELECT DISTINCT tbl_name FROM sqlite_master WHERE type = 'trigger'").pluck().all();
    expect(facts).toEqual(expect.arrayContaining(['trial', 'session', 'session_set', 'symptom', 'clearance', 'withdrawal']));
    const coach = db.prepare('SELECT id, studio_id FROM coach').get() as { id: string; studio_id: string };
    db.pragma('foreign_keys = OFF');
    db.prepare(
      `INSERT INTO symptom (id, studio_id, trainee_id, coach_id, at, intensity, place, side, kind, moment, note)
       VALUES ('s', @studio_id, 't', @id, '2026-11-24T10:00:00.000Z', 1, 'wrist', 'left', 'ache', 'during', '')`,
    ).run(coach);
    expect(() => db.exec('UPDATE symptom SET intensity = 0')).toThrow('symptoms are facts');
    expect(() => db.exec('DELETE FROM symptom')).toThrow('symptoms are facts');
    db.close();
  });
});

it('keeps what was answered as saved when the process is killed the next moment', async () => {
  const file = join(folder, 'a.sqlite');
  openDatabase(file).close();
  const driver = fileURLToPath(import.meta.resolve('better-sqlite3'));
  // Writes one row after another, says so after each, and is killed in the middle of it.
  const script = `
    const db = require(${JSON.stringify(driver)})(${JSON.stringify(file)});
    db.pragma('synchronous = FULL');
    const add = db.prepare("INSERT INTO studio (id, name) VALUES (?, 'S')");
    for (let i = 1; ; i++) { add.run('s' + i); require('fs').writeSync(1, i + '\\n'); }`;
  const child = spawn(process.execPath, ['-e', script], { stdio: ['ignore', 'pipe', 'inherit'] });
  let said = '';
  child.stdout.setEncoding('utf8').on('data', (text: string) => {
    said += text;
    if (said.length > 400) child.kill('SIGKILL');
  });
  await new Promise((resolve) => child.once('close', resolve));
  const answered = Number(said.trim().split('\n').filter(Boolean).at(-1));
  expect(answered).toBeGreaterThan(50);
  const db = openDatabase(file);
  expect(db.prepare("SELECT count(*) FROM studio WHERE id GLOB 's[0-9]*'").pluck().get()).toBeGreaterThanOrEqual(answered);
  expect(db.pragma('integrity_check', { simple: true })).toBe('ok');
  db.close();
});
