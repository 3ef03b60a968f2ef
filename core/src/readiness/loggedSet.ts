import type { BodySide } from '../anatomy/index.ts';

/** How a set felt, where the school stops counting. */
export const FEELINGS = ['too easy', 'right', 'too much', 'clenched'] as const;
export type Feeling = (typeof FEELINGS)[number];

/** One logged set: what was done, and which faults showed. */
export interface LoggedSet {
  readonly amount: number;
  /** Where the drill has sides. */
  readonly side?: BodySide;
  /** Set where the dose was by feel; the amount then decides nothing. */
  readonly feeling?: Feeling | undefined;
  /** It ran to its end by the clock, and nobody said that it was done: it opens nothing. */
  readonly unconfirmed?: boolean | undefined;
  readonly faults: readonly { readonly faultId: string; readonly mended: boolean }[];
}
