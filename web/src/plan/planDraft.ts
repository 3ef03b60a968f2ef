import type { PlanDto, PlanReply } from '@myokinet/core/contracts';
import { type Dose, type Drill, PHASES } from '@myokinet/core/drills';
import type { Library } from '@myokinet/core/library';
import type { Schools } from '@myokinet/core/schools';
import { newId } from '../app/newId.ts';

export type SessionDraft = PlanDto['sessions'][number];
export type ItemDraft = SessionDraft['items'][number];

/** The next revision of a saved week, or the first of a new one. */
export function nextPlan(weekStart: string, saved: PlanReply | null): PlanDto {
  if (!saved) return { id: newId(), weekStart, revision: newId(), basedOn: null, sessions: [], notes: [], leftOut: [] };
  const { savedAt: _saved, ...plan } = saved;
  return { ...plan, basedOn: plan.revision, revision: newId() };
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
): SessionDraft {
  const item = { id: newId(), drillId, sets, min, max, restSeconds, why: 'Added by the coach.' };
  // A hand-made order is kept: the newcomer goes behind the last drill that its phase may follow.
  const items = [...session.items];
  const behind = items.findLastIndex((i) => PHASES.indexOf(library.drill(i.drillId).phase) <= PHASES.indexOf(phase));
  items.splice(behind + 1, 0, item);
  return { ...session, items };
}

export function withItem(session: SessionDraft, itemId: string, change: Partial<ItemDraft>): SessionDraft {
  return { ...session, items: session.items.map((i) => (i.id === itemId ? { ...i, ...change } : i)) };
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
