import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import { describe, expect, it } from 'vitest';
import { fittedTo } from '../library/index.ts';
import { capacityFromTrials } from '../measuring/index.ts';
import { instant } from '../quantities/index.ts';
import { traineeBody } from '../statics/index.ts';
import { loggedItems } from './logged.ts';
import { event, headOf, itemOf, library, ran, setOf } from './testing.ts';
import { testedIn } from './tested.ts';
import { turnSupport } from './turn.ts';

const { measure: measureOf } = BUILT_IN_LIBRARY;

const head = headOf([itemOf('plank', { sets: 3 })]);
const body = traineeBody({ sex: 'female', stature: 170, mass: 70 } as Parameters<typeof traineeBody>[0]);
const at = (round: number) => ({ itemId: 'item-plank', round, side: 'whole' }) as const;
const fault = (round: number, mended: boolean) => event({ kind: 'fault', ...at(round), faultId: 'low-back-arches', mended });

describe('what goes on record', () => {
  it('each set with its faults; seen twice, mended only if mended each time', () => {
    const run = ran(head, [fault(1, true), fault(1, false), setOf('plank', 1), fault(2, true), setOf('plank', 2)]);
    expect(loggedItems(run, library)).toMatchObject([
      {
        drillId: 'plank',
        plannedSets: 3,
        sets: [{ faults: [{ faultId: 'low-back-arches', mended: false }] }, { faults: [{ faultId: 'low-back-arches', mended: true }] }],
      },
    ]);
  });

  it('a set in which the sides took turns is one of each side, with the faults that showed there', () => {
    const course = { alternating: true } as const;
    const turns = headOf([{ ...itemOf('opposite-reach', { sets: 1, min: 8, max: 8 }), manner: { course } }]);
    const place = { itemId: 'item-opposite-reach', round: 1, side: 'whole' } as const;
    const seen = (on?: 'left') =>
      event({ kind: 'fault', ...place, faultId: on ? 'shrug' : 'hips-turn', mended: true, ...(on ? { on } : {}) });
    const set = event({ kind: 'set', ...place, amount: 7 });
    const [item] = loggedItems(ran(turns, [seen('left'), seen(), set]), library);
    expect(item?.sets).toEqual([
      {
        id: set.id,
        side: 'left',
        amount: 7,
        faults: [
          { faultId: 'shrug', mended: true },
          { faultId: 'hips-turn', mended: true },
        ],
      },
      { side: 'right', amount: 7, faults: [{ faultId: 'hips-turn', mended: true }] },
    ]);
  });

  it('a fault of each side by itself, where somebody said which', () => {
    const seen = (on?: 'left' | 'right', mended = true) =>
      event({ kind: 'fault', ...at(1), faultId: 'shrug', mended, ...(on ? { on } : {}) });
    const [item] = loggedItems(ran(head, [seen('left'), seen('right', false), seen('left', false), seen(), setOf('plank', 1)]), library);
    expect(item?.sets[0]?.faults).toEqual([
      { faultId: 'shrug', mended: false, on: 'left' },
      { faultId: 'shrug', mended: false, on: 'right' },
      { faultId: 'shrug', mended: true },
    ]);
  });

  it('a drill that was made lighter stands twice: what was left of it, and what was done instead', () => {
    const turn = event({ kind: 'turn', itemId: 'item-plank', support: { setUp: { position: 'plank' }, wanted: 0.6 }, harder: false });
    const items = loggedItems(ran(head, [setOf('plank', 1), turn, setOf('plank', 2), setOf('plank', 3)]), library);
    expect(items.map((i) => [i.support?.wanted, i.plannedSets, i.sets.length])).toEqual([
      [undefined, 3, 1],
      [0.6, 2, 2],
    ]);
  });

  it('left for something harder, no more was asked of it than was done', () => {
    const swap = event({
      kind: 'swap',
      itemId: 'item-plank',
      drillId: 'plank-lean',
      sets: 3,
      min: 5,
      max: 10,
      restSeconds: 45,
      harder: true,
    });
    expect(loggedItems(ran(head, [setOf('plank', 1), swap, setOf('plank', 2)]), library).map((i) => [i.drillId, i.plannedSets])).toEqual([
      ['plank', 1],
      ['plank-lean', 2],
    ]);
  });

  it('a set-up turned before the first set leaves no trace; a drill that was not done says why', () => {
    const turn = event({ kind: 'turn', itemId: 'item-plank', support: { setUp: { position: 'plank' }, wanted: 0.6 }, harder: false });
    expect(loggedItems(ran(head, [turn, setOf('plank', 1)]), library)).toHaveLength(1);
    expect(loggedItems(ran(head, [event({ kind: 'skip', itemId: 'item-plank', reason: 'pain' })]), library)).toMatchObject([
      { drillId: 'plank', skipped: 'pain', sets: [] },
    ]);
  });
});

