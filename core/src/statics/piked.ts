import type { Assumed } from './assumptions.ts';
import { handFrom, RISE_M } from './hands.ts';
import { along, closingAngles, direction } from './plane.ts';
import { cm, impossible } from './position.ts';
import { type Build, massesOf, reactionToward, remainder, type Scenery, type Stance, support } from './stance.ts';
import { armTo } from './straightBody.ts';

interface Piked {
  readonly on: 'hands' | 'forearms';
  readonly hipAngleDeg: number;
  readonly footHeightM: number;
}

/**
 * Straight legs, a straight line from hips to hands (or elbows), the hips bent by the angle asked: the closing
 * condition fixes how the whole figure stands. The reaction under the arms points to the shoulder.
 */
export function piked(b: Build, { on, hipAngleDeg, footHeightM }: Piked, assumed: Assumed): Stance {
  const legs = armTo(b, b.ankle + b.shank + b.thigh);
  const front = b.trunk + (on === 'hands' ? b.arm : b.upperArm);
  const lean = closingAngles(
    [
      [legs.reach, legs.off],
      [front, hipAngleDeg - 180],
    ],
    RISE_M - footHeightM,
  )?.[0];
  if (lean === undefined) throw impossible(`With the feet ${cm(footHeightM)} high the arms do not reach the floor at this hip angle.`);
  const ball = { x: 0, y: footHeightM };
  const sole = lean + 90;
  const ankle = along(along(ball, sole, b.ballToAnkle), lean, b.ankle);
  const knee = along(ankle, lean, b.shank);
  const hip = along(knee, lean, b.thigh);
  const down = lean - 180 + hipAngleDeg;
  const shoulder = along(hip, down, b.trunk);
  const elbow = along(shoulder, down, b.upperArm);
  const wrist = on === 'hands' ? along(elbow, down, b.forearm) : along(elbow, 0, b.forearm);
  if (elbow.x < ball.x || lean > 130)
    throw impossible(`A hip angle of ${Math.round(hipAngleDeg)}° folds the hands behind the feet; open the hips.`);
  const hand = on === 'hands' ? handFrom('flat', wrist, down, b.hand) : { knuckles: along(wrist, 0, b.hand), wristExtensionDeg: 0 };
  const joints = {
    ball,
    toe: along(ball, sole, b.heelToBall - b.foot),
    heel: along(ball, sole, b.heelToBall),
    ankle,
    knee,
    hip,
    shoulder,
    crown: along(shoulder, direction(hip, shoulder), b.crown),
    elbow,
    wrist,
    knuckles: hand.knuckles,
  };
  const masses = massesOf(joints, b);
  const pressure = { x: on === 'hands' ? wrist.x + assumed.pressureCentreM : elbow.x + assumed.forearmPressureM, y: 0 };
  const carried = support(on, 'level', 2, pressure, reactionToward(masses, ball, pressure, shoulder), joints);
  if (carried.fy > 1)
    throw impossible(`At a hip angle of ${Math.round(hipAngleDeg)}° the weight passes the hands and the feet come off; open the hips.`);
  const floor: Scenery = { kind: 'floor', from: { x: -0.25, y: 0 }, to: { x: hand.knuckles.x + 0.25, y: 0 } };
  return {
    joints,
    masses,
    supports: [carried],
    others: [remainder(ball, 'feet', 'level', masses, [carried])],
    wristExtensionDeg: hand.wristExtensionDeg,
    grip: 0,
    scenery: () =>
      footHeightM > 0.005
        ? [floor, { kind: 'surface', from: { x: -0.25, y: footHeightM }, to: { x: 0.12, y: footHeightM }, legs: 0 }]
        : [floor],
  };
}
