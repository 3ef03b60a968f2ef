import type { Need } from '../needs.ts';
import { claimUnder } from '../composeSession.ts';
import { type PlannedDose, plannedHandLoad } from '../plan.ts';
import { calendarDaysBetween } from '../spacing.ts';
import type { CalendarDay } from '../../quantities/index.ts';
import { BALANCE_START, DULL_AFTER, HELD, PRACTICE, RETURNS, SMALL } from './rules.ts';
import { servesIts } from './slots.ts';
import type { BlockTask } from './task.ts';

/** Work on one need in one week, in doses weighted by how strongly they train it, and what it is worth. */
export interface Served {
  readonly need: Need;
  readonly week: number;
  readonly doses: number;
  readonly worth: number;
}

export interface Score {
  readonly objective: number;
  readonly served: readonly Served[];
}

interface Scored {
  readonly day: CalendarDay;
  readonly items: readonly PlannedDose[];
}

/**
 * What any weeks of sessions are worth by the planner's own measure, worked out from the sessions and not from its programme.
 *
 * @param sessions of the block, kept ones included
 * @example scoreOf(task, sessions).objective // 460.6
 */
export function scoreOf(task: BlockTask, sessions: readonly Scored[]): Score {
  const { input } = task;
  const { library, brief } = input;
  const claim = claimUnder(input.cautions);
  const kept = new Set(input.kept.map((s) => s.day));
  const served: Served[] = [];
  let objective = 0;
  task.weeks.forEach(({ weekStart }, week) => {
    const inWeek = sessions.filter(({ day }) => calendarDaysBetween(weekStart, day) >= 0 && calendarDaysBetween(weekStart, day) < 7);
    const items = inWeek.flatMap((s) => s.items);
    for (const need of task.needs) {
      const doses = items.reduce((sum, item) => {
        const drill = library.drill(item.drillId);
        return sum + (drill.trains[need.measureId] ?? 0) * claim(drill) * shareOfDose(task, item);
      }, 0);
      const worth = need.weight * returns(doses);
      served.push({ need, week, doses, worth });
      objective += worth;
    }
    const practice = inWeek
      .flatMap(({ day, items: all }) => all.filter((i) => i.drillId === task.practiceId && isFree(task, day, i.drillId)))
      .reduce((sum, i) => sum + shareOfDose(task, i), 0);
    objective += PRACTICE.worth * Math.min(PRACTICE.doses, practice);
    const own = inWeek.filter(({ day }) => !kept.has(day));
    objective += HELD * own.filter(({ day, items: all }) => all.some((i) => isFree(task, day, i.drillId))).length;
    const freeOf = ({ day, items: all }: Scored) => all.filter((i) => isFree(task, day, i.drillId));
    const free = own.flatMap(freeOf);
    for (const session of own) {
      const slot = task.slots.find((s) => s.day === session.day);
      objective += SMALL.focus * freeOf(session).filter((i) => servesIts(slot, library.asPlanned(i))).length;
    }
    for (const { drillId } of free) {
      if (brief.likes.includes(drillId)) objective += SMALL.like;
      if (brief.dislikes.includes(drillId)) objective += SMALL.dislike;
      if (input.didWell.includes(drillId)) objective += SMALL.didWell;
      if (input.leads?.some(({ lead }) => lead.drills.includes(drillId))) objective += SMALL.led;
      objective += SMALL.equipment * library.drill(drillId).equipment.length;
    }
    for (const id of new Set(free.map((i) => i.drillId)))
      objective += SMALL.again * Math.max(0, free.filter((i) => i.drillId === id).length - DULL_AFTER);
    objective += SMALL.unbalanced * beyondBalance(task, week, items);
  });
  return { objective, served };
}

/** Chosen, and not part of a warm-up or cool-down. */
function isFree({ slots, frames, options, closers }: BlockTask, day: CalendarDay, drillId: string): boolean {
  const slot = slots.findIndex((s) => s.day === day);
  const { loaded, mobility } = frames[slot] ?? {};
  if ([...(loaded?.items ?? []), ...(mobility?.items ?? [])].some((i) => i.drillId === drillId)) return false;
  return closers[slot]?.every((d) => d.id !== drillId) !== false || options.some((o) => o.slot === slot && o.drill.id === drillId);
}

function shareOfDose({ options, input }: BlockTask, { drillId, sets }: PlannedDose): number {
  const full = options.find((o) => o.drill.id === drillId && !o.pinned)?.dose.sets ?? input.library.drill(drillId).dose.sets;
  return Math.min(1, sets / full);
}

function returns(doses: number): number {
  let left = doses;
  let worth = 0;
  for (const { width, slope } of RETURNS) {
    worth += slope * Math.min(width, Math.max(0, left));
    left -= width;
  }
  return worth;
}

function beyondBalance(task: BlockTask, week: number, items: readonly PlannedDose[]): number {
  const { balance } = task.input.brief;
  if (balance >= 1) return 0;
  const here = task.options.filter((o) => task.slots[o.slot]?.week === week);
  if (!here.some((o) => o.push > 0) || !here.some((o) => o.pull > 0)) return 0;
  const { push, pull } = plannedHandLoad(items, task.input.library);
  return Math.max(0, (1 - balance) * Math.max(push, pull) - Math.min(push, pull) - BALANCE_START);
}
