import { expect, it } from 'vitest';
import { BUILT_IN } from '../catalogue/index.ts';
import { openLibrary } from '../library/index.ts';
import { loggedHandLoad, sessionLoad } from './index.ts';

const library = openLibrary(BUILT_IN);

it('is effort × minutes (Foster 1998, from memory)', () => expect(sessionLoad(6, 45)).toBe(270));

it('adds share of body weight × seconds under tension, by direction, worked by hand', () => {
  const plank = library.drill('plank').handLoad?.share ?? 0;
  const hang = library.drill('practice-half-hang').handLoad?.share ?? 0;
  expect([plank, hang]).toEqual([0.69, 0.5]);
  const { push, pull } = loggedHandLoad(
    [
      { drillId: 'plank', amounts: [30, 30] },
      { drillId: 'practice-half-hang', amounts: [20, 15] },
      { drillId: 'prone-letters', amounts: [10] },
    ],
    library,
  );
  expect(push).toBeCloseTo(0.69 * 60, 9);
  expect(pull).toBeCloseTo(0.5 * 35, 9);
});
