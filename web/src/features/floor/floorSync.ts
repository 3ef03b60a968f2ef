import type { FloorPatchDto } from '@myokinet/core/contracts';
import { type FloorDeed, type FloorEvent, inOrder, runOf } from '@myokinet/core/floor';
import { nowInstant } from '../../client/clock.ts';
import { newId } from '../../client/newId.ts';
import { storageRefusal } from '../../client/eventKeep.ts';
import { isGateway, isOffline, type Problem, problemFrom } from '../../client/problem.ts';
import type { Dispatch } from '../../client/store.ts';
import { floorEndpoints } from './endpoints.ts';
import { floorActions, type FloorRun, type FloorState } from './floorRuns.ts';
import { type FloorKeep, floorKeep, type FloorPack, type KeptPhoto } from './keep.ts';
import { packFor } from './packFor.ts';

const EVENTS_AT_ONCE = 200;
/** What was packed longer ago than this is asked for again. */
const FRESH_MS = 10 * 60_000;

/** The store, as far as runs need it. */
export interface FloorHome {
  readonly dispatch: Dispatch;
  readonly getState: () => FloorState;
}

/**
 * Keeps runs: what happens is on this device's disk before it counts, and goes to the server in order, as often as it takes.
 * The server's answer brings what other devices did.
 */
