import { crouch, INTO_THE_FINGERS } from '../crouch.ts';
import { impossible, position } from '../position.ts';
import { type Build, centreOf, massesOf, support } from '../stance.ts';

/** Leans between which the balance is looked for, in metres, and how often the stretch is halved. */
const [LEAST, MOST, HALVINGS] = [0, 0.45, 45];

/** The lean at which the weight of the folded body lies over the pressure under the hands. */
function balancedLean(b: Build, pressureX: number): number {
  const over = (ahead: number) => centreOf(massesOf(crouch(b, ahead, undefined).joints, b)).x - pressureX;
  let [low, high] = [LEAST, Math.min(MOST, 0.9 * b.arm)];
  if (over(low) > 0 || over(high) < 0) throw impossible('This body does not come to balance over its hands in a crouch.');
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (over(middle) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

export const ARM_BALANCE = position({
  id: 'arm-balance',
  name: 'Crouched balance, both feet light',
  direction: 'push',
  carriedBy: 'hands',
  dials: {},
  choices: {},
  harder: [],
  assumes: ['pressureCentreM', 'upperMass'],
  honest: () => ['The hands carry all of the weight; how far the shoulders must lean for it depends on how tightly the legs fold.'],
  place(b, _values, assumed) {
    const at = assumed.pressureCentreM + INTO_THE_FINGERS;
    const { joints, wristExtensionDeg } = crouch(b, balancedLean(b, at), undefined);
    const masses = massesOf(joints, b);
    const hands = support('hands', 'level', 2, { x: centreOf(masses).x, y: 0 }, { fx: 0, fy: 1 }, joints);
    return {
      joints,
      masses,
      supports: [hands],
      others: [],
      wristExtensionDeg,
      grip: 0,
      scenery: () => [{ kind: 'floor', from: { x: -0.7, y: 0 }, to: { x: 0.6, y: 0 } }],
    };
  },
});
