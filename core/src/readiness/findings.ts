import type { BodySide } from '../anatomy/index.ts';
import type { Provisional, SkipReason } from '../measuring/index.ts';
import type { Amount, Instant } from '../quantities/index.ts';
import type { CautionInForce, ScreeningLock, Symptom } from '../safety/index.ts';

/** Why one side of a demand passes or does not. */
export type DemandVerdict =
  'spare' | 'allowed' | 'on the mark' | 'short' | 'never checked' | 'stale' | 'in the future' | 'skipped' | Provisional;

/** Each side of a demand with its verdict. */
export interface DemandSide {
  readonly side: BodySide;
  readonly verdict: DemandVerdict;
  /** The newest attempt, where it was skipped. */
  readonly skipped?: { readonly at: Instant; readonly reason: SkipReason };
}

/** What is wrong with the morning after one session. */
export type MorningProblem =
  | { readonly kind: 'still to come'; readonly performedAt: Instant }
  | { readonly kind: 'not reported'; readonly performedAt: Instant }
  | { readonly kind: 'worse'; readonly performedAt: Instant; readonly symptom: Symptom; readonly before: number };

/** What a rule of the gate found, met or not; how it reads is said in `words`. */
export type GateFinding =
  | { readonly rule: 'demand-asked'; readonly met: boolean }
  | {
      readonly rule: 'demand';
      readonly met: boolean;
      readonly measureId: string;
      readonly sides: readonly DemandSide[];
      readonly limiter: boolean;
    }
  | {
      readonly rule: 'sides';
      readonly met: boolean;
      readonly measureId: string;
      readonly left: Amount;
      readonly right: Amount;
      readonly difference: Amount;
      readonly allowed: Amount;
      /** Of sides that are not alike: the weaker has no spare, the difference is new, or it is known and harmless. */
      readonly apart?: 'weaker short' | 'new' | 'known';
    }
  | { readonly rule: 'stop-signs'; readonly met: boolean; readonly open: readonly Symptom[] }
  | { readonly rule: 'settled'; readonly met: boolean; readonly closedAt?: Instant; readonly days: number }
  | { readonly rule: 'symptoms'; readonly met: boolean; readonly loud?: Symptom; readonly days: number }
  | {
      readonly rule: 'mornings';
      readonly met: boolean;
      readonly problem?: MorningProblem;
      readonly sessions: number;
      readonly days: number;
    }
  | {
      readonly rule: 'clean-sessions';
      readonly met: boolean;
      readonly counted: number;
      readonly needed: number;
      /** Names of what must be practised; of the preparation for a first rung the drills that count. */
      readonly practice: readonly string[];
      readonly preparation: boolean;
      readonly hoursApart: number;
      readonly windowDays: number;
    }
  | {
      readonly rule: 'tissue-time';
      readonly met: boolean;
      readonly since: Instant;
      readonly earliest: Instant;
      readonly days: number;
      readonly counted: number;
      readonly needed: number;
      readonly hoursApart: number;
    }
  | { readonly rule: 'screening'; readonly met: boolean; readonly locks: readonly ScreeningLock[] }
  | { readonly rule: 'rung-open'; readonly met: boolean; readonly caution?: CautionInForce };

export type GateRule = GateFinding['rule'];
