import type { Pose, Surface } from './linkage.ts';

/** A straight body leaning on its feet; `lean` is ankle → shoulder in degrees. */
function straight(lean: number, arms: readonly [number, number, number], surfaces: readonly Surface[], more: Partial<Pose> = {}): Pose {
  const [upperArm, forearm, hand] = arms;
  return { foot: -60 + lean / 1.6, shank: lean, thigh: lean, trunk: lean, head: lean, upperArm, forearm, hand, surfaces, ...more };
}

const HANGING = { foot: -50, head: 88, upperArm: 90, forearm: 90, hand: 90 } as const;

/** Working positions as segment directions: drawings of a set-up, not measurements of it. */
export const POSES = {
  standing: straight(90, [-88, -86, -85], ['floor'], { foot: 0 }),
  'standing, arms overhead': straight(90, [86, 88, 90], ['floor'], { foot: 0 }),
  'at a wall': straight(80, [4, 4, 90], ['floor', 'wall'], { foot: 0 }),
  'far from a wall': straight(64, [-6, -6, 84], ['floor', 'wall'], { foot: -8 }),
  'hands at hip height': straight(47, [-62, -62, 0], ['floor', 'bench']),
  'hands at knee height': straight(38, [-70, -70, 0], ['floor', 'bench']),
  'hands on a low bench': straight(30, [-77, -77, 0], ['floor', 'bench']),
  'hands on a step': straight(24, [-83, -83, 0], ['floor', 'bench']),
  plank: straight(19, [-90, -90, 0], ['floor', 'floor under hands']),
  'plank, lowered': straight(7, [-176, -84, 0], ['floor', 'floor under hands']),
  'plank with a weight': straight(19, [-90, -90, 0], ['floor', 'floor under hands', 'weight']),
  'plank, one arm raised': straight(19, [-90, -90, 0], ['floor', 'floor under hands'], { otherArm: [18, 18] }),
  'forearm plank': straight(9, [-90, 0, 0], ['floor', 'floor under hands']),
  'side plank': straight(22, [-90, -90, 0], ['floor', 'floor under hands'], { otherArm: [80, 85] }),
  'hands and knees': {
    foot: 180,
    shank: 0,
    thigh: 90,
    trunk: 6,
    head: 8,
    upperArm: -90,
    forearm: -90,
    hand: 0,
    surfaces: ['floor', 'floor under hands'],
  },
  'kneeling, chest low': {
    foot: 180,
    shank: 0,
    thigh: 100,
    trunk: -28,
    head: -20,
    upperArm: -8,
    forearm: -6,
    hand: 0,
    surfaces: ['floor', 'floor under hands'],
  },
  seated: { foot: 0, shank: 95, thigh: 180, trunk: 90, head: 90, upperArm: -80, forearm: 0, hand: 0, surfaces: ['floor'] },
  'seated on the floor': {
    foot: 80,
    shank: 180,
    thigh: 180,
    trunk: 92,
    head: 92,
    upperArm: -95,
    forearm: -88,
    hand: 0,
    surfaces: ['floor'],
  },
  prone: { foot: 185, shank: 0, thigh: 0, trunk: 5, head: 10, upperArm: 10, forearm: 10, hand: 10, surfaces: ['floor'] },
  supine: { foot: 90, shank: 180, thigh: 180, trunk: 180, head: 180, upperArm: 180, forearm: 90, hand: 90, surfaces: ['floor'] },
  'feet-supported hang': { ...HANGING, foot: 0, shank: 82, thigh: 150, trunk: 95, surfaces: ['floor', 'bar'] },
  'feet-supported hang, half': { ...HANGING, foot: 0, shank: 100, thigh: 172, trunk: 92, surfaces: ['step', 'bar'] },
  'feet-supported hang, one shoulder': {
    ...HANGING,
    foot: 0,
    shank: 100,
    thigh: 172,
    trunk: 88,
    otherArm: [84, 84],
    surfaces: ['step', 'bar'],
  },
  'one-hand tap, feet light': { ...HANGING, foot: 0, shank: 98, thigh: 165, trunk: 90, otherArm: [40, 130], surfaces: ['step', 'bar'] },
  'free hang': { ...HANGING, shank: 90, thigh: 90, trunk: 90, surfaces: ['bar'] },
  'free hang, one-hand tap': { ...HANGING, shank: 90, thigh: 90, trunk: 90, otherArm: [40, 130], surfaces: ['bar'] },
  'hanging side crunch': { ...HANGING, shank: 60, thigh: 140, trunk: 86, surfaces: ['bar'] },
  swing: { foot: -30, shank: 128, thigh: 122, trunk: 112, head: 106, upperArm: 106, forearm: 104, hand: 90, surfaces: ['bar'] },
  'hand-to-hand travel': {
    foot: -40,
    shank: 104,
    thigh: 98,
    trunk: 94,
    head: 92,
    upperArm: 100,
    forearm: 100,
    hand: 90,
    otherArm: [60, 64],
    surfaces: ['bar'],
  },
} as const satisfies Record<string, Pose>;

export type PoseName = keyof typeof POSES;
