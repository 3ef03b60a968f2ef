export { DrillPicker } from './DrillPicker.tsx';
export { planEndpoints, useBriefQuery, usePlanQuery, usePlansQuery } from './endpoints.ts';
export { planFor, type PlannedFor } from './planForLater.ts';
export { planRules, PlanRulesContext, type TraineeRules } from './planRules.ts';
export { proposalsReducer } from './proposals.ts';
export { WeekPlan } from './WeekPlan.tsx';
