import { inOrder, type LoggedFloorItem } from '../floor/index.ts';
import type { BodySide } from '../anatomy/index.ts';
import { type FaultId, sameManner } from '../drills/index.ts';
import type { Library } from '../library/index.ts';
import type { Symptom } from '../safety/index.ts';
import type { ClockSet } from './clock.ts';
import type { ClassEvent, ClassHead, ClassItem, ClassMember } from './events.ts';
import { type AskedSet, askedSet } from './timeline.ts';

export interface ClassFault {
  readonly id: string;
  readonly moment: number;
  /** Absent: marked, and nobody has said which it was. */
  readonly faultId?: FaultId | undefined;
}
export interface ClassSymptom extends Symptom {
  readonly id: string;
  readonly during: number;
}
interface FromMoment {
  readonly moment: number;
}
/** One who takes part, as it stands. */
export interface MemberState {
  readonly member: ClassMember;
  /** In the order of the class: each holds from its moment on. */
  readonly sits: readonly (FromMoment & { readonly out: boolean })[];
  readonly swaps: readonly (FromMoment & { readonly slotId: string; readonly item: ClassItem; readonly harder: boolean })[];
  readonly faults: readonly ClassFault[];
  /** What the coach counted, by moment and side. */
  readonly counts: ReadonlyMap<string, number>;
  readonly symptoms: readonly ClassSymptom[];
  readonly effort?: number | undefined;
}
/** A class, worked out from all that happened in it. */
export interface ClassState {
  readonly head: ClassHead;
  readonly members: readonly MemberState[];
  /** Moments that ran to their end before somebody’s eyes. */
  readonly passed: ReadonlySet<number>;
  readonly clock?: ClockSet | undefined;
  readonly closed?: { readonly id: string; readonly effort: number; readonly minutes: number; readonly note: string } | undefined;
  readonly givenUp: boolean;
  /** The latest mark that can be taken back. */
  readonly last?: ClassMark | undefined;
  readonly nextOrder: number;
}

type ClassMark = Extract<ClassEvent, { kind: 'sits' | 'swap' | 'fault' | 'count' }>;
const isMark = (event: ClassEvent): event is ClassMark => ['sits', 'swap', 'fault', 'count'].includes(event.kind);

const placeKey = (moment: number, side: BodySide) => `${moment} ${side}`;

/**
 * The state of a class: a function of who takes part and of its set of events alone, so that devices which know the same show the same,
 * in whatever order they heard of it.
 *
 * @param members whoever takes part; one who comes twice is there once, as first known
 * @param events all that is known, in any order; doubled ones count once
 */
export function classOf(head: ClassHead, members: readonly ClassMember[], events: readonly ClassEvent[]): ClassState {
  const ordered = inOrder(events);
  const marks = new Set(ordered.filter(isMark).map((e) => e.id));
  const takenBack = new Set(ordered.flatMap((e) => (e.kind === 'take back' && marks.has(e.eventId) ? [e.eventId] : [])));
  const standing = ordered.filter((e) => !takenBack.has(e.id));
  const first = members.filter((m, i) => members.findIndex((other) => other.traineeId === m.traineeId) === i);
  const of = (kind: ClassEvent['kind']) => standing.filter((e) => e.kind === kind);
  const closed = of('close').at(-1);
  const clock = of('clock').at(-1);
  return {
    head,
    members: first.map((member) => memberState(member, standing)),
    passed: new Set(standing.flatMap((e) => (e.kind === 'passed' ? [e.moment] : []))),
    ...(clock?.kind === 'clock'
      ? { clock: { id: clock.id, moment: clock.moment, left: clock.left, running: clock.running, at: Date.parse(clock.at) } }
      : {}),
    ...(closed?.kind === 'close' ? { closed: { id: closed.id, effort: closed.effort, minutes: closed.minutes, note: closed.note } } : {}),
    givenUp: !closed && of('give up').length > 0,
    last: standing.findLast(isMark),
    nextOrder: (ordered.at(-1)?.order ?? 0) + 1,
  };
}

function memberState(member: ClassMember, standing: readonly ClassEvent[]): MemberState {
  const own = standing.filter((e) => 'who' in e && e.who === member.traineeId);
  const symptoms: ClassSymptom[] = own.flatMap((e) =>
    e.kind === 'symptom' ? [{ ...e.symptom, id: e.id, at: e.at, during: e.moment }] : [],
  );
  // Whoever is hurt stops: from that moment on they sit out until somebody says that they go on.
  const sits = own.flatMap((e) =>
    e.kind === 'sits' ? [{ moment: e.moment, out: e.out }] : e.kind === 'symptom' ? [{ moment: e.moment, out: true }] : [],
  );
  return {
    member,
    sits: sits.sort((a, b) => a.moment - b.moment),
    swaps: own
      .flatMap((e) => {
        if (e.kind !== 'swap') return [];
        const { moment, slotId, drillId, sets, min, max, support, manner, harder } = e;
        const item = { drillId, sets, min, max, ...(support ? { support } : {}), ...(manner ? { manner } : {}) };
        return [{ moment, slotId, item, harder }];
      })
      .sort((a, b) => a.moment - b.moment),
    faults: own.flatMap((e) => (e.kind === 'fault' ? [{ id: e.id, moment: e.moment, faultId: e.faultId }] : [])),
    counts: new Map(own.flatMap((e) => (e.kind === 'count' ? [[placeKey(e.moment, e.side), e.amount] as const] : []))),
    symptoms,
    effort: own.flatMap((e) => (e.kind === 'effort' ? [e.effort] : [])).at(-1),
  };
}

