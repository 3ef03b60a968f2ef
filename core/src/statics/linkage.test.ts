import { describe, expect, it } from 'vitest';
import { SEGMENT_LENGTHS } from '../reference/index.ts';
import { type Landmark, linkage, POSES, type PoseName, scaledSegments } from './index.ts';

const tall = { sex: 'male' as const, stature: 1.741 };

describe('segments (de Leva 1996, mm at stature 1741 and 1735, from memory)', () => {
  it('are the published ones at the sample’s own stature', () => {
    expect(scaledSegments(tall)).toMatchObject({ thigh: 0.4222, shank: 0.4403, trunk: 0.5155, upperArm: 0.2817, forearm: 0.2689 });
    expect(scaledSegments({ sex: 'female', stature: 1.735 }).thigh).toBeCloseTo(0.3685, 9);
  });

  it('scale with stature, and blend where sex is not stated', () => {
    expect(scaledSegments({ sex: 'male', stature: 1.741 / 2 }).thigh).toBeCloseTo(0.2111, 9);
    const blend = scaledSegments({ stature: 1.7 }).thigh;
    expect(blend).toBeCloseTo((1.7 * (0.4222 / 1.741 + 0.3685 / 1.735)) / 2, 9);
    expect(SEGMENT_LENGTHS.male.stature).toBe(1741);
  });
});

const JOINED: readonly (readonly [Landmark, Landmark, keyof ReturnType<typeof scaledSegments>])[] = [
  ['ankle', 'knee', 'shank'],
  ['knee', 'hip', 'thigh'],
  ['hip', 'shoulder', 'trunk'],
  ['shoulder', 'elbow', 'upperArm'],
  ['elbow', 'wrist', 'forearm'],
  ['wrist', 'knuckles', 'hand'],
];

describe.each(Object.keys(POSES) as PoseName[])('%s', (pose) => {
  it('keeps every segment at its length', () => {
    const joints = linkage(POSES[pose], tall);
    const lengths = scaledSegments(tall);
    for (const [a, b, segment] of JOINED)
      expect(Math.hypot(joints[b].x - joints[a].x, joints[b].y - joints[a].y)).toBeCloseTo(lengths[segment], 9);
  });
});

it('puts hands where the position has them', () => {
  const plank = linkage(POSES.plank, tall);
  expect(plank.wrist.x).toBeCloseTo(plank.shoulder.x, 9);
  expect(plank.wrist.y).toBeLessThan(plank.shoulder.y - 0.5);
  const hang = linkage(POSES['free hang'], tall);
  expect(hang.wrist.y - hang.shoulder.y).toBeCloseTo(0.2817 + 0.2689, 9);
  const wall = linkage(POSES['at a wall'], tall);
  expect(wall.wrist.x - wall.shoulder.x).toBeGreaterThan(0.5);
});
