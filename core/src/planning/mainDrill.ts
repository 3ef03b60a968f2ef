import { type Dose, drillSeconds, handLoadDose } from '../drills/index.ts';
import type { Library } from '../library/index.ts';
import { FRAME_PHASES } from './plan.ts';

/** As much of a planned drill as tells what a session is for. */
export interface PlannedBriefly extends Pick<Dose, 'sets' | 'min' | 'max' | 'restSeconds'> {
  readonly drillId: string;
}

/**
 * The drill that a session is for: of those that neither open nor close it the one that puts most on the hands over its time, and where
 * none does the one that takes longest. Nothing where there is none; drills that the library has lost do not count.
 *
 * @example mainDrill([wristCircles, plank, handLifts], library) // 'plank'
 */
export function mainDrill(items: readonly PlannedBriefly[], library: Library): string | undefined {
  const work = items.flatMap((item) => {
    const drill = library.hasDrill(item.drillId) ? library.drill(item.drillId) : undefined;
    if (!drill || FRAME_PHASES.includes(drill.phase)) return [];
    return [{ id: drill.id, load: handLoadDose(drill, item), seconds: drillSeconds(drill, item) }];
  });
  return work.toSorted((a, b) => b.load - a.load || b.seconds - a.seconds)[0]?.id;
}
