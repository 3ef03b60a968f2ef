import { reps } from '../drills/entry.ts';
import { climb } from './climb.ts';
import { atLeast, customary, ownLoad, within } from './demands.ts';

const DEEP = ['shoulder-injury', 'unstable-under-load', 'wrist-injury', 'elbow-pain', 'raised-pressure'] as const;

export const DIP = climb({
  id: 'dip',
  name: 'Dip',
  kind: 'push',
  aim: 'The branch of the push-up ladder that goes down between the hands: bench, band, strict.',
  warnings: ['Check that bench, bars and band hold.', 'Deep shoulder extension: only as deep as the shoulders stay down.'],
  branchOf: { ladderId: 'push-up', rungId: 'floor' },
  preparation: ['prone-a-lifts', 'reverse-tabletop', 'seated-press-raised', 'bench-dip-even'],
  shared: {
    phase: 'strength',
    joint: 'shoulder',
    alsoWorks: ['elbow', 'scapula', 'wrist'],
    motions: ['extension', 'depression'],
    quality: 'strength',
    position: 'seated',
    faults: ['shrug', 'elbows-bend', 'wrist-collapses', 'rushed', 'ribs-flare'],
    blade: 'set',
    direction: 'push',
    loads: ['shoulder', 'elbow', 'wrist', 'scapula'],
  },
  rungs: [
    {
      id: 'bench-dip',
      name: 'Dip, hands on a bench',
      setUp: 'Hands on a bench behind, feet near; further out makes it harder.',
      pose: 'dip on a bench',
      support: { setUp: { position: 'bench-dip' }, wanted: 0.5 },
      demands: [
        atLeast('shoulder-extension', 45),
        atLeast('wrist-extension-loaded', 85),
        customary('seated-press', 5),
        ownLoad('hand-load-push'),
        customary('scapular-push-ups', 15),
      ],
      practice: {
        dose: reps(8, 10, 2, { secondsPerUnit: 4, restSeconds: 60 }),
        cue: 'Shoulders wide, seat close to the bench, up before they rise.',
        trains: { 'hand-load-push': 2, 'seated-press': 2, 'shoulder-extension': 1 },
        equipment: ['bench'],
        excludedBy: DEEP,
        easier: ['bench-dip-even'],
      },
    },
    {
      id: 'band-dip',
      name: 'Dip with a band',
      setUp: 'Between two bars, a band under the feet or knees; weaker each time.',
      pose: 'dip with a band',
      support: { setUp: { position: 'dip', bandShare: 0.3 } },
      demands: [
        atLeast('shoulder-extension', 45),
        atLeast('seated-press', 7),
        ownLoad('hand-load-push'),
        customary('scapular-push-ups', 15),
        within('elbow-extension', -2, 10),
      ],
      practice: {
        dose: reps(4, 6, 3, { tempo: { out: 3, hold: 1, back: 2 }, restSeconds: 90 }),
        cue: 'Down three seconds, no deeper than the elbow’s height.',
        trains: { 'hand-load-push': 3, 'seated-press': 2, 'shoulder-extension': 1 },
        equipment: ['row of bars', 'band'],
        position: 'hanging',
        excludedBy: DEEP,
      },
    },
    {
      id: 'strict-dip',
      name: 'Strict dip',
      setUp: 'Between two bars, body quiet, no deeper than the elbow’s height.',
      pose: 'dip, lowered',
      support: { setUp: { position: 'dip', arms: 'lowered' } },
      demands: [
        atLeast('shoulder-extension', 45),
        atLeast('seated-press', 10),
        ownLoad('hand-load-push', 0.95),
        atLeast('scapular-push-ups', 18),
        within('elbow-extension', -2, 10),
      ],
      practice: {
        dose: reps(2, 5, 3, { tempo: { out: 3, hold: 1, back: 2 }, restSeconds: 120 }),
        cue: 'Tall at the top, even on the way, out before it shakes.',
        trains: { 'hand-load-push': 3, 'seated-press': 2 },
        equipment: ['row of bars'],
        position: 'hanging',
        excludedBy: [...DEEP, 'minor'],
      },
    },
  ],
});
