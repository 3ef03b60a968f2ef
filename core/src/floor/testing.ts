import { BUILT_IN } from '../catalogue/index.ts';
import { openLibrary } from '../library/index.ts';
import { addDays, instant } from '../quantities/index.ts';
import { runOf, type RunState } from './run.ts';
import type { FloorDeed, FloorEvent, FloorHead, FloorItem } from './events.ts';

export const library = openLibrary(BUILT_IN);
const START = instant('2026-11-26T17:00:00Z');

let made = 0;

/** Events of a test, a minute apart by the clock and one apart in order. */
export function event<Kind extends FloorDeed['kind']>(
  deed: Extract<FloorDeed, { kind: Kind }>,
  own: Partial<Pick<FloorEvent, 'id' | 'order' | 'at'>> = {},
): FloorEvent {
  made += 1;
  return { id: `event-${String(made).padStart(4, '0')}`, order: made, at: addDays(START, made / 1440), ...deed, ...own } as FloorEvent;
}

export function itemOf(drillId: string, own: Partial<FloorItem> = {}): FloorItem {
  return { id: `item-${drillId}`, drillId, sets: 2, min: 20, max: 30, restSeconds: 45, ...own };
}

export function headOf(items: readonly FloorItem[], own: Partial<FloorHead> = {}): FloorHead {
  return { id: 'run', plannedSessionId: 'run', startedAt: START, form: 'sets', progress: 'count', items, ...own };
}

/** One set done at the top of its dose unless told otherwise. */
export function setOf(drillId: string, round = 1, own: Partial<Extract<FloorDeed, { kind: 'set' }>> = {}): FloorEvent {
  return event({ kind: 'set', itemId: `item-${drillId}`, round, side: 'whole', amount: 30, ...own });
}

/** A run in which things happened in this order. */
export function ran(head: FloorHead, events: readonly FloorEvent[]): RunState {
  return runOf(
    head,
    events.map((e, i) => ({ ...e, order: i + 1 })),
  );
}
