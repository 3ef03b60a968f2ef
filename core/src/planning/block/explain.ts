import { needInWords, needName, mainNeed } from '../needs.ts';
import { isPartner } from '../pairs.ts';
import type { PlannedItem } from '../plan.ts';
import { dayShort } from '../spacing.ts';
import { worksRebuilding } from '../usualDose.ts';
import type { ChosenItem, ChosenSession } from './read.ts';
import { scoreOf, type Served } from './score.ts';
import { type ClosedBy, closedByInWords } from '../closedJoints.ts';
import { type BlockTask, closedEverywhere } from './task.ts';
import { practiceReason } from '../practiceOf.ts';

/** Why a drill was chosen, and what its week would be without it. */
export function reasonsFor(task: BlockTask, sessions: readonly ChosenSession[]) {
  const dated = datedSessions(task, sessions);
  const score = scoreOf(task, dated);
  return (item: ChosenItem, session: ChosenSession): Pick<PlannedItem, 'why' | 'without'> => {
    if (!item.option) return { why: item.why ?? '' };
    const lesser = scoreOf(
      task,
      dated.map((s) => (s.slot === session.slot ? { ...s, items: s.items.filter((i) => i !== item) } : s)),
    );
    return {
      why: whyOf(task, item, session, sessions),
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

function whyOf(task: BlockTask, { option, sets }: ChosenItem, session: ChosenSession, sessions: readonly ChosenSession[]): string {
  if (!option) return '';
  const { drill } = option;
  const { brief, cautions } = task.input;
  const need = mainNeed(drill, task.needs);
  const paired = partnersServed(task, option.drill, session, sessions);
  const parts = [
    drill.id === task.practiceId
      ? practiceReason(drill)
      : need
        ? `For ${needInWords(need)}.`
        : brief.always.includes(drill.id)
          ? 'In every week, by your word.'
          : 'For balance between push and pull.',
    ...(paired[0] ? [`Pairs with “${paired[0]}”: new range needs stability in the same direction.`] : []),
    ...(need && brief.always.includes(drill.id) ? ['In every week, by your word.'] : []),
    ...(option.isNew && (option.most === 1 || (sets < option.most && sets <= option.mostNew)) ? ['New, so half dose.'] : []),
    ...(worksRebuilding(drill, cautions) ? ['Reduced dose: the joint is being rebuilt.'] : []),
    ...(task.weeks[task.slots[session.slot]?.week ?? 0]?.light && sets < option.most ? ['Half the sets in a light week.'] : []),
  ];
  return parts.join(' ');
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
): string {
  if (!option) return '';
  const losses = before
    .map((b, i) => ({ need: b.need, had: b.doses, has: after[i]?.doses ?? 0, loss: b.worth - (after[i]?.worth ?? 0) }))
    .filter((l) => l.loss > 1e-9)
    .sort((a, b) => b.loss - a.loss);
  const alone = partnersServed(task, option.drill, session, sessions);
  const lost = losses[0];
  const parts = [
    ...(lost ? [`Without it ${needName(lost.need)} gets ${doses(lost.has)} of work that week in place of ${doses(lost.had)}.`] : []),
    ...(alone[0] ? [`“${alone[0]}” would stand without stability.`] : []),
  ];
  return parts.join(' ') || 'Without it nothing that is needed would be missing; it fills time that is there.';
}

const doses = (amount: number) => (amount === 0 ? 'none' : `${amount.toFixed(1)} doses`);

/** Needs that matter and get nothing in the whole block, each with the reason. */
export function unserved(task: BlockTask, sessions: readonly ChosenSession[]): readonly string[] {
  const { served } = scoreOf(task, datedSessions(task, sessions));
  return task.needs
    .filter(({ headroom: { state } }) => state === 'short' || state === 'on the mark')
    .filter(({ measureId }) => served.every((s) => s.need.measureId !== measureId || s.doses === 0))
    .map((need) => `Not served: ${needInWords(need)}. ${whyUnserved(task, need.measureId)}`);
}

function whyUnserved(task: BlockTask, measureId: string): string {
  const { library } = task.input;
  const drills = library.drills.filter((d) => (d.trains[measureId] ?? 0) > 0 && (!d.rung || d.id === task.practiceId));
  if (drills.length === 0) return 'No drill of the library trains it.';
  const closed = drills.map((d) => closedEverywhere(d, task.input));
  if (closed.every((why) => why !== undefined)) return `All ${drills.length} drills that train it are left out: ${mostFrequent(closed)}`;
  if (!task.options.some((o) => drills.some((d) => d.id === o.drill.id)))
    return 'Every drill that trains it is loaded, and no day can be loaded for it.';
  return 'The minutes serve other needs better.';
}

function mostFrequent(whys: readonly (string | undefined)[]): string {
  const counts = new Map<string, number>();
  for (const why of whys) if (why) counts.set(why, (counts.get(why) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? '';
}

/** What kept days unloaded: other training, loaded work near by, and the 48 hours inside the block. */
export function dayNotes(task: BlockTask, sessions: readonly ChosenSession[]): readonly string[] {
  const loadedSlots = new Set(sessions.filter((s) => s.items.some((i) => (i.option?.joints.length ?? 0) > 0)).map((s) => s.slot));
  /** The same reason on several days is said once: the days by joints and what closes them, whenever it is. */
  const groups = new Map<string, { readonly joints: string; readonly by: ClosedBy; readonly days: string[] }>();
  task.slots.forEach((slot, i) => {
    const closed = task.closed[i];
    const by = [...(closed?.values() ?? [])][0];
    if (loadedSlots.has(i) || !slot.loadable || !closed || !by) return;
    const joints = [...closed.keys()].join(', ');
    const key = JSON.stringify([joints, by.kind, by.kind === 'event' ? [by.name, by.effort] : by.logged]);
    const group = groups.get(key) ?? { joints, by, days: [] };
    group.days.push(dayShort(slot.day));
    groups.set(key, group);
  });
  const notes = [...groups.values()].map(({ joints, by, days }) =>
    days.length === 1
      ? `${days[0] ?? ''} stays unloaded for the ${joints}: ${closedByInWords(by)}.`
      : `${listed(days)} stay unloaded for the ${joints}: ${closedByInWords(by)}, and so on.`,
  );
  const empty = task.slots.filter((_, i) => sessions.every((s) => s.slot !== i)).map((slot) => dayShort(slot.day));
  if (empty.length > 0) notes.push(`Nothing is planned on ${listed(empty)}: what is needed does not fit its minutes and rules.`);
  const kept = task.slots
    .filter((slot, i) => slot.loadable && !loadedSlots.has(i) && (task.closed[i]?.size ?? 0) === 0 && sessions.some((s) => s.slot === i))
    .map((slot) => dayShort(slot.day));
  if (kept.length > 0 && loadedSlots.size > 0)
    notes.push(`Loaded on ${loadedSlots.size} of ${task.slots.length} days, 48 hours apart for each joint; unloaded: ${listed(kept)}.`);
  return notes;
}

const MOST_LISTED = 6;

/** Some of the days are enough where there are many. */
function listed(days: readonly string[]): string {
  return `${days.slice(0, MOST_LISTED).join(', ')}${days.length > MOST_LISTED ? ` and ${days.length - MOST_LISTED} more` : ''}`;
}
