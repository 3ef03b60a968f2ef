import type { FaultEntry, FaultWords, Situation } from '../drills/index.ts';

/** What makes it easier, by how the body is placed (common practice, no source). */
const EASE: Readonly<Record<Situation, string>> = {
  'free hang': 'Come down; the next time let the feet carry some of it.',
  'feet hang': 'More weight on the feet.',
  'between the hands': 'Let the feet carry more.',
  'on the hands': 'Less weight on the hands: raise them, or shorten the lever.',
  'on the forearms': 'Come down onto the knees; a shorter hold the next time.',
  'upside down': 'Come down; more weight on the feet the next time.',
  'at a wall': 'Stand a little nearer to the wall.',
  'at a post': 'Let the feet carry more.',
  'against a band': 'A weaker band.',
  'with a weight': 'A lighter weight.',
  lying: 'A smaller range.',
  free: 'A smaller range, and slower.',
};

/** Words by placement: the general way to make it easier, and what is said otherwise. */
function eased(own: Readonly<Partial<Record<Situation, FaultWords>>> = {}): NonNullable<FaultEntry['placed']> {
  return Object.fromEntries(
    Object.entries(EASE).map(([situation, regression]) => [situation, { regression, ...own[situation as Situation] }]),
  );
}

/** Said in several placements. */
function in_<const S extends readonly Situation[]>(situations: S, words: FaultWords) {
  return Object.fromEntries(situations.map((s) => [s, words])) as Readonly<Partial<Record<Situation, FaultWords>>>;
}

const PULLS = ['free hang', 'feet hang', 'against a band'] as const;
const ARMS_FREE = ['free', 'against a band', 'with a weight', 'lying'] as const;

