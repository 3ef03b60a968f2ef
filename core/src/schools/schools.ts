/** Where the shoulder blade belongs: down and back, swept to both ends, or turning with the arm. */
export const BLADES = ['set', 'sweep', 'follow'] as const;
export type Blade = (typeof BLADES)[number];

/** One side of a question on which practitioners disagree. */
export interface SchoolChoice {
  readonly name: string;
  /** What this side holds. */
  readonly holds: string;
  /** What the other side holds, said fairly. */
  readonly others: string;
}

interface SchoolQuestion {
  readonly question: string;
  /** What in the app follows the answer. */
  readonly governs: string;
  readonly choices: Readonly<Record<string, SchoolChoice>>;
}

/** The questions on which practitioners disagree, and their schools (common practice, no source). */
export const SCHOOLS = {
  blade: {
    question: 'Where does the shoulder blade belong?',
    governs: 'Cues and fault lists.',
    choices: {
      'by drill': {
        name: 'As each drill has it',
        holds:
          'Set for pulling, follow in arm balances, full sweep where nothing is loaded. Above the head under load it turns up with the arm, whatever is chosen here.',
        others: 'Others teach one rule for every position, so that the trainee has one thing to remember.',
      },
      set: {
        name: 'Set',
        holds: 'Down and back, flat on the ribs and not pinched: a firm base for every pull and push.',
        others: 'Others say that a blade held down cannot turn up with the arm, and crowds the shoulder overhead.',
      },
      sweep: {
        name: 'Full sweep',
        holds: 'To both ends, blades touching and then pushed wide: control of the whole range comes first.',
        others: 'Others keep the middle only, and nobody sweeps under load: there each drill’s own rule stands.',
      },
      follow: {
        name: 'Follow',
        holds: 'The blade turns up and forward with the arm, led from the side of the ribs, above all overhead and when pushing.',
        others: 'Others fear that a blade free to move is a blade that wings, and set it first.',
      },
    },
  },
  progress: {
    question: 'What tells that a set is enough?',
    governs: 'The unit of a dose in plans, hand-outs and logs.',
    choices: {
      count: {
        name: 'Count',
        holds: 'Repetitions, seconds and breaths: the top of the dose, twice and clean, earns the next check.',
        others: 'Others find that a number invites bad repetitions, and stop counting.',
      },
      feel: {
        name: 'Feel',
        holds: 'Work that leaves something over: too easy, right, too much or clenched turns the support dial.',
        others: 'Others need a number, since what feels right differs from day to day.',
      },
    },
  },
  rhythm: {
    question: 'How is the week built?',
    governs: 'The days, minutes and loaded days that a proposal uses.',
    choices: {
      'training days': {
        name: 'The chosen training days',
        holds: 'Two of the chosen days are loaded, the others stay light.',
        others: 'Others put a little into every day, or everything into two long sessions.',
      },
      'little daily': {
        name: 'A small dose daily',
        holds: 'Every day at most 20 minutes: what is done daily is learnt, and nothing is ever far away.',
        others: 'Others say that a loaded joint needs two days to answer, and that short sessions never get warm.',
      },
      'stability twice': {
        name: 'Stability twice, mobility daily',
        holds: 'Two loaded days, and ten minutes of mobility at home on every other day.',
        others: 'Others doubt that home practice is done, and count only what the coach sees.',
      },
      'one or two long': {
        name: 'One or two longer sessions',
        holds: 'At most two days, far apart, each loaded and half as long again: time to warm up and to attend to detail.',
        others: 'Others find that a week is too long to remember a movement.',
      },
      'building up': {
        name: 'Start with two, add one a month',
        holds: 'Two days in the first month, one more each month up to five: the habit grows with the tissue.',
        others: 'Others start with the week that is meant to last.',
      },
    },
  },
  stretching: {
    question: 'Is there stretching before load?',
    governs: 'Where long holds stand in a session.',
    choices: {
      'after load': {
        name: 'Active before, long holds after',
        holds: 'Only active work before load; holds of half a minute and more belong to the cool-down.',
        others: 'Others stretch the forearms at any time, and find the first set better for it.',
      },
      'any time': {
        name: 'Short holds allowed before load',
        holds: 'Forearm holds of 30–40 s may stand among the openers, the rest after load.',
        others: 'Others hold that a stretched muscle carries load less surely for a while.',
      },
    },
  },
} as const satisfies Record<string, SchoolQuestion>;

export type SchoolQuestionId = keyof typeof SCHOOLS;
export const SCHOOL_QUESTIONS = Object.keys(SCHOOLS) as readonly SchoolQuestionId[];

/** One choice for each question. */
export type Schools = { readonly [Q in SchoolQuestionId]: keyof (typeof SCHOOLS)[Q]['choices'] };

export const DEFAULT_SCHOOLS: Schools = { blade: 'by drill', progress: 'count', rhythm: 'training days', stretching: 'after load' };

/** Not a choice here, though practitioners differ: said wherever schools are chosen. */
export const TINGLING_NOTE =
  'Tingling in a nerve glide: some expect it, some stop. Here it is always a stop sign; a coach is not a clinician.';

/**
 * The schools of a plan: the studio's, with what the plan sets differently.
 *
 * @example schoolsOf(DEFAULT_SCHOOLS, { progress: 'feel' }).progress // 'feel'
 */
export function schoolsOf(studio: Schools, plan: Partial<Schools> = {}): Schools {
  return { ...studio, ...plan };
}

/** The choice made on a question, with its two sentences. */
export function choiceOf(question: SchoolQuestionId, schools: Schools): SchoolChoice {
  const choices: Readonly<Record<string, SchoolChoice>> = SCHOOLS[question].choices;
  const choice = choices[schools[question]];
  if (!choice) throw new RangeError(`No school "${schools[question]}" on ${question}.`);
  return choice;
}
