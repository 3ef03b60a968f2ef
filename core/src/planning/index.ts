export { isLoadedSession, plannedHandLoad, sessionMinutes, WEEKDAYS, type PlannedItem, type PlannedSession, type Weekday } from './plan.ts';
export { candidatesFor, exclusionOf, type Foothold, type LeftOut, type Limits } from './candidates.ts';
export { proposePlan, type PlanInput, type PlanProposal } from './proposePlan.ts';
export { reviewPlan, type PlanFinding, type PlanRules } from './reviewPlan.ts';
export { changesAlong, orderSession } from './sessionOrder.ts';
export { doseToBuildOn, weekStartOf, weeksLater, type WeekDose } from './week.ts';
export { shapeWeek, type WeekShape } from './rhythm.ts';
export { usualDose, worksRebuilding } from './usualDose.ts';
export { calendarDaysBetween, dayOfWeek, loadedDays } from './spacing.ts';
