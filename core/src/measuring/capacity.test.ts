import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import fc from 'fast-check';
import { jStat } from 'jstat';
import { describe, expect, it } from 'vitest';
import { instant } from '../quantities/index.ts';
import { type BodySide, SIDES } from '../anatomy/index.ts';
import { capacityFromTrials, type OwnError, formatReadingWithBand, sideDifference, type Trial } from './index.ts';
import { trialProblemInWords } from '../words/index.ts';

const { measure: measureOf, measures: MEASURES } = BUILT_IN_LIBRARY;

const takenAt = instant('2026-11-20T10:00:00Z');
const trials = (values: readonly number[], side: BodySide = 'left'): Trial[] => values.map((value) => ({ side, value }));
const flexion = measureOf('shoulder-flexion');
const tested: OwnError = {
  within: { sd: 1, degreesOfFreedom: 30 },
  occasion: { sem: 1.4, trials: 3, degreesOfFreedom: 12 },
  source: 'own test',
  from: { targets: 13 },
};

describe('a range from three trials', () => {
  const capacity = capacityFromTrials(flexion, trials([158, 160, 162]), { takenAt });

  it('is the mean, with the band worked by hand', () => {
    // s_w² = (4·1.5² + 2·2²)/6 = 2.8333; SE² = 3² + 2.8333/3 = 9.9444; SE = 3.15349; ν = 9.9444²·6/0.9444² = 665, 200 at most;
    // t(0.95; 200) = 1.65251; band = 5.21118
    expect(capacity.value).toBe(160);
    expect(capacity.standardError).toBeCloseTo(3.15348, 5);
    expect(capacity.band).toBeCloseTo(5.21118, 4);
    expect(capacity).toMatchObject({ measureId: 'shoulder-flexion', side: 'left', trials: 3, takenAt });
    expect(capacity.errorBasis).toBe('default');
  });

  it('has the quantile of the reference statistics library in it', () => {
    expect(capacity.band / capacity.standardError).toBeCloseTo(jStat.studentt.inv(0.95, 200), 6);
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
    const told = capacityFromTrials(flexion, trials([160, 160, 160]), { takenAt, ownError: tested });
    // Of a test with three trials an occasion, three trials are worth its own error: SE = 1.4, ν = 12, t(0.95; 12) = 1.78229
    expect(told.standardError).toBeCloseTo(1.4, 9);
    expect(told.band).toBeCloseTo(1.78229 * 1.4, 3);
    expect(told.errorBasis).toBe('own test');
    // One trial more or less is worth the scatter within: 1.4² + 1²·(1/1 − 1/3), pooled 30 degrees of freedom.
    const one = capacityFromTrials(flexion, trials([160]), { takenAt, ownError: tested });
    expect(one.standardError).toBeCloseTo(Math.sqrt(1.96 + 2 / 3), 9);
  });

  it('is not narrowed by repeated trials of one visit beyond what they can tell', () => {
    const own: OwnError = { within: { sd: 0.3, degreesOfFreedom: 30 }, source: 'own trials', from: { sets: 12, trainees: 4 } };
    const told = capacityFromTrials(flexion, trials([160, 160, 160, 160, 160]), { takenAt, ownError: own });
    expect(told.standardError).toBeGreaterThanOrEqual(3);
    expect(told.errorBasis).toBe('own trials');
  });

  it('keeps the check’s own model for holds, whatever the coach’s error in degrees', () => {
    const of = (options: object) => capacityFromTrials(measureOf('plank-hold'), trials([40], 'whole'), { takenAt, ...options });
    expect(of({ ownError: tested })).toEqual(of({}));
  });

  it('grows in quadrature where the readings know their own error, and is never narrower for it', () => {
    const read = (standardError: number) =>
      capacityFromTrials(
        flexion,
        trials([158, 160, 162]).map((t) => ({ ...t, standardError })),
        { takenAt },
      );
    // Without: 3.15349. Three readings of ±5° bring √(3·5²)/3 = 2.887.
    expect(read(5).standardError).toBeCloseTo(Math.hypot(3.15349, 2.8868), 3);
    expect(read(5).band).toBeCloseTo(1.6525 * Math.hypot(3.15349, 2.8868), 2);
    expect(read(5).errorBasis).toBe('default, reading');
    for (const own of [0.01, 0.5, 1, 1.5, 2, 4]) expect([own, read(own).band >= 5.2111]).toEqual([own, true]);
  });

  it('of the best of three holds what it is expected to run high by', () => {
    const best = capacityFromTrials(flexion, trials([158, 160, 162]), { takenAt, combine: 'best' });
    expect(best.value).toBe(162);
    // SE² = 3² + 0.748²·2.8333; the best runs high by 0.8463·√2.8333 = 1.4245
    expect(best.standardError).toBeCloseTo(Math.sqrt(9 + 0.748 ** 2 * 2.8333), 3);
    expect(best.band).toBeCloseTo(1.4245 + best.standardError * 1.6525, 2);
  });

  it.each<[string, number[], number, number]>([
    // 40 s once: s = √(0.12² + 0.08²) = 0.14422, ν = 4·0.0208²/0.0064² = 42, t = 1.68195: 40·0.24257/1.24257
    ['plank-hold', [40], 40, 7.809],
    // √(2² + 1²), ν = 100, t = 1.66023
    ['scapular-push-ups', [10], 10, 3.712],
    ['hand-load-hang', [55], 55, 7.425],
  ])('%s %j: %d ± %d, worked by hand', (id, values, value, band) => {
    const capacity = capacityFromTrials(measureOf(id), trials(values, 'whole'), { takenAt });
    expect(capacity.value).toBe(value);
    expect(capacity.band).toBeCloseTo(band, 3);
  });

  it('is never finer than half a step of the instrument', () => {
    expect(capacityFromTrials(measureOf('plank-hold'), trials([0], 'whole'), { takenAt }).band).toBe(0.5);
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
    [trials([400]), /400 is no trial from 0 to 200/],
    [trials([-5]), /-5 is no trial/],
    [trials([Number.NaN]), /NaN is no trial/],
  ])('%j', (bad, message) => expect(() => capacityFromTrials(flexion, bad, { takenAt })).toThrow(message));
});

