export { capacityInWords, overDemand, headroom, type Headroom, type HeadroomState } from './headroom.ts';
export { byUrgency, limiterOf } from './limiter.ts';
export { DEFAULT_GATE_RULES, judgeGate, type Gate, type GateInput, type GateLine, type GateLineKind, type GateRules } from './gate.ts';
export {
  FEELINGS,
  cleanness,
  sessionCleanness,
  spacedCleanSessions,
  type Cleanness,
  type Feeling,
  type LoggedItem,
  type LoggedSession,
  type LoggedSet,
  type SessionFact,
} from './cleanSession.ts';
export {
  checkKey,
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
export { judgeReadiness, type ReadinessFacts, type Verdict } from './verdict.ts';
export { dueToday, type DueToday, type TodayFacts } from './today.ts';
