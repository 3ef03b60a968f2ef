import { capacityInWords, headroomInWords } from '../words/index.ts';
import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { BodySide } from '../anatomy/index.ts';
import type { Demand } from '../ladders/index.ts';
import { type Capacity, capacityFromTrials } from '../measuring/index.ts';
import { addDays, type Amount } from '../quantities/index.ts';
import { COMMON_PRACTICE } from '../reference/index.ts';
import { byUrgency, enoughFor, headroom, limiterOf } from './index.ts';

const { measure: measureOf, measures: MEASURES } = BUILT_IN_LIBRARY;

const now = new Date('2026-11-24T12:00:00Z');

function demand(measureId: string, value: number, more: Partial<Demand> = {}): Demand {
  const { unit } = measureOf(measureId);
  return {
    measureId,
    side: 'left',
    value: value as Amount,
    unit,
    direction: 'at least',
    origin: COMMON_PRACTICE,
    allowOnTheMark: false,
    ...more,
  };
}

function capacity(measureId: string, value: number, band: number, { side = 'left' as BodySide, daysAgo = 1 } = {}): Capacity {
  return {
    measureId,
    side,
    value: value as Amount,
    band: band as Amount,
    standardError: (band / 1.6) as Amount,
    trials: 3,
    takenAt: addDays(now, -daysAgo),
    errorBasis: 'default',
  };
}

const flexion = (value: number, asked = 165, band = 3) =>
  headroom(
    capacity('shoulder-flexion', value, band),
    demand('shoulder-flexion', asked),
    measureOf(demand('shoulder-flexion', asked).measureId),
    now,
  );

describe('headroom', () => {
  it.each<[number, string, string]>([
    [160, 'short', '5° short'],
    [162, 'short', '3° short'],
    [163, 'on the mark', 'inside the error band'],
    [167, 'on the mark', 'inside the error band'],
    [168, 'spare', '3° spare'],
    [180, 'spare', '15° spare'],
  ])('of %d° ± 3° over 165° is %s', (value, state, words) => {
    expect(headroomInWords(flexion(value), measureOf('shoulder-flexion'))).toBe(words);
    expect(flexion(value)).toMatchObject({ state, amount: value - 165, bands: (value - 165) / 3 });
  });

  it('turns its sign where less is better', () => {
    const swing = (value: number) =>
      headroom(
        capacity('release-swing', value, 2),
        demand('release-swing', 8, { direction: 'at most' }),
        measureOf(demand('release-swing', 8, { direction: 'at most' }).measureId),
        now,
      );
    expect(swing(5)).toMatchObject({ state: 'spare', amount: 3 });
    expect(swing(12)).toMatchObject({ state: 'short', amount: -4 });
  });

  it('counts in steps of the instrument where there is no band', () => {
    expect(
      headroom(
        capacity('scapular-push-ups', 12, 0),
        demand('scapular-push-ups', 10),
        measureOf(demand('scapular-push-ups', 10).measureId),
        now,
      ),
    ).toMatchObject({
      bands: 2,
      state: 'spare',
    });
  });

  it('is unknown when never checked, and says so', () => {
    expect(headroom(undefined, demand('grip', 30), measureOf(demand('grip', 30).measureId), now)).toEqual({
      demand: demand('grip', 30),
      side: 'left',
      state: 'unknown',
      stale: false,
    });
  });

  it.each([
    ['shoulder-flexion', 28],
    ['plank-hold', 21],
    ['hand-load-hang', 14],
    ['grip', 56],
  ])('%s is fresh for %d days and unknown from then on, however good it was', (id, days) => {
    const judged = (daysAgo: number) =>
      headroom(capacity(id, 1000, 1, { daysAgo }), demand(id, 10), measureOf(demand(id, 10).measureId), now);
    expect(judged(days)).toMatchObject({ state: 'spare', stale: false });
    expect(judged(days + 0.01)).toMatchObject({ state: 'unknown', stale: true });
    expect(headroomInWords(judged(days + 0.01), measureOf(id))).toBe(`last checked ${days} days ago`);
  });

  it('refuses a capacity of another check or side', () => {
    expect(() =>
      headroom(capacity('grip', 40, 2), demand('wrist-flexion', 70), measureOf(demand('wrist-flexion', 70).measureId), now),
    ).toThrow(expect.objectContaining({ code: 'measure-mismatch' }));
    expect(() =>
      headroom(capacity('grip', 40, 2, { side: 'right' }), demand('grip', 30), measureOf(demand('grip', 30).measureId), now),
    ).toThrow(expect.objectContaining({ code: 'measure-mismatch' }));
  });

  it('says points for shares of body weight and keeps both figure and band in a sentence', () => {
    const load = headroom(
      capacity('hand-load-hang', 72, 3, { side: 'whole' }),
      demand('hand-load-hang', 65, { side: 'whole' }),
      measureOf('hand-load-hang'),
      now,
    );
    expect(headroomInWords(load, measureOf('hand-load-hang'))).toBe('7 points spare');
    expect(capacityInWords(load, measureOf('hand-load-hang'))).toBe('Hand load tolerated in a hang 72% ± 3%');
    expect(capacityInWords(flexion(160), measureOf('shoulder-flexion'))).toBe('Left shoulder flexion 160° ± 3°');
  });

  it('keeps its state when figure, demand and band are measured in other units (seeded)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 300, noNaN: true }),
        fc.double({ min: 1, max: 300, noNaN: true }),
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        (v, d, b) => {
          expect(flexion(2 * v, 2 * d, 2 * b).state).toBe(flexion(v, d, b).state);
        },
      ),
      { seed: 7 },
    );
  });
});

