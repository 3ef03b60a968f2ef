import type { BodySide, Side } from '../anatomy/index.ts';
import type { Dose, FaultId, Manner } from '../drills/index.ts';
import type { SessionForm } from '../planning/index.ts';
import type { Instant } from '../quantities/index.ts';
import type { Feeling } from '../readiness/index.ts';
import type { Symptom } from '../safety/index.ts';
import type { Schools } from '../schools/index.ts';
import type { SupportPlan } from '../statics/index.ts';

/** One drill of a run as it was planned. */
export interface FloorItem extends Dose {
  readonly id: string;
  readonly drillId: string;
  /** The set-up, where it is not the drill's. */
  readonly support?: SupportPlan;
  /** The weight, band or tempo it is done with. */
  readonly manner?: Manner;
}

/** What a run begins with; the same on every device that runs it. */
export interface FloorHead {
  /** Of a planned session its own id, so that two devices that start it mean the same run. */
  readonly id: string;
  readonly plannedSessionId: string | null;
  readonly startedAt: Instant;
  readonly form: SessionForm;
  readonly progress: Schools['progress'];
  readonly items: readonly FloorItem[];
}

/** Why a drill was left out. */
export const DRILL_SKIP_REASONS = ['pain', 'not safe today', 'no equipment', 'out of time', 'asked not to', 'stop sign'] as const;
export type DrillSkipReason = (typeof DRILL_SKIP_REASONS)[number];

/** Where a set belongs: the round counts from 1. */
export interface SetPlace {
  readonly itemId: string;
  readonly round: number;
  readonly side: BodySide;
}

/** What each field of an event may hold; the contract that guards the border has a rule for each name. */
interface FieldTypes {
  readonly id: string;
  readonly round: number;
  readonly side: BodySide;
  readonly oneSide: Side;
  readonly amount: number;
  readonly feeling: Feeling;
  readonly fault: FaultId;
  readonly flag: boolean;
  readonly support: SupportPlan;
  readonly manner: Manner;
  readonly drill: string;
  readonly sets: number;
  readonly least: number;
  readonly most: number;
  readonly rest: number;
  readonly skipReason: DrillSkipReason;
  readonly symptom: Omit<Symptom, 'at'>;
  readonly effort: number;
  readonly minutes: number;
  readonly note: string;
}
export type FloorFieldRule = keyof FieldTypes;

const PLACE = { itemId: 'id', round: 'round', side: 'side' } as const;

/** What can happen on the floor, and what is known of it: the one declaration, for the type and for the contract. */
export const FLOOR_EVENT_FIELDS = {
  set: { ...PLACE, amount: 'amount' },
  fault: { ...PLACE, faultId: 'fault', mended: 'flag' },
  turn: { itemId: 'id', support: 'support', harder: 'flag' },
  /** Another weight or band. */
  manner: { itemId: 'id', manner: 'manner', harder: 'flag' },
  swap: { itemId: 'id', drillId: 'drill', sets: 'sets', min: 'least', max: 'most', restSeconds: 'rest', harder: 'flag' },
  skip: { itemId: 'id', reason: 'skipReason' },
  symptom: { symptom: 'symptom' },
  /** Somebody says what a set was: confirms one that ran out, or puts its figure right. */
  amend: { setId: 'id', amount: 'amount' },
  close: { effort: 'effort', minutes: 'minutes', note: 'note' },
  'give up': {},
  'take back': { eventId: 'id' },
} as const satisfies Readonly<Record<string, Readonly<Record<string, FloorFieldRule>>>>;

/**
 * Fields that an event may lack. A set that `ranOut` ended by the clock, and nobody has said yet that it was done. A fault of two-handed
 * work may say `on` which side it showed.
 */
export const FLOOR_EVENT_OPTIONS = {
  set: { feeling: 'feeling', ranOut: 'flag' },
  fault: { on: 'oneSide' },
} as const satisfies Readonly<Partial<Record<keyof typeof FLOOR_EVENT_FIELDS, Readonly<Record<string, FloorFieldRule>>>>>;

type Fields = typeof FLOOR_EVENT_FIELDS;
type Options = typeof FLOOR_EVENT_OPTIONS;
export type FloorEventKind = keyof Fields;

type Held<F> = { readonly [K in keyof F]: F[K] extends FloorFieldRule ? FieldTypes[F[K]] : never };
type DeedOf<K extends FloorEventKind> = { readonly kind: K } & Held<Fields[K]> &
  (K extends keyof Options ? Partial<Held<Options[K]>> : unknown);

/** What happened on the floor. */
export type FloorDeed = { [K in FloorEventKind]: DeedOf<K> }[FloorEventKind];

/**
 * A deed as it is kept and sent: never changed, only taken back by another. `order` is one more than the largest that the device had
 * seen, so that events sort as they came about whatever the clocks of the devices say.
 */
export type FloorEvent = FloorDeed & {
  readonly id: string;
  readonly order: number;
  /** By the device's own clock: for the record, never for the order. */
  readonly at: Instant;
};

/**
 * Events in the one order that all devices agree upon, whichever they heard of first.
 *
 * @example inOrder([{ id: 'b', order: 2, … }, { id: 'a', order: 2, … }, { id: 'c', order: 1, … }]).map((e) => e.id) // ['c', 'a', 'b']
 */
export function inOrder<E extends { readonly id: string; readonly order: number }>(events: readonly E[]): readonly E[] {
  const known = new Map(events.map((e) => [e.id, e]));
  return [...known.values()].sort((a, b) => a.order - b.order || (a.id < b.id ? -1 : 1));
}
