import type { Because, Without } from '../because.ts';
import { mainNeed } from '../needs.ts';
import { isPartner } from '../pairs.ts';
import type { CalendarDay } from '../../quantities/index.ts';
import type { LeftOutBecause } from '../candidates.ts';
import type { PlanNote, UnservedBecause } from '../planNote.ts';
import { worksRebuilding } from '../usualDose.ts';
import type { ChosenItem, ChosenSession } from './chosen.ts';
import { scoreOf, type Served } from './score.ts';
import type { Joint } from '../../anatomy/index.ts';
import type { ClosedBy } from '../closedJoints.ts';
import { type BlockTask, closedEverywhere } from './task.ts';
import { servesIts } from './slots.ts';

/** Why a drill is there, and what its week would be without it; nothing of the latter for warm-up and cool-down. */
export interface Reasons {
  readonly because: readonly Because[];
  readonly without: readonly Without[];
}

/** Why a drill was chosen, and what its week would be without it. */
export function reasonsFor(task: BlockTask, sessions: readonly ChosenSession[]) {
  const dated = datedSessions(task, sessions);
  const score = scoreOf(task, dated);
  return (item: ChosenItem, session: ChosenSession): Reasons => {
    if (!item.option) return { because: item.because ?? [], without: [] };
    const lesser = scoreOf(
      task,
      dated.map((s) => (s.slot === session.slot ? { ...s, items: s.items.filter((i) => i !== item) } : s)),
    );
    return {
      because: becauseOf(task, item, session, sessions),
      without: withoutOf(task, item, session, { before: score.served, after: lesser.served, sessions }),
    };
  };
}

function datedSessions(task: BlockTask, sessions: readonly ChosenSession[]) {
  const { kept } = task.input;
  const own = sessions.flatMap((s) => {
    const slot = task.slots[s.slot];
    return slot ? [{ ...s, day: slot.day }] : [];
  });
  return [...own, ...kept.map(({ day, items }) => ({ day, items: items as readonly ChosenItem[], slot: -1 }))];
}

function becauseOf(
  task: BlockTask,
  { option, sets }: ChosenItem,
  session: ChosenSession,
  sessions: readonly ChosenSession[],
): readonly Because[] {
  if (!option) return [];
  const { drill } = option;
  const { brief, cautions } = task.input;
  const need = mainNeed(drill, task.needs);
  const always = brief.always.includes(drill.id);
  const slot = task.slots[session.slot];
  const paired = partnersServed(task, option.drill, session, sessions)[0];
  const found = task.input.leads?.find(({ lead }) => lead.drills.includes(drill.id));
  const led: Because | undefined = found && {
    code: 'finding',
    check: task.input.library.measure(found.measureId).name,
    side: found.side,
    reason: found.lead.reason,
  };
  const first = (): Because => {
    if (drill.id === task.practiceId) return { code: 'practice', ofRung: drill.rung !== undefined };
    if (need) return { code: 'need', need };
    if (led) return led;
    if (always) return { code: 'always' };
    return slot?.focus && servesIts(slot, drill) ? { code: 'focus', focus: slot.focus } : { code: 'balance' };
  };
  return [
    first(),
    ...(led && (need || drill.id === task.practiceId) ? [led] : []),
    ...(paired ? [{ code: 'pairs', withName: paired } as const] : []),
    ...(need && always ? [{ code: 'always' } as const] : []),
    ...(option.isNew && (option.most === 1 || (sets < option.most && sets <= option.mostNew)) ? [{ code: 'new' } as const] : []),
    ...(worksRebuilding(drill, cautions) ? [{ code: 'rebuilding' } as const] : []),
    ...(task.weeks[slot?.week ?? 0]?.light && sets < option.most ? [{ code: 'light week' } as const] : []),
  ];
}

/** Names of mobility drills of the same week that have no other stability beside them. */
function partnersServed(
  task: BlockTask,
  drill: { readonly id: string },
  session: ChosenSession,
  sessions: readonly ChosenSession[],
): readonly string[] {
  const week = task.slots[session.slot]?.week;
  const inWeek = sessions.filter((s) => task.slots[s.slot]?.week === week).flatMap((s) => s.items.flatMap((i) => i.option?.drill ?? []));
  const own = task.input.library.drill(drill.id);
  const served = inWeek.filter(
    (d) => d.quality === 'mobility active' && isPartner(d, own) && !inWeek.some((o) => o.id !== own.id && isPartner(d, o)),
  );
  return [...new Set(served.map((d) => d.name))];
}

