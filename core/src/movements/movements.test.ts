import { describe, expect, inject, it } from 'vitest';
import { BUILT_IN } from '../catalogue/index.ts';
import {
  apart,
  beyondLimits,
  contactsAt,
  figuresAt,
  frameAt,
  prepare,
  type Prepared,
  type Shown,
  type Skeleton,
  skeletonOf,
  stripOf,
  type Vec,
} from '../motion/index.ts';
import { bodyModel, plannedStance } from '../statics/index.ts';
import { BY_POSE, CHECK_FIGURES, movementOf, MOVEMENTS } from './index.ts';

const BODIES: readonly Shown[] = [
  { stature: 1.7 },
  { sex: 'female', stature: 1.55 },
  { sex: 'male', stature: 1.92, armM: 0.64, legM: 0.93 },
];
/** Points of the way: 24 frames of a cycle there and back, on other bodies than the first fewer where the suite is short. */
const LOOKS = 12;
const wayOf = (looks: number) => Array.from({ length: looks + 1 }, (_, i) => i / looks);
const looksOn = (body: Shown) => (inject('long') || body === BODIES[0] ? LOOKS : 3);
/** Metres by which a joint may change its way between two of 24 frames of a leg: more is seen as a jerk. */
const FLICK = 0.04;
/** Metres: what is drawn has no flesh at fingers and toes. */
const SUNK = 0.055;

const cache = new Map<string, Prepared>();
function made(id: string, body: Shown): Prepared {
  const key = `${id} ${body.stature}`;
  const found = cache.get(key) ?? prepare(MOVEMENTS[id]!, body);
  cache.set(key, found);
  return found;
}

const POINTS = ['shoulder', 'elbow', 'wrist', 'fingertips', 'hip', 'knee', 'ankle', 'heel', 'ball'] as const;

/** The point by which a contact is watched. */
function touching(s: Skeleton, name: string): Vec | undefined {
  const side = name.startsWith('left') ? s.left : s.right;
  if (name.endsWith(' palm')) return side.heelOfHand;
  if (name.endsWith(' grip')) return side.grip;
  return name.endsWith(' ball') || name.endsWith(' sole') ? side.ball : undefined;
}
const lowest = (s: Skeleton) =>
  Math.min(s.head[2] - 0.1, s.pelvis[2] - 0.08, ...[s.left, s.right].flatMap((l) => POINTS.map((p) => l[p][2])));

describe('every built-in drill moves', () => {
  it('with a movement of its own, and no movement without a drill', () => {
    const ids = BUILT_IN.drills.map((d) => d.id).toSorted();
    expect(Object.keys(MOVEMENTS).toSorted()).toEqual(ids);
  });

  describe.each(BODIES)('on a body of %o', (body) => {
    it.each(Object.keys(MOVEMENTS))('%s: contacts held, joints human, nothing sunk, no bone stretched', (id) => {
      const prepared = made(id, body);
      const { movement, frame } = prepared;
      // What holds all the way and is not sent anywhere stays.
      const moved = new Set<string>(movement.keys.flatMap((k) => [...(k.off ?? []), ...Object.keys(k.shift ?? {})]));
      const stays = contactsAt(prepared, 0).filter((name) => !moved.has(name) && !movement.slides?.includes(name));
      const first = skeletonOf(frame, figuresAt(prepared, 0));
      for (const travel of wayOf(looksOn(body))) {
        const figures = figuresAt(prepared, travel);
        const s = skeletonOf(frame, figures);
        const faults = [
          ...beyondLimits(figures),
          ...(lowest(s) < -SUNK * (body.stature / 1.7) ? [`sunk by ${lowest(s)}`] : []),
          ...(Math.abs(apart(s.left.shoulder, s.left.elbow) - frame.lengths.upperArm) > 1e-9 ? ['stretched'] : []),
          ...stays.filter((name) => {
            const [begun, now] = [touching(first, name), touching(s, name)];
            return begun && now && apart(begun, now) > 0.001;
          }),
        ];
        expect(faults, `at ${travel}`).toEqual([]);
      }
    });
  });

  it.each(Object.keys(MOVEMENTS))('%s: no limb flicks between two frames, turns at key poses apart', (id) => {
    const prepared = made(id, BODIES[0]!);
    const legs = Math.max(1, prepared.ways.length);
    const frames = Array.from({ length: 24 * legs + 1 }, (_, i) => frameAt(prepared, i / (24 * legs)));
    const turns = new Set(
      prepared.ways.flatMap((_, leg) => {
        const share = leg / legs;
        const at = (prepared.movement.round ? share : Math.acos(1 - 2 * share) / Math.PI) * 24 * legs;
        return [Math.floor(at), Math.ceil(at)];
      }),
    );
    const flick = (i: number) =>
      Math.max(
        ...([-1, 1] as const).flatMap((side) =>
          (['elbow', 'wrist', 'knee', 'ankle'] as const).map((point) => {
            const [a, b, c] = [i - 1, i, i + 1].map((k) => frames[k]![side < 0 ? 'left' : 'right'][point]) as [Vec, Vec, Vec];
            return Math.hypot(...b.map((v, axis) => c[axis]! - 2 * v + a[axis]!));
          }),
        ),
      );
    const flicks = frames.slice(1, -1).flatMap((_, i) => (turns.has(i + 1) || flick(i + 1) < FLICK ? [] : [`${i + 1}: ${flick(i + 1)}`]));
    expect(flicks).toEqual([]);
  });

  it.each(Object.entries(MOVEMENTS).filter(([, m]) => m.round))('%s goes round: its end is its start', (id) => {
    const prepared = made(id, BODIES[0]!);
    const [a, b] = [figuresAt(prepared, 0), figuresAt(prepared, 1)];
    a.forEach((v, i) => expect(v).toBeCloseTo(b[i]!, 6));
  });
});

