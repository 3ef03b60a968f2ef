import { drillOf, type Equipment, PHASES } from '../drills/index.ts';
import type { CautionId } from '../safety/index.ts';
import { exclusionOf, type Foothold } from './candidates.ts';
import { isLoadedSession, plannedHandLoad, type PlannedSession, sessionMinutes } from './plan.ts';
import { calendarDaysBetween, LOADED_DAYS_APART, LOADED_DAYS_PER_WEEK } from './spacing.ts';

export interface PlanRules {
  readonly sessionMinutes: number;
  readonly equipment: readonly Equipment[];
  readonly cautions: readonly CautionId[];
  readonly foothold: Foothold;
  readonly lastWeekDose: number;
  readonly ramp?: number;
}

export interface PlanFinding {
  readonly sessionId: string;
  readonly itemId?: string;
  readonly sentence: string;
}

const RAMP = 0.1;

/**
 * Holds a plan, proposed or edited by hand, against the rules. Findings warn; they do not forbid.
 *
 * @example reviewPlan(sessions, rules) // [{ sessionId, sentence: 'Takes 52 minutes; 45 are given.' }]
 */
export function reviewPlan(sessions: readonly PlannedSession[], rules: PlanRules): readonly PlanFinding[] {
  const inOrder = [...sessions].sort((a, b) => a.day.localeCompare(b.day));
  return inOrder.flatMap((session, i) => [
    ...timeFinding(session, rules),
    ...orderFinding(session),
    ...exclusionFindings(session, rules),
    ...spacingFinding(session, inOrder.slice(0, i)),
    ...(i === inOrder.length - 1 ? rampFinding(session, inOrder, rules) : []),
  ]);
}

function timeFinding({ id, items }: PlannedSession, { sessionMinutes: given }: PlanRules): PlanFinding[] {
  const minutes = Math.round(sessionMinutes(items));
  return minutes > given ? [{ sessionId: id, sentence: `Takes ${minutes} minutes; ${given} are given.` }] : [];
}

function orderFinding({ id, items }: PlannedSession): PlanFinding[] {
  for (const [i, item] of items.entries()) {
    const before = items[i - 1];
    if (before && PHASES.indexOf(drillOf(before.drillId).phase) > PHASES.indexOf(drillOf(item.drillId).phase))
      return [
        {
          sessionId: id,
          itemId: item.id,
          sentence: `“${drillOf(item.drillId).name}” (${drillOf(item.drillId).phase}) usually comes before ${drillOf(before.drillId).phase}.`,
        },
      ];
  }
  return [];
}

function exclusionFindings({ id, items }: PlannedSession, rules: PlanRules): PlanFinding[] {
  return items.flatMap((item) => {
    const why = exclusionOf(drillOf(item.drillId), rules);
    return why ? [{ sessionId: id, itemId: item.id, sentence: `“${drillOf(item.drillId).name}”: ${why}` }] : [];
  });
}

function spacingFinding(session: PlannedSession, earlier: readonly PlannedSession[]): PlanFinding[] {
  if (!isLoadedSession(session.items)) return [];
  const loadedBefore = earlier.filter((s) => isLoadedSession(s.items));
  const sentences = [
    ...(loadedBefore.some((s) => calendarDaysBetween(s.day, session.day) < LOADED_DAYS_APART)
      ? ['Loaded work needs 48 hours after the loaded session before.']
      : []),
    ...(loadedBefore.length >= LOADED_DAYS_PER_WEEK
      ? [`Loaded day ${loadedBefore.length + 1} of the week; ${LOADED_DAYS_PER_WEEK} are usual.`]
      : []),
  ];
  return sentences.map((sentence) => ({ sessionId: session.id, sentence }));
}

function rampFinding({ id }: PlannedSession, all: readonly PlannedSession[], { lastWeekDose, ramp = RAMP }: PlanRules): PlanFinding[] {
  const { push, pull } = plannedHandLoad(all.flatMap((s) => s.items));
  if (lastWeekDose === 0 || push + pull <= lastWeekDose * (1 + ramp)) return [];
  return [
    {
      sessionId: id,
      sentence: `The week loads the hands ${Math.round(((push + pull) / lastWeekDose - 1) * 100)}% more than the last; the limit is ${Math.round(ramp * 100)}%.`,
    },
  ];
}
