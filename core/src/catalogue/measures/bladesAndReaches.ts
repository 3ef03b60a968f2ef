import { COMMON_PRACTICE } from '../../reference/index.ts';
import type { Measure } from '../../measuring/index.ts';
import { meanOfTrials, shoulderRange } from './defaults.ts';
import { ERRORS } from './errors.ts';

type Own = Pick<Measure, 'id' | 'name' | 'phrase' | 'motion' | 'protocol'>;

/** How far a blade travels one way by itself, with a tape. */
const bladeWay = (own: Own): Measure => ({
  ...meanOfTrials,
  ...ERRORS.bladeWay,
  unit: 'cm',
  joint: 'scapula',
  sided: true,
  limits: { min: 0, max: 15, step: 0.5 },
  position: 'standing',
  instrument: 'tape',
  origin: COMMON_PRACTICE,
  ...own,
});
const SPINE_STILL = 'A trial in which the back bends or turns along does not count: say so, and take it again.';

/** Each direction of the blade by itself, rotation with the arm low and high, and how far chest, forearms and legs open. */
export const BLADES_AND_REACHES: readonly Measure[] = [
  bladeWay({
    id: 'blade-elevation',
    name: 'Blade raised, its own way',
    phrase: 'blade raised',
    motion: 'elevation',
    protocol: [
      'Standing, arms hanging, a mark on the top of the shoulder.',
      'Shrug one shoulder straight up; read how far the mark rises against a wall or a rule.',
      SPINE_STILL,
    ],
  }),
  bladeWay({
    id: 'blade-depression',
    name: 'Blade lowered, its own way',
    phrase: 'blade lowered',
    motion: 'depression',
    protocol: [
      'Seated, hands beside the seat, a mark on the top of the shoulder.',
      'Draw one shoulder straight down, elbow straight; read how far the mark sinks.',
      SPINE_STILL,
    ],
  }),
  bladeWay({
    id: 'blade-protraction',
    name: 'Blade forward, its own way',
    phrase: 'blade forward',
    motion: 'protraction',
    protocol: [
      'Back to a wall, arm straight out in front, a mark on the wall beside the fingertips.',
      'Reach forward from the blade, back at the wall; read how far the fingertips travel.',
      SPINE_STILL,
    ],
  }),
  bladeWay({
    id: 'blade-retraction',
    name: 'Blade drawn back, its own way',
    phrase: 'blade drawn back',
    motion: 'retraction',
    protocol: [
      'Standing with the chest against a door frame, arm straight out in front beside it.',
      'Draw the arm back from the blade, elbow straight; read how far the fingertips travel.',
      SPINE_STILL,
    ],
  }),
  shoulderRange({
    id: 'rotation-at-side',
    ...ERRORS.rotation,
    name: 'Shoulder external rotation, arm at the side',
    phrase: 'external rotation at the side',
    joint: 'shoulder',
    motion: 'external rotation',
    sided: true,
    position: 'supine',
    limits: { min: 0, max: 120, step: 1 },
    protocol: [
      'On the back, upper arm at the side on a folded towel, elbow at a right angle, forearm upright.',
      'Turn the forearm outward by itself; stop when the elbow leaves the towel or the ribs lift.',
      'Read the forearm against the vertical.',
    ],
  }),
  shoulderRange({
    id: 'rotation-overhead',
    ...ERRORS.rotation,
    name: 'Shoulder external rotation, arm overhead',
    phrase: 'external rotation overhead',
    joint: 'shoulder',
    motion: 'external rotation',
    sided: true,
    position: 'supine',
    limits: { min: 0, max: 120, step: 1 },
    protocol: [
      'On the back, upper arm along the ear as far as the ribs stay down, elbow at a right angle, forearm upright.',
      'Turn the forearm outward by itself, toward the floor above the head.',
      'Read the forearm against the vertical; say how far the arm was up.',
    ],
  }),
  shoulderRange({
    id: 'horizontal-abduction',
    ...ERRORS.reachBack,
    name: 'Shoulder horizontal abduction',
    phrase: 'horizontal abduction',
    joint: 'shoulder',
    motion: 'horizontal abduction',
    sided: true,
    position: 'standing',
    limits: { min: 0, max: 80, step: 1 },
    protocol: [
      'Arm straight out to the side at shoulder height, thumb up: that is 0°.',
      'Carry it back behind the body, trunk square, ribs down.',
      'Read how far the upper arm has travelled.',
    ],
  }),
  {
    ...meanOfTrials,
    ...ERRORS.seatGap,
    id: 'forearm-stretch-gap',
    name: 'Kneeling forearm stretch, seat to heels',
    phrase: 'seat to heels in the forearm stretch',
    unit: 'cm',
    better: 'less',
    joint: 'wrist',
    motion: 'extension',
    sided: false,
    limits: { min: 0, max: 60, step: 1 },
    position: 'hands and knees',
    instrument: 'tape',
    protocol: [
      'Hands and knees, palms flat, fingers toward the knees, hands a hand’s length before them.',
      'Sit back toward the heels until the heel of a hand would lift.',
      'Distance from the seat to the heels. Fingers turned further out is harder: always turn them the same way.',
    ],
    origin: COMMON_PRACTICE,
  },
  {
    ...meanOfTrials,
    ...ERRORS.fold,
    id: 'straddle',
    name: 'Straddle, angle between the legs',
    phrase: 'straddle',
    unit: 'deg',
    joint: 'trunk',
    motion: 'abduction',
    sided: false,
    limits: { min: 30, max: 200, step: 1 },
    position: 'seated',
    instrument: 'goniometer or photo',
    device: 'angle held',
    protocol: [
      'Seated tall on the floor, knees straight and facing up, back against a wall.',
      'Draw the legs apart by their own strength, hands off the floor.',
      'Read the angle between the two thighs.',
    ],
    origin: COMMON_PRACTICE,
  },
];
