import { expect, it } from 'vitest';
import { bestOf, goodness } from './goodness.ts';
import { measureSides, strainOfCheck, unreadableMeasure } from './index.ts';

const AT_REST = { overhead: false, hanging: false, headDown: false, oneArmed: false, externalWeight: false, mayFall: false, kickUp: false };

it.each([
  [
    { id: 'a-check', position: 'standing', unit: 'deg' },
    { ...AT_REST, effort: 3, loadPerArm: 0, loadInAll: 0, longHold: false },
  ],
  [
    { id: 'a-check', position: 'standing', unit: 'kg' },
    { ...AT_REST, effort: 9, loadPerArm: 0, loadInAll: 0, longHold: false },
  ],
  [
    { id: 'a-check', position: 'standing', unit: 'reps' },
    { ...AT_REST, effort: 3, loadPerArm: 0, loadInAll: 0, longHold: false },
  ],
  [
    { id: 'a-check', position: 'seated', unit: 'breaths' },
    { ...AT_REST, effort: 7, loadPerArm: 0, loadInAll: 0, longHold: false },
  ],
  [
    { id: 'a-check', position: 'hands and knees', unit: 'deg' },
    { ...AT_REST, effort: 3, loadPerArm: 0.2, loadInAll: 0.4, longHold: false },
  ],
  [
    { id: 'a-check', position: 'plank', unit: 's' },
    { ...AT_REST, effort: 7, loadPerArm: 0.35, loadInAll: 0.7, longHold: true },
  ],
  [
    { id: 'a-check', position: 'hanging', unit: 's' },
    { ...AT_REST, overhead: true, hanging: true, effort: 7, loadPerArm: 0.5, loadInAll: 1, longHold: true },
  ],
  [
    { id: 'one-hand-hold', position: 'hanging', unit: 's' },
    { ...AT_REST, overhead: true, hanging: true, oneArmed: true, effort: 7, loadPerArm: 1, loadInAll: 1, longHold: true },
  ],
] as const)('a check %j strains so', (measure, strain) => expect(strainOfCheck(measure)).toEqual(strain));

it('good is more, less, or deep inside the range', () => {
  const inside = { better: 'inside', inside: { from: 30, to: 60 } } as const;
  expect([20, 30, 40, 55, 70].map((v) => goodness(inside, v))).toEqual([-10, 0, 10, 5, -10]);
  expect([goodness({ better: 'more' }, 5), goodness({ better: 'less' }, 5)]).toEqual([5, -5]);
  expect([bestOf(inside, [31, 47, 43]), bestOf({ better: 'less' }, [3, 2, 4]), bestOf({ better: 'more' }, [])]).toEqual([
    47,
    2,
    Number.NaN,
  ]);
});

it('a check of which only the id is left opens nothing: stale at once, whole, without error or choices', () => {
  const measure = unreadableMeasure('gone');
  expect(measure).toMatchObject({
    id: 'gone',
    freshDays: 0,
    sided: false,
    error: { kind: 'none' },
    limits: { min: -10_000, max: 10_000, step: 1 },
    protocol: [],
    origin: { kind: 'studio' },
  });
  expect([measureSides(measure), measureSides({ ...measure, sided: true })]).toEqual([['whole'], ['left', 'right']]);
});
