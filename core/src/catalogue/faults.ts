import type { FaultEntry } from '../drills/index.ts';

const WORDS = {
  'blade-wings': { name: 'blade wings', cue: 'Push the floor further away.', regression: 'Raise the hands or shorten the lever.' },
  shrug: { name: 'shrug to the ears', cue: 'Long neck, shoulders wide.', regression: 'More weight on the feet.' },
  'elbows-lock': {
    name: 'elbows over-straighten and lock',
    cue: 'Soften, then straighten only until the crease points to the thumb.',
    regression: 'Smaller range with the arms a touch bent.',
  },
  'elbows-bend': { name: 'elbows bend or flare', cue: 'Straight arms, creases facing one another.', regression: 'Less load on the hands.' },
  'crease-forward': {
    name: 'elbow crease turns forward',
    cue: 'Press the base of the index finger, draw the hands toward each other.',
    regression: 'Back to the elbow alignment drill, without load.',
  },
  'wrist-sideways': {
    name: 'wrist bends sideways',
    cue: 'Middle finger in line with the forearm.',
    regression: 'Back to neutral without load.',
  },
  'wrist-collapses': {
    name: 'wrist collapses or heel of hand takes all',
    cue: 'Press the base of the index finger.',
    regression: 'Wedge under the palm.',
  },
  'fingers-claw': { name: 'fingers claw or lift', cue: 'Spread the fingers, press the tips flat.', regression: 'Less lean.' },
  'ribs-flare': { name: 'ribs flare', cue: 'Breathe out and draw ribs to pelvis.', regression: 'Lower the arms until the ribs stay.' },
  'low-back-arches': { name: 'low back arches', cue: 'Tuck the tailbone a little.', regression: 'Bend the knees or raise the hands.' },
  'hips-sag': { name: 'hips sag or twist', cue: 'One line from ear to ankle.', regression: 'Knees down.' },
  'neck-leads': { name: 'neck leads the movement', cue: 'Look at one spot, back of the neck long.', regression: 'Smaller range.' },
  'breath-held': { name: 'breath held', cue: 'Out on the effort.', regression: 'Shorter hold.' },
  swings: { name: 'body swings', cue: 'Shift under the holding hand first.', regression: 'More weight on the feet.' },
  'rocks-back': { name: 'hips drift toward the heels', cue: 'Hips stay over the knees.', regression: 'Hands a little higher.' },
  leans: { name: 'leans to one side', cue: 'Same weight in both hands.', regression: 'Narrower range.' },
  rushed: { name: 'rushed', cue: 'As slow up as down.', regression: 'Fewer repetitions, counted aloud.' },
  shakes: { name: 'trembles beyond control', cue: 'Ease off while you still steer it.', regression: 'End the set here.' },
  'snaps-back': { name: 'band snaps back', cue: 'Lead the band home.', regression: 'Weaker band.' },
  'head-takes-weight': {
    name: 'head takes weight',
    cue: 'Press the floor until a hand fits under the head.',
    regression: 'Come down now; back to the rung before.',
  },
  'blades-pinch': { name: 'blades pinched together', cue: 'Down more than back.', regression: 'Smaller pull, longer arms.', under: 'set' },
  'upper-back-rounds': { name: 'upper back rounds', cue: 'Breastbone forward, blades flat.', regression: 'Less range.', under: 'set' },
  'sweep-cut-short': {
    name: 'one end of the sweep is missing',
    cue: 'Go on until the blades touch, then push them wide.',
    regression: 'The same sweep at a wall.',
    under: 'sweep',
  },
  'blade-held-down': {
    name: 'blade held down while the arm rises',
    cue: 'Let the lower tip turn out and up.',
    regression: 'Arm only to shoulder height.',
    under: 'follow',
  },
} as const satisfies Record<string, Omit<FaultEntry, 'id'>>;

/** The faults the product ships. */
export const FAULTS: readonly FaultEntry[] = Object.entries(WORDS).map(([id, words]) => ({ id, ...words }));
