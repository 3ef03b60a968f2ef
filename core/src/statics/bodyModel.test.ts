import { describe, expect, it } from 'vitest';
import { BODY_SEGMENTS, SEGMENTS } from '../reference/index.ts';
import { USUAL } from './assumptions.ts';
import { hung } from './hanging.ts';
import { bodyModel, segmentLengths } from './index.ts';
import { buildOf, centreOf, massesOf } from './stance.ts';

const man = { sex: 'male', statureM: 1.741, massKg: 73 } as const;

describe('segments (de Leva 1996, mm at stature 1741 and 1735, from memory)', () => {
  it('are the published ones at the sample’s own stature', () => {
    expect(segmentLengths({ sex: 'male', stature: 1.741 })).toMatchObject({ thigh: 0.4222, shank: 0.4403, trunk: 0.5155, forearm: 0.2689 });
    expect(segmentLengths({ sex: 'female', stature: 1.735 }).thigh).toBeCloseTo(0.3685, 9);
  });

  it('scale with stature, and blend where sex is not stated', () => {
    expect(segmentLengths({ sex: 'male', stature: 1.741 / 2 }).thigh).toBeCloseTo(0.2111, 9);
    expect(segmentLengths({ stature: 1.7 }).thigh).toBeCloseTo((1.7 * (0.4222 / 1.741 + 0.3685 / 1.735)) / 2, 9);
  });

  it.each(['female', 'male'] as const)('weigh 100% together: %s', (sex) => {
    const { segments } = BODY_SEGMENTS[sex];
    const paired = new Set(['upperArm', 'forearm', 'hand', 'thigh', 'shank', 'foot']);
    expect(SEGMENTS.reduce((sum, name) => sum + segments[name].mass * (paired.has(name) ? 2 : 1), 0)).toBeCloseTo(100, 1);
  });
});

describe('the body', () => {
  it.each(['female', 'male', 'unstated'] as const)('weighs what the trainee weighs: %s', (sex) => {
    const body = bodyModel({ sex, statureM: 1.7, massKg: 64 });
    const kg = Object.values(body.segments).reduce((sum, s) => sum + s.massKg * s.count, 0);
    expect(kg).toBeCloseTo(64, 9);
    expect(body.weightN).toBeCloseTo(64 * 9.80665, 9);
  });

  // About 55–57% of stature, women a little lower than men (from memory of anatomy texts).
  it.each(['female', 'male', 'unstated'] as const)('has its centre of mass where bodies have it when they stand: %s', (sex) => {
    const body = bodyModel({ sex, statureM: 1.75, massKg: 70 });
    const b = buildOf(body, USUAL);
    // The hanging figure turned into a standing one: arms down by the sides.
    const joints = hung(b, {});
    const up = (y: number) => ({ x: 0, y });
    const hipY = b.ankle + b.shank + b.thigh;
    const standing = {
      ...joints,
      heel: { x: -b.heelToAnkle, y: 0 },
      ball: { x: b.ballToAnkle, y: 0 },
      toe: { x: b.foot - b.heelToAnkle, y: 0 },
      ankle: up(b.ankle),
      knee: up(b.ankle + b.shank),
      hip: up(hipY),
      shoulder: up(hipY + b.trunk),
      crown: up(1.75),
      elbow: up(hipY + b.trunk - b.upperArm),
      wrist: up(hipY + b.trunk - b.arm),
      knuckles: up(hipY + b.trunk - b.arm - b.hand),
    };
    const height = centreOf(massesOf(standing, b)).y / 1.75;
    expect(height).toBeGreaterThan(0.54);
    expect(height).toBeLessThan(0.58);
  });

  it('takes the trainee’s own measures over those that stature says', () => {
    const own = bodyModel({ ...man, overrides: { armM: 0.6 } });
    expect(own.armM).toBeCloseTo(0.6, 9);
    expect(own.legM).toBeCloseTo(bodyModel(man).legM, 9);
    expect(own.own).toEqual(['armM']);
    expect(bodyModel({ ...man, overrides: { legM: 0.9 } }).legM).toBeCloseTo(0.9, 9);
  });

  it.each([
    [{ ...man, statureM: 0 }, 'Stature must be from 100 cm to 230 cm, not 0 cm.'],
    [{ ...man, massKg: 0 }, 'Mass must be from 20 kg to 250 kg, not 0 kg.'],
    [{ ...man, statureM: Number.NaN }, 'Stature must be from 100 cm to 230 cm, not NaN cm.'],
    [{ ...man, overrides: { armM: 2 } }, 'Arm length must be from 25 cm to 95 cm, not 200 cm.'],
    [{ ...man, statureM: 1.4, overrides: { legM: 1 } }, 'A leg of 100 cm leaves no room for the head in a stature of 140 cm.'],
  ])('refuses measures that fit nobody: %j', (measures, sentence) => {
    expect(() => bodyModel(measures)).toThrow(sentence);
  });
});
