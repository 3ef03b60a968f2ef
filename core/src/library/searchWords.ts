import type { Joint, Motion } from '../anatomy/index.ts';
import type { Drill } from '../drills/index.ts';

/** Muscles that do a direction at a joint, as a coach would type them (textbooks of anatomy, from memory). */
const MUSCLES: Readonly<Partial<Record<Joint, Readonly<Partial<Record<Motion, string>>>>>> = {
  shoulder: {
    flexion: 'front deltoid',
    extension: 'latissimus lats rear deltoid triceps',
    abduction: 'deltoid supraspinatus rotator cuff',
    'horizontal adduction': 'chest pectoral pecs',
    'internal rotation': 'rotator cuff subscapularis pectoral',
    'external rotation': 'rotator cuff infraspinatus teres',
    depression: 'latissimus lats lower trapezius',
    grasp: 'forearm flexors',
  },
  scapula: {
    protraction: 'serratus',
    'upward rotation': 'serratus lower trapezius traps',
    retraction: 'rhomboids middle trapezius traps',
    depression: 'lower trapezius traps latissimus lats',
    elevation: 'upper trapezius traps levator',
    'external rotation': 'rotator cuff infraspinatus',
  },
  elbow: { extension: 'triceps', flexion: 'biceps brachialis' },
  forearm: { pronation: 'pronator', supination: 'supinator biceps', extension: 'wrist extensors', flexion: 'wrist flexors' },
  wrist: {
    flexion: 'wrist flexors forearm',
    extension: 'wrist extensors forearm',
    'radial deviation': 'forearm',
    'ulnar deviation': 'forearm',
  },
  grip: { grasp: 'finger flexors forearm', extension: 'finger extensors lumbricals' },
  trunk: {
    bracing: 'abdominals abs core',
    flexion: 'hamstrings hip flexors',
    extension: 'back extensors',
    abduction: 'adductors inner thigh',
  },
};

/** Other names of the joints. */
const JOINT_NAMES: Readonly<Record<Joint, string>> = {
  scapula: 'shoulder blade scapular',
  shoulder: '',
  elbow: '',
  forearm: '',
  wrist: 'hand',
  grip: 'hand fingers',
  trunk: 'core torso',
  neck: 'cervical',
};

/** What else a drill may be looked for by: muscles in plain words, other names of its joints, its load, and its name written together. */
export function searchWords({ name, joint, alsoWorks, motions, handLoad, blade }: Drill): string {
  const joints = [joint, ...alsoWorks];
  const muscles = joints.flatMap((j) => motions.flatMap((m) => MUSCLES[j]?.[m] ?? []));
  return [
    ...muscles,
    ...joints.map((j) => JOINT_NAMES[j]),
    ...(handLoad ? [handLoad.direction === 'push' ? 'loaded pushing support' : 'loaded pulling hang'] : ['unloaded']),
    ...(blade ? ['shoulder blade'] : []),
    writtenTogether(name),
  ].join(' ');
}

/** `push-up` is typed as `pushup` too. */
function writtenTogether(text: string): string {
  return (text.match(/[a-z]+(?:-[a-z]+)+/gi) ?? []).map((word) => word.replaceAll('-', '')).join(' ');
}
