import fc from 'fast-check';
import { v7 } from 'uuid';
import { describe, expect, it } from 'vitest';
import { BUILT_IN } from '../catalogue/index.ts';
import { openLibrary } from '../library/index.ts';
import type { Instant } from '../quantities/index.ts';
import { momentsOf } from '../routines/index.ts';
import {
  askedSet,
  type ClassDeed,
  type ClassEvent,
  type ClassHead,
  classItems,
  type ClassMember,
  classOf,
  classSets,
  classTime,
  type ClockSet,
  isOut,
  looked,
  memberMinutes,
  notSeen,
  rhythmMoments,
  routineClass,
  workAt,
} from './index.ts';

const library = openLibrary(BUILT_IN);
const RHYTHM = { work: 40, rest: 20, change: 30, rounds: 2, circle: false };
const [A, B] = ['0192f0a0-0000-7000-8000-00000000000a', '0192f0a0-0000-7000-8000-00000000000b'];
const SLOTS = [
  { id: A, drillId: 'plank' },
  { id: B, drillId: 'wrist-circles' },
];
const at = '2026-11-30T17:00:00.000Z' as Instant;
const head = (own: Partial<ClassHead> = {}): ClassHead => ({
  ...{ id: v7(), groupId: null, name: 'Tuesday', startedAt: at, preparation: null, slots: SLOTS },
  moments: rhythmMoments([A, B], RHYTHM),
  ...own,
});
const item = (slotId: string, own: object = {}) => ({ slotId, drillId: 'plank', sets: 2, min: 10, max: 30, ...own });
const member = (traineeId: string, own: Partial<ClassMember> = {}): ClassMember => ({
  ...{ traineeId, from: 0, plannedSessionId: null, items: [item(A), item(B, { drillId: 'wrist-circles', min: 5, max: 10 })] },
  ...own,
});
/** Deeds one after another, as one device tells them. */
const told = (deeds: readonly ClassDeed[]): readonly ClassEvent[] =>
  deeds.map((deed, i) => ({ ...deed, id: `event-${String(i).padStart(3, '0')}`, order: i + 1, at }) as ClassEvent);
const passed = (...moments: readonly number[]): readonly ClassDeed[] => moments.map((moment) => ({ kind: 'passed', moment }));
const only = (deeds: readonly ClassDeed[], own: Partial<ClassMember> = {}) => {
  const state = classOf(head(), [member('ada', own)], told(deeds));
  const [ada] = state.members;
  if (!ada) throw new Error('nobody');
  return { state, ada, sets: classSets(state, ada, library), items: classItems(state, ada, library) };
};

describe('the clock of a class', () => {
  it('works, rests and changes over, and ends with work', () => {
    expect(rhythmMoments([A, B], RHYTHM).map((m) => `${m.kind} ${m.seconds}`)).toEqual([
      ...['ready 10', 'work 40', 'rest 20', 'work 40', 'change 30', 'work 40', 'rest 20', 'work 40'],
    ]);
    expect(rhythmMoments([A, B], { ...RHYTHM, circle: true }).map((m) => m.slotId?.at(-1) ?? m.kind)).toEqual([
      ...['ready', 'a', 'change', 'b', 'change', 'a', 'change', 'b'],
    ]);
  });

  it('runs a routine in the routine’s own time, each of its steps a slot', () => {
    const step = (id: string, drillId: string) => ({ id, kind: 'drill', drillId, amount: 10, restSeconds: 5 }) as const;
    const block = {
      id: v7(),
      name: '',
      part: 'work',
      way: 'rounds',
      rounds: 2,
      mirrored: false,
      steps: [step(A, 'plank'), step(B, 'plank')],
    } as const;
    const moments = momentsOf({ blocks: [block] }, (id) => library.drill(id));
    const class_ = routineClass(moments, () => undefined);
    expect(class_.slots.map((s) => s.id)).toEqual([A, B]);
    const seconds = (of: readonly { readonly seconds: number }[]) => of.reduce((sum, m) => sum + m.seconds, 0);
    expect(seconds(class_.moments)).toBe(seconds(moments) + 10);
  });

  it('is where every device finds it, whenever it looks', () => {
    const moments = rhythmMoments([A, B], RHYTHM);
    const whole = moments.reduce((sum, m) => sum + m.seconds, 0) * 1000;
    fc.assert(
      fc.property(fc.nat({ max: whole + 5000 }), (gone) => {
        const set: ClockSet = { id: 'x', moment: 0, left: 10_000, running: true, at: 0 };
        const time = classTime(set, gone, moments);
        const before = moments.slice(0, time.moment).reduce((sum, m) => sum + m.seconds * 1000, 0);
        const here = moments[time.moment];
        expect(here ? before + here.seconds * 1000 - time.left : whole).toBe(Math.min(gone, whole));
      }),
    );
  });

  it('sees what ran to its end, and nothing that went by while it slept or was passed over by hand', () => {
    const moments = rhythmMoments([A, B], RHYTHM);
    const set = (own: Partial<ClockSet> = {}): ClockSet => ({ id: 'x', moment: 0, left: 10_000, running: true, at: 0, ...own });
    expect(looked({ setId: 'x', moment: 0, now: 9_900 }, set(), 10_100, moments).seen).toEqual([0]);
    expect(looked({ setId: 'x', moment: 1, now: 11_000 }, set(), 55_000, moments).seen).toEqual([]);
    // A page that was opened meanwhile, or heard of it late, has not seen what went by.
    expect(looked(undefined, set(), 55_000, moments).seen).toEqual([]);
    expect(looked({ setId: 'w', moment: 0, now: 54_900 }, set(), 55_000, moments).seen).toEqual([]);
    expect(
      looked({ setId: 'x', moment: 1, now: 11_000 }, set({ id: 'y', moment: 3, left: 40_000, at: 11_100 }), 11_200, moments).seen,
    ).toEqual([]);
  });
});

