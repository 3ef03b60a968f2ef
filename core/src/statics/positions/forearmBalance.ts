import { inverted } from '../inverted.ts';
import { height, position } from '../position.ts';

export const FOREARM_BALANCE = position({
  id: 'forearm-balance',
  name: 'Forearm balance',
  direction: 'push',
  carriedBy: 'forearms',
  dials: { wallM: height('Elbows to the wall, 0 for free', 0.5, 0.2) },
  choices: {},
  harder: [],
  assumes: ['forearmPressureM'],
  honest: () => ['The forearms carry all of the weight; whatever the neck takes is not foreseen, and must not be.'],
  place: (b, { wallM }, assumed) => inverted(b, 'forearms', wallM, assumed),
});
