import type { Assumed } from './assumptions.ts';
import type { Body } from './bodyModel.ts';
import { between, type Point } from './plane.ts';

/** Joints of a body in a set-up, in metres, with the floor or the higher of its supports at y = 0. */
export interface Joints {
  readonly toe: Point;
  readonly ball: Point;
  readonly heel: Point;
  readonly ankle: Point;
  readonly knee: Point;
  readonly hip: Point;
  readonly shoulder: Point;
  readonly crown: Point;
  readonly elbow: Point;
  readonly wrist: Point;
  readonly knuckles: Point;
  /** The far arm where it does something else. */
  readonly otherElbow?: Point;
  readonly otherWrist?: Point;
}

/** A weight at a point, as a share of body weight. */
export interface PointMass extends Point {
  readonly share: number;
}

export type ContactName =
  'hands' | 'low hand' | 'high hand' | 'forearms' | 'feet' | 'knees' | 'shanks' | 'seat' | 'wall' | 'band' | 'swing';

/** A force on the body, as a share of body weight. */
export interface Contact extends Point {
  readonly name: ContactName;
  readonly fx: number;
  readonly fy: number;
  /** Which way the surface faces; a grasped bar, a band or a wall that only pushes cannot slip. */
  readonly surface: 'level' | 'upright' | 'grasped';
}

/** Where arms meet what they push or pull: the forces on all hands of the kind together. */
export interface Support extends Contact {
  /** How many arms share it. */
  readonly arms: 1 | 2;
  readonly elbow: Point;
  readonly wrist: Point;
  readonly knuckles: Point;
}

/** One body in one set-up, with every force on it. */
export interface Stance {
  readonly joints: Joints;
  readonly masses: readonly PointMass[];
  /** What the arms carry. */
  readonly supports: readonly Support[];
  /** Everything else that holds the body. */
  readonly others: readonly Contact[];
  /** Angle of the hand to the forearm, up from straight; 0 where the hand is not bent. */
  readonly wristExtensionDeg: number;
  /** Force that the fingers of one hand must hold, as a share of body weight. */
  readonly grip: number;
  /** What it rests on or hangs from; asked for only when it is drawn. */
  readonly scenery: () => readonly Scenery[];
}

/** What a set-up rests on or hangs from, for the drawing. */
export type Scenery =
  | { readonly kind: 'floor' | 'surface'; readonly from: Point; readonly to: Point; readonly legs?: number }
  | { readonly kind: 'wall' | 'post'; readonly from: Point; readonly to: Point }
  | { readonly kind: 'bar' | 'weight' | 'scale'; readonly at: Point }
  | { readonly kind: 'band'; readonly from: Point; readonly to: Point };

/** Lengths and mass shares of a body as assumed for one evaluation. */
export interface Build {
  readonly upperArm: number;
  readonly forearm: number;
  readonly arm: number;
  readonly hand: number;
  readonly trunk: number;
  readonly thigh: number;
  readonly shank: number;
  /** Ankle over the sole. */
  readonly ankle: number;
  readonly foot: number;
  readonly heelToAnkle: number;
  readonly heelToBall: number;
  readonly ballToAnkle: number;
  readonly crown: number;
  readonly head: number;
  readonly body: Body;
  readonly upperMass: number;
}

export function buildOf(body: Body, { armLength, upperMass }: Pick<Assumed, 'armLength' | 'upperMass'>): Build {
  const { segments: s } = body;
  const upperArm = s.upperArm.lengthM * (1 + armLength);
  const forearm = s.forearm.lengthM * (1 + armLength);
  return {
    upperArm,
    forearm,
    arm: upperArm + forearm,
    hand: s.hand.lengthM,
    trunk: s.trunk.lengthM,
    thigh: s.thigh.lengthM,
    shank: s.shank.lengthM,
    ankle: body.ankleHeightM,
    foot: s.foot.lengthM,
    heelToAnkle: body.heelToAnkleM,
    heelToBall: body.heelToBallM,
    ballToAnkle: body.heelToBallM - body.heelToAnkleM,
    crown: body.shoulderToCrownM,
    head: s.head.lengthM,
    body,
    upperMass,
  };
}

/** Where the weight of each part of the body acts; both limbs of a pair together. */
export function massesOf(j: Joints, { body, head, crown, ankle, foot, upperMass }: Build): PointMass[] {
  const { segments: s } = body;
  const at = (a: Point, b: Point, centre: number, share: number): PointMass => ({
    x: a.x + (b.x - a.x) * centre,
    y: a.y + (b.y - a.y) * centre,
    share,
  });
  const soleCentre = between(j.heel, { x: j.toe.x, y: j.toe.y }, s.foot.centre);
  // Half way between sole and ankle, on the ankle's side of the sole.
  const [nx, ny] = [-(j.toe.y - j.heel.y) / foot, (j.toe.x - j.heel.x) / foot];
  const up = (j.ankle.x - j.heel.x) * nx + (j.ankle.y - j.heel.y) * ny > 0 ? ankle / 2 : -ankle / 2;
  return [
    at(j.crown, j.shoulder, (s.head.centre * head) / crown, s.head.massShare),
    at(j.shoulder, j.hip, s.trunk.centre, s.trunk.massShare + upperMass),
    at(j.shoulder, j.elbow, s.upperArm.centre, 2 * s.upperArm.massShare),
    at(j.elbow, j.wrist, s.forearm.centre, 2 * s.forearm.massShare),
    at(j.wrist, j.knuckles, s.hand.centre, 2 * s.hand.massShare),
    at(j.hip, j.knee, s.thigh.centre, 2 * s.thigh.massShare - upperMass),
    at(j.knee, j.ankle, s.shank.centre, 2 * s.shank.massShare),
    { x: soleCentre.x + up * nx, y: soleCentre.y + up * ny, share: 2 * s.foot.massShare },
  ];
}

