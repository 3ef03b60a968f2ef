import { rmSync } from 'node:fs';
import { shiftFrom } from '../config.ts';
import { openDatabase } from '../database/open.ts';
import { seedDemo } from './seed.ts';

/** Creates a demo database: `demo FILE`. A half-made one is removed, so that a start finds all or nothing. */
const [file] = process.argv.slice(2);
if (!file) throw new Error('Name the database file to create.');
const db = openDatabase(file);
try {
  seedDemo(db, new Date(Date.now() + shiftFrom(process.env)));
  db.close();
} catch (error) {
  db.close();
  for (const suffix of ['', '-wal', '-shm']) rmSync(`${file}${suffix}`, { force: true });
  throw error;
}
