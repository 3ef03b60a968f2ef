import { piked } from '../piked.ts';
import { angle, height, position } from '../position.ts';

export const PIKE_HOLD = position({
  id: 'pike-hold',
  name: 'Pike hold',
  direction: 'push',
  carriedBy: 'hands',
  dials: { hipAngleDeg: angle('Angle at the hips', 70, 170, 100, 5), footHeightM: height('Height under the feet', 0.8) },
  choices: {},
  harder: [{ dial: 'footHeightM', from: 0, to: 0.8 }],
  assumes: ['pressureCentreM', 'armLength', 'upperMass'],
  honest: ({ footHeightM }) => [
    'Shoulders are taken to be fully overhead, in line with the trunk.',
    ...(footHeightM > 0 ? ['Feet raised: how far the hips come over the hands decides, and differs by 10 points between people.'] : []),
  ],
  place: (b, { hipAngleDeg, footHeightM }, assumed) => piked(b, { on: 'hands', hipAngleDeg, footHeightM }, assumed),
});
