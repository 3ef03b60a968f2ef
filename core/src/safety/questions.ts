import type { CautionId } from './cautions.ts';

export const ANSWERS = ['no', 'yes', 'unsure'] as const;
/** `unsure` counts as yes until it is cleared up. */
export type Answer = (typeof ANSWERS)[number];

export const QUESTION_GROUPS = ['Shoulders', 'Elbows, wrists and hands', 'Neck, head and pressure', 'In general'] as const;

/** One question of the screening before training, in our own words. */
export interface Question {
  readonly group: (typeof QUESTION_GROUPS)[number];
  readonly text: string;
  /** The answer in a few words, for reasons: "a shoulder once slipped out". */
  readonly fact: string;
  readonly sided: boolean;
  readonly causes: readonly CautionId[];
}

export const QUESTIONS = {
  'shoulder-dislocated': {
    group: 'Shoulders',
    text: 'Has a shoulder ever slipped out of its socket, wholly or in part?',
    fact: 'a shoulder once slipped out',
    sided: true,
    causes: ['shoulder-dislocated', 'unstable-under-load'],
  },
  'shoulder-injury': {
    group: 'Shoulders',
    text: 'Is a shoulder being rebuilt after an injury?',
    fact: 'a shoulder is being rebuilt',
    sided: true,
    causes: ['shoulder-injury'],
  },
  'night-pain': {
    group: 'Shoulders',
    text: 'Does a shoulder or arm hurt at rest, or wake you at night?',
    fact: 'a shoulder or arm hurts at rest or at night',
    sided: true,
    causes: ['night-pain'],
  },
  'elbow-pain': {
    group: 'Elbows, wrists and hands',
    text: 'Does an elbow hurt when you grip, pull or push?',
    fact: 'an elbow hurts under load',
    sided: true,
    causes: ['elbow-pain'],
  },
  'wrist-injury': {
    group: 'Elbows, wrists and hands',
    text: 'Is a wrist being rebuilt after a fall, a break or a sprain?',
    fact: 'a wrist is being rebuilt',
    sided: true,
    causes: ['wrist-injury'],
  },
  'finger-injury': {
    group: 'Elbows, wrists and hands',
    text: 'Is a finger, thumb or palm being rebuilt after an injury?',
    fact: 'a finger or hand is being rebuilt',
    sided: true,
    causes: ['finger-injury'],
  },
  'arm-numbness': {
    group: 'Elbows, wrists and hands',
    text: 'Does an arm or hand go numb, tingle or feel weak without a known reason?',
    fact: 'an arm goes numb, tingles or feels weak',
    sided: true,
    causes: ['arm-numbness'],
  },
  'neck-condition': {
    group: 'Neck, head and pressure',
    text: 'Is there a condition or an old injury of the neck?',
    fact: 'a neck condition',
    sided: false,
    causes: ['neck-condition'],
  },
  'head-injury': {
    group: 'Neck, head and pressure',
    text: 'A blow to the head or a concussion in the last three months?',
    fact: 'a recent head injury',
    sided: false,
    causes: ['head-injury'],
  },
  'raised-pressure': {
    group: 'Neck, head and pressure',
    text: 'Raised blood pressure, treated or not?',
    fact: 'raised blood pressure',
    sided: false,
    causes: ['raised-pressure'],
  },
  'eye-pressure': {
    group: 'Neck, head and pressure',
    text: 'Raised eye pressure, or trouble with the retina?',
    fact: 'raised eye pressure or a retina at risk',
    sided: false,
    causes: ['raised-pressure'],
  },
  'reflux-vertigo': {
    group: 'Neck, head and pressure',
    text: 'Reflux, dizziness or vertigo, above all with the head down?',
    fact: 'reflux or vertigo',
    sided: false,
    causes: ['reflux-vertigo'],
  },
  pregnancy: { group: 'In general', text: 'Pregnant, or may you be?', fact: 'pregnancy', sided: false, causes: ['pregnancy'] },
  'recent-surgery': {
    group: 'In general',
    text: 'An operation on shoulder, arm, hand, neck or trunk in the last twelve months?',
    fact: 'an operation within a year',
    sided: false,
    causes: ['recent-surgery'],
  },
  'medical-hold': {
    group: 'In general',
    text: 'Has a doctor told you not to strain, or not to exercise unwatched?',
    fact: 'a doctor advised against straining',
    sided: false,
    causes: ['medical-hold'],
  },
  'pain-now': {
    group: 'In general',
    text: 'Does anything from neck to fingertips hurt today, before training?',
    fact: 'something hurts today',
    sided: false,
    causes: ['pain-now'],
  },
  'lax-joints': {
    group: 'In general',
    text: 'Has a professional ever called your joints lax?',
    fact: 'a professional called the joints lax',
    sided: false,
    causes: ['lax-joints'],
  },
} as const satisfies Record<string, Question>;

export type QuestionId = keyof typeof QUESTIONS;
export const QUESTION_IDS = Object.keys(QUESTIONS) as readonly QuestionId[];

export function questionOf(id: QuestionId): Question {
  return QUESTIONS[id];
}
