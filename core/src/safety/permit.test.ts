import { describe, expect, it } from 'vitest';
import type { CalendarDay } from '../quantities/index.ts';
import { CLOSABLE, isStraining, type Permit, permits, type Strain } from './index.ts';
import { permitsAll } from './permit.ts';

const NONE: Strain = {
  ...{ effort: 3, loadPerArm: 0, loadInAll: 0, overhead: false, hanging: false, headDown: false },
  ...{ oneArmed: false, longHold: false, externalWeight: false, mayFall: false, kickUp: false },
};
const ALL: Permit = { loadPerArm: 1, overhead: true, hanging: true, headDown: true, effort: 10, until: '2027-01-10' as CalendarDay };
const SOME: Permit = { loadPerArm: 0.25, overhead: false, hanging: false, headDown: false, effort: 5, until: '2027-01-10' as CalendarDay };

describe('a permit opens exactly what it names', () => {
  it.each<[string, Partial<Strain>, boolean]>([
    ['what asks for nothing', {}, true],
    ['its own limits', { effort: 5, loadPerArm: 0.25 }, true],
    ['more effort', { effort: 5.5 }, false],
    ['more load on an arm', { loadPerArm: 0.26 }, false],
    ['work overhead', { overhead: true }, false],
    ['a hang', { hanging: true }, false],
    ['head down', { headDown: true }, false],
  ])('%s', (_, own, open) => expect(permits(SOME, { ...NONE, ...own })).toBe(open));

  it('and one place does not open another', () => {
    for (const place of ['overhead', 'hanging', 'headDown'] as const)
      for (const other of ['overhead', 'hanging', 'headDown'] as const)
        expect(permits({ ...SOME, [place]: true }, { ...NONE, [other]: true })).toBe(place === other);
  });

  it('everything, only where every limit is off', () => {
    expect([permitsAll(ALL), permitsAll({ ...ALL, loadPerArm: 1.5 })]).toEqual([true, true]);
    for (const less of [{ loadPerArm: 0.99 }, { effort: 9.9 }, { overhead: false }, { hanging: false }, { headDown: false }])
      expect([less, permitsAll({ ...ALL, ...less })]).toEqual([less, false]);
  });
});

it.each<[string, Partial<Strain>, boolean]>([
  ['easy and unloaded', {}, false],
  ['effort of 5', { effort: 5 }, true],
  ['just below it', { effort: 4.9 }, false],
  ['a tenth of body weight on an arm', { loadPerArm: 0.1 }, true],
  ['less', { loadPerArm: 0.099 }, false],
  ['a weight', { externalWeight: true }, true],
  ['head down', { headDown: true }, true],
  ['one arm', { oneArmed: true }, true],
  ['a long hold at effort', { longHold: true }, true],
  ['overhead alone', { overhead: true }, false],
])('straining: %s', (_, own, strains) => expect(isStraining({ ...NONE, ...own })).toBe(strains));

it('each thing that can be closed knows its own from the rest', () => {
  const closes = (own: Partial<Strain>) =>
    Object.entries(CLOSABLE)
      .filter(([name, of]) => name !== 'anything' && of({ ...NONE, ...own }))
      .map(([name]) => name);
  expect(closes({})).toEqual([]);
  expect(CLOSABLE.anything()).toBe(true);
  expect(closes({ loadInAll: 0.26 })).toEqual(['over a quarter']);
  expect(closes({ loadInAll: 0.25 })).toEqual([]);
  expect(closes({ hanging: true, mayFall: true })).toEqual(['hanging', 'fall', 'free hang']);
  expect(closes({ hanging: true, oneArmed: true })).toEqual(['straining', 'hanging', 'one arm', 'one-hand hang']);
  expect(closes({ hanging: true, loadPerArm: 0.26 })).toEqual(['straining', 'loaded', 'heavy load', 'hanging', 'heavy hang']);
  expect(closes({ loadPerArm: 0.25 })).toEqual(['straining', 'loaded']);
  expect(closes({ loadPerArm: 0.26 })).toEqual(['straining', 'loaded', 'heavy load']);
  expect(closes({ externalWeight: true })).toEqual(['straining', 'loaded', 'heavy load']);
  expect(closes({ effort: 5 })).toEqual(['straining']);
  expect(closes({ effort: 6 })).toEqual(['straining', 'hard effort']);
  expect(closes({ longHold: true })).toEqual(['straining', 'long hold']);
  expect(closes({ headDown: true })).toEqual(['straining', 'head down']);
  expect(closes({ hanging: true })).toEqual(['hanging']);
  expect(closes({ mayFall: true })).toEqual(['fall']);
});
