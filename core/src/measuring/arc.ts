import type { BodySide } from '../anatomy/index.ts';
import { type Amount, daysBetween } from '../quantities/index.ts';
import type { Capacity } from './capacity.ts';

/** Two directions of one turn, whose sum tells more than each: a shoulder of somebody who throws turns further out and less far in. */
export const ARCS: readonly { readonly measureIds: readonly [string, string] }[] = [
  { measureIds: ['shoulder-external-rotation', 'shoulder-internal-rotation'] },
  { measureIds: ['supination', 'pronation'] },
];

/** Days that the two directions may lie apart to be one arc (project default). */
const ARC_DAYS = 28;

/** The whole turn of one side, in degrees, with the band of the sum. */
export interface Arc {
  readonly side: BodySide;
  readonly value: Amount;
  /** Half-width, one-sided 95 %: errors of the two directions add in squares. */
  readonly band: Amount;
}

/**
 * The total arc that a check belongs to, on each side where both directions were measured within four weeks. Figures that open nothing
 * are left out.
 *
 * @param newest the newest capacity of a check on a side
 * @returns nothing for a check that is half of no arc
 * @example totalArcs('pronation', newest) // [{ side: 'left', value: 160, band: 9.3 }]
 */
export function totalArcs(measureId: string, newest: (measureId: string, side: BodySide) => Capacity | undefined): readonly Arc[] {
  const arc = ARCS.find(({ measureIds }) => measureIds.includes(measureId));
  if (!arc) return [];
  return (['left', 'right'] as const).flatMap((side): Arc[] => {
    const [a, b] = arc.measureIds.map((id) => newest(id, side));
    if (!a || !b || a.provisional || b.provisional || Math.abs(daysBetween(a.takenAt, b.takenAt)) > ARC_DAYS) return [];
    return [{ side, value: (a.value + b.value) as Amount, band: Math.hypot(a.band, b.band) as Amount }];
  });
}
