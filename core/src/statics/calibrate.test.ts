import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { USUAL } from './assumptions.ts';
import { evaluate } from './handLoad.ts';
import { bodyModel, calibrate, canCalibrate, handLoad, readingProblem, scalePlaces, type ScaleReading, type SetUp } from './index.ts';

const man = bodyModel({ sex: 'male', statureM: 1.75, massKg: 70 });

const SET_UPS: readonly SetUp[] = [
  { position: 'push-up' },
  { position: 'push-up', handHeightM: 0.3 },
  { position: 'tabletop' },
  { position: 'plank', leanM: 0.1 },
];

/** What a perfect scale shows under the feet of somebody who holds the arms and presses as told. */
function under(setUp: SetUp, armLeanDeg: number, pressureCentreM: number, off = 0): ScaleReading {
  const load = evaluate(man, setUp, { ...USUAL, armLeanDeg, pressureCentreM }).verticalShare;
  const place = setUp.position === 'tabletop' ? 'hands' : 'feet';
  return { setUp, under: place, kg: (place === 'hands' ? load : 1 - load) * 70 + off, massKg: 70 };
}

describe('two or three readings of a scale', () => {
  it('shrink the band of that trainee, in set-ups that were not read too', () => {
    const readings = SET_UPS.slice(0, 3).map((s) => under(s, 4, 0.045));
    const { belief } = calibrate(man, readings);
    const width = (setUp: SetUp, b = {}) => {
      const { band } = handLoad({ ...man, ...b }, setUp);
      return band.high - band.low;
    };
    for (const setUp of [...SET_UPS, { position: 'push-up', handHeightM: 0.45 } as const, { position: 'kneeling-push-up' } as const])
      expect(width(setUp, { belief })).toBeLessThan(0.75 * width(setUp));
    expect(belief.readings).toBe(3);
  });

  it('move the model toward what was read, on any trainee who holds the arms in their own way', () => {
    fc.assert(
      fc.property(fc.double({ min: -6, max: 6, noNaN: true }), fc.double({ min: 0.03, max: 0.05, noNaN: true }), (lean, pressure) => {
        const readings = SET_UPS.slice(0, 3).map((s) => under(s, lean, pressure));
        const { belief, readings: judged } = calibrate(man, readings);
        expect(judged.every((j) => j.state === 'used')).toBe(true);
        const unseen: SetUp = { position: 'push-up', handHeightM: 0.15 };
        const truth = evaluate(man, unseen, { ...USUAL, armLeanDeg: lean, pressureCentreM: pressure }).verticalShare;
        const before = Math.abs(handLoad(man, unseen).verticalShare - truth);
        const after = Math.abs(handLoad({ ...man, belief }, unseen).verticalShare - truth);
        expect(after).toBeLessThan(Math.max(0.012, before * 0.6));
      }),
      { numRuns: 40 },
    );
  });

  it('teach the same in any order', () => {
    const readings = SET_UPS.map((s) => under(s, 3, 0.042));
    const [one, other] = [calibrate(man, readings), calibrate(man, [...readings].reverse())];
    expect(one.belief.assumed.armLeanDeg).toBeCloseTo(other.belief.assumed.armLeanDeg, 4);
    expect(one.belief.covariance[0]?.[0]).toBeCloseTo(other.belief.covariance[0]?.[0] ?? 0, 4);
  });

  // One reading, one direction of change, by hand: the Gaussian update shrinks the variance along the slope h by
  // (hᵀPh)² ÷ (hᵀPh + R).
  it('shrink the variance of a reading itself as the formula says', () => {
    const reading = under({ position: 'push-up' }, 0, 0.04);
    const before = calibrate(man, []).belief;
    const { belief, readings } = calibrate(man, [reading]);
    const half = ((readings[0]?.band.high ?? 0) - (readings[0]?.band.low ?? 0)) / 2 / 1.959964;
    const noise = (0.5 / 70) ** 2 + 0.015 ** 2;
    const prior = half ** 2 - noise;
    const again = calibrate(man, [reading, reading]).readings[1];
    const posterior = (((again?.band.high ?? 0) - (again?.band.low ?? 0)) / 2 / 1.959964) ** 2 - noise;
    expect(posterior).toBeCloseTo((prior * noise) / (prior + noise), 6);
    expect(belief.covariance[0]?.[0]).toBeLessThan(before.covariance[0]?.[0] ?? 0);
  });
});

describe('a reading that contradicts the model', () => {
  const wild = under({ position: 'push-up' }, 0, 0.04, 20);

  it('is questioned, and teaches nothing', () => {
    const { belief, readings } = calibrate(man, [wild]);
    expect(readings[0]).toMatchObject({ state: 'questioned' });
    expect(belief).toEqual(calibrate(man, []).belief);
  });

  it('counts when the coach insists, but for less than one that fits', () => {
    const { belief, readings } = calibrate(man, [{ ...wild, insisted: true }]);
    expect(readings[0]).toMatchObject({ state: 'insisted' });
    const fits = calibrate(man, [under({ position: 'push-up' }, 0, 0.04)]).belief;
    expect(belief.covariance[0]?.[0]).toBeGreaterThan(fits.covariance[0]?.[0] ?? 0);
    expect(handLoad({ ...man, belief }, { position: 'push-up' }).verticalShare).toBeLessThan(
      handLoad(man, { position: 'push-up' }).verticalShare,
    );
  });
});

describe('what can not calibrate', () => {
  it('is a position whose load is how hard one pushes', () => {
    expect(canCalibrate({ position: 'supported-hang' })).toBe(false);
    expect(canCalibrate({ position: 'free-hang' })).toBe(false);
    expect(canCalibrate({ position: 'tabletop' })).toBe(true);
    expect(readingProblem(man, { setUp: { position: 'supported-hang' }, under: 'feet', kg: 30, massKg: 70 })).toContain('teaches nothing');
  });

  it.each([
    [{ kg: 200 }, 'A scale under the feet shows from 0 kg to 70 kg here, not 200 kg.'],
    [{ kg: -1 }, 'shows from 0 kg to 70 kg here, not -1 kg.'],
    [{ under: 'seat' as const }, 'Nothing of this set-up stands on a scale under the seat.'],
    [{ massKg: 5 }, 'Body mass must be from 20 kg to 250 kg, not 5 kg.'],
    [{ setUp: { position: 'push-up', handHeightM: 1.3 } as const }, 'out of reach of a straight body'],
  ])('is a reading that can not be: %j', (wrong, sentence) => {
    const reading: ScaleReading = { setUp: { position: 'push-up' }, under: 'feet', kg: 20, massKg: 70, ...wrong };
    expect(readingProblem(man, reading)).toContain(sentence);
    expect(calibrate(man, [reading]).readings[0]?.state).toBe('unusable');
  });

  it('what stands on a scale follows from the set-up', () => {
    expect(scalePlaces(man, { position: 'push-up' })).toEqual(['hands', 'feet']);
    expect(scalePlaces(man, { position: 'tabletop' })).toEqual(['hands', 'knees', 'shanks']);
  });
});
