import { breaths, WEDGE } from '../drills/entry.ts';
import { climb } from './climb.ts';
import { atLeast, customary, ownLoad, within } from './demands.ts';

const LIFTS = ['wrist-injury', 'shoulder-injury', 'minor', 'raised-pressure', 'elbow-pain'] as const;

export const LIFT_OFF = climb({
  id: 'lift-off',
  name: 'Lift-off',
  kind: 'push',
  aim: 'The branch of the hand support that leaves the floor: one foot light, both, then legs long.',
  warnings: ['Wrists: a wedge, blocks or handles make room; any pinch ends it.'],
  branchOf: { ladderId: 'hand-support', rungId: 'support-plank' },
  preparation: ['heel-of-hand-lifts', 'reverse-tabletop', 'seated-press-floor'],
  carries: [{ ladderId: 'hand-support', rungId: 'lift-off', name: 'Lift-off', to: 'lift-off' }],
  shared: {
    phase: 'skill',
    joint: 'shoulder',
    alsoWorks: ['wrist', 'scapula', 'trunk'],
    motions: ['depression', 'bracing'],
    quality: 'skill',
    position: 'seated',
    blade: 'set',
    direction: 'push',
    loads: ['wrist', 'shoulder', 'scapula'],
  },
  rungs: [
    {
      id: 'seat-light',
      name: 'Seat light, legs bent',
      setUp: 'Seated on the floor, knees bent, hands beside the hips; the seat grows light, the feet help.',
      pose: 'seated press, knees bent',
      support: { setUp: { position: 'seated-press' }, wanted: 0.5 },
      demands: [
        atLeast('wrist-extension-loaded', 85),
        within('elbow-extension', -3, 10),
        customary('seated-press', 5),
        ownLoad('hand-load-push'),
        atLeast('heel-of-hand-lifts', 8),
      ],
      practice: {
        dose: breaths(2, 4, 3),
        cue: 'Ears away, seat light on every breath out.',
        trains: { 'seated-press': 3, 'hand-load-push': 2 },
        easier: ['seated-press-floor'],
        excludedBy: LIFTS,
        aids: [WEDGE, 'Blocks under the hands'],
      },
    },
    {
      id: 'heels-light',
      name: 'Seat off, heels resting',
      setUp: 'Legs long, seat leaves the floor for a breath, both heels stay and carry.',
      pose: 'lift-off, legs long',
      support: { setUp: { position: 'seated-press', legs: 'long' }, wanted: 0.7 },
      demands: [
        atLeast('wrist-extension-loaded', 85),
        within('elbow-extension', -3, 10),
        atLeast('seated-press', 6),
        ownLoad('hand-load-push'),
        atLeast('heel-of-hand-lifts', 10),
        atLeast('plank-hold', 20),
      ],
      practice: {
        dose: breaths(1, 3, 3),
        cue: 'Press, grow, lift; heels heavy until the shoulders are not.',
        trains: { 'seated-press': 3, 'hand-load-push': 3 },
        excludedBy: LIFTS,
        aids: [WEDGE, 'Blocks under the hands'],
      },
    },
    {
      id: 'lift-off',
      name: 'Lift-off',
      setUp: 'Legs long, seat leaves the floor for a breath; blocks under the hands make room.',
      pose: 'lift-off, legs long',
      support: { setUp: { position: 'seated-press', legs: 'long', pressShare: 1 } },
      demands: [
        atLeast('wrist-extension-loaded', 85),
        within('elbow-extension', -3, 10),
        atLeast('seated-press', 8),
        ownLoad('hand-load-push'),
        atLeast('plank-hold', 30),
        atLeast('heel-of-hand-lifts', 12),
      ],
      practice: {
        dose: breaths(1, 3, 3),
        cue: 'Press, tuck, lift; down before the shoulders rise.',
        trains: { 'seated-press': 3, 'hand-load-push': 3 },
        excludedBy: LIFTS,
        aids: [WEDGE, 'Blocks under the hands'],
      },
    },
  ],
});
