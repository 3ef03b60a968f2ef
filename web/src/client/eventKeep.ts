import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

interface Known {
  readonly id: string;
}

interface KeptEvent<Event> {
  readonly id: string;
  readonly runId: string;
  readonly event: Event;
  readonly sent: boolean;
}

interface OfRun {
  readonly id: string;
  readonly runId: string;
}

interface EventBase<Pack extends Known, Event extends Known, Photo extends OfRun> extends DBSchema {
  packs: { key: string; value: Pack };
  events: { key: string; value: KeptEvent<Event>; indexes: { run: string } };
  /** Pictures that the server has not got yet. */
  photos: { key: string; value: Photo; indexes: { run: string } };
}

export interface KeptRun<Pack, Event, Photo> {
  readonly pack: Pack | undefined;
  readonly events: readonly Event[];
  readonly unsent: readonly string[];
  readonly photos: readonly Photo[];
}

/** Where this device keeps what happened in a run, until the server has it and after. Every call may be refused by the browser. */
export interface EventKeep<Pack, Event, Photo = never> {
  readonly run: (runId: string) => Promise<KeptRun<Pack, Event, Photo>>;
  readonly packs: () => Promise<readonly Pack[]>;
  readonly savePack: (pack: Pack) => Promise<void>;
  /** Resolves when the event is on the disk. */
  readonly add: (runId: string, event: Event) => Promise<void>;
  /** What the server has. */
  readonly known: (runId: string, events: readonly Event[]) => Promise<void>;
  readonly addPhoto: (photo: Photo) => Promise<void>;
  readonly photoSent: (id: string) => Promise<void>;
  /** Takes a run off this device. */
  readonly forget: (runId: string) => Promise<void>;
}

/**
 * The browser's own database.
 *
 * @param name one of `EVENT_BASES`: what is kept elsewhere is neither counted nor wiped
 */
export function eventKeep<Pack extends Known, Event extends Known, Photo extends OfRun = never>(
  name: string,
): EventKeep<Pack, Event, Photo> {
  type Base = EventBase<Pack, Event, Photo>;
  let opened: Promise<IDBPDatabase<Base>> | undefined;
  const database = async () => {
    opened ??= openDB<Base>(name, 1, {
      upgrade(db) {
        db.createObjectStore('packs', { keyPath: 'id' });
        db.createObjectStore('events', { keyPath: 'id' }).createIndex('run', 'runId');
        db.createObjectStore('photos', { keyPath: 'id' }).createIndex('run', 'runId');
      },
      terminated() {
        opened = undefined;
      },
    });
    // A refusal is not for ever: the next call tries again.
    return opened.catch((error: unknown) => {
      opened = undefined;
      throw error;
    });
  };
  return {
    async run(runId) {
      const db = await database();
      const [pack, kept, photos] = await Promise.all([
        db.get('packs', runId),
        db.getAllFromIndex('events', 'run', runId),
        db.getAllFromIndex('photos', 'run', runId),
      ]);
      return { pack, events: kept.map((k) => k.event), unsent: kept.filter((k) => !k.sent).map((k) => k.id), photos };
    },
    packs: async () => (await database()).getAll('packs'),
    async savePack(pack) {
      await (await database()).put('packs', pack);
    },
    async add(runId, event) {
      const transaction = (await database()).transaction('events', 'readwrite', { durability: 'strict' });
      await Promise.all([transaction.store.put({ id: event.id, runId, event, sent: false }), transaction.done]);
    },
    async known(runId, events) {
      const transaction = (await database()).transaction('events', 'readwrite');
      await Promise.all([...events.map((event) => transaction.store.put({ id: event.id, runId, event, sent: true })), transaction.done]);
    },
    async addPhoto(photo) {
      await (await database()).put('photos', photo);
    },
    async photoSent(id) {
      await (await database()).delete('photos', id);
    },
    async forget(runId) {
      const db = await database();
      const transaction = db.transaction(['packs', 'events', 'photos'], 'readwrite');
      await transaction.objectStore('packs').delete(runId);
      for (const name of ['events', 'photos'] as const)
        for (const key of await transaction.objectStore(name).index('run').getAllKeys(runId))
          await transaction.objectStore(name).delete(key);
      await transaction.done;
    },
  };
}

/** Why a browser keeps nothing, in words. */
export function storageRefusal(error: unknown): string {
  const { name } = (error ?? {}) as { name?: string };
  if (name === 'QuotaExceededError') return 'the disk of this device is full';
  return name === 'SecurityError' || name === 'InvalidStateError'
    ? 'this browser allows no storage here'
    : `this browser refused (${name ?? 'no reason given'})`;
}
