import type { ReadinessReply, TraineeReply } from '@myokinet/core/contracts';
import { doseToBuildOn, type PlanFinding, type PlannedSession, type PlanRules, reviewPlan, type WeekDose } from '@myokinet/core/planning';
import type { Library } from '@myokinet/core/library';
import type { CalendarDay } from '@myokinet/core/quantities';
import type { Schools } from '@myokinet/core/schools';
import { createContext, use } from 'react';

type ReviewedSession = Omit<PlannedSession, 'day'> & { readonly day: string };

export interface TraineeRules extends PlanRules {
  /** The week whose hand load this one is held against. */
  readonly buildOn: WeekDose | undefined;
  /** Findings on a week, hand-edited or proposed. */
  readonly review: (sessions: readonly ReviewedSession[]) => readonly PlanFinding[];
}

interface RulesMoment {
  readonly weekStart: CalendarDay;
  readonly now: Date;
  readonly library: Library;
  readonly schools: Schools;
}

/** What a week's plan for this trainee must obey. */
export function planRules(
  trainee: TraineeReply,
  { ladderId, standing, planner }: ReadinessReply,
  { weekStart, now, library, schools }: RulesMoment,
): TraineeRules {
  const buildOn = doseToBuildOn(planner.weekDoses, weekStart, now);
  const rules: PlanRules = {
    library,
    schools,
    trainingDays: trainee.trainingDays,
    weeksIn: planner.weeksIn,
    sessionMinutes: trainee.sessionMinutes,
    equipment: trainee.equipment,
    cautions: trainee.screen.cautions,
    foothold: { ladderId, here: standing.here },
    lastWeekDose: buildOn?.dose ?? 0,
  };
  return {
    ...rules,
    buildOn,
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
