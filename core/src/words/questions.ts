import {
  type BeightonTest,
  LAX_FROM,
  type Laxity,
  type QuestionGroup,
  type QuestionId,
  type ScreeningAnswer,
  questionOf,
} from '../safety/index.ts';

export const GROUP_WORDS: Readonly<Record<QuestionGroup, string>> = {
  heart: 'Heart, blood and breath',
  shoulders: 'Shoulders',
  arms: 'Elbows, wrists and hands',
  head: 'Neck, head and eyes',
  treatment: 'Medicines and treatment',
  general: 'In general',
};

/** How a question of the screening is asked, and its yes in a few words, for reasons: "a shoulder once slipped out". */
export const QUESTION_WORDS: Readonly<Record<QuestionId, { readonly text: string; readonly fact: string }>> = {
  'heart-vessels': { text: 'A disease of the heart, the blood vessels or the kidneys?', fact: 'a disease of heart, vessels or kidneys' },
  'exertion-signs': {
    text: 'Chest pain, fainting or being out of breath on little effort?',
    fact: 'chest pain, fainting or breathlessness on little effort',
  },
  'blood-clot': { text: 'Ever a blood clot, or an arm that swelled without a reason?', fact: 'a clot or an arm that swelled' },
  'vessel-wall': {
    text: 'A disorder of the main artery, or of the connective tissue that runs in the family?',
    fact: 'a disorder of the main artery or of connective tissue',
  },
  'very-high-pressure': { text: 'Was your blood pressure last read at 180 over 110 or more?', fact: 'blood pressure of 180/110 or more' },
  'shoulder-dislocated': { text: 'Has a shoulder ever slipped out of its socket, wholly or in part?', fact: 'a shoulder once slipped out' },
  'shoulder-injury': { text: 'Is a shoulder being rebuilt after an injury?', fact: 'a shoulder is being rebuilt' },
  'night-pain': { text: 'Does a shoulder or arm hurt at rest, or wake you at night?', fact: 'a shoulder or arm hurts at rest or at night' },
  'elbow-pain': { text: 'Does an elbow hurt when you grip, pull or push?', fact: 'an elbow hurts under load' },
  'wrist-injury': { text: 'Is a wrist being rebuilt after a fall, a break or a sprain?', fact: 'a wrist is being rebuilt' },
  'finger-injury': { text: 'Is a finger, thumb or palm being rebuilt after an injury?', fact: 'a finger or hand is being rebuilt' },
  'arm-numbness': {
    text: 'Does an arm or hand go numb, tingle or feel weak without a known reason?',
    fact: 'an arm goes numb, tingles or feels weak',
  },
  'neck-condition': { text: 'Is there a condition or an old injury of the neck?', fact: 'a neck condition' },
  'head-injury': { text: 'A blow to the head or a concussion in the last three months?', fact: 'a recent head injury' },
  'raised-pressure': { text: 'Raised blood pressure, treated or not?', fact: 'raised blood pressure' },
  'eye-pressure': { text: 'Raised eye pressure, or trouble with the retina?', fact: 'raised eye pressure or a retina at risk' },
  'reflux-vertigo': { text: 'Dizziness or vertigo, above all with the head down?', fact: 'dizziness or vertigo' },
  reflux: { text: 'Reflux, with the head down or after a meal?', fact: 'reflux' },
  'eye-surgery': {
    text: 'An operation on an eye, or a disease of the retina that is active now?',
    fact: 'eye surgery or an active disease of the retina',
  },
  'unsteady-gait': { text: 'Have your hands become clumsy, or your walk unsteady?', fact: 'clumsy hands or an unsteady gait' },
  seizures: { text: 'Seizures, ever?', fact: 'seizures' },
  'fresh-fracture': { text: 'A broken bone in the last twelve weeks?', fact: 'a fracture less than twelve weeks old' },
  'cancer-weight-loss': {
    text: 'Weight lost without a reason, or cancer under treatment?',
    fact: 'weight lost without reason, or cancer under treatment',
  },
  hernia: { text: 'A hernia of the belly or the groin?', fact: 'a hernia' },
  'recent-birth': { text: 'A birth in the last twelve weeks?', fact: 'a birth within twelve weeks' },
  'blood-sugar': {
    text: 'Diabetes treated with insulin, or with a medicine that can lower the sugar too far?',
    fact: 'diabetes treated with insulin or the like',
  },
  'blood-thinners': { text: 'A medicine that thins the blood?', fact: 'blood thinners' },
  'brittle-bones': { text: 'Thin bones, or steroids as tablets for months?', fact: 'thin bones or long treatment with steroids' },
  'tendon-medicine': {
    text: 'A steroid injection in the last two weeks, or a fluoroquinolone antibiotic in the last three months?',
    fact: 'a steroid injection or a fluoroquinolone lately',
  },
  implants: {
    text: 'An implant, a port or a pacemaker, or swelling of the lymph in an arm?',
    fact: 'an implant, port or swelling of the lymph',
  },
  pregnancy: { text: 'Pregnant, or may you be?', fact: 'pregnancy' },
  'recent-surgery': {
    text: 'An operation on shoulder, arm, hand, neck or trunk in the last twelve months?',
    fact: 'an operation within a year',
  },
  'medical-hold': {
    text: 'Has a doctor told you not to strain, or not to exercise unwatched?',
    fact: 'a doctor advised against straining',
  },
  'pain-now': { text: 'Does anything from neck to fingertips hurt today, before training?', fact: 'something hurts today' },
  'lax-joints': { text: 'Has a professional ever called your joints lax?', fact: 'a professional called the joints lax' },
};

/** The nine tests of the Beighton score. */
export const BEIGHTON_WORDS: Readonly<Record<BeightonTest, string>> = {
  'little-finger-left': 'Left little finger bends back past 90°',
  'little-finger-right': 'Right little finger bends back past 90°',
  'thumb-left': 'Left thumb reaches the forearm',
  'thumb-right': 'Right thumb reaches the forearm',
  'elbow-left': 'Left elbow over-extends by more than 10°',
  'elbow-right': 'Right elbow over-extends by more than 10°',
  'knee-left': 'Left knee over-extends by more than 10°',
  'knee-right': 'Right knee over-extends by more than 10°',
  'palms-to-floor': 'Palms rest flat on the floor, knees straight',
};

/**
 * An answer as a reason: the fact, the side, and whether it is certain.
 *
 * @example answerInWords({ questionId: 'wrist-injury', answer: 'yes', side: 'right' }) // 'a wrist is being rebuilt, right'
 */
export function answerInWords({ questionId, answer, side }: ScreeningAnswer): string {
  const where = side === 'whole' ? (questionOf(questionId).sided ? ', both sides' : '') : `, ${side}`;
  return `${QUESTION_WORDS[questionId].fact}${where}${answer === 'unsure' ? ' (unsure, counted as yes)' : ''}`;
}

/** `2 of 9 points; 5 or more count as lax.` */
export function laxityInWords({ points }: Laxity): string {
  return `${points} of 9 points; ${LAX_FROM} or more count as lax.`;
}
