import type { BodySide } from '../anatomy/index.ts';
import type { Library, Planned } from '../library/index.ts';
import type { LoggedSet } from './loggedSet.ts';

/** What a session showed of one drill, as far as a gate may rest on it. */
export interface Practised {
  readonly drillId: string;
  /** Enough sets, on every side that the drill has, at the drill's own usual top and without a fault that stayed. */
  readonly top: boolean;
  /** Load on the hands against the drill's own set-up on this trainee: 1 as it is, 0.9 a tenth lighter. */
  readonly load: number;
}

/** One drill of a session with the set-up it was done in. */
export interface PractisedItem extends Planned {
  readonly sets: readonly LoggedSet[];
}

/** Sets at the top that make a practice, where the drill has as many (project default). */
const SETS_AT_TOP = 2;

/**
 * What a session showed of each drill. Its own usual top decides, never what the plan of the day asked for: one repetition that was
 * planned and done is no practice.
 *
 * @param items drills as they were logged
 * @param library fitted to the trainee
 * @throws Refusal `drill-unknown`
 * @example practisedIn([{ drillId: 'plank', sets: [{ amount: 40, faults: [] }, { amount: 40, faults: [] }] }], library)
 * // [{ drillId: 'plank', top: true, load: 1 }]
 */
export function practisedIn(items: readonly PractisedItem[], library: Library): readonly Practised[] {
  return items
    .filter((item) => item.sets.length > 0)
    .map((item) => ({ drillId: item.drillId, top: atTop(item, library), load: loadOf(item, library) }));
}

function atTop({ drillId, sets }: PractisedItem, library: Library): boolean {
  const { dose } = library.drill(drillId);
  const good = sets.filter(
    ({ amount, feeling, faults, unconfirmed }) =>
      !unconfirmed &&
      faults.every((f) => f.mended) &&
      // By feel nobody counts to the top, but less than the least is none.
      (feeling === undefined ? amount >= dose.max : (feeling === 'right' || feeling === 'too easy') && amount >= dose.min),
  );
  const needed = Math.min(SETS_AT_TOP, dose.sets);
  const sides: readonly (BodySide | undefined)[] = dose.perSide ? ['left', 'right'] : [undefined];
  return sides.every((side) => good.filter((s) => side === undefined || s.side === side).length >= needed);
}

function loadOf({ drillId, support }: PractisedItem, library: Library): number {
  const own = library.drill(drillId).handLoad?.share;
  const done = library.asPlanned(support ? { drillId, support } : { drillId }).handLoad?.share;
  return own && done !== undefined ? done / own : 1;
}
