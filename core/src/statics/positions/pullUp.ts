import { bandShare, hangStance, hung, shareDial } from '../hanging.ts';
import { impossible, position, weight } from '../position.ts';

/** Shoulder under the bar at the top of a pull-up, as a share of the arm (project default: chin over the bar). */
const TOP = 0.3;

export const PULL_UP = position({
  id: 'pull-up',
  name: 'Pull-up',
  direction: 'pull',
  carriedBy: 'hands',
  dials: { bandShare: shareDial('Taken by the band', 0, 0.9), addedKg: weight('Weight on the belt', 60) },
  choices: {
    at: { label: 'At the', options: ['bottom', 'top'], usual: 'bottom' },
    under: { label: 'Band under', options: ['feet', 'knees'], usual: 'feet' },
  },
  harder: [
    { dial: 'bandShare', from: 0.9, to: 0 },
    { dial: 'addedKg', from: 0, to: 60 },
  ],
  assumes: ['bandForce'],
  honest: ({ at }) => [
    'Held still: starting up and braking on the way down go above this.',
    ...(at === 'top'
      ? ['At the top the moments at elbow and shoulder depend on how close the body is kept; they are not shown by a side view.']
      : []),
  ],
  place(b, values, { bandForce }) {
    const top = values.at === 'top';
    const joints = hung(b, top ? { shoulderBelow: TOP * b.arm } : {});
    const at = values.under === 'knees' ? joints.knee.y : joints.heel.y;
    // A share is meant at the bottom; only the curve of a band says what is left at the top.
    const share = values.band ? bandShare(b, values.band, -at, bandForce) : values.bandShare * (1 + bandForce);
    if (share >= 1) throw impossible('The band would lift the whole trainee; take a weaker one.');
    return hangStance(b, joints, { addedKg: values.addedKg }, share > 0 ? { name: 'band', share, at } : undefined);
  },
});
