import { expect, it } from 'vitest';
import { BUILT_IN } from '../catalogue/index.ts';
import { openLibrary } from '../library/index.ts';
import { loggedHandLoad, sessionLoad } from './index.ts';

const library = openLibrary(BUILT_IN);
const both = (...amounts: number[]) => amounts.map((amount) => ({ side: 'whole' as const, amount }));

it('is effort × minutes (Foster 1998, from memory)', () => expect(sessionLoad(6, 45)).toBe(270));

it('adds share of body weight × seconds under tension, by direction, worked by hand', () => {
  const plank = library.drill('plank').handLoad?.share ?? 0;
  const hang = library.drill('practice-half-hang').handLoad?.share ?? 0;
  expect([plank, hang]).toEqual([0.69, 0.5]);
  const { push, pull } = loggedHandLoad(
    [
      { drillId: 'plank', sets: both(30, 30) },
      { drillId: 'practice-half-hang', sets: both(20, 15) },
      { drillId: 'prone-letters', sets: both(10) },
    ],
    library,
  );
  expect(push).toBeCloseTo(0.69 * 60, 9);
  expect(pull).toBeCloseTo(0.5 * 35, 9);
});

it('tells the arms apart: both share evenly, of one arm that one carries all, worked by hand', () => {
  const hold = library.drill('raised-arm-plank');
  const share = hold.handLoad?.share ?? 0;
  const { bySide, push } = loggedHandLoad(
    [
      { drillId: 'plank', sets: both(30) },
      {
        drillId: hold.id,
        sets: [
          { side: 'left', amount: 10 },
          { side: 'right', amount: 4 },
        ],
      },
    ],
    library,
  );
  expect(share).toBeGreaterThan(0.3);
  expect(bySide.left - bySide.right).toBeCloseTo(share * 6, 9);
  expect(bySide.left + bySide.right).toBeCloseTo(push, 9);
});
