import type { Instant } from '../quantities/index.ts';

/** Whom a sign calls for. */
export type EmergencyCall = 'emergency care' | 'doctor today';

/** Signs that end all work, and whom each calls for. Professional judgement and common practice, from memory, no single published source. */
export const EMERGENCY_SIGNS = {
  'chest-breath': 'emergency care',
  'worst-headache': 'emergency care',
  'face-speech-sight': 'emergency care',
  'neck-with-signs': 'emergency care',
  'both-sides-numb': 'emergency care',
  deformity: 'emergency care',
  'cold-hand': 'emergency care',
  'tense-forearm': 'emergency care',
  'swollen-arm': 'emergency care',
  'head-blow': 'emergency care',
  'dark-urine': 'emergency care',
  'hot-joint': 'emergency care',
  'pregnancy-signs': 'emergency care',
  'tendon-pop': 'doctor today',
  flashes: 'doctor today',
  'fall-on-hand': 'doctor today',
} as const satisfies Readonly<Record<string, EmergencyCall>>;

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
  return signs.length > 0 && signs.every((s) => EMERGENCY_SIGNS[s] === 'doctor today') ? 'doctor today' : 'emergency care';
}
