import type { Drill } from '../drills/index.ts';
import type { PlannedDose } from '../planning/index.ts';
import { momentsOf, routineSeconds } from './moments.ts';
import { amountOf } from './running.ts';
import type { Routine, RoutinePurpose } from './routine.ts';

/** Minutes that each purpose is meant for at most (common practice, no source; a session: project default). */
export const USUAL_MINUTES: Readonly<Record<RoutinePurpose, number>> = { session: 120, preparation: 15, 'short break': 5 };

/** What a coach is told about a routine while it is written. */
export type RoutineFinding =
  | { readonly code: 'nothing to do' }
  | { readonly code: 'empty block'; readonly blockId: string }
  /** A drill that the library does not offer any more: it is left out where the routine runs. */
  | { readonly code: 'drill gone'; readonly blockId: string; readonly drillId: string }
  | { readonly code: 'long'; readonly minutes: number; readonly usual: number }
  /** Rounds do not fit the time even once. */
  | { readonly code: 'round cut'; readonly blockId: string };

/**
 * What is wrong with a routine, in the order in which it is met.
 *
 * @param drillOf a drill that the library offers; nothing where there is none of that id
 */
export function routineFindings(routine: Routine, drillOf: (id: string) => Pick<Drill, 'dose'> | undefined): readonly RoutineFinding[] {
  const minutes = routineSeconds(routine, drillOf) / 60;
  const usual = USUAL_MINUTES[routine.purpose];
  const drills = routine.blocks.flatMap((b) => b.steps).filter((s) => s.kind === 'drill' || s.kind === 'choice');
  if (drills.length === 0) return [{ code: 'nothing to do' }];
  return [
    ...routine.blocks.flatMap((block): readonly RoutineFinding[] => {
      const { id: blockId, steps } = block;
      if (steps.length === 0) return [{ code: 'empty block', blockId }];
      const gone = steps.flatMap((s) => (s.kind === 'drill' && !drillOf(s.drillId) ? [s.drillId] : []));
      const once = momentsOf({ blocks: [{ ...block, way: 'once' }] }, drillOf).reduce((sum, m) => sum + m.seconds, 0);
      return [
        ...[...new Set(gone)].map((drillId) => ({ code: 'drill gone', blockId, drillId }) as const),
        ...(block.way === 'time' && once > (block.minutes ?? 1) * 60 ? [{ code: 'round cut', blockId } as const] : []),
      ];
    }),
    ...(minutes > usual ? [{ code: 'long', minutes: Math.round(minutes), usual } as const] : []),
  ];
}

/**
 * What a routine asks of each of its drills in all, as it is asked of a trainee: so many sets, the longest of them.
 *
 * @example dosesOf(routine, drillOf) // [{ drillId: 'plank', sets: 3, min: 20, max: 20, restSeconds: 30 }]
 */
export function dosesOf(
  routine: Pick<Routine, 'blocks'>,
  drillOf: (id: string) => Pick<Drill, 'dose'> | undefined,
): readonly PlannedDose[] {
  const rests = new Map(routine.blocks.flatMap((b) => b.steps).flatMap((s) => (s.kind === 'drill' ? [[s.drillId, s.restSeconds]] : [])));
  const doses = new Map<string, PlannedDose>();
  for (const moment of momentsOf(routine, drillOf)) {
    const { kind, drillId, side } = moment;
    const drill = drillId === undefined ? undefined : drillOf(drillId);
    if (kind !== 'drill' || drillId === undefined || !drill || side === 'right') continue;
    const before = doses.get(drillId);
    const asked = amountOf(moment, drill);
    const most = Math.max(before?.max ?? 0, asked);
    doses.set(drillId, { drillId, sets: (before?.sets ?? 0) + 1, min: most, max: most, restSeconds: rests.get(drillId) ?? 0 });
  }
  return [...doses.values()];
}
