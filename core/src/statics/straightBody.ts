import { closingAngles, degrees, type Point, radians } from './plane.ts';
import type { Build, Joints } from './stance.ts';

/** A body in one line from ankle to shoulder, on the balls of its feet, the sole square to the shank. */
export interface StraightBody extends Omit<Joints, 'elbow' | 'wrist' | 'knuckles'> {
  /** Lean of the line from level, in degrees. */
  readonly lean: number;
}

/** The straight body at a lean, with the ball of the foot at `ball`. */
export function straightBody(b: Build, ball: Point, lean: number): StraightBody {
  const t = radians(lean);
  const [ux, uy] = [Math.cos(t), Math.sin(t)];
  const up = (metres: number, along: number): Point => ({ x: ball.x + metres * ux - along * uy, y: ball.y + metres * uy + along * ux });
  const shoulder = b.ankle + b.shank + b.thigh + b.trunk;
  return {
    lean,
    ball,
    toe: up(0, b.heelToBall - b.foot),
    heel: up(0, b.heelToBall),
    ankle: up(b.ankle, b.ballToAnkle),
    knee: up(b.ankle + b.shank, b.ballToAnkle),
    hip: up(b.ankle + b.shank + b.thigh, b.ballToAnkle),
    shoulder: up(shoulder, b.ballToAnkle),
    crown: up(shoulder + b.crown, b.ballToAnkle),
  };
}

/** A straight body with an arm, as the joints of a stance. */
export function withArm(
  { toe, ball, heel, ankle, knee, hip, shoulder, crown }: StraightBody,
  elbow: Point,
  wrist: Point,
  knuckles: Point,
): Joints {
  return { toe, ball, heel, ankle, knee, hip, shoulder, crown, elbow, wrist, knuckles };
}

/** Distance of a point on the line from the ball of the foot, and its angle when the line lies level. */
export function armTo(b: Build, long: number): { readonly reach: number; readonly off: number } {
  return { reach: Math.hypot(long, b.ballToAnkle), off: degrees(Math.atan2(b.ballToAnkle, long)) };
}

const shoulderArm = (b: Build) => armTo(b, b.ankle + b.shank + b.thigh + b.trunk);

/** Lean at which the shoulder is so high over the ball of the foot; `undefined` where it can not be. */
export function leanForShoulder(b: Build, above: number): number | undefined {
  const { reach, off } = shoulderArm(b);
  return closingAngles([[reach, off]], above)?.[0];
}

/**
 * Lean at which a straight arm that keeps its angle to the trunk just meets a surface: the arm hangs straight down at
 * the lean `floor`, and turns with the body from there.
 */
export function leanForTurnedArm(b: Build, above: number, floor: number): number | undefined {
  const { reach, off } = shoulderArm(b);
  return closingAngles(
    [
      [reach, off],
      [-b.arm, 90 - floor],
    ],
    above,
  )?.[0];
}

/** Lean at which the shoulder is so far from a point; the more upright of the two. */
export function leanForReach(b: Build, from: Point, metres: number): number | undefined {
  const { reach, off } = shoulderArm(b);
  const away = Math.hypot(from.x, from.y);
  const cosine = (reach * reach + away * away - metres * metres) / (2 * reach * away);
  return Math.abs(cosine) > 1 ? undefined : degrees(Math.atan2(from.y, from.x) + Math.acos(cosine)) - off;
}
