import { ALLOWED_SIDE_SHARE } from '../measuring/index.ts';

/** What a studio may set about gates, for itself or for one trainee. */
export interface GateSettings {
  /** Clean sessions that a gate asks for. */
  readonly cleanSessions: number;
  /** Hours from one counted session to the next. */
  readonly hoursApart: number;
  /** Days over which clean sessions count. */
  readonly sessionWindowDays: number;
  /** Days over which symptoms and mornings must have been quiet, and after which a closed stop sign is settled. */
  readonly quietDays: number;
  /** Percent of the larger side that two sides may differ by (limits of its own at shoulder, wrist and grip shrink alike); what two checks can differ by is always allowed. */
  readonly sideDifferencePercent: number;
  /** Percent of its fresh days for which a check counts at a gate. */
  readonly freshPercent: number;
}

export type GateSetting = keyof GateSettings;

/** Where a gate starts from (common practice, no source). */
export const DEFAULT_GATE_SETTINGS: GateSettings = {
  cleanSessions: 2,
  hoursApart: 48,
  sessionWindowDays: 28,
  quietDays: 7,
  sideDifferencePercent: 100 * ALLOWED_SIDE_SHARE,
  freshPercent: 100,
};

/** Within these limits a setting may lie; the laxer end is the default wherever it guards tissue or symptoms (project defaults). */
export const GATE_LIMITS: Readonly<Record<GateSetting, { readonly min: number; readonly max: number }>> = {
  cleanSessions: { min: 2, max: 6 },
  hoursApart: { min: 48, max: 168 },
  sessionWindowDays: { min: 7, max: 28 },
  quietDays: { min: 7, max: 28 },
  sideDifferencePercent: { min: 3, max: 100 * ALLOWED_SIDE_SHARE },
  freshPercent: { min: 25, max: 100 },
};

/** Version of the rules that a verdict was reached by; raised whenever a rule changes what it needs. */
export const RULES_VERSION = 7;
