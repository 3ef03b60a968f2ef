import type { Drill, FaultId } from '../drills/index.ts';
import { type KeyPose, MIDDLE, MIDDLE_JOINTS, type Movement, PAIRED, PAIRED_JOINTS, type Pose, type View } from '../motion/index.ts';

/** What a fault changes of a movement: angles that are added or set, in degrees, and where the pelvis goes. */
interface FaultFigure {
  readonly add?: Pose;
  readonly set?: Pose;
  readonly by?: KeyPose['by'];
  readonly shift?: KeyPose['shift'];
  /** It shows on the way only; else from the start. */
  readonly onTheWay?: true;
  /** Drills on which it can not be drawn: their contacts or limits forbid it. */
  readonly not?: readonly string[];
  /** The hands stay where they are and turn as they must: a flat palm would hold the elbow. */
  readonly handsTurn?: true;
  /** It is looked at from near where the movement is; else the whole body tells. */
  readonly near?: true;
  /** From where it is seen best; absent: as the movement. */
  readonly view?: View;
}

/** How faults look, where a figure can show it (common practice, no source; angles chosen to be seen). */
const FIGURES: Readonly<Record<FaultId, FaultFigure>> = {
  'ribs-flare': { add: { flex: -24, nod: -6 }, view: 'side', not: ['ribs-and-pelvis'] },
  'low-back-arches': { add: { flex: -23 }, view: 'side', not: ['prone-a-lifts', 'prone-i-lifts'] },
  'back-rounds': { add: { flex: 40, nod: 10 }, onTheWay: true, view: 'side' },
  'hips-sag': { add: { flex: -16, both: { hip: -16 } }, view: 'side' },
  shrug: { set: { both: { lift: 30 } } },
  'elbows-bend': { set: { both: { elbow: 42 } } },
  'elbows-lock': { set: { both: { elbow: -6 } }, not: ['back-of-hand-stretch', 'forearm-stretch'] },
  'elbows-flare': {
    set: { both: { plane: -5, raise: 88, rotate: 80 } },
    onTheWay: true,
    handsTurn: true,
    view: 'front',
    not: ['practice-tips-lowered'],
  },
  'wrist-sideways': { set: { both: { deviate: -34 } }, near: true },
  'wrist-folds': { add: { both: { wrist: -48 } }, near: true },
  'chin-pokes': { add: { nod: -34 }, view: 'side' },
  'neck-leads': { add: { nod: -34 }, view: 'side' },
  'head-sinks': { add: { nod: 30, both: { reach: -26 } }, view: 'side' },
  leans: { add: { bend: 20, tilt: 8 }, view: 'front' },
  'leans-back': { add: { pitch: -22, flex: 20 }, onTheWay: true, view: 'side' },
  'hips-turn': { add: { spin: 26 }, onTheWay: true, view: 'behind at an angle' },
  'trunk-turns': { add: { turn: 32, look: -10 }, onTheWay: true, view: 'three-quarter' },
  'elbow-leaves-ribs': { add: { both: { plane: -20, raise: 34 } }, onTheWay: true, view: 'front' },
  'shoulder-sinks': { add: { both: { reach: -28, lift: 12 } } },
  'rocks-back': { by: [-0.13, 0, -0.03], view: 'side' },
  'legs-kick': { add: { right: { hip: 58, knee: 64 } }, onTheWay: true, view: 'side' },
  swings: { add: { pitch: 15 }, by: [-0.12, 0, 0.02], view: 'side', not: ['practice-slow-lowering'] },
  'one-arm-more': { add: { bend: 14, roll: 6 }, onTheWay: true, view: 'front' },
  'elbows-slide-apart': {
    shift: { 'right forearm': [0, -0.13, 0], 'left forearm': [0, 0.13, 0] },
    view: 'front',
    not: ['practice-inversion-exit'],
  },
  'hand-clenches': { set: { both: { curl: 90 } }, near: true },
  'fingers-claw': { set: { both: { curl: 62, knuckle: -10 } }, near: true },
  'arm-leads': { set: { both: { lift: 30 } }, onTheWay: true },
  'forearm-moves': { add: { both: { elbow: 26 } }, onTheWay: true },
};

