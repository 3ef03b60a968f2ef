import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { tensionSeconds } from '../drills/index.ts';
import { formWentAt, paceAt, paceOf, tonesOf } from './pacer.ts';
import { spokenIn } from './spoken.ts';

describe('repetitions by their tempo: 4 s out, 1 s held, 1 s back', () => {
  const pace = paceOf({ unit: 'reps', tempo: { out: 4, hold: 1, back: 1 } }, 3);

  it.each([
    [0, 'out', 1, 0],
    [3.9, 'out', 1, 0],
    [4, 'hold', 1, 0],
    [5.5, 'back', 1, 0],
    [6, 'out', 2, 1],
    [17.9, 'back', 3, 2],
    [18, 'back', 3, 3],
  ] as const)('at %d s: %s of repetition %d, %d done', (at, part, count, done) =>
    expect(paceAt(pace, at)).toMatchObject({ part, count, done, over: at >= 18 }),
  );

  it('has a tone at each turn and one at the end', () =>
    expect(tonesOf(pace).map((t) => t.at)).toEqual([0, 4, 5, 6, 10, 11, 12, 16, 17, 18]));
});

describe('a course', () => {
  it('pulses at the end of the way out, waits between two, and holds the last', () => {
    const dose = { unit: 'reps', tempo: { out: 2, hold: 0, back: 2, rest: 1 }, course: { pulses: 2, lastHold: 5 } } as const;
    const pace = paceOf(dose, 2);
    expect(pace.beats.map((b) => [b.part, b.from, b.count])).toEqual([
      ['out', 0, 1],
      ['pulse', 2, 1],
      ['pulse', 3, 1],
      ['back', 4, 1],
      ['rest', 6, 1],
      ['out', 7, 2],
      ['pulse', 9, 2],
      ['pulse', 10, 2],
      ['hold', 11, 2],
      ['back', 16, 2],
      ['rest', 18, 2],
    ]);
    expect([pace.seconds, pace.beats.at(-1)?.until]).toEqual([19, 19]);
  });

  it('goes half of the number the other way round, and says so where it turns', () => {
    const pace = paceOf({ unit: 'reps', tempo: { out: 1, hold: 0, back: 1 }, course: { bothWays: true } }, 5);
    expect(pace.beats.filter((b) => b.part === 'out').map((b) => b.otherWay ?? false)).toEqual([false, false, false, true, true]);
    expect(spokenIn(pace, 'reps').map((s) => s.words)).toEqual(['1', '2', '3', 'Other way round', '5', 'Done']);
  });

  it('takes the sides in turn where they take turns: a repetition is one on each, the last of each held', () => {
    const dose = { unit: 'reps', perSide: true, tempo: { out: 1, hold: 0, back: 2 }, course: { alternating: true, lastHold: 4 } } as const;
    const pace = paceOf(dose, 2);
    expect(pace.beats.filter((b) => b.part === 'out').map((b) => [b.count, b.turn, b.from])).toEqual([
      [1, 'left', 0],
      [1, 'right', 3],
      [2, 'left', 6],
      [2, 'right', 13],
    ]);
    expect(pace.seconds).toBe(20);
    expect(paceAt(pace, 12.9).done).toBe(1);
    expect(spokenIn(pace, 'reps').map((s) => s.words)).toEqual(['1', 'Right', '2', 'Right', 'Done']);
    expect(paceOf({ ...dose, perSide: false }, 2).beats.some((b) => b.turn)).toBe(false);
  });

  it('counts as much as it lasts, whatever is made up', () => {
    const course = fc.record(
      { pulses: fc.integer({ min: 1, max: 5 }), lastHold: fc.integer({ min: 1, max: 20 }), bothWays: fc.constant(true as const) },
      { requiredKeys: [] },
    );
    const seconds = fc.integer({ min: 0, max: 6 });
    fc.assert(
      fc.property(
        fc.record({ out: seconds, hold: seconds, back: seconds, rest: seconds }),
        course,
        fc.integer({ min: 1, max: 12 }),
        (tempo, own, amount) => {
          const dose = { unit: 'reps', tempo: { ...tempo, out: tempo.out + 1 }, course: own } as const;
          const pace = paceOf(dose, amount);
          expect(pace.beats.at(-1)?.until).toBeCloseTo(pace.seconds, 9);
          pace.beats.forEach((b, i) => expect(b.from).toBeCloseTo(pace.beats[i - 1]?.until ?? 0, 9));
          expect(paceAt(pace, pace.seconds)).toMatchObject({ done: amount, over: true });
        },
      ),
    );
  });
});

it('repetitions without a tempo go out and back alike, a breath in takes two of five seconds', () => {
  expect(paceOf({ unit: 'reps' }, 1).beats.map((b) => [b.part, b.until - b.from])).toEqual([
    ['out', 2],
    ['back', 2],
  ]);
  expect(paceOf({ unit: 'breaths' }, 2).beats.map((b) => [b.part, b.from])).toEqual([
    ['in', 0],
    ['back', 2],
    ['in', 5],
    ['back', 7],
  ]);
});

describe('a hold', () => {
  it('counts down; every ten seconds are heard, and at the end the coach says where its form went', () => {
    expect(paceAt(paceOf({ unit: 's' }, 30), 12.4)).toMatchObject({ done: 12, setLeft: expect.closeTo(17.6, 9) as number, over: false });
    expect([formWentAt(1), formWentAt(6), formWentAt(20), formWentAt(60)]).toEqual([
      [],
      [1, 2, 3, 4, 5],
      [5, 10, 15],
      [10, 20, 30, 40, 50],
    ]);
    for (let s = 1; s <= 3600; s++) {
      const offered = formWentAt(s);
      expect([s, offered.length <= 6, offered.every((at) => at > 0 && at < s)]).toEqual([s, true, true]);
    }
    expect(tonesOf(paceOf({ unit: 's' }, 20)).map((t) => t.at)).toEqual([10, 17, 18, 19, 20]);
  });

  it('survives being asked for before it began and after it ended', () => {
    const pace = paceOf({ unit: 's' }, 5);
    expect(paceAt(pace, -3)).toMatchObject({ done: 0, setLeft: 5 });
    expect(paceAt(pace, 99)).toMatchObject({ done: 5, setLeft: 0, over: true });
  });
});

it('every paced set lasts as long as the plan reckons with', () => {
  const dose = fc.record({
    unit: fc.constantFrom('reps', 's', 'breaths'),
    amount: fc.integer({ min: 1, max: 60 }),
    tempo: fc.option(
      fc.record({ out: fc.integer({ min: 1, max: 6 }), hold: fc.integer({ min: 0, max: 5 }), back: fc.integer({ min: 0, max: 6 }) }),
      {
        nil: undefined,
      },
    ),
  });
  fc.assert(
    fc.property(dose, ({ unit, amount, tempo }) => {
      const range = {
        unit,
        min: 1,
        max: amount,
        sets: 1,
        perSide: false,
        restSeconds: 0,
        ...(tempo && unit === 'reps' ? { tempo } : {}),
      } as const;
      const pace = paceOf(range, amount);
      expect(pace.seconds).toBeCloseTo(tensionSeconds({ dose: range }, { sets: 1, max: amount }), 9);
      expect(pace.beats.at(-1)?.until).toBeCloseTo(pace.seconds, 9);
      pace.beats.slice(1).forEach((b, i) => expect(b.from).toBeCloseTo(pace.beats[i]?.until ?? -1, 9));
    }),
    { seed: 3 },
  );
});
