import { NOTHING_SHOWN } from '@myokinet/core/planning';
// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import { BUILT_IN } from '@myokinet/core/catalogue';
import type { FloorPatchDto, FloorRunReply, RecordReply, TraineeReply } from '@myokinet/core/contracts';
import type { FloorEvent, FloorHead } from '@myokinet/core/floor';
import { instant } from '@myokinet/core/quantities';
import { DEFAULT_SCHOOLS } from '@myokinet/core/schools';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { newId } from '../../client/newId.ts';
import { createStore } from '../../app/store.ts';
import { floorSync } from './floorSync.ts';
import { type FloorKeep, floorKeep, type FloorPack } from './keep.ts';

const EMPTY: RecordReply = { sessions: [], symptoms: [], stopSigns: [], clearances: [], takenBack: [], mornings: [] };

/** A server in a few lines: keeps events by id, and can be away or full of objections. */
class FakeServer {
  readonly events = new Map<string, FloorEvent>();
  readonly heard: string[][] = [];
  state: 'up' | 'away' | 'refuses' = 'up';

  answer(head: FloorHead, body: FloorPatchDto): Response {
    if (this.state === 'away') throw new TypeError('network');
    if (this.state === 'refuses')
      return Response.json({ code: 'contract-broken', title: 'x', detail: 'A set must not be negative.' }, { status: 422 });
    const sent = body.events as unknown as FloorEvent[];
    if (sent.length > 0) this.heard.push(sent.map((e) => e.id));
    for (const e of sent) this.events.set(e.id, e);
    const reply: FloorRunReply = {
      traineeId: body.traineeId,
      head,
      events: [...this.events.values()],
      holds: [],
      cautions: [],
      photos: [],
      unreadable: [],
    };
    return Response.json(reply);
  }
}

const itemId = newId();
const packOf = (): FloorPack => {
  const id = newId();
  return {
    id,
    head: {
      id,
      plannedSessionId: null,
      startedAt: instant('2026-11-26T17:00:00Z'),
      form: 'sets',
      progress: 'count',
      items: [{ id: itemId, drillId: 'plank', sets: 3, min: 10, max: 20, restSeconds: 30 }],
    },
    trainee: { id: newId(), name: 'Ada Spar', screening: { cautions: [], locks: [] } } as unknown as TraineeReply,
    content: BUILT_IN,
    schools: DEFAULT_SCHOOLS,
    foothold: { ladderId: 'push-up', here: 0, shown: NOTHING_SHOWN },
    history: EMPTY,
    capacities: [],
    packedAt: instant('2026-11-26T17:00:00Z'),
  };
};
const set = (round: number, amount = 20) => ({ kind: 'set', itemId, round, side: 'whole', amount }) as const;

let server: FakeServer;
let pack: FloorPack;
beforeEach(() => {
  server = new FakeServer();
  pack = packOf();
  vi.stubGlobal(
    'Request',
    class extends Request {
      constructor(url: string, init?: RequestInit) {
        super(new URL(url, 'http://localhost'), init);
      }
    },
  );
  vi.stubGlobal('fetch', async (request: Request) => server.answer(pack.head, (await request.json()) as FloorPatchDto));
});
afterEach(() => vi.unstubAllGlobals());

/** A page on a device; pages of one device share its keep. */
const page = (keep: FloorKeep = floorKeep(newId())) => {
  const home = createStore();
  const sync = floorSync(keep);
  const run = () => home.getState().floor[pack.id];
  const settled = async () => {
    await vi.waitFor(() => expect(['kept', 'offline', 'refused']).toContain(run()?.link));
    await sync.sync(home, pack.id);
  };
  return { home, sync, keep, run, settled, happen: (deed: ReturnType<typeof set>) => sync.happen(home, pack.id, deed) };
};

describe('what happens on the floor', () => {
  it('is on the disk before it counts, and goes out in order', async () => {
    const device = page();
    await device.sync.begin(device.home, pack);
    server.state = 'away';
    for (const round of [1, 2, 3]) {
      const id = await device.happen(set(round));
      const kept = await device.keep.run(pack.id);
      expect(kept.unsent).toContain(id);
      expect(device.run()?.events.map((e) => e.id)).toContain(id);
    }
    await device.settled();
    expect(device.run()).toMatchObject({ link: 'offline', unsent: { length: 3 } });
    server.state = 'up';
    await device.settled();
    expect(device.run()).toMatchObject({ link: 'kept', unsent: [] });
    expect([...server.events.values()].map((e) => (e as { round?: number }).round)).toEqual([1, 2, 3]);
    expect((await device.keep.run(pack.id)).unsent).toEqual([]);
  });

  it('survives the page: another one finds it all', async () => {
    const before = page();
    await before.sync.begin(before.home, pack);
    server.state = 'away';
    await before.happen(set(1));
    const after = page(before.keep);
    expect(await after.sync.open(after.home, pack.id)).toBeUndefined();
    expect(after.run()?.events).toHaveLength(1);
    expect(after.run()?.unsent).toHaveLength(1);
    expect(await after.sync.here()).toMatchObject([{ ended: false, unsent: 1 }]);
  });

  it('of two pages of one device comes together without the server', async () => {
    const one = page();
    await one.sync.begin(one.home, pack);
    server.state = 'away';
    const two = page(one.keep);
    await two.sync.open(two.home, pack.id);
    await one.happen(set(1));
    await two.happen(set(2));
    await one.settled();
    await two.settled();
    expect(one.run()?.events.length).toBe(2);
    expect(two.run()?.events.length).toBe(2);
  });

  it('of two devices comes together over the server; a set at one place from both stays twice', async () => {
    const [one, two] = [page(), page()];
    for (const device of [one, two]) await device.sync.begin(device.home, pack);
    await one.happen(set(1, 20));
    await two.happen(set(1, 18));
    for (const device of [one, two, one]) await device.settled();
    const ids = (device: typeof one) =>
      device
        .run()
        ?.events.map((e) => e.id)
        .toSorted();
    await vi.waitFor(() => expect(ids(one)).toHaveLength(2));
    expect(ids(two)).toEqual(ids(one));
  });

  it('that the server refuses stays here, with the reason', async () => {
    const device = page();
    await device.sync.begin(device.home, pack);
    server.state = 'refuses';
    await device.happen(set(1));
    await device.settled();
    expect(device.run()).toMatchObject({ link: 'refused', problem: { sentence: 'A set must not be negative.' }, unsent: { length: 1 } });
  });

  it('on a device that keeps nothing counts only when the server has it', async () => {
    const refuses = async () => Promise.reject(new DOMException('full', 'QuotaExceededError'));
    const device = page({ ...floorKeep(newId()), add: refuses, savePack: refuses, known: refuses });
    await device.sync.begin(device.home, pack);
    expect(device.run()?.keepsNothing).toBe('the disk of this device is full');
    expect(await device.happen(set(1))).toBeDefined();
    server.state = 'away';
    expect(await device.happen(set(2))).toBeUndefined();
    expect(device.run()?.events).toHaveLength(1);
  });

  it('can be taken off the device', async () => {
    const device = page();
    await device.sync.begin(device.home, pack);
    await device.happen(set(1));
    await device.settled();
    await device.sync.forget(pack.id);
    expect(await device.keep.run(pack.id)).toMatchObject({ pack: undefined, events: [] });
  });
});
