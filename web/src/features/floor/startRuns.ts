import type { PlanDto } from '@myokinet/core/contracts';
import type { FloorHead } from '@myokinet/core/floor';
import { weekStartOf } from '@myokinet/core/planning';
import { calendarDay, instant } from '@myokinet/core/quantities';
import { type Schools, schoolsOf } from '@myokinet/core/schools';
import { newId } from '../../client/newId.ts';
import type { Problem } from '../../client/problem.ts';
import { libraryEndpoints } from '../library/index.ts';
import { planEndpoints } from '../plan/index.ts';
import { floor, type FloorHome } from './floorSync.ts';
import type { FloorPack } from './keep.ts';
import { packFor } from './packFor.ts';

type Planned = PlanDto['sessions'][number];

/** A planned session about to be run, and the schools of its plan. */
export interface ToRun {
  readonly traineeId: string;
  readonly session: Planned;
  readonly schools: Schools;
}

/** What a run of a planned session begins with. Run once more, it is a run of its own. */
export function headFor({ session, schools }: Pick<ToRun, 'session' | 'schools'>, now: Date, onceMore: boolean): FloorHead {
  return {
    id: onceMore ? newId() : session.id,
    plannedSessionId: onceMore ? null : session.id,
    startedAt: instant(now),
    form: session.form ?? 'sets',
    progress: schools.progress,
    items: session.items.map(({ id, drillId, sets, min, max, restSeconds, support, manner }) => ({
      id,
      drillId,
      sets,
      min,
      max,
      restSeconds,
      ...(support ? { support } : {}),
      ...(manner ? { manner } : {}),
    })),
  };
}

/** Today's planned session of another trainee, for a group. */
export async function sessionToday({ dispatch }: FloorHome, traineeId: string, now: Date): Promise<ToRun | undefined> {
  const plan = dispatch(planEndpoints.plan.initiate({ traineeId, weekStart: weekStartOf(now) }));
  const studio = dispatch(libraryEndpoints.schools.initiate());
  const [{ data }, { data: schools }] = await Promise.all([plan, studio]);
  plan.unsubscribe();
  studio.unsubscribe();
  const session = data?.sessions.find((s) => s.day === calendarDay(now));
  return session && schools ? { traineeId, session, schools: schoolsOf(schools.schools, data?.schools) } : undefined;
}

/** What became of taking a day along. */
export interface TakenAlong {
  readonly taken: readonly string[];
  /** Names of those whose session could not be fetched. */
  readonly missing: readonly string[];
}

/** Puts today's sessions of these trainees on this device, to be begun later, with or without the server; what was taken on a day before goes. */
export async function takeAlong(
  home: FloorHome,
  trainees: readonly { readonly traineeId: string; readonly name: string }[],
  now: Date,
): Promise<TakenAlong> {
  const here = await floor.here();
  const begun = new Set(here.flatMap((r) => (r.pack.taken ? [] : [r.pack.id])));
  for (const { pack } of here) if (pack.taken && calendarDay(pack.packedAt) !== calendarDay(now)) await floor.forget(pack.id);
  const results = await Promise.all(
    trainees.map(async ({ traineeId, name }) => {
      const run = await sessionToday(home, traineeId, now);
      if (!run) return { name, taken: false };
      if (begun.has(run.session.id)) return { name, taken: true };
      const { pack } = await packFor(home.dispatch, traineeId, headFor(run, now, false), run.schools);
      return { name, taken: pack !== undefined && (await floor.take(pack)) };
    }),
  );
  return { taken: results.filter((r) => r.taken).map((r) => r.name), missing: results.filter((r) => !r.taken).map((r) => r.name) };
}

/** Begins a session that was taken along: as it is planned now, with the newest that the server has, where it answers. */
export async function startTaken(home: FloorHome, pack: FloorPack, now: Date): Promise<void> {
  const planned = await sessionToday(home, pack.trainee.id, now);
  const begun = planned?.session.id === pack.id && (await startRuns(home, [planned], { now, onceMore: false })).path !== undefined;
  if (!begun) await floor.beginTaken(home, pack);
}

/** Puts runs with all they need onto this device. */
export async function startRuns(
  home: FloorHome,
  runs: readonly ToRun[],
  { now, onceMore }: { readonly now: Date; readonly onceMore: boolean },
): Promise<{ readonly path?: string; readonly problem?: Problem | undefined }> {
  const packed = await Promise.all(runs.map((run) => packFor(home.dispatch, run.traineeId, headFor(run, now, onceMore), run.schools)));
  const problem = packed.find((p) => !p.pack)?.problem;
  if (problem) return { problem };
  const packs = packed.flatMap((p) => p.pack ?? []);
  for (const pack of packs) await floor.begin(home, pack);
  return { path: `/floor/${packs.map((p) => p.id).join('+')}` };
}
