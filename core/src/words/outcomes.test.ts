import { expect, it } from 'vitest';
import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import type { GateForecast } from '../forecast/index.ts';
import {
  decidingInWords,
  dueInWords,
  forecastBriefly,
  forecastInWords,
  goalInWords,
  joined,
  reliabilityInWords,
  shiftInWords,
} from './index.ts';

const measureOf = BUILT_IN_LIBRARY.measure;
const now = new Date('2026-03-01T12:00:00Z');
const range = (early: number, median: number, late?: number): GateForecast => ({
  ...{ kind: 'range', early, median, openShare: 1, deciding: [], horizonDays: 182 },
  ...(late === undefined ? {} : { late }),
});
const never = (openShare: number): GateForecast => ({ kind: 'not at this rate', openShare, deciding: [], horizonDays: 182 });

it('a forecast is a range with its reason, or says what is missing', () => {
  const say = (forecast: GateForecast) => forecastInWords(forecast, { measureOf, now });
  expect(say(range(11, 34, 69))).toBe('Likely between Thu 12 Mar and Sat 9 May, as often before Sat 4 Apr as after.');
  expect(say(range(11, 34))).toBe('Likely after Thu 12 Mar, as often before Sat 4 Apr as after.');
  expect(say(never(0.31))).toBe('Not at this rate: it opens within 26 weeks in about 3 of 10 futures.');
  expect(say({ kind: 'blocked', blocked: ['screening', 'stop-signs'] })).toBe(
    'Nothing can be foreseen while the screening waits and a stop sign is open.',
  );
  expect(say({ kind: 'too little', missing: [{ measureId: 'grip', side: 'left', checks: 1, needed: 3 }] })).toContain(
    'Grip needs 2 more checks',
  );
});

it('a list says it briefly', () => {
  expect(forecastBriefly(range(11, 34, 69), now)).toBe('12 Mar to 9 May');
  expect(forecastBriefly(range(0.1, 0.2, 0.3), now)).toBe('1 Mar');
  expect(forecastBriefly(range(11, 34), now)).toBe('after 12 Mar');
  expect(forecastBriefly(never(0.3), now)).toBe('not at this rate');
});

it('other weeks are told by what they change', () => {
  expect(shiftInWords(range(5, 30), range(5, 18))).toBe('about 12 days sooner');
  expect(shiftInWords(range(5, 30), range(5, 31))).toBe('no difference to speak of');
  expect(shiftInWords(never(0.2), never(0.5))).toBe('it opens in more of the futures');
  expect(shiftInWords(never(0.2), range(5, 30))).toBeUndefined();
  expect(decidingInWords({ what: 'waiting', daysSooner: 3.2, metShare: 1 }, { measureOf })).toBe(
    'The waiting decides: without it, it would be about 3 days sooner.',
  );
});

it('a goal is told by its day and its rung', () => {
  const goal = { name: 'Crossing', day: '2026-04-03', rungName: 'Free hang' } as never;
  expect(goalInWords({ kind: 'behind', weeks: 3 }, goal, now)).toMatch(/^Crossing on Fri 3 Apr.*, “Free hang”: behind by about 3 weeks\.$/);
  expect(goalInWords({ kind: 'out of reach', beyondDays: 70 }, goal, now)).toContain('need 10 weeks at least');
});

it('a share is told with how well it is known', () => {
  expect(reliabilityInWords({ cleared: 10, flared: 2, share: 0.2, from: 0.0252, to: 0.5561 })).toBe(
    '2 of 10 flared up or stepped back: 20%, and truly anything from 3% to 56%.',
  );
});

it('names with commas of their own stay apart', () => {
  expect(joined(['grip', 'plank', 'hang'])).toBe('grip, plank and hang');
  expect(joined(['grip'])).toBe('grip');
  expect(joined(['hand load, pushing', 'grip'])).toBe('hand load, pushing; grip');
  const due = { kind: 're-check', measureIds: ['grip', 'plank-hold'], lapsed: false } as const;
  expect(dueInWords(due, { measureOf, now })).toBe(`2 checks due: Grip and ${measureOf('plank-hold').name}.`);
});
