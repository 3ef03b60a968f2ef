import type { OwnItem, OwnSession, SessionDto } from '@myokinet/core/contracts';
import type { DrillSkipReason } from '@myokinet/core/floor';

/** A set as the trainee told it: one entry a side, where a drill has sides. */
interface DoneSet {
  readonly ids: readonly string[];
  readonly amount: number;
}

/** Practice under way: kept on the phone after every tap. */
export interface Practice {
  readonly id: string;
  readonly sessionId: string;
  /** A routine for any time, by its name; absent: a planned session. */
  readonly preparation?: string;
  /** As they were when it began: a plan may change meanwhile, what is being done does not. */
  readonly items: readonly OwnItem[];
  readonly startedAt: string;
  readonly done: Readonly<Record<string, readonly DoneSet[]>>;
  readonly skipped: Readonly<Record<string, DrillSkipReason>>;
}

/** What may be done any time is done more than once: its drills get ids of their own each time. */
export function begun(
  { id: sessionId, items, preparation }: Pick<OwnSession, 'id' | 'items' | 'preparation'>,
  id: string,
  now: Date,
  newId: () => string,
): Practice {
  const head = { id, sessionId, startedAt: now.toISOString(), done: {}, skipped: {} };
  return preparation === undefined ? { ...head, items } : { ...head, preparation, items: items.map((i) => ({ ...i, id: newId() })) };
}

export const setsDone = ({ done }: Practice, itemId: string): number => done[itemId]?.length ?? 0;

/** One more set of a drill; never more than planned: what was tapped twice is there once. */
export function withSet(practice: Practice, { id, sets, perSide }: OwnItem, amount: number, newId: () => string): Practice {
  const before = practice.done[id] ?? [];
  if (before.length >= sets) return practice;
  const set = { ids: perSide ? [newId(), newId()] : [newId()], amount };
  return { ...practice, done: { ...practice.done, [id]: [...before, set] } };
}

/** The last set of a drill was none. */
export function withoutLast(practice: Practice, itemId: string): Practice {
  return { ...practice, done: { ...practice.done, [itemId]: (practice.done[itemId] ?? []).slice(0, -1) } };
}

export const isOver = (practice: Practice, item: OwnItem): boolean =>
  practice.skipped[item.id] !== undefined || setsDone(practice, item.id) >= item.sets;

export const setsInAll = ({ done }: Practice): number => Object.values(done).reduce((n, sets) => n + sets.length, 0);

const MS_PER_MINUTE = 60_000;
const LONGEST_MINUTES = 300;

/** What goes to the coach: the sets that were told, and why others were not done. */
export function asSession(practice: Practice, effort: number, now: Date): SessionDto {
  const minutes = Math.round((now.getTime() - Date.parse(practice.startedAt)) / MS_PER_MINUTE);
  return {
    id: practice.id,
    plannedSessionId: practice.preparation === undefined ? practice.sessionId : null,
    ...(practice.preparation === undefined ? {} : { preparation: practice.preparation }),
    performedAt: practice.startedAt,
    effort,
    minutes: Math.min(LONGEST_MINUTES, Math.max(1, minutes)),
    note: '',
    items: practice.items.map(({ id, drillId, sets, min, max, support, manner, perSide }) => ({
      ...{ id, drillId, plannedSets: sets, min, max },
      ...(support ? { support } : {}),
      ...(manner ? { manner } : {}),
      ...(practice.skipped[id] ? { skipped: practice.skipped[id] } : {}),
      sets: (practice.done[id] ?? []).flatMap(({ ids, amount }) =>
        ids.map((setId, i) => ({ id: setId, side: sideOf(perSide, i), amount, faults: [] })),
      ),
    })),
    symptoms: [],
  };
}

const sideOf = (perSide: boolean, i: number) => (perSide ? (i === 0 ? 'left' : 'right') : 'whole');
