import { jStat } from 'jstat';
import { EMA } from 'trading-signals';
import { describe, expect, it } from 'vitest';
import { addDays, instant } from '../quantities/index.ts';
import { jointRamps, loadDays, weekLoad } from './index.ts';

const now = new Date('2026-11-26T20:00:00');
const ago = (days: number, effort: number, minutes: number) => ({ performedAt: addDays(now, -days), effort, minutes });

describe('a week by hand (loads 360, 0, 200, 0, 450, 0, 150)', () => {
  const week = weekLoad([ago(6, 6, 60), ago(4, 5, 40), ago(2, 9, 50), ago(0, 5, 30)], now);

  it('lines the days up, today last, and adds them', () => {
    expect(week.days[6]).toBe('2026-11-26');
    expect(week.dailyLoads).toEqual([360, 0, 200, 0, 450, 0, 150]);
    expect(week.weekLoad).toBe(1160);
  });

  it('monotony is mean ÷ deviation, strain is week × monotony: worked by hand', () => {
    // mean 165.714; squares of the deviations add up to 202 371.4; ÷ 6 → 33 728.6, root 183.653; 165.714 ÷ 183.653 = 0.902
    expect(week.monotony).toBeCloseTo(0.9023, 4);
    expect(week.strain).toBeCloseTo(1046.7, 1);
  });

  it('agrees with a library of statistics', () => {
    expect(week.monotony).toBeCloseTo(jStat.mean([...week.dailyLoads]) / jStat.stdev([...week.dailyLoads], true), 10);
  });
});

it('two sessions on one day are one day’s load', () => {
  expect(weekLoad([ago(0, 5, 20), { performedAt: addDays(now, -0.3), effort: 4, minutes: 10 }], now).dailyLoads.at(-1)).toBe(140);
});

it('days that are all alike have no monotony: nothing varies, and nothing is divided by zero', () => {
  const same = weekLoad(
    Array.from({ length: 7 }, (_, i) => ago(i, 5, 20)),
    now,
  );
  expect(same.weekLoad).toBe(700);
  expect('monotony' in same || 'strain' in same).toBe(false);
  expect(weekLoad([], now)).toMatchObject({ weekLoad: 0, acute: 0, chronic: 0, daysKnown: 0 });
});

it('what is dated after today counts nowhere', () => {
  expect(weekLoad([ago(-1, 9, 90)], now)).toMatchObject({ weekLoad: 0, daysKnown: 0 });
});

describe('moving averages', () => {
  it('start with the first day and take 2 ÷ (N + 1) of each new one: worked by hand', () => {
    const days = loadDays([ago(2, 4, 25), ago(0, 8, 25)], now);
    expect(days.map((d) => d.load)).toEqual([100, 0, 200]);
    // acute, λ = 1/4: 100 → 75 → 200/4 + 75·3/4 = 106.25; chronic, λ = 2/29: 100 → 93.1034 → 100.4756
    expect(days.map((d) => d.acute)).toEqual([100, 75, 106.25]);
    expect(days[2]?.chronic).toBeCloseTo(100.4756, 4);
    expect(weekLoad([ago(2, 4, 25), ago(0, 8, 25)], now)).toMatchObject({ acute: 106.25, daysKnown: 3 });
  });

  it('agree with a library of moving averages over ten weeks', () => {
    const sessions = Array.from({ length: 30 }, (_, i) => ago(70 - Math.round(i * 2.4), (i * 7) % 9, 20 + ((i * 13) % 50)));
    const days = loadDays(sessions, now);
    for (const [interval, key] of [
      [7, 'acute'],
      [28, 'chronic'],
    ] as const) {
      const average = new EMA(interval);
      const told = days.map(({ load }) => Number(average.update(load, false) ?? average.getResult()));
      const filled = days.flatMap((d, i) => (Number.isNaN(told[i]) || i < interval ? [] : [Math.abs(d[key] - (told[i] ?? 0))]));
      expect(filled.length).toBeGreaterThan(40);
      expect(Math.max(...filled)).toBeLessThan(1e-9);
    }
  });

  it('cross the change of the clocks without losing or doubling a day', () => {
    const days = loadDays([{ performedAt: instant(new Date('2026-10-20T09:00:00')), effort: 5, minutes: 20 }], now);
    expect(days.filter((d) => d.day === '2026-10-25')).toHaveLength(1);
    expect(days).toHaveLength(38);
  });
});

describe('growth of the hands’ load by joint', () => {
  const done = (days: number, byJoint: Parameters<typeof jointRamps>[0][number]['byJoint']) => ({
    performedAt: addDays(now, -days),
    ...(byJoint ? { byJoint } : {}),
  });

  it('compares the last seven days with the seven before', () => {
    expect(
      jointRamps([done(0, { wrist: 30 }), done(6, { wrist: 14 }), done(7, { wrist: 40, grip: 5 }), done(14, { wrist: 99 })], now, 0.1),
    ).toEqual([
      { joint: 'wrist', week: 44, before: 40, growth: expect.closeTo(0.1, 10), state: 'within' },
      { joint: 'grip', week: 0, before: 5, growth: -1, state: 'within' },
    ]);
  });

  it('says when it grew by more, and when there was nothing to compare with', () => {
    expect(jointRamps([done(1, { wrist: 45, grip: 3 }), done(9, { wrist: 40 }), done(9, undefined)], now, 0.1)).toMatchObject([
      { joint: 'wrist', state: 'above' },
      { joint: 'grip', state: 'new' },
    ]);
  });
});
