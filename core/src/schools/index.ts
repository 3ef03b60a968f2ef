export {
  BLADES,
  choiceOf,
  DEFAULT_SCHOOLS,
  SCHOOL_QUESTIONS,
  SCHOOLS,
  schoolsOf,
  TINGLING_NOTE,
  type Blade,
  type SchoolChoice,
  type SchoolQuestionId,
  type Schools,
} from './schools.ts';
