export { linkage, type Build, type Landmark, type Pose, type Surface } from './linkage.ts';
export { type Point } from './plane.ts';
export { POSES, type PoseName } from './poses.ts';
export { bodyModel, BODY_LIMITS, GRAVITY, segmentLengths, type Body, type BodyMeasures, type BodyOverrides } from './bodyModel.ts';
export { ASSUMPTIONS, ASSUMPTION_NAMES, usualBelief, type AssumptionName, type Belief } from './assumptions.ts';
export { dialInWords, type Dial, type Choice } from './position.ts';
export type { StaticPosition } from './positions/index.ts';
export {
  choiceOf,
  dialOf,
  isStaticPosition,
  modelOf,
  setUpInWords,
  setUpProblem,
  STATIC_POSITIONS,
  stretchesOf,
  type AnyModel,
  type SetUp,
} from './setUp.ts';
export {
  armMoments,
  asKilograms,
  assumptionInWords,
  FIGURE_NAMES,
  handLoad,
  type Figures,
  type HandLoadReading,
  type KnownBody,
  type Span,
} from './handLoad.ts';
export { nearestSetUp, notchesOf, solveSetUp, withNotch, type Notch, type Solved, type Wanted } from './solveSetUp.ts';
export {
  plannedLoad,
  plannedLoads,
  plannedStance,
  stepsBetween,
  STEP_SHARE,
  supportOn,
  type SupportOn,
  type SupportPlan,
  isFlatHanded,
  type PlannedLoads,
} from './supportPlan.ts';
export {
  calibrate,
  canCalibrate,
  readingProblem,
  scalePlaces,
  type Calibration,
  type JudgedReading,
  type ScaleReading,
} from './calibrate.ts';
export { bandForce, fitBand, type Assistance, type BandCurve, type BandFit, type BandReading } from './bands.ts';
export { bandsFor, pullUpAssistance, type BandPick } from './assistance.ts';
export { traineeBody, type RecordedBody } from './traineeBody.ts';
export { holdFrom, swing, swingGrip, type GripDemand, type SwingReading } from './swing.ts';
export type { Contact, ContactName, Joints, Scenery, Stance, Support } from './stance.ts';
export { PUBLISHED_HAND_LOADS, publishedFor, type PublishedLoad } from './publishedLoads.ts';
export { loadCurve, type CurvePoint, type LoadCurve } from './loadCurve.ts';
