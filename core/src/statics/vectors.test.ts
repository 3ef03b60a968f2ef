import { describe, expect, it } from 'vitest';
import { bodyModel, handLoad, type SetUp } from './index.ts';
import vectors from './reference/vectors.json' with { type: 'json' };

const man = bodyModel({ sex: 'male', statureM: 1.741, massKg: 73 });

/** Worked out a second time by `reference/vectors.py`, in another language and without a line of this program. */
describe('hand loads worked out apart from the program', () => {
  it.each(vectors)('$setUp', ({ setUp, share }) => {
    expect(handLoad(man, setUp as SetUp).verticalShare).toBeCloseTo(share, 9);
  });

  it('are seven, of four positions', () => {
    expect(vectors).toHaveLength(7);
    expect(new Set(vectors.map((v) => v.setUp.position)).size).toBe(4);
  });
});

describe('a free hang, by hand', () => {
  // de Leva male at 1.741 m, without the feet (2.74%): Σ share × way below the bar = 0.9673 m; the ankle hangs at 2.0148 m.
  it('has its centre of mass where the sum says', () => {
    const { centreOfMass, stance } = handLoad(man, { position: 'free-hang' });
    const feet = stance.masses.at(-1);
    const below = -centreOfMass.y;
    expect(below - (feet?.share ?? 0) * -(feet?.y ?? 0)).toBeCloseTo(0.9673, 3);
    expect(-stance.joints.ankle.y).toBeCloseTo(2.0148, 3);
  });
});

describe('a carried weight and a supported hang, by hand', () => {
  it.each<[SetUp, number]>([
    // 8 of 73 kg; a belt of 7.3 kg on 73; feet that take 0.35, hands 0.65; 30 kg under the bar of a band that takes 0.4.
    [{ position: 'carry', weightKg: 8 }, 8 / 73],
    [{ position: 'free-hang', addedKg: 7.3 }, 1.1],
    [{ position: 'supported-hang', feetShare: 0.35 }, 0.65],
    [{ position: 'pull-up', bandShare: 0.4 }, 0.6],
    [{ position: 'dip', bandShare: 0.25, addedKg: 7.3 }, 0.85],
    [{ position: 'post-brace', feetShare: 0.2 }, 0.8],
  ])('%j', (setUp, share) => {
    expect(handLoad(man, setUp).verticalShare).toBeCloseTo(share, 9);
  });

  // Couple on a post: the low hand pushes as hard as the high one pulls, H = (1 − f)·(post − centre) ÷ spacing.
  it('the couple on a post', () => {
    const { stance, centreOfMass, gripPerHandN } = handLoad(man, { position: 'post-brace', feetShare: 0.2, spacingM: 0.7 });
    const [low, high] = stance.supports;
    const couple = (0.8 * ((high?.x ?? 0) - centreOfMass.x)) / 0.7;
    expect(high?.fx).toBeCloseTo(couple, 9);
    expect(low?.fx).toBeCloseTo(-couple, 9);
    expect(gripPerHandN).toBeCloseTo(Math.hypot(couple, 0.4) * man.weightN, 6);
  });

  it('a seated press shares what the legs leave over: 0.4 of it in the hands, 0.6 on the seat', () => {
    const { verticalShare, scales } = handLoad(man, { position: 'seated-press', pressShare: 0.4 });
    const legs = (scales.feet ?? 0) / 73;
    expect(verticalShare).toBeCloseTo(0.4 * (1 - legs), 9);
    expect((scales.seat ?? 0) / 73).toBeCloseTo(0.6 * (1 - legs), 9);
    expect(legs).toBeGreaterThan(0.1);
    expect(legs).toBeLessThan(0.35);
  });
});
