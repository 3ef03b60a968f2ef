import { hangStance, hung, shareDial } from '../hanging.ts';
import { position } from '../position.ts';

export const SUPPORTED_HANG = position({
  id: 'supported-hang',
  name: 'Foot-supported hang',
  direction: 'pull',
  carriedBy: 'hands',
  dials: { feetShare: shareDial('Weight on the feet', 0.5) },
  choices: { hands: { label: 'Hands', options: ['both', 'one'], usual: 'both' } },
  harder: [{ dial: 'feetShare', from: 1, to: 0 }],
  assumes: ['heldShare'],
  honest: ({ hands }) => [
    'How hard the legs push is not in the geometry: read it off a scale under the feet. Hand load is body weight less the reading.',
    ...(hands === 'one' ? ['With one hand the body turns; what that asks of the shoulder is not modelled.'] : []),
  ],
  place(b, { feetShare, hands }, { heldShare }) {
    const joints = hung(b, { knees: 'soft' });
    const share = Math.min(1, Math.max(0, feetShare + heldShare));
    return hangStance(b, joints, { arms: hands === 'one' ? 1 : 2 }, { name: 'feet', share, at: Math.min(joints.heel.y, joints.toe.y) });
  },
});
