import type { Dose } from '../../drills/index.ts';
import type { Because } from '../because.ts';
import type { Option } from './task.ts';

/** A drill as it was chosen, before it is told why. */
export interface ChosenItem extends Dose {
  readonly drillId: string;
  /** Of warm-up and cool-down, which have their reason from the start. */
  readonly because?: readonly Because[];
  readonly option?: Option;
}

export interface ChosenSession {
  readonly slot: number;
  readonly items: readonly ChosenItem[];
}
