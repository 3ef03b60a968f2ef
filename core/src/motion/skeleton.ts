import type { Side } from '../anatomy/index.ts';
import { type Frame, signOf, WRITTEN_FOR } from './frame.ts';
import { type Figures, MIDDLE_JOINTS, PAIRED_JOINTS, type MiddleJoint, middleAt, type PairedJoint, pairedAt, valueAt } from './joints.ts';
import { aboutLevel, aboutX, aboutY, aboutZ, after, from, type Turn, type Vec } from './space.ts';

/** One side of the body in space. */
export interface Limbs {
  /** Where the collarbone turns. */
  readonly socket: Vec;
  readonly shoulder: Vec;
  readonly elbow: Vec;
  readonly wrist: Vec;
  /** Heel of the hand and the outer knuckles on the palm's side; their backs; the middle of the grip; the tips. */
  readonly heelOfHand: Vec;
  readonly indexKnuckle: Vec;
  readonly littleKnuckle: Vec;
  readonly backOfHand: readonly [Vec, Vec, Vec];
  readonly knuckles: Vec;
  readonly grip: Vec;
  readonly middleJoints: Vec;
  readonly fingertips: Vec;
  readonly outerTips: readonly [Vec, Vec];
  readonly thumb: readonly [Vec, Vec];
  readonly hip: Vec;
  readonly knee: Vec;
  readonly ankle: Vec;
  readonly heel: Vec;
  readonly ball: Vec;
  readonly toe: Vec;
  /** Corners of the shoulder blade: at the shoulder, its inner upper corner, its lower tip. */
  readonly blade: readonly [Vec, Vec, Vec];
  readonly girdleTurn: Turn;
  readonly upperArmTurn: Turn;
  readonly forearmTurn: Turn;
  readonly handTurn: Turn;
  /** The first and the last part of the fingers. */
  readonly spread: number;
  readonly fingerTurns: readonly [Turn, Turn];
  readonly thighTurn: Turn;
  readonly footTurn: Turn;
}

/** A body in space: where everything is, metres. */
export interface Skeleton {
  readonly pelvis: Vec;
  readonly waist: Vec;
  /** Between the shoulders. */
  readonly top: Vec;
  readonly neck: Vec;
  readonly head: Vec;
  readonly nose: Vec;
  readonly crown: Vec;
  readonly pelvisTurn: Turn;
  readonly chestTurn: Turn;
  readonly headTurn: Turn;
  readonly right: Limbs;
  readonly left: Limbs;
}

/** Share of the trunk that lies below the waist. */
const BELOW_WAIST = 0.42;
/** Where the collarbone turns, to the side of the mid-line, metres at the stature that is written for. */
const COLLARBONE = 0.025;
/**
 * The girdle follows the arm: one part of upward rotation for two at the shoulder (Inman, Saunders & Abbott 1944, from memory), and the
 * shoulder's end rises a little from 30° on.
 */
export const BLADE_SHARE = 1 / 3;
export const RISES_FROM = 30;
export const RISE_SHARE = 0.09;

/** How far a blade is turned upward, degrees: what follows from the arm, and what a pose adds. */
export function bladeTurn(raise: number, upward: number): number {
  return Math.max(0, raise) * BLADE_SHARE + upward;
}

/** Thickness between a hand's bones and its surfaces, metres at the stature that is written for. */
const PALM = 0.018;

/**
 * The body in space for a row of figures.
 *
 * @returns points in metres, turns of the parts
 */
