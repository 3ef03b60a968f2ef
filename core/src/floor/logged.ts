import type { Feeling } from '../readiness/index.ts';
import { type BodySide, type Side, SIDES } from '../anatomy/index.ts';
import { type FaultId, type Manner, takesTurns } from '../drills/index.ts';
import type { Library } from '../library/index.ts';
import type { SupportPlan } from '../statics/index.ts';
import type { DrillSkipReason, FloorItem } from './events.ts';
import { type DoneSet, type ItemState, type RunState, sameWork, samePlace } from './run.ts';

export interface LoggedFloorSet {
  /** The id under which the floor kept it; the second side of a set in turns has none yet. */
  readonly id?: string;
  readonly side: BodySide;
  readonly amount: number;
  readonly feeling?: Feeling;
  readonly unconfirmed?: true;
  readonly faults: LoggedFault[];
}

/** A fault of a set, and in two-handed work the side on which it showed, where somebody said so. */
interface LoggedFault {
  readonly faultId: FaultId;
  readonly mended: boolean;
  readonly on?: Side;
}

/** One drill of a run as it goes on record: each drill and set-up that an item was done in stands for itself. */
export interface LoggedFloorItem {
  readonly drillId: string;
  readonly plannedSets: number;
  readonly min: number;
  readonly max: number;
  readonly support?: SupportPlan;
  readonly manner?: Manner;
  readonly skipped?: DrillSkipReason;
  readonly sets: LoggedFloorSet[];
}

/**
 * What a run puts on record. An item that was changed on the way becomes two: what was done before, and what was done after. Of the
 * first as many sets were asked as planned, unless it was left for something harder; of the second, those that remained. A set in which
 * the sides took turns is a set of each side.
 *
 * @throws Refusal `drill-unknown`
 *
 * @example loggedItems(run, library)[0] // { drillId: 'plank', plannedSets: 3, min: 20, max: 30, sets: [{ amount: 30, faults: [], … }] }
 */
export function loggedItems({ items }: Pick<RunState, 'items'>, library: Pick<Library, 'asPlanned'>): readonly LoggedFloorItem[] {
  return items.flatMap((item) => {
    const works = [...item.before.map((b) => b.as), item.now].filter((as, i, all) => all.findIndex((other) => sameWork(other, as)) === i);
    const behind = (as: FloorItem) => new Set(item.done.filter((d) => !sameWork(d.as, as)).map((d) => d.round)).size;
    return works.flatMap((as): LoggedFloorItem[] => {
      const done = item.done.filter((d) => sameWork(d.as, as));
      const current = sameWork(as, item.now);
      const left = item.before.find((b) => sameWork(b.as, as));
      // A set-up that was turned before anything was done in it is no work of its own; a drill that was swapped away is.
      if (done.length === 0 && !current && as.drillId === item.now.drillId) return [];
      const rounds = new Set(done.map((d) => d.round)).size;
      const asked = current ? as.sets - behind(as) : left?.harder ? rounds : as.sets;
      return [
        {
          drillId: as.drillId,
          plannedSets: Math.max(1, asked),
          min: as.min,
          max: as.max,
          ...(as.support ? { support: as.support } : {}),
          ...(as.manner ? { manner: as.manner } : {}),
          ...(item.skipped && current ? { skipped: item.skipped.reason } : {}),
          sets: done.flatMap((d) => setsOf(loggedSet(d, item), takesTurns(library.asPlanned(as).dose))),
        },
      ];
    });
  });
}

/** A set as the record has it: of each side its own where they took turns, with the faults that showed there or nobody said where. */
function setsOf(set: LoggedFloorSet, inTurn: boolean): readonly LoggedFloorSet[] {
  if (!inTurn || set.side !== 'whole') return [set];
  const { id, ...each } = set;
  return SIDES.map((side, i) => ({
    ...(i === 0 && id !== undefined ? { id } : {}),
    ...each,
    side,
    faults: set.faults.flatMap(({ on, ...fault }) => (on === undefined || on === side ? [fault] : [])),
  }));
}

function loggedSet(set: DoneSet, item: ItemState): LoggedFloorSet {
  const { id, side, amount, feeling, unconfirmed } = set;
  const seen = new Map<string, LoggedFault>();
  // A fault seen twice in one set counts as mended only if it was mended each time.
  for (const { faultId, mended, on } of set.again ? [] : item.faults.filter((f) => samePlace(f, set))) {
    const key = `${faultId} ${on ?? ''}`;
    seen.set(key, { faultId, mended: (seen.get(key)?.mended ?? true) && mended, ...(on ? { on } : {}) });
  }
  return {
    id,
    side,
    amount,
    ...(feeling ? { feeling } : {}),
    ...(unconfirmed ? { unconfirmed } : {}),
    faults: [...seen.values()],
  };
}