describe('limiter', () => {
  const spare = flexion(175);
  const mark = flexion(165);
  const short = flexion(160);
  const shorter = headroom(
    capacity('plank-hold', 20, 2, { side: 'whole' }),
    demand('plank-hold', 30, { side: 'whole' }),
    measureOf(demand('plank-hold', 30, { side: 'whole' }).measureId),
    now,
  );
  const unknown = headroom(undefined, demand('grip', 30), measureOf(demand('grip', 30).measureId), now);

  it('is the demand with the fewest error bands, whatever its unit', () => {
    expect(limiterOf([spare, short, mark, shorter])).toBe(shorter);
    expect(limiterOf([spare, mark, short])).toBe(short);
  });

  it('is the unknown one when nothing is short: check this next', () => {
    expect(limiterOf([spare, unknown, mark])).toBe(unknown);
    expect(limiterOf([unknown, short])).toBe(short);
  });

  it('is missing only where nothing is demanded', () => {
    expect(limiterOf([])).toBeUndefined();
    expect(limiterOf([spare])).toBe(spare);
  });

  it('does not depend on the order it is given (seeded)', () => {
    const all = [spare, mark, short, shorter, unknown];
    fc.assert(
      fc.property(fc.shuffledSubarray(all, { minLength: all.length }), (shuffled) => {
        expect([...shuffled].sort(byUrgency)).toEqual([shorter, short, unknown, mark, spare]);
      }),
      { seed: 3 },
    );
  });
});

describe('a level without an error band', () => {
  const level = MEASURES.find((m) => m.choices && m.better === 'more');

  it('is counted in steps of its own scale', () => {
    if (!level) throw new Error('There is no check by levels.');
    const { step } = level.limits;
    const h = (steps: number) =>
      headroom(capacity(level.id, 1 + steps * step, 0), demand(level.id, 1), measureOf(demand(level.id, 1).measureId), now);
    expect([h(0).bands, h(1).bands, h(2).bands]).toEqual([0, 1, 2]);
    expect([h(-1).state, h(0).state, h(1).state]).toEqual(['short', 'spare', 'spare']);
  });

  it('of half steps counts twice as many', () => {
    const halves = MEASURES.find((m) => m.limits.step === 0.5);
    if (!halves) throw new Error('There is no check in halves.');
    expect(headroom(capacity(halves.id, 11, 0), demand(halves.id, 10), measureOf(demand(halves.id, 10).measureId), now).bands).toBe(
      halves.better === 'more' ? 2 : 2,
    );
  });
});

describe('of a range', () => {
  const inside = (value: number) =>
    headroom(
      capacity('elbow-extension', value, 2),
      demand('elbow-extension', 0, { direction: 'within', upTo: 10 as Amount }),
      measureOf('elbow-extension'),
      now,
    ).amount;

  it('is the distance to the nearer end, negative outside', () => {
    expect([-3, 0, 2, 5, 9, 10, 14].map(inside)).toEqual([-3, 0, 2, 5, 1, 0, -4]);
  });
});

describe('the moment of a check', () => {
  const taken = (minutesAhead: number) =>
    headroom(
      capacity('shoulder-flexion', 175, 3, { daysAgo: -minutesAhead / 1440 }),
      demand('shoulder-flexion', 165),
      measureOf('shoulder-flexion'),
      now,
      undefined,
    );

  it('may be five minutes ahead of this clock and no more', () => {
    expect([taken(5).state, taken(5.1).state]).toEqual(['spare', 'unknown']);
  });

  it('what the same occasion reached before pain stopped it shows nothing; what came after does', () => {
    const at = addDays(now, -1);
    const skipped = (moment: typeof at) =>
      headroom(capacity('shoulder-flexion', 175, 3), demand('shoulder-flexion', 165), measureOf('shoulder-flexion'), now, {
        at: moment,
        reason: 'pain',
      }).state;
    expect([skipped(at), skipped(addDays(now, -0.5)), skipped(addDays(now, -9))]).toEqual(['unknown', 'unknown', 'spare']);
  });
});

describe('enough of a hold', () => {
  const plank = measureOf('plank-hold');
  const asked = demand('plank-hold', 30, { side: 'whole' });
  const stateAt = (value: number) =>
    headroom(capacityFromTrials(plank, [{ side: 'whole', value }], { takenAt: addDays(now, -1) }), asked, plank, now).state;

  it('is the first second at which its demand is spare: with 8% within and 12% between about 1.3 × the demand', () => {
    const enough = enoughFor(asked, plank)!;
    expect(stateAt(enough)).toBe('spare');
    expect(stateAt(enough - plank.limits.step)).toBe('on the mark');
    expect(enough / 30).toBeGreaterThan(1.25);
    expect(enough / 30).toBeLessThan(1.4);
  });

  it('is nothing where less is better, or no reading reaches it', () => {
    expect(enoughFor(demand('plank-hold', 30, { side: 'whole', direction: 'at most' }), plank)).toBeUndefined();
    expect(enoughFor(demand('plank-hold', plank.limits.max, { side: 'whole' }), plank)).toBeUndefined();
  });
});
