export {
  FRAME_PHASES,
  isLoadedSession,
  itemSeconds,
  jointsLoadedBy,
  loadedJoints,
  PLACES,
  plannedHandLoad,
  SESSION_FORM_IDS,
  sessionMinutes,
  STATION_SECONDS,
  WEEKDAYS,
  type Place,
  type PlannedDose,
  type PlannedItem,
  type PlannedSession,
  type SessionForm,
  type Weekday,
} from './plan.ts';
export {
  BRIEF_DEFAULTS,
  BRIEF_LIMITS,
  defaultBrief,
  PAUSE_REASONS,
  type BriefDay,
  type FixedEvent,
  type Goal,
  type Pause,
  type PauseReason,
  type PlanBrief,
} from './brief.ts';
export { proposePlan, type PlanProposal, type ProposeOptions, type SearchProgress, type Solved } from './proposePlan.ts';
export { type BlockInput } from './block/task.ts';
export { type Served } from './block/score.ts';
export { candidatesFor, type LeftOut } from './candidates.ts';
export { exclusion, type Foothold, type Limits } from './exclusion.ts';
export { mainDrill, type PlannedBriefly } from './mainDrill.ts';
export { mayDo, type MayDo, type MayDoFacts, type Reduction } from './mayDo.ts';
export { insteadOf, otherPlaneOf, type Instead } from './insteadOf.ts';
export {
  aloneInWords,
  beyondInWords,
  doseBecauseInWords,
  exclusionInWords,
  exclusionOf,
  INSTEAD_WORDS,
  lightInWords,
  mayInWords,
  missedInWords,
  OTHER_PLANE_WORDS,
  SESSION_FORMS,
} from './words/index.ts';
export { proposeByRules, type RulesInput, type RulesProposal } from './proposeByRules.ts';
export { minutesGiven, reviewPlan, type PlanRules } from './reviewPlan.ts';
export type { PlanFinding } from './planFinding.ts';
export { FOCI, fitsFocus, type Focus } from './focus.ts';
export { drillHistory, pencilledDoses, withDoses, type LoggedDoses, type PencilledDose } from './pencilled.ts';
export { beyondShown, NOTHING_SHOWN, type Shown } from './shown.ts';
export type { DoneAmount } from './shownSets.ts';
export { BUILD_ON_DAYS, plannerFacts, type LastLoaded, type LoggedWork, type PlannerFacts } from './plannerFacts.ts';
export { whatStays } from './whatStays.ts';
export { nextDose, type DrillDone, type NextDose } from './nextDose.ts';
export { shiftMissed, type MissedShift } from './missed.ts';
export { fitTemplate, templateOf, type PlanTemplate, type TemplateFor } from './template.ts';
export { lightBecause } from './block/slots.ts';
export { changesAlong, orderSession } from './sessionOrder.ts';
export { doseToBuildOn, weekStartOf, weeksLater, type WeekDose } from './week.ts';
export { shapeWeek, type WeekShape } from './rhythm.ts';
export { halvedDose, startingDose, usualDose, worksRebuilding } from './usualDose.ts';
export { calendarDaysBetween, dayOfWeek, dayShort, daysLater, isOn, loadedDays, weekdayOf, type When, whenIn, whenOf } from './spacing.ts';
export { rampSets, type RampSet } from './rampSets.ts';
export { type Alone, type NotAlone, practisedAlone } from './alone.ts';
