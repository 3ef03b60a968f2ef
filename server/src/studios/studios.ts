import { join } from 'node:path';
import { Refusal } from '@myokinet/core/errors';
import Database from 'better-sqlite3';
import { STUDIO_ID } from '../context.ts';
import { openDatabase } from '../database/open.ts';
import type { Aside } from '../aside.ts';
import { type Services, servicesFor } from '../services.ts';
import { auditStore, type AuditStore } from './auditStore.ts';

/** A studio whose file is open. */
export interface OpenStudio {
  readonly services: Services;
  readonly audit: AuditStore;
  readonly db: Database.Database;
}

interface Person {
  readonly id: string;
  readonly name: string;
  readonly initials: string;
}

interface Options {
  readonly folder: string;
  readonly now: () => Date;
  readonly aside?: Aside | undefined;
  readonly beforeMigration?: (studioId: string, db: Database.Database, version: number) => void;
}

/** The file of a studio in a folder. */
export const fileOf = (folder: string, studioId: string): string => join(folder, `${studioId}.sqlite`);

/**
 * The files of the studios of one data folder: each opened when it is first asked for, and looked over then. Nothing of one studio can
 * be reached through another's.
 */
export function openStudios({ folder, now, aside, beforeMigration }: Options) {
  const open = new Map<string, OpenStudio>();
  const damaged = new Set<string>();

  function opened(id: string): OpenStudio {
    const db = openDatabase(fileOf(folder, id), { beforeMigration: (file, version) => beforeMigration?.(id, file, version) });
    try {
      mustBeWhole(db);
      const context = { db, studioId: STUDIO_ID, fileId: id, now };
      return { db, services: servicesFor(context, aside), audit: auditStore(context) };
    } catch (error) {
      db.close();
      throw error;
    }
  }

  return {
    /** @throws Refusal `studio-damaged` */
    of(id: string): OpenStudio {
      const known = open.get(id);
      if (known) return known;
      if (damaged.has(id)) throw new Refusal('studio-damaged');
      try {
        const studio = opened(id);
        open.set(id, studio);
        return studio;
      } catch (error) {
        if (!isDamage(error)) throw error;
        damaged.add(id);
        throw new Refusal('studio-damaged');
      }
    },

    /** An older database becomes the file of a studio: copied, so that the old one stays as it was. */
    adopt(id: string, file: string): void {
      const old = new Database(file, { readonly: true });
      try {
        mustBeWhole(old);
        old.prepare('VACUUM INTO ?').run(fileOf(folder, id));
      } finally {
        old.close();
      }
    },

    isDamaged: (id: string): boolean => damaged.has(id),

    /** Looks every open file over; one that is damaged is closed, and nothing is written to it any more. */
    lookOver(): readonly string[] {
      for (const [id, { db }] of open) {
        try {
          mustBeWhole(db);
        } catch {
          damaged.add(id);
          this.close(id);
        }
      }
      return [...damaged];
    },

    /** The person as records of the studio name them. */
    introduce(id: string, { id: coachId, name, initials }: Person): void {
      this.of(id)
        .db.prepare(
          `INSERT INTO coach (id, studio_id, name, initials) VALUES (@coachId, @studioId, @name, @initials)
           ON CONFLICT (id) DO UPDATE SET name = excluded.name, initials = excluded.initials`,
        )
        .run({ coachId, studioId: STUDIO_ID, name, initials });
    },

    /** Closes a file, so that another can take its place. */
    close(id: string): void {
      open.get(id)?.db.close();
      open.delete(id);
    },

    /** A file has taken its place. */
    healed: (id: string): boolean => damaged.delete(id),

    closeAll(): void {
      for (const id of [...open.keys()]) this.close(id);
    },

    openFiles: (): readonly { readonly id: string; readonly db: Database.Database }[] => [...open].map(([id, { db }]) => ({ id, db })),
  };
}

export type Studios = ReturnType<typeof openStudios>;

/** What SQLite says of a file that is not whole. */
const DAMAGE = ['SQLITE_CORRUPT', 'SQLITE_NOTADB', 'SQLITE_IOERR_SHORT_READ'];

class DamagedFile extends Error {}

/** @throws DamagedFile */
export function mustBeWhole(db: Database.Database): void {
  const said = db.pragma('quick_check(1)', { simple: true });
  if (said !== 'ok') throw new DamagedFile(String(said));
}

export function isDamage(error: unknown): boolean {
  const code = (error as { code?: string }).code ?? '';
  return error instanceof DamagedFile || DAMAGE.some((damage) => code.startsWith(damage));
}
