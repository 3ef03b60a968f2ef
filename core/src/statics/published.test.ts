import { describe, expect, it } from 'vitest';
import { bodyModel, handLoad, PUBLISHED_HAND_LOADS, publishedFor } from './index.ts';

/** Sample means of both studies, roughly: mixed groups of young adults (project assumption). */
const sample = bodyModel({ sex: 'unstated', statureM: 1.73, massKg: 72 });

describe('hand loads against the literature (from memory), nothing fitted', () => {
  const errors = PUBLISHED_HAND_LOADS.map(({ setUp, percent }) => handLoad(sample, setUp).verticalShare * 100 - percent);

  it('differ by at most 3.5 points of body weight on average', () => {
    expect(errors.reduce((sum, e) => sum + Math.abs(e), 0) / errors.length).toBeLessThan(3.5);
  });

  it.each(PUBLISHED_HAND_LOADS.map((row, i) => [row.name, row.percent, errors[i] ?? Number.NaN] as const))(
    '%s, %d%%: within 6 points',
    (_name, _percent, error) => {
      expect(Math.abs(error)).toBeLessThan(6);
    },
  );

  it('cover the published figure with their band, or lie as near as two laboratories to each other', () => {
    for (const { setUp, percent } of PUBLISHED_HAND_LOADS) {
      const { band } = handLoad(sample, setUp);
      const outside = Math.max(0, band.low * 100 - percent, percent - band.high * 100);
      expect(outside).toBeLessThan(5.2);
    }
  });
});

it('are found for a set-up that was measured, and only for it', () => {
  expect(publishedFor({ position: 'push-up' }).map((p) => p.percent)).toEqual([64, 69.16]);
  expect(publishedFor({ position: 'push-up', handHeightM: 0.3 }).map((p) => p.percent)).toEqual([55]);
  expect(publishedFor({ position: 'push-up', hands: 'fingertips' })).toEqual([]);
  expect(publishedFor({ position: 'plank' })).toEqual([]);
});
