import type { CautionId } from './cautions.ts';

export const ANSWERS = ['no', 'yes', 'unsure'] as const;
/** `unsure` counts as yes until it is cleared up. */
export type Answer = (typeof ANSWERS)[number];

export const QUESTION_GROUPS = [
  'Heart, blood and breath',
  'Shoulders',
  'Elbows, wrists and hands',
  'Neck, head and eyes',
  'Medicines and treatment',
  'In general',
] as const;

/** One question of the screening before training, in our own words. */
export interface Question {
  readonly group: (typeof QUESTION_GROUPS)[number];
  readonly text: string;
  /** The answer in a few words, for reasons: "a shoulder once slipped out". */
  readonly fact: string;
  readonly sided: boolean;
  readonly causes: readonly CautionId[];
}

/** Professional judgement and common practice, from memory, no single published source. */
export const QUESTIONS = {
  'heart-vessels': {
    group: 'Heart, blood and breath',
    text: 'A disease of the heart, the blood vessels or the kidneys?',
    fact: 'a disease of heart, vessels or kidneys',
    sided: false,
    causes: ['heart-vessels'],
  },
  'exertion-signs': {
    group: 'Heart, blood and breath',
    text: 'Chest pain, fainting or being out of breath on little effort?',
    fact: 'chest pain, fainting or breathlessness on little effort',
    sided: false,
    causes: ['exertion-signs'],
  },
  'blood-clot': {
    group: 'Heart, blood and breath',
    text: 'Ever a blood clot, or an arm that swelled without a reason?',
    fact: 'a clot or an arm that swelled',
    sided: false,
    causes: ['blood-clot'],
  },
  'vessel-wall': {
    group: 'Heart, blood and breath',
    text: 'A disorder of the main artery, or of the connective tissue that runs in the family?',
    fact: 'a disorder of the main artery or of connective tissue',
    sided: false,
    causes: ['vessel-wall'],
  },
  'very-high-pressure': {
    group: 'Heart, blood and breath',
    text: 'Was your blood pressure last read at 180 over 110 or more?',
    fact: 'blood pressure of 180/110 or more',
    sided: false,
    causes: ['very-high-pressure'],
  },
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
    group: 'Neck, head and eyes',
    text: 'Is there a condition or an old injury of the neck?',
    fact: 'a neck condition',
    sided: false,
    causes: ['neck-condition'],
  },
  'head-injury': {
    group: 'Neck, head and eyes',
    text: 'A blow to the head or a concussion in the last three months?',
    fact: 'a recent head injury',
    sided: false,
    causes: ['head-injury'],
  },
  'raised-pressure': {
    group: 'Heart, blood and breath',
    text: 'Raised blood pressure, treated or not?',
    fact: 'raised blood pressure',
    sided: false,
    causes: ['raised-pressure'],
  },
  'eye-pressure': {
    group: 'Neck, head and eyes',
    text: 'Raised eye pressure, or trouble with the retina?',
    fact: 'raised eye pressure or a retina at risk',
    sided: false,
    causes: ['raised-pressure'],
  },
  'reflux-vertigo': {
    group: 'Neck, head and eyes',
    text: 'Reflux, dizziness or vertigo, above all with the head down?',
    fact: 'reflux or vertigo',
    sided: false,
    causes: ['reflux-vertigo'],
  },
  'eye-surgery': {
    group: 'Neck, head and eyes',
    text: 'An operation on an eye, or a disease of the retina that is active now?',
    fact: 'eye surgery or an active disease of the retina',
    sided: false,
    causes: ['eye-surgery'],
  },
  'unsteady-gait': {
    group: 'Neck, head and eyes',
    text: 'Have your hands become clumsy, or your walk unsteady?',
    fact: 'clumsy hands or an unsteady gait',
    sided: false,
    causes: ['unsteady-gait'],
  },
  seizures: {
    group: 'Neck, head and eyes',
    text: 'Seizures, ever?',
    fact: 'seizures',
    sided: false,
    causes: ['seizures'],
  },
  'fresh-fracture': {
    group: 'In general',
    text: 'A broken bone in the last twelve weeks?',
    fact: 'a fracture less than twelve weeks old',
    sided: false,
    causes: ['fresh-fracture'],
  },
  'cancer-weight-loss': {
    group: 'In general',
    text: 'Weight lost without a reason, or cancer under treatment?',
    fact: 'weight lost without reason, or cancer under treatment',
    sided: false,
    causes: ['cancer-weight-loss'],
  },
  hernia: {
    group: 'In general',
    text: 'A hernia of the belly or the groin?',
    fact: 'a hernia',
    sided: false,
    causes: ['hernia'],
  },
  'recent-birth': {
    group: 'In general',
    text: 'A birth in the last twelve weeks?',
    fact: 'a birth within twelve weeks',
    sided: false,
    causes: ['recent-birth'],
  },
  'blood-sugar': {
    group: 'Medicines and treatment',
    text: 'Diabetes treated with insulin, or with a medicine that can lower the sugar too far?',
    fact: 'diabetes treated with insulin or the like',
    sided: false,
    causes: ['blood-sugar'],
  },
  'blood-thinners': {
    group: 'Medicines and treatment',
    text: 'A medicine that thins the blood?',
    fact: 'blood thinners',
    sided: false,
    causes: ['blood-thinners'],
  },
  'brittle-bones': {
    group: 'Medicines and treatment',
    text: 'Thin bones, or steroids as tablets for months?',
    fact: 'thin bones or long treatment with steroids',
    sided: false,
    causes: ['brittle-bones'],
  },
  'tendon-medicine': {
    group: 'Medicines and treatment',
    text: 'A steroid injection in the last two weeks, or a fluoroquinolone antibiotic in the last three months?',
    fact: 'a steroid injection or a fluoroquinolone lately',
    sided: false,
    causes: ['tendon-medicine'],
  },
  implants: {
    group: 'Medicines and treatment',
    text: 'An implant, a port or a pacemaker, or swelling of the lymph in an arm?',
    fact: 'an implant, port or swelling of the lymph',
    sided: false,
    causes: ['implants'],
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