/** Sum of weight × horizontal distance from a point, in body weights × metres. */
export function weightMoment(masses: readonly PointMass[], about: number): number {
  let sum = 0;
  for (const m of masses) sum += m.share * (m.x - about);
  return sum;
}

export function weightOf(masses: readonly PointMass[]): number {
  let sum = 0;
  for (const m of masses) sum += m.share;
  return sum;
}

/** Moment of a force about a point, counter-clockwise, in body weights × metres. */
export function momentAbout({ x, y, fx, fy }: Omit<Contact, 'name' | 'surface'>, about: Point): number {
  return (x - about.x) * fy - (y - about.y) * fx;
}

/** Sideways ÷ normal force that skin or rubber on a dry floor holds (project default). */
export const FRICTION = 0.6;

/**
 * The force at `point`, on a level surface, that keeps the body from turning about `pivot`: along the line to `target`,
 * or as near to it as friction allows under the hands and under what the body turns about.
 *
 * With tilt t = −fx ÷ fy and Δ the height of the point over the pivot: fy = moment of the weights ÷ (x + t·Δ).
 *
 * @returns components in body weights
 */
export function reactionToward(masses: readonly PointMass[], pivot: Point, point: Point, target: Point): { fx: number; fy: number } {
  const moment = weightMoment(masses, pivot.x);
  const [x, up] = [point.x - pivot.x, point.y - pivot.y];
  const wanted = (point.x - target.x) / (target.y - point.y);
  let tilt = Math.max(-FRICTION, Math.min(FRICTION, wanted));
  const weight = weightOf(masses);
  const sign = Math.sign(tilt);
  // Where the feet would slip first: tilt·fy = FRICTION·(weight − fy), solved for the tilt.
  const feet = (sign * FRICTION * (weight * x - moment)) / (moment - sign * FRICTION * weight * up);
  if (feet * sign > 0 && Math.abs(feet) < Math.abs(tilt)) tilt = feet;
  const fy = moment / (x + tilt * up);
  return { fx: -tilt * fy, fy };
}

/** The force at `point` along the line to `target` that keeps the body from turning about `pivot`. */
export function reactionAlong(masses: readonly PointMass[], pivot: Point, point: Point, target: Point): { fx: number; fy: number } {
  const [ex, ey] = [target.x - point.x, target.y - point.y];
  const size = weightMoment(masses, pivot.x) / ((point.x - pivot.x) * ey - (point.y - pivot.y) * ex);
  return { fx: size * ex, fy: size * ey };
}

/** What the remaining contact must give so that the forces add up to nothing. */
export function remainder(
  at: Point,
  name: ContactName,
  surface: Contact['surface'],
  masses: readonly PointMass[],
  others: readonly Contact[],
): Contact {
  let [fx, fy] = [0, weightOf(masses)];
  for (const o of others) {
    fx -= o.fx;
    fy -= o.fy;
  }
  return contact(name, surface, at, fx, fy);
}

/** A force on the body. Written out field by field, as everything that every evaluation makes: spreading is slow. */
export function contact(name: ContactName, surface: Contact['surface'], at: Point, fx: number, fy: number): Contact {
  return { x: at.x, y: at.y, name, fx, fy, surface };
}

interface Arm {
  readonly elbow: Point;
  readonly wrist: Point;
  readonly knuckles: Point;
}

/** A force on arms. */
export function support(
  name: ContactName,
  surface: Contact['surface'],
  arms: 1 | 2,
  at: Point,
  { fx, fy }: { readonly fx: number; readonly fy: number },
  { elbow, wrist, knuckles }: Arm,
): Support {
  return { x: at.x, y: at.y, name, fx, fy, surface, arms, elbow, wrist, knuckles };
}

/** Where all of the weight acts together. */
export function centreOf(masses: readonly PointMass[]): Point {
  let [x, y, share] = [0, 0, 0];
  for (const m of masses) {
    x += m.share * m.x;
    y += m.share * m.y;
    share += m.share;
  }
  return { x: x / share, y: y / share };
}

/** Joints turned about a pivot until the weight lies straight over or under it. */
export function plumb(joints: Joints, b: Build, pivot: Point): Joints {
  const centre = centreOf(massesOf(joints, b));
  const [dx, dy] = [centre.x - pivot.x, centre.y - pivot.y];
  const size = Math.sign(dy) * Math.hypot(dx, dy);
  const [cos, sin] = [dy / size, dx / size];
  const turned = (p: Point): Point => ({
    x: pivot.x + (p.x - pivot.x) * cos - (p.y - pivot.y) * sin,
    y: pivot.y + (p.x - pivot.x) * sin + (p.y - pivot.y) * cos,
  });
  const { toe, ball, heel, ankle, knee, hip, shoulder, crown, elbow, wrist, knuckles } = joints;
  return {
    toe: turned(toe),
    ball: turned(ball),
    heel: turned(heel),
    ankle: turned(ankle),
    knee: turned(knee),
    hip: turned(hip),
    shoulder: turned(shoulder),
    crown: turned(crown),
    elbow: turned(elbow),
    wrist: turned(wrist),
    knuckles: turned(knuckles),
  };
}
