import type { PlanDto, PlanReply } from '@myokinet/core/contracts';
import { type Dose, type Drill, type Manner, PHASES } from '@myokinet/core/drills';
import type { Library } from '@myokinet/core/library';
import { type BlockInput, dayOfWeek, type Instead, type PlanProposal, WEEKDAYS, weekStartOf } from '@myokinet/core/planning';
import { type CalendarDay, calendarDay } from '@myokinet/core/quantities';
import type { Schools } from '@myokinet/core/schools';
import type { SupportPlan } from '@myokinet/core/statics';
import { newId } from '../../client/newId.ts';

export type SessionDraft = PlanDto['sessions'][number];
export type ItemDraft = SessionDraft['items'][number];

/** The next revision of a saved week, or the first of a new one. */
export function nextPlan(weekStart: string, saved: PlanReply | null): PlanDto {
  if (!saved) return { id: newId(), weekStart, revision: newId(), basedOn: null, sessions: [], notes: [], leftOut: [] };
  const { savedAt: _saved, unreadable: _unreadable, ...plan } = saved;
  return { ...plan, basedOn: plan.revision, revision: newId() };
}

/** Weeks that were changed and not yet saved, by their Monday. Saved together or not at all. */
export interface BlockDraft {
  readonly revision: string;
  readonly basedOn: null;
  readonly weeks: Readonly<Record<string, PlanDto>>;
}

export const emptyDraft = (): BlockDraft => ({ revision: newId(), basedOn: null, weeks: {} });

/** A draft with some weeks changed; other content of a week is another revision of it. */
export function withWeeks(draft: BlockDraft, weeks: readonly PlanDto[]): BlockDraft {
  const changed = weeks.map((week) => [week.weekStart, { ...week, revision: newId() }] as const);
  return { ...draft, weeks: { ...draft.weeks, ...Object.fromEntries(changed) } };
}

/** The same changes on top of what was saved meanwhile. */
export function rebased(draft: BlockDraft, saved: readonly PlanReply[]): BlockDraft {
  const onTop = (mine: PlanDto): PlanDto => {
    const theirs = saved.find((s) => s.weekStart === mine.weekStart);
    return { ...mine, id: theirs?.id ?? mine.id, basedOn: theirs?.revision ?? null, revision: newId() };
  };
  return { ...draft, weeks: Object.fromEntries(Object.entries(draft.weeks).map(([week, mine]) => [week, onTop(mine)])) };
}

/** The week a day lies in takes the session; the week it leaves loses it. */
export function withSessionOn(weeks: readonly PlanDto[], session: SessionDraft, day: string): readonly PlanDto[] {
  const home = weekStartOf(new Date(`${day}T12:00:00`));
  return weeks.flatMap((week) => {
    const had = week.sessions.some((s) => s.id === session.id);
    if (!had && week.weekStart !== home) return [];
    const others = week.sessions.filter((s) => s.id !== session.id);
    return [{ ...week, sessions: week.weekStart === home ? [...others, { ...session, day }] : others }];
  });
}

/** A drill taken from its session to another, before one of its drills or at the end. */
export function withItemInto(
  weeks: readonly PlanDto[],
  itemId: string,
  { sessionId, before }: { readonly sessionId: string; readonly before?: string | undefined },
): readonly PlanDto[] {
  const from = weeks.flatMap((w) => w.sessions).find((s) => s.items.some((i) => i.id === itemId));
  const item = from?.items.find((i) => i.id === itemId);
  const into = weeks.flatMap((w) => w.sessions).find((s) => s.id === sessionId);
  if (!from || !item || !into) return [];
  const without = (s: SessionDraft) => s.items.filter((i) => i.id !== itemId);
  const place = (s: SessionDraft) => {
    const items = without(s);
    const at = items.findIndex((i) => i.id === before);
    items.splice(at < 0 ? items.length : at, 0, item);
    return { ...s, items };
  };
  const change = (s: SessionDraft) => (s.id === sessionId ? place(s) : s.id === from.id ? { ...s, items: without(s) } : s);
  return weeks
    .filter((w) => w.sessions.some((s) => s.id === sessionId || s.id === from.id))
    .map((w) => ({ ...w, sessions: w.sessions.map(change) }));
}

/** A week with one session changed. */
export function withSession(plan: PlanDto, sessionId: string, change: (session: SessionDraft) => SessionDraft): PlanDto {
  return { ...plan, sessions: plan.sessions.map((s) => (s.id === sessionId ? change(s) : s)) };
}

