import type { SessionDto } from '@myokinet/core/contracts';
import { loggedItems, type RunState } from '@myokinet/core/floor';
import { type DrillDone, FRAME_PHASES, type NextDose, nextDose, sessionMinutes } from '@myokinet/core/planning';
import { type Cleanness, cleanness } from '@myokinet/core/readiness';
import { historyOf } from '../plan/index.ts';
import type { FloorPerson } from './floorPeople.ts';

const MS_PER_MINUTE = 60_000;
const MOST_MINUTES = 300;
/** Longer than so many times the plan, or backwards, and the clock is not believed. */
const BELIEVED = 3;
const SPARE_MINUTES = 20;

/** Minutes the run took by the device's clock where that can be believed, else what was planned. */
export function minutesTaken({ run, kept, library }: Pick<FloorPerson, 'run' | 'kept' | 'library'>): number {
  const planned = Math.max(1, Math.round(sessionMinutes(run.head.items, library, run.head.form)));
  const times = kept.events.map((e) => Date.parse(e.at));
  // An event of a set is its end; the first one took about a minute. The head may be older than the session.
  const taken = Math.round((Math.max(...times) - Math.min(...times)) / MS_PER_MINUTE) + 1;
  const believed = Number.isFinite(taken) && times.length > 1 && taken <= planned * BELIEVED + SPARE_MINUTES;
  return Math.min(MOST_MINUTES, believed ? taken : planned);
}

/** Whether the run counts as clean as it stands. */
export function verdictOn({ run, library }: Pick<FloorPerson, 'run' | 'library'>, effort: number): Cleanness {
  return cleanness(
    {
      effort,
      symptoms: run.symptoms,
      items: loggedItems(run).map((item) => ({ ...item, perSide: library.drill(item.drillId).dose.perSide })),
    },
    library,
  );
}

/** A drill's next dose as it will be pencilled into the plan. */
export interface Pencil {
  readonly drillId: string;
  readonly next: NextDose;
}

/** The next doses that this run and what was logged before ask for; each waits in the plan for the coach. */
export function pencils({ run, kept, library }: Pick<FloorPerson, 'run' | 'kept' | 'library'>): readonly Pencil[] {
  const { history, foothold } = kept.pack;
  const before = historyOf({ ...history, sessions: history.sessions.filter((s) => s.runId !== run.head.id) });
  const practice = library.hasLadder(foothold.ladderId) ? library.ladder(foothold.ladderId).rungs[foothold.here]?.practice : undefined;
  return loggedItems(run).flatMap((item): Pencil[] => {
    const drill = library.asPlanned(item);
    if (item.sets.length === 0 || FRAME_PHASES.includes(drill.phase)) return [];
    const dose = { sets: item.plannedSets, min: item.min, max: item.max, restSeconds: library.drill(item.drillId).dose.restSeconds };
    const next = nextDose(
      [doneNow(run, item), ...(before.get(item.drillId) ?? [])],
      { drill: { ...drill, dose: library.drill(item.drillId).dose }, dose, practice: item.drillId === practice },
      run.head.progress,
    );
    return next ? [{ drillId: item.drillId, next }] : [];
  });
}

function doneNow({ head, closed, symptoms }: RunState, item: ReturnType<typeof loggedItems>[number]): DrillDone {
  return {
    at: head.startedAt,
    effort: closed?.effort ?? 0,
    plannedSets: item.plannedSets,
    max: item.max,
    sets: item.sets satisfies SessionDto['items'][number]['sets'],
    symptoms,
  };
}
