import { along } from '../plane.ts';
import { position, weight } from '../position.ts';
import { centreOf, contact, type Joints, massesOf, support } from '../stance.ts';

export const CARRY = position({
  id: 'carry',
  name: 'Weight in one hand',
  direction: 'pull',
  carriedBy: 'hands',
  dials: { weightKg: { ...weight('Weight in the hand', 80), usual: 8 } },
  choices: { where: { label: 'Held', options: ['at the side', 'overhead'], usual: 'at the side' } },
  harder: [{ dial: 'weightKg', from: 0, to: 80 }],
  assumes: [],
  honest: () => ['Held still. Each step and each lift adds to it.'],
  place(b, { weightKg, where }) {
    const load = weightKg / b.body.massKg;
    const ankle = { x: 0, y: b.ankle };
    const knee = along(ankle, 90, b.shank);
    const hip = along(knee, 90, b.thigh);
    const shoulder = along(hip, 90, b.trunk);
    const way = where === 'overhead' ? 90 : -90;
    const elbow = along(shoulder, way, b.upperArm);
    const wrist = along(elbow, way, b.forearm);
    const knuckles = along(wrist, way, b.hand);
    const joints: Joints = {
      heel: { x: -b.heelToAnkle, y: 0 },
      ball: { x: b.ballToAnkle, y: 0 },
      toe: { x: b.foot - b.heelToAnkle, y: 0 },
      ankle,
      knee,
      hip,
      shoulder,
      crown: along(shoulder, 90, b.crown),
      elbow,
      wrist,
      knuckles,
      otherElbow: along(shoulder, -95, b.upperArm),
      otherWrist: along(along(shoulder, -95, b.upperArm), -88, b.forearm),
    };
    const masses = massesOf(joints, b);
    const centre = centreOf(masses);
    const hand = support('hands', 'grasped', 1, knuckles, { fx: 0, fy: -load }, joints);
    return {
      joints,
      masses,
      supports: [hand],
      others: [contact('feet', 'level', { x: (centre.x + load * knuckles.x) / (1 + load), y: 0 }, 0, 1 + load)],
      wristExtensionDeg: 0,
      grip: where === 'overhead' ? 0 : load,
      scenery: () => [
        { kind: 'floor', from: { x: -0.5, y: 0 }, to: { x: 0.5, y: 0 } },
        { kind: 'weight', at: knuckles },
      ],
    };
  },
});
