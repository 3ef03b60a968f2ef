import { expect, it } from 'vitest';
import { ageOn } from './index.ts';

const now = new Date('2026-11-27T12:00:00');

it.each([
  ['1990-11-27', 36],
  ['1990-11-28', 35],
  ['1990-01-01', 36],
  ['1990-12-31', 35],
  ['2008-02-29', 18],
])('somebody born on %s is %d', (birthDate, years) =>
  expect(ageOn({ birthYear: Number(birthDate.slice(0, 4)), birthDate }, now)).toEqual({ years, sure: true }),
);

it('by the year alone it is the age reached this year, and not sure', () =>
  expect(ageOn({ birthYear: 1990, birthDate: null }, now)).toEqual({ years: 36, sure: false }));
