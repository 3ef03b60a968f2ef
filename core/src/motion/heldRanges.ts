import type { Capacity, Measure } from '../measuring/index.ts';
import { daysBetween } from '../quantities/index.ts';
import { type AskedRange, CHECK_OF_RANGE } from './ranges.ts';

/** How a range that is asked stands against what a trainee has shown. */
export type HeldState = 'enough' | 'about' | 'short' | 'stale' | 'unchecked' | 'not measured';

/** A range that is asked, and what was shown of it. */
export interface HeldRange {
  readonly asked: AskedRange;
  readonly state: HeldState;
  /** The check that measures it; absent: none does. */
  readonly measure?: Measure;
  /** What it showed last. */
  readonly capacity?: Capacity;
  /** Where it is short: what makes the movement fit. */
  readonly fit?: RangeFit;
}

/** What makes a movement fit a range that is short of it, in degrees: the heel of the hand raised, a straight wrist, or a smaller way. */
export type RangeFit =
  | { readonly kind: 'heel raised'; readonly degrees: number }
  | { readonly kind: 'straight wrist' }
  | { readonly kind: 'as far as'; readonly degrees: number };

/** The most that a wedge under the heel of the hand takes off, degrees: steeper, and the hand slides (project default). */
const STEEPEST_WEDGE = 25;

type Known = Pick<ReadonlyMap<string, Measure>, 'get'>;

/**
 * Ranges that a movement asks for, against a trainee's newest checks that may count: enough where the whole error band reaches, short
 * where none of it does. The elbow is held against nothing here: straight is enough.
 *
 * @param capacities of one trainee, in any order
 * @param measures the library's checks by id
 */
export function heldRanges(
  asked: readonly AskedRange[],
  capacities: readonly Capacity[],
  measures: Known,
  now: Date,
): readonly HeldRange[] {
  return asked.map((range): HeldRange => {
    const checks = CHECK_OF_RANGE[range.range];
    const id = range.range === 'elbow extension' ? undefined : ((range.loaded ? checks.loaded : undefined) ?? checks.free);
    const measure = id === undefined ? undefined : measures.get(id);
    if (!measure) return { asked: range, state: 'not measured' };
    const capacity = capacities
      .filter((c) => c.measureId === measure.id && (c.side === range.side || c.side === 'whole') && !c.provisional)
      .toSorted((a, b) => b.takenAt.localeCompare(a.takenAt))[0];
    if (!capacity) return { asked: range, state: 'unchecked', measure };
    const state = stateOf(range.degrees, capacity, measure, now);
    return { asked: range, state, measure, capacity, ...(state === 'short' ? { fit: fitOf(range, capacity) } : {}) };
  });
}

function stateOf(degrees: number, { value, band, takenAt }: Capacity, { freshDays }: Measure, now: Date): HeldState {
  if (daysBetween(takenAt, now) > freshDays) return 'stale';
  if (value - band >= degrees) return 'enough';
  return value + band < degrees ? 'short' : 'about';
}

/** By the figure itself: its band stands beside it. */
function fitOf({ range, loaded, degrees }: AskedRange, { value }: Capacity): RangeFit {
  if (range !== 'wrist extension' || !loaded) return { kind: 'as far as', degrees: Math.round(value) };
  const missing = Math.round(degrees - value);
  return missing > STEEPEST_WEDGE ? { kind: 'straight wrist' } : { kind: 'heel raised', degrees: missing };
}
