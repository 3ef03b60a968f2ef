import type { PicturePoint } from './jointAngle.ts';

/** Turns, scales and shifts one picture onto another: x′ = a·x − b·y + dx, y′ = b·x + a·y + dy. */
export interface PictureAlignment {
  readonly a: number;
  readonly b: number;
  readonly dx: number;
  readonly dy: number;
}

/**
 * The similarity that lays two landmarks of one picture on the same two of another, so that bodies
 * filmed from another distance or with a tilted camera can be compared as an overlay.
 *
 * @param from two landmarks, pixels of the picture that is moved
 * @param to the same two, pixels of the picture that stays
 * @returns nothing when the two landmarks of `from` lie on one spot
 * @example alignPictures([{ x: 0, y: 0 }, { x: 1, y: 0 }], [{ x: 5, y: 5 }, { x: 5, y: 7 }]) // a 0, b 2, dx 5, dy 5
 */
export function alignPictures(
  from: readonly [PicturePoint, PicturePoint],
  to: readonly [PicturePoint, PicturePoint],
): PictureAlignment | undefined {
  const [x, y] = [from[1].x - from[0].x, from[1].y - from[0].y];
  const [u, v] = [to[1].x - to[0].x, to[1].y - to[0].y];
  const length = x * x + y * y;
  if (length < 1) return undefined;
  const a = (x * u + y * v) / length;
  const b = (x * v - y * u) / length;
  return { a, b, dx: to[0].x - a * from[0].x + b * from[0].y, dy: to[0].y - b * from[0].x - a * from[0].y };
}
