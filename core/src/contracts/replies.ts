import type { BodySide } from '../anatomy/index.ts';
import type { Capacity, OwnError, Repeatability, Skip } from '../measuring/index.ts';
import type { PlannerFacts } from '../planning/index.ts';
import type { CalendarDay, Instant } from '../quantities/index.ts';
import type { CleanFinding, DueToday, Gate, GateFinding, GateSettings, Headroom, Standing, Recheck } from '../readiness/index.ts';
import type { CautionInForce, ClosingProblem, Morning, ProfessionalRole, ScreeningOutcome, Symptom } from '../safety/index.ts';
import type { LastingPainReply } from './healthReplies.ts';
import type { BandCurve, Belief, JudgedReading } from '../statics/index.ts';
import type { HandLoadBySide, HandLoadTotals } from '../workload/index.ts';
import type { FactKind } from './correction.ts';
import type { FloorPhotoReply } from './floorReplies.ts';
import type { BandDto, ScaleReadingDto } from './lab.ts';
import type { PictureDto } from './picture.ts';
import type { MayBeUnreadable } from './planReplies.ts';
import type { ReadingDto } from './reading.ts';
import type { RepeatabilityTestDto } from './repeatability.ts';
import type { BatteryCellDto } from './battery.ts';
import type { SessionDto, SymptomDto } from './session.ts';
import type { TraineeDto } from './trainee.ts';

/** What the server answers with. Replies are built by the server and trusted by the pages. */

export type TraineeReply = TraineeDto & {
  readonly savedAt: Instant;
  /** Out of the lists since then; none while the trainee trains here. */
  readonly archivedAt?: Instant;
  readonly screening: ScreeningOutcome;
  /** Known, lasting pains, newest word first. */
  readonly lastingPains: readonly LastingPainReply[];
  /** What scale readings have taught the model; absent where there are none that count. */
  readonly belief?: Belief;
};

export interface ScaleReadingReply extends ScaleReadingDto {
  readonly coach: string;
  /** What the model makes of it, next to the readings before it. */
  readonly judged: JudgedReading;
  readonly setAside?: { readonly reason: string; readonly at: Instant };
}

/** Readings of a scale, newest first. */
export interface CalibrationReply {
  readonly readings: readonly ScaleReadingReply[];
  /** Readings that could not be read, each in a sentence; they teach the model nothing. */
  readonly unreadable: readonly string[];
}

export interface BandReply extends BandDto {
  readonly savedAt: Instant;
  readonly coach: string;
  readonly curve: BandCurve;
  /** How far the readings lie off the curve at most, in newtons. */
  readonly worstN: number;
}

export interface CaseloadRow {
  readonly id: string;
  readonly name: string;
  readonly ladderId: string;
  readonly ladderName: string;
  readonly rungs: number;
  /** Of the rung in hand; absent below the ladder. */
  readonly rungName?: string;
  /** Index of the rung in hand, −1 below the ladder. */
  readonly here: number;
  readonly lapsed: boolean;
  readonly nextRungName?: string;
  readonly limiter?: Pick<Headroom, 'side' | 'state' | 'amount' | 'ageDays' | 'inFuture' | 'skipped'> & { readonly measureId: string };
  readonly gateOpen: boolean;
  readonly unmet: number;
  readonly locked: boolean;
  readonly openStopSigns: number;
  readonly unknown: number;
  readonly lastCheckAt?: Instant;
  readonly lastSessionAt?: Instant;
  /** Next planned session from today on. */
  readonly nextSessionOn?: CalendarDay;
  /** Session load (effort × minutes) of the last four weeks, oldest first. */
  readonly weekLoads: readonly number[];
}

export interface ReadinessReply {
  readonly judgedAt: Instant;
  readonly ladderId: string;
  readonly standing: Standing;
  readonly rungId?: string;
  readonly headrooms: readonly Headroom[];
  readonly gate?: Gate;
  readonly slipped: readonly Headroom[];
  /** Rungs of the ladder that the screening closes, with the reason. */
  readonly closedRungs: Readonly<Record<string, CautionInForce>>;
  /** What its gates are judged by, as the studio or this trainee has it. */
  readonly settings: GateSettings;
  /** Earlier capacities of the checks shown, newest first, by `checkKey`. */
  readonly trails: Readonly<Record<string, readonly Capacity[]>>;
  readonly stopSigns: readonly StopSignReply[];
  readonly planner: PlannerFacts;
}

export interface StopSignReply {
  readonly symptomId: string;
  readonly reason: string;
  readonly at: Instant;
  readonly closure?: {
    readonly ground: string;
    readonly closedAt: Instant;
    /** On whose word; absent where the coach closed it. */
    readonly role?: ProfessionalRole;
    readonly consultedOn?: CalendarDay;
  };
  /** Why the coach alone may not close it yet; absent where the coach may. */
  readonly problem?: ClosingProblem;
}

/** A symptom on record, as it was judged then. */
export type SymptomReply = SymptomDto & Pick<Symptom, 'at' | 'judged' | 'reportedBy'>;

export interface TrialReply {
  readonly id: string;
  readonly measureId: string;
  readonly side: BodySide;
  readonly value: number;
  /** The trial this one replaces, and why. */
  readonly replaces?: string;
  readonly reason?: string;
  /** Set when another trial took this one's place. */
  readonly replacedBy?: string;
  /** Absent for a figure that was typed. */
  readonly reading?: ReadingDto;
}