/** Whether somebody takes no part in a moment: not there yet, sitting out, or stopped by what hurts. */
export function isOut({ member, sits }: MemberState, moment: number): boolean {
  return moment < member.from || (sits.findLast((s) => s.moment <= moment)?.out ?? false);
}

/** What somebody does in a slot at a moment; nothing where the slot is not for them. */
export function itemAt({ member, swaps }: MemberState, slotId: string, moment: number): ClassItem | undefined {
  return swaps.findLast((s) => s.slotId === slotId && s.moment <= moment)?.item ?? member.items.find((i) => i.slotId === slotId);
}

/** What a stretch of work asks of somebody. */
export interface WorkNow {
  readonly slotId: string;
  readonly item: ClassItem;
  readonly asked: AskedSet;
}

type Classed = Pick<ClassState, 'head' | 'passed'>;
type Planned = Pick<Library, 'asPlanned'>;

/**
 * What somebody does in a stretch of work: nothing where they take no part, where the slot is not for them, or where they have done their
 * sets of it.
 *
 * @throws Refusal `drill-unknown`
 */
export function workAt({ head }: Pick<ClassState, 'head'>, state: MemberState, at: number, library: Planned): WorkNow | undefined {
  const moment = head.moments[at];
  if (moment?.kind !== 'work' || moment.slotId === undefined || isOut(state, at)) return undefined;
  const { slotId, side } = moment;
  const item = itemAt(state, slotId, at);
  if (!item) return undefined;
  const nth = head.moments.slice(0, at + 1).filter((m) => m.slotId === slotId && m.side === side).length;
  if (nth > item.sets) return undefined;
  return { slotId, item, asked: askedSet(moment, library.asPlanned(item), item.max) };
}

/** A set of a class as it counts. */
export interface ClassSet extends Pick<WorkNow, 'slotId' | 'item'> {
  readonly moment: number;
  readonly side: BodySide;
  readonly amount: number;
  /** Nobody counted it. */
  readonly unconfirmed: boolean;
  readonly faults: readonly { readonly faultId: FaultId; readonly mended: false }[];
}

/**
 * Sets that somebody did: of every stretch of work that was seen to its end and in which they took part, as much as it asked of them,
 * counted by nobody; where the coach counted, what was counted.
 */
export function classSets(class_: Classed, state: MemberState, library: Planned): readonly ClassSet[] {
  return class_.head.moments.flatMap((_, at): readonly ClassSet[] => {
    const work = workAt(class_, state, at, library);
    if (!work) return [];
    const seen = state.faults.filter((f) => f.moment === at);
    const unnamed = seen.some((f) => f.faultId === undefined);
    const faults = [...new Set(seen.flatMap((f) => f.faultId ?? []))].map((faultId) => ({ faultId, mended: false }) as const);
    const { slotId, item, asked } = work;
    return asked.sides.flatMap((side): readonly ClassSet[] => {
      const counted = state.counts.get(placeKey(at, side));
      if (counted === undefined && !class_.passed.has(at)) return [];
      return [{ moment: at, slotId, item, side, amount: counted ?? asked.amount, unconfirmed: counted === undefined || unnamed, faults }];
    });
  });
}

/** Minutes of the class in which somebody took part: whoever came late or left early was there for less of it. */
export function memberMinutes({ head, passed }: Classed, state: MemberState, minutes: number): number {
  const last = Math.max(-1, ...passed);
  const there = head.moments.slice(0, last + 1).map(({ seconds }, at) => ({ seconds, out: isOut(state, at) }));
  const total = there.reduce((sum, m) => sum + m.seconds, 0);
  if (total === 0) return minutes;
  return Math.max(1, Math.round((minutes * there.reduce((sum, m) => sum + (m.out ? 0 : m.seconds), 0)) / total));
}

const MOST_PLANNED = 20;

/**
 * What a class puts on record of one person: each drill and set-up for itself. Of one that was left for something easier as many sets
 * were asked as planned.
 *
 * @throws Refusal `drill-unknown`
 */
export function classItems(class_: Classed, state: MemberState, library: Planned): readonly LoggedFloorItem[] {
  const found: { readonly item: ClassItem; readonly slots: Set<string>; planned: number; readonly sets: ClassSet[] }[] = [];
  for (const set of classSets(class_, state, library)) {
    let one = found.find((f) => sameWork(f.item, set.item));
    if (!one) found.push((one = { item: set.item, slots: new Set(), planned: 0, sets: [] }));
    if (!one.slots.has(set.slotId)) {
      one.slots.add(set.slotId);
      one.planned += set.item.sets;
    }
    one.sets.push(set);
  }
  return found.map(({ item, planned, sets }): LoggedFloorItem => ({
    drillId: item.drillId,
    plannedSets: Math.min(MOST_PLANNED, Math.max(1, planned)),
    min: item.min,
    max: item.max,
    ...(item.support ? { support: item.support } : {}),
    ...(item.manner ? { manner: item.manner } : {}),
    sets: sets.map(({ side, amount, unconfirmed, faults }) => ({
      side,
      amount,
      ...(unconfirmed ? { unconfirmed } : {}),
      faults: [...faults],
    })),
  }));
}

function sameWork(a: ClassItem, b: ClassItem): boolean {
  const supports = JSON.stringify(a.support ?? null) === JSON.stringify(b.support ?? null);
  return a.drillId === b.drillId && supports && sameManner(a.manner, b.manner) && a.max === b.max;
}

/** Stretches of work behind the clock that nobody’s device saw to their end: whether they were done is for somebody to say. */
export function notSeen({ head, passed }: Classed, until: number): readonly number[] {
  return head.moments.flatMap(({ kind }, at) => (kind === 'work' && at < until && !passed.has(at) ? [at] : []));
}
