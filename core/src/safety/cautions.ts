/** What a past injury or condition means for training. Wording defers to licensed professionals. */
export interface Caution {
  readonly name: string;
  readonly consequence: string;
  /** Closes every gate until it is lifted. */
  readonly locks: boolean;
}

export const CAUTIONS = {
  'shoulder-dislocated': {
    name: 'Shoulder once dislocated',
    consequence: 'No end-range passive stretching of the shoulder; stability first.',
    locks: false,
  },
  'lax-joints': { name: 'Lax joints', consequence: 'No end-range passive stretching; stability first.', locks: false },
  'shoulder-injury': {
    name: 'Shoulder injury, rebuilding',
    consequence: 'No free hanging or pressing strength; control drills only.',
    locks: false,
  },
  'wrist-injury': {
    name: 'Wrist injury, rebuilding',
    consequence: 'No body weight through the wrists; forearm versions stand in.',
    locks: false,
  },
  'elbow-pain': { name: 'Elbow pain', consequence: 'No free hanging and no heavy grip work.', locks: false },
  'neck-condition': { name: 'Neck condition', consequence: 'No inversions; ask a licensed professional first.', locks: false },
  'raised-pressure': {
    name: 'Raised blood or eye pressure',
    consequence: 'No inversions and no long straining holds; ask a licensed professional first.',
    locks: false,
  },
  pregnancy: { name: 'Pregnancy', consequence: 'No inversions, nothing lying face down; ask a licensed professional first.', locks: false },
  'head-injury': {
    name: 'Recent head injury',
    consequence: 'No inversions and no swings; ask a licensed professional first.',
    locks: false,
  },
  minor: { name: 'Under 18', consequence: 'Growth plates: no heavy fingertip or wrist loading.', locks: false },
  'medical-hold': {
    name: 'Medical hold',
    consequence: 'Every gate stays closed until a licensed professional has been consulted.',
    locks: true,
  },
} as const satisfies Record<string, Caution>;

export type CautionId = keyof typeof CAUTIONS;

export const CAUTION_IDS = Object.keys(CAUTIONS) as readonly CautionId[];

/** The one caution that follows from age; it is never ticked by hand. */
export const CHOSEN_CAUTION_IDS = CAUTION_IDS.filter((id) => id !== 'minor');

const ADULT_AGE = 18;

/**
 * The cautions in force: those recorded, and `minor` while the trainee may still be under 18.
 *
 * @param recorded cautions in the profile
 * @param birthYear four digits; the birthday is taken as the last day of the year, the safe side
 * @example cautionsInForce([], 2015, new Date('2026-11-24')) // ['minor']
 */
export function cautionsInForce(recorded: readonly CautionId[], birthYear: number, now: Date): readonly CautionId[] {
  const surelyAdult = now.getFullYear() - birthYear > ADULT_AGE;
  return surelyAdult ? recorded : [...recorded, 'minor'];
}
