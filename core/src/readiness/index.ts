export { overDemand, headroom, type Headroom, type HeadroomState } from './headroom.ts';
export { enoughFor } from './enough.ts';
export { byUrgency, limiterOf } from './limiter.ts';
export { judgeGate, type Gate } from './gate.ts';
export type { GateInput, Practice } from './gateInput.ts';
export type { DemandSide, DemandVerdict, GateFinding, GateRule, MorningProblem } from './findings.ts';
export { EVIDENCE_KINDS, GATE_RULES, guardsSafety, type EvidenceKind, type RuleRow } from './rules.ts';
export { DEFAULT_GATE_SETTINGS, GATE_LIMITS, RULES_VERSION, type GateSetting, type GateSettings } from './settings.ts';
export { likelihoodOf } from './likelihood.ts';
export { FEELINGS, type Feeling, type LoggedSet } from './loggedSet.ts';
export { practisedIn, type Practised, type PractisedItem } from './practised.ts';
export { spaced } from './practiceRule.ts';
export {
  cleanness,
  sessionCleanness,
  type CleanFinding,
  type Cleanness,
  type LoggedItem,
  spoiledBy,
  type LoggedSession,
  type SessionFact,
} from './cleanSession.ts';
export {
  checkKey,
  GRACE_DAYS,
  lapseOf,
  lateAfter,
  standingOn,
  type CheckDates,
  type CheckTimes,
  type ClearanceFact,
  type ClearanceFigure,
  type Lapse,
  type RungStanding,
  type Standing,
} from './standing.ts';
export { rechecksOf, type Recheck } from './rechecks.ts';
export { judgeReadiness, practiceOf, type ReadinessFacts, type Verdict } from './verdict.ts';
export { dueToday, type DueToday, type SpecialToday, type TodayFacts } from './today.ts';
export { tissueTimeOn } from './tissueTime.ts';
