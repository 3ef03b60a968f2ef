import { reps, seconds } from '../drills/entry.ts';
import type { RungDemand } from '../../ladders/index.ts';
import { climb, type RungEntry } from './climb.ts';
import { atLeast, atMost, customary, gripFor, ownLoad, shareOfBodyMass, WITHIN_TEN_POINTS } from './demands.ts';

const BEFORE_ANY_HANG = ['shoulder-injury'] as const;
const BEFORE_FREE_HANGS = ['shoulder-injury', 'elbow-pain', 'raised-pressure', 'unstable-under-load'] as const;
/** Children hang by two hands; so does whoever is lax, or whose shoulder has been out. */
const BEFORE_ONE_HAND = ['shoulder-injury', 'elbow-pain', 'minor', 'lax-joints', 'unstable-under-load'] as const;
const BEFORE_SWINGS = [...BEFORE_FREE_HANGS, 'lax-joints', 'head-injury', 'pregnancy'] as const;

/** A rung on one hand with the feet helping: what they ask alike stands once, and grows by the share that the hand carries. */
function oneHanded({
  share,
  asks: { grip, tolerated, freeHang, packs, swing },
  easier,
  dose,
  cue,
  climbs,
  ...named
}: Pick<RungEntry, 'id' | 'name' | 'setUp' | 'climbs'> &
  Pick<RungEntry['practice'], 'easier' | 'dose' | 'cue'> & {
    readonly share: number;
    readonly asks: {
      readonly grip: RungDemand;
      readonly tolerated: number;
      readonly freeHang: number;
      readonly packs: number;
      readonly swing: number;
    };
  }): RungEntry {
  return {
    ...named,
    pose: 'one-hand tap, feet light',
    support: { setUp: { position: 'supported-hang', hands: 'one' }, wanted: share },
    ...(climbs ? { climbs } : {}),
    demands: [
      atLeast('shoulder-flexion', 150),
      atLeast('shoulder-abduction', 160),
      atLeast('shoulder-external-rotation', 85),
      grip,
      atLeast('free-hang', freeHang),
      ownLoad('one-hand-load-hang', tolerated),
      customary('one-hand-hold', 10),
      atLeast('one-shoulder-packs', packs),
      atMost('release-swing', swing),
    ],
    practice: {
      ...(easier ? { easier } : {}),
      equipment: ['bar', 'step'],
      dose,
      trains: { 'release-swing': 3, 'one-hand-hold': 3, 'one-hand-load-hang': 3, 'one-shoulder-packs': 2, grip: 1 },
      cue,
      excludedBy: BEFORE_ONE_HAND,
    },
  };
}

