import { bandForce as pullOf } from '../bands.ts';
import { shareDial } from '../hanging.ts';
import { bentArm } from '../hands.ts';
import { along, direction } from '../plane.ts';
import { impossible, position, weight } from '../position.ts';
import { type Build, centreOf, contact, type Contact, type Joints, massesOf, type PointMass, support, weightOf } from '../stance.ts';

/** Wrist over the bar it stands on; hands are straight in line with the forearm's push. */
const GRIP = 0.04;
/** Times the figure is shifted over the bar. */
const SHIFTS = 6;

export const DIP = position({
  id: 'dip',
  name: 'Support and dip between bars',
  direction: 'push',
  carriedBy: 'hands',
  dials: { bandShare: shareDial('Taken by the band', 0, 0.9), addedKg: weight('Weight on the belt', 60) },
  choices: { arms: { label: 'Arms', options: ['straight', 'lowered'], usual: 'straight' } },
  harder: [
    { dial: 'bandShare', from: 0.9, to: 0 },
    { dial: 'addedKg', from: 0, to: 60 },
  ],
  assumes: ['bandForce'],
  honest: ({ arms }) => [
    'Held still: braking on the way down goes above this.',
    ...(arms === 'lowered'
      ? ['How far the trunk leans at the bottom differs between people, and with it the moments at shoulder and elbow.']
      : []),
  ],
  place(b, { bandShare, addedKg, arms, band }, { bandForce }) {
    const bar = { x: 0, y: 0 };
    // The body shifts until its weight lies over the bar: the figure moves almost as one piece, so a few shifts suffice.
    let joints = figure(b, arms, 0);
    let ahead = 0;
    for (let i = 0; i < SHIFTS; i++) {
      ahead -= centreOf(massesOf(joints, b)).x;
      joints = figure(b, arms, ahead);
    }
    const masses: PointMass[] = massesOf(joints, b);
    const centre = centreOf(masses);
    if (addedKg > 0) masses.push({ x: centre.x, y: joints.hip.y, share: addedKg / b.body.massKg });
    const share = band ? (pullOf(band, -joints.knee.y) * (1 + bandForce)) / b.body.weightN : bandShare * (1 + bandForce);
    if (share >= 1) throw impossible('The band would lift the whole trainee; take a weaker one.');
    const relief: Contact[] = share > 0 ? [contact('band', 'grasped', { x: centre.x, y: joints.knee.y }, 0, share)] : [];
    // What is left of the shift, a hair, lies within the hand.
    const hands = support('hands', 'grasped', 2, { x: centre.x, y: bar.y }, { fx: 0, fy: weightOf(masses) - share }, joints);
    const floor = joints.toe.y - 0.2;
    return {
      joints,
      masses,
      supports: [hands],
      others: relief,
      wristExtensionDeg: Math.max(0, -90 - direction(joints.elbow, joints.wrist)),
      grip: 0,
      scenery: () => [
        { kind: 'bar', at: bar },
        { kind: 'floor', from: { x: -0.6, y: floor }, to: { x: 0.6, y: floor } },
        ...(share > 0 ? [{ kind: 'band', from: bar, to: joints.knee } as const] : []),
        ...(addedKg > 0 ? [{ kind: 'weight', at: { x: centre.x, y: joints.hip.y } } as const] : []),
      ],
    };
  },
});

/** The figure between the bars, its shoulders so far ahead of the hands. */
function figure(b: Build, arms: 'straight' | 'lowered', ahead: number): Joints {
  const wrist = { x: 0, y: GRIP };
  const straight = arms === 'straight';
  const lean = Math.max(-b.arm / 2, Math.min(b.arm / 2, ahead));
  const shoulder = { x: lean, y: GRIP + (straight ? Math.sqrt(b.arm ** 2 - lean ** 2) : b.forearm) };
  const elbow = straight
    ? { x: (lean * b.forearm) / b.arm, y: GRIP + ((shoulder.y - GRIP) * b.forearm) / b.arm }
    : bentArm(b, shoulder, wrist)?.elbow;
  if (!elbow) throw impossible('The arms do not fit between shoulder and bar.');
  const hip = along(shoulder, -90, b.trunk);
  const knee = along(hip, -85, b.thigh);
  const ankle = along(knee, -120, b.shank);
  const heel = along(ankle, -150, b.ankle);
  return {
    heel,
    ball: along(heel, -60, b.heelToBall),
    toe: along(heel, -60, b.foot),
    ankle,
    knee,
    hip,
    shoulder,
    crown: along(shoulder, 85, b.crown),
    elbow,
    wrist,
    knuckles: along({ x: 0, y: 0 }, 0, 0.02),
  };
}