export interface CheckReply {
  readonly id: string;
  readonly takenAt: Instant;
  /** Absent where an older program did not keep it. */
  readonly recordedAt?: Instant;
  readonly note: string;
  readonly coach: string;
  readonly trials: readonly TrialReply[];
  readonly capacities: readonly Capacity[];
  readonly skips: readonly Skip[];
  /** Why it counts no more. */
  readonly takenBack?: string;
}

/** A battery that is being taken. */
export interface BatteryReply {
  readonly id: string;
  readonly startedAt: Instant;
  readonly touchedAt: Instant;
  readonly scope: string;
  readonly note: string;
  readonly coach: string;
  readonly cells: readonly BatteryCellDto[];
  readonly skips: readonly Skip[];
}

/** The battery under way, and what a device that had another is to know of it. */
export interface OpenBattery {
  readonly battery: BatteryReply | null;
  /** The newest checks on record: a battery that is among them was saved, and otherwise given up. */
  readonly saved: readonly string[];
}

/** A picture on record, without its image. */
export type PictureReply = Omit<PictureDto, 'image' | 'takenAt'> & {
  readonly takenAt: Instant;
  readonly coach: string;
  /** False when the image was taken off the record. */
  readonly kept: boolean;
};

export type RepeatabilityReply = Omit<RepeatabilityTestDto, 'takenAt'> & {
  readonly takenAt: Instant;
  readonly coach: string;
  readonly result: Repeatability;
};

/** What the coach's figures are worth. */
export interface MeasuringReply {
  /** By measure; a check that is missing has the default error. */
  readonly ownErrors: Readonly<Record<string, OwnError>>;
  /** Newest first. */
  readonly tests: readonly RepeatabilityReply[];
}

export type SessionReply = Omit<SessionDto, 'symptoms'> & {
  readonly symptoms: readonly SymptomReply[];
  /** Its first version: stays the same through corrections. */
  readonly originId: string;
  readonly clean: boolean;
  /** What decided it; absent for sessions that an older program judged. */
  readonly finding?: CleanFinding;
  /** What an older program wrote. */
  readonly cleanReason: string;
  /** Why it took the place of the version before. */
  readonly reason?: string;
  readonly load: number;
  readonly handLoad: HandLoadTotals & { readonly bySide?: HandLoadBySide };
  /** The run it came from. */
  readonly runId?: string;
  /** The version before sets of another device came in, which stays on record. */
  readonly replaced?: { readonly id: string; readonly sets: number; readonly load: number };
  /** The class that it was part of. */
  readonly inClass?: string;
  /** Told by the trainee, with no coach by. */
  readonly reportedBy?: 'trainee';
  readonly photos?: readonly FloorPhotoReply[];
} & MayBeUnreadable;

/** A fact that counts no more. */
export interface TakenBackReply {
  readonly id: string;
  readonly kind: FactKind;
  readonly factId: string;
  /** When the fact itself was. */
  readonly of: Instant;
  readonly at: Instant;
  readonly reason: string;
  readonly coach: string;
}

/** One change of what is set about gates. */
export interface SavedGateSettings {
  readonly id: string;
  /** Absent: for the whole studio. */
  readonly traineeId?: string;
  readonly savedAt: Instant;
  readonly choices: Partial<GateSettings>;
  readonly reason: string;
  readonly coach: string;
}

export interface GateSettingsReply {
  /** What counts for everybody who has no own. */
  readonly settings: GateSettings;
  /** Newest first. */
  readonly changes: readonly SavedGateSettings[];
}

export interface ClearanceReply extends MayBeUnreadable {
  /** What took it back. */
  readonly withdrawnBy?: 'coach' | 'stop sign' | 'correction';
  /** Every line as it was found when it was signed; absent for what an older program signed. */
  readonly findings?: readonly GateFinding[];
  readonly rulesVersion: number;
  /** How likely it was then that every demand was truly met. */
  readonly likelihood?: number;
  /** Why it was signed although lines were unmet. */
  readonly against?: string;
  readonly id: string;
  readonly ladderId: string;
  readonly rungId: string;
  readonly rungName: string;
  readonly signedAt: Instant;
  readonly initials: string;
  readonly figures: readonly Headroom[];
  readonly withdrawnAt?: Instant;
  readonly withdrawnReason?: string;
}

export interface RecordReply {
  readonly sessions: readonly SessionReply[];
  /** Reported outside a session. */
  readonly symptoms: readonly SymptomReply[];
  readonly stopSigns: readonly StopSignReply[];
  readonly clearances: readonly ClearanceReply[];
  /** How mornings after sessions were, as the trainee told it on their own page; newest first. */
  readonly mornings: readonly { readonly at: Instant; readonly how: Morning }[];
  readonly takenBack: readonly TakenBackReply[];
}

/** Checks of one trainee that fall due on one day. */
export type RecheckReply = Recheck & { readonly traineeId: string; readonly name: string };

export type TodayItem = DueToday & {
  readonly traineeId: string;
  readonly name: string;
};

/** RFC 9457 problem details, with the product's code and the fields at fault. */
export interface ProblemReply {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly code: string;
  readonly fields?: readonly { readonly field: string; readonly limit: string; readonly message: string }[];
}
