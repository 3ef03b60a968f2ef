import { PHASES } from '../drills/index.ts';
import type { Schools } from '../schools/index.ts';
import { exclusionOf, type Limits } from './candidates.ts';
import { isLoadedSession, plannedHandLoad, type PlannedItem, type PlannedSession, sessionMinutes, type Weekday } from './plan.ts';
import { LOADED_DAYS_PER_WEEK, shapeWeek } from './rhythm.ts';
import { calendarDaysBetween, LOADED_DAYS_APART, weekdayOf } from './spacing.ts';
import { usualDose, worksRebuilding } from './usualDose.ts';

export interface PlanRules extends Limits {
  readonly sessionMinutes: number;
  readonly trainingDays: readonly Weekday[];
  readonly schools: Schools;
  readonly weeksIn: number;
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
 * @throws Refusal `drill-unknown`
 * @example reviewPlan(sessions, rules) // [{ sessionId, sentence: 'Takes 52 minutes; 45 are given.' }]
 */
export function reviewPlan(sessions: readonly PlannedSession[], rules: PlanRules): readonly PlanFinding[] {
  const inOrder = [...sessions].sort((a, b) => a.day.localeCompare(b.day));
  return inOrder.flatMap((session, i) => [
    ...timeFinding(session, rules),
    ...orderFinding(session, rules),
    ...itemFindings(session, rules),
    ...spacingFinding(session, inOrder.slice(0, i), rules),
    ...(i === inOrder.length - 1 ? rampFinding(session, inOrder, rules) : []),
  ]);
}

function timeFinding({ id, day, items }: PlannedSession, rules: PlanRules): PlanFinding[] {
  const shape = shapeWeek({ ...rules, rhythm: rules.schools.rhythm });
  const given = shape.minutesOn(weekdayOf(day));
  const minutes = Math.round(sessionMinutes(items, rules.library));
  return minutes > given ? [{ sessionId: id, sentence: `Takes ${minutes} minutes; ${given} are given.` }] : [];
}

function orderFinding({ id, items }: PlannedSession, { library, schools }: PlanRules): PlanFinding[] {
  const placed = items.map((item) => ({ item, drill: library.drill(item.drillId) }));
  const inPhases = placed.filter(({ drill }) => !(schools.stretching === 'any time' && drill.quality === 'mobility passive'));
  for (const [i, { item, drill }] of inPhases.entries()) {
    const before = inPhases[i - 1]?.drill;
    if (!before || PHASES.indexOf(before.phase) <= PHASES.indexOf(drill.phase)) continue;
    const sentence =
      before.quality === 'mobility passive'
        ? `“${before.name}” is a long hold before load; this school keeps such holds for the end.`
        : `“${drill.name}” (${drill.phase}) usually comes before ${before.phase}.`;
    return [{ sessionId: id, itemId: item.id, sentence }];
  }
  return [];
}

function itemFindings({ id, items }: PlannedSession, rules: PlanRules): PlanFinding[] {
  return items.flatMap((item) => {
    const sentence = problemOf(item, rules);
    return sentence ? [{ sessionId: id, itemId: item.id, sentence }] : [];
  });
}

function problemOf(item: PlannedItem, rules: PlanRules): string | undefined {
  const drill = rules.library.drill(item.drillId);
  const excluded = exclusionOf(drill, rules);
  if (excluded) return `“${drill.name}”: ${excluded}`;
  const reduced = usualDose(drill, rules.cautions);
  if (worksRebuilding(drill, rules.cautions) && item.sets * item.max > reduced.sets * reduced.max)
    return `“${drill.name}”: more than the reduced dose of ${reduced.sets} × ${reduced.min}–${reduced.max} while the joint is being rebuilt.`;
  return undefined;
}

function spacingFinding(session: PlannedSession, earlier: readonly PlannedSession[], { library }: PlanRules): PlanFinding[] {
  if (!isLoadedSession(session.items, library)) return [];
  const loadedBefore = earlier.filter((s) => isLoadedSession(s.items, library));
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

function rampFinding({ id }: PlannedSession, all: readonly PlannedSession[], rules: PlanRules): PlanFinding[] {
  const { lastWeekDose, ramp = RAMP } = rules;
  const { push, pull } = plannedHandLoad(
    all.flatMap((s) => s.items),
    rules.library,
  );
  if (lastWeekDose === 0 || push + pull <= lastWeekDose * (1 + ramp)) return [];
  return [
    {
      sessionId: id,
      sentence: `The week loads the hands ${Math.round(((push + pull) / lastWeekDose - 1) * 100)}% more than the last; the limit is ${Math.round(ramp * 100)}%.`,
    },
  ];
}