export function skeletonOf(frame: Frame, figures: Figures): Skeleton {
  const { lengths, halfHips } = frame;
  const k = frame.statureM / WRITTEN_FOR;
  const m = (joint: MiddleJoint) => valueAt(figures, MIDDLE_INDEX[joint]);
  const pelvis: Vec = [valueAt(figures, 0), valueAt(figures, 1), valueAt(figures, 2)];
  const pelvisTurn = after(after(after(aboutZ(m('yaw')), aboutY(m('pitch'))), aboutX(m('roll'))), aboutZ(m('spin')));
  const half = after(after(aboutY(m('flex') / 2), aboutX(m('bend') / 2)), aboutZ(m('turn') / 2));
  const lower = after(pelvisTurn, half);
  const chestTurn = after(lower, half);
  const waist = from(pelvis, lower, [0, 0, lengths.trunk * BELOW_WAIST]);
  const top = from(waist, chestTurn, [0, 0, lengths.trunk * (1 - BELOW_WAIST)]);
  const headTurn = after(after(after(chestTurn, aboutY(m('nod'))), aboutX(m('tilt'))), aboutZ(m('look')));
  const neck = from(top, chestTurn, [0, 0, 0.03 * k]);
  const head = from(neck, headTurn, [0.015 * k, 0, 0.185 * k]);
  const limbs = (side: Side): Limbs =>
    Object.assign(
      armOf(frame, figures, side, top, chestTurn),
      legOf(frame, figures, side, from(pelvis, pelvisTurn, [0, signOf(side) * halfHips, 0]), pelvisTurn),
    );
  return {
    pelvis,
    waist,
    top,
    neck,
    head,
    nose: from(head, headTurn, [0.115 * k, 0, -0.015 * k]),
    crown: from(neck, headTurn, [0.015 * k, 0, 0.29 * k]),
    pelvisTurn,
    chestTurn,
    headTurn,
    right: limbs('right'),
    left: limbs('left'),
  };
}

const MIDDLE_INDEX = Object.fromEntries(MIDDLE_JOINTS.map((joint) => [joint, middleAt(joint)])) as Readonly<Record<MiddleJoint, number>>;
const indexOf = (side: Side) =>
  Object.fromEntries(PAIRED_JOINTS.map((joint) => [joint, pairedAt(side, joint)])) as Readonly<Record<PairedJoint, number>>;
const INDEX = { right: indexOf('right'), left: indexOf('left') } as const;

function armOf(frame: Frame, figures: Figures, side: Side, top: Vec, chestTurn: Turn) {
  const { lengths, halfShoulders, fingers } = frame;
  const k = frame.statureM / WRITTEN_FOR;
  const out = signOf(side);
  const q = (joint: PairedJoint) => valueAt(figures, INDEX[side][joint]);

  const raise = q('raise');
  const lift = q('lift') + Math.max(0, raise - RISES_FROM) * RISE_SHARE;
  const collarbone = COLLARBONE * k;
  const socket = from(top, chestTurn, [0, out * collarbone, 0]);
  // A collarbone that rises, and comes forward.
  const girdle = after(aboutZ(-out * q('reach')), aboutX(out * lift));
  const girdleTurn = after(chestTurn, girdle);
  const shoulder = from(socket, girdleTurn, [0, out * (halfShoulders - collarbone), 0]);

  const swing = aboutLevel(out * (90 - q('plane')) - 90, raise);
  const upperArmTurn = after(after(chestTurn, swing), aboutZ(out * q('rotate')));
  const elbow = from(shoulder, upperArmTurn, [0, 0, -lengths.upperArm]);
  const forearmTurn = after(after(upperArmTurn, aboutY(-q('elbow'))), aboutZ(-out * q('pronate')));
  const wrist = from(elbow, forearmTurn, [0, 0, -lengths.forearm]);
  const handTurn = after(after(forearmTurn, aboutX(out * q('wrist'))), aboutY(-q('deviate')));
  const palm = -out * PALM * k;
  const hand = lengths.hand;
  const breadth = 0.034 * k;
  const lengthened = (x: number, y: number, z: number) => from(wrist, handTurn, [x, y, z]);
  // What only a drawing or few contacts ask for is worked out when it is asked for.
  const fingersOf = once(() => {
    const curled = after(handTurn, aboutX(-out * (q('knuckle') + q('curl'))));
    const tipTurn = after(curled, aboutX(-out * Math.max(0, q('curl')) * 1.05));
    const joints = from(lengthened(0, 0, -hand), curled, [0, 0, -fingers * 0.5]);
    const tip = (x: number) => from(joints, tipTurn, [x * (1 + q('spread') / 25), 0, -fingers * 0.45]);
    return {
      turns: [curled, tipTurn] as const,
      joints,
      tips: [tip(breadth), tip(-breadth)] as const,
      end: from(joints, tipTurn, [0, 0, -fingers * 0.5]),
    };
  });
  return {
    socket,
    girdleTurn,
    shoulder,
    elbow,
    wrist,
    heelOfHand: lengthened(0, palm, -0.005 * k),
    indexKnuckle: lengthened(breadth, palm, -hand),
    littleKnuckle: lengthened(-breadth, palm, -hand * 0.92),
    grip: lengthened(0, palm * 1.9, -hand * 0.92),
    knuckles: lengthened(0, 0, -hand),
    get backOfHand() {
      return [lengthened(0, -palm, -0.01 * k), lengthened(breadth, -palm, -hand), lengthened(-breadth, -palm, -hand * 0.92)] as const;
    },
    get middleJoints() {
      return fingersOf().joints;
    },
    get fingertips() {
      return fingersOf().end;
    },
    get outerTips() {
      return fingersOf().tips;
    },
    get fingerTurns() {
      return fingersOf().turns;
    },
    get thumb() {
      return [lengthened(breadth * 0.9, palm * 0.5, -hand * 0.4), lengthened(breadth * 1.9, palm * 1.2, -hand * 0.85)] as const;
    },
    get blade() {
      return bladeOf(top, chestTurn, { out, k, raise, lift, reach: q('reach'), upward: q('upward') });
    },
    upperArmTurn,
    forearmTurn,
    handTurn,
    spread: q('spread'),
  };
}

