import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  addDays,
  amount,
  calendarDay,
  dayInWords,
  daysBetween,
  formatAmount,
  formatBand,
  formatError,
  instant,
  shortDay,
  UNITS,
  type Unit,
} from './index.ts';

const UNIT_NAMES = Object.keys(UNITS) as Unit[];

describe('amount', () => {
  it('takes every finite figure inside the limits of its unit, and no other', () => {
    fc.assert(
      fc.property(fc.constantFrom(...UNIT_NAMES), fc.double(), (unit, value) => {
        if (Number.isFinite(value) && Math.abs(value) <= UNITS[unit].max) expect(amount(value, unit)).toBe(value);
        else expect(() => amount(value, unit)).toThrow(/finite|limit/);
      }),
    );
  });

  it('names the limit it refuses by', () => {
    expect(() => amount(400, 'deg')).toThrow('400 degrees is beyond the limit of 360.');
    expect(() => amount(Number.NaN, 's')).toThrow('NaN seconds is not a finite number.');
  });
});

describe('in words', () => {
  it.each<[number, Unit, string]>([
    [164.6, 'deg', '165°'],
    [12.2, 's', '12 s'],
    [1, 'reps', '1 rep'],
    [2, 'reps', '2 reps'],
    [2.204, 'ratio', '2.20×'],
    [-3, 'deg', '−3°'],
    [-0.2, 'deg', '0°'],
    [64.5, 'percentBodyWeight', '65%'],
  ])('%d %s is %s', (value, unit, words) => expect(formatAmount(value, unit)).toBe(words));

  it('never rounds an error band down to nothing', () => {
    expect(formatBand(2.4, 'deg')).toBe('2°');
    expect(formatBand(0.4, 's')).toBe('0.4 s');
    expect(formatBand(1, 'reps')).toBe('1 rep');
    expect(formatBand(1, 'breaths')).toBe('1 breath');
    expect(formatBand(0.004, 'ratio')).toBe('0.004×');
  });
});

it('gives a measuring error one decimal more than its unit has', () => {
  expect(formatError(2.8, 'deg')).toBe('2.8°');
  expect(formatError(0.06, 'ratio')).toBe('0.060×');
  expect(formatError(1.25, 'kg')).toBe('1.3 kg');
});

describe('moments', () => {
  const now = new Date('2026-11-24T12:00:00');

  it('counts days with their fraction, backwards too', () => {
    expect(daysBetween(instant('2026-01-01T00:00:00Z'), new Date('2026-01-02T12:00:00Z'))).toBe(1.5);
    expect(daysBetween(instant('2026-01-02T12:00:00Z'), new Date('2026-01-01T00:00:00Z'))).toBe(-1.5);
    expect(addDays(instant('2026-01-01T00:00:00Z'), 1.5)).toBe('2026-01-02T12:00:00.000Z');
  });

  it('speaks of dates as people do', () => {
    expect(dayInWords(new Date('2026-11-20T08:00:00'), now)).toBe('Fri 20 Nov, 4 days ago');
    expect(dayInWords(new Date('2026-11-24T23:00:00'), now)).toBe('Tue 24 Nov, today');
    expect(dayInWords(new Date('2026-11-25T00:30:00'), now)).toBe('Wed 25 Nov, tomorrow');
    expect(dayInWords(new Date('2026-11-23T23:59:00'), now)).toBe('Mon 23 Nov, yesterday');
    expect(dayInWords(new Date('2026-12-03T08:00:00'), now)).toBe('Thu 3 Dec, in 9 days');
    expect(shortDay(new Date('2025-12-03T08:00:00'), now)).toBe('Wed 3 Dec 2025');
  });

  it('takes the local day of a moment near midnight', () => {
    expect(calendarDay(new Date('2026-11-24T00:10:00'))).toBe('2026-11-24');
    expect(calendarDay(new Date('2026-11-24T23:50:00'))).toBe('2026-11-24');
  });

  it('refuses what is no date', () => {
    expect(() => instant('yesterday-ish')).toThrow('"yesterday-ish" is not a date.');
  });
});
