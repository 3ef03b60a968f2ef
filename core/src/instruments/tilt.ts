import type { Measure } from '../measuring/index.ts';

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
 * How far a device has turned against gravity since it was set to zero, degrees from 0 to 180, whichever way. It does not matter along
 * which edge it lies; a turn about the vertical is not felt.
 *
 * @example turnedSince(upFrom(0, 0), upFrom(35, 0)) // 35
 */
export function turnedSince(zero: UpVector, now: UpVector): number {
  return Math.atan2(lengthOf(cross(zero, now)), dot(zero, now)) / RADIANS;
}

/** The plane in which a limb turns and the way that counts, both from one small turn. */
export interface TurnPlane {
  readonly zero: UpVector;
  /** Unit vector about which more is a turn against the clock. */
  readonly axis: UpVector;
}

/** Degrees that a turn must have to show a direction. */
export const DIRECTION_NEEDS = 10;

/**
 * The plane and the direction of a check, from where the device was set to zero and a turn of at least ten degrees the way that is more.
 *
 * @returns nothing where it has turned too little to tell, or nearly all the way round
 */
export function turnPlane(zero: UpVector, further: UpVector): TurnPlane | undefined {
  const turned = turnedSince(zero, further);
  if (turned < DIRECTION_NEEDS || turned > 180 - DIRECTION_NEEDS) return undefined;
  const axis = cross(zero, further);
  const length = lengthOf(axis);
  return { zero, axis: [axis[0] / length, axis[1] / length, axis[2] / length] };
}

/**
 * How far a device has turned in its plane, signed: against the direction is negative. And how far it leans out of that plane.
 *
 * @param previous the last angle: what goes on beyond straight up reads 190°, not −170°
 * @example turnIn(turnPlane(upFrom(0, 0), upFrom(20, 0))!, upFrom(-35, 0)).angle // −35
 */
export function turnIn({ zero, axis }: TurnPlane, now: UpVector, previous = 0): { readonly angle: number; readonly outOfPlane: number } {
  const turned = Math.atan2(dot(axis, cross(zero, now)), dot(zero, now)) / RADIANS;
  const angle = turned + 360 * Math.round((previous - turned) / 360);
  return { angle, outOfPlane: Math.asin(Math.min(1, Math.abs(dot(axis, now)))) / RADIANS };
}

/**
 * Whether a tilt sensor can feel the movement of a check: a turn about the vertical it cannot. Standing or seated that is an arm moved
 * across and a turned head, and of a forearm that lies on a table a hand moved sideways; lying down it is an arm moved out to the side.
 * An angle between two parts of the body is not one turn.
 *
 * @example tiltFeels({ motion: 'ulnar deviation', position: 'seated', joint: 'wrist' }) // false
 */
export function tiltFeels({ motion, position, joint, picture }: Pick<Measure, 'motion' | 'position' | 'joint' | 'picture'>): boolean {
  if (picture !== undefined && BETWEEN_TWO.includes(picture)) return false;
  if (position === 'supine') return motion !== 'abduction';
  if (joint === 'wrist') return motion !== 'radial deviation' && motion !== 'ulnar deviation';
  return motion !== 'horizontal adduction' && !(motion === 'rotation' && (position === 'seated' || position === 'standing'));
}

/** Read between two segments that both move, or by a mark on the skin. */
const BETWEEN_TWO: readonly string[] = ['pike-hip-angle', 'elbow-crease'];

function cross(a: UpVector, b: UpVector): UpVector {
  return [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
}

const dot = (a: UpVector, b: UpVector) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const lengthOf = (v: UpVector) => Math.hypot(...v);
