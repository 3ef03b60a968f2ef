/**
 * What of a check leads on: one of its named levels, a figure beyond or short of a mark, sides that differ beyond their limit, or pain that
 * stopped it.
 */
export const LEAD_SIGNS = ['level', 'above', 'below', 'sides', 'pain'] as const;
export type LeadSign = (typeof LEAD_SIGNS)[number];

/** What something that a check shows probably comes from, and the drills to try first. Part of the check, and so of the library. */
export interface Lead {
  readonly sign: LeadSign;
  /** Of levels: their numbers, from 0. */
  readonly levels?: readonly number[];
  /** The mark, in the unit of the check. */
  readonly mark?: number;
  /** The likely reason, and what to do, in the studio’s own words. */
  readonly reason: string;
  /** Ids of drills, the first one first. */
  readonly drills: readonly string[];
}
