import { jStat } from 'jstat';
import { describe, expect, it } from 'vitest';
import { REFERENCES, referencePercentile, referencesFor } from './index.ts';

const man = (age: number) => ({ sex: 'male' as const, age });
const woman = (age: number) => ({ sex: 'female' as const, age });
const boone = (id: string) => referencesFor(id, man(30), 'left').find((r) => r.name === 'Boone & Azen 1979');

describe('Boone & Azen 1979, men 20–54, degrees (from memory)', () => {
  it.each([
    ['shoulder-flexion', 165.0, 5.0],
    ['shoulder-extension', 57.3, 8.1],
    ['shoulder-abduction', 182.7, 9.0],
    ['shoulder-internal-rotation', 67.1, 4.1],
    ['shoulder-external-rotation', 99.6, 7.6],
    ['wrist-flexion', 74.8, 6.6],
    ['wrist-extension', 74.0, 6.6],
  ])('%s %d ± %d', (id, mean, sd) => {
    const row = boone(id);
    expect(row).toMatchObject({ mean, sd, unit: 'deg' });
    if (!row) return;
    expect(referencePercentile(row, mean).percentile).toBeCloseTo(50, 9);
    // one standard deviation either way: 15.87 % and 84.13 % of a normal population
    expect(referencePercentile(row, mean - sd).percentile).toBeCloseTo(15.87, 2);
    expect(referencePercentile(row, mean + sd).percentile).toBeCloseTo(84.13, 2);
    expect(referencePercentile(row, mean + 1.3 * sd).percentile).toBeCloseTo(100 * jStat.normal.cdf(1.3, 0, 1), 6);
  });
});

describe('Mathiowetz et al. 1985, grip, pounds (from memory)', () => {
  it.each([
    ['men right 20–24', man(22), 'right', 121.0, 20.6],
    ['men left 35–39', man(39), 'left', 112.9, 21.7],
    ['women right 30–34', woman(30), 'right', 78.7, 19.2],
    ['women left 65–69', woman(69), 'left', 41.0, 8.2],
  ] as const)('%s', (_, person, side, mean, sd) => {
    const [row] = referencesFor('grip', person, side);
    expect((row?.mean ?? 0) / 0.45359237).toBeCloseTo(mean, 9);
    expect((row?.sd ?? 0) / 0.45359237).toBeCloseTo(sd, 9);
  });

  it('has ten age bands, two sexes, two sides', () => {
    expect(REFERENCES.filter((r) => r.measureId === 'grip')).toHaveLength(40);
  });
});

describe('who is compared with whom', () => {
  it('says it with every percentile', () => {
    const row = boone('shoulder-flexion');
    expect(row && referencePercentile(row, 160)).toMatchObject({ zScore: -1, comparedWith: 'Boone & Azen 1979, men 20–54' });
  });

  it.each([
    ['a man of 70', man(70), 'grip'],
    ['a girl of 15', woman(15), 'grip'],
    ['somebody who states no sex', { age: 30 }, 'grip'],
    ['a woman, on a table of men', woman(30), 'wrist-flexion'],
  ])('shows no table with a spread for %s', (_, person, id) => {
    expect(referencesFor(id, person, 'left').filter((r) => r.sd !== undefined)).toEqual([]);
  });

  it('refuses a percentile where the table gives no spread, and of no number', () => {
    const aaos = referencesFor('shoulder-flexion', woman(30), 'left').find((r) => r.name === 'AAOS 1965');
    expect(aaos?.mean).toBe(180);
    expect(() => aaos && referencePercentile(aaos, 170)).toThrow('AAOS 1965 gives no spread');
    const row = boone('wrist-flexion');
    expect(() => row && referencePercentile(row, Number.NaN)).toThrow(/not a finite number/);
  });

  it('marks every citation as from memory', () => {
    expect(REFERENCES.filter((r) => !r.citation.includes('(from memory)'))).toEqual([]);
  });
});
