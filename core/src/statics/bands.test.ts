import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bandForce, bandsFor, bodyModel, fitBand, GRAVITY, pullUpAssistance } from './index.ts';

const kg = (newtons: number) => newtons / GRAVITY;

describe('a band', () => {
  it('goes through exact readings of a curve', () => {
    fc.assert(
      fc.property(fc.double({ min: 50, max: 400, noNaN: true }), fc.double({ min: -0.2, max: 1, noNaN: true }), (linear, bendShare) => {
        const quadratic = linear * bendShare;
        const f = (e: number) => linear * e + quadratic * e * e;
        const fit = fitBand([0.4, 0.8, 1.2].map((stretchM) => ({ stretchM, forceN: f(stretchM) })));
        expect(fit.linear).toBeCloseTo(linear, 6);
        expect(fit.quadratic).toBeCloseTo(quadratic, 6);
        expect(fit.worstN).toBeLessThan(1e-6);
        expect(fit.mostM).toBe(1.2);
      }),
    );
  });

  // Least squares by hand: e = 1, 2 m, F = 10, 16 kg gives a·1 + b·1 = 10, a·2 + b·4 = 16, so a = 12, b = −2 kg.
  it('is fitted as worked out by hand', () => {
    const fit = fitBand([
      { stretchM: 1, forceN: 10 * GRAVITY },
      { stretchM: 2, forceN: 16 * GRAVITY },
    ]);
    expect(fit.linear).toBeCloseTo(12 * GRAVITY, 9);
    expect(fit.quadratic).toBeCloseTo(-2 * GRAVITY, 9);
  });

  it('that gives way keeps pulling harder up to its longest stretch', () => {
    const readings = [10, 14.5, 16.5].map((pull, i) => ({ stretchM: 0.5 * (i + 1), forceN: pull * GRAVITY }));
    const fit = fitBand(readings);
    for (let e = 0.05; e <= 1.5; e += 0.05) expect(fit.linear + 2 * fit.quadratic * e).toBeGreaterThan(0);
    expect(kg(fit.worstN)).toBeLessThan(1);
  });

  it.each([
    [[{ stretchM: 1, forceN: 10 * GRAVITY }], 'A band needs two to four readings, not 1.'],
    [
      [
        { stretchM: 0.5, forceN: 10 * GRAVITY },
        { stretchM: 1, forceN: 8 * GRAVITY },
      ],
      'At 100 cm the band pulls 8 kg, no more than at 50 cm',
    ],
    [
      [
        { stretchM: 0, forceN: 10 * GRAVITY },
        { stretchM: 1, forceN: 8 * GRAVITY },
      ],
      'A stretch must be above 0 cm and at most 400 cm, not 0 cm.',
    ],
    [
      [
        { stretchM: 0.5, forceN: -1 * GRAVITY },
        { stretchM: 1, forceN: 8 * GRAVITY },
      ],
      'A force must be above 0 kg and at most 200 kg, not -1 kg.',
    ],
    [
      [
        { stretchM: 0.5, forceN: 5 * GRAVITY },
        { stretchM: 0.51, forceN: 8 * GRAVITY },
      ],
      'Two readings at 51 cm say nothing about the curve',
    ],
    [
      [
        { stretchM: 0.3, forceN: 3 * GRAVITY },
        { stretchM: 0.6, forceN: 20 * GRAVITY },
        { stretchM: 0.9, forceN: 21 * GRAVITY },
        { stretchM: 1.2, forceN: 40 * GRAVITY },
      ],
      'off the best curve through the others',
    ],
  ])('refuses nonsense with a reason: %#', (readings, sentence) => {
    expect(() => fitBand(readings)).toThrow(sentence);
  });

  it('pulls nothing while it is slack', () => {
    const curve = { linear: 100, quadratic: 0, slackM: 1 };
    expect(bandForce(curve, 0.9)).toBe(0);
    expect(bandForce(curve, 1.5)).toBeCloseTo(50, 12);
  });
});

describe('assistance in a pull-up', () => {
  const body = bodyModel({ sex: 'female', statureM: 1.68, massKg: 60 });
  const band = (name: string, linear: number) => ({ name, linear, quadratic: 0, slackM: 1, mostM: 1.4 });

  it('is larger at the bottom than at the top, and that of the band at its length', () => {
    const { bottom, top, beyondReadings } = pullUpAssistance(body, band('Middle', 200));
    expect(bottom).toBeGreaterThan(top);
    expect(top).toBeGreaterThan(0);
    expect(beyondReadings).toBe(false);
    // Bar to heel of a straight hang, less the slack metre, at 200 N/m.
    const reach = body.segments.hand.lengthM + body.armM + body.segments.trunk.lengthM + body.legM + body.ankleHeightM;
    expect(Math.abs(bottom - (200 * (reach - 1)) / body.weightN)).toBeLessThan(0.03);
  });

  it('under the knees is less than under the feet', () => {
    expect(pullUpAssistance(body, band('Middle', 200), 'knees').bottom).toBeLessThan(pullUpAssistance(body, band('Middle', 200)).bottom);
  });

  it('says when the band is stretched further than it was read', () => {
    expect(pullUpAssistance(body, { ...band('Short', 200), mostM: 0.5 }).beyondReadings).toBe(true);
  });

  it('picks the band nearest to what is wanted, and none that lifts the trainee', () => {
    const bands = [band('Thin', 60), band('Middle', 150), band('Thick', 300), band('Crane', 2000)];
    const picks = bandsFor(body, bands, 0.3);
    const off = picks.map((p) => Math.abs(p.assistance.bottom - 0.3));
    expect(off).toEqual([...off].sort((a, b) => a - b));
    expect(picks[0]?.band.name).not.toBe('Thin');
    expect(picks.some((p) => p.band.name === 'Crane')).toBe(false);
  });
});
