import type { FaultId, Manner } from '../drills/index.ts';
import type { BodySide } from '../anatomy/index.ts';
import type { Instant } from '../quantities/index.ts';
import type { Symptom } from '../safety/index.ts';
import type { SupportPlan } from '../statics/index.ts';
import type { ClassMoment, ClassSlot } from './timeline.ts';

/** What somebody does in one slot: their own drill, set-up, weight and dose. */
export interface ClassItem {
  readonly drillId: string;
  /** Sets that the plan, or the class, asks for. */
  readonly sets: number;
  readonly min: number;
  /** The most of a set. */
  readonly max: number;
  readonly support?: SupportPlan;
  readonly manner?: Manner;
}

export interface SlotItem extends ClassItem {
  readonly slotId: string;
}

/** One who takes part, with what they do. Whoever is not in a slot sits it out. */
export interface ClassMember {
  readonly traineeId: string;
  /** The moment from which on they are there: 0 from the beginning. */
  readonly from: number;
  /** The session of their own plan that this is, where it is one. */
  readonly plannedSessionId: string | null;
  readonly items: readonly SlotItem[];
}

/** What a class begins with; the same on every device. Who takes part stands beside it. */
export interface ClassHead {
  readonly id: string;
  readonly groupId: string | null;
  readonly name: string;
  readonly startedAt: Instant;
  /** The routine’s name, where it is a preparation: it is load, and no session. */
  readonly preparation: string | null;
  readonly slots: readonly ClassSlot[];
  readonly moments: readonly ClassMoment[];
}

/** What each field of an event may hold; the contract that guards the border has a rule for each name. */
interface FieldTypes {
  readonly id: string;
  readonly moment: number;
  readonly milliseconds: number;
  readonly flag: boolean;
  readonly side: BodySide;
  readonly amount: number;
  readonly fault: FaultId;
  readonly drill: string;
  readonly sets: number;
  readonly least: number;
  readonly most: number;
  readonly support: SupportPlan;
  readonly manner: Manner;
  readonly symptom: Omit<Symptom, 'at'>;
  readonly effort: number;
  readonly minutes: number;
  readonly note: string;
}
export type ClassFieldRule = keyof FieldTypes;

/** What can happen in a class, and what is known of it. `who` is a trainee. */
export const CLASS_EVENT_FIELDS = {
  /** The clock from here on: at which moment, how much of it is left, and whether it runs. */
  clock: { moment: 'moment', left: 'milliseconds', running: 'flag' },
  /** A moment ran to its end before somebody’s eyes, or somebody says that it was done. */
  passed: { moment: 'moment' },
  /** From this moment on somebody does not take part, or does again. */
  sits: { who: 'id', moment: 'moment', out: 'flag' },
  /** From this moment on somebody does another drill in a slot, or the same with less. */
  swap: { who: 'id', moment: 'moment', slotId: 'id', drillId: 'drill', sets: 'sets', min: 'least', max: 'most', harder: 'flag' },
  fault: { who: 'id', moment: 'moment' },
  /** The coach counted a set of one person. */
  count: { who: 'id', moment: 'moment', side: 'side', amount: 'amount' },
  symptom: { who: 'id', moment: 'moment', symptom: 'symptom' },
  effort: { who: 'id', effort: 'effort' },
  close: { effort: 'effort', minutes: 'minutes', note: 'note' },
  'give up': {},
  'take back': { eventId: 'id' },
} as const satisfies Readonly<Record<string, Readonly<Record<string, ClassFieldRule>>>>;

/** Fields that an event may lack. A fault is marked with one tap; which it was may be said after. */
export const CLASS_EVENT_OPTIONS = {
  swap: { support: 'support', manner: 'manner' },
  fault: { faultId: 'fault' },
} as const satisfies Readonly<Partial<Record<keyof typeof CLASS_EVENT_FIELDS, Readonly<Record<string, ClassFieldRule>>>>>;

type Fields = typeof CLASS_EVENT_FIELDS;
type Options = typeof CLASS_EVENT_OPTIONS;
export type ClassEventKind = keyof Fields;
type Held<F> = { readonly [K in keyof F]: F[K] extends ClassFieldRule ? FieldTypes[F[K]] : never };
type DeedOf<K extends ClassEventKind> = { readonly kind: K } & Held<Fields[K]> &
  (K extends keyof Options ? Partial<Held<Options[K]>> : unknown);

/** What happened in a class. */
export type ClassDeed = { [K in ClassEventKind]: DeedOf<K> }[ClassEventKind];

/** A deed as it is kept and sent, as the floor’s events are. */
export type ClassEvent = ClassDeed & {
  readonly id: string;
  readonly order: number;
  readonly at: Instant;
};
