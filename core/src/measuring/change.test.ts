import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import { describe, expect, it } from 'vitest';
import { instant } from '../quantities/index.ts';
import { bandOfReading, capacityFromTrials, changeBetween, minimalDetectableChange, realFrom, sideDifference } from './index.ts';

const { measure: measureOf } = BUILT_IN_LIBRARY;

const takenAt = instant('2026-11-20T10:00:00Z');
const of = (id: string, side: 'left' | 'right', ...values: number[]) =>
  capacityFromTrials(
    measureOf(id),
    values.map((value) => ({ side, value })),
    { takenAt },
  );

describe('change between two occasions', () => {
  it('is MDC95 = 1.96·√2·SEM for equal errors (textbook formula)', () => {
    const a = of('shoulder-flexion', 'left', 160);
    expect(a.standardError).toBeCloseTo(Math.hypot(1.5, 3), 9);
    expect(minimalDetectableChange(a, a)).toBeCloseTo(1.96 * Math.SQRT2 * Math.hypot(1.5, 3), 3);
    // of the order of the published 6–9° for one tester (Kolber & Hanney 2012, from memory)
    expect(minimalDetectableChange(a, a)).toBeGreaterThan(6);
    expect(minimalDetectableChange(a, a)).toBeLessThan(9.5);
  });

  it('calls four degrees noise and ten a change', () => {
    const before = of('shoulder-flexion', 'left', 158, 160, 162);
    expect(changeBetween(before, of('shoulder-flexion', 'left', 162, 164, 166))).toMatchObject({ difference: 4, real: false });
    expect(changeBetween(before, of('shoulder-flexion', 'left', 168, 170, 172))).toMatchObject({ difference: 10, real: true });
    expect(changeBetween(before, of('shoulder-flexion', 'left', 148, 150, 152))).toMatchObject({ difference: -10, real: true });
  });

  it('refuses to compare different checks', () => {
    expect(() => changeBetween(of('grip', 'left', 30), of('wrist-flexion', 'left', 70))).toThrow(/cannot be compared/);
  });
});

describe('left against right', () => {
  it.each([
    // Ten degrees at the shoulder, eight at the wrist, 15% of grip, else a tenth of the larger (professional judgement, from memory).
    ['shoulder-flexion', 150, 159, 10, true],
    ['shoulder-flexion', 150, 161, 10, false],
    ['wrist-extension-loaded', 90, 104, undefined, false],
    ['grip', 60, 69, 10.35, true],
    ['grip', 60, 72, 10.8, false],
    ['side-plank-hold', 60, 61, undefined, true],
  ] as const)('%s, %d against %d', (id, less, more, allowed, alike) => {
    const found = sideDifference(of(id, 'left', less, less, less), of(id, 'right', more, more, more));
    expect(found.alike).toBe(alike);
    if (allowed !== undefined) expect(found.allowed).toBeCloseTo(allowed, 6);
  });

  it('allows less where a studio set less, and never less than can be detected', () => {
    const [left, right] = [of('grip', 'left', 40, 40), of('grip', 'right', 44, 44)];
    expect(sideDifference(left, right).allowed).toBeGreaterThan(4.4);
    const [low, high] = [of('shoulder-flexion', 'left', 150, 150, 150), of('shoulder-flexion', 'right', 165, 165, 165)];
    const strict = sideDifference(low, high, 0.03);
    expect(strict).toMatchObject({ difference: 15, alike: false });
    expect(strict.allowed).toBeCloseTo(minimalDetectableChange(low, high), 9);
  });

  it('allows what can be detected where a tenth would be less', () => {
    const swing = sideDifference(of('release-swing', 'left', 8), of('release-swing', 'right', 12));
    expect(swing.allowed).toBeCloseTo(1.96 * Math.SQRT2 * Math.hypot(3, 5), 2);
    expect(swing.alike).toBe(true);
  });

  it('gives the weaker side as a share of the stronger, and no share of nothing', () => {
    expect(sideDifference(of('grip', 'left', 30), of('grip', 'right', 40)).weakerPercent).toBe(75);
    expect(sideDifference(of('grip', 'left', 0), of('grip', 'right', 0)).weakerPercent).toBe(100);
  });
});

describe('the smallest real change of a check', () => {
  const flexion = measureOf('shoulder-flexion');

  it('worked by hand: 1.96·√2·√(3² + 1.5²/3) = 8.65; more trials of a visit hardly help', () => {
    expect(realFrom(flexion)).toBeCloseTo(8.65, 2);
    expect(realFrom({ ...flexion, trials: 10 })).toBeCloseTo(1.96 * Math.SQRT2 * Math.sqrt(9 + 0.225), 2);
  });

  it('is a share of the figure where the error is one, and none for a level', () => {
    expect(realFrom(measureOf('plank-hold'))).toBeCloseTo(1.96 * Math.SQRT2 * Math.hypot(0.12, 0.08), 3);
    expect(realFrom(measureOf('blade-winging'))).toBe(0);
  });

  it('follows the coach’s own test, and is not narrowed by repeated trials of single visits', () => {
    const within = { sd: 0.2, degreesOfFreedom: 30 };
    expect(realFrom(flexion, { within, source: 'own trials', from: { sets: 10, trainees: 3 } })).toBeGreaterThan(
      1.96 * Math.SQRT2 * 3 - 0.01,
    );
    const occasion = { sem: 1, trials: 3, degreesOfFreedom: 9 };
    expect(realFrom(flexion, { within, occasion, source: 'own test', from: { targets: 10 } })).toBeCloseTo(1.96 * Math.SQRT2, 2);
  });
});

it('the band of a reading is one-sided: 1.645 standard errors', () => expect(bandOfReading(2)).toBeCloseTo(3.29, 3));