const degrees = (u: readonly number[], v: readonly number[]) => {
  const dot = u.reduce((sum, x, i) => sum + x * v[i]!, 0);
  return (Math.acos(Math.min(1, Math.max(-1, dot / Math.hypot(...u) / Math.hypot(...v)))) * 180) / Math.PI;
};
const from = (a: Vec, b: Vec) => [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
const flat = (a: { x: number; y: number }, b: { x: number; y: number }) => [b.x - a.x, b.y - a.y];

describe('set-ups of the statics', () => {
  // Drills that are shown in the very position that the model works out; others move through it, or hang by one hand.
  const ALIKE = [
    'plank',
    'raised-arm-plank',
    'plank-scapular-push-up',
    'practice-support-plank',
    'forearm-plank',
    'forearm-scapular-push-up',
    'kneeling-plank',
    'wall-push-hold',
    'wall-scapular-push-up',
    'heel-lifts-at-wall',
    'heel-lifts-to-thumb',
    'practice-forearm-dog',
    'practice-free-hang',
    'practice-quarter-hang',
    'practice-push-up-45',
    'practice-floor-push-up',
    'practice-bar-support-half',
  ];

  it.each(ALIKE)('%s stands as the model has it: shoulder and wrist within 5°', (id) => {
    const drill = BUILT_IN.drills.find((d) => d.id === id)!;
    const { joints } = plannedStance(bodyModel({ statureM: 1.7, massKg: 70 }), drill.support!)!;
    const s = frameAt(made(id, BODIES[0]!), 0);
    const { shoulder, elbow, wrist, knuckles } = s.left;
    const inSpace = [degrees(from(s.pelvis, s.top), from(shoulder, elbow)), degrees(from(elbow, wrist), from(wrist, knuckles))];
    const inModel = [
      degrees(flat(joints.hip, joints.shoulder), flat(joints.shoulder, joints.elbow)),
      degrees(flat(joints.elbow, joints.wrist), flat(joints.wrist, joints.knuckles)),
    ];
    expect(Math.abs(inSpace[0]! - inModel[0]!)).toBeLessThan(id.includes('bar-support') ? 9 : 5.5);
    if (!id.includes('hang') && !id.includes('bar-support')) expect(Math.abs(inSpace[1]! - inModel[1]!)).toBeLessThan(5.5);
  });
});

describe('no two unlike drills look alike', () => {
  /** All that is seen of a movement: its poses at their points, its props and sides. */
  const seen = (id: string) => {
    const p = made(id, BODIES[0]!);
    const poses = stripOf(p.movement).map((t) => [...figuresAt(p, t)].map((v, i) => Math.round(i < 3 ? v * 40 : v / 4)));
    return JSON.stringify([poses, p.movement.props ?? [], p.movement.contacts]);
  };

  it('lists those that are drawn alike, each pair of one family', () => {
    const groups = new Map<string, string[]>();
    for (const id of Object.keys(MOVEMENTS)) groups.set(seen(id), [...(groups.get(seen(id)) ?? []), id]);
    const alike = [...groups.values()].filter((g) => g.length > 1).map((g) => g.toSorted().join(' = '));
    // The same work at another dose, tempo or load; on a rung and beside it.
    expect(alike.toSorted()).toMatchInlineSnapshot(`
      [
        "bench-dip-even = bench-dip-slow-up",
        "forearm-plank = practice-inv-forearm-plank",
        "light-overhead-press = practice-overhead-press = practice-overhead-press-light",
        "plank = practice-support-plank",
        "practice-band-half = practice-band-quarter = practice-band-sixth = practice-band-tenth",
        "practice-carry-13 = practice-carry-16 = practice-heavy-carry = practice-side-carry",
        "practice-floor-push-up = practice-lowered-hold = practice-tempo-push-up",
        "practice-tips-lean = practice-tips-lean-repeated",
      ]
    `);
  });
});

describe('checks and positions', () => {
  it('every check has a figure that stands, and most mark what is measured', () => {
    for (const m of BUILT_IN.measures) {
      expect(CHECK_FIGURES).toHaveProperty([m.id]);
      expect(() => prepare(CHECK_FIGURES[m.id]!, { stature: 1.7 })).not.toThrow();
    }
    const angles = BUILT_IN.measures.filter((m) => m.unit === 'deg').map((m) => m.id);
    const unmarked = angles.filter((id) => !CHECK_FIGURES[id]!.marks?.length);
    expect(unmarked).toEqual(['neck-rotation', 'elbow-crease', 'release-swing']);
  });

  it('a drill of the studio shows the movement it was written from, or its working position', () => {
    expect(movementOf({ id: 'own', pose: 'plank', movement: 'halo' })).toBe(MOVEMENTS['halo']);
    expect(movementOf({ id: 'own', pose: 'plank' })).toBe(BY_POSE.plank);
    expect(movementOf({ id: 'constructor', pose: 'plank', movement: 'toString' })).toBe(BY_POSE.plank);
    expect(movementOf({ check: 'own-check', pose: 'seated' })).toBe(BY_POSE.seated);
    for (const movement of Object.values(BY_POSE)) expect(() => prepare(movement, { stature: 1.7 })).not.toThrow();
  });
});
