import type { End, Limbs, Mark, Skeleton, Vec, Way } from '@myokinet/core/motion';
import type { Seen } from './camera.ts';
import { endAt } from './ends.ts';

type See = (point: Vec) => Seen;
type Spot = readonly [x: number, y: number];

/** What is drawn of a measure: reference and measured line, the arc between them, an arrow. */
export interface DrawnMark {
  readonly dashed: readonly (readonly [Spot, Spot])[];
  readonly solid: readonly (readonly Spot[])[];
}

/** How long the lines of an angle are, and where its arc lies, metres. */
const LINE = 0.34;
const ARC = 0.24;
const WEIGHT = 0.3;

const minus = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const upperArm = (_: Skeleton, l: Limbs): Vec => minus(l.elbow, l.shoulder);
const forearm = (_: Skeleton, l: Limbs): Vec => minus(l.wrist, l.elbow);

/** Where each named way leads. A way that goes on from a joint is that of the part before it. */
const WAYS: Readonly<Record<Extract<Way, string>, (s: Skeleton, limbs: Limbs, out: 1 | -1) => Vec>> = {
  'trunk down': (s) => minus(s.waist, s.top),
  'trunk up': (s) => minus(s.top, s.waist),
  'upper arm': upperArm,
  'upper arm on': upperArm,
  forearm,
  'forearm on': forearm,
  'forearm back': (_, l) => minus(l.elbow, l.wrist),
  hand: (_, l) => minus(l.knuckles, l.wrist),
  fingers: (_, l) => minus(l.fingertips, l.knuckles),
  thumb: (_, { handTurn: t }) => [t[0], t[3], t[6]],
  thigh: (_, l) => minus(l.knee, l.hip),
  up: () => [0, 0, 1],
  forward: () => [1, 0, 0],
  outward: ({ chestTurn: t }, _, out) => [t[1] * out, t[4] * out, t[7] * out],
};

function wayOf(s: Skeleton, limbs: Limbs, side: 'left' | 'right', way: Way): Vec {
  return typeof way === 'string' ? WAYS[way](s, limbs, side === 'left' ? 1 : -1) : way;
}

/** A measure as lines on the picture. */
export function drawnMark(mark: Mark, s: Skeleton, see: See): DrawnMark {
  if (mark.kind === 'gap') return { dashed: [], solid: [[spot(see, endAt(s, mark.from)), spot(see, endAt(s, mark.to))]] };
  if (mark.kind === 'weight') return weightOn(s, mark.on, see);
  const limbs = s[mark.side];
  const joint = limbs[mark.at];
  const [a, b] = [unit(wayOf(s, limbs, mark.side, mark.from)), unit(wayOf(s, limbs, mark.side, mark.to))];
  const size = mark.at === 'wrist' ? 0.5 : 1;
  const at = (way: Vec, length: number): Spot =>
    spot(see, [joint[0] + way[0] * length, joint[1] + way[1] * length, joint[2] + way[2] * length]);
  return {
    dashed: [[spot(see, joint), at(a, LINE * size)]],
    solid: [arc(a, b).map((way) => at(way, ARC * size))],
  };
}

function weightOn(s: Skeleton, on: End, see: See): DrawnMark {
  const foot = endAt(s, on);
  const [x, y] = spot(see, foot);
  return {
    dashed: [],
    solid: [
      [
        [x, y + WEIGHT * 0.9],
        [x, y + 0.08],
      ],
      [
        [x - 0.05, y + 0.15],
        [x, y + 0.08],
        [x + 0.05, y + 0.15],
      ],
    ],
  };
}

const spot = (see: See, p: Vec): Spot => {
  const { x, y } = see(p);
  return [x, y];
};

function unit([x, y, z]: Vec): Vec {
  const length = Math.hypot(x, y, z) || 1;
  return [x / length, y / length, z / length];
}

/** Steps of an arc. */
const STEPS = 12;

/** The ways from one to another, the short way round. */
function arc(a: Vec, b: Vec): readonly Vec[] {
  const whole = Math.acos(Math.min(1, Math.max(-1, a[0] * b[0] + a[1] * b[1] + a[2] * b[2])));
  if (whole < 0.02) return [a, b];
  return Array.from({ length: STEPS + 1 }, (_, i): Vec => {
    const t = i / STEPS;
    const [p, q] = [Math.sin((1 - t) * whole) / Math.sin(whole), Math.sin(t * whole) / Math.sin(whole)];
    return [a[0] * p + b[0] * q, a[1] * p + b[1] * q, a[2] * p + b[2] * q];
  });
}
