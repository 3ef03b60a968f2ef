import {
  type CloseUp,
  frameAt,
  midway,
  type Prepared,
  type Skeleton,
  stripOf,
  type Vec,
  type View,
  WRITTEN_FOR,
} from '@myokinet/core/motion';
import { lookedAt, type Seen } from './camera.ts';
import { drawn } from './drawn.ts';

/** A look from near: at what, and from where. */
export interface Crop {
  readonly of: CloseUp;
}

export interface Box {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

interface Window {
  readonly box: (skeleton: Skeleton) => Box;
  readonly camera: (skeleton: Skeleton) => (point: Vec) => Seen;
}

/** Half the breadth of a look from near, metres. */
const NEAR = { hand: 0.2, blades: 0.3 } as const;
const MARGIN = 0.07;

const boxes = new WeakMap<Prepared, Map<View, Box>>();

/** What of the picture is shown: all that the movement ever takes up, or what lies round a hand or the blades. */
export function windowOf(prepared: Prepared, view: View, crop: Crop | undefined): Window {
  const k = prepared.frame.statureM / WRITTEN_FOR;
  if (crop?.of === 'blades') {
    return {
      camera: behindTrunk,
      box: (s) => around(behindTrunk(s)(midway(s.right.blade[2], s.left.blade[2])), NEAR.blades * k),
    };
  }
  const see = lookedAt(view);
  if (crop) {
    const side = crop.of === 'left hand' ? 'left' : 'right';
    return { camera: () => see, box: (s) => around(see(s[side].wrist), NEAR.hand * k) };
  }
  return { camera: () => see, box: () => wholeOf(prepared, view) };
}

function around({ x, y }: Seen, half: number): Box {
  return { left: x - half, top: y - half, width: 2 * half, height: 2 * half };
}

/** From behind the trunk, whichever way it lies: its head is up, its left side is to the left. */
function behindTrunk({ waist, chestTurn: t }: Skeleton): (point: Vec) => Seen {
  return ([x, y, z]) => {
    const [dx, dy, dz] = [x - waist[0], y - waist[1], z - waist[2]];
    const along = (axis: 0 | 1 | 2) => dx * t[axis] + dy * (t[3 + axis] ?? 0) + dz * (t[6 + axis] ?? 0);
    return { x: -along(1), y: -along(2), near: -along(0) };
  };
}

/** The box that holds the body and its equipment all the way; worked out once. */
function wholeOf(prepared: Prepared, view: View): Box {
  const known = boxes.get(prepared) ?? new Map<View, Box>();
  boxes.set(prepared, known);
  const found = known.get(view);
  if (found) return found;
  const see = lookedAt(view);
  let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const travel of stripOf(prepared.movement)) {
    for (const { ink, points, width } of drawn({ prepared, skeleton: frameAt(prepared, travel), view, see })) {
      if (ink === 'ground') continue;
      for (const [x, y] of points) {
        left = Math.min(left, x - width / 2);
        right = Math.max(right, x + width / 2);
        top = Math.min(top, y - width / 2);
        bottom = Math.max(bottom, y + width / 2);
      }
    }
  }
  const box = { left: left - MARGIN, top: top - MARGIN, width: right - left + 2 * MARGIN, height: bottom - top + 2 * MARGIN };
  known.set(view, box);
  return box;
}
