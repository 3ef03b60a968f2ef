import type { PlanBriefReply, ReadinessReply, TraineeReply } from '@myokinet/core/contracts';
import type { Library } from '@myokinet/core/library';
import {
  type BlockInput,
  calendarDaysBetween,
  doseToBuildOn,
  type PlanFinding,
  type PlannedSession,
  type PlanRules,
  reviewPlan,
  weekStartOf,
  whatStays,
} from '@myokinet/core/planning';
import { type CalendarDay, calendarDay } from '@myokinet/core/quantities';
import type { Schools } from '@myokinet/core/schools';
import { createContext, use } from 'react';
import type { SessionDraft } from './planDraft.ts';

export interface TraineeRules extends PlanRules {
  /** Findings on weeks, hand-edited or proposed. */
  readonly review: (sessions: readonly SessionDraft[]) => readonly PlanFinding[];
}

interface RulesMoment {
  readonly weekStart: CalendarDay;
  readonly now: Date;
  readonly library: Library;
  readonly schools: Schools;
  readonly brief: PlanBriefReply;
}

/** Planned sessions as the core knows them: the same, with the day as a day. */
export function asPlanned(sessions: readonly SessionDraft[]): readonly PlannedSession[] {
  return sessions.map((s) => ({ ...s, day: s.day as CalendarDay }));
}

/** What the weeks of this trainee must obey, from one Monday on. */
export function planRules(
  trainee: TraineeReply,
  { ladderId, standing, planner }: ReadinessReply,
  { weekStart, now, library, schools, brief }: RulesMoment,
): TraineeRules {
  const rules: PlanRules = {
    library,
    schools,
    brief,
    weekStart,
    weeksIn: Math.max(0, planner.weeksIn + Math.floor(calendarDaysBetween(weekStartOf(now), weekStart) / 7)),
    cautions: trainee.screening.cautions,
    foothold: { ladderId, here: standing.here, shown: planner.shown },
    buildOn: doseToBuildOn(planner.weekDoses, weekStart, now),
    knownDrills: planner.knownDrills,
    lastLoaded: planner.lastLoaded,
  };
  return { ...rules, review: (sessions) => reviewPlan(asPlanned(sessions), rules) };
}

/** What the planner is asked, but for the library, which the worker opens itself. */
export function planInput(
  { library: _, review: _review, ...rules }: TraineeRules,
  { headrooms, planner, stopSigns, settings }: ReadinessReply,
  sessions: readonly SessionDraft[],
  { now, done }: { readonly now: Date; readonly done: ReadonlySet<string> },
): Omit<BlockInput, 'library'> {
  const today = calendarDay(now);
  return {
    ...rules,
    headrooms,
    sidePercent: settings.sideDifferencePercent,
    notBefore: today,
    knownDrills: planner.knownDrills,
    didWell: planner.didWell,
    lastManner: planner.lastManner,
    leads: planner.leads,
    lastLoaded: planner.lastLoaded,
    stopped: stopSigns.find((s) => !s.closure)?.reason,
    ...whatStays(asPlanned(sessions), { today, done }),
  };
}

export const PlanRulesContext = createContext<TraineeRules | undefined>(undefined);

export function usePlanRules(): TraineeRules {
  const rules = use(PlanRulesContext);
  if (!rules) throw new Error('Plan pieces stand inside a PlanRulesContext.');
  return rules;
}
