import { expect, it } from 'vitest';
import { addDays, type Instant } from '../quantities/index.ts';
import { type Cleared, outcomesDue, type Since, suggestOutcome } from './outcome.ts';
import { type Judgeable, reliabilityOf } from './reliability.ts';

const NOW = new Date('2026-06-01T12:00:00Z');
const ago = (days: number): Instant => addDays(NOW, -days);
const cleared = (days: number, more: Partial<Cleared> = {}): Cleared => ({
  clearanceId: `c${days}`,
  rungName: 'Free hang',
  signedAt: ago(days),
  ...more,
});
const NOTHING: Since = { sessions: [], loud: [] };
const weeksDue = (days: number, answered: number[] = []) =>
  outcomesDue(
    [cleared(days)],
    answered.map((weeks) => ({ clearanceId: `c${days}`, weeks })),
    () => NOTHING,
    NOW,
  ).map((d) => d.weeks);

it('is asked at two, six and twelve weeks, each once, and not for ever', () => {
  expect(weeksDue(13)).toEqual([]);
  expect(weeksDue(14)).toEqual([2]);
  expect(weeksDue(20, [2])).toEqual([]);
  expect(weeksDue(42, [2])).toEqual([6]);
  expect(weeksDue(42)).toEqual([6]);
  expect(weeksDue(84, [6])).toEqual([12]);
  expect(weeksDue(112)).toEqual([]);
  expect(outcomesDue([cleared(14, { withdrawn: { at: ago(3), by: 'correction' } })], [], () => NOTHING, NOW)).toEqual([]);
});

it('the record suggests: taken back, felt, went on, or nobody knows', () => {
  const one = cleared(20);
  const sessions = [ago(18), ago(15), ago(12)];
  expect(suggestOutcome(one, 2, { sessions, loud: [] })).toEqual({ outcome: 'well', because: 'sessions', count: 3 });
  expect(suggestOutcome(one, 2, { sessions, loud: [ago(10)] })).toEqual({ outcome: 'flared', because: 'symptoms', count: 1 });
  // What was felt before the signature, or after the weeks that are asked about, is not of them.
  expect(suggestOutcome(one, 2, { sessions, loud: [ago(21), ago(2)] }).outcome).toBe('well');
  expect(suggestOutcome(one, 2, { sessions: [ago(18)], loud: [] })).toEqual({ outcome: 'unknown', because: 'hardly trained', count: 1 });
  const back = (by: 'coach' | 'stop sign') => suggestOutcome({ ...one, withdrawn: { at: ago(9), by } }, 2, { sessions, loud: [] });
  expect(back('coach').outcome).toBe('stepped-back');
  expect(back('stop sign').outcome).toBe('flared');
});

const judged = (outcome: Judgeable['outcomes'][number], margin: number, more: Partial<Judgeable> = {}): Judgeable => ({
  ladderId: 'hang',
  outcomes: [outcome],
  margins: { grip: margin },
  oldestDays: 5,
  ...more,
});

it('intervals are the exact binomial ones, wide while numbers are small', () => {
  // Clopper and Pearson 1934: 0 of 1 is 0 to 97.5%, 2 of 10 is 2.5 to 55.6% (published tables, from memory).
  expect(reliabilityOf([judged('well', 2)]).all).toMatchObject({ cleared: 1, flared: 0, from: 0, to: expect.closeTo(0.975, 3) as number });
  const ten = [...Array.from({ length: 8 }, () => judged('well', 2)), judged('flared', 2), judged('stepped-back', 2)];
  expect(reliabilityOf(ten).all).toMatchObject({
    flared: 2,
    share: 0.2,
    from: expect.closeTo(0.0252, 3) as number,
    to: expect.closeTo(0.5561, 3) as number,
  });
  expect(reliabilityOf([]).all).toBeUndefined();
  expect(reliabilityOf([judged('unknown', 2)])).toMatchObject({ unknown: 1, byLadder: [] });
});

it('groups by ladder, margin and age, and the worst of several answers counts', () => {
  const { byLadder, byMargin, byAge } = reliabilityOf([
    judged('well', 1.2),
    judged('well', 3, { ladderId: 'push', oldestDays: 20, outcomes: ['well', 'flared'] }),
    judged('well', 9, { oldestDays: 40 }),
  ]);
  expect(byLadder.map((g) => [g.key, g.cleared, g.flared])).toEqual([
    ['hang', 2, 0],
    ['push', 1, 1],
  ]);
  expect(byMargin.map((g) => g.key)).toEqual(['0–1.5', '2.5–4', '4+']);
  expect(byAge.map((g) => g.key)).toEqual(['0–7', '14–28', '28+']);
});

it('a demand is suggested only where margins tell beyond chance, and enough is known', () => {
  const many = (count: number, outcome: 'well' | 'flared', margin: (i: number) => number) =>
    Array.from({ length: count }, (_, i) => judged(outcome, margin(i)));
  const told = reliabilityOf([...many(12, 'well', (i) => 3 + i), ...many(6, 'flared', (i) => 1 + i / 10)]).telling;
  expect(told).toEqual([{ measureId: 'grip', flared: 6, well: 12, chance: 1, lookAt: true }]);
  expect(reliabilityOf([...many(12, 'well', (i) => 3 + i), ...many(3, 'flared', () => 1)]).telling[0]?.lookAt).toBe(false);
  expect(reliabilityOf([...many(12, 'well', (i) => i), ...many(12, 'flared', (i) => i)]).telling[0]).toMatchObject({
    chance: 0.5,
    lookAt: false,
  });
});
