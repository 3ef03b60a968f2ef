import type { TraineeDto } from '@myokinet/core/contracts';
import { type Equipment, EQUIPMENT_IDS } from '@myokinet/core/drills';
import type { BeightonTest, Permit, ProfessionalRole, QuestionId } from '@myokinet/core/safety';
import type { BodySide } from '@myokinet/core/anatomy';

/** How an invented trainee's half year went. */
export interface Story {
  readonly profile: Pick<
    TraineeDto,
    | 'name'
    | 'birthYear'
    | 'sex'
    | 'stature'
    | 'mass'
    | 'dominantHand'
    | 'history'
    | 'ladderId'
    | 'trainingDays'
    | 'sessionMinutes'
    | 'equipment'
  >;
  /** What the screening before training was answered with; every other question with no. */
  readonly screening?: Partial<Record<QuestionId, BodySide>>;
  /** The same, answered anew this week: something came up lately. */
  readonly screeningNow?: Partial<Record<QuestionId, BodySide>>;
  readonly beighton?: readonly BeightonTest[];
  /** A licensed professional was consulted right after the first screening. */
  readonly consulted?: { readonly role: ProfessionalRole; readonly allowed: string; readonly permit: Omit<Permit, 'until'> };
  /** Rung-equivalent level at the start and at the end; 2.5 is halfway between the third rung and the fourth. */
  readonly from: number;
  readonly to: number;
  /** Left side behind the right, in error bands. */
  readonly leftBehind?: number;
  /** Checks (by id) this trainee is slower in, in error bands. */
  readonly behindIn?: Readonly<Record<string, number>>;
  /** Levels (by check) that the coach sees besides, whatever the ladder asks. */
  readonly sees?: Readonly<Record<string, number>>;
  /** Weeks before today of a sharp pain, and of its closing. */
  readonly setBack?: { readonly weeksAgo: number; readonly closedWeeksAgo?: number };
  /** Checks (by id) that are taken once and then forgotten. */
  readonly forgets?: readonly string[];
  /** Nobody has asked about the morning after the last session. */
  readonly morningOpen?: boolean;
  /** No checks in the last so many weeks. */
  readonly uncheckedWeeks?: number;
  /** Reads alike from trial to trial, trains without a slip, and rests before today: whoever is to be ready, is. */
  readonly steady?: boolean;
  /** The coach has not signed in the last so many weeks. */
  readonly unsignedWeeks?: number;
  /** Joined so many weeks ago; 26 unless stated. */
  readonly weeks?: number;
}

const SHIP: readonly Equipment[] = EQUIPMENT_IDS.filter((e) => e !== 'row of bars');

function profile(
  own: Pick<Story['profile'], 'name' | 'birthYear' | 'sex' | 'stature' | 'mass'> & Partial<Story['profile']>,
): Story['profile'] {
  return {
    dominantHand: 'right',
    history: '',
    ladderId: 'hang-and-swing',
    trainingDays: ['Monday', 'Wednesday', 'Friday'],
    sessionMinutes: 45,
    equipment: [...SHIP],
    ...own,
  };
}

