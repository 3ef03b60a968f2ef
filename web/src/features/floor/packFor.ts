import type { FloorHead } from '@myokinet/core/floor';
import { halvedDose } from '@myokinet/core/planning';
import { isHalved } from '@myokinet/core/safety';
import type { Schools } from '@myokinet/core/schools';
import { nowInstant } from '../../client/clock.ts';
import { type Problem, problemFrom } from '../../client/problem.ts';
import type { Dispatch } from '../../client/store.ts';
import { checkEndpoints } from '../checks/index.ts';
import { libraryEndpoints } from '../library/index.ts';
import { readinessEndpoints } from '../readiness/index.ts';
import { recordEndpoints } from '../record/index.ts';
import { traineeEndpoints } from '../trainee/index.ts';
import type { FloorPack } from './keep.ts';

/** Gathers what a run needs, so that from here on it can do without the server. */
export async function packFor(
  dispatch: Dispatch,
  traineeId: string,
  head: FloorHead,
  /** Where the plan leaves the studio's. */
  own: Partial<Schools> = {},
): Promise<{ readonly pack?: FloorPack; readonly problem?: Problem | undefined }> {
  const fresh = { forceRefetch: true } as const;
  const queries = [
    dispatch(traineeEndpoints.trainee.initiate(traineeId, fresh)),
    dispatch(recordEndpoints.record.initiate(traineeId, fresh)),
    dispatch(readinessEndpoints.readiness.initiate(traineeId, fresh)),
    dispatch(checkEndpoints.checks.initiate(traineeId, fresh)),
    dispatch(libraryEndpoints.library.initiate()),
    dispatch(libraryEndpoints.schools.initiate()),
  ] as const;
  const [trainee, record, readiness, checks, library, schools] = await Promise.all(queries);
  queries.forEach((q) => q.unsubscribe());
  if (!trainee.data || !record.data || !readiness.data || !checks.data || !library.data || !schools.data)
    return { problem: problemFrom([trainee, record, readiness, checks, library, schools].find((q) => q.error)?.error) };
  const newest = new Map(
    checks.data
      .flatMap((c) => c.capacities)
      .toReversed()
      .map((c) => [`${c.measureId}/${c.side}`, c]),
  );
  return {
    pack: {
      id: head.id,
      // The day's form has been heard by now: after an illness everything is halved.
      head: isHalved(trainee.data.screening.cautions) ? { ...head, items: head.items.map(halvedDose) } : head,
      trainee: trainee.data,
      content: library.data.content,
      schools: { ...schools.data.schools, ...own, progress: head.progress },
      foothold: { ladderId: readiness.data.ladderId, here: readiness.data.standing.here, shown: readiness.data.planner.shown },
      knownDrills: readiness.data.planner.knownDrills,
      lastLoaded: readiness.data.planner.lastLoaded,
      history: record.data,
      capacities: [...newest.values()],
      packedAt: nowInstant(),
    },
  };
}
