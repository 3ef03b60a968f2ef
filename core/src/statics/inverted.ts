import type { Assumed } from './assumptions.ts';
import { handFrom, RISE_M } from './hands.ts';
import { shankFrom } from './kneeling.ts';
import { along, degrees } from './plane.ts';
import { cm, impossible } from './position.ts';
import { type Build, centreOf, contact, massesOf, type Scenery, type Stance, support } from './stance.ts';

/** A straight body upside down over hands or forearms, its feet resting against a wall behind or free of it. */
export function inverted(b: Build, on: 'hands' | 'forearms', wallM: number, assumed: Assumed): Stance {
  const arms = on === 'hands' ? b.arm : b.upperArm;
  const long = arms + b.trunk + b.thigh + b.shank;
  if (!(wallM < long * 0.5)) throw impossible(`${cm(wallM)} from the wall is a pike, not an inversion; come nearer to the wall.`);
  const line = 90 + degrees(Math.asin(wallM / long));
  const base = { x: 0, y: RISE_M };
  const elbow = on === 'hands' ? along(base, line, b.forearm) : base;
  const shoulder = along(base, line, arms);
  const hip = along(shoulder, line, b.trunk);
  const knee = along(hip, line, b.thigh);
  const wrist = on === 'hands' ? base : along(base, 0, b.forearm);
  const hand = on === 'hands' ? handFrom('flat', wrist, line - 180, b.hand) : { knuckles: along(wrist, 0, b.hand), wristExtensionDeg: 0 };
  const { toe, ball, heel, ankle } = shankFrom(b, knee, line);
  const joints = {
    toe,
    ball,
    heel,
    ankle,
    knee,
    hip,
    shoulder,
    crown: along(shoulder, line + 180 + (on === 'hands' ? 0 : 50), b.crown * 0.9),
    elbow,
    wrist,
    knuckles: hand.knuckles,
  };
  const masses = massesOf(joints, b);
  const centre = centreOf(masses);
  const free = wallM === 0;
  // Free of the wall the pressure lies under the weight, wherever the hand has to put it.
  const pressure = { x: free ? centre.x : on === 'hands' ? assumed.pressureCentreM : assumed.forearmPressureM, y: 0 };
  const push = free ? 0 : (pressure.x - centre.x) / joints.ankle.y;
  const carried = support(on, 'level', 2, pressure, { fx: -push, fy: 1 }, joints);
  const floor: Scenery = { kind: 'floor', from: { x: -wallM - 0.3, y: 0 }, to: { x: 0.5, y: 0 } };
  return {
    joints,
    masses,
    supports: [carried],
    others: free ? [] : [contact('wall', 'upright', joints.ankle, push, 0)],
    wristExtensionDeg: hand.wristExtensionDeg,
    grip: 0,
    scenery: () =>
      free
        ? [floor]
        : [floor, { kind: 'wall', from: { x: joints.ankle.x - 0.06, y: 0 }, to: { x: joints.ankle.x - 0.06, y: joints.ankle.y + 0.3 } }],
  };
}
