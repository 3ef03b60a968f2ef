import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import fc from 'fast-check';
import { jStat } from 'jstat';
import { describe, expect, it } from 'vitest';
import { instant } from '../quantities/index.ts';
import { type BodySide, SIDES } from '../anatomy/index.ts';
import { capacityFromTrials, readingWithBand, sideDifference, type Trial, trialProblem } from './index.ts';

const { measure: measureOf, measures: MEASURES } = BUILT_IN_LIBRARY;

const takenAt = instant('2026-11-20T10:00:00Z');
const trials = (values: readonly number[], side: BodySide = 'left'): Trial[] => values.map((value) => ({ side, value }));
const flexion = measureOf('shoulder-flexion');

describe('a range from three trials', () => {
  const capacity = capacityFromTrials(flexion, trials([158, 160, 162]), { takenAt });

  it('is the mean, with the band worked by hand', () => {
    // s² = (4·2.8² + 2·2²)/6 = 6.56; SE = 2.56125/√3 = 1.47874; t(0.95; 6) = 1.94318; band = 2.87346
    expect(capacity.value).toBe(160);
    expect(capacity.standardError).toBeCloseTo(1.47874, 5);
    expect(capacity.band).toBeCloseTo(2.87346, 4);
    expect(capacity).toMatchObject({ measureId: 'shoulder-flexion', side: 'left', trials: 3, takenAt });
    expect(capacity.errorBasis).toBe('default measuring error and 3 trials');
  });

  it('has the quantile of the reference statistics library in it', () => {
    expect(capacity.band / capacity.standardError).toBeCloseTo(jStat.studentt.inv(0.95, 6), 6);
  });
});

describe('the error band', () => {
  it('narrows with more trials of the same scatter and widens with more scatter', () => {
    const band = (values: readonly number[]) => capacityFromTrials(flexion, trials(values), { takenAt }).band;
    expect(band([160])).toBeGreaterThan(band([159, 161]));
    expect(band([159, 161])).toBeGreaterThan(band([158.6, 160, 161.4, 158.6, 161.4]));
    expect(band([150, 160, 170])).toBeGreaterThan(band([158, 160, 162]));
  });

  it('does not move when every trial moves alike, and the value does (seeded)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 40, max: 120 }), { minLength: 1, maxLength: 6 }),
        fc.integer({ min: 0, max: 60 }),
        (values, shift) => {
          const a = capacityFromTrials(flexion, trials(values), { takenAt });
          const b = capacityFromTrials(flexion, trials(values.map((v) => v + shift)), { takenAt });
          expect(b.value - a.value).toBeCloseTo(shift, 9);
          expect(b.band).toBeCloseTo(a.band, 9);
        },
      ),
      { seed: 11 },
    );
  });

  it('uses the coach’s own measuring error once it is known, and says so', () => {
    const own = capacityFromTrials(flexion, trials([160, 160, 160]), { takenAt, ownError: { sem: 1, degreesOfFreedom: 40 } });
    // s² = 40·1/42; SE = 0.5634; t(0.95; 42) = 1.682
    expect(own.band).toBeCloseTo(1.682 * 0.5634, 3);
    expect(own.errorBasis).toBe('coach’s own measuring error and 3 trials');
  });

  it('keeps the check’s own model for holds, whatever the coach’s error in degrees', () => {
    const options = { takenAt, ownError: { sem: 1, degreesOfFreedom: 40 } };
    expect(capacityFromTrials(measureOf('plank-hold'), trials([40], 'whole'), options).band).toBe(4);
  });

  it('grows in quadrature where the readings know their own error, and is never narrower for it', () => {
    const read = (standardError: number) =>
      capacityFromTrials(
        flexion,
        trials([158, 160, 162]).map((t) => ({ ...t, standardError })),
        { takenAt },
      );
    // Without: s/√n = √6.56/√3 = 1.4788, t₀.₉₅,₆ = 1.9432. Three readings of ±5° bring √(3·5²)/3 = 2.887.
    expect(read(5).standardError).toBeCloseTo(Math.hypot(1.4788, 2.8868), 3);
    expect(read(5).band).toBeCloseTo(1.9432 * Math.hypot(1.4788, 2.8868), 2);
    expect(read(5).errorBasis).toBe('default measuring error and 3 trials, and the reading’s own error');
    for (const own of [0.01, 0.5, 1, 1.5, 2, 4]) expect([own, read(own).band > 2.8734]).toEqual([own, true]);
  });

  it('of a best-of reading is that of a single one', () => {
    const best = capacityFromTrials(flexion, trials([158, 160, 162]), { takenAt, combine: 'best' });
    expect(best.value).toBe(162);
    expect(best.standardError).toBeCloseTo(Math.sqrt(6.56), 9);
  });

  it.each<[string, number[], number, number]>([
    ['plank-hold', [31, 40, 38], 40, 4],
    ['plank-hold', [4], 4, 1],
    ['scapular-push-ups', [8, 10, 9], 10, 1],
    ['hand-load-hang', [50, 55], 55, 3],
  ])('%s %j: best %d ± %d', (id, values, value, band) => {
    const capacity = capacityFromTrials(measureOf(id), trials(values, 'whole'), { takenAt });
    expect([capacity.value, capacity.band]).toEqual([value, band]);
    expect(capacity.standardError).toBeCloseTo(band / 1.6449, 3);
  });

  it('takes the mean of the swings, where less is better', () => {
    expect(capacityFromTrials(measureOf('release-swing'), trials([8, 10, 12]), { takenAt }).value).toBe(10);
    expect(capacityFromTrials(measureOf('release-swing'), trials([8, 10, 12]), { takenAt, combine: 'best' }).value).toBe(8);
  });
});