function withoutOf(
  task: BlockTask,
  { option }: ChosenItem,
  session: ChosenSession,
  {
    before,
    after,
    sessions,
  }: { readonly before: readonly Served[]; readonly after: readonly Served[]; readonly sessions: readonly ChosenSession[] },
): readonly Without[] {
  if (!option) return [];
  const losses = before
    .map((b, i) => ({ need: b.need, had: b.doses, has: after[i]?.doses ?? 0, loss: b.worth - (after[i]?.worth ?? 0) }))
    .filter((l) => l.loss > 1e-9)
    .sort((a, b) => b.loss - a.loss);
  const alone = partnersServed(task, option.drill, session, sessions);
  const lost = losses[0];
  const parts: Without[] = [
    ...(lost ? [{ code: 'less', need: lost.need, has: lost.has, had: lost.had } as const] : []),
    ...(alone[0] ? [{ code: 'alone', name: alone[0] } as const] : []),
  ];
  return parts.length > 0 ? parts : [{ code: 'nothing' }];
}

/** Needs that matter and get nothing in the whole block, each with the reason. */
export function unserved(task: BlockTask, sessions: readonly ChosenSession[]): readonly PlanNote[] {
  const { served } = scoreOf(task, datedSessions(task, sessions));
  return task.needs
    .filter(({ headroom: { state } }) => state === 'short' || state === 'on the mark')
    .filter(({ measureId }) => served.every((s) => s.need.measureId !== measureId || s.doses === 0))
    .map((need): PlanNote => ({ code: 'unserved', need, because: whyUnserved(task, need.measureId) }));
}

function whyUnserved(task: BlockTask, measureId: string): UnservedBecause {
  const { library } = task.input;
  const drills = library.drills.filter((d) => (d.trains[measureId] ?? 0) > 0 && (!d.rung || d.id === task.practiceId));
  if (drills.length === 0) return { code: 'no drill' };
  const closed = drills.flatMap((d) => closedEverywhere(d, task.input) ?? []);
  const mostly = closed.length === drills.length ? mostFrequent(closed) : undefined;
  if (mostly) return { code: 'left out', drills: drills.length, mostly };
  if (!task.options.some((o) => drills.some((d) => d.id === o.drill.id))) return { code: 'no loaded day' };
  return { code: 'minutes' };
}

function mostFrequent(reasons: readonly LeftOutBecause[]): LeftOutBecause | undefined {
  const counts = new Map<string, { readonly because: LeftOutBecause; count: number }>();
  for (const because of reasons) {
    const key = because.kind === 'caution' ? because.caution.id : because.kind;
    const same = counts.get(key) ?? { because, count: 0 };
    same.count += 1;
    counts.set(key, same);
  }
  return [...counts.values()].sort((a, b) => b.count - a.count)[0]?.because;
}

/** What kept days unloaded: other training, loaded work near by, and the 48 hours inside the block. */
export function dayNotes(task: BlockTask, sessions: readonly ChosenSession[]): readonly PlanNote[] {
  const loadedSlots = new Set(sessions.filter((s) => s.items.some((i) => (i.option?.joints.length ?? 0) > 0)).map((s) => s.slot));
  /** The same reason on several days is said once: the days by joints and what closes them, whenever it is. */
  const groups = new Map<string, { readonly joints: readonly Joint[]; readonly by: ClosedBy; readonly days: CalendarDay[] }>();
  task.slots.forEach((slot, i) => {
    const closed = task.closed[i];
    const by = [...(closed?.values() ?? [])][0];
    if (loadedSlots.has(i) || !slot.loadable || !closed || !by) return;
    const joints = [...closed.keys()];
    const key = JSON.stringify([joints, by.kind, by.kind === 'event' ? [by.name, by.effort] : by.logged]);
    const group = groups.get(key) ?? { joints, by, days: [] };
    group.days.push(slot.day);
    groups.set(key, group);
  });
  const empty = task.slots.filter((_, i) => sessions.every((s) => s.slot !== i)).map((slot) => slot.day);
  const kept = task.slots
    .filter((slot, i) => slot.loadable && !loadedSlots.has(i) && (task.closed[i]?.size ?? 0) === 0 && sessions.some((s) => s.slot === i))
    .map((slot) => slot.day);
  return [
    ...[...groups.values()].map(({ days, joints, by }): PlanNote => ({ code: 'days unloaded', days, joints, by })),
    ...(empty.length > 0 ? [{ code: 'days empty', days: empty } as const] : []),
    ...(kept.length > 0 && loadedSlots.size > 0
      ? [{ code: 'days apart', loaded: loadedSlots.size, of: task.slots.length, unloaded: kept } as const]
      : []),
  ];
}
