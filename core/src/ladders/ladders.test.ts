import { describe, expect, it } from 'vitest';
import { drillOf } from '../drills/index.ts';
import { measureOf } from '../measuring/index.ts';
import { POSES } from '../statics/index.ts';
import { demandInWords, demandsOn, LADDERS, ladderOf, measuresDemanded, rungOf } from './index.ts';

it('ships two whole ladders, the rungs of practice in order', () => {
  expect(ladderOf('hang-and-swing').rungs.map((r) => r.id)).toEqual([
    'quarter-hang',
    'half-hang',
    'packs-and-rocks',
    'taps-with-feet',
    'free-hang',
    'free-taps',
    'turns-and-crunches',
    'straight-swings',
    'hand-to-hand',
  ]);
  expect(ladderOf('push-up').rungs.map((r) => r.id)).toEqual([
    'wall',
    'far-wall',
    'surface-60',
    'surface-45',
    'surface-30',
    'surface-15',
    'floor',
    'tempo',
    'loaded',
  ]);
});

describe.each(LADDERS.map((l) => [l.name, l] as const))('%s', (_, ladder) => {
  it('asks something of every rung, with a check, an origin, a drawing and a practice', () => {
    for (const rung of ladder.rungs) {
      expect(rung.demands.length).toBeGreaterThanOrEqual(5);
      expect(POSES[rung.pose]).toBeDefined();
      expect(drillOf(rung.practice).rung).toEqual({ ladderId: ladder.id, rungId: rung.id });
      for (const { measureId, direction, origin } of rung.demands) {
        expect(direction === 'at least').toBe(measureOf(measureId).better === 'more');
        expect(['common practice', 'project default']).toContain(origin.kind);
      }
    }
  });

  it('never asks less of a check further up', () => {
    for (const measureId of measuresDemanded(ladder.rungs)) {
      const asked = ladder.rungs.flatMap((r) => r.demands.filter((d) => d.measureId === measureId).map((d) => d.value));
      const sorted = [...asked].sort((a, b) => (measureOf(measureId).better === 'more' ? a - b : b - a));
      expect(asked).toEqual(sorted);
    }
  });

  it('asks for nothing a trial could not read', () => {
    for (const d of ladder.rungs.flatMap((rung) => demandsOn(rung, { mass: 120 }))) {
      const { min, max } = measureOf(d.measureId).limits;
      expect(d.value).toBeGreaterThanOrEqual(min);
      expect(d.value).toBeLessThanOrEqual(max);
    }
  });
});

describe('demands on a trainee', () => {
  it('turn shares of body mass into kilograms, one for each hand, and say how', () => {
    const grip = demandsOn(rungOf('hang-and-swing', 'free-hang'), { mass: 75 }).filter((d) => d.measureId === 'grip');
    expect(grip).toMatchObject([
      { side: 'left', value: 30, unit: 'kg', basis: '40% of 75 kg' },
      { side: 'right', value: 30, unit: 'kg', basis: '40% of 75 kg' },
    ]);
  });

  it('are said with their direction', () => {
    const demands = demandsOn(rungOf('hang-and-swing', 'free-hang'), { mass: 75 });
    expect(demands.map(demandInWords)).toEqual(expect.arrayContaining(['at least 165°', 'at most 20°', 'at least 40 s', 'at least 80%']));
  });

  it('are refused for a rung nobody knows', () => {
    expect(() => rungOf('push-up', 'moon')).toThrow('has no rung called "moon"');
    expect(() => ladderOf('moon')).toThrow('no ladder called "moon"');
  });
});
