export { CAUTION_IDS, CAUTIONS, cautionsInForce, CHOSEN_CAUTION_IDS, type Caution, type CautionId } from './cautions.ts';
export {
  BODY_PLACES,
  QUIET_UP_TO,
  STOP_FROM,
  stopSign,
  SYMPTOM_KINDS,
  SYMPTOM_MOMENTS,
  symptomInWords,
  type BodyPlace,
  type Symptom,
  type SymptomKind,
  type SymptomMoment,
} from './symptoms.ts';
