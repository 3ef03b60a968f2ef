import { inverted } from '../inverted.ts';
import { height, position } from '../position.ts';

export const HANDSTAND = position({
  id: 'handstand',
  name: 'Handstand',
  direction: 'push',
  carriedBy: 'hands',
  dials: { wallM: height('Hands to the wall, 0 for free', 0.6, 0.2) },
  choices: {},
  harder: [],
  assumes: ['pressureCentreM'],
  honest: () => ['The hands carry all of the weight; how a wobble shifts it from side to side is not modelled.'],
  place: (b, { wallM }, assumed) => inverted(b, 'hands', wallM, assumed),
});
