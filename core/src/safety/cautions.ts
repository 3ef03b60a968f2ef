import type { Joint } from '../anatomy/index.ts';
import { type CalendarDay, type Instant, shortDay } from '../quantities/index.ts';
import type { Closable, Permit } from './permit.ts';
import type { ProfessionalRole } from './professionals.ts';

/**
 * What a caution does.
 * - `stands`: what it excludes stays excluded as long as the answer stands
 * - `ask first`: what it excludes waits until a licensed professional was consulted
 * - `lock`: every gate stays closed, and everything straining, until a licensed professional was consulted
 * - `note`: nothing is excluded; the coach is told
 */
export type CautionKind = 'stands' | 'ask first' | 'lock' | 'note';

/** What a past injury or condition means for training. Wording defers to licensed professionals. */
export interface Caution {
  readonly name: string;
  readonly consequence: string;
  readonly kind: CautionKind;
  /** What it closes by how it strains, whatever the drill says of itself. */
  readonly closes?: readonly Closable[];
  /** Who may open it, by role; nobody where none is named. */
  readonly openedBy?: readonly ProfessionalRole[];
  /** Joints that are being rebuilt: their drills go on at reduced doses. */
  readonly rebuilds?: readonly Joint[];
  /** A proposal gives stability of the shoulder the first claim on the minutes. */
  readonly stabilityFirst?: true;
}

const DOCTOR = ['general practitioner', 'specialist doctor'] as const;
const DOCTOR_OR_THERAPIST = [...DOCTOR, 'physiotherapist'] as const;
const SURGEON = ['surgeon'] as const;
const MIDWIFE_OR_DOCTOR = [...DOCTOR, 'midwife or obstetrician'] as const;

const LOCK = { kind: 'lock', closes: ['straining'] } as const;
const doctorLock = (name: string) =>
  ({
    ...LOCK,
    name,
    consequence: 'Nothing straining, no check of it and no gate until a doctor’s word says what is permitted.',
    openedBy: DOCTOR,
  }) as const;

