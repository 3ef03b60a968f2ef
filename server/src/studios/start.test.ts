import { mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { configFrom } from '../config.ts';
import { migrate, readMigrations } from '../database/migrate.ts';
import { openDatabase } from '../database/open.ts';
import { startProblem } from './startProblem.ts';
import { takeFolder } from './folder.ts';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'myokinet-start-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const where = { port: 4170, data: '/srv/studio' };

/** The sentence that a start ends with. */
function sentenceOf(attempt: () => unknown): string {
  try {
    attempt();
  } catch (error) {
    return startProblem(error, where);
  }
  throw new Error('It started.');
}

describe('a data folder', () => {
  it('is one program’s alone, which the second one names, and free again once the first has gone', () => {
    const first = takeFolder(folder);
    expect(sentenceOf(() => takeFolder(folder))).toMatch(new RegExp(`in use by the program with process number ${process.pid}, since 20`));
    first.release();
    takeFolder(folder).release();
  });

  it('is read and written by its owner alone', () => {
    const first = takeFolder(folder);
    expect(statSync(join(folder, 'accounts.sqlite')).mode & 0o777).toBe(0o600);
    expect(statSync(join(folder, 'studios')).mode & 0o777).toBe(0o700);
    first.release();
  });

  it('of a newer program is left alone', () => {
    const db = new Database(join(folder, 'accounts.sqlite'));
    db.pragma('user_version = 99');
    db.close();
    expect(sentenceOf(() => takeFolder(folder))).toMatch(/Start a newer program/);
  });

  it('with a file that is none is said to be damaged, with the way back', () => {
    writeFileSync(join(folder, 'accounts.sqlite'), 'This is no database at all, but a text of some length.'.repeat(40));
    expect(sentenceOf(() => takeFolder(folder))).toMatch(/damaged.*npm run restore/);
  });

  it('gets a copy of a file before that file is brought up to date', () => {
    const file = join(folder, 'old.sqlite');
    const old = new Database(file);
    migrate(old, readMigrations().slice(0, 19));
    old.close();
    const seen: number[] = [];
    openDatabase(file, { beforeMigration: (_db, version) => seen.push(version) }).close();
    openDatabase(file, { beforeMigration: (_db, version) => seen.push(version) }).close();
    expect(seen).toEqual([19]);
  });
});

describe('what stops a start', () => {
  it.each([
    ['EADDRINUSE', 'Port 4170 is taken. Choose another: MYOKINET_PORT=4171.'],
    ['ENOSPC', 'There is no space left on the disk that holds /srv/studio. Make room and start again.'],
    ['SQLITE_FULL', 'There is no space left on the disk that holds /srv/studio. Make room and start again.'],
    ['EROFS', 'The data in /srv/studio cannot be written by this user. Change who owns it, or name another folder: MYOKINET_DATA.'],
    [
      'SQLITE_READONLY',
      'The data in /srv/studio cannot be written by this user. Change who owns it, or name another folder: MYOKINET_DATA.',
    ],
    ['SQLITE_CORRUPT', 'A file in /srv/studio is damaged. Bring back the newest good copy: npm run restore.'],
  ])('%s is one sentence', (code, sentence) => {
    expect(startProblem(Object.assign(new Error('x'), { code }), where)).toBe(sentence);
  });

  it.each([
    [{ MYOKINET_PORT: 'http' }, 'MYOKINET_PORT must be a port from 0 to 65535, not "http".'],
    [
      { MYOKINET_ORIGIN: 'http://studio.example' },
      'MYOKINET_ORIGIN must be an address like https://studio.example, not "http://studio.example".',
    ],
    [
      { MYOKINET_ORIGIN: 'https://studio.example/app' },
      'MYOKINET_ORIGIN must be an address like https://studio.example, not "https://studio.example/app".',
    ],
  ])('a setting that cannot be used is named: %o', (env, sentence) => {
    expect(() => configFrom(env)).toThrow(sentence);
  });

  it('is never a demo file taken for a studio', () => {
    expect(configFrom({}).demoFile).toBeUndefined();
    expect(configFrom({ XDG_DATA_HOME: '/home/x/.share' })).toMatchObject({
      data: '/home/x/.share/myokinet',
      copies: '/home/x/.share/myokinet-copies',
    });
  });
});
