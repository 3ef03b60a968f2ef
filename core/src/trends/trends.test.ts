import { expect, it } from 'vitest';
import { addDays, type Instant } from '../quantities/index.ts';
import { heldRungs, spreadOf, stallsOf, type StandingNow, symptomsByDrill } from './index.ts';

const NOW = new Date('2026-06-01T12:00:00Z');
const weeksAgo = (weeks: number): Instant => addDays(NOW, -7 * weeks);
const standing = (traineeId: string, more: Partial<StandingNow> = {}): StandingNow => ({
  ...{ traineeId, name: traineeId.toUpperCase(), ladderId: 'push-up', rungId: 'wall', since: weeksAgo(10), gateOpen: false },
  ...{ sessionsPerWeek: 2, loud: 0 },
  demands: [
    { measureId: 'grip', state: 'short', bands: -1 },
    { measureId: 'plank-hold', state: 'short', bands: -3 },
    { measureId: 'wrist-extension', state: 'spare', bands: 3 },
  ],
  ...more,
});

it('a stall begins after eight weeks, and says why it probably is one', () => {
  const told = stallsOf(
    [
      standing('a'),
      standing('b', { since: weeksAgo(7.9) }),
      standing('c', { gateOpen: true }),
      standing('d', { rungId: undefined }),
      standing('e', { since: weeksAgo(20), sessionsPerWeek: 0.5, loud: 2, demands: [{ measureId: 'grip', state: 'unknown' }] }),
      standing('f', { since: weeksAgo(9), demands: [{ measureId: 'grip', state: 'on the mark', bands: 0.2 }] }),
    ],
    NOW,
  );
  expect(told.map((s) => [s.traineeId, s.weeks, s.reasons, s.measureId])).toEqual([
    ['e', 20, ['not-trained', 'not-recovered', 'not-measured'], undefined],
    ['a', 10, ['short'], 'plank-hold'],
    ['f', 9, ['hardly-measured', 'close'], 'grip'],
  ]);
});

it('the rung that holds most comes first, with the people before it', () => {
  const [most, next] = heldRungs([standing('a', { since: weeksAgo(4) }), standing('b'), standing('c', { rungId: 'plank' })], NOW);
  expect(most).toMatchObject({ rungId: 'wall', weeks: 4, people: [{ name: 'A' }, { name: 'B' }] });
  expect(next).toMatchObject({ rungId: 'plank', weeks: 10 });
});

it('of each check it counts who is short, close, unknown and to spare', () => {
  const [first] = spreadOf([standing('a'), standing('b', { demands: [{ measureId: 'grip', state: 'spare' }] })]);
  expect(first).toMatchObject({ measureId: 'grip', count: { short: 1, spare: 1, unknown: 0 }, short: [{ traineeId: 'a' }] });
});

it('a drill is named by its share with the interval, and not for one bad day', () => {
  const day = (drillId: string, loud: boolean, traineeId = 'a') => ({ drillId, loud, traineeId, name: traineeId.toUpperCase() });
  const told = symptomsByDrill([
    ...Array.from({ length: 8 }, () => day('plank', false)),
    ...['a', 'b'].map((who) => day('plank', true, who)),
    ...[true, true].map((loud) => day('dip', loud)),
    day('hang', true),
  ]);
  expect(told.map((d) => [d.drillId, d.loud, d.sessions])).toEqual([
    ['dip', 2, 2],
    ['plank', 2, 10],
  ]);
  expect(told[1]).toMatchObject({ share: 0.2, people: [{ traineeId: 'a' }, { traineeId: 'b' }] });
  expect(told[1]?.to).toBeCloseTo(0.5561, 3);
});
