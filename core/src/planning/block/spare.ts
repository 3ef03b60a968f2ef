import { isLoaded } from '../../drills/index.ts';
import type { CalendarDay } from '../../quantities/index.ts';
import { mostOfPhase } from '../kinds.ts';
import { isLoadedSession, sessionMinutes } from '../plan.ts';
import type { PlanNote, SpareBecause } from '../planNote.ts';
import type { ChosenSession } from './chosen.ts';
import { RETURNS } from './rules.ts';
import type { Served } from './score.ts';
import type { BlockTask, Option } from './task.ts';

/** Free minutes that are worth a word: more of them, and a larger share of the session (project defaults). */
const SPARE_MINUTES = 8;
const SPARE_SHARE = 0.2;

/** One more set that adds less than this to its week is not worth the minutes (project default). */
const WORTH_A_SET = 0.1;

/** Why minutes that were offered stay free, the days of one reason together. */
export function spareNotes(task: BlockTask, sessions: readonly ChosenSession[], served: readonly Served[]): readonly PlanNote[] {
  const groups = new Map<SpareBecause, { readonly days: CalendarDay[]; most: number }>();
  for (const session of sessions) {
    const slot = task.slots[session.slot];
    if (!slot) continue;
    const spare = Math.floor(slot.minutes - sessionMinutes(session.items, task.input.library, slot.form));
    if (spare < SPARE_MINUTES || spare < SPARE_SHARE * slot.minutes) continue;
    const because = whySpare(task, session, { seconds: spare * 60, served });
    const group = groups.get(because) ?? { days: [], most: 0 };
    group.days.push(slot.day);
    group.most = Math.max(group.most, spare);
    groups.set(because, group);
  }
  return [...groups].map(([because, { days, most }]) => ({ code: 'spare', days, minutes: most, because }));
}

function whySpare(
  task: BlockTask,
  session: ChosenSession,
  { seconds, served }: { readonly seconds: number; readonly served: readonly Served[] },
): SpareBecause {
  const { library } = task.input;
  const slot = task.slots[session.slot];
  const has = new Set(session.items.map((i) => i.drillId));
  const loaded = isLoadedSession(session.items, library);
  const full = (o: Option) => {
    const alike = session.items.filter((i) => i.option?.drill.phase === o.drill.phase).length;
    return alike >= mostOfPhase(o.drill.phase, { minutes: slot?.minutes ?? 0, loaded });
  };
  const left = task.options.filter(
    (o) => o.slot === session.slot && !has.has(o.drill.id) && o.perSetSeconds + o.onceSeconds <= seconds && gain(o, slot?.week, served) > 0,
  );
  if (left.length === 0) return 'all in it';
  const worthIt = left.filter((o) => gain(o, slot?.week, served) >= WORTH_A_SET);
  if (worthIt.length === 0) return 'served';
  if (worthIt.every(full)) return 'kinds';
  return worthIt.filter((o) => !full(o)).every((o) => isLoaded(o.drill)) ? 'load' : 'served';
}

/** What one more set of a drill would add to the needs of its week, as they are served. */
function gain({ drill, full }: Option, week: number | undefined, served: readonly Served[]): number {
  return served
    .filter((s) => s.week === week)
    .reduce((sum, { need, doses }) => sum + (need.weight * slopeAt(doses) * (drill.trains[need.measureId] ?? 0)) / full, 0);
}

function slopeAt(doses: number): number {
  let from = 0;
  for (const { width, slope } of RETURNS) {
    if (doses < from + width - 1e-9) return slope;
    from += width;
  }
  return 0;
}
