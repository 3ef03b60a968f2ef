import type { Instant } from '../quantities/index.ts';
import type {
  BeforeSession,
  BeightonTest,
  BloodPressure,
  Consultation,
  EmergencyFact,
  GuardianConsent,
  LastingPain,
  ScreeningAnswer,
} from '../safety/index.ts';

export interface LastingPainReply extends LastingPain {
  readonly id: string;
  readonly said: string;
  readonly recordedAt: Instant;
}

/** The screening as it was answered. */
export interface ScreeningReply {
  readonly id: string;
  readonly takenAt: Instant;
  readonly answers: readonly ScreeningAnswer[];
  readonly beighton: readonly BeightonTest[] | null;
  readonly note: string;
  readonly coach: string;
}

export interface ConsultationReply extends Consultation {
  readonly id: string;
  readonly screeningId: string;
  readonly recordedAt: Instant;
  readonly coach: string;
}

/** That the emergency button was pressed, and what was seen. */
export interface EmergencyReply extends EmergencyFact {
  readonly id: string;
  readonly recordedAt: Instant;
  readonly coach: string;
  readonly note: string;
  /** Why it was a mistake. */
  readonly mistake?: string;
}

/** Whom to call, and where the studio is; `id` is null while nobody has said. */
export interface EmergencyCareReply {
  readonly id: string | null;
  readonly number: string;
  readonly place: string;
}

export interface ScreeningsReply {
  readonly current?: ScreeningReply;
  readonly earlier: readonly ScreeningReply[];
  readonly consultations: readonly ConsultationReply[];
  readonly health: HealthReply;
}

/** Who put a fact of health on record, and when. */
interface Recorded {
  readonly id: string;
  readonly recordedAt: Instant;
  readonly coach: string;
}

export type BeforeSessionReply = BeforeSession & Recorded & { readonly replaces?: string };
export type BloodPressureReply = BloodPressure & Recorded;
export type GuardianConsentReply = GuardianConsent & Recorded;

/** What is known of a trainee's health besides the screening, each newest first. */
export interface HealthReply {
  readonly before: readonly BeforeSessionReply[];
  readonly pressures: readonly BloodPressureReply[];
  readonly consents: readonly GuardianConsentReply[];
}
