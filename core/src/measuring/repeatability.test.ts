import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import fc from 'fast-check';
import seedrandom from 'seedrandom';
import { describe, expect, it } from 'vitest';
import { ownErrorFromTest, ownErrorFromTrials, reliabilityInWords, repeatability, strayTrial, type TrialScatter } from './index.ts';

const { measure: measureOf } = BUILT_IN_LIBRARY;

/** Six targets, four judges: Shrout & Fleiss, Psychological Bulletin 86, 1979, table 2 (from memory). */
const SHROUT_AND_FLEISS = [
  [9, 2, 5, 8],
  [6, 1, 3, 2],
  [8, 4, 6, 8],
  [7, 1, 2, 6],
  [10, 5, 6, 9],
  [6, 2, 4, 7],
].map((row) => row.map((v) => [v]));

describe('repeatability, against a published worked example', () => {
  const told = repeatability(SHROUT_AND_FLEISS);

  it('has the coefficients of the paper (from memory)', () => {
    expect(told.icc21.value).toBeCloseTo(0.29, 2);
    expect(told.icc31.value).toBeCloseTo(0.71, 2);
    expect(told).toMatchObject({ targets: 6, occasions: 4, trials: 1, degreesOfFreedom: 15 });
  });

  it('has the intervals that statistics packages print for it (from memory)', () => {
    expect(told.icc21.interval?.low).toBeCloseTo(0.02, 2);
    expect(told.icc21.interval?.high).toBeCloseTo(0.76, 2);
    expect(told.icc31.interval?.low).toBeCloseTo(0.34, 2);
    expect(told.icc31.interval?.high).toBeCloseTo(0.95, 2);
  });

  it('is put into words by the usual steps', () =>
    expect([told.icc21.value, told.icc31.value, 0.75, 0.9].map(reliabilityInWords)).toEqual(['poor', 'moderate', 'good', 'excellent']));

  it('has the SEM worked by hand: mean squares 11.24, 32.49 and 1.019', () => {
    // SEM² = 1.019 + (32.486 − 1.019)/6 = 6.264
    expect(told.sem).toBeCloseTo(Math.sqrt(6.264), 2);
    expect(told.mdc95).toBeCloseTo(1.96 * Math.SQRT2 * told.sem, 3);
  });
});

describe('repeatability', () => {
  it('of readings that never differ says so, and gives no interval that would be certain', () => {
    const told = repeatability([150, 160, 170].map((v) => [[v], [v]]));
    expect(told.icc31).toEqual({ value: 1 });
    expect(told.icc21).toEqual({ value: 1 });
    expect(told.sem).toBe(0);
    expect(told.agreement).toEqual({ bias: 0, low: 0, high: 0 });
  });

  it('has limits of agreement, worked by hand', () => {
    // Differences 2, −1, 3, 0: mean 1, SD √(10/3) = 1.826; 1.96 of it is 3.578.
    const told = repeatability([
      [[10], [12]],
      [[20], [19]],
      [[30], [33]],
      [[40], [40]],
    ]);
    expect(told.agreement?.bias).toBeCloseTo(1, 12);
    expect(told.agreement?.low).toBeCloseTo(-2.578, 3);
    expect(told.agreement?.high).toBeCloseTo(4.578, 3);
    expect(repeatability(SHROUT_AND_FLEISS).agreement).toBeUndefined();
  });

  it('may lie below 0, where bodies differ less than their own readings', () => {
    const told = repeatability([
      [[10], [20]],
      [[20], [10]],
      [[15], [16]],
    ]);
    expect(told.icc31.value).toBeLessThan(0);
    expect(reliabilityInWords(told.icc31.value)).toBe('poor');
  });

  it('of testers who differ by a constant is consistent but does not agree', () => {
    const told = repeatability([150, 160, 170, 155, 165].map((v) => [[v], [v + 6]]));
    expect(told.icc31.value).toBeCloseTo(1, 9);
    expect(told.icc21.value).toBeLessThan(0.8);
    // Two testers 6° apart: variance of the testers 18, so SEM √18.
    expect(told.sem).toBeCloseTo(Math.sqrt(18), 6);
    expect(told.means[1]! - told.means[0]!).toBeCloseTo(6, 9);
  });

  it('finds the error that was put in (seeded simulation)', () => {
    const random = seedrandom('repeat');
    const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const told = repeatability(
      Array.from({ length: 400 }, () => {
        const truth = 160 + 8 * normal();
        return [0, 1].map(() => [0, 1, 2].map(() => truth + 3 * normal()));
      }),
    );
    // The mean of three trials with an error of 3° each: 3/√3; ICC = 64/(64 + 3).
    expect(told.sem).toBeGreaterThan(0.93 * Math.sqrt(3));
    expect(told.sem).toBeLessThan(1.07 * Math.sqrt(3));
    expect(told.icc21.value).toBeCloseTo(64 / 67, 1);
    expect(told.icc21.interval?.low).toBeLessThan(64 / 67);
    expect(told.icc21.interval?.high).toBeGreaterThan(64 / 67);
    expect(ownErrorFromTest(measureOf('shoulder-flexion'), told)?.occasion).toMatchObject({ sem: told.sem, trials: 3 });
  });

  it('does not change when everybody moves alike (seeded)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 99 }), fc.integer({ min: 0, max: 99 })), { minLength: 3, maxLength: 9 }),
        fc.integer({ min: -50, max: 50 }),
        (pairs, shift) => {
          const table = (by: number) => pairs.map(([a, b]) => [[a + by], [b + by]]);
          const [one, other] = [repeatability(table(0)), repeatability(table(shift))];
          expect(other.sem).toBeCloseTo(one.sem, 6);
          expect(other.icc21.value).toBeCloseTo(one.icc21.value, 6);
        },
      ),
      { seed: 3 },
    );
  });

  it.each<[number[][][], RegExp]>([
    [[], /0 measured 0 times: at least 3, each twice/],
    [
      [
        [[1], [2]],
        [[1], [2]],
      ],
      /2 measured 2 times/,
    ],
    [[[[1]], [[2]], [[3]]], /3 measured 1 time:/],
    [
      [
        [[1], [2]],
        [[1], []],
        [[1], [2]],
      ],
      /a reading is missing/,
    ],
    [[[[1], [2]], [[1]], [[1], [2]]], /a reading is missing/],
  ])('refuses %j', (table, message) => expect(() => repeatability(table)).toThrow(message));
});

