import type { CloseUp, Frame, Limbs, Prepared, Skeleton, Vec, View } from '@myokinet/core/motion';
import type { Side } from '@myokinet/core/anatomy';
import { midway, WRITTEN_FOR } from '@myokinet/core/motion';
import type { Seen } from './camera.ts';
import { equipmentOf } from './equipment.ts';
import type { Ink, Shape } from './shape.ts';
import { RIM, THICK } from './thick.ts';

/** Beyond so much behind the middle of the body a limb counts as the far one, metres. */
const FAR = 0.1;

export interface Scene {
  readonly prepared: Prepared;
  readonly skeleton: Skeleton;
  readonly view: View;
  readonly see: See;
  /** What is looked at from near: the rest steps back. */
  readonly of?: CloseUp | undefined;
}

/** The shapes of a body and of what is about it, the far ones first. */
export function drawn({ prepared, skeleton, view, see, of }: Scene): readonly Shape[] {
  const k = prepared.frame.statureM / WRITTEN_FOR;
  const hand = of === 'right hand' ? 'right' : of === 'left hand' ? 'left' : undefined;
  const shapes = [...body(skeleton, see, prepared.frame, k, hand), ...equipmentOf(prepared, skeleton, see, view)];
  return shapes.sort((a, b) => a.depth - b.depth);
}

type See = (point: Vec) => Seen;

function line(see: See, ink: Ink, width: number, points: readonly Vec[], nearer = 0): Shape {
  const seen = points.map(see);
  return {
    ink,
    width,
    points: seen.map(({ x, y }) => [x, y] as const),
    depth: seen.reduce((sum, p) => sum + p.near, 0) / seen.length + nearer,
  };
}

/** A limb's part with a rim of paper round its shaft, so that it stands off what lies behind it. */
function part(see: See, ink: Ink, width: number, a: Vec, b: Vec, nearer = 0): Shape[] {
  const shape = line(see, ink, width, [a, b], nearer);
  const rim = line(see, 'paper', width + RIM, [midway(a, b, 0.16), midway(a, b, 0.9)], nearer);
  return [{ ...rim, blunt: true, depth: shape.depth - 0.0001 }, shape];
}

/** Where the four fingers leave the palm, from the thumb's side, and how long they are. */
const FINGERS = [
  [0.03, 0.92],
  [0.011, 1],
  [-0.009, 0.94],
  [-0.028, 0.76],
] as const;

function handOf(limbs: Limbs, prepared: Frame, see: See, ink: Ink, k: number): Shape[] {
  const { wrist, handTurn, fingerTurns } = limbs;
  const at = (x: number, y: number, z: number): Vec => shifted(wrist, handTurn, [x * k, y, z]);
  const hand = prepared.lengths.hand;
  const palm = line(see, ink, 0.03 * k, [at(0.02, 0, 0), at(0.03, 0, -hand), at(-0.028, 0, -hand * 0.94), at(-0.018, 0, 0)], 0.012);
  const spread = 1 + (limbs.spread / 25) * 1.2;
  const fingers = FINGERS.map(([x, share]) => {
    const knuckle = at(x, 0, -hand * (1 - Math.abs(x) * 1.4));
    const half = (prepared.fingers * share) / 2;
    const joint = shifted(knuckle, fingerTurns[0], [x * (spread - 1) * 0.7, 0, -half]);
    const tip = shifted(joint, fingerTurns[1], [x * (spread - 1) * 0.5, 0, -half]);
    return line(see, ink, 0.02 * k, [knuckle, joint, tip], 0.014);
  });
  return [{ ...palm, filled: true }, ...fingers, line(see, ink, 0.022 * k, limbs.thumb, 0.02)];
}

function shifted(p: Vec, t: Limbs['handTurn'], v: Vec): Vec {
  return [
    p[0] + t[0] * v[0] + t[1] * v[1] + t[2] * v[2],
    p[1] + t[3] * v[0] + t[4] * v[1] + t[5] * v[2],
    p[2] + t[6] * v[0] + t[7] * v[1] + t[8] * v[2],
  ];
}

/** A hand looked at from near stands before everything, metres. */
const IN_FRONT = 2;

/** How much the back must face the camera for the blades to be drawn. */
const BACK_SEEN = 0.25;

function body(s: Skeleton, see: See, frame: Frame, k: number, hand: Side | undefined): Shape[] {
  const middle = see(s.waist).near;
  const back = see(shifted(s.waist, s.chestTurn, [-1, 0, 0])).near - middle > BACK_SEEN;
  const ofSide = (side: Side): Shape[] => {
    const limbs = s[side];
    const leg: Ink = hand ? 'faint' : see(limbs.shoulder).near < middle - FAR * k ? 'far' : 'near';
    const ink: Ink = hand ? (hand === side ? 'near' : 'faint') : leg;
    const nearer = hand === side ? IN_FRONT : 0;
    const w = (name: keyof typeof THICK) => THICK[name] * k;
    return [
      ...part(see, leg, w('thigh'), limbs.hip, limbs.knee),
      ...part(see, leg, w('shank'), limbs.knee, limbs.ankle, -0.005),
      line(
        see,
        ink,
        w('foot'),
        [limbs.heel, limbs.ball, limbs.toe].map((p) => midway(p, limbs.ankle, 0.22)),
      ),
      ...part(see, ink, w('upperArm'), limbs.shoulder, limbs.elbow, nearer),
      ...part(see, ink, w('forearm'), limbs.elbow, limbs.wrist, 0.01 + nearer),
      ...handOf(limbs, frame, see, ink, k).map((shape) => ({ ...shape, depth: shape.depth + nearer })),
      ...(back ? [{ ...line(see, 'blade', 0.016 * k, limbs.blade, 0.14), filled: true as const }] : []),
    ];
  };
  const trunkInk: Ink = hand ? 'faint' : 'trunk';
  const shoulders = (limbs: Limbs, inward: number) => midway(limbs.shoulder, s.top, inward);
  const outline = [
    midway(s.right.hip, s.pelvis, -0.1),
    midway(s.right.hip, s.waist, 0.72),
    shoulders(s.right, 0.3),
    s.top,
    shoulders(s.left, 0.3),
    midway(s.left.hip, s.waist, 0.72),
    midway(s.left.hip, s.pelvis, -0.1),
    s.pelvis,
  ];
  const trunk = { ...line(see, trunkInk, THICK.trunk * k, outline), filled: true as const, depth: middle };
  const girdle = line(see, trunkInk, 0.095 * k, [s.right.shoulder, s.top, s.left.shoulder]);
  const head = see(s.head);
  const facing = see(s.nose).near > head.near - 0.09 * k;
  return [
    ...ofSide('right'),
    ...ofSide('left'),
    trunk,
    { ...girdle, depth: middle + 0.001 },
    line(see, trunkInk, THICK.neck * k, [s.top, s.head], -0.01),
    { ink: trunkInk, points: [[head.x, head.y]], width: THICK.head * k, depth: head.near },
    line(see, trunkInk, 0.04 * k, [midway(s.head, s.nose, 0.7), s.nose], facing ? 0.02 : -0.2),
  ];
}
