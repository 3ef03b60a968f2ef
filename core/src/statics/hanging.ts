import { bandForce, type BandCurve } from './bands.ts';
import { along, bend, type Point } from './plane.ts';
import { type Dial, impossible } from './position.ts';
import {
  type Build,
  centreOf,
  contact,
  type Contact,
  type Joints,
  massesOf,
  plumb,
  type PointMass,
  type Scenery,
  type Stance,
  support,
  weightOf,
} from './stance.ts';

/** Feet clear of the floor by so much, in metres. */
const CLEAR = 0.25;

export const shareDial = (label: string, usual: number, max = 1): Dial => ({ label, unit: 'share', min: 0, max, step: 0.01, usual });

interface Hung {
  /** Shoulder under the bar, in metres; absent: arms straight. */
  readonly shoulderBelow?: number;
  /** Hip and knee bend of legs drawn up, for feet that stand on something. */
  readonly knees?: 'soft';
  readonly arms?: 1 | 2;
  readonly addedKg?: number;
}

/** The figure under a bar at the origin: joints turned until the weight lies under the bar. */
export function hung(b: Build, { shoulderBelow, knees }: Hung): Joints {
  const bar = { x: 0, y: 0 };
  const wrist = { x: 0, y: -b.hand };
  const shoulder = { x: 0, y: -(shoulderBelow ?? b.hand + b.arm) };
  const elbow = shoulderBelow === undefined ? { x: 0, y: wrist.y - b.forearm } : bentElbow(b, shoulder, wrist);
  const hip = along(shoulder, -90, b.trunk);
  const knee = along(hip, knees ? -25 : -90, b.thigh);
  const ankle = along(knee, knees ? -105 : -90, b.shank);
  const sole = knees ? 0 : -60;
  const heel = along(along(ankle, sole - 90, b.ankle), sole, -b.heelToAnkle);
  const joints: Joints = {
    heel,
    ball: along(heel, sole, b.heelToBall),
    toe: along(heel, sole, b.foot),
    ankle,
    knee,
    hip,
    shoulder,
    crown: along(shoulder, 90, b.crown),
    elbow,
    wrist,
    knuckles: bar,
  };
  return plumb(joints, b, bar);
}

function bentElbow(b: Build, shoulder: Point, wrist: Point): Point {
  const elbow = bend(shoulder, wrist, b.upperArm, b.forearm, -1);
  if (!elbow) throw impossible('The arms do not reach the bar from there.');
  return elbow;
}

/** How a hanging body is held besides the hands: a share of its weight straight up, on the line under the bar. */
export interface Relief {
  readonly name: 'feet' | 'band';
  readonly share: number;
  readonly at: number;
}

/** The forces on a body under a bar: hands above, relief below, all on one vertical. */
export function hangStance(b: Build, joints: Joints, { arms = 2, addedKg = 0 }: Pick<Hung, 'arms' | 'addedKg'>, relief?: Relief): Stance {
  const masses: PointMass[] = massesOf(joints, b);
  const centre = centreOf(masses);
  if (addedKg > 0) masses.push({ x: centre.x, y: joints.hip.y, share: addedKg / b.body.massKg });
  const relieved = relief?.share ?? 0;
  const load = weightOf(masses) - relieved;
  const hands = support('hands', 'grasped', arms, joints.knuckles, { fx: 0, fy: load }, joints);
  const others: Contact[] = relief
    ? [contact(relief.name, relief.name === 'feet' ? 'level' : 'grasped', { x: centre.x, y: relief.at }, 0, relieved)]
    : [];
  const low = Math.min(joints.toe.y, joints.heel.y);
  const scenery = (): Scenery[] => [
    { kind: 'bar', at: joints.knuckles },
    ...(relief?.name === 'band' ? [{ kind: 'band', from: joints.knuckles, to: { x: joints.ankle.x, y: relief.at } } as const] : []),
    ...(relief?.name === 'feet'
      ? [{ kind: 'scale', at: { x: centre.x, y: relief.at } } as const]
      : [{ kind: 'floor', from: { x: -0.6, y: low - CLEAR }, to: { x: 0.6, y: low - CLEAR } } as const]),
    ...(addedKg > 0 ? [{ kind: 'weight', at: { x: centre.x, y: joints.hip.y } } as const] : []),
  ];
  return { joints, masses, supports: [hands], others, wristExtensionDeg: 0, grip: load / arms, scenery };
}

/** What a band from the bar to feet or knees carries, as a share of body weight. */
export function bandShare(b: Build, band: BandCurve, lengthM: number, bandForceOff: number): number {
  return (bandForce(band, lengthM) * (1 + bandForceOff)) / b.body.weightN;
}