describe('a set of a class', () => {
  const plank = library.drill('plank');
  it('asks as much as is to be done, and no more than there is time for', () => {
    expect(askedSet({ seconds: 40 }, plank, 60)).toEqual({ sides: ['whole'], amount: 40 });
    expect(askedSet({ seconds: 40 }, plank, 30)).toEqual({ sides: ['whole'], amount: 30 });
  });

  it('gives each side half of the time, where the clock knows no sides', () => {
    const sided = library.drills.find((d) => d.dose.perSide && d.dose.unit === 's');
    if (!sided) throw new Error('no such drill');
    expect(askedSet({ seconds: 40 }, sided, 60)).toEqual({ sides: ['left', 'right'], amount: 20 });
    expect(askedSet({ seconds: 40, side: 'left' }, sided, 60)).toEqual({ sides: ['left'], amount: 40 });
  });

  it('is done as it was asked, and counted by nobody, once it was seen to its end', () => {
    expect(only([]).sets).toEqual([]);
    expect(only(passed(1)).sets).toMatchObject([{ moment: 1, amount: 30, unconfirmed: true }]);
    expect(only(passed(1, 3)).items).toMatchObject([
      { drillId: 'plank', plannedSets: 2, sets: [{ unconfirmed: true }, { unconfirmed: true }] },
    ]);
  });

  it('is confirmed where the coach counted that person, with the figure counted', () => {
    const { sets } = only([...passed(1, 3), { kind: 'count', who: 'ada', moment: 3, side: 'whole', amount: 22 }]);
    expect(sets.map((s) => [s.amount, s.unconfirmed])).toEqual([
      [30, true],
      [22, false],
    ]);
  });

  it('shows the faults that were marked; one that nobody named leaves it unconfirmed', () => {
    const count = { kind: 'count', who: 'ada', moment: 1, side: 'whole', amount: 30 } as const;
    expect(only([...passed(1), count, { kind: 'fault', who: 'ada', moment: 1, faultId: 'shrug' }]).sets).toMatchObject([
      { unconfirmed: false, faults: [{ faultId: 'shrug', mended: false }] },
    ]);
    expect(only([...passed(1), count, { kind: 'fault', who: 'ada', moment: 1 }]).sets).toMatchObject([{ unconfirmed: true, faults: [] }]);
  });

  it('is none of somebody who sat out, came later, is hurt, or has done theirs', () => {
    expect(only([{ kind: 'sits', who: 'ada', moment: 1, out: true }, ...passed(1, 3)]).sets).toEqual([]);
    expect(
      only([{ kind: 'sits', who: 'ada', moment: 1, out: true }, { kind: 'sits', who: 'ada', moment: 3, out: false }, ...passed(1, 3)]).sets,
    ).toMatchObject([{ moment: 3 }]);
    expect(only(passed(1, 3), { from: 2 }).sets).toMatchObject([{ moment: 3 }]);
    const symptom = { intensity: 5, kind: 'sharp', place: 'shoulder', side: 'left', moment: 'during' } as const;
    expect(only([...passed(1), { kind: 'symptom', who: 'ada', moment: 3, symptom }, ...passed(3, 5)]).sets).toMatchObject([{ moment: 1 }]);
    expect(only(passed(1, 3), { items: [item(A, { sets: 1 })] }).sets).toMatchObject([{ moment: 1 }]);
  });

  it('is of another drill from the moment on at which it was changed, and the mark can be taken back', () => {
    const swap = { kind: 'swap', who: 'ada', moment: 3, slotId: A, drillId: 'plank', sets: 2, min: 5, max: 15, harder: false } as const;
    expect(only([...passed(1), swap, ...passed(3)]).sets.map((s) => s.amount)).toEqual([30, 15]);
    expect(only([...passed(1), swap, ...passed(3), { kind: 'take back', eventId: 'event-001' }]).sets.map((s) => s.amount)).toEqual([
      30, 30,
    ]);
  });

  it('is for somebody to say where no device saw it', () => {
    expect(notSeen(only(passed(1)).state, 4)).toEqual([3]);
  });
});

