import { bandShare, hangStance, hung, shareDial } from '../hanging.ts';
import { impossible, position } from '../position.ts';

export const BAND_HANG = position({
  id: 'band-hang',
  name: 'Band-supported hang',
  direction: 'pull',
  carriedBy: 'hands',
  dials: { bandShare: shareDial('Taken by the band', 0.3, 0.9) },
  choices: {
    hands: { label: 'Hands', options: ['both', 'one'], usual: 'both' },
    under: { label: 'Band under', options: ['feet', 'knees'], usual: 'feet' },
  },
  harder: [{ dial: 'bandShare', from: 0.9, to: 0 }],
  assumes: ['bandForce'],
  honest: () => ['The band is taken to pull straight up to the bar it hangs from.'],
  place(b, values, { bandForce }) {
    const joints = hung(b, {});
    const at = values.under === 'knees' ? joints.knee.y : joints.heel.y;
    const share = values.band ? bandShare(b, values.band, -at, bandForce) : values.bandShare * (1 + bandForce);
    if (share >= 1) throw impossible('The band would lift the whole trainee; take a weaker one.');
    return hangStance(b, joints, { arms: values.hands === 'one' ? 1 : 2 }, { name: 'band', share, at });
  },
});
