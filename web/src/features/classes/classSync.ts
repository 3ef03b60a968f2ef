import type { ClassDeed, ClassEvent, ClassMember } from '@myokinet/core/classes';
import { classOf } from '@myokinet/core/classes';
import type { ClassPatchDto, ClassPersonReply } from '@myokinet/core/contracts';
import { inOrder } from '@myokinet/core/floor';
import { instant } from '@myokinet/core/quantities';
import { nowInstant } from '../../client/clock.ts';
import { EVENT_BASES } from '../../client/eventBases.ts';
import { type EventKeep, eventKeep, storageRefusal } from '../../client/eventKeep.ts';
import { newId } from '../../client/newId.ts';
import { isGateway, isOffline, type Problem, problemFrom } from '../../client/problem.ts';
import type { Dispatch } from '../../client/store.ts';
import { libraryEndpoints } from '../library/index.ts';
import { classTimeNow } from './classClock.ts';
import { classActions, type ClassesState, type ClassPack, type ClassRun } from './classRuns.ts';
import { classEndpoints } from './endpoints.ts';

const EVENTS_AT_ONCE = 200;

/** The store, as far as classes need it. */
export interface ClassHome {
  readonly dispatch: Dispatch;
  readonly getState: () => ClassesState;
}

type ClassKeep = EventKeep<ClassPack, ClassEvent>;

/**
 * Keeps classes: what happens is on this device’s disk before it counts, and goes to the server in order, as often as it takes. The
 * server’s answer brings what other devices did.
 */
