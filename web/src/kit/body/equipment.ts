import { midway, type Prepared, type Prop, type Skeleton, type Vec, type View, WRITTEN_FOR } from '@myokinet/core/motion';
import type { Seen } from './camera.ts';
import { endAt } from './ends.ts';
import type { Ink, Shape } from './shape.ts';

type See = (point: Vec) => Seen;

/** Half the length of a bar, half the breadth of a bench, metres. */
const HALF_BAR = 0.55;
const HALF_BENCH = 0.3;

/** Behind everything, and before everything. */
const BEHIND = -9;

function stroke(see: See, ink: Ink, width: number, points: readonly Vec[], depth?: number): Shape {
  const seen = points.map(see);
  return {
    ink,
    width,
    points: seen.map(({ x, y }) => [x, y] as const),
    depth: depth ?? seen.reduce((sum, p) => sum + p.near, 0) / seen.length,
  };
}

/** A solid between two corners: the outline of its eight. */
function box(see: See, ink: Ink, low: Vec, high: Vec, depth?: number): Shape {
  const corners = [low, high].flatMap((a) => [low, high].flatMap((b) => [low, high].map((c): Vec => [a[0], b[1], c[2]]))).map(see);
  return {
    ink,
    width: 0.012,
    filled: true,
    points: hull(corners.map(({ x, y }) => [x, y] as const)),
    depth: depth ?? corners.reduce((sum, p) => sum + p.near, 0) / corners.length - 0.3,
  };
}

/** The convex outline of points (Andrew's monotone chain). */
function hull(points: readonly (readonly [number, number])[]): readonly (readonly [number, number])[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (list: readonly (readonly [number, number])[]) => {
    const out: (readonly [number, number])[] = [];
    for (const p of list) {
      for (let [a, b] = out.slice(-2); a && b && turn(a, b, p) <= 0; [a, b] = out.slice(-2)) out.pop();
      out.push(p);
    }
    return out.slice(0, -1);
  };
  return [...half(sorted), ...half(sorted.reverse())];
}

