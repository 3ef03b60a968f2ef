import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import { describe, expect, it } from 'vitest';
import type { Measure } from '../measuring/index.ts';
import { addDays, calendarDay, instant } from '../quantities/index.ts';
import { rechecksOf } from './index.ts';

/** A figure of a plank is good for 14 days here, whatever the catalogue says. */
const measureOf = (id: string): Measure => ({ ...BUILT_IN_LIBRARY.measure(id), ...(id === 'plank-hold' ? { freshDays: 14 } : {}) });

const now = new Date('2026-11-24T12:00:00Z');
const ago = (days: number) => addDays(now, -days);
const fresh = (id: string) => measureOf(id).freshDays;

describe('the re-check calendar', () => {
  it('has each check on the day its freshness ends, earliest first', () => {
    const days = rechecksOf(
      [
        { measureId: 'grip', takenAt: ago(0) },
        { measureId: 'shoulder-flexion', takenAt: ago(fresh('shoulder-flexion') - 3) },
      ],
      measureOf,
      now,
    );
    expect(days).toEqual([
      { dueOn: calendarDay(addDays(now, 3)), measureIds: ['shoulder-flexion'], overdue: false },
      { dueOn: calendarDay(addDays(now, fresh('grip'))), measureIds: ['grip'], overdue: false },
    ]);
  });

  it('goes by the side that was checked longer ago, and says what has run out', () => {
    const taken = [
      { measureId: 'grip', takenAt: ago(2) },
      { measureId: 'grip', takenAt: ago(fresh('grip') + 1) },
    ];
    expect(rechecksOf(taken, measureOf, now)).toEqual([{ dueOn: calendarDay(ago(1)), measureIds: ['grip'], overdue: true }]);
  });

  it('is empty where nothing was checked', () => expect(rechecksOf([], measureOf, new Date(instant(now)))).toEqual([]));
});

it('is due, not overdue, on its own day', () => {
  const taken = [{ measureId: 'plank-hold', takenAt: instant('2026-11-10T10:00:00Z') }];
  const on = (day: string) => rechecksOf(taken, measureOf, new Date(`2026-11-${day}T10:00:00Z`)).map((r) => r.overdue);
  expect([on('24'), on('25')]).toEqual([[false], [true]]);
});

it('goes by the older of two sides', () => {
  const taken = ['2026-11-10', '2026-11-02', '2026-11-12'].map((day) => ({
    measureId: 'plank-hold',
    takenAt: instant(`${day}T10:00:00Z`),
  }));
  expect(rechecksOf(taken, measureOf, new Date('2026-11-13T10:00:00Z'))).toMatchObject([{ dueOn: '2026-11-16' }]);
});
