import type { ForecastReply } from '@myokinet/core/contracts';
import { type DoneSets, forecastGate, outlookOf } from '@myokinet/core/forecast';
import { calendarDay, instant } from '@myokinet/core/quantities';
import seedrandom from 'seedrandom';
import type { Context } from '../context.ts';
import type { LibraryStore } from '../library/store.ts';
import type { ReadinessStore } from '../readiness/store.ts';

/** What was done and confirmed, drill by drill of each session: the dose that trained a capacity. */
const DONE_SETS = `
  SELECT i.drill_id AS drillId, s.performed_at AS performedAt, COUNT(*) AS sets
  FROM session_in_force s
  JOIN session_item i ON i.session_id = s.id
  JOIN session_set e ON e.item_id = i.id
  WHERE s.trainee_id = @traineeId AND s.performed_at <= @until AND e.amount > 0 AND e.unconfirmed = 0
  GROUP BY i.id`;

interface Neighbours {
  readonly readiness: ReadinessStore;
  readonly library: LibraryStore;
}

/** When gates are likely to open. */
export function forecastStore({ db, now }: Context, { readiness, library }: Neighbours) {
  const doneSets = db.prepare<{ traineeId: string; until: string }, DoneSets>(DONE_SETS);
  return {
    /** Of one trainee's next gate; the same record gives the same answer all day. */
    of(traineeId: string): ForecastReply {
      const moment = now();
      const { trainee, verdict, sessions, sessionFacts, symptoms } = readiness.judged(traineeId);
      const outlook = outlookOf({
        library: library.current(),
        ladder: library.current().ladder(trainee.ladderId),
        verdict,
        history: readiness.history(traineeId),
        done: doneSets.all({ traineeId, until: instant(moment) }),
        sessions: sessionFacts,
        minutes: sessions.map((s) => s.minutes),
        symptoms,
        now: moment,
      });
      const seed = `${traineeId} ${calendarDay(moment)}`;
      return { at: instant(moment), seed, ...(outlook ? { outlook, forecast: forecastGate(outlook, seedrandom.alea(seed)) } : {}) };
    },
  };
}

export type ForecastStore = ReturnType<typeof forecastStore>;
