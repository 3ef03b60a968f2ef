import { bentArm, ELBOWS_BACK, HAND_CHOICE, handFrom, placement, straightArm, widest } from '../hands.ts';
import { balanced } from '../onHandsAndFeet.ts';
import { cm, height, impossible, position, weight } from '../position.ts';
import { leanForShoulder, leanForTurnedArm, straightBody } from '../straightBody.ts';

/** Shoulder over the hands at the bottom of a push-up, in metres (project default). */
export const LOWERED_M = 0.2;

export const PUSH_UP = position({
  id: 'push-up',
  name: 'Push-up',
  direction: 'push',
  carriedBy: 'hands',
  dials: {
    handHeightM: height('Height under the hands', 1.3),
    footHeightM: height('Height under the feet', 0.8),
    addedKg: weight('Weight on the upper back', 60),
  },
  choices: { arms: { label: 'Arms', options: ['straight', 'lowered'], usual: 'straight' }, hands: HAND_CHOICE },
  harder: [
    { dial: 'handHeightM', from: 1.3, to: 0 },
    { dial: 'footHeightM', from: 0, to: 0.8 },
  ],
  assumes: ['armLeanDeg', 'pressureCentreM', 'armLength', 'upperMass'],
  honest: ({ arms, handHeightM, footHeightM }) => [
    ...(arms === 'lowered' && handHeightM > 0
      ? ['Lowered on a raised surface: how far the shoulders come forward differs much between people.']
      : []),
    ...(footHeightM > 0.5 ? ['Feet this high: nobody measured it that we know of.'] : []),
    ...(arms === 'lowered' ? [ELBOWS_BACK] : []),
    'Held still: a fast push-up peaks well above this.',
  ],
  place(b, { handHeightM, footHeightM, addedKg, arms, hands }, assumed) {
    const ball = { x: 0, y: footHeightM };
    const { rise, beyond } = placement(hands, assumed);
    const up = handHeightM - footHeightM;
    const floor = leanForShoulder(b, b.arm + rise) ?? 0;
    const straight = up > 0 ? leanForTurnedArm(b, up + rise, floor) : leanForShoulder(b, up + b.arm + rise);
    if (straight === undefined || straight > 85)
      throw impossible(`Hands ${cm(handHeightM)} high are out of reach of a straight body of ${cm(b.body.statureM)}; try a lower surface.`);
    if (straight < -20) throw impossible(`Feet ${cm(footHeightM)} high tip the body onto the head; try a lower step.`);
    const body = straightBody(b, ball, straight);
    // Hands raised: the arm turns with the trunk, so the hand comes out ahead of the shoulder.
    const arm = straightArm(b, body.shoulder, (up > 0 ? floor - straight : 0) + assumed.armLeanDeg);
    const wrist = { x: arm.wrist.x, y: handHeightM + rise };
    const pressure = { x: wrist.x + beyond, y: handHeightM };
    const straightHand = handFrom(hands, arm.wrist, arm.forearm, b.hand);
    if (arms === 'straight') return balanced(b, body, arm, straightHand, pressure, addedKg);

    const lean = leanForShoulder(b, up + LOWERED_M);
    const lowered = lean === undefined ? undefined : straightBody(b, ball, lean);
    const bent = lowered && bentArm(b, lowered.shoulder, wrist);
    if (!bent)
      throw impossible(`With hands ${cm(handHeightM)} and feet ${cm(footHeightM)} high the arms do not reach in the lowered position.`);
    return balanced(b, lowered, bent, widest(handFrom(hands, wrist, bent.forearm, b.hand), straightHand), pressure, addedKg);
  },
});
