import { between, type Point } from './plane.ts';
import { type Build, massesOf, type PointMass, reactionToward, remainder, type Scenery, type Stance, support } from './stance.ts';
import { type StraightBody, withArm } from './straightBody.ts';

interface Hand {
  readonly knuckles: Point;
  readonly wristExtensionDeg: number;
}

/** Balances a straight body on its feet and hands: the reaction under the hands points to the shoulder. */
export function balanced(
  b: Build,
  body: StraightBody,
  arm: { readonly elbow: Point; readonly wrist: Point },
  { knuckles, wristExtensionDeg }: Hand,
  pressure: Point,
  addedKg = 0,
): Stance {
  const { ball, shoulder, hip } = body;
  const joints = withArm(body, arm.elbow, arm.wrist, knuckles);
  const masses: PointMass[] = massesOf(joints, b);
  const load = addedKg > 0 ? between(shoulder, hip, 0.2) : undefined;
  if (load) masses.push({ x: load.x, y: load.y, share: addedKg / b.body.massKg });
  const hands = support('hands', 'level', 2, pressure, reactionToward(masses, ball, pressure, shoulder), joints);
  return {
    joints,
    masses,
    supports: [hands],
    others: [remainder(ball, 'feet', 'level', masses, [hands])],
    wristExtensionDeg,
    grip: 0,
    scenery: () => sceneryOf(ball, pressure, load),
  };
}

function sceneryOf(feet: Point, hands: Point, load: Point | undefined): readonly Scenery[] {
  const low = Math.min(feet.y, hands.y);
  const raised = (at: Point): Scenery[] =>
    at.y > low + 0.005 ? [{ kind: 'surface', from: { x: at.x - 0.16, y: at.y }, to: { x: at.x + 0.2, y: at.y }, legs: low }] : [];
  return [
    { kind: 'floor', from: { x: feet.x - 0.25, y: low }, to: { x: hands.x + 0.3, y: low } },
    ...raised(feet),
    ...raised(hands),
    ...(load ? [{ kind: 'weight', at: load } as const] : []),
  ];
}