/** Professional judgement and common practice, from memory, no single published source. */
export const CAUTIONS = {
  unscreened: {
    ...LOCK,
    name: 'Not screened',
    consequence: 'Only unloaded work until the questions before training are answered.',
  },
  emergency: doctorLock('Emergency'),
  'doctor-today': doctorLock('Doctor the same day'),
  'heart-vessels': doctorLock('Heart, vessels or kidneys'),
  'exertion-signs': doctorLock('Chest pain, fainting or breathlessness on little effort'),
  'blood-clot': doctorLock('A clot, or an arm that swells'),
  'vessel-wall': doctorLock('Aorta or connective tissue of the vessels'),
  'cancer-weight-loss': doctorLock('Weight lost without reason, or cancer under treatment'),
  'fresh-fracture': doctorLock('Fracture less than twelve weeks old'),
  'eye-surgery': doctorLock('Eye surgery, or active disease of the retina'),
  'unsteady-gait': doctorLock('Clumsy hands or unsteady gait'),
  'very-high-pressure': doctorLock('Blood pressure of 180/110 or more'),
  seizures: {
    name: 'Seizures',
    consequence: 'Nothing head down, no free hangs and nothing one may fall from; ask a doctor first.',
    kind: 'ask first',
    closes: ['head down', 'hanging', 'fall'],
    openedBy: DOCTOR,
  },
  'blood-sugar': {
    name: 'Diabetes treated with insulin or the like',
    consequence: 'No hard efforts and no long holds; ask a doctor first.',
    kind: 'ask first',
    closes: ['hard effort', 'long hold'],
    openedBy: DOCTOR,
  },
  'blood-thinners': {
    name: 'Blood thinners',
    consequence: 'Nothing one may fall from, nothing head down; ask a doctor first.',
    kind: 'ask first',
    closes: ['fall', 'head down'],
    openedBy: DOCTOR,
  },
  'brittle-bones': {
    name: 'Thin bones, or long treatment with steroids',
    consequence: 'No rolls or kick-ups, no heavy load on an arm; ask a doctor first.',
    kind: 'ask first',
    closes: ['fall', 'head down', 'heavy load'],
    openedBy: DOCTOR,
  },
  'tendon-medicine': {
    name: 'A steroid injection within two weeks, or certain antibiotics (fluoroquinolones) within three months',
    consequence: 'No heavy load on tendons; ask a doctor first.',
    kind: 'ask first',
    closes: ['heavy load'],
    openedBy: DOCTOR,
  },
  implants: {
    name: 'Implant, port, or swelling of the lymph',
    consequence: 'No heavy load on an arm and no hangs; ask a doctor first.',
    kind: 'ask first',
    closes: ['heavy load', 'hanging'],
    openedBy: [...DOCTOR, ...SURGEON],
  },
  hernia: {
    name: 'Hernia',
    consequence: 'No hard efforts, no heavy load; ask a doctor first.',
    kind: 'ask first',
    closes: ['hard effort', 'heavy load'],
    openedBy: [...DOCTOR, ...SURGEON],
  },
  'recent-birth': {
    name: 'Birth within twelve weeks',
    consequence: 'Nothing loaded until a midwife or doctor was asked; leaking or heaviness steps back.',
    kind: 'ask first',
    closes: ['loaded', 'hard effort', 'fall'],
    openedBy: MIDWIFE_OR_DOCTOR,
  },
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
    openedBy: DOCTOR_OR_THERAPIST,
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
  'neck-condition': {
    name: 'Neck condition',
    consequence: 'No inversions; ask a licensed professional first.',
    kind: 'ask first',
    closes: ['head down'],
    openedBy: DOCTOR_OR_THERAPIST,
  },
  'raised-pressure': {
    name: 'Raised blood or eye pressure',
    consequence: 'Nothing head down, no efforts above 5, no holds above 20 s; ask a doctor first.',
    kind: 'ask first',
    closes: ['head down', 'hard effort', 'long hold'],
    openedBy: DOCTOR,
  },
  pregnancy: {
    name: 'Pregnancy',
    consequence: 'No inversions, nothing lying face down; ask a licensed professional first.',
    kind: 'ask first',
    closes: ['head down', 'fall'],
    openedBy: MIDWIFE_OR_DOCTOR,
  },
  'head-injury': {
    name: 'Recent head injury',
    consequence: 'Nothing straining, no check of it and no gate until a doctor’s word says what is permitted.',
    kind: 'lock',
    closes: ['straining'],
    openedBy: DOCTOR,
  },
  'reflux-vertigo': {
    name: 'Reflux or vertigo',
    consequence: 'No inversions; ask a licensed professional first.',
    kind: 'ask first',
    closes: ['head down', 'fall'],
    openedBy: DOCTOR_OR_THERAPIST,
  },
  minor: { name: 'Under 18', consequence: 'Growth plates: no heavy fingertip or wrist loading.', kind: 'stands' },
  'pain-now': {
    name: 'Pain before training',
    consequence: 'Report it as a symptom first, and look for the nearest position without it.',
    kind: 'note',
  },
  'recent-surgery': {
    name: 'Operation within a year',
    consequence: 'Nothing straining, no check of it and no gate until the surgeon’s word says what is permitted.',
    kind: 'lock',
    closes: ['straining'],
    openedBy: SURGEON,
  },
  'arm-numbness': {
    name: 'Numbness, tingling or weakness in an arm',
    consequence: 'Nothing straining, no check of it and no gate until a doctor or physiotherapist was consulted; no nerve glides.',
    kind: 'lock',
    closes: ['straining'],
    openedBy: DOCTOR_OR_THERAPIST,
  },
  'night-pain': {
    name: 'Pain at rest or at night',
    consequence: 'Nothing straining, no check of it and no gate until a doctor or physiotherapist was consulted.',
    kind: 'lock',
    closes: ['straining'],
    openedBy: DOCTOR_OR_THERAPIST,
  },
  'medical-hold': {
    name: 'Medical hold',
    consequence: 'Nothing straining, no check of it and no gate until a doctor’s word says what is permitted.',
    kind: 'lock',
    closes: ['straining'],
    openedBy: DOCTOR,
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
  /** What a licensed professional permits of what it closes. */
  readonly permit?: Permit;
}

/**
 * A caution with its consequence and its cause, in words.
 *
 * @example cautionInWords({ id: 'minor', because: ['born 2012'] }) // 'Under 18: Growth plates: … Because: born 2012.'
 */
export function cautionInWords({ id, because, permit }: CautionInForce): string {
  const { name, consequence } = cautionOf(id);
  return `${name}: ${consequence}${because.length > 0 ? ` Because: ${because.join('; ')}.` : ''}${permit ? ` ${permitInWords(permit)}` : ''}`;
}

/**
 * What a licensed professional permits, in a sentence.
 *
 * @example permitInWords({ loadPerArm: 0.25, effort: 5, … }) // 'Permitted until 3 Feb 2027: up to 25% of body weight on one arm, …'
 */
export function permitInWords({ loadPerArm, effort, overhead, hanging, headDown, until }: Permit): string {
  const places = [overhead && 'overhead', hanging && 'hanging', headDown && 'head down'].filter((p) => p !== false);
  const closed = [!overhead && 'overhead', !hanging && 'hanging', !headDown && 'head down'].filter((p) => p !== false);
  return [
    `Permitted until ${dayOf(until)}: up to ${Math.round(100 * loadPerArm)}% of body weight on one arm, effort up to ${effort}`,
    ...(places.length > 0 ? [`also ${places.join(', ')}`] : []),
    ...(closed.length > 0 ? [`not ${closed.join(', ')}`] : []),
  ]
    .join('; ')
    .concat('.');
}

/** The joints that are being rebuilt under these cautions. */
export function rebuildingJoints(cautions: readonly CautionInForce[]): ReadonlySet<Joint> {
  return new Set(cautions.flatMap(({ id }) => cautionOf(id).rebuilds ?? []));
}

function dayOf(day: CalendarDay): string {
  const noon = `${day}T12:00:00.000Z` as Instant;
  return shortDay(noon, new Date(noon));
}
