import type { CautionInForce } from '../safety/index.ts';
import type { Joint } from '../anatomy/index.ts';
import type { FloorEvent, FloorHead } from '../floor/index.ts';
import type { Instant } from '../quantities/index.ts';
import type { HandLoadBySide } from '../workload/index.ts';

/** A picture from the end of a run; `kept` is false when its image was taken off the record. */
export interface FloorPhotoReply {
  readonly id: string;
  readonly runId: string;
  readonly takenAt: Instant;
  readonly kept: boolean;
}

/** A run as the server knows it. */
export interface FloorRunReply {
  readonly traineeId: string;
  readonly head: FloorHead;
  readonly events: readonly FloorEvent[];
  /** Why loaded work pauses, whoever found it out: open stop signs, and locks of the screening. */
  readonly holds: readonly string[];
  /** In force now: each closes what it closes. */
  readonly cautions: readonly CautionInForce[];
  /** The session it became. */
  readonly sessionId?: string;
  readonly photos: readonly FloorPhotoReply[];
  /** Events that could not be read, each in a sentence: the run goes on without them. */
  readonly unreadable: readonly string[];
}

/** A run in a list. */
export interface FloorRunRow {
  readonly id: string;
  readonly plannedSessionId: string | null;
  readonly openedAt: Instant;
  readonly coach: string;
  readonly ended: boolean;
  readonly sets: number;
  /** Why it cannot be opened, where it cannot. */
  readonly unreadable?: string;
}

/** Sessions as the workload page reads them, oldest first. */
export interface WorkloadReply {
  readonly sessions: readonly {
    readonly id: string;
    readonly performedAt: Instant;
    readonly effort: number;
    readonly minutes: number;
    readonly push: number;
    readonly pull: number;
    /** Absent for sessions from before it was kept. */
    readonly byJoint?: Readonly<Partial<Record<Joint, number>>>;
    readonly bySide?: HandLoadBySide;
  }[];
}
