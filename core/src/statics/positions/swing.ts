import { hangStance, hung } from '../hanging.ts';
import { pendulumOf, pendulumSwing } from '../pendulum.ts';
import { angle, position } from '../position.ts';
import { centreOf, contact } from '../stance.ts';

export const SWING = position({
  id: 'swing',
  name: 'Swing',
  direction: 'pull',
  carriedBy: 'hands',
  dials: { amplitudeDeg: angle('Amplitude to each side', 0, 90, 20, 5) },
  choices: { hands: { label: 'Hands', options: ['both', 'one'], usual: 'both' } },
  harder: [{ dial: 'amplitudeDeg', from: 0, to: 90 }],
  assumes: ['armLength', 'upperMass'],
  honest: () => [
    'A stiff straight body at the lowest point. Legs that whip, a kip or a catch go above this: dynamic peaks are not modelled.',
  ],
  place(b, { amplitudeDeg, hands }) {
    const still = hangStance(b, hung(b, {}), { arms: hands === 'one' ? 1 : 2 });
    const extra = pendulumSwing(pendulumOf(b), amplitudeDeg).peakTensionRatio - 1;
    const centre = centreOf(still.masses);
    return {
      ...still,
      supports: still.supports.map((s) => ({ ...s, fy: s.fy + extra })),
      others: [contact('swing', 'grasped', centre, 0, -extra)],
      grip: still.grip + extra / (hands === 'one' ? 1 : 2),
    };
  },
});
