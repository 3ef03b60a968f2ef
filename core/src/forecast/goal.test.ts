import { expect, it } from 'vitest';
import type { GateForecast } from './gate.ts';
import { type GoalFacts, goalOutlook } from './goal.ts';

const range = (early: number, median: number, late?: number): GateForecast => ({
  ...{ kind: 'range', early, median, openShare: 1, deciding: [], horizonDays: 182 },
  ...(late === undefined ? {} : { late }),
});
const told = (more: Partial<GoalFacts>) =>
  goalOutlook({ daysLeft: 60, rungsToGo: 1, beyondDays: 0, gateOpen: false, forecast: range(10, 30, 50), ...more });

it('is on course, surely or likely, behind by weeks, or not with these weeks', () => {
  expect(told({})).toEqual({ kind: 'on course', sure: true });
  expect(told({ daysLeft: 40 })).toEqual({ kind: 'on course', sure: false });
  expect(told({ daysLeft: 15 })).toEqual({ kind: 'behind', weeks: 3 });
  expect(told({ daysLeft: 9 })).toEqual({ kind: 'out of reach', beyondDays: 0 });
  expect(told({ forecast: { kind: 'not at this rate', openShare: 0.2, deciding: [], horizonDays: 182 } })).toMatchObject({
    kind: 'out of reach',
  });
});

it('the rungs between cost at least the time their tissue needs, and are never sure', () => {
  expect(told({ rungsToGo: 3, beyondDays: 28 })).toEqual({ kind: 'on course', sure: false });
  expect(told({ rungsToGo: 3, beyondDays: 42 })).toEqual({ kind: 'behind', weeks: 2 });
  expect(told({ rungsToGo: 6, beyondDays: 70 })).toEqual({ kind: 'out of reach', beyondDays: 70 });
});

it('what is in hand is reached, a day that is gone is over, and what nobody can foresee stays unknown', () => {
  expect(told({ rungsToGo: 0, daysLeft: -5 })).toEqual({ kind: 'reached' });
  expect(told({ rungsToGo: undefined })).toEqual({ kind: 'elsewhere' });
  expect(told({ daysLeft: -1 })).toEqual({ kind: 'over' });
  expect(told({ forecast: { kind: 'blocked', blocked: ['screening'] } })).toEqual({ kind: 'unknown' });
  expect(told({ gateOpen: true, forecast: undefined })).toEqual({ kind: 'on course', sure: true });
});