it('is provisional as soon as one trial is', () => {
  const [first, ...rest] = trials([158, 160, 162]);
  expect(capacityFromTrials(flexion, [first!, ...rest], { takenAt }).provisional).toBeUndefined();
  expect(capacityFromTrials(flexion, [{ ...first!, provisional: 'simulated' }, ...rest], { takenAt }).provisional).toBe('simulated');
});

describe('refusals', () => {
  it.each<[readonly Trial[], RegExp]>([
    [[], /at least one trial/],
    [[...trials([160]), ...trials([160], 'right')], /two capacities/],
    [trials([400]), /400° is above the limit of 200°/],
    [trials([-5]), /−5° is below the limit of 0°/],
    [trials([Number.NaN]), /a number is needed, from 0° to 200°/],
  ])('%j', (bad, message) => expect(() => capacityFromTrials(flexion, bad, { takenAt })).toThrow(message));
});

describe('the catalogue of checks', () => {
  it('has each id once, three protocol lines, an origin, and limits that hold a step', () => {
    expect(new Set(MEASURES.map((m) => m.id)).size).toBe(MEASURES.length);
    for (const m of MEASURES) {
      expect(m.protocol.every((line) => line.length > 10)).toBe(true);
      expect(m.limits.max - m.limits.min).toBeGreaterThan(m.limits.step);
      expect(m.freshDays).toBeGreaterThan(0);
      expect(m.origin.kind).toMatch(/published|common practice|project default/);
    }
  });

  it('holds the battery that practice asks for, both sides where there are sides', () => {
    const sided = [
      'shoulder-flexion',
      'shoulder-extension',
      'shoulder-abduction',
      'shoulder-internal-rotation',
      'shoulder-external-rotation',
      'wrist-extension',
      'wrist-extension-loaded',
      'wrist-flexion',
      'grip',
    ];
    const whole = ['strap-pass-through', 'packed-hang', 'plank-hold', 'scapular-push-ups', 'heel-of-hand-lifts', 'hand-load-hang'];
    expect(sided.map((id) => measureOf(id).sided)).toEqual(sided.map(() => true));
    expect(whole.map((id) => measureOf(id).sided)).toEqual(whole.map(() => false));
    expect(SIDES).toEqual(['left', 'right']);
  });

  it('refuses an unknown check by name', () => expect(() => measureOf('charm')).toThrow('There is no check called "charm".'));
});

describe('levels, grades and contacts', () => {
  const winging = measureOf('blade-winging');

  it('have no error band, and say their name', () => {
    const capacity = capacityFromTrials(winging, [{ side: 'left', value: 1 }], { takenAt });
    expect(capacity).toMatchObject({ value: 1, band: 0, standardError: 0, errorBasis: 'a level, without an error band' });
    expect(readingWithBand(winging, capacity.value, capacity.band)).toBe('winging slight');
    expect(readingWithBand(flexion, 160, 2.9)).toBe('160° ± 3°');
  });

  it('take nothing between or beyond their names', () => {
    expect(trialProblem(winging, 1.5)).toBe(
      'Shoulder blade at rest and in a light push: choose one of flat, winging slight, winging marked.',
    );
    expect(trialProblem(winging, 3)).toMatch(/above the limit of winging marked/);
  });

  it('are alike on both sides within one step', () => {
    const side = (name: 'left' | 'right', value: number) => capacityFromTrials(winging, [{ side: name, value }], { takenAt });
    expect(sideDifference(side('left', 0), side('right', 1)).alike).toBe(true);
    expect(sideDifference(side('left', 0), side('right', 2)).alike).toBe(false);
  });
});

it('reads below zero where the check does: an elbow that does not straighten, hands that overlap', () => {
  const elbow = capacityFromTrials(measureOf('elbow-extension'), trials([-8, -6, -7]), { takenAt });
  expect(elbow.value).toBe(-7);
  expect(trialProblem(measureOf('side-reach'), -5)).toBeUndefined();
  const level = { ...elbow, side: 'right' as const, value: -7 as typeof elbow.value };
  expect(sideDifference(elbow, level)).toMatchObject({ alike: true, weakerPercent: 100 });
});
