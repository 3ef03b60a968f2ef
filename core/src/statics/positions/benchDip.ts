import { bend, direction } from '../plane.ts';
import { bentArm, handFrom, RISE_M } from '../hands.ts';
import { cm, height, impossible, position } from '../position.ts';
import { massesOf, reactionToward, remainder, support } from '../stance.ts';

/** The trunk passes the edge of the bench at this distance from the hands, in metres (project default). */
const CLEARANCE = 0.12;

export const BENCH_DIP = position({
  id: 'bench-dip',
  name: 'Dip, hands on a bench',
  direction: 'push',
  carriedBy: 'hands',
  dials: { benchHeightM: height('Height of the bench', 0.7, 0.45, 0.25), feetM: height('Heels ahead of the bench', 1.3, 0.6, 0.3) },
  choices: { arms: { label: 'Arms', options: ['straight', 'lowered'], usual: 'straight' } },
  harder: [{ dial: 'feetM', from: 0.3, to: 1.3 }],
  assumes: ['pressureCentreM', 'armLength', 'upperMass', 'footPressureM'],
  honest: ({ arms }) =>
    arms === 'lowered' ? ['How deep the shoulder goes behind the body is not limited here: stop where the shoulders stay down.'] : [],
  place(b, { benchHeightM, feetM, arms }, assumed) {
    const wrist = { x: 0, y: benchHeightM + RISE_M };
    const drop = arms === 'straight' ? Math.sqrt(b.arm ** 2 - (CLEARANCE - 0.04) ** 2) : b.forearm;
    const shoulder = { x: CLEARANCE - 0.04, y: wrist.y + drop };
    const hip = { x: CLEARANCE, y: shoulder.y - b.trunk };
    const heel = { x: feetM, y: 0 };
    const ankle = { x: feetM + 0.02, y: b.heelToAnkle };
    const knee = bend(hip, ankle, b.thigh, b.shank, 1);
    if (!knee) throw impossible(`Heels ${cm(feetM)} ahead of the bench are further than the legs reach; bring them nearer.`);
    const arm =
      arms === 'straight'
        ? { elbow: { x: (shoulder.x * b.forearm) / b.arm, y: wrist.y + (drop * b.forearm) / b.arm } }
        : bentArm(b, shoulder, wrist);
    if (!arm) throw impossible('The arms do not fit between shoulder and bench.');
    const hand = handFrom('flat', wrist, direction(arm.elbow, wrist), b.hand);
    const joints = {
      heel,
      ball: { x: heel.x + 0.05, y: b.heelToBall },
      toe: { x: heel.x + 0.07, y: b.foot },
      ankle,
      knee,
      hip,
      shoulder,
      crown: { x: shoulder.x, y: shoulder.y + b.crown },
      elbow: arm.elbow,
      wrist,
      knuckles: hand.knuckles,
    };
    const masses = massesOf(joints, b);
    const pressure = { x: assumed.pressureCentreM, y: benchHeightM };
    const pivot = { x: heel.x + assumed.footPressureM, y: 0 };
    const hands = support('hands', 'level', 2, pressure, reactionToward(masses, pivot, pressure, shoulder), joints);
    return {
      joints,
      masses,
      supports: [hands],
      others: [remainder(pivot, 'feet', 'level', masses, [hands])],
      wristExtensionDeg: hand.wristExtensionDeg,
      grip: 0,
      scenery: () => [
        { kind: 'floor', from: { x: -0.5, y: 0 }, to: { x: heel.x + 0.2, y: 0 } },
        { kind: 'surface', from: { x: -0.4, y: benchHeightM }, to: { x: 0.09, y: benchHeightM }, legs: 0 },
      ],
    };
  },
});
