import type { ForecastCalibrationReply, ForecastReply, ForecastsReply } from '@myokinet/core/contracts';
import { calibrate, type DoneSets, type GateForecast, type GateOutlook, outlookOf } from '@myokinet/core/forecast';
import type { Library } from '@myokinet/core/library';
import { calendarDay, instant } from '@myokinet/core/quantities';
import type { Context } from '../context.ts';
import type { LibraryStore } from '../library/store.ts';
import type { BriefStore } from '../plans/briefStore.ts';
import type { Judged, ReadinessStore } from '../readiness/store.ts';
import type { DrawGate } from './drawInThread.ts';
import { goalOf } from './goalOf.ts';
import { inTurns, type Turn } from './inTurns.ts';
import { gainsOf, type Learned, NOTHING_LEARNED, replaysOf } from './learned.ts';

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
  readonly briefs: BriefStore;
  readonly draw: DrawGate;
}

/** A forecast of the lists, and what it was drawn from. */
interface KeptForecast {
  readonly writes: number;
  readonly day: string;
  readonly library: Library;
  readonly learned: Learned;
  /** Absent where the gate is open, or where there is none. */
  readonly forecast: GateForecast | undefined;
}

/** When gates are likely to open. Lists are filled in turns, so that requests are answered between them. */
export function forecastStore({ db, now }: Context, { readiness, library, briefs, draw }: Neighbours) {
  const doneSets = db.prepare<{ traineeId: string; until: string }, DoneSets>(DONE_SETS);
  const kept = new Map<string, KeptForecast>();
  let learned: Learned = NOTHING_LEARNED;

  const historyOf = (traineeId: string, moment: Date) => ({
    history: readiness.history(traineeId, moment),
    done: doneSets.all({ traineeId, until: instant(moment) }),
  });

  function outlookAt(
    { trainee, verdict, sessions, sessionFacts, symptoms }: Judged,
    ladderId: string,
    moment: Date,
  ): GateOutlook | undefined {
    const shelf = library.current();
    return outlookOf({
      ...historyOf(trainee.id, moment),
      ...{ library: shelf, ladder: shelf.ladder(ladderId), verdict, symptoms, now: moment },
      sessions: sessionFacts,
      minutes: sessions.map((s) => s.minutes),
      gains: learned.gains,
      widen: learned.calibration?.widen,
    });
  }

  const seedOf = (traineeId: string, moment: Date) => `${traineeId} ${calendarDay(moment)}`;

  const keyOf = (traineeId: string): Omit<KeptForecast, 'forecast'> => ({
    writes: readiness.writesAbout(traineeId),
    day: calendarDay(now()),
    library: library.current(),
    learned,
  });
  const isFresh = (traineeId: string) => {
    const known = kept.get(traineeId);
    const key = keyOf(traineeId);
    return known?.writes === key.writes && known.day === key.day && known.library === key.library && known.learned === key.learned;
  };

  const learn = inTurns(async (turn) => {
    const day = calendarDay(now());
    const all = readiness.all();
    const gains = await gainsOf(all, { library: library.current(), historyOf, now: now(), turn });
    const replays = await replaysOf(all, { readiness, outlookAt, draw, now, turn });
    learned = { day, gains, replays, calibration: calibrate(replays.map((r) => r.replay)) };
  });

  const fill = inTurns(async (turn) => {
    await drawAll(turn);
    if (learned.day === calendarDay(now())) return;
    await learn.begin();
    await drawAll(turn);
  });

  async function drawAll(turn: Turn) {
    // The keys are those of the verdicts: what is written while others are drawn makes them stale again.
    const listed = readiness.all();
    for (const id of kept.keys()) if (!listed.some((j) => j.trainee.id === id)) kept.delete(id);
    const waiting = listed.map((judged) => ({ judged, key: keyOf(judged.trainee.id) }));
    for (const { judged, key } of waiting) {
      const { id, ladderId } = judged.trainee;
      if (isFresh(id)) continue;
      const moment = now();
      kept.set(id, { ...key, forecast: await drawn(judged, ladderId, moment).catch(() => undefined) });
      await turn();
    }
  }

  /** One whose record cannot be forecast has none, and holds up nobody else. */
  async function drawn(judged: Judged, ladderId: string, moment: Date): Promise<GateForecast | undefined> {
    const outlook = outlookAt(judged, ladderId, moment);
    return outlook && (await draw(outlook, seedOf(judged.trainee.id, moment)));
  }

  return {
    /** Of one trainee's next gate; the same record gives the same answer all day. */
    async of(traineeId: string): Promise<ForecastReply> {
      const moment = now();
      const judged = readiness.judged(traineeId);
      const outlook = outlookAt(judged, judged.trainee.ladderId, moment);
      const seed = seedOf(traineeId, moment);
      const forecast = outlook && (await draw(outlook, seed));
      return {
        ...{ at: instant(moment), seed },
        ...(outlook && forecast ? { outlook, forecast } : {}),
        ...goalOf(judged, { goal: briefs.find(traineeId).goal, forecast, library: library.current(), now: moment }),
      };
    },

    /** Of everybody, as far as they are drawn; those that are not are drawn meanwhile. */
    listed(): ForecastsReply {
      const all = readiness.all().map((j) => j.trainee.id);
      const fresh = all.filter(isFresh);
      if (fresh.length < all.length) void fill.begin();
      return {
        at: instant(now()),
        pending: all.length - fresh.length,
        forecasts: fresh.flatMap((traineeId) => {
          const forecast = kept.get(traineeId)?.forecast;
          return forecast ? [{ traineeId, forecast }] : [];
        }),
      };
    },

    /** How good forecasts of the studio's past would have been; nothing while they are replayed. */
    calibration(): ForecastCalibrationReply {
      const ready = learned.day === calendarDay(now());
      if (!ready) void learn.begin();
      const { calibration, replays } = learned;
      return {
        at: instant(now()),
        ready,
        ...(ready && calibration ? { calibration } : {}),
        replays: ready ? replays.map(({ replay, ...about }) => ({ ...about, ...replay })) : [],
      };
    },
  };
}

export type ForecastStore = ReturnType<typeof forecastStore>;