const turn = (a: readonly [number, number], b: readonly [number, number], c: readonly [number, number]) =>
  (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

/** What a body rests on, hangs from and holds. */
export function equipmentOf({ movement, frame, keys }: Prepared, s: Skeleton, see: See, view: View): readonly Shape[] {
  const k = frame.statureM / WRITTEN_FOR;
  const shapes: Shape[] = [];
  // What is leaned on stays where it was at the start.
  const levels = new Map<number, Vec[]>();
  for (const { contact, at } of keys[0].held) {
    const { on } = contact;
    const points = at ?? [];
    if (on.kind === 'level' && on.z > 0.06) levels.set(on.z, [...(levels.get(on.z) ?? []), ...points]);
    if (on.kind === 'bar')
      shapes.push(
        stroke(see, 'equipment', 0.05, [
          [on.x * k, -HALF_BAR, on.z * k],
          [on.x * k, HALF_BAR, on.z * k],
        ]),
      );
    if (on.kind === 'rail')
      shapes.push(
        stroke(
          see,
          'equipment',
          0.045,
          [
            [-0.3, on.y * k, on.z * k],
            [0.3, on.y * k, on.z * k],
          ],
          view === 'side' ? 5 : undefined,
        ),
      );
    if (on.kind === 'upright') shapes.push(wall(see, on.x * k, k));
    if (on.kind === 'post')
      shapes.push(
        stroke(see, 'equipment', 0.045, [
          [on.x * k, on.y * k, 0],
          [on.x * k, on.y * k, 2.3 * k],
        ]),
      );
  }
  for (const [z, points] of levels) {
    const xs = points.map((p) => p[0]);
    const ys = points.map((p) => p[1]);
    const room = z > 0.3 ? 0.16 : 0.1;
    const [low, high] = [Math.min(...xs) - room, Math.max(...xs) + room];
    const half = Math.max(HALF_BENCH, ...ys.map(Math.abs)) * 1;
    shapes.push(z > 0.3 ? table(see, z * k, low, high, half) : box(see, 'equipment', [low, -half, 0], [high, half, z * k], BEHIND + 1));
  }
  for (const prop of movement.props ?? []) shapes.push(...drawnProp(prop, s, see, k));
  return shapes;
}

function table(see: See, z: number, low: number, high: number, half: number): Shape {
  return box(see, 'equipment', [low, -half, z - 0.05], [high, half, z], BEHIND + 1);
}

/** A wall as its foot and its edge: a line from the side, a sheet from elsewhere. */
function wall(see: See, x: number, k: number): Shape {
  const corners: Vec[] = [
    [x, -0.6 * k, 0],
    [x, -0.6 * k, 1.9 * k],
    [x, 0.6 * k, 1.9 * k],
    [x, 0.6 * k, 0],
  ];
  return { ...stroke(see, 'ground', 0.03, corners, BEHIND), filled: true };
}

function drawnProp(prop: Prop, s: Skeleton, see: See, k: number): readonly Shape[] {
  const disc = (at: Vec, width: number, ink: Ink = 'equipment'): Shape => {
    const p = see(at);
    return { ink, width: width * k, points: [[p.x, p.y]], depth: p.near + 0.08 };
  };
  const held = (hand: 'right hand' | 'left hand' | 'both hands' | 'pelvis') =>
    hand === 'both hands' ? midway(s.right.grip, s.left.grip) : endAt(s, hand);
  switch (prop.kind) {
    case 'weight': {
      const at = held(prop.in);
      if (prop.heavy) {
        const low: Vec = [at[0] - 0.1 * k, at[1] - 0.07 * k, at[2] - 0.28 * k];
        return [
          box(see, 'equipment', low, [at[0] + 0.1 * k, at[1] + 0.07 * k, at[2] - 0.05 * k], see(at).near + 0.05),
          stroke(see, 'equipment', 0.02, [at, [at[0], at[1], at[2] - 0.06 * k]], see(at).near + 0.05),
        ];
      }
      const { handTurn } = prop.in === 'left hand' ? s.left : s.right;
      const way: Vec = [handTurn[0] * 0.07 * k, handTurn[3] * 0.07 * k, handTurn[6] * 0.07 * k];
      const [a, b]: [Vec, Vec] = [
        [at[0] + way[0], at[1] + way[1], at[2] + way[2]],
        [at[0] - way[0], at[1] - way[1], at[2] - way[2]],
      ];
      return [stroke(see, 'equipment', 0.03 * k, [a, b], see(at).near + 0.06), disc(a, 0.075), disc(b, 0.075)];
    }
    case 'weight on the back':
      return [
        stroke(
          see,
          'equipment',
          0.07 * k,
          [midway(s.right.blade[2], s.left.blade[2]), midway(s.right.blade[1], s.left.blade[1])].map((p): Vec => [
            p[0],
            p[1],
            p[2] + 0.08 * k,
          ]),
          4,
        ),
      ];
    case 'band':
    case 'strap': {
      const [a, b] = [endAt(s, prop.from), endAt(s, prop.to)];
      return [stroke(see, 'band', prop.kind === 'band' ? 0.018 : 0.026, [a, b], (see(a).near + see(b).near) / 2 + 0.1)];
    }
    case 'stick': {
      if (prop.in === 'right hand') {
        const { grip, handTurn } = s.right;
        const way: Vec = [handTurn[0] * 0.32 * k, handTurn[3] * 0.32 * k, handTurn[6] * 0.32 * k];
        return [
          stroke(
            see,
            'equipment',
            0.03,
            [
              [grip[0] + way[0], grip[1] + way[1], grip[2] + way[2]],
              [grip[0] - way[0], grip[1] - way[1], grip[2] - way[2]],
            ],
            see(grip).near + 0.05,
          ),
        ];
      }
      const [a, b] = [s.right.grip, s.left.grip];
      const stick = stroke(see, 'equipment', 0.03, [midway(a, b, -0.25), midway(a, b, 1.25)], see(a).near + 0.05);
      if (!prop.hangs) return [stick];
      const mid = midway(a, b);
      const low: Vec = [mid[0], mid[1], mid[2] - 0.5 * k];
      return [stick, stroke(see, 'band', 0.012, [mid, low]), disc(low, 0.12)];
    }
    case 'ball':
      return [disc(prop.in ? endAt(s, prop.in) : (prop.at ?? [0, 0, 0]), 0.1)];
    case 'block': {
      const ends: [Vec, Vec] = prop.between === 'elbows' ? [s.right.elbow, s.left.elbow] : [s.right.knuckles, s.left.knuckles];
      return [stroke(see, 'equipment', 0.09 * k, [midway(ends[0], ends[1], 0.25), midway(ends[0], ends[1], 0.75)])];
    }
    case 'towel':
      return prop.in === 'right hand'
        ? [stroke(see, 'band', 0.06 * k, [s.right.indexKnuckle, s.right.littleKnuckle], see(s.right.grip).near + 0.05)]
        : [stroke(see, 'band', 0.04 * k, [s.right.grip, s.left.grip])];
    case 'chair': {
      const z = prop.z * k;
      return [
        box(see, 'equipment', [prop.x * k - 0.2 * k, -0.22 * k, z - 0.05], [prop.x * k + 0.22 * k, 0.22 * k, z], BEHIND + 1),
        ...[-0.18, 0.2].map((dx) =>
          stroke(
            see,
            'equipment',
            0.025,
            [
              [(prop.x + dx) * k, 0, z],
              [(prop.x + dx) * k, 0, 0],
            ],
            BEHIND + 1,
          ),
        ),
      ];
    }
    case 'table':
      return [
        box(see, 'equipment', [prop.from * k, -0.45 * k, prop.z * k - 0.04], [prop.to * k, 0.45 * k, prop.z * k], BEHIND + 1),
        stroke(
          see,
          'equipment',
          0.03,
          [
            [(prop.to - 0.06) * k, 0, prop.z * k],
            [(prop.to - 0.06) * k, 0, 0],
          ],
          BEHIND + 1,
        ),
      ];
    case 'wall':
      return [wall(see, prop.x * k, k)];
  }
}
