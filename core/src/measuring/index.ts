export { type Arc, totalArcs } from './arc.ts';
export {
  DEVICE_READINGS,
  measureSides,
  formatReading,
  formatReadingWithBand,
  unreadableMeasure,
  WORKING_POSITIONS,
  type DeviceReading,
  type Measure,
  type MeasureOf,
  type WorkingPosition,
} from './measure.ts';
export { LEAD_SIGNS, type Lead, type LeadSign } from './lead.ts';
export { leadsOf, type LeadFacts, type LeadShown } from './leads.ts';
export { bestOf, goodness } from './goodness.ts';
export { trialProblem, type TrialProblem } from './trialLimits.ts';
export { occasionError, sumOfSquares, type ErrorModel, type TwoErrors } from './errorModel.ts';
export {
  BAND_CONFIDENCE,
  bandOfReading,
  capacityFromTrials,
  independentTrials,
  ERROR_VERSION,
  type Capacity,
  type CapacityOptions,
  type ErrorBasis,
  type ErrorSource,
  type Trial,
} from './capacity.ts';
export {
  ALLOWED_SIDE_SHARE,
  changeBetween,
  minimalDetectableChange,
  realFrom,
  sideDifference,
  type Change,
  type SideDifference,
} from './change.ts';
export { ownErrorFromTest, ownErrorFromTrials, OWN_ERROR_RULES, type OwnError, type TrialScatter } from './ownError.ts';
export {
  EVIDENCE_TABLE,
  EVIDENCE_WAYS,
  evidenceOf,
  PROVISIONAL_KINDS,
  provisionalOf,
  REPORTERS,
  type EvidenceWay,
  type Provisional,
  type ReadingOrigin,
  type Reporter,
} from './evidence.ts';
export { reliabilityInWords, repeatability, type Coefficient, type Repeatability } from './repeatability.ts';
export { strayTrial, type StrayTrial } from './strayTrial.ts';
export { SKIP_REASONS, type Skip, type SkipReason, STOPPING, stopsMovement } from './skips.ts';
export { trialFrom } from './trialFrom.ts';
export { strainOfCheck } from './strain.ts';
