import type { CalendarDay } from '../../quantities/index.ts';
import type { Dose } from '../../drills/index.ts';
import { tensionSeconds } from '../../drills/index.ts';
import type { Joint } from '../../anatomy/index.ts';
import { standsBeforeLoad } from '../because.ts';
import type { Library } from '../../library/index.ts';
import { type Focus, leanOf, type Work } from '../focus.ts';
import { calms, type ComposedItem, lastCloser } from '../frame.ts';
import { isLoadedSession, itemSeconds, plannedHandLoad, type PlannedItem, type PlannedSession, type SessionForm } from '../plan.ts';
import { orderSession, PULLING_PHASES } from '../sessionOrder.ts';
import { mannerNow } from '../shownSets.ts';
import { usualDose } from '../usualDose.ts';
import type { ChosenItem, ChosenSession } from './chosen.ts';
import type { BlockProgram } from './model.ts';
import type { BlockTask, Option } from './task.ts';

/** What an answer of the solver chose, session by session; sessions with nothing but their warm-up are left out. */
export function chosenSessions(task: BlockTask, { levels, loaded }: BlockProgram, values: ArrayLike<number>): readonly ChosenSession[] {
  const on = (variable: number | undefined) => variable !== undefined && (values[variable] ?? 0) > 0.5;
  return task.slots.flatMap((_, slot): ChosenSession[] => {
    const chosen = task.options.flatMap((option, i): ChosenItem[] => {
      const level = option.slot === slot ? levels[i]?.find(({ variable }) => on(variable)) : undefined;
      return level ? [{ drillId: option.drill.id, ...doseOf(option), sets: level.sets, option }] : [];
    });
    if (chosen.length === 0) return [];
    const frame = task.frames[slot]?.[on(loaded[slot]) && isLoadedSession(chosen, task.input.library) ? 'loaded' : 'mobility'];
    return [{ slot, items: [...closedAsWorked(task, slot, frame?.items ?? [], chosen), ...chosen] }];
  });
}

/**
 * The warm-up and cool-down of a session once it is known what it works: a closer that only lets go gives its place to another that lets
 * go of more of what was worked, as long as the minutes hold it. It serves no need and so changes nothing that was weighed.
 */
function closedAsWorked(
  task: BlockTask,
  slot: number,
  items: readonly ComposedItem[],
  chosen: readonly ChosenItem[],
): readonly ComposedItem[] {
  const { library, cautions } = task.input;
  const form = task.slots[slot]?.form;
  const last = items.find((i) => calms(library.drill(i.drillId)));
  const work = workOf(chosen);
  const better = lastCloser(task.closers[slot] ?? [], work);
  if (!last || !better || better.id === last.drillId || [...items, ...chosen].some((i) => i.drillId === better.id)) return items;
  const dose = usualDose(better, cautions);
  const seconds = (item: Dose & { readonly drillId: string }) => secondsIn(item, library, form);
  const other = { ...last, ...dose, drillId: better.id };
  const all = [...items, ...chosen].reduce((sum, i) => sum + seconds(i), 0);
  const fits = all - seconds(last) + seconds(other) <= (task.slots[slot]?.minutes ?? 0) * 60;
  return fits ? items.map((i) => (i === last ? other : i)) : items;
}

function secondsIn(item: Dose & { readonly drillId: string }, library: Library, form: SessionForm | undefined): number {
  const { perSet, once } = itemSeconds(library.drill(item.drillId), item, form);
  return perSet * item.sets + once;
}

/** Seconds under tension by joint. */
function workOf(chosen: readonly ChosenItem[]): Work {
  const work: Partial<Record<Joint, number>> = {};
  for (const { option, sets } of chosen) {
    if (!option) continue;
    const { joint, alsoWorks } = option.drill;
    const seconds = tensionSeconds(option.drill, { sets, max: option.dose.max });
    work[joint] = (work[joint] ?? 0) + seconds;
    for (const other of alsoWorks) work[other] = (work[other] ?? 0) + seconds / 2;
  }
  return work;
}

function doseOf({ dose: { min, max, restSeconds, sets } }: Option): Dose {
  return { sets, min, max, restSeconds };
}

/** The sessions in their order, with ids and reasons; a pinned drill stays the one it was. */
export function writtenSessions(
  task: BlockTask,
  sessions: readonly ChosenSession[],
  {
    newId,
    reasons,
  }: { readonly newId: () => string; readonly reasons: (item: ChosenItem, session: ChosenSession) => Pick<PlannedItem, 'why' | 'without'> },
): readonly PlannedSession[] {
  return sessions.flatMap((session): PlannedSession[] => {
    const slot = task.slots[session.slot];
    if (!slot) return [];
    const items = inOrder(task, session.items, slot.focus).map((item): PlannedItem => {
      const pinned = item.option?.pinned ?? task.input.pinned.find((p) => p.day === slot.day && p.item.drillId === item.drillId)?.item;
      if (pinned) return pinned;
      const { drillId, sets, min, max, restSeconds } = item;
      const { lastManner, foothold } = task.input;
      const manner = mannerNow(drillId, lastManner, foothold.shown.sets);
      return { id: newId(), drillId, sets, min, max, restSeconds, ...(manner ? { manner } : {}), ...reasons(item, session) };
    });
    const { day, place, form } = slot;
    return [{ id: newId(), day: day satisfies CalendarDay, place, form, items }];
  });
}

/** Phases in order, shoulders first on a day for pulling; a hold that the school allows before load stays among the openers. */
function inOrder(
  { input: { library, schools } }: BlockTask,
  items: readonly ChosenItem[],
  focus: Focus | undefined,
): readonly ChosenItem[] {
  const lean = focus ?? leanOf(plannedHandLoad(items, library));
  const phases = lean === 'pull' ? PULLING_PHASES : undefined;
  if (schools.stretching === 'after load') return orderSession(items, library, phases);
  const early = items.filter((i) => standsBeforeLoad(i.because));
  const isOpener = (i: ChosenItem) => ['pulse', 'wrists and forearms'].includes(library.drill(i.drillId).phase);
  return [
    ...orderSession(items.filter(isOpener), library, phases),
    ...early,
    ...orderSession(
      items.filter((i) => !early.includes(i) && !isOpener(i)),
      library,
      phases,
    ),
  ];
}
