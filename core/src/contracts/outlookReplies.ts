import type { Calibration, GateForecast, GateOutlook, GoalOutlook, Replay } from '../forecast/index.ts';
import type { Outcome, Reliability } from '../outcomes/index.ts';
import type { Goal } from '../planning/index.ts';
import type { Instant } from '../quantities/index.ts';
import type { DemandSpread, DrillSymptoms, HeldRung, Stall } from '../trends/index.ts';

/** When the gate of the next rung is likely to open; nothing at the top of a ladder and where it is open. */
export interface ForecastReply {
  readonly at: Instant;
  readonly forecast?: GateForecast;
  /** What it was drawn from, and the seed of the draws: other weeks can be drawn from it with the same chance. */
  readonly outlook?: GateOutlook;
  readonly seed: string;
  /** What the brief wants by a day, where it says so. */
  readonly goal?: Goal & { readonly rungName: string; readonly outlook: GoalOutlook };
}

/** How the studio gets on: who stalls, where people stand, what they are short of, beside which drills something was felt. */
export interface StudioTrendsReply {
  readonly at: Instant;
  readonly people: number;
  readonly stalls: readonly Stall[];
  readonly rungs: readonly HeldRung[];
  readonly demands: readonly DemandSpread[];
  readonly drills: readonly DrillSymptoms[];
  /** Weeks over which symptoms were counted. */
  readonly symptomWeeks: number;
}

/** An answer to what became of a clearance. */
export interface ToldOutcomeReply {
  readonly clearanceId: string;
  readonly traineeId: string;
  readonly name: string;
  readonly rungName: string;
  readonly signedAt: Instant;
  readonly weeks: number;
  readonly outcome: Outcome;
  readonly note: string;
  readonly toldAt: Instant;
}

export interface OutcomesReply {
  readonly reliability: Reliability;
  /** The newest first. */
  readonly answers: readonly ToldOutcomeReply[];
  /** Questions that wait for an answer. */
  readonly due: number;
  /** Weeks after a clearance at which it is asked. */
  readonly weeks: readonly number[];
}

/** Forecasts of everybody whose gate is closed, as far as they are drawn. */
export interface ForecastsReply {
  readonly at: Instant;
  /** Trainees who wait for theirs. */
  readonly pending: number;
  readonly forecasts: readonly { readonly traineeId: string; readonly forecast: GateForecast }[];
}

/** A forecast as it would have been made in the past, beside what became of it. */
export interface PastForecastReply extends Replay {
  readonly traineeId: string;
  readonly name: string;
  readonly rungName: string;
  readonly made: Instant;
}

export interface ForecastCalibrationReply {
  readonly at: Instant;
  /** False while the past is replayed. */
  readonly ready: boolean;
  readonly calibration?: Calibration;
  readonly replays: readonly PastForecastReply[];
}