const WORDS = {
  'blade-wings': {
    name: 'blade wings',
    oneSided: true,
    cue: 'Push the floor further away.',
    regression: EASE['on the hands'],
    placed: eased({
      'at a wall': { cue: 'Push the wall further away.' },
      'on the forearms': { cue: 'Press the forearms down and fill the space between the blades.' },
      lying: { cue: 'Blade flat on the ribs before the hand lifts.' },
    }),
  },
  shrug: {
    name: 'shoulder shrugs to the ear',
    oneSided: true,
    cue: 'Long neck, shoulders wide.',
    regression: EASE.free,
    placed: eased(),
  },
  'elbows-lock': {
    name: 'elbow over-straightens',
    oneSided: true,
    cue: 'Soften, then straighten only until the crease points to the thumb.',
    regression: 'Smaller range with the arms a touch bent.',
  },
  'elbows-bend': {
    name: 'elbow bends',
    oneSided: true,
    cue: 'Long arms, straight and not forced.',
    regression: 'Only as far as the arms stay straight.',
    placed: eased({
      free: { regression: 'Only as far as the arms stay straight.' },
      lying: { regression: 'Only as far as the arms stay straight.' },
    }),
  },
  'elbows-flare': {
    name: 'elbow flares out',
    oneSided: true,
    part: 'out',
    cue: 'Elbows along the ribs.',
    regression: 'Half of the depth.',
  },
  'elbows-slide-apart': {
    name: 'elbows slide apart',
    cue: 'Elbows under the shoulders, forearms like rails.',
    regression: 'Come down; a shorter hold the next time.',
  },
  'crease-forward': {
    name: 'elbow crease turns too far forward',
    oneSided: true,
    cue: 'Press the base of the index finger, draw the hands toward each other.',
    regression: 'The elbow alignment by itself, without load.',
  },
  'wrist-sideways': {
    name: 'wrist bends sideways',
    oneSided: true,
    cue: 'Middle finger in line with the forearm.',
    regression: 'Straight again without load, then less of it.',
    placed: in_(['against a band'], { regression: EASE['against a band'] }),
  },
  'wrist-collapses': {
    name: 'heel of the hand takes it all',
    oneSided: true,
    cue: 'Press the base of the index finger.',
    regression: 'Raise the heel of the hand a little, or carry less.',
  },
  'wrist-folds': {
    name: 'wrist folds',
    oneSided: true,
    cue: 'Knuckles, wrist and elbow in one line.',
    regression: 'A smaller pull.',
    placed: eased(),
  },
  'fingers-claw': {
    name: 'fingers claw or lift',
    oneSided: true,
    cue: 'Spread the fingers, press the tips flat.',
    regression: 'Less weight on the fingers.',
  },
  'tips-cave-in': {
    name: 'a finger joint caves in',
    oneSided: true,
    part: 'hold',
    cue: 'Every finger a little bent, like a dome.',
    regression: 'Less weight on the tips, or down now.',
  },
  'heel-of-hand-lifts': {
    name: 'heel of the hand lifts',
    oneSided: true,
    part: 'out',
    cue: 'Go only as far as the heel of the hand stays heavy.',
    regression: 'Less lean.',
  },
  'palm-short-of-bar': {
    name: 'palm not far enough over the bar',
    oneSided: true,
    part: 'start',
    cue: 'Lay the palm over the bar first, then close the fingers.',
    regression: 'Come down and take the grip again.',
  },
  'hand-clenches': {
    name: 'hand clenches where it should be soft',
    oneSided: true,
    cue: 'Soft fingers; the work is further up.',
    regression: 'Half of the force.',
  },
  'ribs-flare': {
    name: 'ribs flare',
    part: 'out',
    cue: 'Breathe out and draw ribs to pelvis.',
    regression: 'Lower the arms until the ribs stay.',
    placed: {
      ...eased(),
      ...in_(ARMS_FREE, { regression: 'Only as far as the ribs stay down.' }),
    },
  },
  'ribs-move': {
    name: 'ribs or back move for the shoulder',
    part: 'out',
    cue: 'Ribs stay where they are; only the shoulder travels.',
    regression: 'A smaller range.',
  },
  'low-back-arches': {
    name: 'low back arches',
    cue: 'Tuck the tailbone a little.',
    regression: 'A smaller range.',
    placed: {
      'on the hands': { regression: EASE['on the hands'] },
      'on the forearms': { regression: EASE['on the forearms'] },
      'upside down': { regression: EASE['upside down'] },
      'with a weight': { regression: EASE['with a weight'] },
    },
  },
  'back-rounds': {
    name: 'back rounds',
    part: 'out',
    cue: 'Breastbone forward, long back.',
    regression: 'A smaller bend, knees soft.',
  },
  'hips-sag': {
    name: 'hips sag',
    cue: 'One line from ear to ankle.',
    regression: 'Knees down, or the hands raised.',
    placed: {
      'on the forearms': { regression: EASE['on the forearms'] },
      'at a wall': { regression: EASE['at a wall'] },
      'feet hang': { cue: 'One line from ear to heel.', regression: 'Feet nearer, body more upright.' },
    },
  },
  'hips-turn': {
    name: 'hips turn along',
    part: 'out',
    cue: 'Hips stay square; the movement ends at the ribs.',
    regression: 'A smaller reach.',
  },
  'trunk-turns': {
    name: 'body turns along',
    part: 'out',
    cue: 'Breastbone stays forward.',
    regression: 'A smaller range.',
    placed: eased(),
  },
  'neck-leads': {
    name: 'neck leads the movement',
    part: 'out',
    cue: 'Look at one spot, back of the neck long.',
    regression: 'Smaller range.',
  },
  'chin-pokes': {
    name: 'chin pokes forward',
    part: 'out',
    cue: 'Chin back, crown of the head long.',
    regression: 'A smaller range.',
    placed: eased(),
  },
  'head-sinks': {
    name: 'head sinks between the shoulders',
    cue: 'Crown of the head away from the seat.',
    regression: EASE['on the hands'],
    placed: eased(),
  },
  'breath-held': {
    name: 'breath held',
    cue: 'Breathe out on the effort.',
    regression: 'Ease off until the breath moves.',
  },
  swings: {
    name: 'body swings',
    cue: 'Come to rest before you go on.',
    regression: EASE['feet hang'],
    placed: eased(),
  },
  'out-of-time': {
    name: 'halves of the body out of time',
    part: 'out',
    cue: 'Feet, hips and chest in one long wave.',
    regression: 'Smaller swings, or wait until it is quiet.',
  },
  'legs-kick': {
    name: 'legs kick to help',
    part: 'out',
    cue: 'Legs long and quiet.',
    regression: 'More help, or fewer repetitions.',
  },
  'rocks-back': {
    name: 'hips drift toward the heels',
    cue: 'Hips stay over the knees.',
    regression: 'Hands a little higher.',
  },
  leans: {
    name: 'leans to one side',
    cue: 'Grow tall over both feet.',
    regression: 'A smaller range.',
    placed: {
      'with a weight': { regression: EASE['with a weight'] },
      'on the hands': { cue: 'Same weight on both sides.', regression: EASE['on the hands'] },
      'feet hang': { cue: 'Same weight in both hands.', regression: EASE['feet hang'] },
    },
  },
  'leans-back': {
    name: 'crunches or leans back',
    part: 'out',
    cue: 'Tall between the hands, breastbone over the pelvis.',
    regression: 'Press less; let the legs carry more.',
  },
  'one-arm-more': {
    name: 'one arm does more',
    oneSided: true,
    cue: 'Same push in both hands.',
    regression: EASE.free,
    placed: eased(in_(PULLS, { cue: 'Same pull in both hands.' })),
  },
  'arm-leads': {
    name: 'arm leads before the blade',
    oneSided: true,
    part: 'out',
    cue: 'Blade first, then the arm.',
    regression: 'Only the blade, the arm resting.',
  },
  'elbow-leaves-ribs': {
    name: 'elbow leaves the ribs',
    oneSided: true,
    part: 'out',
    cue: 'Elbow heavy at the ribs.',
    regression: 'A smaller turn.',
    placed: { 'against a band': { regression: EASE['against a band'] } },
  },
  'forearm-turns': {
    name: 'forearm turns for the shoulder',
    oneSided: true,
    part: 'out',
    cue: 'Turn from the shoulder; the thumb keeps its direction.',
    regression: 'A smaller turn.',
  },
  'forearm-moves': {
    name: 'forearm moves along',
    oneSided: true,
    part: 'out',
    cue: 'Only the hand moves; the forearm stays.',
    regression: 'A smaller movement, the forearm held.',
  },
  'shoulder-sinks': {
    name: 'supporting shoulder sinks',
    cue: 'Push the floor away.',
    regression: EASE['on the hands'],
    placed: {
      ...eased({ 'at a wall': { cue: 'Push the wall away.' } }),
      'on the forearms': { regression: 'Knees bent, or a shorter hold.' },
    },
  },
  drops: {
    name: 'drops on the way back',
    part: 'back',
    cue: 'Slow all the way home; nothing drops.',
    regression: 'Half of the way, under control.',
  },
  'stops-short': {
    name: 'range cut short',
    part: 'out',
    cue: 'To the end of it, then home.',
    regression: 'Slower, with less load.',
  },
  rushed: { name: 'rushed', cue: 'Count it; one way as slow as the other.', regression: 'Fewer repetitions, counted aloud.' },
  shakes: { name: 'trembles beyond control', part: 'hold', cue: 'Ease off while you still steer it.', regression: 'End the set here.' },
  'snaps-back': { name: 'band snaps back', part: 'back', cue: 'Lead the band home.', regression: EASE['against a band'] },
  'head-takes-weight': {
    name: 'head takes weight',
    cue: 'Press the floor until a hand fits under the head.',
    regression: 'Come down now; back to the rung before.',
  },
  'blades-pinch': {
    name: 'blades pinched together',
    part: 'out',
    cue: 'Down more than back.',
    regression: 'A smaller pull.',
    under: 'set',
    only: ['free', 'against a band', 'with a weight', 'lying', 'between the hands'],
  },
  'upper-back-rounds': {
    name: 'upper back rounds',
    cue: 'Breastbone forward, blades flat.',
    regression: 'Less range.',
    under: 'set',
    only: ['free', 'against a band', 'with a weight'],
  },
  'sweep-cut-short': {
    name: 'one end of the sweep is missing',
    cue: 'All the way apart, all the way together; the blades need not touch hard.',
    regression: 'The same sweep with less load.',
    under: 'sweep',
  },
  'blade-held-down': {
    name: 'blade held down while the arm rises',
    oneSided: true,
    part: 'out',
    cue: 'Let the lower tip turn out and up.',
    regression: 'Arm only to shoulder height.',
    under: 'follow',
    only: ['free', 'against a band', 'with a weight'],
  },
} as const satisfies Record<string, Omit<FaultEntry, 'id'>>;

/** The faults the product ships. */
export const FAULTS: readonly FaultEntry[] = Object.entries(WORDS).map(([id, words]) => ({ id, ...words }));
