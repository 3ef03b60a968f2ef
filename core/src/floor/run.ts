import type { BodySide, Side } from '../anatomy/index.ts';
import { type DoseRange, type FaultId, sameManner, takesTurns } from '../drills/index.ts';
import type { Planned } from '../library/index.ts';
import type { Instant } from '../quantities/index.ts';
import type { Feeling } from '../readiness/index.ts';
import type { Symptom } from '../safety/index.ts';
import { type FloorEvent, type FloorHead, type FloorItem, inOrder, type DrillSkipReason, type SetPlace } from './events.ts';

export interface FaultOnFloor extends SetPlace {
  readonly id: string;
  readonly faultId: FaultId;
  readonly mended: boolean;
  readonly on?: Side;
}

/** A set as it was done, with the drill and set-up in force at that moment. */
export interface DoneSet extends SetPlace {
  readonly id: string;
  readonly order: number;
  /** By the clock of the device that logged it. */
  readonly at: Instant;
  readonly amount: number;
  readonly feeling?: Feeling;
  /** It ended by the clock, and nobody has said that it was done. */
  readonly unconfirmed?: true;
  readonly as: FloorItem;
  /** Another device had logged this place already: both are kept. */
  readonly again: boolean;
}

/** An item as it stands now. */
export interface ItemState {
  /** Drill, dose and set-up in force. */
  readonly now: FloorItem;
  readonly planned: FloorItem;
  readonly done: readonly DoneSet[];
  /** All faults seen, in order. */
  readonly faults: readonly FaultOnFloor[];
  readonly skipped?: { readonly eventId: string; readonly reason: DrillSkipReason };
  /** What stood before each change, and whether the change was to something harder. */
  readonly before: readonly { readonly as: FloorItem; readonly harder: boolean }[];
}

export interface SymptomOnFloor extends Symptom {
  readonly id: string;
}

/** A run, worked out from all that happened in it. */
export interface RunState {
  readonly head: FloorHead;
  readonly items: readonly ItemState[];
  readonly symptoms: readonly SymptomOnFloor[];
  readonly closed?: { readonly id: string; readonly effort: number; readonly minutes: number; readonly note: string };
  readonly givenUp: boolean;
  /** The latest event that can be taken back. */
  readonly last?: FloorEvent;
  /** What the next event of this run has as its order. */
  readonly nextOrder: number;
}

type Revocable = Extract<FloorEvent, { kind: 'set' | 'fault' | 'turn' | 'manner' | 'swap' | 'skip' }>;
const REVOCABLE: ReadonlySet<FloorEvent['kind']> = new Set<Revocable['kind']>(['set', 'fault', 'turn', 'manner', 'swap', 'skip']);

/**
 * The state of a run: a function of its set of events alone, so that devices which know the same events show the same run, in
 * whatever order they heard of them. Sets are never lost: a place logged twice has both.
 *
 * @param head what the run began with
 * @param events all that is known, in any order; doubled ones count once
 * @example runOf(head, [setOfPlank]).items[0].done // [{ amount: 30, round: 1, side: 'whole', again: false, … }]
 */
export function runOf(head: FloorHead, events: readonly FloorEvent[]): RunState {
  const ordered = inOrder(events);
  const revocable = new Set(ordered.filter((e) => REVOCABLE.has(e.kind)).map((e) => e.id));
  const takenBack = new Set(ordered.flatMap((e) => (e.kind === 'take back' && revocable.has(e.eventId) ? [e.eventId] : [])));
  const standing = ordered.filter((e) => !takenBack.has(e.id));
  const items = new Map(head.items.map((i) => [i.id, fresh(i)]));
  const symptoms: SymptomOnFloor[] = [];
  let closed: RunState['closed'];
  for (const event of standing) {
    if (event.kind === 'symptom') symptoms.push({ ...event.symptom, id: event.id, at: event.at });
    else if (event.kind === 'amend') amend(items, event);
    else if (event.kind === 'close') closed = { id: event.id, effort: event.effort, minutes: event.minutes, note: event.note };
    else if (event.kind !== 'give up' && event.kind !== 'take back') {
      const item = items.get(event.itemId);
      if (item) items.set(event.itemId, changed(item, event));
    }
  }
  const last = standing.findLast((e) => REVOCABLE.has(e.kind));
  return {
    head,
    items: [...items.values()],
    symptoms,
    ...(closed ? { closed } : {}),
    givenUp: !closed && standing.some((e) => e.kind === 'give up'),
    ...(last ? { last } : {}),
    nextOrder: (ordered.at(-1)?.order ?? 0) + 1,
  };
}

function fresh(item: FloorItem): ItemState {
  return { now: item, planned: item, done: [], faults: [], before: [] };
}

function changed(item: ItemState, event: Revocable): ItemState {
  const { now } = item;
  switch (event.kind) {
    case 'set': {
      const { id, order, at, itemId, round, side, amount, feeling, ranOut } = event;
      const again = item.done.some((d) => samePlace(d, event));
      return {
        ...item,
        done: [
          ...item.done,
          {
            ...{ id, order, at, itemId, round, side, amount },
            ...(feeling ? { feeling } : {}),
            ...(ranOut ? { unconfirmed: true } : {}),
            as: now,
            again,
          },
        ],
      };
    }
    case 'fault': {
      const { id, itemId, round, side, faultId, mended, on } = event;
      return { ...item, faults: [...item.faults, { id, itemId, round, side, faultId, mended, ...(on ? { on } : {}) }] };
    }
    case 'skip':
      return { ...item, skipped: { eventId: event.id, reason: event.reason } };
    case 'turn':
      return changedTo(item, { ...now, support: event.support }, event.harder);
    case 'manner':
      return changedTo(item, { ...now, manner: event.manner }, event.harder);
    case 'swap': {
      const { drillId, sets, min, max, restSeconds } = event;
      return changedTo(item, { id: now.id, drillId, sets, min, max, restSeconds }, event.harder);
    }
  }
}

/** However often somebody says what a set was, it stays one set: the last word counts. */
function amend(items: Map<string, ItemState>, { setId, amount }: Extract<FloorEvent, { kind: 'amend' }>): void {
  for (const [id, item] of items)
    if (item.done.some((d) => d.id === setId))
      items.set(id, { ...item, done: item.done.map((d) => (d.id === setId ? said(d, amount) : d)) });
}

function said({ unconfirmed: _, ...set }: DoneSet, amount: number): DoneSet {
  return { ...set, amount };
}

function changedTo(item: ItemState, now: FloorItem, harder: boolean): ItemState {
  return { ...item, now, before: [...item.before, { as: item.now, harder }] };
}

export function samePlace(a: SetPlace, b: SetPlace): boolean {
  return a.itemId === b.itemId && a.round === b.round && a.side === b.side;
}

/** Whether two items are the same drill in the same set-up, with the same weight or band. */
export function sameWork(a: Planned, b: Planned): boolean {
  return (
    a.drillId === b.drillId && JSON.stringify(a.support ?? null) === JSON.stringify(b.support ?? null) && sameManner(a.manner, b.manner)
  );
}

/** How often a fault was seen in a drill as it is now done. */
export function timesSeen(item: ItemState, faultId: FaultId): number {
  return item.faults.filter((f) => f.faultId === faultId).length;
}

/** The sides that a drill has sets of: where they take turns one set does both. */
export function sidesOfDrill({ dose }: { readonly dose: Pick<DoseRange, 'unit' | 'perSide' | 'course'> }): readonly BodySide[] {
  return dose.perSide && !takesTurns(dose) ? ['left', 'right'] : ['whole'];
}
