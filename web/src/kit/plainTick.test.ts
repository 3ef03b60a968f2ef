import { expect, it } from 'vitest';
import { gridLines, roundSteps } from './plainTick.tsx';

it.each([
  [0, 25, 8, [0, 5, 10, 15, 20, 25]],
  [15, 55, 5, [20, 30, 40, 50]],
  [-3, 4, 5, [-2, 0, 2, 4]],
  [0.1, 0.52, 4, [0.2, 0.4]],
])('from %d to %d in about %d steps', (low, high, wanted, steps) => {
  const told = roundSteps(low, high, wanted);
  expect(told).toHaveLength(steps.length);
  told.forEach((v, i) => expect(v).toBeCloseTo(steps[i]!, 9));
});

it('grid lines lie where the axis has its steps', () =>
  expect(gridLines(10, 30, [10, 20, 30])({ offset: { top: 16, height: 200 } })).toEqual([216, 116, 16]));