describe('capacities that a session showed', () => {
  const check = capacityFromTrials(measureOf('plank-hold'), [{ side: 'whole', value: 25 }], { takenAt: instant('2026-11-20T10:00:00Z') });
  const tested = (events: Parameters<typeof ran>[1], capacities = [check]) => testedIn(ran(head, events), capacities, library);

  it('the longest clean hold, where it is longer than the last check', () => {
    expect(tested([setOf('plank', 1), setOf('plank', 2, { amount: 28 })])).toEqual([
      { measureId: 'plank-hold', side: 'whole', value: 30, last: 25, drillId: 'plank' },
    ]);
    expect(tested([setOf('plank', 1, { amount: 25 })])).toEqual([]);
    expect(tested([setOf('plank', 1)], [])).toMatchObject([{ value: 30 }]);
  });

  it('never one with a fault, by feel, or in another set-up', () => {
    expect(tested([fault(1, true), setOf('plank', 1)])).toEqual([]);
    expect(tested([setOf('plank', 1, { feeling: 'right' })])).toEqual([]);
    const turn = event({ kind: 'turn', itemId: 'item-plank', support: { setUp: { position: 'plank' }, wanted: 0.5 }, harder: false });
    expect(tested([turn, setOf('plank', 1)])).toEqual([]);
  });
});

describe('the support dial', () => {
  const fitted = fittedTo(library, body);
  const hang = fitted.drill('supported-packed-hang');

  it('turns the hands’ share by about five points either way', () => {
    for (const by of [-0.05, 0.05]) {
      const turned = turnSupport(body, hang, by);
      if ('problem' in turned) throw new Error(turned.problem);
      expect(turned.on.reading.loadShare - (hang.handLoad?.share ?? 0)).toBeCloseTo(by, 1);
      expect(Math.abs(turned.on.reading.loadShare - (hang.handLoad?.share ?? 0) - by)).toBeLessThan(0.02);
    }
  });

  it('goes as far as the set-up reaches where a whole turn is too much', () => {
    const plank = fitted.drill('plank');
    const turned = turnSupport(body, plank, -0.05);
    if ('problem' in turned) throw new Error(turned.problem);
    const change = turned.on.reading.loadShare - (plank.handLoad?.share ?? 0);
    expect(change).toBeLessThan(-0.015);
    expect(change).toBeGreaterThan(-0.05);
    expect(
      turnSupport(
        body,
        {
          ...plank,
          support: turned.support,
          handLoad: { ...(plank.handLoad as NonNullable<typeof plank.handLoad>), share: turned.on.reading.loadShare },
        },
        -0.05,
      ),
    ).toEqual({
      problem: expect.stringMatching(/Change the drill instead\.$/) as string,
    });
  });

  it('says so where there is nothing to turn', () => {
    expect(turnSupport(body, fitted.drill('neck-loosening'), 0.05)).toEqual({
      problem: 'Neck loosening has no support to turn: change the drill instead.',
    });
  });
});
