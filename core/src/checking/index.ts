export { batteryAfter, type BatteryEvent, type BatteryStep } from './battery.ts';
export {
  blankCheck,
  cellKey,
  checkFrom,
  readCell,
  readMeasure,
  type Cell,
  type Cells,
  type CheckDraft,
  type SideReading,
  type Skips,
} from './draft.ts';
export {
  HELD_SECONDS,
  substituteBand,
  substituteFigure,
  substituteProblem,
  substitutesFor,
  type Substitute,
  type SubstituteProblem,
} from './substitutes.ts';
export { batteryMinutes, inBatteryOrder, restAfterTrial, toolsOf, widthsFrom } from './batteryTime.ts';
export { firstEmpty, stateOf, stepsOf, whereToGoOn, type TrialStep } from './steps.ts';
export { acknowledged, bothNotes, isEmpty, merged, patchOf, unsent } from './sync.ts';
