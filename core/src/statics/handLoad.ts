import {
  ASSUMPTION_NAMES,
  ASSUMPTIONS,
  type AssumptionName,
  type Assumed,
  type Belief,
  LIMITS_IN_SD,
  MODEL_SD,
  usualBelief,
} from './assumptions.ts';
import { type Body, GRAVITY } from './bodyModel.ts';
import { degrees, type Point } from './plane.ts';
import { impossible } from './position.ts';
import { type AnyModel, checked, modelOf, type SetUp, stated } from './setUp.ts';
import { buildOf, centreOf, type Contact, type ContactName, FRICTION, momentAbout, type Stance, type Support } from './stance.ts';

/** A trainee's body, with what scale readings have taught about it. */
export type KnownBody = Body & { readonly belief?: Belief | undefined };

/** The figures of one set-up that carry an error band. */
export interface Figures {
  /** Vertical load on the hands (or forearms), as a fraction of body weight. */
  readonly verticalShare: number;
  /** Size of the whole force, sideways part included, as a fraction of body weight. */
  readonly totalShare: number;
  /** What counts as hand load in this position: the vertical share, or at a wall the whole force. */
  readonly loadShare: number;
  /** Whole force on one hand, the more loaded where they differ. */
  readonly perHandN: number;
  readonly wristExtensionDeg: number;
  /** Moments of one arm, sizes only, with the reaction where the model has it. */
  readonly wristMomentNm: number;
  readonly elbowMomentNm: number;
  readonly shoulderMomentNm: number;
  /** Angle between trunk and upper arm. */
  readonly shoulderAngleDeg: number;
  /** Force that the fingers of one hand must hold. */
  readonly gripPerHandN: number;
}

export const FIGURE_NAMES = [
  'verticalShare',
  'totalShare',
  'loadShare',
  'perHandN',
  'wristExtensionDeg',
  'wristMomentNm',
  'elbowMomentNm',
  'shoulderMomentNm',
  'shoulderAngleDeg',
  'gripPerHandN',
] as const satisfies readonly (keyof Figures)[];

export interface Span {
  readonly low: number;
  readonly high: number;
}

/** Whether a set-up stands: friction it needs, and whether a foot would have to pull on the floor. */
export interface Stands {
  readonly ok: boolean;
  /** Sideways ÷ normal force needed under the hands and under the feet; absent where nothing can slip. */
  readonly handFriction?: number;
  readonly footFriction?: number;
  readonly reason?: string;
}

export interface HandLoadReading extends Figures {
  readonly verticalKg: number;
  /** About 95 of 100 trainees of these measures lie within; of the vertical share. */
  readonly band: Span;
  readonly bands: Readonly<Record<keyof Figures, Span>>;
  /** With the hands pushing straight down instead: how much the shoulder may have to hold. */
  readonly shoulderMomentMostNm: number;
  /** What a scale would show under what holds the body besides the hands, in kilograms. */
  readonly scales: Readonly<Partial<Record<ContactName, number>>>;
  readonly centreOfMass: Point;
  readonly stands: Stands;
  /** Where not to trust the figures, in sentences. */
  readonly honest: readonly string[];
  /** The assumption that widens the band most. */
  readonly widest?: AssumptionName;
  readonly stance: Stance;
}

/**
 * The figures of a set-up under given assumptions, without error band.
 *
 * @throws Refusal `set-up-impossible`
 */
export function evaluate(body: Body, setUp: SetUp, assumed: Assumed): Figures {
  const model = modelOf(setUp.position);
  return figuresOf(body, model.place(buildOf(body, assumed), stated(setUp), assumed), model);
}

/**
 * How much weight is in the hands in a set-up, and what it asks of wrists, elbows, shoulders and grip, each with its
 * error band: what the stated assumptions do to it when they are varied together.
 *
 * @param body the trainee's body, with what scale readings have taught where there were any
 * @param setUp a position and its dials; what is left out is at its usual place
 * @returns shares as fractions of body weight, forces in newtons, moments in newton metres, angles in degrees
 * @throws Refusal `set-up-impossible`, naming the limit
 * @example handLoad(bodyModel({ statureM: 1.75, massKg: 70 }), { position: 'push-up' }).verticalShare // about 0.69
 */
