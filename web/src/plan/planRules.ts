import type { ReadinessReply, TraineeReply } from '@myokinet/core/contracts';
import { type PlanFinding, type PlannedSession, type PlanRules, reviewPlan } from '@myokinet/core/planning';
import type { CalendarDay } from '@myokinet/core/quantities';
import { createContext, use } from 'react';

export interface TraineeRules extends PlanRules {
  /** Findings on a week, hand-edited or proposed. */
  readonly review: (
    sessions: readonly { readonly id: string; readonly day: string; readonly items: PlannedSession['items'] }[],
  ) => readonly PlanFinding[];
}

/** What a plan for this trainee must obey. */
export function planRules(trainee: TraineeReply, { ladderId, standing, planner }: ReadinessReply): TraineeRules {
  const rules: PlanRules = {
    sessionMinutes: trainee.sessionMinutes,
    equipment: trainee.equipment,
    cautions: trainee.cautionsInForce,
    foothold: { ladderId, here: standing.here },
    lastWeekDose: planner.lastWeekDose,
  };
  return {
    ...rules,
    review: (sessions) =>
      reviewPlan(
        sessions.map((s) => ({ ...s, day: s.day as CalendarDay })),
        rules,
      ),
  };
}

export const PlanRulesContext = createContext<TraineeRules | undefined>(undefined);

export function usePlanRules(): TraineeRules {
  const rules = use(PlanRulesContext);
  if (!rules) throw new Error('Plan pieces stand inside a PlanRulesContext.');
  return rules;
}
