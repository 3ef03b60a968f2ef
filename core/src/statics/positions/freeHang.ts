import { hangStance, hung } from '../hanging.ts';
import { position, weight } from '../position.ts';

export const FREE_HANG = position({
  id: 'free-hang',
  name: 'Free hang',
  direction: 'pull',
  carriedBy: 'hands',
  dials: { addedKg: weight('Weight on the belt', 60) },
  choices: { hands: { label: 'Hands', options: ['both', 'one'], usual: 'both' } },
  harder: [{ dial: 'addedKg', from: 0, to: 60 }],
  assumes: [],
  honest: ({ hands }) =>
    hands === 'one'
      ? ['With one hand the body turns; what that asks of the shoulder is not modelled.']
      : ['Both hands are taken to carry alike.'],
  place: (b, { addedKg, hands }) => hangStance(b, hung(b, {}), { arms: hands === 'one' ? 1 : 2, addedKg }),
});