export function handLoad(body: KnownBody, setUp: SetUp): HandLoadReading {
  checked(setUp);
  const { assumed, covariance } = body.belief ?? usualBelief(body);
  const model = modelOf(setUp.position);
  const values = stated(setUp);
  const stance = model.place(buildOf(body, assumed), values, assumed);
  const middle = figuresOf(body, stance, model);

  const slopes: Figures[] = [];
  const rows: number[] = [];
  for (const name of model.assumes) {
    const row = ASSUMPTION_NAMES.indexOf(name);
    const slope = slopeOf(body, setUp, values, assumed, name, Math.sqrt(covariance[row]?.[row] ?? 0) * LIMITS_IN_SD, middle);
    if (!slope) continue;
    slopes.push(slope);
    rows.push(row);
  }
  const shared = (i: number, k: number) => covariance[rows[i] ?? 0]?.[rows[k] ?? 0] ?? 0;
  const bands = {} as Record<keyof Figures, Span>;
  for (const figure of FIGURE_NAMES) {
    let variance = 0;
    for (let i = 0; i < rows.length; i++)
      for (let k = 0; k < rows.length; k++)
        variance += shared(i, k) && (slopes[i]?.[figure] ?? 0) * (slopes[k]?.[figure] ?? 0) * shared(i, k);
    if (variance > 1e-12) variance += modelVariance(figure, body, middle);
    const half = LIMITS_IN_SD * Math.sqrt(variance);
    bands[figure] = {
      low: figure === 'wristExtensionDeg' ? middle[figure] - half : Math.max(0, middle[figure] - half),
      high: middle[figure] + half,
    };
  }
  const widest = widestOf(rows, slopes, covariance);
  return {
    ...middle,
    verticalKg: middle.verticalShare * body.massKg,
    band: bands.verticalShare,
    bands,
    shoulderMomentMostNm: Math.max(middle.shoulderMomentNm, ...stance.supports.map((s) => upright(body, stance, s))),
    scales: scalesOf(body, stance),
    centreOfMass: centreOf(stance.masses),
    stands: standsOf(stance),
    honest: model.honest(values),
    ...(widest ? { widest } : {}),
    stance,
  };
}

/**
 * How fast each figure changes with one assumption, by a central difference over its own limits; where one side of
 * them can not be built, from the other side alone.
 */
function slopeOf(
  body: Body,
  setUp: SetUp,
  values: ReturnType<typeof stated>,
  assumed: Assumed,
  name: AssumptionName,
  within: number,
  middle: Figures,
): Figures | undefined {
  if (within === 0) return undefined;
  const model = modelOf(setUp.position);
  const at = (value: number): Figures | undefined => {
    const varied = { ...assumed, [name]: value };
    try {
      return figuresOf(body, model.place(buildOf(body, varied), values, varied), model);
    } catch {
      return undefined;
    }
  };
  const [less, more] = [at(assumed[name] - within), at(assumed[name] + within)];
  const run = (less ? within : 0) + (more ? within : 0);
  if (run === 0) return undefined;
  const slope = {} as Record<keyof Figures, number>;
  for (const figure of FIGURE_NAMES) slope[figure] = ((more ?? middle)[figure] - (less ?? middle)[figure]) / run;
  return slope;
}

/** What no assumption explains: a share of body weight on loads, a few degrees on angles, a tenth on moments (project defaults). */
function modelVariance(figure: keyof Figures, body: Body, middle: Figures): number {
  switch (figure) {
    case 'verticalShare':
    case 'totalShare':
    case 'loadShare':
      return MODEL_SD ** 2;
    case 'perHandN':
      return ((MODEL_SD * body.weightN) / 2) ** 2;
    case 'wristExtensionDeg':
      return middle.wristExtensionDeg === 0 ? 0 : 2 ** 2;
    case 'shoulderAngleDeg':
      return 3 ** 2;
    default:
      return (middle[figure] * 0.05) ** 2;
  }
}

function widestOf(rows: readonly number[], slopes: readonly Figures[], covariance: Belief['covariance']): AssumptionName | undefined {
  let [most, name]: [number, AssumptionName | undefined] = [0, undefined];
  rows.forEach((row, i) => {
    const effect = Math.abs(slopes[i]?.loadShare ?? 0) * Math.sqrt(covariance[row]?.[row] ?? 0);
    if (effect > most) [most, name] = [effect, ASSUMPTION_NAMES[row]];
  });
  return name;
}

/** The figures of a stance; moments are those of one arm. */
export function figuresOf(body: Body, stance: Stance, { loadIs, name }: Pick<AnyModel, 'loadIs' | 'name'>): Figures {
  let [verticalShare, totalShare, perHand, wrist, elbow, shoulder] = [0, 0, 0, 0, 0, 0];
  for (const s of stance.supports) {
    const size = Math.hypot(s.fx, s.fy);
    verticalShare += s.fy;
    totalShare += size;
    perHand = Math.max(perHand, size / s.arms);
    const moments = armMoments(body, stance, s);
    wrist = Math.max(wrist, Math.abs(moments.wrist));
    elbow = Math.max(elbow, Math.abs(moments.elbow));
    shoulder = Math.max(shoulder, Math.abs(moments.shoulder));
  }
  if (!Number.isFinite(totalShare)) throw impossible(`${name}: this body does not fit this set-up.`);
  const { joints } = stance;
  return {
    verticalShare: Math.abs(verticalShare),
    totalShare,
    loadShare: loadIs === 'whole force' ? totalShare : Math.abs(verticalShare),
    perHandN: perHand * body.weightN,
    wristExtensionDeg: stance.wristExtensionDeg,
    wristMomentNm: wrist,
    elbowMomentNm: elbow,
    shoulderMomentNm: shoulder,
    shoulderAngleDeg: angleAt(joints.shoulder, joints.hip, joints.elbow),
    gripPerHandN: stance.grip * body.weightN,
  };
}

