import { projectDefault } from '../../reference/index.ts';
import type { Drill } from '../drill.ts';
import { drill, reps, seconds } from './entry.ts';

const BEFORE_ANY_HANG = ['shoulder-injury'] as const;
const BEFORE_FREE_HANGS = ['shoulder-injury', 'elbow-pain', 'raised-pressure'] as const;
const BEFORE_SWINGS = [...BEFORE_FREE_HANGS, 'head-injury', 'pregnancy'] as const;

type Own = Pick<Drill, 'name' | 'pose' | 'equipment' | 'dose' | 'trains' | 'cue' | 'excludedBy'> & { readonly share: number };

function practice(rungId: string, { share, ...own }: Own): Drill {
  return drill({
    ...own,
    id: `practice-${rungId}`,
    phase: 'skill',
    joint: 'shoulder',
    motions: ['depression', 'grasp'],
    quality: 'skill',
    position: 'hanging',
    handLoad: { direction: 'pull', share, joints: ['shoulder', 'grip', 'scapula'] },
    faults: ['shrug', 'swings', 'elbows-bend', 'ribs-flare'],
    rung: { ladderId: 'hang-and-swing', rungId },
    origin: projectDefault('dose from common practice, hand load by the rung’s description'),
  });
}

/** One practice drill for each rung of "Hang and swing". */
export const HANG_PRACTICE: readonly Drill[] = [
  practice('quarter-hang', {
    name: 'Feet-supported hang, quarter',
    pose: 'feet-supported hang',
    equipment: ['bar'],
    share: 0.25,
    dose: seconds(20, 30, 3),
    trains: { 'packed-hang': 3, 'hand-load-hang': 3, grip: 1 },
    cue: 'Feet heavy, shoulders set, quiet breath.',
    excludedBy: BEFORE_ANY_HANG,
  }),
  practice('half-hang', {
    name: 'Feet-supported hang, half',
    pose: 'feet-supported hang, half',
    equipment: ['bar', 'step'],
    share: 0.5,
    dose: seconds(20, 30, 3),
    trains: { 'packed-hang': 3, 'hand-load-hang': 3, grip: 1, 'one-shoulder-packs': 1 },
    cue: 'Half on the feet, long neck, ribs to pelvis.',
    excludedBy: BEFORE_ANY_HANG,
  }),
  practice('packs-and-rocks', {
    name: 'Packs and side rocks',
    pose: 'feet-supported hang, one shoulder',
    equipment: ['bar', 'step'],
    share: 0.5,
    dose: reps(5, 8, 2, { perSide: true }),
    trains: { 'one-shoulder-packs': 3, 'release-swing': 2, 'packed-hang': 2, 'hand-load-hang': 2 },
    cue: 'Pack one shoulder, rock the weight across, feet light.',
    excludedBy: BEFORE_ANY_HANG,
  }),
  practice('taps-with-feet', {
    name: 'One-hand taps, feet on a step',
    pose: 'one-hand tap, feet light',
    equipment: ['bar', 'step'],
    share: 0.6,
    dose: reps(3, 5, 2, { perSide: true, secondsPerUnit: 5 }),
    trains: { 'release-swing': 3, 'one-shoulder-packs': 2, 'hand-load-hang': 3, grip: 1 },
    cue: 'Weight under the holding hand, then tap.',
    excludedBy: BEFORE_ANY_HANG,
  }),
  practice('free-hang', {
    name: 'Free two-hand hang',
    pose: 'free hang',
    equipment: ['bar'],
    share: 1,
    dose: seconds(15, 30, 3, { restSeconds: 60 }),
    trains: { 'free-hang': 3, grip: 2, 'packed-hang': 2, 'hand-load-hang': 3 },
    cue: 'Set before the feet leave; step down before the shoulders rise.',
    excludedBy: BEFORE_FREE_HANGS,
  }),
  practice('free-taps', {
    name: 'Free one-hand taps',
    pose: 'free hang, one-hand tap',
    equipment: ['bar'],
    share: 1,
    dose: reps(3, 5, 2, { perSide: true, secondsPerUnit: 4, restSeconds: 60 }),
    trains: { 'release-swing': 3, 'free-hang': 2, grip: 2, 'one-shoulder-packs': 2 },
    cue: 'Shift, tap, return: no swing to show for it.',
    excludedBy: BEFORE_FREE_HANGS,
  }),
  practice('turns-and-crunches', {
    name: 'Turns and side crunches',
    pose: 'hanging side crunch',
    equipment: ['bar'],
    share: 1,
    dose: reps(5, 8, 2, { perSide: true, restSeconds: 60 }),
    trains: { 'free-hang': 2, 'release-swing': 2, 'plank-hold': 1, grip: 2 },
    cue: 'Turn from the shoulders, shorten one side, slow both ways.',
    excludedBy: BEFORE_FREE_HANGS,
  }),
  practice('straight-swings', {
    name: 'Straight swings',
    pose: 'swing',
    equipment: ['bar'],
    share: 1.2,
    dose: reps(5, 10, 2, { secondsPerUnit: 2, restSeconds: 60 }),
    trains: { 'free-hang': 3, grip: 3, 'one-shoulder-packs': 1, 'release-swing': 1 },
    cue: 'Feet lead, shoulders stay set, stop while it is quiet.',
    excludedBy: BEFORE_SWINGS,
  }),
  practice('hand-to-hand', {
    name: 'Travelling hand to hand',
    pose: 'hand-to-hand travel',
    equipment: ['row of bars'],
    share: 1.2,
    dose: reps(4, 8, 2, { secondsPerUnit: 2, restSeconds: 90 }),
    trains: { 'free-hang': 3, grip: 3, 'release-swing': 2, 'one-shoulder-packs': 2 },
    cue: 'Let the swing carry; one hand at a time.',
    excludedBy: BEFORE_SWINGS,
  }),
];
