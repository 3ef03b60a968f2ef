import { describe, expect, it } from 'vitest';
import { type Landmark, linkage, POSES, type PoseName, segmentLengths } from './index.ts';

const tall = { sex: 'male' as const, stature: 1.741 };

const JOINED: readonly (readonly [Landmark, Landmark, keyof ReturnType<typeof segmentLengths>])[] = [
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
    const lengths = segmentLengths(tall);
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
