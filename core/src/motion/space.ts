/** A point or a way in space, metres: x forward, y to the left, z up. */
export type Vec = readonly [x: number, y: number, z: number];

/** A turn in space: where the three axes of a body part point, row by row. */
export type Turn = readonly [number, number, number, number, number, number, number, number, number];

const DEGREE = Math.PI / 180;

/** About the axis that points forward: a positive turn tips the head to the right. */
export function aboutX(degrees: number): Turn {
  const [c, s] = [Math.cos(degrees * DEGREE), Math.sin(degrees * DEGREE)];
  return [1, 0, 0, 0, c, -s, 0, s, c];
}

/** About the axis that points to the left: a positive turn tips the head forward. */
export function aboutY(degrees: number): Turn {
  const [c, s] = [Math.cos(degrees * DEGREE), Math.sin(degrees * DEGREE)];
  return [c, 0, s, 0, 1, 0, -s, 0, c];
}

/** About the axis that points up: a positive turn looks to the left. */
export function aboutZ(degrees: number): Turn {
  const [c, s] = [Math.cos(degrees * DEGREE), Math.sin(degrees * DEGREE)];
  return [c, -s, 0, s, c, 0, 0, 0, 1];
}

/**
 * About a level axis that points so many degrees to the left of forward.
 *
 * @example aboutLevel(90, 30) // aboutY(30)
 */
export function aboutLevel(axis: number, degrees: number): Turn {
  return after(after(aboutZ(axis), aboutX(degrees)), aboutZ(-axis));
}

/** One turn, and within it another. */
export function after(a: Turn, b: Turn): Turn {
  return [
    a[0] * b[0] + a[1] * b[3] + a[2] * b[6],
    a[0] * b[1] + a[1] * b[4] + a[2] * b[7],
    a[0] * b[2] + a[1] * b[5] + a[2] * b[8],
    a[3] * b[0] + a[4] * b[3] + a[5] * b[6],
    a[3] * b[1] + a[4] * b[4] + a[5] * b[7],
    a[3] * b[2] + a[4] * b[5] + a[5] * b[8],
    a[6] * b[0] + a[7] * b[3] + a[8] * b[6],
    a[6] * b[1] + a[7] * b[4] + a[8] * b[7],
    a[6] * b[2] + a[7] * b[5] + a[8] * b[8],
  ];
}

/** A way given in the axes of a turned part, in the axes of the room. */
export function turned(t: Turn, [x, y, z]: Vec): Vec {
  return [t[0] * x + t[1] * y + t[2] * z, t[3] * x + t[4] * y + t[5] * z, t[6] * x + t[7] * y + t[8] * z];
}

/** The point that lies in the direction of a turned part from another. */
export function from([x, y, z]: Vec, t: Turn, way: Vec): Vec {
  const [dx, dy, dz] = turned(t, way);
  return [x + dx, y + dy, z + dz];
}

export function apart(a: Vec, b: Vec): number {
  return Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
}

export function midway(a: Vec, b: Vec, share = 0.5): Vec {
  return [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share, a[2] + (b[2] - a[2]) * share];
}