export function floorSync(keep: FloorKeep = floorKeep()) {
  const busy = new Set<string>();
  const again = new Set<string>();

  const runIn = ({ getState }: FloorHome, runId: string): FloorRun | undefined => getState().floor[runId];

  async function send(home: FloorHome, runId: string, events: readonly FloorEvent[]): Promise<boolean> {
    const run = runIn(home, runId);
    if (!run) return false;
    const body = { traineeId: run.pack.trainee.id, head: run.pack.head, events } as unknown as FloorPatchDto;
    const request = home.dispatch(floorEndpoints.sendFloor.initiate({ runId, body }));
    const { data, error } = await request;
    request.reset();
    if (!data) {
      const offline = isOffline(error) || isGateway(error);
      home.dispatch(
        floorActions.linked({ runId, link: offline ? 'offline' : 'refused', problem: offline ? undefined : problemFrom(error) }),
      );
      return false;
    }
    home.dispatch(floorActions.answered({ runId, reply: data, sent: events.map((e) => e.id) }));
    // The device may refuse to write; what matters is that the server has it.
    await keep.known(runId, data.events).catch(() => undefined);
    return true;
  }

  /** Sends what the server lacks, oldest first, and takes in what it knows. */
  async function sync(home: FloorHome, runId: string): Promise<void> {
    if (busy.has(runId)) {
      again.add(runId);
      return;
    }
    busy.add(runId);
    try {
      do {
        again.delete(runId);
        const here = await keep.run(runId).catch(() => undefined);
        if (here) home.dispatch(floorActions.foundHere({ runId, events: here.events, unsent: here.unsent }));
        const run = runIn(home, runId);
        if (!run) return;
        const unsent = inOrder(run.events.filter((e) => run.unsent.includes(e.id))).slice(0, EVENTS_AT_ONCE);
        if (!(await send(home, runId, unsent))) return;
      } while (again.has(runId) || (runIn(home, runId)?.unsent.length ?? 0) > 0);
      await sendPhotos(home, runId);
    } finally {
      busy.delete(runId);
    }
  }

  /** What the run rests on as it stands today: cautions, body and history may have changed since it was packed. */
  async function freshen(home: FloorHome, runId: string): Promise<void> {
    const run = runIn(home, runId);
    if (!run || run.link !== 'kept' || Date.now() - Date.parse(run.pack.packedAt) < FRESH_MS) return;
    const { pack } = await packFor(home.dispatch, run.pack.trainee.id, run.pack.head, run.pack.schools);
    if (!pack) return;
    home.dispatch(floorActions.opened({ pack, events: [], unsent: [], photos: run.unsentPhotos }));
    await keep.savePack(pack).catch(() => undefined);
  }

  async function sendPhotos(home: FloorHome, runId: string): Promise<void> {
    const run = runIn(home, runId);
    for (const { id, photo } of run?.unsentPhotos ?? []) {
      const request = home.dispatch(floorEndpoints.sendPhoto.initiate({ runId, traineeId: run?.pack.trainee.id ?? '', body: photo }));
      const { data, error } = await request;
      request.reset();
      if (!data) {
        if (!isOffline(error)) home.dispatch(floorActions.linked({ runId, link: 'refused', problem: problemFrom(error) }));
        return;
      }
      home.dispatch(floorActions.photoSent({ runId, id }));
      home.dispatch(floorActions.answered({ runId, reply: data, sent: [] }));
      await keep.photoSent(id).catch(() => undefined);
    }
  }

  return {
    sync,

    /** Brings a run onto this page: from this device, or from the server. */
    async open(home: FloorHome, runId: string): Promise<Problem | undefined> {
      const here = await keep.run(runId).catch(() => undefined);
      // Not begun: whoever opens it is asked first.
      if (here?.pack?.taken) return undefined;
      if (here?.pack) {
        home.dispatch(floorActions.opened({ ...here, pack: here.pack }));
        void sync(home, runId).then(() => freshen(home, runId));
        return undefined;
      }
      if (runIn(home, runId)) return undefined;
      const query = home.dispatch(floorEndpoints.floorRun.initiate(runId, { forceRefetch: true }));
      const { data, error } = await query;
      query.unsubscribe();
      if (!data) return problemFrom(error);
      const { pack, problem } = await packFor(home.dispatch, data.traineeId, data.head);
      if (!pack) return problem;
      await this.begin(home, pack);
      return undefined;
    },

    /** Keeps a session for later. Resolves to whether this device could. */
    take: (pack: FloorPack): Promise<boolean> =>
      keep.savePack({ ...pack, taken: true }).then(
        () => true,
        () => false,
      ),

    /** A session that was taken along and is not begun. */
    taken: async (runId: string): Promise<FloorPack | undefined> => {
      const { pack } = await keep.run(runId).catch(() => ({ pack: undefined }));
      return pack?.taken ? pack : undefined;
    },

    /** Begins what was taken along, as it was taken. */
    async beginTaken(home: FloorHome, pack: FloorPack): Promise<void> {
      const { taken: _, ...own } = { ...pack, head: { ...pack.head, startedAt: nowInstant() } };
      await this.begin(home, own);
    },

    /** Begins a run, or joins one, with all it needs on this device. */
    async begin(home: FloorHome, pack: FloorPack): Promise<void> {
      const refused = await keep.savePack(pack).then(
        () => undefined,
        (error: unknown) => storageRefusal(error),
      );
      home.dispatch(floorActions.opened({ pack, events: [], unsent: [], photos: [] }));
      if (refused) home.dispatch(floorActions.refusesToKeep({ runId: pack.id, why: refused }));
      void sync(home, pack.id);
    },

    /** Something happened. Resolves to its id when it is safe: on this device's disk, or else with the server; to nothing when it is neither. */
    async happen(home: FloorHome, runId: string, deed: FloorDeed, id = newId()): Promise<string | undefined> {
      const run = runIn(home, runId);
      if (!run) return undefined;
      const event = { ...deed, id, order: runOf(run.pack.head, run.events).nextOrder, at: nowInstant() } as FloorEvent;
      try {
        await keep.add(runId, event);
      } catch (error) {
        home.dispatch(floorActions.refusesToKeep({ runId, why: storageRefusal(error) }));
        return (await send(home, runId, [event])) ? event.id : undefined;
      }
      home.dispatch(floorActions.happened({ runId, event }));
      void sync(home, runId);
      return event.id;
    },

    /** Keeps a picture for the record. */
    async addPhoto(home: FloorHome, photo: KeptPhoto): Promise<void> {
      // Without a disk it still goes to the server, if that answers.
      await keep.addPhoto(photo).catch(() => undefined);
      home.dispatch(floorActions.photoKept({ runId: photo.runId, photo }));
      void sync(home, photo.runId);
    },

    forget: (runId: string) => keep.forget(runId).catch(() => undefined),

    /** Runs on this device, for a page that opens without the server. */
    async here(): Promise<readonly { readonly pack: FloorPack; readonly ended: boolean; readonly unsent: number }[]> {
      const packs = await keep.packs().catch(() => []);
      return Promise.all(
        packs.map(async (pack) => {
          const { events, unsent, photos } = await keep.run(pack.id);
          const { closed, givenUp } = runOf(pack.head, events);
          return { pack, ended: closed !== undefined || givenUp, unsent: unsent.length + photos.length };
        }),
      );
    },
  };
}

/** The one of this page. */
export const floor = floorSync();
