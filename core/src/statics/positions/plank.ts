import { HAND_CHOICE, handFrom, placement, straightArm } from '../hands.ts';
import { balanced } from '../onHandsAndFeet.ts';
import { degrees } from '../plane.ts';
import { angle, cm, height, impossible, position } from '../position.ts';
import { leanForShoulder, straightBody } from '../straightBody.ts';

export const PLANK = position({
  id: 'plank',
  name: 'Plank and forward lean',
  direction: 'push',
  carriedBy: 'hands',
  dials: {
    leanM: height('Shoulders ahead of the wrists', 0.35, 0, -0.1),
    wedgeDeg: angle('Wedge under the hands', 0, 30, 0),
    footHeightM: height('Height under the feet', 0.6),
  },
  choices: { hands: HAND_CHOICE },
  harder: [{ dial: 'leanM', from: -0.1, to: 0.35 }],
  assumes: ['armLeanDeg', 'pressureCentreM', 'armLength', 'upperMass'],
  honest: ({ leanM, hands }) => [
    ...(leanM > 0.2 ? ['A lean this far asks for strong friction under the feet; most people round the back instead.'] : []),
    ...(hands === 'fingertips' ? ['The bend of the wrist over domed fingertips differs much between hands.'] : []),
  ],
  place(b, { leanM, wedgeDeg, footHeightM, hands }, assumed) {
    const { rise, beyond } = placement(hands, assumed);
    const ahead = degrees(Math.asin(leanM / b.arm)) + assumed.armLeanDeg;
    if (!(Math.abs(leanM) < b.arm * 0.9)) throw impossible(`A lean of ${cm(leanM)} is longer than the arm of ${cm(b.arm)}.`);
    const drop = b.arm * Math.cos(Math.asin(leanM / b.arm));
    const lean = leanForShoulder(b, drop + rise - footHeightM);
    if (lean === undefined || lean < -20) throw impossible(`Feet ${cm(footHeightM)} high tip the body onto the head; try a lower step.`);
    const body = straightBody(b, { x: 0, y: footHeightM }, lean);
    const arm = straightArm(b, body.shoulder, ahead);
    const stance = balanced(b, body, arm, handFrom(hands, arm.wrist, arm.forearm, b.hand, wedgeDeg), { x: arm.wrist.x + beyond, y: 0 });
    const [hand] = stance.supports;
    if (hand && hand.fy > 1) throw tipped(leanM);
    return stance;
  },
});

function tipped(leanM: number): ReturnType<typeof impossible> {
  return impossible(`With a lean of ${cm(leanM)} the centre of mass passes the hands and the feet come off; lean less.`);
}
