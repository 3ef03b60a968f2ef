export {
  measureSides,
  readingInWords,
  readingWithBand,
  WORKING_POSITIONS,
  type ErrorModel,
  type Measure,
  type WorkingPosition,
} from './measure.ts';
export { isMeasure, MEASURES, measureOf } from './measures.ts';
export { trialProblem } from './trialLimits.ts';
export {
  BAND_CONFIDENCE,
  bandOfReading,
  capacityFromTrials,
  sumOfSquares,
  type Capacity,
  type CapacityOptions,
  type Trial,
} from './capacity.ts';
export { changeBetween, minimalDetectableChange, realFrom, sideDifference, type Change, type SideDifference } from './change.ts';
export { ownErrorFromTest, ownErrorFromTrials, OWN_ERROR_RULES, type OwnError, type TrialScatter } from './ownError.ts';
export { PROVISIONAL, provisionalOf, type Provisional, type ReadingOrigin } from './provisional.ts';
export { reliabilityInWords, repeatability, type Coefficient, type Repeatability } from './repeatability.ts';
export { strayTrial, type StrayTrial } from './strayTrial.ts';
export { SKIP_REASONS, type Skip, type SkipReason } from './skips.ts';
export { trialFrom } from './trialFrom.ts';
