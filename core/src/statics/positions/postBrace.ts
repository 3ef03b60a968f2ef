import { shareDial } from '../hanging.ts';
import { along, bend, type Point } from '../plane.ts';
import { cm, height, impossible, position } from '../position.ts';
import { centreOf, contact, type Joints, massesOf, support } from '../stance.ts';

/** Low hand under the shoulder, as a share of the arm: about hip height (project default). */
const LOW = 0.75;

export const POST_BRACE = position({
  id: 'post-brace',
  name: 'Brace and pull on a post or rope',
  direction: 'pull',
  carriedBy: 'hands',
  dials: { feetShare: shareDial('Weight on the feet', 0.6), spacingM: height('Between the hands', 0.9, 0.7, 0.4) },
  choices: {},
  harder: [{ dial: 'feetShare', from: 1, to: 0 }],
  assumes: ['heldShare', 'armLength', 'upperMass'],
  honest: ({ feetShare }) => [
    'Both hands are taken to carry the same part of the weight; which of them really does can not be told from the side.',
    ...(feetShare < 0.3 ? ['Feet this light: the body turns about the post, which is not modelled.'] : []),
  ],
  place(b, { feetShare, spacingM }, { heldShare }) {
    const ankle = { x: 0, y: b.ankle };
    const shoulder = { x: -0.05, y: b.ankle + b.shank + b.thigh + b.trunk };
    const hip = { x: 0, y: b.ankle + b.shank + b.thigh };
    const drop = LOW * b.arm;
    const low = { y: shoulder.y - drop };
    const post = shoulder.x + Math.sqrt(b.arm ** 2 - drop ** 2) + b.hand * 0.6;
    const lowWrist = { x: post - b.hand * 0.6, y: low.y };
    const highWrist = { x: post - b.hand * 0.6, y: low.y + spacingM };
    const highElbow = bend(shoulder, highWrist, b.upperArm, b.forearm, -1);
    if (!highElbow) throw impossible(`Hands ${cm(spacingM)} apart are more than the upper arm reaches; bring them together.`);
    const lowElbow = {
      x: shoulder.x + ((lowWrist.x - shoulder.x) * b.upperArm) / b.arm,
      y: shoulder.y + ((low.y - shoulder.y) * b.upperArm) / b.arm,
    };
    const joints: Joints = {
      heel: { x: -b.heelToAnkle, y: 0 },
      ball: { x: b.ballToAnkle, y: 0 },
      toe: { x: b.foot - b.heelToAnkle, y: 0 },
      ankle,
      knee: { x: 0.01, y: b.ankle + b.shank },
      hip,
      shoulder,
      crown: along(shoulder, 90, b.crown),
      elbow: lowElbow,
      wrist: lowWrist,
      knuckles: { x: post, y: low.y },
      otherElbow: highElbow,
      otherWrist: highWrist,
    };
    const masses = massesOf(joints, b);
    const centre = centreOf(masses);
    const feet = Math.min(1, Math.max(0, feetShare + heldShare));
    // Feet under the weight: the couple of the hands holds what the hands carry away from them.
    const couple = ((1 - feet) * (post - centre.x)) / spacingM;
    const hand = (name: 'low hand' | 'high hand', fx: number, elbow: Point, wrist: Point) => {
      const at = { x: post, y: wrist.y };
      return support(name, 'grasped', 1, at, { fx, fy: (1 - feet) / 2 }, { elbow, wrist, knuckles: at });
    };
    const high = hand('high hand', couple, highElbow, highWrist);
    return {
      joints,
      masses,
      supports: [hand('low hand', -couple, lowElbow, lowWrist), high],
      others: feet > 0 ? [contact('feet', 'level', { x: centre.x, y: 0 }, 0, feet)] : [],
      wristExtensionDeg: 0,
      grip: Math.hypot(high.fx, high.fy),
      scenery: () => [
        { kind: 'floor', from: { x: -0.4, y: 0 }, to: { x: post + 0.25, y: 0 } },
        { kind: 'post', from: { x: post + 0.03, y: 0 }, to: { x: post + 0.03, y: highWrist.y + 0.4 } },
      ],
    };
  },
});
