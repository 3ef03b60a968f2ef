import { seconds, SOFT_LANDING, WEDGE } from '../drills/entry.ts';
import { climb } from './climb.ts';
import { atLeast, customary, ownLoad } from './demands.ts';

const ON_THE_HANDS = ['wrist-injury', 'shoulder-injury', 'minor', 'pregnancy', 'head-injury'] as const;
const HEAD_LOW = [...ON_THE_HANDS, 'neck-condition', 'raised-pressure', 'reflux-vertigo'] as const;

export const ARM_BALANCE_LEAN = climb({
  id: 'arm-balance-lean',
  name: 'Arm-balance lean',
  kind: 'push',
  aim: 'From a protracted hold to both feet light in a crouched lean: what is often missing is trust.',
  warnings: ['A cushion in front: falling forward is the fear, so make it soft.', 'Wrists: any pinch ends the session for them.'],
  preparation: ['heel-of-hand-lifts', 'plank-scapular-push-up', 'plank', 'plank-lean'],
  shared: {
    phase: 'skill',
    joint: 'scapula',
    alsoWorks: ['wrist', 'shoulder', 'trunk'],
    motions: ['protraction', 'bracing'],
    quality: 'skill',
    position: 'prone',
    faults: ['blade-wings', 'elbows-bend', 'wrist-collapses', 'fingers-claw', 'head-takes-weight', 'breath-held'],
    blade: 'follow',
    direction: 'push',
    loads: ['wrist', 'shoulder', 'scapula'],
  },
  rungs: [
    {
      id: 'protracted-hold',
      name: 'Protracted hold',
      setUp: 'Plank or knees down, the space between the blades filled, upper back round.',
      pose: 'plank',
      support: { setUp: { position: 'plank' } },
      demands: [
        atLeast('wrist-extension-loaded', 88),
        customary('scapular-push-ups', 15),
        atLeast('plank-hold', 30),
        customary('heel-of-hand-lifts', 10),
      ],
      practice: {
        dose: seconds(10, 20, 3),
        cue: 'Floor away until the shirt tightens between the blades.',
        trains: { 'scapular-push-ups': 2, 'plank-hold': 2, 'blade-winging': 2 },
        excludedBy: [...ON_THE_HANDS, 'raised-pressure'],
        easier: ['plank-scapular-push-up'],
        aids: [WEDGE, 'Knees down'],
      },
    },
    {
      id: 'block-lean',
      name: 'Feet on a block, lean to the fingertips',
      setUp: 'Crouched, feet on a block, knees on the upper arms; lean until the fingertips load.',
      pose: 'crouched lean, feet on a block',
      support: { setUp: { position: 'crouched-lean' }, wanted: 0.6 },
      demands: [
        atLeast('wrist-extension-loaded', 95),
        atLeast('lean-hold', 10),
        customary('scapular-push-ups', 18),
        atLeast('heel-lifts-thumb', 8),
        atLeast('heel-lifts-little-finger', 8),
        atLeast('confidence', 5),
      ],
      practice: {
        easier: ['step-out-practice'],
        dose: seconds(5, 10, 3, { restSeconds: 60 }),
        cue: 'Look ahead, not down; weight travels into the fingertips and comes home.',
        trains: { 'lean-hold': 2, confidence: 3, 'wrist-extension-loaded': 1 },
        equipment: ['block'],
        excludedBy: HEAD_LOW,
        aids: [SOFT_LANDING, WEDGE],
      },
    },
    {
      id: 'one-foot-light',
      name: 'One foot light',
      setUp: 'The same lean; one foot hovers for a breath, then the other.',
      pose: 'crouched lean, feet light',
      support: { setUp: { position: 'crouched-lean', blockM: 0.1 }, wanted: 0.75 },
      demands: [atLeast('wrist-extension-loaded', 95), atLeast('lean-hold', 15), ownLoad('hand-load-push', 0.95), atLeast('confidence', 6)],
      practice: {
        dose: seconds(3, 6, 3, { perSide: true, restSeconds: 60 }),
        cue: 'The foot grows light by leaning, not by jumping.',
        trains: { 'lean-hold': 2, confidence: 3, 'hand-load-push': 2 },
        excludedBy: HEAD_LOW,
        aids: [SOFT_LANDING, WEDGE],
      },
    },
    {
      id: 'both-feet-light',
      name: 'Both feet light',
      setUp: 'Both feet hover; hands carry all of body weight.',
      pose: 'crouched lean, feet light',
      support: { setUp: { position: 'arm-balance' } },
      demands: [
        atLeast('wrist-extension-loaded', 95),
        atLeast('lean-hold', 20),
        ownLoad('hand-load-push', 0.9),
        atLeast('fingertip-hold', 15),
        atLeast('confidence', 7),
      ],
      practice: {
        dose: seconds(3, 8, 3, { restSeconds: 90 }),
        cue: 'Fingertips steer, blades wide, feet down before the breath stops.',
        trains: { 'lean-hold': 2, confidence: 3, 'hand-load-push': 3 },
        excludedBy: HEAD_LOW,
        aids: [SOFT_LANDING, WEDGE],
      },
    },
  ],
});
