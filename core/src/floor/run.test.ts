import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { FloorEvent } from './events.ts';
import { runOf, timesSeen } from './run.ts';
import { event, headOf, itemOf, ran, setOf } from './testing.ts';

const head = headOf([itemOf('plank'), itemOf('supported-packed-hang')]);
const plank = (round = 1, own = {}) => setOf('plank', round, own);
const at = { itemId: 'item-plank', round: 1, side: 'whole' } as const;

it('is the sum of what happened', () => {
  const run = ran(head, [
    plank(1),
    event({ kind: 'fault', ...at, faultId: 'low-back-arches', mended: true }),
    event({ kind: 'skip', itemId: 'item-supported-packed-hang', reason: 'no equipment' }),
    event({ kind: 'close', effort: 6, minutes: 30, note: 'fine' }),
  ]);
  expect(run.items[0]?.done).toMatchObject([{ round: 1, side: 'whole', amount: 30, again: false }]);
  expect(run.items[1]?.skipped?.reason).toBe('no equipment');
  expect(run.closed).toMatchObject({ effort: 6, minutes: 30 });
});

it('what is taken back is as if it had not happened; a symptom stays, and so does what was closed', () => {
  const first = plank(1);
  const felt = event({ kind: 'symptom', symptom: { intensity: 6, kind: 'ache', place: 'wrist', side: 'left', moment: 'during' } });
  const run = ran(head, [first, felt, event({ kind: 'take back', eventId: first.id }), event({ kind: 'take back', eventId: felt.id })]);
  expect(run.items[0]?.done).toEqual([]);
  expect(run.symptoms).toHaveLength(1);
  expect(run.last).toBeUndefined();
});

it('a place logged on two devices keeps both sets and says so', () => {
  const run = ran(head, [plank(1), plank(1, { amount: 28 })]);
  expect(run.items[0]?.done.map((d) => [d.amount, d.again])).toEqual([
    [30, false],
    [28, true],
  ]);
});

it('sets are done in the drill and set-up in force at that moment', () => {
  const swap = event({
    kind: 'swap',
    itemId: 'item-plank',
    drillId: 'kneeling-plank',
    sets: 2,
    min: 15,
    max: 30,
    restSeconds: 45,
    harder: false,
  });
  const run = ran(head, [plank(1), swap, plank(2)]);
  expect(run.items[0]?.done.map((d) => d.as.drillId)).toEqual(['plank', 'kneeling-plank']);
  expect(run.items[0]?.now.drillId).toBe('kneeling-plank');
});

it('counts a fault however it ended', () => {
  const fault = (mended: boolean) => event({ kind: 'fault', ...at, faultId: 'low-back-arches', mended });
  const [item] = ran(head, [fault(true), fault(false)]).items;
  expect(item && timesSeen(item, 'low-back-arches')).toBe(2);
});

describe('devices converge', () => {
  // Deeds of two devices that saw each other's events only now and then: orders repeat, clocks jump.
  const deeds = fc.array(
    fc.record({
      kind: fc.constantFrom('set', 'fault', 'swap', 'skip', 'take back', 'turn'),
      round: fc.integer({ min: 1, max: 3 }),
      order: fc.integer({ min: 1, max: 8 }),
      clock: fc.integer({ min: -5000, max: 5000 }),
      amount: fc.integer({ min: 0, max: 60 }),
      target: fc.nat(20),
    }),
    { minLength: 1, maxLength: 20 },
  );
  const eventsFrom = (made: readonly { kind: string; round: number; order: number; clock: number; amount: number; target: number }[]) =>
    made.map(({ kind, round, order, clock, amount, target }, i): FloorEvent => {
      const own = { id: `e${i}`, order, at: new Date(Date.UTC(2026, 10, 26) + clock * 60_000).toISOString() as FloorEvent['at'] };
      const place = { itemId: 'item-plank', round, side: 'whole' } as const;
      switch (kind) {
        case 'set':
          return event({ kind, ...place, amount }, own);
        case 'fault':
          return event({ kind, ...place, faultId: 'low-back-arches', mended: amount % 2 === 0 }, own);
        case 'swap':
          return event(
            { kind, itemId: 'item-plank', drillId: 'kneeling-plank', sets: 2, min: 5, max: 10, restSeconds: 0, harder: false },
            own,
          );
        case 'turn':
          return event({ kind, itemId: 'item-plank', support: { setUp: { position: 'plank' }, wanted: 0.5 }, harder: false }, own);
        case 'skip':
          return event({ kind, itemId: 'item-plank', reason: 'out of time' }, own);
        default:
          return event({ kind: 'take back', eventId: `e${target}` }, own);
      }
    });

  it('to the same run, in whatever order and however often they hear of the events', () => {
    fc.assert(
      fc.property(deeds, fc.infiniteStream(fc.nat()), (made, random) => {
        const events = eventsFrom(made);
        const shuffled = [...events, ...events.slice(0, 3)]
          .map((e) => ({ e, key: random.next().value as number }))
          .sort((a, b) => a.key - b.key)
          .map(({ e }) => e);
        expect(runOf(head, shuffled)).toEqual(runOf(head, events));
      }),
      { seed: 11 },
    );
  });

  it('and no set is lost but those that were taken back', () => {
    fc.assert(
      fc.property(deeds, (made) => {
        const events = eventsFrom(made);
        const gone = new Set(events.flatMap((e) => (e.kind === 'take back' ? [e.eventId] : [])));
        const sets = events.filter((e) => e.kind === 'set' && !gone.has(e.id)).map((e) => e.id);
        expect(
          runOf(head, events)
            .items.flatMap((i) => i.done.map((d) => d.id))
            .sort(),
        ).toEqual(sets.sort());
      }),
      { seed: 12 },
    );
  });
});

describe('a set that ran out by the clock', () => {
  const ranOut = plank(1, { ranOut: true });
  const amend = (amount: number) => event({ kind: 'amend', setId: ranOut.id, amount });

  it('is not confirmed until somebody says what it was; it stays one set, and the last word counts', () => {
    expect(ran(head, [ranOut]).items[0]?.done).toMatchObject([{ amount: 30, unconfirmed: true }]);
    const { items } = ran(head, [ranOut, amend(30), amend(29), amend(28)]);
    expect(items[0]?.done.map((d) => [d.amount, d.unconfirmed])).toEqual([[28, undefined]]);
  });

  it('taken back is gone, whatever was said of it; a word about a set that there is not changes nothing', () => {
    expect(ran(head, [ranOut, amend(30), event({ kind: 'take back', eventId: ranOut.id })]).items[0]?.done).toEqual([]);
    expect(ran(head, [amend(30)]).items[0]?.done).toEqual([]);
  });
});
