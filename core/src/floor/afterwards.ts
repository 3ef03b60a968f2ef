import type { Library } from '../library/index.ts';
import { drillHistory, type Foothold, FRAME_PHASES, type LoggedDoses, type NextDose, nextDose, sessionMinutes } from '../planning/index.ts';
import { type Cleanness, sessionCleanness } from '../readiness/index.ts';
import type { FloorEvent } from './events.ts';
import { loggedItems } from './logged.ts';
import type { RunState } from './run.ts';

const MS_PER_MINUTE = 60_000;
const MOST_MINUTES = 300;
/** Longer than so many times the plan, or backwards, and the clock is not believed. */
const BELIEVED = 3;
const SPARE_MINUTES = 20;

/**
 * Minutes the run took by the device's clock where that can be believed, else what was planned.
 *
 * @param events all of the run
 */
export function minutesTaken(run: RunState, events: readonly FloorEvent[], library: Library): number {
  const planned = Math.max(1, Math.round(sessionMinutes(run.head.items, library, run.head.form)));
  const times = events.map((e) => Date.parse(e.at));
  // An event of a set is its end; the first one took about a minute. The head may be older than the session.
  const taken = Math.round((Math.max(...times) - Math.min(...times)) / MS_PER_MINUTE) + 1;
  const believed = Number.isFinite(taken) && times.length > 1 && taken <= planned * BELIEVED + SPARE_MINUTES;
  return Math.min(MOST_MINUTES, believed ? taken : planned);
}

/** Whether the run counts as clean as it stands, with this effort (0–10). */
export function verdictOn(run: RunState, library: Library, effort: number): Cleanness {
  return sessionCleanness({ effort, symptoms: run.symptoms, items: loggedItems(run, library) }, library);
}

/** A drill's next dose as it will be pencilled into the plan. */
export interface Pencil {
  readonly drillId: string;
  readonly next: NextDose;
}

/**
 * The next doses that this run and what was logged before ask for; each waits in the plan for the coach.
 *
 * @param before sessions on record; the run's own among them does not count twice
 */
export function pencils(
  run: RunState,
  library: Library,
  { before, foothold }: { readonly before: readonly (LoggedDoses & { readonly runId?: string })[]; readonly foothold: Foothold },
): readonly Pencil[] {
  const history = drillHistory(before.filter((s) => s.runId !== run.head.id));
  const practice = library.hasLadder(foothold.ladderId) ? library.ladder(foothold.ladderId).rungs[foothold.here]?.practice : undefined;
  return loggedItems(run, library).flatMap((item): Pencil[] => {
    const drill = library.asPlanned(item);
    if (item.sets.length === 0 || FRAME_PHASES.includes(drill.phase)) return [];
    const { plannedSets, min, max, sets } = item;
    const dose = { sets: plannedSets, min, max, restSeconds: library.drill(item.drillId).dose.restSeconds };
    const now = { at: run.head.startedAt, effort: run.closed?.effort ?? 0, plannedSets, max, sets, symptoms: run.symptoms };
    const next = nextDose(
      [now, ...(history.get(item.drillId) ?? [])],
      { drill: { ...drill, dose: library.drill(item.drillId).dose }, dose, practice: item.drillId === practice },
      run.head.progress,
    );
    return next ? [{ drillId: item.drillId, next }] : [];
  });
}
