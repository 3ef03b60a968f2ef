import type { Side } from '../anatomy/index.ts';
import type { Capacity } from '../measuring/index.ts';
import type { Instant } from '../quantities/index.ts';
import type { CautionInForce, ScreeningLock, Symptom } from '../safety/index.ts';
import type { SessionFact } from './cleanSession.ts';
import type { Headroom } from './headroom.ts';
import type { GateSettings } from './settings.ts';

/** What a clean session must hold. */
export interface Practice {
  /** Any of these drills, at its own top and under the load of the rung. */
  readonly drillIds: readonly string[];
  readonly names: readonly string[];
  /** Below the first rung: drills that prepare for it. */
  readonly preparation: boolean;
}

/** How long, and in how many sessions, tissue has to get used to a rung before the next one. */
export interface TissueTime {
  readonly days: number;
  readonly sessions: number;
  readonly hoursApart: number;
}

/** Everything a gate rests on; nothing else is looked at. */
export interface GateInput {
  /** Every demand of the rung, each side. */
  readonly headrooms: readonly Headroom[];
  /** What a side of a check showed before its newest figure. */
  readonly before?: ((measureId: string, side: Side) => Capacity | undefined) | undefined;
  /** Sessions of the last weeks, any order. */
  readonly sessions: readonly SessionFact[];
  /** Symptoms of the last days, of sessions or not, whoever reported them. */
  readonly symptoms: readonly Symptom[];
  /** Stop signs that nobody has closed yet. */
  readonly openStopSigns: readonly Symptom[];
  readonly lastStopSignClosedAt?: Instant | undefined;
  /** What the screening waits for or locks. */
  readonly locks: readonly ScreeningLock[];
  /** The caution that closes this rung, where one does. */
  readonly closedBy?: CautionInForce | undefined;
  /** Sessions count only after each of these: withdrawal, stop sign, the trainee was added, was screened. */
  readonly since: readonly Instant[];
  readonly practice: Practice;
  /** What the tissue needs of the rung in hand, and since when it has had it; absent below the ladder. */
  readonly tissue?: { readonly since: Instant; readonly asks: TissueTime } | undefined;
  readonly now: Date;
  readonly settings?: GateSettings | undefined;
}