describe('a coach’s own measuring error', () => {
  const flexion = measureOf('shoulder-flexion');
  const sets = (count: number, trainees: number, sumOfSquares: number): TrialScatter[] =>
    Array.from({ length: count }, (_, i) => ({ traineeId: `t${i % trainees}`, trials: 3, sumOfSquares }));

  it('is the pooled scatter of repeated trials, once there are enough', () => {
    // Twelve sets of three with (n−1)s² = 4.5: s² = 54/24.
    expect(ownErrorFromTrials(flexion, sets(12, 4, 4.5))).toMatchObject({
      within: { sd: 1.5, degreesOfFreedom: 24 },
      source: 'own trials',
      from: { sets: 12, trainees: 4 },
    });
    expect(ownErrorFromTrials(flexion, sets(60, 4, 4.5))?.within?.degreesOfFreedom).toBe(30);
  });

  it('waits for three trainees and twenty degrees of freedom, and counts no single trials', () => {
    expect(ownErrorFromTrials(flexion, sets(12, 2, 4.5))).toBeUndefined();
    expect(ownErrorFromTrials(flexion, sets(9, 4, 4.5))).toBeUndefined();
    expect(
      ownErrorFromTrials(
        flexion,
        sets(40, 4, 0).map((s) => ({ ...s, trials: 1 })),
      ),
    ).toBeUndefined();
  });

  it('is never finer than the instrument rounds: 1°/√12', () =>
    expect(ownErrorFromTrials(flexion, sets(12, 4, 0))?.within?.sd).toBeCloseTo(0.2887, 4));

  it('replaces only an error in the check’s own unit: shares and levels keep theirs', () =>
    expect(['plank-hold', 'peel-test'].map((id) => ownErrorFromTrials(measureOf(id), sets(12, 4, 4.5)))).toEqual([undefined, undefined]));

  it('from a test needs five bodies or sides', () =>
    expect(ownErrorFromTest(flexion, repeatability([150, 160, 170, 165].map((v) => [[v], [v + 1]])))).toBeUndefined());
});

describe('a stray trial', () => {
  it.each<[string, number[], number | undefined]>([
    ['shoulder-flexion', [158, 160, 169], 2],
    ['shoulder-flexion', [158, 149, 160], 1],
    ['shoulder-flexion', [158, 160, 164], undefined],
    ['shoulder-flexion', [158, 170], 1],
    ['shoulder-flexion', [158], undefined],
    // Tiring over three holds is no mistake; a go twice as long as the others is looked at.
    ['plank-hold', [60, 45, 30], undefined],
    ['plank-hold', [30, 31, 62], 2],
    ['scapular-push-ups', [10, 9, 15], 2],
    ['strap-pass-through', [1.6, 1.62, 2], 2],
    ['peel-test', [0, 2], undefined],
  ])('%s %j', (id, values, index) => expect(strayTrial(measureOf(id), values)?.index).toBe(index));

  it('is named with how far it is off', () =>
    expect(strayTrial(measureOf('shoulder-flexion'), [158, 160, 169])).toEqual({ index: 2, off: 10 }));

  it('is judged by the coach’s own error where it is known', () => {
    expect(strayTrial(measureOf('shoulder-flexion'), [158, 160, 165], 1)?.index).toBe(2);
    expect(strayTrial(measureOf('shoulder-flexion'), [158, 160, 169], 4)).toBeUndefined();
  });
});
