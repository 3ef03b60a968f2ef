export { capacityInWords, headroomInWords } from './headroom.ts';
export { demandInWords, rungDemandInWords } from './demands.ts';
export { chanceInWords, say, type GateWords } from './gate.ts';
export { evidenceRows, RULE_WORDS, SETTING_WORDS, EVIDENCE_WORDS, type RuleWords } from './rules.ts';
export { errorBasisInWords, ownErrorInWords, PROVISIONAL_WORDS, strayInWords, trialProblemInWords } from './measuring.ts';
export { responseInWords } from './response.ts';
export { cleannessInWords, FEELING_WORDS } from './cleanness.ts';
export { lockInWords } from './screening.ts';
export { dueInWords, lapseInWords } from './today.ts';
export { BEFORE_SESSION_WORDS, CAUTION_WORDS, causeInWords, cautionInWords, liftedInWords, permitInWords, SIGN_WORDS } from './cautions.ts';
export { answerInWords, BEIGHTON_WORDS, GROUP_WORDS, laxityInWords, QUESTION_WORDS } from './questions.ts';
export { closingProblemInWords, KIND_WORDS, placeInWords, stopSignInWords, symptomInWords } from './symptoms.ts';
export { CLIMBS_WORDS, ladderFindingInWords } from './ladders.ts';
export { doseBeyondInWords, doseShortInWords } from './doses.ts';
export { CLIP_CURVE_WORDS, clipCurveInWords, clipTrustInWords } from './clips.ts';
export { fellOffInWords, QUANTITY_WORDS, traceFigureInWords, unsteadyInWords } from './instruments.ts';
export { drillSymptomsInWords, stallInWords } from './trends.ts';
export { joined } from './joined.ts';
export { OUTCOME_WORDS, reliabilityInWords, suggestionInWords, tellingInWords } from './outcomes.ts';
export {
  calibrationInWords,
  decidingInWords,
  fanInWords,
  forecastBriefly,
  forecastInWords,
  goalInWords,
  narrowingInWords,
  shiftInWords,
} from './forecast.ts';
