export {
  DRILL_SKIP_REASONS,
  FLOOR_EVENT_FIELDS,
  FLOOR_EVENT_OPTIONS,
  type FloorEventKind,
  type FloorFieldRule,
  inOrder,
  type DrillSkipReason,
  type FloorDeed,
  type FloorEvent,
  type FloorHead,
  type FloorItem,
  type SetPlace,
} from './events.ts';
export { runOf, samePlace, timesSeen, type DoneSet, type FaultOnFloor, type ItemState, type RunState } from './run.ts';
export { closedBecause, openSteps, stepsOf, transitionTo, whoseTurn, type Holds, type Step, type Transition } from './steps.ts';
export { paceAt, paceOf, formWentAt, tonesOf, type Pace, type PaceMoment, type PacePart, type Tone } from './pacer.ts';
export { dueToSay, spokenIn, type Spoken } from './spoken.ts';
export { loggedItems, type LoggedFloorItem } from './logged.ts';
export { testedIn, type Tested } from './tested.ts';
export { inPlaceOf } from './inPlace.ts';
export { TURN, turnSupport, type Turned } from './turn.ts';
export { amountByFeel } from './feel.ts';
export { doneSoFar, isUnderWay, stageAfter, stageFor, type StageEffect, type StageEvent, type StageStep } from './stage.ts';
export type { LoggedSet, SeenFault, StagePhase, StageSet, StageState } from './stageState.ts';
export { minutesTaken, pencils, verdictOn, type Pencil } from './afterwards.ts';
export { closingDeed, deedsBeforeClosing, endingAfter, endingFor, endOf, type Ending, type EndingEvent, type EndOfRun } from './ending.ts';
