import { describe, expect, it } from 'vitest';
import { BUILT_IN } from '../catalogue/index.ts';
import { openLibrary } from '../library/index.ts';
import { instant } from '../quantities/index.ts';
import {
  cleanness as judge,
  type LoggedItem,
  type LoggedSession,
  practisedIn,
  type PractisedItem,
  type SessionFact,
  spaced,
} from './index.ts';
import { cleannessInWords } from '../words/index.ts';

const library = openLibrary(BUILT_IN);
const cleanness = (logged: LoggedSession) => judge(logged, library);

const item = (amounts: readonly number[], more: Partial<LoggedItem> = {}): LoggedItem => ({
  drillId: 'plank',
  plannedSets: 3,
  max: 30,
  perSide: false,
  sets: amounts.map((amount) => ({ amount, faults: [] })),
  ...more,
});
const session = (items: readonly LoggedItem[], more: Partial<LoggedSession> = {}): LoggedSession => ({
  items,
  effort: 6,
  symptoms: [],
  ...more,
});

describe('a session is clean', () => {
  it('with every set at the top of its dose', () => {
    expect(cleanness(session([item([30, 30, 31])])).clean).toBe(true);
  });

  it.each<[string, LoggedSession, RegExp]>([
    ['a set missing', session([item([30, 30])]), /2 of 3 sets done/],
    ['a side missing', session([item([30, 30, 30], { perSide: true })]), /3 of 6 sets done/],
    ['a set below the top of its dose', session([item([30, 30, 29])]), /not every set reached the top of its dose \(30\)/],
    [
      'a fault that stayed',
      session([item([30, 30, 30], { sets: [30, 30, 30].map((amount) => ({ amount, faults: [{ faultId: 'shrug', mended: false }] })) })]),
      /a fault stayed/,
    ],
    [
      'a set that felt too much',
      session([
        item([30, 30, 30], { sets: [30, 30, 20].map((amount, i) => ({ amount, faults: [], feeling: i === 2 ? 'too much' : 'right' })) }),
      ]),
      /felt “too much”/,
    ],
    ['effort 8', session([item([30, 30, 30])], { effort: 8 }), /Effort 8\/10/],
    [
      'an ache of 3',
      session([item([30, 30, 30])], {
        symptoms: [{ intensity: 3, kind: 'ache', place: 'elbow', side: 'left', moment: 'during', at: instant('2026-11-01T10:00:00Z') }],
      }),
      /Ache 3\/10, left elbow/,
    ],
    ['warm-up only', session([item([20], { drillId: 'wrist-circles', plannedSets: 1, max: 20 })]), /No blade, stability/],
  ])('but not with %s', (_, logged, reason) => {
    const { clean, finding } = cleanness(logged);
    expect([clean, cleannessInWords(finding, library)]).toEqual([false, expect.stringMatching(reason)]);
  });

  it('by feel from the least of the dose on', () => {
    const felt = item([], { sets: (['right', 'too easy', 'right'] as const).map((feeling) => ({ amount: 20, faults: [], feeling })) });
    expect(cleanness(session([felt])).clean).toBe(true);
    const less = { ...felt, sets: felt.sets.map((s) => ({ ...s, amount: 19 })) };
    expect(cleanness(session([less])).finding).toEqual({ code: 'below-least', drillId: 'plank', least: 20 });
  });

  it('with a fault that the cue mended, and whatever the warm-up looked like', () => {
    const mended = item([30, 30, 30], { sets: [30, 30, 30].map((amount) => ({ amount, faults: [{ faultId: 'shrug', mended: true }] })) });
    expect(cleanness(session([mended, item([], { drillId: 'wrist-circles' })])).clean).toBe(true);
  });
});

describe('clean sessions that count', () => {
  const at = (text: string): SessionFact => ({ id: text, performedAt: instant(text), clean: true, practised: [], symptoms: [] });

  it('are at least 48 hours apart, to the minute', () => {
    const first = at('2026-11-02T17:00:00Z');
    const tooSoon = at('2026-11-04T16:59:00Z');
    const inTime = at('2026-11-04T17:00:00Z');
    expect(spaced([tooSoon, first], 48)).toEqual([first]);
    expect(spaced([inTime, tooSoon, first], 48)).toEqual([first, inTime]);
  });
});

