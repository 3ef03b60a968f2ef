export { type Morning, MORNINGS } from './mornings.ts';
export { redFlagsFor } from './redFlags.ts';
export { growsSlowly, isHalved, rebuildingJoints, type CautionCause, type CautionInForce } from './inForce.ts';
export { CAUTION_IDS, cautionOf, type Caution, type CautionId, type CautionKind } from './cautions.ts';
export {
  ANSWERS,
  QUESTION_GROUPS,
  QUESTION_IDS,
  questionOf,
  type Answer,
  type Question,
  type QuestionGroup,
  type QuestionId,
} from './questions.ts';
export { BEIGHTON_TEST_IDS, beightonScore, LAX_FROM, type BeightonTest, type Laxity } from './laxity.ts';
export {
  isLiftable,
  openedBy,
  SCREENING_FRESH_DAYS,
  screeningOutcome,
  surelyAdult,
  type Consultation,
  type LiftedCaution,
  type ScreeningAnswer,
  type ScreenedPerson,
  type Screening,
  type ScreeningLock,
  type ScreeningOutcome,
} from './screening.ts';
export { CLOSABLE, isStraining, MOST_LOAD_PER_ARM, PERMIT_DAYS, permits, type Closable, type Permit, type Strain } from './permit.ts';
export {
  callFor,
  EMERGENCY_SIGN_IDS,
  EMERGENCY_SIGNS,
  MISTAKE_SECONDS,
  type EmergencyCall,
  type EmergencyFact,
  type EmergencySign,
} from './emergency.ts';
export { PROFESSIONAL_ROLES, type ProfessionalRole } from './professionals.ts';
export {
  SYMPTOM_ACTS,
  symptomResponse,
  symptomResponses,
  type HoldReason,
  type ResponseFinding,
  type SymptomAct,
  type SymptomResponse,
} from './symptomResponse.ts';
export {
  AGAIN_DAYS,
  BRIEF_KINDS,
  isSoreMuscle,
  isStopSign,
  judgementOf,
  judgeSymptom,
  QUIET_UP_TO,
  sorenessOf,
  STOP_FROM,
  tryAgain,
  type SymptomContext,
} from './painRule.ts';
export { LASTING_DAYS, LASTING_MOST, usualAt, type LastingPain } from './lastingPain.ts';
export { closingProblem, PAINLESS_HOURS, type ClosingProblem, type HeardWord } from './closing.ts';
export {
  atSamePlace,
  BODY_PLACES,
  RETESTS,
  SYMPTOM_KINDS,
  SYMPTOM_MOMENTS,
  type BodyPlace,
  type Retest,
  type StopCode,
  type Symptom,
  type SymptomJudgement,
  type SymptomKind,
  type SymptomMoment,
} from './symptoms.ts';
export { BEFORE_SESSION, type BeforeQuestion } from './beforeQuestions.ts';
export {
  BEFORE_SESSION_HOURS,
  afterIllness,
  FEVER_CLEAR_HOURS,
  stillCounts,
  withoutSlips,
  type AfterIllness,
  type BeforeSession,
  type Ill,
} from './beforeSession.ts';
export { PRESSURE_FRESH_DAYS, PRESSURE_LIMITS, pressureLevel, type BloodPressure } from './bloodPressure.ts';
export { CONSENT_DAYS, consentStands, GUARDIAN_ROLES, type GuardianConsent, type GuardianRole } from './consent.ts';
export { SLIP_MINUTES } from './slip.ts';
