import { bentArm, ELBOWS_BACK, HAND_CHOICE, handFrom, placement, straightArm, widest } from '../hands.ts';
import { along, closingAngles, degrees } from '../plane.ts';
import { cm, height, impossible, position } from '../position.ts';
import { massesOf, reactionToward, support } from '../stance.ts';
import { KNEE_HEIGHT_M, kneesAndShanks, shankFrom } from '../kneeling.ts';
import { LOWERED_M } from './pushUp.ts';

/** Shanks lifted about 45° behind the knees. */
const LIFTED_DEG = 135;

export const KNEELING_PUSH_UP = position({
  id: 'kneeling-push-up',
  name: 'Kneeling push-up',
  direction: 'push',
  carriedBy: 'hands',
  dials: { handHeightM: height('Height under the hands', 0.8) },
  choices: {
    arms: { label: 'Arms', options: ['straight', 'lowered'], usual: 'straight' },
    shanks: { label: 'Shanks', options: ['resting', 'lifted'], usual: 'resting' },
    hands: HAND_CHOICE,
  },
  harder: [{ dial: 'handHeightM', from: 0.8, to: 0 }],
  assumes: ['armLeanDeg', 'pressureCentreM', 'armLength', 'upperMass'],
  honest: ({ shanks, arms }) => [
    ...(shanks === 'resting'
      ? ['Shanks resting on the floor are taken to carry nothing through the knee: published loads lie lower.']
      : []),
    ...(arms === 'lowered' ? [ELBOWS_BACK] : []),
  ],
  place(b, { handHeightM, arms, shanks, hands }, assumed) {
    const knee = { x: 0, y: KNEE_HEIGHT_M };
    const { rise, beyond } = placement(hands, assumed);
    const long = b.thigh + b.trunk;
    const lower = shankFrom(b, knee, shanks === 'lifted' ? LIFTED_DEG : 180);
    const placed = (lean: number) => ({
      hip: along(knee, lean, b.thigh),
      shoulder: along(knee, lean, long),
      crown: along(knee, lean, long + b.crown),
    });
    const floor = degrees(Math.asin((b.arm + rise - KNEE_HEIGHT_M) / long));
    const straight =
      handHeightM > 0
        ? closingAngles(
            [
              [long, 0],
              [-b.arm, 90 - floor],
            ],
            handHeightM + rise - KNEE_HEIGHT_M,
          )?.[0]
        : floor;
    if (straight === undefined || straight > 85)
      throw impossible(`Hands ${cm(handHeightM)} high are out of reach on the knees; try a lower surface.`);
    const upright = placed(straight);
    const arm = straightArm(b, upright.shoulder, floor - straight + assumed.armLeanDeg);
    const wrist = { x: arm.wrist.x, y: handHeightM + rise };
    const pressure = { x: wrist.x + beyond, y: handHeightM };

    const sine = (handHeightM + LOWERED_M - KNEE_HEIGHT_M) / long;
    const body = arms === 'straight' ? upright : placed(degrees(Math.asin(sine)));
    const limb = arms === 'straight' ? arm : bentArm(b, body.shoulder, wrist);
    if (!limb) throw impossible(`With hands ${cm(handHeightM)} high the arms do not reach in the lowered position.`);
    const hand = widest(
      handFrom(hands, arms === 'straight' ? arm.wrist : wrist, limb.forearm, b.hand),
      handFrom(hands, arm.wrist, arm.forearm, b.hand),
    );
    const { toe, ball, heel, ankle } = lower;
    const { hip, shoulder, crown } = body;
    const { elbow } = limb;
    const joints = { toe, ball, heel, ankle, knee, hip, shoulder, crown, elbow, wrist: limb.wrist, knuckles: hand.knuckles };
    const masses = massesOf(joints, b);
    // Shanks that rest on the floor bear their own weight and turn nothing.
    const turning = shanks === 'lifted' ? masses : masses.slice(0, 6);
    const under = { x: 0, y: 0 };
    const carried = support('hands', 'level', 2, pressure, reactionToward(turning, under, pressure, body.shoulder), joints);
    return {
      joints,
      masses,
      supports: [carried],
      others: kneesAndShanks(masses, shanks === 'resting', under, carried),
      wristExtensionDeg: hand.wristExtensionDeg,
      grip: 0,
      scenery: () => [
        { kind: 'floor', from: { x: -0.75, y: 0 }, to: { x: pressure.x + 0.3, y: 0 } },
        ...(handHeightM > 0.005
          ? [
              {
                kind: 'surface',
                from: { x: pressure.x - 0.16, y: handHeightM },
                to: { x: pressure.x + 0.2, y: handHeightM },
                legs: 0,
              } as const,
            ]
          : []),
      ],
    };
  },
});