/**
 * Moments that wrist, elbow and shoulder of one arm must hold, counter-clockwise in newton metres: the force on the
 * hand and the weights of what lies between it and the joint.
 */
export function armMoments(
  body: Body,
  stance: Stance,
  support: Support,
): { readonly wrist: number; readonly elbow: number; readonly shoulder: number } {
  const { segments: s, weightN } = body;
  const force = { x: support.x, y: support.y, fx: support.fx / support.arms, fy: support.fy / support.arms };
  const { elbow, wrist, knuckles } = support;
  const { shoulder } = stance.joints;
  const weight = (from: Point, to: Point, centre: number, share: number, about: Point) =>
    -share * (from.x + (to.x - from.x) * centre - about.x);
  const onHand = (about: Point) => momentAbout(force, about) + weight(wrist, knuckles, s.hand.centre, s.hand.massShare, about);
  const onForearm = (about: Point) => onHand(about) + weight(elbow, wrist, s.forearm.centre, s.forearm.massShare, about);
  const beyondWrist = support.name !== 'forearms';
  return {
    wrist: beyondWrist ? onHand(wrist) * weightN : 0,
    elbow: onForearm(elbow) * weightN,
    shoulder: (onForearm(shoulder) + weight(shoulder, elbow, s.upperArm.centre, s.upperArm.massShare, shoulder)) * weightN,
  };
}

/** Shoulder moment of one arm if the same vertical load came without any sideways force. */
function upright(body: Body, stance: Stance, support: Support): number {
  if (support.surface !== 'level') return 0;
  return Math.abs(armMoments(body, stance, { ...support, fx: 0 }).shoulder);
}

function scalesOf({ massKg }: Body, { others, supports }: Stance): HandLoadReading['scales'] {
  const scales: Partial<Record<ContactName, number>> = {};
  for (const c of [...supports, ...others]) if (c.surface === 'level') scales[c.name] = (scales[c.name] ?? 0) + c.fy * massKg;
  return scales;
}

function standsOf({ supports, others }: Stance): Stands {
  const needed = (contacts: readonly Contact[]) => {
    const able = contacts.filter((c) => c.surface !== 'grasped' && normalOf(c) > 1e-6);
    return able.length > 0 ? Math.max(...able.map((c) => Math.abs(c.surface === 'level' ? c.fx : c.fy) / normalOf(c))) : undefined;
  };
  const feet = others.filter((c) => c.name === 'feet' || c.name === 'knees');
  const [handFriction, footFriction] = [needed(supports), needed(feet)];
  const lifting = feet.some((c) => c.fy < -1e-9);
  const reason = lifting
    ? 'The feet would have to hold on to the floor: the weight has passed the hands.'
    : (handFriction ?? 0) > FRICTION + 1e-9
      ? `The hands slip unless the surface holds ${percent(handFriction)} of the load sideways.`
      : (footFriction ?? 0) > FRICTION + 1e-9
        ? `The feet slip unless the floor holds ${percent(footFriction)} of their load sideways: put them against something.`
        : undefined;
  return {
    ok: reason === undefined,
    ...(handFriction === undefined ? {} : { handFriction }),
    ...(footFriction === undefined ? {} : { footFriction }),
    ...(reason ? { reason } : {}),
  };
}

const percent = (share: number | undefined) => `${Math.round((share ?? 0) * 100)}%`;

/** Push onto the surface. */
function normalOf(c: Contact): number {
  return c.surface === 'upright' ? Math.abs(c.fx) : c.fy;
}

function angleAt(vertex: Point, a: Point, b: Point): number {
  const [ax, ay, bx, by] = [a.x - vertex.x, a.y - vertex.y, b.x - vertex.x, b.y - vertex.y];
  return degrees(Math.atan2(Math.abs(ax * by - ay * bx), ax * bx + ay * by));
}

/**
 * Newtons as the kilograms that a scale shows.
 *
 * @example asKilograms(98.0665) // 10
 */
export const asKilograms = (newtons: number): number => newtons / GRAVITY;

/** Half the width of an assumption's limits, for saying what widens a band. */
export const assumptionInWords = (name: AssumptionName): string => ASSUMPTIONS[name].words;
