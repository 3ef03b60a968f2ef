import type { Vec, View } from '@myokinet/core/motion';

/** A point on the picture, metres, y down, and how near it is. */
export interface Seen {
  readonly x: number;
  readonly y: number;
  readonly near: number;
}

/** Where the camera stands: degrees round from the right side toward the front, and how far above. */
const STANDS: Readonly<Record<View, readonly [round: number, above: number]>> = {
  side: [0, 0],
  'left side': [180, 0],
  front: [90, 0],
  back: [-90, 0],
  'three-quarter': [42, 16],
  'behind at an angle': [-48, 16],
  above: [0, 89],
};

/** Looks at a point from a view. */
export function lookedAt(view: View): (point: Vec) => Seen {
  const [round, above] = STANDS[view].map((d) => (d * Math.PI) / 180) as [number, number];
  const [c, s] = [Math.cos(round), Math.sin(round)];
  const [ca, sa] = [Math.cos(above), Math.sin(above)];
  return ([x, y, z]) => {
    // Seen from the right side, forward is to the right of the picture, and what is at the right is near.
    const across = x * c + y * s;
    const depth = x * s - y * c;
    return { x: across, y: -(z * ca - depth * sa * 1), near: depth * ca + z * sa };
  };
}
