import type { BodySide } from '../anatomy/index.ts';
import type { CapacityForecast } from './capacity.ts';
import type { DrillWork } from './dose.ts';
import type { Passing } from './passing.ts';

/** One side of one demand: what passes it, where its capacity is going, and how long today's figure still counts. */
export interface DemandOutlook {
  readonly measureId: string;
  readonly side: BodySide;
  readonly passing: Passing;
  /** Absent where it was never checked. */
  readonly trend?: CapacityForecast | undefined;
  /** Days from now for which today's figure passes; 0 where it does not. */
  readonly passesDays: number;
  readonly freshDays: number;
  /** Sets a week of late that train it, weighted by how strongly. */
  readonly weeklySets: number;
  /** The same by drill, so that work that falls away can be taken out. */
  readonly work: readonly DrillWork[];
}
