import { join } from 'node:path';
import type { FastifyInstance, FastifyRequest } from 'fastify';
import { accountStore } from '../identity/accountStore.ts';
import { accountDoor } from '../identity/door.ts';
import { identityRoutes } from '../identity/routes.ts';
import { newCode } from '../identity/secrets.ts';
import type { FindSeat } from '../seat.ts';
import type { FindStudio } from '../own/routes.ts';
import { slowDown } from '../identity/slowDown.ts';
import type { StudioFiles } from '../identity/studioFiles.ts';
import type { Aside } from '../aside.ts';
import { ACCOUNTS, copyKeeper, type Source } from './copies.ts';
import { ACCOUNTS_FILE, type DataFolder, takeFolder } from './folder.ts';
import { studioRoutes } from './routes.ts';
import { fileOf, openStudios } from './studios.ts';

interface Options {
  readonly data: string;
  readonly copiesFolder: string;
  readonly passphrase: string | undefined;
  readonly now: () => Date;
  readonly aside?: Aside | undefined;
  /** An older database that becomes the first studio. */
  readonly adopt?: string | undefined;
  /** Whether pages are served over TLS. */
  readonly secure: boolean;
}

/** How often it is asked whether a copy is due, and whether all files are whole. */
const LOOK_EVERY_MS = 60 * 60 * 1000;

/** All of a data folder at work: accounts, studios, copies, and the door to them. */
export function openHouse({ data, copiesFolder, passphrase, now, aside, adopt, secure }: Options) {
  const copies = copyKeeper({ folder: copiesFolder, passphrase, now });
  const folder: DataFolder = takeFolder(data, (db, version) => copies.beforeMigration(ACCOUNTS, db, version));
  const accounts = accountStore(folder.accounts, now);
  const studios = openStudios({
    folder: folder.studios,
    now,
    aside,
    beforeMigration: (id, db, version) => copies.beforeMigration(id, db, version),
  });
  const files: StudioFiles = {
    servicesOf: (id) => studios.of(id).services,
    isDamaged: studios.isDamaged,
    introduce: (id, person) => studios.introduce(id, person),
    newestOfAudit: (id, limit) => studios.of(id).audit.newest(limit),
    copiesState: copies.state,
  };
  const door = accountDoor({ accounts, files, now, secure });
  const firstCode = accounts.nobodyYet() ? newCode() : undefined;

  /** A file that is damaged is not copied over a good copy's place: the copy of it would not open. */
  const sources = (): readonly Source[] => [
    { name: ACCOUNTS, db: folder.accounts, path: join(folder.path, ACCOUNTS_FILE) },
    ...accounts.studios().map(({ id }): Source => {
      const open = studios.openFiles().find((f) => f.id === id);
      return { name: id, path: fileOf(folder.studios, id), ...(open ? { db: open.db } : {}) };
    }),
  ];
  const copyNow = () => copies.make(sources());

  return {
    firstCode,
    seatOf: door.seatOf satisfies FindSeat,

    /** The studio of an id, where there is one: links say in which they lie. */
    studioOf: ((id) => {
      const known = accounts.studios().find((s) => s.id === id);
      return known && { name: known.name, services: studios.of(id).services };
    }) satisfies FindStudio,

    /** Opens all files, so that what is wrong shows at the start, and not when a coach comes; names those that are damaged. */
    openAll(): readonly string[] {
      return accounts.studios().flatMap(({ id, name }) => {
        try {
          studios.of(id);
          return [];
        } catch (error) {
          if (studios.isDamaged(id)) return [name];
          throw error;
        }
      });
    },

    routes(app: FastifyInstance): void {
      identityRoutes(app, {
        accounts,
        files,
        door,
        slow: slowDown(now),
        now,
        firstCode,
        firstCopy: () => void copyNow(),
        prepare: (id) => adopt !== undefined && studios.adopt(id, adopt),
      });
      studioRoutes(app, { folder, accounts, studios, copies, door, copyNow, now });
    },

    /** One line in the studio's own list of who did what. */
    changed(request: FastifyRequest): void {
      const { accountId, studioId } = door.find(request) ?? {};
      if (!accountId || !studioId || studios.isDamaged(studioId)) return;
      const { url = '', method } = request.routeOptions;
      const { id } = request.params as { id?: string };
      studios.of(studioId).audit.note(request.actor, {
        what: `${String(method)} ${url}`,
        traineeId: url.startsWith('/api/trainees/:id') && id !== undefined ? id : null,
        address: request.ip,
      });
    },

    copyNow,

    /** Copies at once where one is due, and looks again every hour; stops when told. */
    keepCopies(): () => void {
      const look = () => {
        studios.lookOver();
        if (copies.due() && !accounts.nobodyYet()) void copyNow();
      };
      look();
      const timer = setInterval(look, LOOK_EVERY_MS);
      timer.unref();
      return () => clearInterval(timer);
    },

    health: () => {
      const { lastGoodAt, problem, overdue } = copies.state();
      return {
        damaged: accounts.studios().filter(({ id }) => studios.isDamaged(id)).length,
        lastGoodAt,
        overdue,
        problem: problem !== undefined,
      };
    },

    async close(): Promise<void> {
      await copies.settled();
      studios.closeAll();
      folder.release();
    },
  };
}
