import type { Joint } from '../anatomy/index.ts';

/**
 * What a caution does.
 * - `stands`: what it excludes stays excluded as long as the answer stands
 * - `ask first`: what it excludes waits until a licensed professional was consulted
 * - `lock`: every gate stays closed until a licensed professional was consulted
 * - `note`: nothing is excluded; the coach is told
 */
export type CautionKind = 'stands' | 'ask first' | 'lock' | 'note';

/** What a past injury or condition means for training. Wording defers to licensed professionals. */
export interface Caution {
  readonly name: string;
  readonly consequence: string;
  readonly kind: CautionKind;
  /** Joints that are being rebuilt: their drills go on at reduced doses. */
  readonly rebuilds?: readonly Joint[];
  /** A proposal gives stability of the shoulder the first claim on the minutes. */
  readonly stabilityFirst?: true;
}

export const CAUTIONS = {
  'shoulder-dislocated': {
    name: 'Shoulder once dislocated',
    consequence: 'No end-range passive stretching of the shoulder; stability first.',
    kind: 'stands',
    stabilityFirst: true,
  },
  'unstable-under-load': {
    name: 'Loose shoulder under load',
    consequence: 'Swings, travelling hand to hand, dead hangs and deep dips wait for a licensed professional’s word.',
    kind: 'ask first',
  },
  'lax-joints': {
    name: 'Lax joints',
    consequence: 'No end-range passive stretching; stability first.',
    kind: 'stands',
    stabilityFirst: true,
  },
  'shoulder-injury': {
    name: 'Shoulder injury, rebuilding',
    consequence: 'No free hanging or pressing strength; control drills only, at reduced doses.',
    kind: 'stands',
    rebuilds: ['shoulder', 'scapula'],
  },
  'wrist-injury': {
    name: 'Wrist injury, rebuilding',
    consequence: 'No body weight through the wrists; forearm versions stand in, wrist work at reduced doses.',
    kind: 'stands',
    rebuilds: ['wrist', 'forearm'],
  },
  'finger-injury': {
    name: 'Finger or hand injury, rebuilding',
    consequence: 'No fingertip supports and no heavy grip; open-hand work at reduced doses.',
    kind: 'stands',
    rebuilds: ['grip'],
  },
  'elbow-pain': {
    name: 'Elbow pain',
    consequence: 'No free hanging and no heavy grip work; elbow and forearm work at reduced doses.',
    kind: 'stands',
    rebuilds: ['elbow', 'forearm'],
  },
  'neck-condition': { name: 'Neck condition', consequence: 'No inversions; ask a licensed professional first.', kind: 'ask first' },
  'raised-pressure': {
    name: 'Raised blood or eye pressure',
    consequence: 'No inversions and no long straining holds; ask a licensed professional first.',
    kind: 'ask first',
  },
  pregnancy: {
    name: 'Pregnancy',
    consequence: 'No inversions, nothing lying face down; ask a licensed professional first.',
    kind: 'ask first',
  },
  'head-injury': {
    name: 'Recent head injury',
    consequence: 'No inversions and no swings; ask a licensed professional first.',
    kind: 'ask first',
  },
  'reflux-vertigo': {
    name: 'Reflux or vertigo',
    consequence: 'No inversions; ask a licensed professional first.',
    kind: 'ask first',
  },
  minor: { name: 'Under 18', consequence: 'Growth plates: no heavy fingertip or wrist loading.', kind: 'stands' },
  'pain-now': {
    name: 'Pain before training',
    consequence: 'Report it as a symptom first, and look for the nearest position without it.',
    kind: 'note',
  },
  'recent-surgery': {
    name: 'Operation within a year',
    consequence: 'Every gate stays closed until the surgeon or a licensed professional has been consulted.',
    kind: 'lock',
  },
  'arm-numbness': {
    name: 'Numbness, tingling or weakness in an arm',
    consequence: 'Every gate stays closed until a licensed professional has been consulted; no nerve glides.',
    kind: 'lock',
  },
  'night-pain': {
    name: 'Pain at rest or at night',
    consequence: 'Every gate stays closed until a licensed professional has been consulted.',
    kind: 'lock',
  },
  'medical-hold': {
    name: 'Medical hold',
    consequence: 'Every gate stays closed until a licensed professional has been consulted.',
    kind: 'lock',
  },
} as const satisfies Record<string, Caution>;

export type CautionId = keyof typeof CAUTIONS;

export const CAUTION_IDS = Object.keys(CAUTIONS) as readonly CautionId[];

/** A caution by its id. */
export function cautionOf(id: CautionId): Caution {
  return CAUTIONS[id];
}

/** A caution in force for a trainee, and which answers caused it. */
export interface CautionInForce {
  readonly id: CautionId;
  /** One sentence for each answer or fact behind it. */
  readonly because: readonly string[];
}

/**
 * A caution with its consequence and its cause, in words.
 *
 * @example cautionInWords({ id: 'minor', because: ['born 2012'] }) // 'Under 18: Growth plates: … Because: born 2012.'
 */
export function cautionInWords({ id, because }: CautionInForce): string {
  const { name, consequence } = cautionOf(id);
  return `${name}: ${consequence}${because.length > 0 ? ` Because: ${because.join('; ')}.` : ''}`;
}

/** The joints that are being rebuilt under these cautions. */
export function rebuildingJoints(cautions: readonly CautionInForce[]): ReadonlySet<Joint> {
  return new Set(cautions.flatMap(({ id }) => cautionOf(id).rebuilds ?? []));
}
