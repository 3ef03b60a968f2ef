import { RISE_M } from '../hands.ts';
import { along, degrees } from '../plane.ts';
import { cm, height, impossible, position } from '../position.ts';
import { massesOf, reactionToward, remainder, support } from '../stance.ts';
import { leanForShoulder, straightBody, withArm } from '../straightBody.ts';

export const FOREARM_PLANK = position({
  id: 'forearm-plank',
  name: 'Forearm plank',
  direction: 'push',
  carriedBy: 'forearms',
  dials: { leanM: height('Shoulders ahead of the elbows', 0.2, 0, -0.1) },
  choices: { facing: { label: 'Body', options: ['face down', 'on the side'], usual: 'face down' } },
  harder: [{ dial: 'leanM', from: -0.1, to: 0.2 }],
  assumes: ['armLeanDeg', 'forearmPressureM', 'armLength', 'upperMass'],
  honest: ({ facing }) => (facing === 'on the side' ? ['On the side the top arm is taken to hang where the lower one is.'] : []),
  place(b, { leanM, facing }, assumed) {
    if (!(Math.abs(leanM) < b.upperArm * 0.9))
      throw impossible(`A lean of ${cm(leanM)} is longer than the upper arm of ${cm(b.upperArm)}.`);
    const tilt = degrees(Math.asin(leanM / b.upperArm));
    const lean = leanForShoulder(b, Math.sqrt(b.upperArm ** 2 - leanM ** 2) + RISE_M) ?? 0;
    const body = straightBody(b, { x: 0, y: 0 }, lean);
    const elbow = along(body.shoulder, -90 - tilt - assumed.armLeanDeg, b.upperArm);
    const wrist = along(elbow, 0, b.forearm);
    const knuckles = along(wrist, 0, b.hand);
    const joints = withArm(body, elbow, wrist, knuckles);
    const masses = massesOf(joints, b);
    const pressure = { x: elbow.x + assumed.forearmPressureM, y: 0 };
    const carried = support(
      'forearms',
      'level',
      facing === 'on the side' ? 1 : 2,
      pressure,
      reactionToward(masses, body.ball, pressure, body.shoulder),
      joints,
    );
    return {
      joints,
      masses,
      supports: [carried],
      others: [remainder(body.ball, 'feet', 'level', masses, [carried])],
      wristExtensionDeg: 0,
      grip: 0,
      scenery: () => [{ kind: 'floor', from: { x: -0.25, y: 0 }, to: { x: knuckles.x + 0.25, y: 0 } }],
    };
  },
});
