import { Refusal } from '../errors.ts';

/** A point on a picture: pixels, x to the right and y down. */
export interface PicturePoint {
  readonly x: number;
  readonly y: number;
  /** Standard deviation of where it was put, pixels; the one of {@link AngleOptions} where it is not known. */
  readonly error?: number;
}

/** The three landmarks of an angle: it lies at `vertex`, between `first` and `second`. */
export interface AnglePoints {
  readonly first: PicturePoint;
  readonly vertex: PicturePoint;
  readonly second: PicturePoint;
}

/** One segment, whose angle is taken against the vertical or the floor. */
export interface SegmentPoints {
  readonly from: PicturePoint;
  readonly to: PicturePoint;
}

/** Something in the picture that is known to hang or to lie level. */
export interface ReferenceLine {
  readonly kind: 'plumb' | 'floor';
  readonly a: PicturePoint;
  readonly b: PicturePoint;
}

export interface AngleOptions {
  /** Standard deviation of placing a point, pixels. */
  readonly picking?: number;
  /** A plumb or floor line that tells the camera's roll. */
  readonly reference?: ReferenceLine;
  /** True length of the first arm ÷ true length of the second, from the body's proportions. */
  readonly proportion?: number;
}

export type PictureWarning = 'foreshortened' | 'short on screen' | 'roll unknown';

/** An angle read from a picture, degrees. */
export interface PictureAngle {
  /** From above −180 to 180: between three landmarks from the first arm to the second, counter-clockwise as the eye sees it. */
  readonly angle: number;
  /** From picking the points, and from the camera's roll where it matters. */
  readonly standardError: number;
  readonly warnings: readonly { readonly kind: PictureWarning; readonly sentence: string }[];
}

/** Project defaults for a coach's finger or mouse and a hand-held camera. */
export const PICTURE_DEFAULTS = { picking: 3, unknownRoll: 2, shortArm: 60, foreshortened: 0.8 } as const;

const DEGREES = 180 / Math.PI;

/**
 * The angle at a landmark between two others, or of a segment against the vertical, with its
 * uncertainty.
 *
 * With the coordinates of each point off by its own σ, the direction of each arm turns by its end's error across it over its length,
 * and both arms share the vertex: σ_θ² = σ_a²/|a|² + σ_c²/|c|² + σ_v²·(1/|a|² + 1/|c|² − 2·cos θ/(|a||c|)) rad² (first-order
 * propagation, derived here and checked by simulation; with one σ for all it is 2σ²·(1/|a|² + 1/|c|² − cos θ/(|a||c|))). A camera that rolls turns both
 * arms alike and leaves the angle between them; a single segment needs a plumb or floor line, whose
 * own error σ_r² = 2σ²/L² adds; without one an unknown roll of 2° does (project default).
 *
 * @param points pixels, three landmarks or one segment
 * @param options picking error, reference line, proportions
 * @throws Refusal `landmarks-coincide`
 * The angle is signed: near 0 and 180° an unsigned one is biased toward bent, and 190° would read as 170°.
 *
 * @example jointAngle({ first: { x: 0, y: 100 }, vertex: { x: 0, y: 0 }, second: { x: 100, y: 0 } }).angle // 90
 * @example jointAngle({ first: { x: 0, y: 100 }, vertex: { x: 0, y: 0 }, second: { x: -100, y: 0 } }).angle // -90
 */
export function jointAngle(points: AnglePoints | SegmentPoints, options: AngleOptions = {}): PictureAngle {
  return 'vertex' in points ? betweenArms(points, options) : againstVertical(points, options);
}

function betweenArms({ first, vertex, second }: AnglePoints, { picking = PICTURE_DEFAULTS.picking, proportion }: AngleOptions) {
  const a = arm(vertex, first);
  const c = arm(vertex, second);
  // The picture’s y points down: the sign is turned to what the eye sees.
  const theta = Math.atan2(a.y * c.x - a.x * c.y, a.x * c.x + a.y * c.y);
  const of = (point: PicturePoint) => (point.error ?? picking) ** 2;
  const both = 1 / a.length ** 2 + 1 / c.length ** 2 - (2 * Math.cos(theta)) / (a.length * c.length);
  const variance = of(first) / a.length ** 2 + of(second) / c.length ** 2 + of(vertex) * both;
  return {
    angle: wrapped(theta * DEGREES),
    standardError: Math.sqrt(variance) * DEGREES,
    warnings: [...shortness([a.length, c.length]), ...foreshortening(a.length, c.length, proportion)],
  };
}

