import type { Instant } from '../quantities/index.ts';

/** Whom a sign calls for. */
export type EmergencyCall = 'emergency care' | 'doctor today';

/**
 * Signs that end all work. Professional judgement and common practice, from memory, no single published source.
 * `text` is what somebody sees or hears, in plain words.
 */
export const EMERGENCY_SIGNS = {
  'chest-breath': { call: 'emergency care', text: 'Pressure in the chest, fainting, or short of breath at rest' },
  'worst-headache': { call: 'emergency care', text: 'Sudden headache, the worst ever' },
  'face-speech-sight': { call: 'emergency care', text: 'Face, speech, sight or walk changed' },
  'neck-with-signs': { call: 'emergency care', text: 'Sudden severe neck pain with any of these' },
  'both-sides-numb': { call: 'emergency care', text: 'Numb or weak in both arms or legs, numb where one sits, or no hold on the bladder' },
  deformity: { call: 'emergency care', text: 'A limb out of shape, or a joint out of place' },
  'cold-hand': { call: 'emergency care', text: 'A cold or white hand' },
  'tense-forearm': { call: 'emergency care', text: 'Tense forearm, with pain that rises at rest' },
  'swollen-arm': { call: 'emergency care', text: 'An arm that is suddenly swollen and blue' },
  'head-blow': { call: 'emergency care', text: 'Blow to the head with confusion or vomiting' },
  'dark-urine': { call: 'emergency care', text: 'Dark urine after extreme soreness' },
  'hot-joint': { call: 'emergency care', text: 'A hot joint with fever' },
  'pregnancy-signs': { call: 'emergency care', text: 'In pregnancy: bleeding, fluid or contractions' },
  'tendon-pop': { call: 'doctor today', text: 'A “pop” in a tendon, weak since' },
  flashes: { call: 'doctor today', text: 'Flashes in the sight' },
  'fall-on-hand': { call: 'doctor today', text: 'Fall on the hand, pain at the thumb side of the wrist' },
} as const satisfies Readonly<Record<string, { readonly call: EmergencyCall; readonly text: string }>>;

export type EmergencySign = keyof typeof EMERGENCY_SIGNS;
export const EMERGENCY_SIGN_IDS = Object.keys(EMERGENCY_SIGNS) as readonly EmergencySign[];

/** For so long a press by mistake can be taken back, with a reason; it stays on record. */
export const MISTAKE_SECONDS = 60;

/** That the emergency button was pressed for a trainee, and what was seen. */
export interface EmergencyFact {
  readonly at: Instant;
  readonly signs: readonly EmergencySign[];
}

/** Whom an emergency calls for: emergency care, unless every sign of it is one for a doctor today. */
export function callFor({ signs }: Pick<EmergencyFact, 'signs'>): EmergencyCall {
  return signs.length > 0 && signs.every((s) => EMERGENCY_SIGNS[s].call === 'doctor today') ? 'doctor today' : 'emergency care';
}