export function classSync(keep: ClassKeep = eventKeep<ClassPack, ClassEvent>(EVENT_BASES.classes)) {
  const busy = new Set<string>();
  const again = new Set<string>();
  const runIn = ({ getState }: ClassHome, id: string): ClassRun | undefined => getState().classes[id];

  async function send(home: ClassHome, id: string, events: readonly ClassEvent[]): Promise<boolean> {
    const run = runIn(home, id);
    if (!run) return false;
    const { head } = run.pack;
    const everybody = run.pack.members.map((m) => m.traineeId);
    const members = run.pack.members.filter((m) => !run.known.includes(m.traineeId));
    const body = { head, members, events } as unknown as ClassPatchDto;
    const request = home.dispatch(classEndpoints.sendClass.initiate({ id, everybody, body }));
    const { data, error } = await request;
    request.reset();
    if (!data) {
      const offline = isOffline(error) || isGateway(error);
      home.dispatch(classActions.linked({ id, link: offline ? 'offline' : 'refused', problem: offline ? undefined : problemFrom(error) }));
      return false;
    }
    classTimeNow.hear(data.now);
    home.dispatch(classActions.answered({ id, reply: data, sent: events.map((e) => e.id) }));
    const now = runIn(home, id);
    // The device may refuse to write; what matters is that the server has it.
    if (now) await Promise.all([keep.known(id, data.events), keep.savePack(now.pack)]).catch(() => undefined);
    return true;
  }

  /** Sends what the server lacks, oldest first, and takes in what it knows. */
  async function sync(home: ClassHome, id: string): Promise<void> {
    if (busy.has(id)) {
      again.add(id);
      return;
    }
    busy.add(id);
    try {
      do {
        again.delete(id);
        const here = await keep.run(id).catch(() => undefined);
        if (here) home.dispatch(classActions.foundHere({ id, ...here }));
        const run = runIn(home, id);
        if (!run) return;
        const unsent = inOrder(run.events.filter((e) => run.unsent.includes(e.id))).slice(0, EVENTS_AT_ONCE);
        if (!(await send(home, id, unsent))) return;
      } while (again.has(id) || (runIn(home, id)?.unsent.length ?? 0) > 0);
    } finally {
      busy.delete(id);
    }
  }

  /** A class that another device began: with who takes part, and what each might do instead. */
  async function fetched(home: ClassHome, id: string): Promise<{ readonly pack?: ClassPack; readonly problem?: Problem | undefined }> {
    const fresh = { forceRefetch: true } as const;
    const asked = [
      home.dispatch(classEndpoints.oneClass.initiate(id, fresh)),
      home.dispatch(classEndpoints.classPeople.initiate(id, fresh)),
      home.dispatch(libraryEndpoints.library.initiate()),
    ] as const;
    const [one, people, library] = await Promise.all(asked);
    asked.forEach((q) => q.unsubscribe());
    if (!one.data || !people.data || !library.data) return { problem: problemFrom(one.error ?? people.error ?? library.error) };
    const { head, members, now } = one.data;
    classTimeNow.hear(now);
    const { content } = library.data;
    return { pack: { id, head, members, content, packedAt: nowInstant(), people: people.data } };
  }

  /** Somebody whom another device let in is asked for by name. */
  async function meet(home: ClassHome, id: string): Promise<void> {
    const run = runIn(home, id);
    if (!run || run.link !== 'kept' || run.pack.members.length === run.pack.people.length) return;
    const query = home.dispatch(classEndpoints.classPeople.initiate(id, { forceRefetch: true }));
    const { data } = await query;
    query.unsubscribe();
    const now = runIn(home, id);
    if (!data || !now) return;
    const pack = { ...now.pack, people: data };
    home.dispatch(classActions.cameIn({ id, pack }));
    await keep.savePack(pack).catch(() => undefined);
  }

  return {
    sync: async (home: ClassHome, id: string): Promise<void> => {
      await sync(home, id);
      await meet(home, id);
    },

    /** Brings a class onto this page: from this device, or from the server. */
    async open(home: ClassHome, id: string): Promise<Problem | undefined> {
      const here = await keep.run(id).catch(() => undefined);
      if (here?.pack) {
        home.dispatch(classActions.opened({ ...here, pack: here.pack }));
        void sync(home, id);
        return undefined;
      }
      if (runIn(home, id)) return undefined;
      const { pack, problem } = await fetched(home, id);
      if (!pack) return problem;
      await this.begin(home, pack);
      return undefined;
    },

    /** Begins a class, or joins one, with all it needs on this device. */
    async begin(home: ClassHome, pack: ClassPack): Promise<void> {
      const refused = await keep.savePack(pack).then(
        () => undefined,
        (error: unknown) => storageRefusal(error),
      );
      home.dispatch(classActions.opened({ pack, events: [], unsent: [] }));
      if (refused) home.dispatch(classActions.refusesToKeep({ id: pack.id, why: refused }));
      void sync(home, pack.id);
    },

    /** Somebody comes in late. */
    async comeIn(home: ClassHome, id: string, member: ClassMember, person: ClassPersonReply): Promise<void> {
      const run = runIn(home, id);
      if (!run || run.pack.members.some((m) => m.traineeId === member.traineeId)) return;
      const pack = { ...run.pack, members: [...run.pack.members, member], people: [...run.pack.people, person] };
      home.dispatch(classActions.cameIn({ id, pack }));
      await keep.savePack(pack).catch(() => undefined);
      void sync(home, id);
    },

    /** Something happened. Resolves to its id when it is safe: on this device’s disk, or else with the server; to nothing when it is neither. */
    async happen(home: ClassHome, id: string, deed: ClassDeed): Promise<string | undefined> {
      const run = runIn(home, id);
      if (!run) return undefined;
      const { nextOrder } = classOf(run.pack.head, run.pack.members, run.events);
      const event = { ...deed, id: newId(), order: nextOrder, at: instant(new Date(classTimeNow.now())) } as ClassEvent;
      // Seen at once; taken back below, should it be neither kept nor sent.
      home.dispatch(classActions.happened({ id, event }));
      try {
        await keep.add(id, event);
      } catch (error) {
        home.dispatch(classActions.refusesToKeep({ id, why: storageRefusal(error) }));
      }
      void sync(home, id);
      return event.id;
    },

    forget: (id: string) => keep.forget(id).catch(() => undefined),

    /** Classes on this device, for a page that opens without the server. */
    async here(): Promise<readonly { readonly pack: ClassPack; readonly ended: boolean; readonly unsent: number }[]> {
      const packs = await keep.packs().catch(() => []);
      return Promise.all(
        packs.map(async (pack) => {
          const { events, unsent } = await keep.run(pack.id);
          const { closed, givenUp } = classOf(pack.head, pack.members, events);
          return { pack, ended: closed !== undefined || givenUp, unsent: unsent.length };
        }),
      );
    },
  };
}

/** The one of this page. */
export const classes = classSync();