/** The faults that a figure can show. */
export const SHOWN_FAULTS: readonly FaultId[] = Object.keys(FIGURES);

/** Whether a figure can show what a fault makes of a drill. */
export function showsFault({ id, movement }: Pick<Drill, 'id' | 'movement'>, fault: FaultId): boolean {
  return Object.hasOwn(FIGURES, fault) && !FIGURES[fault]?.not?.includes(movement ?? id);
}

/** No fault bends a joint further than it goes. */
const within = (value: number, [min, max]: readonly [number, number]) => Math.min(max, Math.max(min, value));

type SideAngles = NonNullable<Pose['both']>;
type Combine = (was: number, now: number) => number;

/** A pose with some of its angles changed; what it inherits stands in `under`. */
function changed(pose: Pose, under: Pose, by: Pose, combine: Combine): Pose {
  const sideOf = (side: 'right' | 'left'): SideAngles => {
    const change = { ...by.both, ...by[side] };
    return Object.fromEntries(
      PAIRED_JOINTS.flatMap((joint) => {
        const now = change[joint];
        if (now === undefined) return [];
        const was = pose[side]?.[joint] ?? pose.both?.[joint] ?? under[side]?.[joint] ?? under.both?.[joint] ?? 0;
        return [[joint, within(combine(was, now), PAIRED[joint])]];
      }),
    );
  };
  const middle = Object.fromEntries(
    MIDDLE_JOINTS.flatMap((joint) => {
      const now = by[joint];
      return now === undefined ? [] : [[joint, within(combine(pose[joint] ?? under[joint] ?? 0, now), MIDDLE[joint])]];
    }),
  );
  return { ...pose, ...middle, right: { ...pose.right, ...sideOf('right') }, left: { ...pose.left, ...sideOf('left') } };
}

/**
 * A movement as it looks with a fault: the same with one change.
 *
 * @returns nothing where no figure shows this fault
 * @example faulty(movementOf(plank), 'hips-sag')?.start.flex // -16
 */
export function faulty(movement: Movement, fault: FaultId): Movement | undefined {
  const figure = Object.hasOwn(FIGURES, fault) ? FIGURES[fault] : undefined;
  if (!figure) return undefined;
  const { closeUp, ...whole } = movement;
  const { add = {}, set = {}, by, shift, onTheWay, near, handsTurn, view = movement.view } = figure;
  const contacts = handsTurn ? movement.contacts.map((c) => (c.part === 'palm' ? { ...c, part: 'hand' as const } : c)) : movement.contacts;
  const spoilt = (pose: Pose, under: Pose) =>
    changed(
      changed(pose, under, add, (was, now) => was + now),
      under,
      set,
      (_, now) => now,
    );
  const written: readonly KeyPose[] = movement.keys.length > 0 ? movement.keys : [{}];
  const begun = (onTheWay ?? (by !== undefined || shift !== undefined)) ? movement.start : spoilt(movement.start, {});
  const keys = written.map((key): KeyPose => {
    const pose = spoilt(key, movement.start);
    const away = by && ([0, 1, 2] as const).map((i) => (key.by?.[i] ?? 0) + by[i]);
    return {
      ...pose,
      ...(key.off ? { off: key.off } : {}),
      ...(away ? { by: [away[0] ?? 0, away[1] ?? 0, away[2] ?? 0] as const } : key.by ? { by: key.by } : {}),
      ...(shift ? { shift: { ...key.shift, ...shift } } : key.shift ? { shift: key.shift } : {}),
    };
  });
  return { ...whole, ...(near && closeUp ? { closeUp } : {}), contacts, start: begun, keys, view };
}