function once<T>(work: () => T): () => T {
  let made: T | undefined;
  return () => (made ??= work());
}

interface BladePose {
  readonly out: 1 | -1;
  readonly k: number;
  readonly raise: number;
  readonly lift: number;
  readonly reach: number;
  readonly upward: number;
}

/** The blade lies on the back of the ribs and slides round them as the shoulder comes forward. */
function bladeOf(top: Vec, chestTurn: Turn, { out, k, raise, lift, reach, upward }: BladePose): Limbs['blade'] {
  const onRibs = after(chestTurn, after(aboutZ(-out * reach * 0.9), aboutX(out * (bladeTurn(raise, upward) - 4))));
  const centre = from(top, chestTurn, [
    -0.075 * k,
    out * (0.105 * k + reach * 0.0014 * k),
    -0.075 * k + Math.sin((lift * Math.PI) / 180) * 0.13 * k,
  ]);
  return [
    from(centre, onRibs, [0.02 * k, out * 0.055 * k, 0.05 * k]),
    from(centre, onRibs, [0, -out * 0.055 * k, 0.055 * k]),
    from(centre, onRibs, [0, -out * 0.022 * k, -0.085 * k]),
  ];
}

function legOf(frame: Frame, figures: Figures, side: Side, hip: Vec, pelvisTurn: Turn) {
  const { lengths, ankleHeight, heelToAnkle, heelToBall } = frame;
  const out = signOf(side);
  const q = (joint: PairedJoint) => valueAt(figures, INDEX[side][joint]);
  const thighTurn = after(after(after(pelvisTurn, aboutY(-q('hip'))), aboutX(out * q('abduct'))), aboutZ(out * q('hipTurn')));
  const knee = from(hip, thighTurn, [0, 0, -lengths.thigh]);
  const shankTurn = after(thighTurn, aboutY(q('knee')));
  const ankle = from(knee, shankTurn, [0, 0, -lengths.shank]);
  const footTurn = after(shankTurn, aboutY(-q('ankle')));
  return {
    hip,
    knee,
    ankle,
    heel: from(ankle, footTurn, [-heelToAnkle, 0, -ankleHeight]),
    ball: from(ankle, footTurn, [heelToBall - heelToAnkle, 0, -ankleHeight]),
    toe: from(ankle, footTurn, [lengths.foot - heelToAnkle, 0, -ankleHeight]),
    thighTurn,
    footTurn,
  };
}