/** A plan with its own choice of schools; without any it follows the studio. */
export function withSchools({ schools: _, ...plan }: PlanDto, own: Partial<Schools>): PlanDto {
  return Object.keys(own).length === 0 ? plan : { ...plan, schools: own };
}

/** A session with one more drill at the dose given, put where its phase belongs. */
export function withDrill(
  session: SessionDraft,
  { id: drillId, phase }: Drill,
  { sets, min, max, restSeconds }: Dose,
  library: Library,
  {
    why = 'Added by the coach.',
    support,
    overruled,
  }: { readonly why?: string; readonly support?: SupportPlan | undefined; readonly overruled?: string } = {},
): SessionDraft {
  const own = { ...(support ? { support } : {}), ...(overruled ? { overruled } : {}) };
  const item = { id: newId(), drillId, sets, min, max, restSeconds, why, ...own };
  // A hand-made order is kept: the newcomer goes behind the last drill that its phase may follow.
  const items = [...session.items];
  const behind = items.findLastIndex((i) => PHASES.indexOf(library.drill(i.drillId).phase) <= PHASES.indexOf(phase));
  items.splice(behind + 1, 0, item);
  return { ...session, items };
}

export function withItem(session: SessionDraft, itemId: string, change: Partial<ItemDraft>): SessionDraft {
  return { ...session, items: session.items.map((i) => (i.id === itemId ? { ...i, ...change } : i)) };
}

/** Another version in the place of a drill, which it names. */
export function withInstead(session: SessionDraft, itemId: string, { how: _, ...version }: Instead, name: string): SessionDraft {
  const placed = (id: string): ItemDraft => ({ id, ...version, why: `In place of “${name}”, by the coach.` });
  return { ...session, items: session.items.map((i) => (i.id === itemId ? placed(i.id) : i)) };
}

/** A drill back in its library set-up. */
export function withOwnSetUp(session: SessionDraft, itemId: string): SessionDraft {
  // What was overruled was another load.
  const plain = ({ support: _, overruled: __, ...item }: ItemDraft): ItemDraft => item;
  return { ...session, items: session.items.map((i) => (i.id === itemId ? plain(i) : i)) };
}

/** A drill with another weight, band or tempo, or with none that is named. */
export function withManner(session: SessionDraft, itemId: string, manner: Manner | undefined): SessionDraft {
  const changed = ({ manner: _, ...item }: ItemDraft): ItemDraft => (manner ? { ...item, manner } : item);
  return { ...session, items: session.items.map((i) => (i.id === itemId ? changed(i) : i)) };
}

export function withoutItem(session: SessionDraft, itemId: string): SessionDraft {
  return { ...session, items: session.items.filter((i) => i.id !== itemId) };
}

/** The drill with one id moved to the place of another. */
export function withItemMoved(session: SessionDraft, itemId: string, overId: string): SessionDraft {
  const from = session.items.findIndex((i) => i.id === itemId);
  const to = session.items.findIndex((i) => i.id === overId);
  const item = session.items[from];
  if (!item || to < 0) return session;
  const items = session.items.filter((i) => i !== item);
  items.splice(to, 0, item);
  return { ...session, items };
}

/** The first day of a week, from today on, without a session; else the last day. */
export function freeDay({ weekStart, sessions }: PlanDto, now: Date): CalendarDay {
  const days = WEEKDAYS.map((weekday) => dayOfWeek(weekStart as CalendarDay, weekday));
  return days.find((d) => d >= calendarDay(now) && !sessions.some((s) => s.day === d)) ?? days[6] ?? (weekStart as CalendarDay);
}

/** Weeks with a proposal laid over them: what stays stays, the rest is the proposal's. */
export function withProposal(
  weeks: readonly PlanDto[],
  { sessions, notes, leftOut }: PlanProposal,
  { kept }: Pick<BlockInput, 'kept'>,
): readonly PlanDto[] {
  const keep = new Set(kept.map((s) => s.id));
  return weeks.map((week) => {
    const proposedHere = sessions.filter((s) => weekStartOf(new Date(`${s.day}T12:00:00`)) === week.weekStart);
    return {
      ...week,
      sessions: [...week.sessions.filter((s) => keep.has(s.id)), ...proposedHere.map((s) => ({ ...s, items: [...s.items] }))],
      notes: notes.slice(0, MOST_NOTES),
      leftOut: [...leftOut],
    };
  });
}

const MOST_NOTES = 40;
