import { crouch, INTO_THE_FINGERS } from '../crouch.ts';
import { radians } from '../plane.ts';
import { cm, height, impossible, position } from '../position.ts';
import { massesOf, remainder, support, weightMoment } from '../stance.ts';

export const CROUCHED_LEAN = position({
  id: 'crouched-lean',
  name: 'Crouched lean, knees on the arms',
  direction: 'push',
  carriedBy: 'hands',
  dials: {
    leanM: height('Shoulders ahead of the wrists', 0.34, 0.1),
    blockM: height('Height of the block under the feet', 0.3, 0.15, 0),
  },
  choices: {},
  harder: [{ dial: 'leanM', from: 0, to: 0.34 }],
  assumes: ['armLeanDeg', 'pressureCentreM', 'upperMass'],
  honest: () => [
    'Where the knees find the arms and how round the back is decide much here: take it for a guide, and the scale for the truth.',
  ],
  place(b, { leanM, blockM }, assumed) {
    const ahead = leanM + Math.sin(radians(assumed.armLeanDeg)) * 0.3 * b.arm;
    const { joints, wristExtensionDeg } = crouch(b, ahead, blockM);
    const { ball } = joints;
    const masses = massesOf(joints, b);
    const pressure = { x: assumed.pressureCentreM + INTO_THE_FINGERS, y: 0 };
    // Feet this light hold nothing sideways, so the hands push straight down.
    const load = weightMoment(masses, ball.x) / (pressure.x - ball.x);
    const hands = support('hands', 'level', 2, pressure, { fx: 0, fy: load }, joints);
    if (hands.fy > 1) throw impossible(`With a lean of ${cm(leanM)} the weight passes the hands and the body tips forward; lean less.`);
    return {
      joints,
      masses,
      supports: [hands],
      others: [remainder(ball, 'feet', 'level', masses, [hands])],
      wristExtensionDeg,
      grip: 0,
      scenery: () => [
        { kind: 'floor', from: { x: ball.x - 0.3, y: 0 }, to: { x: 0.4, y: 0 } },
        ...(blockM > 0.005
          ? [{ kind: 'surface', from: { x: ball.x - 0.15, y: blockM }, to: { x: ball.x + 0.12, y: blockM }, legs: 0 } as const]
          : []),
      ],
    };
  },
});
