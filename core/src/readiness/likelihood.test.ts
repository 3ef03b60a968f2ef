import { describe, expect, it } from 'vitest';
import { type Headroom, likelihoodOf } from './index.ts';

const ONE_SIDED = 1.6449;
const of = (amount: number, standardError: number, state = 'spare') => {
  const band = ONE_SIDED * standardError;
  return { state, amount, bands: band > 0 ? amount / band : amount, capacity: { band } } as unknown as Headroom;
};

describe('how likely it is that every demand is truly met', () => {
  // Normal probabilities as any table prints them: Φ(0) = 0.5000, Φ(1) = 0.8413, Φ(1.645) = 0.9500, Φ(−1) = 0.1587.
  it.each([
    [0, 2, 0.5],
    [2, 2, 0.8413],
    [3.29, 2, 0.95],
    [-2, 2, 0.1587],
  ])('%d over, known to ± %d: %d', (amount, error, chance) => expect(likelihoodOf([of(amount, error)])).toBeCloseTo(chance, 4));

  it('multiplies over demands', () => expect(likelihoodOf([of(2, 2), of(0, 1)])).toBeCloseTo(0.8413 / 2, 4));

  it.each([
    [1, 1],
    [0, 1],
    [-1, 0],
  ])('takes a figure without error as it is: %d over gives %d', (amount, chance) => expect(likelihoodOf([of(amount, 0)])).toBe(chance));

  it('is not known where nothing is asked, or one demand is unknown', () => {
    expect(likelihoodOf([])).toBeUndefined();
    expect(likelihoodOf([of(5, 1), of(5, 1, 'unknown')])).toBeUndefined();
    expect(likelihoodOf([{ ...of(5, 1), capacity: undefined } as unknown as Headroom])).toBeUndefined();
  });
});