describe('a drill with sides', () => {
  const sided = (...sides: readonly ('left' | 'right')[]) =>
    cleanness(session([item([], { perSide: true, plannedSets: 2, sets: sides.map((side) => ({ amount: 30, side, faults: [] })) })]));

  it('is done on both of them: twice on one side is not once on each', () => {
    expect(sided('left', 'right', 'left', 'right').clean).toBe(true);
    expect(sided('left', 'left', 'left', 'left')).toEqual({
      clean: false,
      finding: { code: 'sets-missing', drillId: 'plank', done: 0, wanted: 2, side: 'right' },
    });
    expect(cleannessInWords(sided('left', 'left', 'left', 'right').finding, library)).toBe('Plank: 1 of 2 sets done on the right.');
  });
});

describe('what a session showed of a drill', () => {
  const done = (drillId: string, sets: readonly (readonly [number, 'left' | 'right' | 'whole'])[], own: object = {}) =>
    practisedIn([{ drillId, sets: sets.map(([amount, side]) => ({ amount, side, faults: [], ...own })) }], library)[0];

  it('is its own usual top, never what the plan of the day asked for', () => {
    const { dose } = library.drill('plank');
    const top = [dose.max, 'whole'] as const;
    expect(done('plank', [top, top])).toEqual({ drillId: 'plank', top: true, load: 1 });
    expect(done('plank', [top])?.top).toBe(false);
    expect(
      done('plank', [
        [1, 'whole'],
        [1, 'whole'],
      ])?.top,
    ).toBe(false);
    expect(done('plank', [top, [dose.max - 1, 'whole']])?.top).toBe(false);
    expect(done('plank', [top, top], { faults: [{ faultId: 'shrug', mended: false }] })?.top).toBe(false);
  });

  it('is on both sides, where the drill has sides', () => {
    const sided = library.drills.find((d) => d.dose.perSide && d.dose.sets > 1)!;
    const set = (side: 'left' | 'right') => [sided.dose.max, side] as const;
    expect(done(sided.id, [set('left'), set('left'), set('left'), set('left')])?.top).toBe(false);
    expect(done(sided.id, [set('left'), set('right'), set('left'), set('right')])?.top).toBe(true);
  });

  it('by feel is from the least of the dose on', () => {
    const { min } = library.drill('plank').dose;
    expect(
      done(
        'plank',
        [
          [min, 'whole'],
          [min, 'whole'],
        ],
        { feeling: 'right' },
      )?.top,
    ).toBe(true);
    expect(
      done(
        'plank',
        [
          [min - 1, 'whole'],
          [min, 'whole'],
        ],
        { feeling: 'right' },
      )?.top,
    ).toBe(false);
    expect(
      done(
        'plank',
        [
          [min, 'whole'],
          [min, 'whole'],
        ],
        { feeling: 'clenched' },
      )?.top,
    ).toBe(false);
  });

  it('is lighter in a lighter set-up, and nothing of a drill without a set', () => {
    const drill = library.drills.find((d) => d.support && (d.handLoad?.share ?? 0) > 0.5)!;
    const [light] = practisedIn(
      [{ drillId: drill.id, support: { ...drill.support!, wanted: drill.handLoad!.share / 2 }, sets: [{ amount: 1, faults: [] }] }],
      library,
    );
    expect(light?.load).toBeCloseTo(0.5, 6);
    expect(practisedIn([{ drillId: 'plank', sets: [] }], library)).toEqual([]);
  });
});

