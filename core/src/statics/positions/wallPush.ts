import { RISE_M } from '../hands.ts';
import { bend, direction } from '../plane.ts';
import { cm, height, impossible, position } from '../position.ts';
import { massesOf, reactionAlong, remainder, support } from '../stance.ts';
import { leanForReach, straightBody, withArm } from '../straightBody.ts';

/** A little short of locked, so that the closing is never a hair out of reach. */
const BENT = 0.75;

export const WALL_PUSH = position({
  id: 'wall-push',
  name: 'Wall push',
  direction: 'push',
  carriedBy: 'hands',
  loadIs: 'whole force',
  dials: {
    distanceM: height('Balls of the feet to the wall', 1.4, 0.8, 0.3),
    handHeightM: height('Height of the hands', 1.8, 1.3, 0.6),
  },
  choices: { arms: { label: 'Arms', options: ['straight', 'bent'], usual: 'straight' } },
  harder: [{ dial: 'distanceM', from: 0.3, to: 1.4 }],
  assumes: ['footPressureM', 'pressureCentreM', 'armLength', 'upperMass'],
  honest: () => ['At a wall the feet can shift their pressure: do not trust this to better than 5 points.'],
  place(b, { distanceM, handHeightM, arms }, assumed) {
    const pivot = { x: assumed.footPressureM, y: 0 };
    const wrist = { x: distanceM - RISE_M, y: handHeightM };
    const reach = arms === 'straight' ? b.arm : b.arm * BENT;
    const lean = leanForReach(b, wrist, reach);
    if (lean === undefined)
      throw impossible(
        `From ${cm(distanceM)} straight arms of ${cm(b.arm)} do not meet the wall at ${cm(handHeightM)}; step nearer or take the hands lower.`,
      );
    if (lean > 90) throw impossible(`At ${cm(distanceM)} the arms push the body over backwards; step further from the wall.`);
    const body = straightBody(b, { x: 0, y: 0 }, lean);
    const elbow = bend(body.shoulder, wrist, b.upperArm, b.forearm, -1) ?? {
      x: body.shoulder.x + ((wrist.x - body.shoulder.x) * b.upperArm) / b.arm,
      y: body.shoulder.y + ((wrist.y - body.shoulder.y) * b.upperArm) / b.arm,
    };
    const knuckles = { x: wrist.x + 0.01, y: wrist.y + b.hand };
    const joints = withArm(body, elbow, wrist, knuckles);
    const masses = massesOf(joints, b);
    const pressure = { x: distanceM, y: handHeightM + assumed.pressureCentreM };
    const reaction = reactionAlong(masses, pivot, pressure, body.shoulder);
    if (reaction.fx > 0) throw impossible(`At ${cm(distanceM)} the feet carry everything; step further from the wall.`);
    const hands = support('hands', 'upright', 2, pressure, reaction, joints);
    return {
      joints,
      masses,
      supports: [hands],
      others: [remainder(pivot, 'feet', 'level', masses, [hands])],
      wristExtensionDeg: 90 - direction(elbow, wrist),
      grip: 0,
      scenery: () => [
        { kind: 'floor', from: { x: -0.3, y: 0 }, to: { x: distanceM, y: 0 } },
        { kind: 'wall', from: { x: distanceM, y: 0 }, to: { x: distanceM, y: Math.max(handHeightM + 0.5, body.crown.y) } },
      ],
    };
  },
});
