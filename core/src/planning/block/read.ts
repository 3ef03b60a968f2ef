import type { CalendarDay } from '../../quantities/index.ts';
import type { Dose } from '../../drills/index.ts';
import { BEFORE_LOAD } from '../composeSession.ts';
import { isLoadedSession, type PlannedItem, type PlannedSession } from '../plan.ts';
import { orderSession } from '../sessionOrder.ts';
import type { BlockProgram } from './model.ts';
import type { BlockTask, Option } from './task.ts';

/** A drill as it was chosen, before it is told why. */
export interface ChosenItem extends Dose {
  readonly drillId: string;
  /** Of warm-up and cool-down, which say their reason themselves. */
  readonly why?: string;
  readonly option?: Option;
}

export interface ChosenSession {
  readonly slot: number;
  readonly items: readonly ChosenItem[];
}

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
    return [{ slot, items: [...(frame?.items ?? []), ...chosen] }];
  });
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
    const items = inOrder(task, session.items).map((item): PlannedItem => {
      const pinned = item.option?.pinned ?? task.input.pinned.find((p) => p.day === slot.day && p.item.drillId === item.drillId)?.item;
      if (pinned) return pinned;
      const { drillId, sets, min, max, restSeconds } = item;
      return { id: newId(), drillId, sets, min, max, restSeconds, ...reasons(item, session) };
    });
    const { day, place, form } = slot;
    return [{ id: newId(), day: day satisfies CalendarDay, place, form, items }];
  });
}

/** Phases in order; a hold that the school allows before load stays among the openers. */
function inOrder({ input: { library, schools } }: BlockTask, items: readonly ChosenItem[]): readonly ChosenItem[] {
  if (schools.stretching === 'after load') return orderSession(items, library);
  const early = items.filter((i) => i.why?.startsWith(BEFORE_LOAD));
  const isOpener = (i: ChosenItem) => ['pulse', 'wrists and forearms'].includes(library.drill(i.drillId).phase);
  return [
    ...orderSession(items.filter(isOpener), library),
    ...early,
    ...orderSession(
      items.filter((i) => !early.includes(i) && !isOpener(i)),
      library,
    ),
  ];
}
