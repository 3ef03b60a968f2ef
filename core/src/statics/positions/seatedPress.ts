import { RISE_M } from '../hands.ts';
import { shareDial } from '../hanging.ts';
import { along, bend, direction, type Point } from '../plane.ts';
import { cm, height, impossible, position } from '../position.ts';
import { type Build, contact, type Joints, massesOf, support, weightMoment, weightOf } from '../stance.ts';

/** Hip joint over the seat, in metres (project default). */
const SEAT = 0.09;

/** The seated figure with the hand at a place along the seat. */
function seated(b: Build, seatHeightM: number, legs: 'bent' | 'long', handX: number, beyond: number): { joints: Joints; wrist: Point } {
  const hip = { x: 0, y: seatHeightM + SEAT };
  const long = legs === 'long';
  const leg = b.thigh + b.shank;
  const ankleY = long ? Math.max(0.05, b.heelToAnkle) : b.ankle;
  const drop = hip.y - ankleY;
  if (!(Math.abs(drop) < leg)) throw impossible(`On a seat ${cm(seatHeightM)} high the feet do not reach the floor; take a lower one.`);
  const straight = 0.9999 * Math.sqrt(leg ** 2 - drop ** 2);
  // Bent knees stand nearer, the more so the higher the seat.
  const near = 0.6 * leg - Math.min(1, seatHeightM / 0.45) * (0.6 * leg - b.thigh);
  const ankle = { x: long ? straight : Math.min(straight, near), y: ankleY };
  const knee = bend(hip, ankle, b.thigh, b.shank, 1) ?? along(hip, direction(hip, ankle), b.thigh);
  const sole = long ? { from: { x: ankle.x, y: ankle.y - b.heelToAnkle }, up: 90 } : { from: { x: ankle.x - b.heelToAnkle, y: 0 }, up: 0 };
  const shoulder = { x: 0, y: hip.y + b.trunk };
  const wristX = handX - beyond;
  const wrist = { x: wristX, y: shoulder.y - Math.sqrt(b.arm ** 2 - wristX ** 2) };
  const elbow = { x: (wristX * b.upperArm) / b.arm, y: shoulder.y + ((wrist.y - shoulder.y) * b.upperArm) / b.arm };
  return {
    wrist,
    joints: {
      heel: sole.from,
      ball: along(sole.from, sole.up, b.heelToBall),
      toe: along(sole.from, sole.up, b.foot),
      ankle,
      knee,
      hip,
      shoulder,
      crown: { x: 0, y: shoulder.y + b.crown },
      elbow,
      wrist,
      knuckles: along(wrist, 0, b.hand),
    },
  };
}

export const SEATED_PRESS = position({
  id: 'seated-press',
  name: 'Seated press',
  direction: 'push',
  carriedBy: 'hands',
  dials: { pressShare: shareDial('Part of the seat’s load taken off', 0.4), seatHeightM: height('Height of the seat', 0.55) },
  choices: { legs: { label: 'Legs', options: ['bent', 'long'], usual: 'bent' } },
  harder: [{ dial: 'pressShare', from: 0, to: 1 }],
  assumes: ['heldShare', 'upperMass'],
  honest: () => ['How hard the trainee presses is not in the geometry: read it off a scale under the seat.'],
  place(b, { pressShare, seatHeightM, legs }, { pressureCentreM, heldShare }) {
    // Legs hinged at the hips rest their own moment on the feet; the rest of the body is held by seat and hands.
    const figure = (handX: number) => {
      const { joints, wrist } = seated(b, seatHeightM, legs, handX, pressureCentreM);
      const masses = massesOf(joints, b);
      const foot = { x: legs === 'long' ? joints.heel.x : joints.ankle.x, y: 0 };
      const onFeet = weightMoment(masses.slice(5), 0) / foot.x;
      const rest = (weightMoment(masses, 0) - onFeet * foot.x) / (weightOf(masses) - onFeet);
      return { joints, wrist, masses, foot, onFeet, rest };
    };
    // The hands stand where the weight that seat and hands share comes down; it moves in proportion to them.
    const [zero, one] = [figure(0).rest, figure(0.1).rest];
    const placed = figure(zero / (1 - (one - zero) / 0.1));
    const { joints, wrist, masses, foot, onFeet, rest } = placed;
    const shared = weightOf(masses) - onFeet;
    const inHands = Math.min(shared, Math.max(0, pressShare * shared + heldShare));
    const surface = wrist.y - RISE_M;
    const hands = support('hands', 'level', 2, { x: rest, y: surface }, { fx: 0, fy: inHands }, joints);
    return {
      joints,
      masses,
      supports: [hands],
      others: [contact('feet', 'level', foot, 0, onFeet), contact('seat', 'level', { x: rest, y: seatHeightM }, 0, shared - inHands)],
      wristExtensionDeg: -direction(joints.elbow, wrist),
      grip: 0,
      scenery: () => [
        { kind: 'floor', from: { x: -0.4, y: 0 }, to: { x: joints.toe.x + 0.15, y: 0 } },
        ...(seatHeightM > 0.01
          ? [{ kind: 'surface', from: { x: -0.25, y: seatHeightM }, to: { x: 0.25, y: seatHeightM }, legs: 0 } as const]
          : []),
      ],
    };
  },
});
