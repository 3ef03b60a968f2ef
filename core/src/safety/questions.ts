import type { CautionId } from './cautions.ts';

export const ANSWERS = ['no', 'yes', 'unsure'] as const;
/** `unsure` counts as yes until it is cleared up. */
export type Answer = (typeof ANSWERS)[number];

export const QUESTION_GROUPS = ['heart', 'shoulders', 'arms', 'head', 'treatment', 'general'] as const;
export type QuestionGroup = (typeof QUESTION_GROUPS)[number];

/** One question of the screening before training; how it is asked is said in `words`. */
export interface Question {
  readonly group: QuestionGroup;
  readonly sided: boolean;
  readonly causes: readonly CautionId[];
}

/** Professional judgement and common practice, from memory, no single published source. */
export const QUESTIONS = {
  'heart-vessels': { group: 'heart', sided: false, causes: ['heart-vessels'] },
  'exertion-signs': { group: 'heart', sided: false, causes: ['exertion-signs'] },
  'blood-clot': { group: 'heart', sided: false, causes: ['blood-clot'] },
  'vessel-wall': { group: 'heart', sided: false, causes: ['vessel-wall'] },
  'very-high-pressure': { group: 'heart', sided: false, causes: ['very-high-pressure'] },
  'shoulder-dislocated': { group: 'shoulders', sided: true, causes: ['shoulder-dislocated', 'unstable-under-load'] },
  'shoulder-injury': { group: 'shoulders', sided: true, causes: ['shoulder-injury'] },
  'night-pain': { group: 'shoulders', sided: true, causes: ['night-pain'] },
  'elbow-pain': { group: 'arms', sided: true, causes: ['elbow-pain'] },
  'wrist-injury': { group: 'arms', sided: true, causes: ['wrist-injury'] },
  'finger-injury': { group: 'arms', sided: true, causes: ['finger-injury'] },
  'arm-numbness': { group: 'arms', sided: true, causes: ['arm-numbness'] },
  'neck-condition': { group: 'head', sided: false, causes: ['neck-condition'] },
  'head-injury': { group: 'head', sided: false, causes: ['head-injury'] },
  'raised-pressure': { group: 'heart', sided: false, causes: ['raised-pressure'] },
  'eye-pressure': { group: 'head', sided: false, causes: ['raised-pressure'] },
  'reflux-vertigo': { group: 'head', sided: false, causes: ['reflux-vertigo'] },
  reflux: { group: 'head', sided: false, causes: ['reflux'] },
  'eye-surgery': { group: 'head', sided: false, causes: ['eye-surgery'] },
  'unsteady-gait': { group: 'head', sided: false, causes: ['unsteady-gait'] },
  seizures: { group: 'head', sided: false, causes: ['seizures'] },
  'fresh-fracture': { group: 'general', sided: false, causes: ['fresh-fracture'] },
  'cancer-weight-loss': { group: 'general', sided: false, causes: ['cancer-weight-loss'] },
  hernia: { group: 'general', sided: false, causes: ['hernia'] },
  'recent-birth': { group: 'general', sided: false, causes: ['recent-birth'] },
  'blood-sugar': { group: 'treatment', sided: false, causes: ['blood-sugar'] },
  'blood-thinners': { group: 'treatment', sided: false, causes: ['blood-thinners'] },
  'brittle-bones': { group: 'treatment', sided: false, causes: ['brittle-bones'] },
  'tendon-medicine': { group: 'treatment', sided: false, causes: ['tendon-medicine'] },
  implants: { group: 'treatment', sided: false, causes: ['implants'] },
  pregnancy: { group: 'general', sided: false, causes: ['pregnancy'] },
  'recent-surgery': { group: 'general', sided: false, causes: ['recent-surgery'] },
  'medical-hold': { group: 'general', sided: false, causes: ['medical-hold'] },
  'pain-now': { group: 'general', sided: false, causes: ['pain-now'] },
  'lax-joints': { group: 'general', sided: false, causes: ['lax-joints'] },
} as const satisfies Record<string, Question>;

export type QuestionId = keyof typeof QUESTIONS;
export const QUESTION_IDS = Object.keys(QUESTIONS) as readonly QuestionId[];

export function questionOf(id: QuestionId): Question {
  return QUESTIONS[id];
}