/** The crew of a sail-training ship: they haul, push the capstan, climb aloft and hang on. All invented. */
export const CREW: readonly Story[] = [
  {
    profile: profile({
      name: 'Tamsin Halyard',
      birthYear: 1994,
      sex: 'female',
      stature: 168,
      mass: 63,
      history: 'Bosun. Hauls daily, wants to swing across the shrouds.',
    }),
    from: 1.6,
    to: 4.7,
    leftBehind: 1.1,
    behindIn: { 'packed-hang': 0.7 },
    forgets: ['shoulder-abduction'],
  },
  {
    profile: profile({
      name: 'Jory Capstan',
      birthYear: 1988,
      sex: 'male',
      stature: 182,
      mass: 84,
      ladderId: 'push-up',
      trainingDays: ['Tuesday', 'Thursday', 'Saturday'],
      history: 'Deckhand, port watch.',
    }),
    from: 0.2,
    to: 5.6,
    steady: true,
    unsignedWeeks: 4,
  },
  {
    profile: profile({
      name: 'Maren Topsail',
      birthYear: 1999,
      sex: 'female',
      stature: 174,
      mass: 66,
      history: 'Lookout. Left shoulder once dislocated, 2021; long since pain-free.',
    }),
    screening: { 'shoulder-dislocated': 'left' },
    from: 0.5,
    to: 2.9,
    leftBehind: 1.2,
    behindIn: { 'shoulder-external-rotation': 0.8 },
  },
  {
    profile: profile({
      name: 'Odo Ratline',
      birthYear: 1979,
      sex: 'male',
      stature: 177,
      mass: 91,
      history: 'Second mate. Grip behind the rest.',
      dominantHand: 'left',
    }),
    from: 0.6,
    to: 3.8,
    behindIn: { grip: 2.6 },
    morningOpen: true,
  },
  {
    profile: profile({
      name: 'Petra Windlass',
      birthYear: 1991,
      sex: 'female',
      stature: 163,
      mass: 58,
      ladderId: 'push-up',
      history: 'Cook. Old wrist sprain on the right, healed.',
    }),
    from: 1.2,
    to: 4.6,
    behindIn: { 'wrist-extension-loaded': 1.4 },
    setBack: { weeksAgo: 7, closedWeeksAgo: 5 },
  },
  {
    profile: profile({ name: 'Linus Gaff', birthYear: 1996, sex: 'male', stature: 179, mass: 74, history: 'Topman. Felt a pinch aloft.' }),
    from: 1.0,
    to: 4.0,
    setBack: { weeksAgo: 1 },
  },
  {
    profile: profile({
      name: 'Wilma Cleat',
      birthYear: 1985,
      sex: 'female',
      stature: 170,
      mass: 71,
      ladderId: 'push-up',
      history: 'Navigator, often ashore.',
    }),
    from: 0.3,
    to: 2.6,
    uncheckedWeeks: 6,
  },
  {
    profile: profile({
      name: 'Kasper Keel',
      birthYear: 1974,
      sex: 'male',
      stature: 185,
      mass: 96,
      history: 'Master. Waiting for a doctor’s word. Shoulders stiff overhead.',
    }),
    screening: { 'raised-pressure': 'whole' },
    screeningNow: { 'raised-pressure': 'whole', 'medical-hold': 'whole' },
    behindIn: { 'shoulder-flexion': 4.6 },
    from: 0.3,
    to: 2.2,
  },
  {
    profile: profile({
      name: 'Noor Bowline',
      birthYear: 2001,
      sex: 'female',
      stature: 166,
      mass: 59,
      trainingDays: ['Monday', 'Tuesday', 'Thursday', 'Saturday'],
      history: 'Trainee crew, former gymnast.',
    }),
    beighton: ['little-finger-left', 'little-finger-right', 'thumb-left', 'thumb-right', 'elbow-right', 'palms-to-floor'],
    from: 2.8,
    to: 6.6,
  },
  {
    profile: profile({
      name: 'Ines Shroud',
      birthYear: 1993,
      sex: 'unstated',
      stature: 172,
      mass: 68,
      ladderId: 'hand-support',
      sessionMinutes: 30,
    }),
    morningOpen: true,
    from: 1.5,
    to: 5.5,
  },
  {
    profile: profile({
      name: 'Anselm Deck',
      birthYear: 2011,
      sex: 'male',
      stature: 171,
      mass: 60,
      ladderId: 'push-up',
      history: 'Ship’s cadet, fifteen.',
    }),
    from: 0.6,
    to: 2.7,
    weeks: 14,
  },
  {
    profile: profile({
      name: 'Freya Luff',
      birthYear: 1990,
      sex: 'female',
      stature: 176,
      mass: 70,
      history: 'Right wrist rebuilding after a fall.',
      trainingDays: ['Tuesday', 'Friday'],
    }),
    screening: { 'wrist-injury': 'right' },
    from: 0.5,
    to: 2.8,
    weeks: 18,
  },
  {
    profile: profile({
      name: 'Bram Yard',
      birthYear: 1983,
      sex: 'male',
      stature: 180,
      mass: 79,
      ladderId: 'push-up',
      history: 'Joined last week.',
    }),
    from: 1.3,
    to: 1.4,
    weeks: 1,
    sees: { 'wall-slide-contact': 5, 'blade-winging': 1 },
  },
  {
    profile: profile({
      name: 'Elke Fender',
      birthYear: 1987,
      sex: 'female',
      stature: 169,
      mass: 64,
      ladderId: 'forearm-inversion',
      trainingDays: ['Tuesday', 'Thursday', 'Sunday'],
      history: 'Sailmaker. Neck operated on in her youth, cleared since.',
    }),
    screening: { 'neck-condition': 'whole' },
    consulted: {
      role: 'specialist doctor',
      allowed: 'Forearm inversions at a wall with a spotter; nothing on the head.',
      permit: { loadPerArm: 0.6, overhead: true, hanging: true, headDown: true, effort: 7 },
    },
    from: 0.4,
    to: 3.4,
    weeks: 20,
  },
  {
    profile: profile({
      name: 'Tobias Thole',
      birthYear: 1998,
      sex: 'male',
      stature: 181,
      mass: 80,
      ladderId: 'assisted-pull',
      trainingDays: ['Monday', 'Thursday'],
      history: 'Carpenter. Wants one clean pull-up before midsummer.',
    }),
    from: 0.6,
    to: 3.3,
    leftBehind: 0.6,
  },
];
