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
export { BAND_CONFIDENCE, capacityFromTrials, type Capacity, type CapacityOptions, type Trial } from './capacity.ts';
export { changeBetween, minimalDetectableChange, sideDifference, type Change, type SideDifference } from './change.ts';
