import { BUILT_IN_LIBRARY } from '@myokinet/core/catalogue';
import type { CheckReply } from '@myokinet/core/contracts';
import type { Capacity } from '@myokinet/core/measuring';
import { addDays, instant } from '@myokinet/core/quantities';
import { expect, it } from 'vitest';
import { limitsOf, restsOn } from './limitsOf.ts';

const now = new Date('2026-11-25T12:00:00Z');

function check(daysAgo: number, ...capacities: readonly Partial<Capacity>[]): CheckReply {
  const takenAt = instant(new Date(addDays(now, -daysAgo)));
  return {
    id: String(daysAgo),
    takenAt,
    note: '',
    coach: 'BC',
    trials: [],
    skips: [],
    capacities: capacities.map((c) => ({ side: 'whole', band: 2, standardError: 1, trials: 3, takenAt, errorBasis: '', ...c }) as Capacity),
  };
}

it('takes the newest check of each side and the weaker of the two, less its error band', () => {
  const limits = limitsOf(
    [
      check(3, { measureId: 'wrist-extension-loaded', side: 'left', value: 92 as never }),
      check(9, { measureId: 'wrist-extension-loaded', side: 'right', value: 96 as never }),
      check(20, { measureId: 'wrist-extension-loaded', side: 'left', value: 70 as never }),
    ],
    BUILT_IN_LIBRARY.measure,
    now,
  );
  expect(limits.wrist).toMatchObject({ value: 92, ageDays: 3, stale: false });
  expect(restsOn(limits.wrist)).toBe(90);
  expect(limits.push).toBeUndefined();
});

it('shows a stale check and does not rest on it, and leaves provisional figures out', () => {
  const limits = limitsOf(
    [
      check(200, { measureId: 'grip', side: 'left', value: 40 as never }),
      check(1, { measureId: 'hand-load-push', value: 60 as never, provisional: 'simulated' }),
    ],
    BUILT_IN_LIBRARY.measure,
    now,
  );
  expect(limits.grip?.stale).toBe(true);
  expect(restsOn(limits.grip)).toBeUndefined();
  expect(restsOn(limits.hold)).toBeUndefined();
  expect(limits.push).toBeUndefined();
});

it('turns the dynamometer into what a hand holds on a bar, with more doubt', () => {
  const { grip, hold } = limitsOf([check(5, { measureId: 'grip', side: 'right', value: 40 as never })], BUILT_IN_LIBRARY.measure, now);
  expect(hold?.value).toBeCloseTo(60, 9);
  expect(hold?.band ?? 0).toBeGreaterThan((grip?.band ?? 0) * 1.5);
});
