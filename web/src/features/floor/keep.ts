import type { FloorPhotoDto, RecordReply, TraineeReply } from '@myokinet/core/contracts';
import type { FloorEvent, FloorHead } from '@myokinet/core/floor';
import type { LibraryContent } from '@myokinet/core/library';
import type { Capacity } from '@myokinet/core/measuring';
import type { Foothold, LastLoaded } from '@myokinet/core/planning';
import type { Instant } from '@myokinet/core/quantities';
import type { Schools } from '@myokinet/core/schools';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

/** Everything a run needs, taken along so that it goes on without the server. */
export interface FloorPack {
  /** Of the run. */
  readonly id: string;
  readonly head: FloorHead;
  readonly trainee: TraineeReply;
  readonly content: LibraryContent;
  readonly schools: Schools;
  readonly foothold: Foothold;
  /** Drills done before, and when joints were loaded last; a pack from before does not say. */
  readonly knownDrills?: readonly string[];
  readonly lastLoaded?: LastLoaded;
  readonly history: RecordReply;
  /** The newest of each check and side. */
  readonly capacities: readonly Capacity[];
  readonly packedAt: Instant;
  /** Taken along for later: nobody has begun it, and the server knows nothing of it. */
  readonly taken?: true;
}

interface KeptEvent {
  readonly id: string;
  readonly runId: string;
  readonly event: FloorEvent;
  readonly sent: boolean;
}

export interface KeptPhoto {
  readonly id: string;
  readonly runId: string;
  readonly photo: FloorPhotoDto;
}

interface FloorDatabase extends DBSchema {
  packs: { key: string; value: FloorPack };
  events: { key: string; value: KeptEvent; indexes: { run: string } };
  /** Pictures that the server has not got yet. */
  photos: { key: string; value: KeptPhoto; indexes: { run: string } };
}

export interface KeptRun {
  readonly pack: FloorPack | undefined;
  readonly events: readonly FloorEvent[];
  readonly unsent: readonly string[];
  readonly photos: readonly KeptPhoto[];
}

/** Where this device keeps what happened, until the server has it and after. Every call may be refused by the browser. */
export interface FloorKeep {
  readonly run: (runId: string) => Promise<KeptRun>;
  readonly packs: () => Promise<readonly FloorPack[]>;
  readonly savePack: (pack: FloorPack) => Promise<void>;
  /** Resolves when the event is on the disk. */
  readonly add: (runId: string, event: FloorEvent) => Promise<void>;
  /** What the server has. */
  readonly known: (runId: string, events: readonly FloorEvent[]) => Promise<void>;
  readonly addPhoto: (photo: KeptPhoto) => Promise<void>;
  readonly photoSent: (id: string) => Promise<void>;
  /** Takes a run off this device. */
  readonly forget: (runId: string) => Promise<void>;
}

const NAME = 'myokinet-floor';

/** The browser's own database. */
export function floorKeep(name = NAME): FloorKeep {
  let opened: Promise<IDBPDatabase<FloorDatabase>> | undefined;
  const database = async () => {
    opened ??= openDB<FloorDatabase>(name, 1, {
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
