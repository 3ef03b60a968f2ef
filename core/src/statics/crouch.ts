import { bentArm, handFrom, RISE_M } from './hands.ts';
import { along, bend, between, direction, type Point } from './plane.ts';
import { cm, impossible } from './position.ts';
import type { Build, Joints } from './stance.ts';

/** Elbows a little bent, so that the knees find a shelf on the upper arms (project default). */
const BENT = 0.93;
/** Weight travels toward the fingers in this lean, in metres beyond its usual place (project default). */
export const INTO_THE_FINGERS = 0.03;

export interface Crouch {
  readonly joints: Joints;
  readonly wristExtensionDeg: number;
}

/**
 * A crouch over the hands with the knees on the upper arms: the shoulders so far ahead of the wrists, hips where trunk
 * and thighs meet, feet on a block of a height, or folded behind the hips where there is none.
 */
export function crouch(b: Build, ahead: number, block: number | undefined): Crouch {
  const wrist = { x: 0, y: RISE_M };
  const reach = BENT * b.arm;
  if (!(Math.abs(ahead) < reach)) throw impossible(`A lean of ${cm(ahead)} is longer than the arm allows.`);
  const shoulder = { x: ahead, y: RISE_M + Math.sqrt(reach ** 2 - ahead ** 2) };
  const arm = bentArm(b, shoulder, wrist);
  const knee = arm && between(arm.elbow, shoulder, 0.3);
  const hip = knee && bend(shoulder, knee, b.trunk, b.thigh, -1);
  if (!hip) throw impossible('Trunk and thighs do not fit over the arms in this crouch.');
  const foot = block === undefined ? folded(b, knee, hip) : standing(b, knee, block);
  const hand = handFrom('flat', wrist, direction(arm.elbow, wrist), b.hand);
  const crown = { x: shoulder.x + b.crown * 0.8, y: shoulder.y + b.crown * 0.6 };
  const { toe, ball, heel, ankle } = foot;
  return {
    joints: { toe, ball, heel, ankle, knee, hip, shoulder, crown, elbow: arm.elbow, wrist, knuckles: hand.knuckles },
    wristExtensionDeg: hand.wristExtensionDeg,
  };
}

type Foot = Pick<Joints, 'toe' | 'ball' | 'heel' | 'ankle'>;

function standing(b: Build, knee: Point, block: number): Foot {
  const y = block + b.ballToAnkle;
  const down = knee.y - y;
  if (Math.abs(down) > b.shank) throw impossible(`With a block of ${cm(block)} the feet do not reach it in this crouch.`);
  const ankle = { x: knee.x - Math.sqrt(b.shank ** 2 - down ** 2), y };
  const ball = { x: ankle.x + 0.02, y: block };
  return { ankle, ball, toe: { x: ball.x + b.foot - b.heelToBall, y: block }, heel: { x: ankle.x - b.ankle, y } };
}

/** Shanks drawn up along the thighs, feet beside the hips. */
function folded(b: Build, knee: Point, hip: Point): Foot {
  const way = direction(knee, hip) - 15;
  const ankle = along(knee, way, b.shank);
  const heel = along(ankle, way, b.ankle);
  return { ankle, heel, ball: along(heel, way + 80, b.heelToBall), toe: along(heel, way + 80, b.foot) };
}
