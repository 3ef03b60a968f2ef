import type { BodySide } from '../anatomy/index.ts';
import type { Library } from '../library/index.ts';
import type { Capacity } from '../measuring/index.ts';
import { type RunState, samePlace } from './run.ts';

/** A capacity that a session showed without anybody measuring it. */
export interface Tested {
  readonly measureId: string;
  readonly side: BodySide;
  readonly value: number;
  readonly drillId: string;
  /** What the last check had; absent where it was never checked. */
  readonly last?: number;
}

/** Drills that ask for the same thing as a check, in the same set-up, in the same unit. */
const SAME_TASK: Readonly<Record<string, string>> = {
  plank: 'plank-hold',
  'practice-support-plank': 'plank-hold',
  'raised-arm-plank': 'raised-arm-hold',
  'forearm-plank': 'forearm-plank-hold',
  'practice-inv-forearm-plank': 'forearm-plank-hold',
  'practice-inv-side-plank': 'side-plank-hold',
  'practice-half-hang': 'packed-hang',
  'practice-free-hang': 'free-hang',
  'practice-lean-5': 'lean-hold',
  'plank-lean': 'lean-hold',
  'practice-tips-knees': 'fingertip-hold',
  'wall-slides': 'wall-slides-clean',
  'seated-press-floor': 'seated-press',
  'heel-of-hand-lifts': 'heel-of-hand-lifts',
  'heel-lifts-to-thumb': 'heel-lifts-thumb',
  'heel-lifts-to-little-finger': 'heel-lifts-little-finger',
};

/**
 * What a run showed beyond the last checks: the best clean set of each drill that asks for the same as a check, where it was more.
 * Offered, never taken over by itself, and with less trust than a check: it opens no gate.
 *
 * @param capacities the newest of each check and side
 * @throws Refusal `drill-unknown`
 * @example testedIn(runWithPlankOf45s, [plankHold30s], library) // [{ measureId: 'plank-hold', side: 'whole', value: 45, last: 30, drillId: 'plank' }]
 */
export function testedIn(run: RunState, capacities: readonly Capacity[], library: Library): readonly Tested[] {
  const best = new Map<string, Tested>();
  for (const item of run.items)
    for (const set of item.done) {
      const measureId = SAME_TASK[set.as.drillId];
      if (!library.hasMeasure(measureId) || set.feeling || set.unconfirmed || set.again || set.as.support) continue;
      const measure = library.measure(measureId);
      const { unit, perSide } = library.drill(set.as.drillId).dose;
      if (measure.unit !== unit || measure.sided !== perSide || perSide !== (set.side !== 'whole') || set.amount > measure.limits.max)
        continue;
      if (item.faults.some((f) => samePlace(f, set))) continue;
      const last = capacities.find((c) => c.measureId === measureId && c.side === set.side)?.value;
      const key = `${measureId}/${set.side}`;
      if (set.amount <= (last ?? 0) || set.amount <= (best.get(key)?.value ?? 0)) continue;
      best.set(key, { measureId, side: set.side, value: set.amount, drillId: set.as.drillId, ...(last === undefined ? {} : { last }) });
    }
  return [...best.values()];
}
