export { inspect, validated } from './validate.ts';
export { LIMITS } from './limits.ts';
export { TraineeDto } from './trainee.ts';
export { CheckDto, TrialCorrectionDto, TrialDto } from './check.ts';
export { LeftOutDto, PlanDto, PlannedItemDto, PlannedSessionDto } from './plan.ts';
export { FaultSeenDto, SessionDto, SessionItemDto, SetDto, StopSignClosureDto, SymptomDto } from './session.ts';
export { ClearanceDto, WithdrawalDto } from './clearance.ts';
export type {
  CaseloadRow,
  CheckReply,
  ClearanceReply,
  PlannerFacts,
  PlanReply,
  ProblemReply,
  ReadinessReply,
  RecordReply,
  SessionReply,
  StopSignReply,
  TodayItem,
  TraineeReply,
  TrialReply,
} from './replies.ts';
