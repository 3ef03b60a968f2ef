import type { Side } from '../anatomy/index.ts';
import type { FaultId } from '../drills/index.ts';
import type { FloorDeed, SetPlace } from './events.ts';
import type { Pace } from './pacer.ts';
import type { RunState } from './run.ts';
import type { Step, Transition } from './steps.ts';

/** What is going on with the set in hand. Seconds are those of a clock that never goes back. */
export type StagePhase =
  | { readonly kind: 'ready' }
  /** A rest, a change of side, drill or station. */
  | { readonly kind: 'between'; readonly since: number; readonly transition: Transition }
  /** Three seconds to get into position. */
  | { readonly kind: 'lead'; readonly until: number }
  /** `alive`: when this device last showed that it is awake. `paused`: since when the count stands still, a fault unanswered. */
  | { readonly kind: 'work'; readonly since: number; readonly alive: number; readonly paused?: number }
  /** By feel: how it was. */
  | { readonly kind: 'feel' }
  /** On the way out of a set that has begun: so much of it was done. What becomes of it is asked; until then nothing counts. */
  | {
      readonly kind: 'leaving';
      readonly amount: number;
      readonly since: number;
      readonly from: Extract<StagePhase, { kind: 'work' | 'feel' }>;
    }
  /** Handed over to be kept: no key does anything until it is, or is not. */
  | { readonly kind: 'keeping'; readonly deed: LoggedSet }
  /** It could not be kept anywhere: it is not logged until it is. */
  | { readonly kind: 'unkept'; readonly deed: LoggedSet };

export type LoggedSet = Extract<FloorDeed, { kind: 'set' }>;

/** A fault just seen: kept as staying until somebody says that the cue mended it. */
export interface SeenFault extends SetPlace {
  readonly eventId: string;
  readonly faultId: FaultId;
  /** In two-handed work the side on which it showed, once somebody says so. */
  readonly on?: Side;
  /** How often it was seen in this drill, this time among them. */
  readonly times: number;
  /** Seen while the set was under way. */
  readonly during: boolean;
}

export interface StageState {
  readonly phase: StagePhase;
  readonly fault?: SeenFault;
  /** Since when the one thing to do means what it means now: a tap that comes too soon was meant for what it meant before. */
  readonly means: number;
  /** The set ended before anything was done of it, so that none is logged. */
  readonly nothing?: true;
}

/** What the stage is about: the set in hand, and the one before it on this page. */
export interface StageSet {
  readonly run: RunState;
  readonly step: Step;
  readonly last?: { readonly step: Step; readonly endedAt: number; readonly unconfirmed?: boolean } | undefined;
  readonly pace: Pace;
}
