/** A point of the side view in metres: x toward the hands' end, y up. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

const DEGREE = Math.PI / 180;

export const radians = (degrees: number): number => degrees * DEGREE;
export const degrees = (angle: number): number => angle / DEGREE;

/** The point so many metres from another in a direction, degrees counter-clockwise from forward. */
export function along(from: Point, direction: number, metres: number): Point {
  const angle = radians(direction);
  return { x: from.x + metres * Math.cos(angle), y: from.y + metres * Math.sin(angle) };
}

export function distance(a: Point, b: Point): number {
  return Math.hypot(b.x - a.x, b.y - a.y);
}

/** Direction from one point to another, in degrees counter-clockwise from forward. */
export function direction(a: Point, b: Point): number {
  return degrees(Math.atan2(b.y - a.y, b.x - a.x));
}

export function between(a: Point, b: Point, share: number): Point {
  return { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share };
}

/**
 * Where two rods joined end to end bend, so that they lead from one point to another.
 *
 * @param side 1: the bend lies left of the way from `from` to `to`; -1: right of it
 * @returns `undefined` when the rods are too short or too long to join the points
 */
export function bend(from: Point, to: Point, first: number, second: number, side: 1 | -1): Point | undefined {
  const reach = distance(from, to);
  if (reach > first + second || reach < Math.abs(first - second) || reach === 0) return undefined;
  const forward = (reach * reach + first * first - second * second) / (2 * reach);
  const off = side * Math.sqrt(Math.max(0, first * first - forward * forward));
  const [ux, uy] = [(to.x - from.x) / reach, (to.y - from.y) / reach];
  return { x: from.x + forward * ux - off * uy, y: from.y + forward * uy + off * ux };
}

/**
 * The angles at which a sum of sines reaches a height: Σ size·sin(θ + phase) = target. Rods joined at fixed angles
 * close on a surface at such an angle.
 *
 * @param terms sizes in metres, phases in degrees
 * @returns the two angles in degrees, the rising one first; `undefined` where the height is out of reach
 */
export function closingAngles(
  terms: readonly (readonly [size: number, phase: number])[],
  target: number,
): readonly [number, number] | undefined {
  let [a, c] = [0, 0];
  for (const [size, phase] of terms) {
    a += size * Math.cos(radians(phase));
    c += size * Math.sin(radians(phase));
  }
  const sine = target / Math.hypot(a, c);
  if (!(Math.abs(sine) <= 1)) return undefined;
  const [angle, phase] = [degrees(Math.asin(sine)), degrees(Math.atan2(c, a))];
  return [angle - phase, 180 - angle - phase];
}
