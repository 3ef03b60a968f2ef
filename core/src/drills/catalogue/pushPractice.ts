import { projectDefault } from '../../reference/index.ts';
import type { Drill } from '../drill.ts';
import { drill, reps } from './entry.ts';

type Own = Pick<Drill, 'name' | 'pose' | 'equipment' | 'cue'> & Partial<Pick<Drill, 'dose'>> & { readonly share: number };

const HEAVY_FROM = 0.5;
const CUSTOMARY_DOSE = reps(6, 10, 3, { secondsPerUnit: 4, restSeconds: 60 });

function practice(id: string, rungId: string, { share, ...own }: Own): Drill {
  return drill({
    dose: CUSTOMARY_DOSE,
    ...own,
    id: `practice-${id}`,
    phase: 'strength',
    joint: 'shoulder',
    motions: ['flexion', 'protraction', 'bracing'],
    quality: 'strength',
    position: share < 0.4 ? 'at a wall' : 'prone',
    handLoad: { direction: 'push', share, joints: ['shoulder', 'wrist', 'scapula'] },
    trains: { 'hand-load-push': 3, 'scapular-push-ups': 1, 'plank-hold': share >= HEAVY_FROM ? 2 : 1, 'wrist-extension-loaded': 1 },
    faults: ['hips-sag', 'shrug', 'elbows-bend', 'neck-leads', 'wrist-collapses'],
    excludedBy: share >= HEAVY_FROM ? ['wrist-injury', 'shoulder-injury', 'raised-pressure'] : ['shoulder-injury'],
    rung: { ladderId: 'push-up', rungId },
    origin: projectDefault('dose from common practice, hand load by the rung’s description'),
  });
}

/** One practice drill for each rung of "Push-up". */
export const PUSH_PRACTICE: readonly Drill[] = [
  practice('wall-push-up', 'wall', {
    name: 'Push-up at a wall',
    pose: 'at a wall',
    equipment: ['wall'],
    share: 0.15,
    cue: 'Body in one piece, slow in, slow out.',
  }),
  practice('far-wall-push-up', 'far-wall', {
    name: 'Push-up, far from the wall',
    pose: 'far from a wall',
    equipment: ['wall'],
    share: 0.3,
    cue: 'A long line; the heels may lift, the hips may not sag.',
  }),
  practice('push-up-60', 'surface-60', {
    name: 'Push-up on a surface at 60 cm',
    pose: 'hands at hip height',
    equipment: ['bench'],
    share: 0.42,
    cue: 'Elbows halfway to the ribs, chest to the edge.',
  }),
  practice('push-up-45', 'surface-45', {
    name: 'Push-up on a surface at 45 cm',
    pose: 'hands at knee height',
    equipment: ['bench'],
    share: 0.48,
    cue: 'Elbows halfway to the ribs, chest to the edge.',
  }),
  practice('push-up-30', 'surface-30', {
    name: 'Push-up on a surface at 30 cm',
    pose: 'hands on a low bench',
    equipment: ['bench'],
    share: 0.55,
    cue: 'Push the bench away at the top.',
  }),
  practice('push-up-15', 'surface-15', {
    name: 'Push-up on a step at 15 cm',
    pose: 'hands on a step',
    equipment: ['step'],
    share: 0.6,
    cue: 'Push the step away at the top.',
  }),
  practice('floor-push-up', 'floor', {
    name: 'Floor push-up',
    pose: 'plank',
    equipment: [],
    share: 0.67,
    cue: 'Ear to ankle in one line, all the way.',
  }),
  practice('tempo-push-up', 'tempo', {
    name: 'Floor push-up, slow tempo',
    pose: 'plank, lowered',
    equipment: [],
    share: 0.72,
    dose: reps(4, 6, 3, { secondsPerUnit: 7, restSeconds: 75 }),
    cue: 'Four down, one still, up at an even pace.',
  }),
  practice('loaded-push-up', 'loaded', {
    name: 'Floor push-up, loaded',
    pose: 'plank with a weight',
    equipment: ['weight'],
    share: 0.8,
    dose: reps(4, 6, 3, { secondsPerUnit: 5, restSeconds: 90 }),
    cue: 'The weight lies between the blades; a helper sets it on.',
  }),
];
