import { HAND_CHOICE, handFrom, placement, straightArm } from '../hands.ts';
import { KNEE_HEIGHT_M, kneesAndShanks, shankFrom } from '../kneeling.ts';
import { along, degrees, direction } from '../plane.ts';
import { angle, cm, height, impossible, position } from '../position.ts';
import { massesOf, reactionToward, support } from '../stance.ts';

export const TABLETOP = position({
  id: 'tabletop',
  name: 'Hands and knees',
  direction: 'push',
  carriedBy: 'hands',
  dials: {
    leanM: height('Hips and shoulders ahead', 0.3, 0, -0.15),
    wedgeDeg: angle('Wedge under the hands', 0, 30, 0),
  },
  choices: { hands: HAND_CHOICE },
  harder: [{ dial: 'leanM', from: -0.15, to: 0.3 }],
  assumes: ['armLeanDeg', 'pressureCentreM', 'armLength', 'upperMass'],
  honest: ({ hands }) => (hands === 'fingertips' ? ['The bend of the wrist over domed fingertips differs much between hands.'] : []),
  place(b, { leanM, wedgeDeg, hands }, assumed) {
    const { rise, beyond } = placement(hands, assumed);
    const knee = { x: 0, y: KNEE_HEIGHT_M };
    const hip = { x: leanM, y: KNEE_HEIGHT_M + Math.sqrt(b.thigh ** 2 - leanM ** 2) };
    const above = Math.sqrt(b.arm ** 2 - leanM ** 2) + rise - hip.y;
    if (!(Math.abs(above) < b.trunk)) throw impossible(`A lean of ${cm(leanM)} is longer than thigh or arm allow; lean less.`);
    const shoulder = { x: hip.x + Math.sqrt(b.trunk ** 2 - above ** 2), y: hip.y + above };
    const arm = straightArm(b, shoulder, degrees(Math.asin(leanM / b.arm)) + assumed.armLeanDeg);
    const hand = handFrom(hands, arm.wrist, arm.forearm, b.hand, wedgeDeg);
    const { toe, ball, heel, ankle } = shankFrom(b, knee, 180);
    const joints = {
      toe,
      ball,
      heel,
      ankle,
      knee,
      hip,
      shoulder,
      crown: along(shoulder, direction(hip, shoulder), b.crown),
      elbow: arm.elbow,
      wrist: arm.wrist,
      knuckles: hand.knuckles,
    };
    const masses = massesOf(joints, b);
    const under = { x: 0, y: 0 };
    const pressure = { x: arm.wrist.x + beyond, y: 0 };
    const carried = support('hands', 'level', 2, pressure, reactionToward(masses.slice(0, 6), under, pressure, shoulder), joints);
    return {
      joints,
      masses,
      supports: [carried],
      others: kneesAndShanks(masses, true, under, carried),
      wristExtensionDeg: hand.wristExtensionDeg,
      grip: 0,
      scenery: () => [{ kind: 'floor', from: { x: -0.75, y: 0 }, to: { x: pressure.x + 0.3, y: 0 } }],
    };
  },
});
