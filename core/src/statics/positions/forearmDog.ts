import { piked } from '../piked.ts';
import { angle, position } from '../position.ts';

export const FOREARM_DOG = position({
  id: 'forearm-dog',
  name: 'Forearm dog',
  direction: 'push',
  carriedBy: 'forearms',
  dials: { hipAngleDeg: angle('Angle at the hips', 70, 165, 100, 5) },
  choices: {},
  harder: [{ dial: 'hipAngleDeg', from: 150, to: 75 }],
  assumes: ['forearmPressureM', 'armLength', 'upperMass'],
  honest: () => ['Upper arms are taken to be in line with the trunk; shoulders that open less put more on the feet.'],
  place: (b, { hipAngleDeg }, assumed) => piked(b, { on: 'forearms', hipAngleDeg, footHeightM: 0 }, assumed),
});
