import type { Routine } from '../routines/index.ts';
import type { PlanBrief } from '../planning/index.ts';
import type { Instant } from '../quantities/index.ts';
import type { PlanTemplateDto } from './brief.ts';
import type { PlanDto } from './plan.ts';

/** What could not be read of something on record, in a sentence; the rest of it stands. */
export interface MayBeUnreadable {
  readonly unreadable?: string;
}

export type PlanReply = PlanDto & { readonly savedAt: Instant } & MayBeUnreadable;

/** The brief as it stands; `revision` is null where none was written and the profile speaks. */
export type PlanBriefReply = PlanBrief & { readonly revision: string | null } & MayBeUnreadable;

/** The newest revision of a routine. */
export interface RoutineReply extends Routine, MayBeUnreadable {
  readonly id: string;
  readonly revision: string;
  readonly savedAt: Instant;
  readonly coach: string;
}

export type PlanTemplateReply = PlanTemplateDto & { readonly savedAt: Instant; readonly coach: string } & MayBeUnreadable;

/** A trainee's week, this one or a later one, that has the drill in it. */
export interface PlanUse {
  readonly traineeId: string;
  readonly name: string;
  readonly weekStart: string;
  /** Days on which the drill is planned, in order. */
  readonly days: readonly string[];
}
