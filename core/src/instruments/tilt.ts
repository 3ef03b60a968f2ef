/** Up, as a device feels it: a unit vector along the device's own axes (x to its right, y to its top, z out of its screen). */
export type UpVector = readonly [x: number, y: number, z: number];

const RADIANS = Math.PI / 180;

/**
 * Up in the device's own axes from the angles that browsers report (W3C DeviceOrientation: intrinsic
 * Z–X′–Y″; the turn about the vertical does not matter).
 *
 * @param beta degrees, tilt of the top edge
 * @param gamma degrees, tilt of the right edge
 * @example upFrom(90, 0) // upright: about [0, 1, 0]
 */
export function upFrom(beta: number, gamma: number): UpVector {
  const [b, g] = [beta * RADIANS, gamma * RADIANS];
  return [-Math.cos(b) * Math.sin(g), Math.sin(b), Math.cos(b) * Math.cos(g)];
}

/**
 * How far a device has turned against gravity since it was set to zero, degrees from 0 to 180. It
 * does not matter along which edge it lies; a turn about the vertical is not felt.
 *
 * @example turnedSince(upFrom(0, 0), upFrom(35, 0)) // 35
 */
export function turnedSince(zero: UpVector, now: UpVector): number {
  const [cx, cy, cz] = [zero[1] * now[2] - zero[2] * now[1], zero[2] * now[0] - zero[0] * now[2], zero[0] * now[1] - zero[1] * now[0]];
  const dot = zero[0] * now[0] + zero[1] * now[1] + zero[2] * now[2];
  return Math.atan2(Math.hypot(cx, cy, cz), dot) / RADIANS;
}