export const HANG_AND_SWING = climb({
  id: 'hang-and-swing',
  name: 'Hang and swing',
  kind: 'pull',
  aim: 'From feet-supported hanging to travelling hand to hand.',
  warnings: ['Check that the bar holds; soft landing under it; a spotter for the first free swings.'],
  preparation: ['light-shrugs-bar', 'supported-packed-hang', 'supported-one-shoulder-pack', 'feet-easy-hang'],
  shared: {
    phase: 'skill',
    joint: 'shoulder',
    alsoWorks: ['grip', 'scapula'],
    motions: ['depression', 'grasp'],
    quality: 'skill',
    position: 'hanging',
    blade: 'set',
    direction: 'pull',
    loads: ['shoulder', 'grip', 'scapula'],
  },
  rungs: [
    {
      id: 'quarter-hang',
      name: 'Feet-supported hang, quarter',
      setUp: 'Feet flat, knees soft, about a quarter of body weight in the hands.',
      pose: 'feet-supported hang',
      support: { setUp: { position: 'supported-hang' }, wanted: 0.25 },
      demands: [
        atLeast('shoulder-flexion', 150),
        atLeast('shoulder-external-rotation', 60),
        shareOfBodyMass('grip', 0.2),
        customary('scapular-push-ups', 8),
        ownLoad('hand-load-hang'),
      ],
      practice: {
        easier: ['light-shrugs-bar'],
        equipment: ['bar'],
        dose: seconds(20, 30, 3),
        trains: { 'packed-hang': 3, 'hand-load-hang': 3, grip: 1 },
        cue: 'Feet heavy, shoulders set, quiet breath.',
        excludedBy: BEFORE_ANY_HANG,
      },
    },
    {
      id: 'half-hang',
      name: 'Feet-supported hang, half',
      setUp: 'Feet on a step, about half of body weight in the hands.',
      pose: 'feet-supported hang, half',
      support: { setUp: { position: 'supported-hang' }, wanted: 0.5 },
      demands: [
        atLeast('shoulder-flexion', 150),
        atLeast('shoulder-external-rotation', 65),
        shareOfBodyMass('grip', 0.25),
        customary('scapular-push-ups', 10),
        ownLoad('hand-load-hang'),
        atLeast('packed-hang', 10),
      ],
      practice: {
        equipment: ['bar', 'step'],
        dose: seconds(20, 30, 3),
        trains: { 'packed-hang': 3, 'hand-load-hang': 3, grip: 1, 'one-shoulder-packs': 1 },
        cue: 'Half on the feet, long neck, ribs to pelvis.',
        excludedBy: BEFORE_ANY_HANG,
      },
    },
    {
      id: 'packs-and-rocks',
      name: 'Packs and side rocks',
      setUp: 'Feet on a step, half weight; one shoulder packs, then weight rocks from hand to hand.',
      pose: 'feet-supported hang, one shoulder',
      support: { setUp: { position: 'supported-hang' }, wanted: 0.5 },
      demands: [
        atLeast('shoulder-flexion', 150),
        atLeast('shoulder-external-rotation', 70),
        shareOfBodyMass('grip', 0.3),
        ownLoad('hand-load-hang'),
        atLeast('packed-hang', 20),
        atLeast('one-shoulder-packs', 3),
      ],
      practice: {
        easier: ['supported-one-shoulder-pack', 'feet-side-rocks'],
        equipment: ['bar', 'step'],
        dose: reps(5, 8, 2, { perSide: true }),
        trains: { 'one-shoulder-packs': 3, 'release-swing': 2, 'packed-hang': 2, 'hand-load-hang': 2 },
        cue: 'Pack one shoulder, rock the weight across, feet light.',
        excludedBy: BEFORE_ANY_HANG,
      },
    },
    {
      id: 'free-hang',
      name: 'Free two-hand hang',
      setUp: 'Feet off, shoulders set, ribs and pelvis drawn together. Soft landing under the bar.',
      pose: 'free hang',
      support: { setUp: { position: 'free-hang' } },
      demands: [
        atLeast('shoulder-flexion', 150),
        atLeast('shoulder-abduction', 160),
        atLeast('shoulder-external-rotation', 80),
        shareOfBodyMass('grip', 0.35),
        ownLoad('hand-load-hang', WITHIN_TEN_POINTS.bothHands),
        atLeast('packed-hang', 40),
        atLeast('one-shoulder-packs', 8),
        atMost('release-swing', 20),
      ],
      practice: {
        easier: ['feet-easy-hang'],
        equipment: ['bar'],
        dose: seconds(15, 30, 3, { restSeconds: 60 }),
        trains: { 'free-hang': 3, grip: 2, 'packed-hang': 2, 'hand-load-hang': 3 },
        cue: 'Set before the feet leave; step down before the shoulders rise.',
        excludedBy: BEFORE_FREE_HANGS,
      },
    },
    {
      id: 'turns-and-crunches',
      name: 'Turns and side crunches',
      setUp: 'Free hang; the shoulders turn the body, then the side shortens, slowly both ways.',
      pose: 'hanging side crunch',
      support: { setUp: { position: 'free-hang' } },
      demands: [
        atLeast('shoulder-flexion', 150),
        atLeast('shoulder-abduction', 160),
        atLeast('shoulder-external-rotation', 85),
        shareOfBodyMass('grip', 0.4),
        atLeast('free-hang', 20),
        atLeast('plank-hold', 45),
        atMost('release-swing', 18),
        atMost('strap-pass-through', 2.2),
      ],
      practice: {
        easier: ['feet-side-crunches'],
        equipment: ['bar'],
        dose: reps(5, 8, 2, { perSide: true, restSeconds: 60 }),
        trains: { 'free-hang': 2, 'release-swing': 2, 'plank-hold': 1, grip: 2 },
        cue: 'Turn from the shoulders, shorten one side, slow both ways.',
        excludedBy: BEFORE_FREE_HANGS,
      },
    },
    oneHanded({
      id: 'one-hand-30',
      name: 'One hand, about a third of the weight',
      setUp: 'Feet carry most; weight under the holding hand, its shoulder set, then the other lets go.',
      share: 0.3,
      // Both hands carried more between them: it climbs from two hands to one.
      climbs: 'one hand',
      asks: { grip: shareOfBodyMass('grip', 0.42), tolerated: 1, freeHang: 22, packs: 8, swing: 16 },
      easier: ['supported-one-shoulder-pack'],
      dose: seconds(5, 10, 2, { perSide: true, restSeconds: 45 }),
      cue: 'Set, shift, let go: in that order, and back in the other.',
    }),
    oneHanded({
      id: 'one-hand-45',
      name: 'One hand, nearly half of the weight',
      setUp: 'The feet carry a little more than half; weight under the holding hand first.',
      share: 0.45,
      asks: { grip: shareOfBodyMass('grip', 0.44), tolerated: WITHIN_TEN_POINTS.of45, freeHang: 25, packs: 9, swing: 15 },
      dose: seconds(5, 10, 2, { perSide: true, restSeconds: 60 }),
      cue: 'The body hangs under one hand and does not turn.',
    }),
    oneHanded({
      id: 'taps-with-feet',
      name: 'One-hand taps, feet on a step',
      setUp: 'Feet light on a step; weight under the holding hand first, then tap the head, then the hip.',
      share: 0.6,
      asks: { grip: shareOfBodyMass('grip', 0.46), tolerated: WITHIN_TEN_POINTS.of60, freeHang: 28, packs: 10, swing: 14 },
      dose: reps(3, 5, 2, { perSide: true, secondsPerUnit: 5 }),
      cue: 'Weight under the holding hand, then tap.',
    }),
    oneHanded({
      id: 'one-hand-80',
      name: 'One hand, four fifths of the weight',
      setUp: 'Only the toes help; the step stays under them.',
      share: 0.8,
      asks: { grip: gripFor(0.8), tolerated: WITHIN_TEN_POINTS.of80, freeHang: 30, packs: 11, swing: 13 },
      dose: seconds(5, 8, 2, { perSide: true, restSeconds: 75 }),
      cue: 'Quiet before light; toes back before the shoulder rises.',
    }),
    {
      id: 'free-taps',
      name: 'Free one-hand taps',
      setUp: 'Free hang; shift first, let one hand tap the head, then the hip, without a swing.',
      pose: 'free hang, one-hand tap',
      support: { setUp: { position: 'free-hang', hands: 'one' } },
      demands: [
        atLeast('shoulder-flexion', 150),
        atLeast('shoulder-abduction', 160),
        atLeast('shoulder-external-rotation', 85),
        gripFor(1),
        atLeast('free-hang', 35),
        ownLoad('one-hand-load-hang', WITHIN_TEN_POINTS.of100),
        atLeast('one-hand-hold', 15),
        atLeast('one-shoulder-packs', 12),
        atMost('release-swing', 12),
        atMost('strap-pass-through', 2.2),
        atLeast('bar-landing', 2),
      ],
      practice: {
        easier: ['ball-toss-feet'],
        equipment: ['bar'],
        dose: reps(3, 5, 2, { perSide: true, secondsPerUnit: 4, restSeconds: 60 }),
        trains: { 'release-swing': 3, 'one-hand-load-hang': 3, 'free-hang': 2, grip: 2, 'one-hand-hold': 2, 'one-shoulder-packs': 2 },
        cue: 'Shift, tap, return: no swing to show for it.',
        excludedBy: [...BEFORE_ONE_HAND, 'raised-pressure'],
      },
    },
    {
      id: 'straight-swings',
      name: 'Straight swings',
      setUp: 'Free hang; small straight swings led by the feet, a spotter for the first ones.',
      pose: 'swing',
      support: { setUp: { position: 'swing', amplitudeDeg: 25 } },
      // Two hands again, and a moving load: it climbs from a still hang to a swing.
      climbs: 'movement',
      demands: [
        atLeast('shoulder-flexion', 150),
        atLeast('shoulder-extension', 45),
        atLeast('shoulder-external-rotation', 85),
        gripFor(1),
        atLeast('free-hang', 40),
        atLeast('one-shoulder-packs', 12),
        atMost('release-swing', 10),
        atMost('strap-pass-through', 2.0),
        atLeast('bar-landing', 2),
      ],
      practice: {
        easier: ['bar-landing-practice'],
        equipment: ['bar'],
        dose: reps(5, 10, 2, { secondsPerUnit: 2, restSeconds: 60 }),
        trains: { 'free-hang': 3, grip: 3, 'one-shoulder-packs': 1, 'release-swing': 1 },
        cue: 'Feet lead, shoulders stay set, stop while it is quiet.',
        excludedBy: BEFORE_SWINGS,
      },
    },
    {
      id: 'hand-to-hand',
      name: 'Travelling hand to hand',
      setUp: 'A row of bars or rings; a small swing carries, one hand lets go at a time.',
      pose: 'hand-to-hand travel',
      support: { setUp: { position: 'swing', amplitudeDeg: 15, hands: 'one' } },
      demands: [
        atLeast('shoulder-flexion', 150),
        atLeast('shoulder-extension', 45),
        atLeast('shoulder-external-rotation', 90),
        gripFor(1.07),
        atLeast('free-hang', 50),
        ownLoad('one-hand-load-hang', WITHIN_TEN_POINTS.of100),
        atLeast('one-hand-hold', 20),
        atLeast('one-shoulder-packs', 12),
        atMost('release-swing', 8),
        atMost('strap-pass-through', 2.0),
        atLeast('bar-landing', 2),
      ],
      practice: {
        equipment: ['row of bars'],
        dose: reps(4, 8, 2, { secondsPerUnit: 2, restSeconds: 90 }),
        trains: { 'free-hang': 3, grip: 3, 'release-swing': 2, 'one-shoulder-packs': 2 },
        cue: 'Let the swing carry; one hand at a time.',
        excludedBy: [...BEFORE_SWINGS, 'minor'],
      },
    },
  ],
});