describe('the catalogue of checks', () => {
  it('has each id once, three protocol lines, an origin, and limits that hold a step', () => {
    expect(new Set(MEASURES.map((m) => m.id)).size).toBe(MEASURES.length);
    for (const m of MEASURES) {
      expect(m.protocol.every((line) => line.length > 10)).toBe(true);
      expect(m.limits.max - m.limits.min).toBeGreaterThanOrEqual(m.limits.step);
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
    expect(capacity).toMatchObject({ value: 1, band: 0, standardError: 0, errorBasis: 'level' });
    expect(formatReadingWithBand(winging, capacity.value, capacity.band)).toBe('winging slight');
    expect(formatReadingWithBand(flexion, 160, 2.9)).toBe('160° ± 3°');
  });

  it('take nothing between or beyond their names', () => {
    expect(trialProblemInWords(winging, 1.5)).toBe(
      'Shoulder blade at rest and in a light push: choose one of flat, winging slight, winging marked.',
    );
    expect(trialProblemInWords(winging, 3)).toMatch(/above the limit of winging marked/);
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
  expect(trialProblemInWords(measureOf('side-reach'), -5)).toBeUndefined();
  const level = { ...elbow, side: 'right' as const, value: -7 as typeof elbow.value };
  expect(sideDifference(elbow, level)).toMatchObject({ alike: true, weakerPercent: 100 });
});

describe('the same picture read twice', () => {
  const flexion = measureOf('shoulder-flexion');
  const read = (value: number, source?: string) => ({ side: 'left' as const, value, standardError: 2, ...(source ? { source } : {}) });
  const of = (...trials: ReturnType<typeof read>[]) => capacityFromTrials(flexion, trials, { takenAt });

  it('is one trial: its mean, and no narrower band', () => {
    const once = of(read(160, 'a'));
    const thrice = of(read(159, 'a'), read(160, 'a'), read(161, 'a'));
    expect(thrice).toMatchObject({ value: 160, trials: 1, band: once.band });
    expect(of(read(159), read(160), read(161)).band).toBeLessThan(once.band);
  });

  it('does not crowd out another: two of one and one of another are two', () =>
    expect(of(read(150, 'a'), read(170, 'a'), read(180, 'b'))).toMatchObject({ value: 170, trials: 2 }));
});
