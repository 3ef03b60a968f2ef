import { degrees, type Point, radians } from '../plane.ts';
import { cm, height, impossible, position } from '../position.ts';
import { massesOf, reactionAlong, remainder, support } from '../stance.ts';
import { armTo, straightBody, withArm } from '../straightBody.ts';
import type { Build } from '../stance.ts';

/**
 * Lean at which the straight body, on its heel at the origin and leaning back from the bar, is a straight arm away from it;
 * `undefined` where it can not be. With the heel in the place of the ball of the foot it is the triangle of a wall push.
 */
function leanBack(b: Build, bar: Point, metres: number): number | undefined {
  const { reach } = armTo({ ...b, ballToAnkle: b.heelToAnkle }, b.ankle + b.shank + b.thigh + b.trunk);
  const off = degrees(Math.atan2(-b.heelToAnkle, b.ankle + b.shank + b.thigh + b.trunk));
  const away = Math.hypot(bar.x, bar.y);
  const cosine = (reach * reach + away * away - metres * metres) / (2 * reach * away);
  return Math.abs(cosine) > 1 ? undefined : degrees(Math.atan2(bar.y, bar.x) + Math.acos(cosine)) - off;
}

export const LEAN_BACK_HANG = position({
  id: 'lean-back-hang',
  name: 'Lean-back hang, body straight',
  direction: 'pull',
  carriedBy: 'hands',
  loadIs: 'whole force',
  dials: {
    barHeightM: height('Height of the bar', 2.2, 1.2, 0.9),
    heelsAheadM: height('Heels ahead of the bar', 0.6, 0, -0.2),
  },
  choices: {},
  harder: [{ dial: 'barHeightM', from: 2.2, to: 0.9 }],
  assumes: ['footPressureM', 'armLength', 'upperMass'],
  honest: () => ['The body is one line and hangs on its arms: a bend in the hips takes weight off the hands.'],
  place(b, { barHeightM, heelsAheadM }, { footPressureM }) {
    const bar = { x: -heelsAheadM, y: barHeightM };
    const reach = b.arm + b.hand;
    const lean = leanBack(b, bar, reach);
    if (lean === undefined)
      throw impossible(`Straight arms of ${cm(reach)} do not meet a bar at ${cm(barHeightM)} from there; move the heels or the bar.`);
    if (lean <= 90) throw impossible(`With the bar at ${cm(barHeightM)} the body stands upright; lower the bar or take the heels ahead.`);
    const t = radians(lean);
    // The heel is dug in at the origin; the ball of the foot lifts as the body leans back.
    const body = straightBody(b, { x: b.heelToBall * Math.sin(t), y: -b.heelToBall * Math.cos(t) }, lean);
    const { shoulder } = body;
    const along = (metres: number): Point => ({
      x: shoulder.x + ((bar.x - shoulder.x) * metres) / reach,
      y: shoulder.y + ((bar.y - shoulder.y) * metres) / reach,
    });
    const joints = withArm(body, along(b.upperArm), along(b.arm), bar);
    const masses = massesOf(joints, b);
    const pivot = { x: footPressureM, y: 0 };
    const reaction = reactionAlong(masses, pivot, bar, shoulder);
    if (reaction.fx <= 0) throw impossible(`At ${cm(barHeightM)} the feet carry everything; take the heels ahead.`);
    const hands = support('hands', 'grasped', 2, bar, reaction, joints);
    return {
      joints,
      masses,
      supports: [hands],
      others: [remainder(pivot, 'feet', 'level', masses, [hands])],
      wristExtensionDeg: 0,
      grip: Math.hypot(reaction.fx, reaction.fy) / 2,
      scenery: () => [
        { kind: 'floor', from: { x: Math.min(-0.3, shoulder.x - 0.3), y: 0 }, to: { x: 0.4, y: 0 } },
        { kind: 'bar', at: bar },
      ],
    };
  },
});
