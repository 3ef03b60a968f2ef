import type { Lead } from '../../measuring/index.ts';

const at = (levels: readonly number[], reason: string, ...drills: string[]): Lead => ({ sign: 'level', levels, reason, drills });
const of = (sign: 'sides' | 'pain', reason: string, ...drills: string[]): Lead => ({ sign, reason, drills });

/** A sore shoulder is asked once more in the plane between front and side, before anything is left out. */
const OTHER_PLANE = of(
  'pain',
  'Try the plane between front and side first, 30–45° ahead of the side, and ask again. A pinch or pain that stays: a doctor or physiotherapist.',
  'scapular-plane-raises',
  'scaption-raises',
);

/** What checks show beside their number, by check. Common practice, no source. */
export const LEADS: Readonly<Record<string, readonly Lead[]>> = {
  'wall-slide-contact': [
    at(
      [1, 2],
      'Hands or wrists come off first: outer rotation is short, or the front of the chest holds.',
      'wall-forearm-turn',
      'seated-wall-slides',
    ),
    at([3], 'Elbows come off first: the arm is short of flexion.', 'low-kneel-lifts', 'rocked-back-reach'),
    at([4], 'Shoulders come off first: the blade tips forward and does not turn up.', 'lower-tip-raises', 'prone-i-lifts'),
    at([5], 'The low back comes off first: ribs and back make up for the arms.', 'ribs-and-pelvis', 'supine-arm-raises'),
    at([6], 'The breath is held: it is too hard. Less height, breathing all the way.', 'ribs-and-pelvis', 'floor-slides'),
  ],
  'blade-winging': [
    at(
      [1, 2],
      'The blade lifts off: the muscle that holds it to the ribs (serratus anterior) comes late.',
      'kneeling-scapular-push-up',
      'wall-push-hold',
      'tabletop-hand-slide',
    ),
  ],
  'blade-shrug': [
    at(
      [1, 2],
      'The shoulder is lifted first: the lower part of the trapezius comes late, the upper early.',
      'lower-tip-raises',
      'prone-i-lifts',
    ),
  ],
  'blade-rotation': [
    at([0, 1], 'The blade turns up too little under the raised arm.', 'lower-tip-raises', 'floor-slides', 'prone-i-lifts'),
  ],
  'elbow-crease': [
    {
      sign: 'below',
      mark: 20,
      reason: 'The crease looks back: the elbow hangs in its end range. Turn it forward, a touch bent.',
      drills: ['elbow-alignment', 'elbow-circles'],
    },
  ],
  'release-swing': [
    {
      sign: 'above',
      mark: 24,
      reason: 'A wide swing after letting go: one shoulder takes over late.',
      drills: ['supported-one-shoulder-pack', 'feet-side-rocks'],
    },
  ],
  'side-reach': [
    of('sides', 'One side reaches less behind the back: that side first, and once more.', 'overhead-behind-reach', 'strap-behind-slides'),
  ],
  'wrist-extension': [of('sides', 'One wrist bends back less: that one first, and once more.', 'palm-lifts', 'side-to-side-rock')],
  'shoulder-flexion': [OTHER_PLANE],
  'shoulder-abduction': [OTHER_PLANE],
};