describe('who takes part', () => {
  it('is there once, however often named, as first known', () => {
    const { members } = classOf(head(), [member('ada'), member('bea'), member('ada', { from: 4 })], []);
    expect(members.map((m) => [m.member.traineeId, m.member.from])).toEqual([
      ['ada', 0],
      ['bea', 0],
    ]);
  });

  it('was there for the minutes in which they took part', () => {
    const { state, ada } = only([...passed(0, 1, 2, 3), { kind: 'sits', who: 'ada', moment: 2, out: true }]);
    expect(memberMinutes(state, ada, 11)).toBe(5);
    expect(isOut(ada, 1)).toBe(false);
  });
});

describe('a class on several devices', () => {
  const who = fc.constantFrom('ada', 'bea', 'cy');
  const moment = fc.integer({ min: 0, max: 7 });
  const deed: fc.Arbitrary<ClassDeed> = fc.oneof(
    fc.record({ kind: fc.constant('passed' as const), moment }),
    fc.record({ kind: fc.constant('sits' as const), who, moment, out: fc.boolean() }),
    fc.record({ kind: fc.constant('fault' as const), who, moment }),
    fc.record({ kind: fc.constant('count' as const), who, moment, side: fc.constant('whole' as const), amount: fc.nat({ max: 60 }) }),
    fc.record({ kind: fc.constant('effort' as const), who, effort: fc.nat({ max: 10 }) }),
    fc.record({ kind: fc.constant('clock' as const), moment, left: fc.nat({ max: 40_000 }), running: fc.boolean() }),
    fc.record({
      kind: fc.constant('close' as const),
      effort: fc.nat({ max: 10 }),
      minutes: fc.integer({ min: 1, max: 90 }),
      note: fc.constant(''),
    }),
  );
  const log = fc
    .array(fc.tuple(deed, fc.integer({ min: 1, max: 30 })), { maxLength: 40 })
    .map((deeds) => deeds.map(([d, order], i) => ({ ...d, order, id: `e${String(i).padStart(3, '0')}`, at }) as ClassEvent));
  const everybody = ['ada', 'bea', 'cy'].map((id) => member(id));
  const shape = (events: readonly ClassEvent[]) => {
    const state = classOf(head({ id: 'x' }), everybody, events);
    return [state.closed, state.clock, state.members.map((m) => [m, classItems(state, m, library)])];
  };

  it('is the same whatever order they hear it in, and however often', () => {
    fc.assert(
      fc.property(log, fc.infiniteStream(fc.nat()), (events, dice) => {
        const shuffled = [...events, ...events.slice(0, 5)].map((e) => ({ e, n: dice.next().value })).sort((a, b) => a.n - b.n);
        expect(shape(shuffled.map((s) => s.e))).toEqual(shape(events));
      }),
    );
  });

  it('never counts a set twice, nor one for somebody who was out', () => {
    fc.assert(
      fc.property(log, (events) => {
        const state = classOf(head(), everybody, events);
        for (const one of state.members) {
          const places = classSets(state, one, library).map((s) => `${s.moment} ${s.side}`);
          expect(new Set(places).size).toBe(places.length);
          for (const set of classSets(state, one, library)) {
            expect(isOut(one, set.moment)).toBe(false);
            expect(workAt(state, one, set.moment, library)?.item).toEqual(set.item);
          }
        }
      }),
    );
  });
});
