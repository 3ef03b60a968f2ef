import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bodyModel, GRAVITY, handLoad, swing, swingGrip } from './index.ts';
import { pendulumSwing } from './pendulum.ts';
import { anyBody } from './testing.ts';

const man = bodyModel({ sex: 'male', statureM: 1.75, massKg: 70 });

describe('a pendulum', () => {
  it('of a point mass has the textbook period 2π√(l/g) for a small swing', () => {
    const point = pendulumSwing({ centreM: 1, inertia: 1 }, 0.5);
    expect(point.smallPeriodS).toBeCloseTo(2 * Math.PI * Math.sqrt(1 / GRAVITY), 12);
    expect(point.periodS / point.smallPeriodS).toBeCloseTo(1, 5);
  });

  // Series of the complete elliptic integral: 1 + θ²/16 + 11θ⁴/3072 + 173θ⁶/737280 (textbook mechanics).
  it.each([10, 30, 60])('swings longer from %d° as the series says', (amplitude) => {
    const { periodS, smallPeriodS } = pendulumSwing({ centreM: 1, inertia: 1.2 }, amplitude);
    const t = (amplitude * Math.PI) / 180;
    expect(periodS / smallPeriodS).toBeCloseTo(1 + t ** 2 / 16 + (11 * t ** 4) / 3072 + (173 * t ** 6) / 737280, amplitude > 45 ? 4 : 6);
  });

  it('swings as a step-by-step integration of its equation does', () => {
    const [centreM, inertia] = [1.03, 1.27];
    let [angle, speed, time] = [Math.PI / 3, 0, 0];
    const step = 1e-4;
    const pull = (a: number) => (-GRAVITY * centreM * Math.sin(a)) / inertia;
    while (angle > 0) {
      speed += pull(angle + (speed * step) / 2) * step;
      angle += speed * step;
      time += step;
    }
    expect(pendulumSwing({ centreM, inertia }, 60).periodS).toBeCloseTo(4 * time, 2);
    const fastest = 1 + (centreM * speed ** 2) / GRAVITY;
    expect(pendulumSwing({ centreM, inertia }, 60).peakTensionRatio).toBeCloseTo(fastest, 2);
  });
});

describe('a swinging body', () => {
  // Figures of a prototype of this formulation: d about 1.0 m, T about 2.2 s, 30° about 1.2, 60° about 1.8.
  it('of 70 kg and 1.75 m', () => {
    expect(swing(man, 5).periodS).toBeCloseTo(2.2, 1);
    expect(swing(man, 5).centreM).toBeCloseTo(1.03, 1);
    expect(swing(man, 30).peakTensionRatio).toBeCloseTo(1.2, 1);
    expect(swing(man, 60).peakTensionRatio).toBeCloseTo(1.8, 1);
  });

  it('pulls less than a point mass on a string, and no more than still when still', () => {
    fc.assert(
      fc.property(anyBody, fc.double({ min: 0.1, max: 90, noNaN: true }), (body, amplitude) => {
        const { peakTensionRatio, pointMassBound, periodS, smallPeriodS } = swing(body, amplitude);
        expect(pointMassBound).toBeCloseTo(3 - 2 * Math.cos((amplitude * Math.PI) / 180), 12);
        expect(peakTensionRatio).toBeLessThan(pointMassBound);
        expect(peakTensionRatio).toBeGreaterThan(1);
        expect(periodS).toBeGreaterThan(smallPeriodS);
      }),
    );
    expect(swing(man, 0).peakTensionRatio).toBe(1);
  });

  it('is the same in the lab', () => {
    const reading = handLoad(man, { position: 'swing', amplitudeDeg: 40 });
    expect(reading.verticalShare).toBeCloseTo(swing(man, 40).peakTensionRatio, 12);
    expect(reading.gripPerHandN).toBeCloseTo(swing(man, 40).perHandN, 9);
    expect(handLoad(man, { position: 'swing', amplitudeDeg: 40, hands: 'one' }).gripPerHandN).toBeCloseTo(swing(man, 40, 1).perHandN, 9);
  });

  it('is refused beyond level', () => {
    expect(() => swing(man, 120)).toThrow('A swing must be from 0° to 90° to each side, not 120°.');
  });
});

describe('what a swing asks of the grip', () => {
  // By hand: a hand that closes with 50 ± 4 kg holds 1.5·50 = 75 kg, give or take √(6² + 12.5²) = 14 kg.
  it.each([
    [
      { kg: 50, bandKg: 4 },
      'spare',
      'This asks 50 kg of each hand; the weaker hand closes with 50 ± 4 kg, which holds about 75 ± 14 kg: 25 kg spare.',
    ],
    [
      { kg: 35, bandKg: 4 },
      'on the mark',
      'This asks 50 kg of each hand; the weaker hand closes with 35 ± 4 kg, which holds about 53 ± 11 kg: inside the error band.',
    ],
    [
      { kg: 20, bandKg: 2 },
      'short',
      'This asks 50 kg of each hand; the weaker hand closes with 20 ± 2 kg, which holds about 30 ± 6 kg: 20 kg short.',
    ],
    [undefined, 'unknown', 'This asks 50 kg of each hand; the grip has not been read yet.'],
  ] as const)('against %j: %s', (grip, state, inWords) => {
    expect(swingGrip(50 * GRAVITY, grip)).toEqual({ state, inWords });
  });
});
