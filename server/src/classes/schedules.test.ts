import {
  type ClassDeed,
  type ClassEvent,
  type ClassHead,
  classItems,
  type ClassMember,
  classOf,
  rhythmMoments,
} from '@myokinet/core/classes';
import type { ClassReply, RecordReply } from '@myokinet/core/contracts';
import { addDays, instant } from '@myokinet/core/quantities';
import seedrandom from 'seedrandom';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, inject, it } from 'vitest';
import { openDatabase } from '../database/open.ts';
import { type TestBench, testBench, traineeDto } from '../testBench.ts';

const RUNS = inject('long') ? 200 : 3;
const PEOPLE = 20;
const STEPS = 60;

const db = openDatabase(':memory:');
let bench: TestBench;
const people = Array.from({ length: PEOPLE }, () => traineeDto({ equipment: ['wall', 'bench', 'bar'] }));
beforeAll(async () => {
  bench = await testBench(db);
  for (const dto of people) await bench.post('/api/trainees', dto);
});
afterAll(() => bench.close());

/** What a device knows, and what the server has told it that it has. */
interface Device {
  readonly known: Map<string, ClassEvent>;
  readonly sent: Set<string>;
  members: readonly ClassMember[];
}

it(`a class of ${PEOPLE} on two devices comes to the same whatever is lost on the way, in ${RUNS} schedules`, async () => {
  for (let seed = 1; seed <= RUNS; seed++) await schedule(`class ${seed}`);
});

async function schedule(seed: string): Promise<void> {
  const random = seedrandom(seed);
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)] as T;
  const slots = ['plank', 'wrist-circles', 'wall-slides'].map((drillId) => ({ id: v7(), drillId }));
  const moments = rhythmMoments(
    slots.map((s) => s.id),
    { work: 40, rest: 20, change: 30, rounds: 2, circle: random() < 0.5 },
  );
  const id = v7();
  const at = instant(addDays(bench.now(), -0.1));
  const head: ClassHead = { id, groupId: null, name: seed, startedAt: at, preparation: null, slots, moments };
  const member = (traineeId: string): ClassMember => ({
    ...{ traineeId, from: 0, plannedSessionId: null },
    items: slots.map(({ id: slotId, drillId }) => ({ slotId, drillId, sets: 2, min: 5, max: 10 })),
  });
  const all = people.map((p) => member(p.id));
  const device = (): Device => ({ known: new Map(), sent: new Set(), members: all.slice(0, PEOPLE - 2) });
  const devices = [device(), device()] as const;

  const tell = ({ known }: Device, deed: ClassDeed) => {
    const order = Math.max(0, ...[...known.values()].map((e) => e.order)) + 1;
    const event = { ...deed, id: v7(), order, at } as ClassEvent;
    known.set(event.id, event);
  };
  /** @param lost nothing arrives, or the answer does not, or neither is lost */
  const send = async (one: Device, lost: 'all' | 'answer' | 'nothing') => {
    if (lost === 'all') return;
    const events = [...one.known.values()].filter((e) => !one.sent.has(e.id));
    const { status, body } = await bench.put(`/api/classes/${id}`, { head, members: one.members, events });
    expect(status).toBe(200);
    if (lost === 'answer') return;
    const reply = body as ClassReply;
    for (const event of reply.events) {
      one.known.set(event.id, event);
      one.sent.add(event.id);
    }
    const there = new Set(reply.members.map((m) => m.traineeId));
    one.members = [...reply.members, ...one.members.filter((m) => !there.has(m.traineeId))];
  };
  const deed = (): ClassDeed => {
    const who = pick(people).id;
    const moment = Math.floor(random() * moments.length);
    switch (Math.floor(random() * 6)) {
      case 0:
        return { kind: 'sits', who, moment, out: random() < 0.5 };
      case 1:
        return { kind: 'fault', who, moment, ...(random() < 0.5 ? { faultId: 'shrug' } : {}) };
      case 2:
        return { kind: 'count', who, moment, side: 'whole', amount: Math.floor(random() * 12) };
      case 3:
        return { kind: 'effort', who, effort: Math.floor(random() * 11) };
      case 4:
        return { kind: 'clock', moment, left: 5000, running: random() < 0.5 };
      default:
        return { kind: 'passed', moment };
    }
  };

  for (let step = 0; step < STEPS; step++) {
    const one = pick(devices);
    if (step === 20) one.members = all;
    tell(one, deed());
    const mine = [...one.known.values()].filter((e) => e.kind === 'fault' || e.kind === 'sits');
    if (random() < 0.1 && mine.length > 0) tell(one, { kind: 'take back', eventId: pick(mine).id });
    if (random() < 0.5) await send(one, pick(['all', 'answer', 'nothing', 'nothing']));
    // The server is killed: what it had acknowledged is on its disk, and nothing else is kept anywhere.
    if (random() < 0.05) bench = await testBench(db);
    if (step === STEPS - 15) tell(one, { kind: 'close', effort: 5, minutes: 20, note: '' });
  }
  for (let i = 0; i < 2; i++) for (const one of devices) await send(one, 'nothing');

  const { events, members } = (await bench.get(`/api/classes/${id}`)).body as ClassReply;
  const ids = events.map((e) => e.id).sort();
  expect(new Set(ids).size).toBe(ids.length);
  for (const one of devices) expect([...one.known.keys()].sort()).toEqual(ids);
  expect(members).toHaveLength(PEOPLE);
  const stands = classOf(head, members, events);
  const library = bench.services.library.current();
  for (const one of devices) expect(shown(classOf(head, one.members, [...one.known.values()]))).toEqual(shown(stands));
  for (const { member: of } of stands.members) {
    const state = stands.members.find((m) => m.member.traineeId === of.traineeId);
    const { sessions } = (await bench.get(`/api/trainees/${of.traineeId}/record`)).body as RecordReply;
    const own = sessions.filter((s) => s.inClass === seed);
    const items = state ? classItems(stands, state, library) : [];
    expect(own).toHaveLength(items.length > 0 ? 1 : own.length);
    expect(own.length).toBeLessThanOrEqual(1);
    const sets = (
      of_: readonly { readonly drillId: string; readonly sets: readonly { readonly side: string; readonly amount: number }[] }[],
    ) => of_.flatMap((i) => i.sets.map((s) => `${i.drillId} ${s.side} ${s.amount}`)).sort();
    if (own[0]) expect(sets(own[0].items)).toEqual(sets(items));
  }
}

/** A class as a device shows it, whatever order it knows its people in. */
function shown({ members, passed, closed, clock }: ReturnType<typeof classOf>) {
  const byId = [...members].sort((a, b) => a.member.traineeId.localeCompare(b.member.traineeId));
  return { members: byId, passed: [...passed].sort((a, b) => a - b), closed, clock };
}
