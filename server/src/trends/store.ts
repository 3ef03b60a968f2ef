import type { StudioTrendsReply } from '@myokinet/core/contracts';
import { addDays, daysBetween, type Instant, instant } from '@myokinet/core/quantities';
import { byUrgency } from '@myokinet/core/readiness';
import { judgementOf } from '@myokinet/core/safety';
import { heldRungs, spreadOf, stallsOf, type StandingNow, symptomsByDrill } from '@myokinet/core/trends';
import type { Context } from '../context.ts';
import type { LibraryStore } from '../library/store.ts';
import type { Judged, ReadinessStore } from '../readiness/store.ts';
import * as sql from './statements.ts';

const DAYS_PER_WEEK = 7;
const RHYTHM_WEEKS = 4;
/** So far back symptoms are held against drills: as far as the verdicts know them. */
const SYMPTOM_WEEKS = 4;

interface Neighbours {
  readonly readiness: ReadinessStore;
  readonly library: LibraryStore;
}

/** How the studio gets on. */
export function trendStore({ db, now }: Context, { readiness, library }: Neighbours) {
  const drillsDone = db.prepare<{ since: string; until: string }, { sessionId: string; traineeId: string; drillId: string }>(
    sql.DRILLS_DONE,
  );
  const since = db.prepare<[], { traineeId: string; addedAt: Instant }>(sql.SINCE);

  function standingOf({ trainee, verdict, sessions, symptoms }: Judged, addedAt: Instant | undefined, moment: Date): StandingNow {
    const { standing, rung, gate, headrooms } = verdict;
    const recent = <T>(rows: readonly T[], at: (row: T) => Instant) =>
      rows.filter((row) => daysBetween(at(row), moment) <= RHYTHM_WEEKS * DAYS_PER_WEEK);
    const worst = new Map(
      [...headrooms]
        .sort(byUrgency)
        .reverse()
        .map((h) => [h.demand.measureId, h]),
    );
    return {
      ...{ traineeId: trainee.id, name: trainee.name, ladderId: trainee.ladderId, rungId: rung?.id },
      since: standing.rungs[standing.here]?.clearance?.signedAt ?? addedAt ?? instant(moment),
      gateOpen: gate?.open ?? false,
      sessionsPerWeek: recent(sessions, (s) => s.performedAt).length / RHYTHM_WEEKS,
      loud: recent(symptoms, (s) => s.at).filter((s) => !judgementOf(s).quiet).length,
      demands: [...worst.values()].map(({ demand, state, bands }) => ({ measureId: demand.measureId, state, bands })),
    };
  }

  return {
    reply(): StudioTrendsReply {
      const moment = now();
      const all = readiness.all();
      const added = new Map(since.all().map((s) => [s.traineeId, s.addedAt]));
      const standings = all.map((judged) => standingOf(judged, added.get(judged.trainee.id), moment));
      const names = new Map(all.map(({ trainee }) => [trainee.id, trainee.name]));
      const loud = new Set(all.flatMap((j) => j.symptoms.filter((s) => !judgementOf(s).quiet).map((s) => s.sessionId)));
      const window = { since: addDays(moment, -SYMPTOM_WEEKS * DAYS_PER_WEEK), until: instant(moment) };
      const shelf = library.current();
      const done = drillsDone
        .all(window)
        .filter((d) => names.has(d.traineeId) && shelf.hasDrill(d.drillId))
        .map(({ sessionId, traineeId, drillId }) => ({ traineeId, drillId, name: names.get(traineeId) ?? '', loud: loud.has(sessionId) }));
      return {
        at: instant(moment),
        people: all.length,
        stalls: stallsOf(standings, moment),
        rungs: heldRungs(standings, moment),
        demands: spreadOf(standings),
        drills: symptomsByDrill(done),
        symptomWeeks: SYMPTOM_WEEKS,
      };
    },
  };
}

export type TrendStore = ReturnType<typeof trendStore>;
