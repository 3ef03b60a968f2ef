import { type ClassDeed, type ClassItem, type ClassState, itemAt, type MemberState, type SlotChoice } from '@myokinet/core/classes';
import type { ClassPersonReply } from '@myokinet/core/contracts';

/** The stretch of work that a mark is about: the one that is on, else the one before. */
export function workBefore({ head }: Pick<ClassState, 'head'>, moment: number): number | undefined {
  const at = head.moments.slice(0, moment + 1).findLastIndex((m) => m.kind === 'work');
  return at < 0 ? undefined : at;
}

/** The stretch of work that is on, else the one that comes: what a change is for. */
export function workAhead({ head }: Pick<ClassState, 'head'>, moment: number): number | undefined {
  const at = head.moments.findIndex((m, i) => i >= moment && m.kind === 'work');
  return at < 0 ? undefined : at;
}

const same = (a: ClassItem, b: ClassItem) =>
  a.drillId === b.drillId && a.max === b.max && JSON.stringify(a.support ?? null) === JSON.stringify(b.support ?? null);

/** What somebody may do in a slot from the easiest to the hardest, what they were to do among it. */
function stepsOf(person: ClassPersonReply | undefined, own: ClassItem, slotId: string): readonly (ClassItem | SlotChoice)[] {
  const these = person?.choices.find((c) => c.slotId === slotId)?.these ?? [];
  return [...these.filter((c) => !c.harder).toReversed(), own, ...these.filter((c) => c.harder)];
}

/** One step easier or harder than what somebody does now; nothing where there is none. */
export function stepFrom(
  state: MemberState,
  person: ClassPersonReply | undefined,
  { slotId, moment, by }: { readonly slotId: string; readonly moment: number; readonly by: 1 | -1 },
): ClassItem | undefined {
  const own = state.member.items.find((i) => i.slotId === slotId);
  const now = itemAt(state, slotId, moment);
  if (!own || !now) return undefined;
  const steps = stepsOf(person, own, slotId);
  const at = steps.findIndex((s) => same(s, now));
  return steps[(at < 0 ? steps.findIndex((s) => same(s, own)) : at) + by];
}

export function swapDeed(
  who: string,
  slotId: string,
  moment: number,
  { drillId, sets, min, max, support, manner }: ClassItem,
  harder: boolean,
): ClassDeed {
  const how = { ...(support ? { support } : {}), ...(manner ? { manner } : {}) };
  return { kind: 'swap', who, slotId, moment, drillId, sets, min, max, ...how, harder };
}