describe('one set is enough to spoil it', () => {
  const sets = (own: (i: number) => object) => [0, 1, 2].map((i) => ({ amount: 30, faults: [], ...own(i) }));
  const spoiled = (own: (i: number) => object, more: Partial<LoggedItem> = {}) =>
    cleanness(session([item([], { sets: sets(own), ...more })])).finding;

  it('by a fault, by too little by feel, by one hard feeling, by one below the top', () => {
    expect(spoiled((i) => (i === 1 ? { faults: [{ faultId: 'shrug', mended: false }] } : {}))).toMatchObject({ code: 'fault-stayed' });
    expect(spoiled((i) => ({ feeling: 'right', amount: i === 1 ? 1 : 30 }))).toMatchObject({ code: 'below-least', drillId: 'plank' });
    expect(spoiled((i) => (i === 1 ? { feeling: 'clenched' } : {}))).toMatchObject({ code: 'felt', feeling: 'clenched' });
    expect(spoiled((i) => (i === 1 ? { amount: 29 } : {}))).toMatchObject({ code: 'below-top', top: 30 });
  });

  it('by one that ran out by the clock and that nobody confirmed', () => {
    expect(spoiled((i) => (i === 1 ? { unconfirmed: true } : {}))).toEqual({ code: 'unconfirmed', drillId: 'plank', sets: 1 });
    expect(spoiled(() => ({ unconfirmed: false }))).toEqual({ code: 'clean' });
  });

  it('not by a fault that was mended, and not by fewer than the top by feel', () => {
    expect(spoiled(() => ({ faults: [{ faultId: 'shrug', mended: true }] }))).toEqual({ code: 'clean' });
    expect(spoiled(() => ({ feeling: 'right', amount: 29 }))).toEqual({ code: 'clean' });
  });

  it('by a side done too rarely, where sides are told', () => {
    const sided = (names: readonly ('left' | 'right')[]) =>
      cleanness(session([item([], { plannedSets: 2, perSide: true, sets: names.map((side) => ({ amount: 30, faults: [], side })) })]))
        .finding;
    expect(sided(['left', 'left', 'left', 'right'])).toEqual({ code: 'sets-missing', drillId: 'plank', done: 1, wanted: 2, side: 'right' });
    expect(sided(['left', 'right', 'right', 'left'])).toEqual({ code: 'clean' });
    const halfTold = [{ amount: 30, faults: [], side: 'left' as const }, ...sets(() => ({}))];
    expect(cleanness(session([item([], { plannedSets: 2, perSide: true, sets: halfTold })])).finding).toEqual({ code: 'clean' });
  });

  it('by a symptom of the session, but not by one of the morning after', () => {
    const felt = (kind: 'ache' | 'sharp', moment: 'during' | 'next morning') =>
      cleanness(
        session([item([30, 30, 30])], {
          symptoms: [{ intensity: 3, kind, place: 'elbow', side: 'left', moment, at: instant('2026-11-01T10:00:00Z') }],
        }),
      ).finding.code;
    expect([felt('ache', 'during'), felt('ache', 'next morning'), felt('sharp', 'next morning')]).toEqual([
      'symptom',
      'clean',
      'stop-sign',
    ]);
  });
});

describe('practised at the top', () => {
  const plank = library.drill('plank').dose;
  const top = (
    sets: readonly {
      amount: number;
      feeling?: 'right' | 'too easy' | 'too much';
      faults?: readonly { faultId: string; mended: boolean }[];
      unconfirmed?: boolean;
      side?: 'left' | 'right';
    }[],
    drillId = 'plank',
  ) => practisedIn([{ drillId, sets: sets.map((s) => ({ faults: [], ...s })) } as PractisedItem], library)[0]?.top;

  it('is two good sets at the drill’s own top, counted or by feel', () => {
    expect(top([{ amount: plank.max }, { amount: plank.max }])).toBe(true);
    expect(top([{ amount: plank.max }])).toBe(plank.sets < 2);
    expect(top([{ amount: plank.max }, { amount: plank.max, unconfirmed: true }])).toBe(false);
    expect(top([{ amount: plank.max }, { amount: plank.max - 1 }])).toBe(false);
    expect(top([1, 2].map(() => ({ amount: plank.min, feeling: 'too easy' })))).toBe(true);
    expect(top([1, 2].map(() => ({ amount: plank.max, feeling: 'too much' })))).toBe(false);
    expect(top([1, 2].map(() => ({ amount: plank.min - 1, feeling: 'right' })))).toBe(false);
    expect(top([1, 2].map(() => ({ amount: plank.max, faults: [{ faultId: 'shrug', mended: false }] })))).toBe(false);
    expect(top([1, 2].map(() => ({ amount: plank.max, faults: [{ faultId: 'shrug', mended: true }] })))).toBe(true);
  });

  it('is reached on each side of a drill with sides', () => {
    const sided = library.drills.find((d) => d.dose.perSide && d.dose.sets >= 2);
    const at = (sides: readonly ('left' | 'right')[]) =>
      top(
        sides.map((side) => ({ amount: sided?.dose.max ?? 0, side })),
        sided?.id,
      );
    expect([at(['left', 'left', 'left', 'left']), at(['left', 'left', 'right', 'right'])]).toEqual([false, true]);
  });

  it('is nothing where no set was done', () =>
    expect(practisedIn([{ drillId: 'plank', sets: [] } as unknown as PractisedItem], library)).toEqual([]));
});
