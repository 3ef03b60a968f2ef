import { expect, it } from 'vitest';
import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import { batteryMinutes, inBatteryOrder, restAfterTrial, toolsOf, widthsFrom } from './index.ts';

const { measure, measures } = BUILT_IN_LIBRARY;

it('a battery’s minutes are worked by hand: set-up, trials, what of a rest the other side does not fill, changes of position', () => {
  // 40 + 6·10 + 2·(60 − 10) = 200 s
  expect(batteryMinutes([measure('grip')])).toBe(4);
  // 40 + 45, one attempt: no rest
  expect(batteryMinutes([measure('plank-hold')])).toBe(2);
  // 40 + 6·20 = 160; then 30 for lying down, 160 again: 350 s
  expect(batteryMinutes([measure('shoulder-flexion'), measure('shoulder-external-rotation')])).toBe(6);
  expect(batteryMinutes([])).toBe(0);
  // Every check there is takes a long morning, not a day.
  expect(batteryMinutes(measures)).toBeGreaterThan(60);
  expect(batteryMinutes(measures)).toBeLessThan(300);
});

it('is taken position by position, what tires last and never the same joint twice running where another waits', () => {
  const order = inBatteryOrder(measures);
  expect(order.toSorted((a, b) => (a.id < b.id ? -1 : 1))).toEqual(measures.toSorted((a, b) => (a.id < b.id ? -1 : 1)));
  expect(order.map((m) => m.position)).toEqual(measures.map((m) => m.position));
  order.forEach((m, i) => {
    const after = order.slice(i + 1).filter((o) => o.position === m.position);
    if (restAfterTrial(m) > 0) expect(after.every((o) => restAfterTrial(o) > 0)).toBe(true);
    if (restAfterTrial(m) > 0 && after[0]?.joint === m.joint) expect(after.every((o) => o.joint === m.joint)).toBe(true);
  });
});

it('says what has to be at hand, and nothing for what is looked at, counted or timed by the page', () => {
  expect(
    toolsOf(
      ['grip', 'shoulder-flexion', 'wrist-extension', 'hand-load-push', 'plank-hold', 'blade-winging', 'push-ups-clean'].map(measure),
    ),
  ).toEqual([...['goniometer', 'dynamometer', 'scale']]);
  expect(toolsOf([measure('strap-pass-through')])).toEqual(['tape']);
});

it('a strap is measured in centimetres and read in shoulder widths', () => expect(widthsFrom(78, 39)).toBe(2));
