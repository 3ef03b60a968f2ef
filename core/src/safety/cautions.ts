import type { Closable } from './permit.ts';
import type { ProfessionalRole } from './professionals.ts';
import type { Joint } from '../anatomy/index.ts';

/**
 * What a caution does.
 * - `stands`: what it excludes stays excluded as long as the answer stands
 * - `ask first`: what it excludes waits until a licensed professional was consulted
 * - `lock`: every gate stays closed, and everything straining, until a licensed professional was consulted
 * - `note`: nothing is excluded; the coach is told
 */
export type CautionKind = 'stands' | 'ask first' | 'lock' | 'note';

/** What a past injury or condition means for training; how it reads is said in `words`. */
export interface Caution {
  readonly kind: CautionKind;
  /** What it closes by how it strains, whatever the drill says of itself. */
  readonly closes?: readonly Closable[];
  /** Who may open it, by role; nobody where none is named. */
  readonly openedBy?: readonly ProfessionalRole[];
  /** Joints that are being rebuilt: their drills go on at reduced doses. */
  readonly rebuilds?: readonly Joint[];
  /** Every dose is halved while it stands. */
  readonly halves?: true;
  /** A proposal gives stability of the shoulder the first claim on the minutes. */
  readonly stabilityFirst?: true;
}

const DOCTOR = ['general practitioner', 'specialist doctor'] as const;
const DOCTOR_OR_THERAPIST = [...DOCTOR, 'physiotherapist'] as const;
const SURGEON = ['surgeon'] as const;
const DOCTOR_OR_SURGEON = [...DOCTOR, ...SURGEON] as const;
const MIDWIFE_OR_DOCTOR = [...DOCTOR, 'midwife or obstetrician'] as const;

const LOCK = { kind: 'lock', closes: ['straining'] } as const;

/** Professional judgement and common practice, from memory, no single published source. */
export const CAUTIONS = {
  unscreened: { ...LOCK },
  emergency: { ...LOCK, openedBy: DOCTOR },
  'doctor-today': { ...LOCK, openedBy: DOCTOR },
  'heart-vessels': { ...LOCK, openedBy: DOCTOR },
  'exertion-signs': { ...LOCK, openedBy: DOCTOR },
  'blood-clot': { ...LOCK, openedBy: DOCTOR },
  'vessel-wall': { ...LOCK, openedBy: DOCTOR },
  'cancer-weight-loss': { ...LOCK, openedBy: DOCTOR },
  'fresh-fracture': { ...LOCK, openedBy: DOCTOR },
  'eye-surgery': { ...LOCK, openedBy: DOCTOR },
  'unsteady-gait': { ...LOCK, openedBy: DOCTOR },
  'very-high-pressure': { ...LOCK, openedBy: DOCTOR },
  seizures: { kind: 'ask first', closes: ['head down', 'hanging', 'fall'], openedBy: DOCTOR },
  'blood-sugar': { kind: 'ask first', closes: ['hard effort', 'long hold'], openedBy: DOCTOR },
  'blood-thinners': { kind: 'ask first', closes: ['fall', 'head down'], openedBy: DOCTOR },
  'brittle-bones': { kind: 'ask first', closes: ['fall', 'head down', 'heavy load'], openedBy: DOCTOR },
  'tendon-medicine': { kind: 'ask first', closes: ['heavy load'], openedBy: DOCTOR },
  implants: { kind: 'ask first', closes: ['heavy load', 'hanging'], openedBy: DOCTOR_OR_SURGEON },
  hernia: { kind: 'ask first', closes: ['hard effort', 'heavy load'], openedBy: DOCTOR_OR_SURGEON },
  'recent-birth': { kind: 'ask first', closes: ['loaded', 'hard effort', 'fall'], openedBy: MIDWIFE_OR_DOCTOR },
  'shoulder-dislocated': { kind: 'stands', stabilityFirst: true },
  'unstable-under-load': { kind: 'ask first', closes: ['free hang', 'one-hand hang', 'kick-up'], openedBy: DOCTOR_OR_THERAPIST },
  'lax-joints': { kind: 'stands', closes: ['one-hand hang'], stabilityFirst: true },
  'shoulder-injury': { kind: 'stands', closes: ['over a quarter'], rebuilds: ['shoulder', 'scapula'] },
  'wrist-injury': { kind: 'stands', closes: ['heavy hang', 'one-hand hang'], rebuilds: ['wrist', 'forearm'] },
  'finger-injury': { kind: 'stands', closes: ['heavy hang', 'one-hand hang'], rebuilds: ['grip'] },
  'elbow-pain': { kind: 'stands', closes: ['one arm'], rebuilds: ['elbow', 'forearm'] },
  'neck-condition': { kind: 'ask first', closes: ['head down'], openedBy: DOCTOR_OR_THERAPIST },
  'raised-pressure': { kind: 'ask first', closes: ['head down', 'hard effort', 'long hold'], openedBy: DOCTOR },
  pregnancy: { kind: 'ask first', closes: ['head down', 'fall', 'free hang'], openedBy: MIDWIFE_OR_DOCTOR },
  'head-injury': { ...LOCK, openedBy: DOCTOR },
  'reflux-vertigo': { kind: 'ask first', closes: ['head down', 'fall', 'free hang', 'kick-up'], openedBy: DOCTOR_OR_THERAPIST },
  reflux: { kind: 'note' },
  minor: { kind: 'stands', closes: ['one-hand hang'] },
  'from-60': { kind: 'ask first', closes: ['kick-up'], openedBy: DOCTOR_OR_THERAPIST },
  'no-consent': { ...LOCK },
  fever: { kind: 'lock', closes: ['anything'] },
  'after-fever': { kind: 'stands', closes: ['hard effort'], halves: true },
  'changed-since': { ...LOCK },
  unfed: { kind: 'stands', closes: ['hard effort'] },
  'controlled-pressure': { kind: 'ask first', closes: ['head down'], openedBy: DOCTOR },
  'pain-now': { kind: 'note' },
  'recent-surgery': { ...LOCK, openedBy: SURGEON },
  'arm-numbness': { ...LOCK, openedBy: DOCTOR_OR_THERAPIST },
  'night-pain': { ...LOCK, openedBy: DOCTOR_OR_THERAPIST },
  'medical-hold': { ...LOCK, openedBy: DOCTOR },
} as const satisfies Record<string, Caution>;

export type CautionId = keyof typeof CAUTIONS;

export const CAUTION_IDS = Object.keys(CAUTIONS) as readonly CautionId[];

/** A caution by its id. */
export function cautionOf(id: CautionId): Caution {
  return CAUTIONS[id];
}
