import { jStat } from 'jstat';
import { describe, expect, it } from 'vitest';
import { fCdf, fQuantile, normalCdf, normalQuantile, studentTCdf, studentTQuantile } from './index.ts';

const PROBABILITIES = [0.005, 0.025, 0.05, 0.1, 0.3, 0.5, 0.6, 0.9, 0.95, 0.975, 0.995];

describe('against a reference statistics library', () => {
  it.each([1, 2, 4, 5, 6, 9, 20, 60, 400])('Student-t quantiles with %i degrees of freedom', (dof) => {
    for (const p of PROBABILITIES) {
      expect(studentTQuantile(p, dof)).toBeCloseTo(jStat.studentt.inv(p, dof), 6);
      expect(studentTCdf(studentTQuantile(p, dof), dof)).toBeCloseTo(p, 10);
    }
  });

  it.each([
    [1, 5],
    [5, 15],
    [3, 4.7],
    [29, 29],
    [15, 5],
  ])('F quantiles with %d and %d degrees of freedom', (numerator, denominator) => {
    for (const p of PROBABILITIES) {
      const f = fQuantile(p, numerator, denominator);
      expect(f / jStat.centralF.inv(p, numerator, denominator)).toBeCloseTo(1, 6);
      expect(fCdf(f, numerator, denominator)).toBeCloseTo(p, 9);
    }
  });

  it('normal quantiles and distribution', () => {
    for (const p of PROBABILITIES) expect(normalQuantile(p)).toBeCloseTo(jStat.normal.inv(p, 0, 1), 6);
    for (let z = -6; z <= 6; z += 0.25) expect(normalCdf(z)).toBeCloseTo(jStat.normal.cdf(z, 0, 1), 9);
  });
});

describe('against printed tables (from memory)', () => {
  it('agrees with the usual one-sided 95 % column of Student-t', () => {
    const column: [number, number][] = [
      [1, 6.314],
      [4, 2.132],
      [5, 2.015],
      [6, 1.943],
      [10, 1.812],
      [30, 1.697],
      [120, 1.658],
    ];
    for (const [dof, t] of column) expect(studentTQuantile(0.95, dof)).toBeCloseTo(t, 3);
  });

  it('agrees with the upper 5 % points of F', () => {
    expect(fQuantile(0.95, 5, 10)).toBeCloseTo(3.33, 2);
    expect(fQuantile(0.95, 1, 10)).toBeCloseTo(studentTQuantile(0.975, 10) ** 2, 6);
    expect(fQuantile(0.95, 3, 20)).toBeCloseTo(3.1, 2);
  });

  it('meets the normal distribution for very many degrees of freedom', () => {
    expect(studentTQuantile(0.95, 1e7)).toBeCloseTo(normalQuantile(0.95), 5);
    expect(normalQuantile(0.95)).toBeCloseTo(1.6449, 4);
  });
});

it('refuses what is no probability and what has no freedom', () => {
  for (const p of [0, 1, -0.1, Number.NaN]) {
    expect(() => normalQuantile(p)).toThrow(/between 0 and 1/);
    expect(() => fQuantile(p, 5, 5)).toThrow(/between 0 and 1/);
    expect(() => studentTQuantile(p, 5)).toThrow(/between 0 and 1/);
  }
  expect(() => studentTQuantile(0.95, 0)).toThrow(/at least 1/);
});