/** Against the vertical: 0° straight up, positive to the right. */
function againstVertical({ from, to }: SegmentPoints, { picking = PICTURE_DEFAULTS.picking, reference }: AngleOptions): PictureAngle {
  const a = arm(from, to);
  const seen = Math.atan2(a.x, -a.y) * DEGREES;
  const placed = (...points: readonly PicturePoint[]) => points.reduce((sum, p) => sum + (p.error ?? picking) ** 2, 0);
  const own = placed(from, to) / a.length ** 2;
  if (!reference)
    return {
      angle: wrapped(seen),
      standardError: Math.hypot(Math.sqrt(own) * DEGREES, PICTURE_DEFAULTS.unknownRoll),
      warnings: [
        ...shortness([a.length]),
        {
          kind: 'roll unknown',
          sentence: `The camera may be tilted: draw along something that hangs or lies level; until then ${PICTURE_DEFAULTS.unknownRoll}° are added to the error.`,
        },
      ],
    };
  const line = arm(reference.a, reference.b);
  return {
    angle: wrapped(seen - rollOf(reference)),
    standardError: Math.sqrt(own + placed(reference.a, reference.b) / line.length ** 2) * DEGREES,
    warnings: shortness([a.length]),
  };
}

/**
 * How far a camera was rolled, degrees, positive when what hangs seems to lean right at its top.
 *
 * @throws Refusal `landmarks-coincide`
 * @example rollOf({ kind: 'plumb', a: { x: 0, y: 100 }, b: { x: 0, y: 0 } }) // 0
 */
export function rollOf({ kind, a, b }: ReferenceLine): number {
  const line = arm(a, b);
  const angle = kind === 'plumb' ? Math.atan2(line.x, -line.y) * DEGREES : Math.atan2(line.y, line.x) * DEGREES;
  // Nobody holds a camera upside down: either end of the line may be drawn first.
  return angle > 90 ? angle - 180 : angle < -90 ? angle + 180 : angle;
}

function arm(from: PicturePoint, to: PicturePoint) {
  const [x, y] = [to.x - from.x, to.y - from.y];
  const length = Math.hypot(x, y);
  if (!(length >= 1)) throw new Refusal('landmarks-coincide', 'Two landmarks lie on the same spot; drag them apart.');
  return { x, y, length };
}

/**
 * An angle brought into the turn that begins above `from`.
 *
 * @example wrapped(-170, -90) // 190
 */
export function wrapped(angle: number, from = -180): number {
  const turned = angle - 360 * Math.ceil((angle - from) / 360 - 1);
  return turned <= from ? turned + 360 : turned > from + 360 ? turned - 360 : turned;
}

function shortness(lengths: readonly number[]): PictureAngle['warnings'] {
  const shortest = Math.min(...lengths);
  if (shortest >= PICTURE_DEFAULTS.shortArm) return [];
  const sentence = `A limb is only ${Math.round(shortest)} pixels long; from ${PICTURE_DEFAULTS.shortArm} on an angle can be trusted. Come closer or zoom in.`;
  return [{ kind: 'short on screen', sentence }];
}

function foreshortening(a: number, c: number, proportion: number | undefined): PictureAngle['warnings'] {
  if (proportion === undefined) return [];
  const seen = a / c / proportion;
  const shorter = Math.min(seen, 1 / seen);
  if (shorter >= PICTURE_DEFAULTS.foreshortened) return [];
  const tilt = Math.round(Math.acos(shorter) * DEGREES);
  const which = seen < 1 ? 'first' : 'second';
  return [
    {
      kind: 'foreshortened',
      sentence: `The ${which} limb looks too short for this body: it may point about ${tilt}° toward or away from the camera. Film square to the movement.`,
    },
  ];
}
