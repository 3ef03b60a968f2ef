import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import type { ArchivedReply, ArchiveDto, ErasureDto, ErasureReply } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { instant } from '@myokinet/core/quantities';
import Database from 'better-sqlite3';
import { type Actor, mustConfirm, mustMay } from '../actor.ts';
import type { Context } from '../context.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import { digestOf } from '../identity/secrets.ts';
import type { TraineeStore } from '../trainees/store.ts';
import { archiveOf } from './archive.ts';
import { type Belonging, belongings } from '../database/belongings.ts';
import * as sql from './statements.ts';
import { zipped } from './zip.ts';

/** Taking records out, out of sight, and away for good. */
export function recordStore(context: Context, trainees: TraineeStore) {
  const { db, now } = context;
  const archived = db.prepare<[], ArchivedReply>(sql.ARCHIVED);
  const setArchived = db.prepare(sql.SET_ARCHIVED);
  const insertErasure = db.prepare(sql.INSERT_ERASURE);
  const erasures = db.prepare<[], ErasureReply>(sql.ERASURES);
  const version = () => db.pragma('user_version', { simple: true }) as number;

  /** Deletes what belongs to a trainee, those first that hang on others; facts are guarded by triggers, which step aside for this alone. */
  function deleteAll(id: string, tables: readonly Belonging[]): { rows: number; pictures: number } {
    const guards = db.prepare("SELECT name, sql FROM sqlite_schema WHERE type = 'trigger'").all() as { name: string; sql: string }[];
    for (const { name } of guards) db.exec(`DROP TRIGGER "${name}"`);
    const pictures = tables
      .filter((t) => t.columns.includes('image'))
      .reduce(
        (n, t) =>
          n + (db.prepare(`SELECT count(*) FROM "${t.table}" WHERE (${t.where}) AND image IS NOT NULL`).pluck().get({ id }) as number),
        0,
      );
    for (const { table, where } of tables.filter((t) => t.columns.includes('id')))
      db.prepare(`DELETE FROM accepted_write WHERE id IN (SELECT id FROM "${table}" WHERE ${where})`).run({ id });
    db.prepare(sql.FORGET_IN_AUDIT).run({ id });
    db.prepare(sql.FORGET_IN_TESTS).run({ id });
    const rows = tables.toReversed().reduce((n, t) => n + db.prepare(`DELETE FROM "${t.table}" WHERE ${t.where}`).run({ id }).changes, 0);
    for (const { sql: guard } of guards) db.exec(guard);
    return { rows, pictures };
  }

  return {
    /** Everything on record about a trainee, as an archive. */
    take(actor: Actor, traineeId: string): Readable {
      mustMay(actor, 'export');
      const { name } = trainees.find(traineeId);
      const about = { title: `Records of ${name}`, madeAt: instant(now()), version: version() };
      return Readable.from(zipped(archiveOf(db, belongings(db), { id: traineeId }, about)));
    },

    /** Everything on record in the studio, read off a copy, so that work goes on beside it. */
    async takeAll(actor: Actor): Promise<Readable> {
      mustMay(actor, 'run-studio');
      mustConfirm(actor);
      const folder = mkdtempSync(join(tmpdir(), 'myokinet-records-'));
      const file = join(folder, 'studio.sqlite');
      await db.backup(file);
      const copy = new Database(file);
      const names = copy
        .prepare("SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name")
        .pluck()
        .all();
      const tables = (names as string[]).map((table): Belonging => {
        const columns = (copy.pragma(`table_info("${table}")`) as { name: string }[]).map((c) => c.name);
        return { table, where: '1 = 1', columns, traineeOf: () => 'NULL' };
      });
      const about = { title: 'Records of the studio', madeAt: instant(now()), version: version() };
      const stream = Readable.from(zipped(archiveOf(copy, tables, {}, about)));
      return stream.once('close', () => {
        copy.close();
        rmSync(folder, { recursive: true, force: true });
      });
    },

    archived: (): readonly ArchivedReply[] => archived.all(),

    archive(actor: Actor, traineeId: string, dto: ArchiveDto): readonly ArchivedReply[] {
      mustMay(actor, 'plan');
      trainees.find(traineeId);
      acceptOnce(context, dto.id, { traineeId, dto }, () =>
        setArchived.run({ traineeId, archivedAt: dto.archived ? instant(now()) : null }),
      );
      return archived.all();
    },

    /** Who was erased, as a device can tell it of those it holds something of. */
    erasures: (): readonly ErasureReply[] => erasures.all(),

    /** Takes everything about a trainee away, off the disk too; that somebody was erased stays. */
    erase(actor: Actor, traineeId: string, { id, name, reason }: ErasureDto): void {
      mustMay(actor, 'erase');
      mustConfirm(actor);
      if (trainees.find(traineeId).name.trim() !== name.trim())
        throw new Refusal('name-differs', 'The name that was typed is another one: nothing was erased.');
      db.transaction(() => {
        db.pragma('defer_foreign_keys = ON');
        const erased = deleteAll(traineeId, belongings(db));
        insertErasure.run({ id, reason, coachId: actor.coachId, erasedAt: instant(now()), digest: digestOf(traineeId), ...erased });
      }).immediate();
      // Pages that were moved about keep what stood on them: the file is written anew, and the log emptied.
      db.exec('VACUUM');
      db.pragma('wal_checkpoint(TRUNCATE)');
    },
  };
}

export type RecordStore = ReturnType<typeof recordStore>;
