import type { PlanBriefReply } from '@myokinet/core/contracts';

/** A brief while it is written: as the contract has it. */
export type BriefDraft = Pick<
  PlanBriefReply,
  | 'weeks'
  | 'days'
  | 'equipment'
  | 'events'
  | 'pauses'
  | 'always'
  | 'never'
  | 'likes'
  | 'dislikes'
  | 'deloadEvery'
  | 'ramp'
  | 'balance'
  | 'goal'
> & {
  readonly revision: string;
  readonly basedOn: string | null;
};
