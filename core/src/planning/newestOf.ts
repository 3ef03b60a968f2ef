import type { BodySide } from '../anatomy/index.ts';
import type { Capacity } from '../measuring/index.ts';

/** The newest figure of a check on one side that may open something. */
export function newestOf(capacities: readonly Capacity[], measureId: string, side: BodySide): Capacity | undefined {
  return capacities
    .filter((c) => c.measureId === measureId && c.side === side && !c.provisional)
    .toSorted((a, b) => b.takenAt.localeCompare(a.takenAt))[0];
}
