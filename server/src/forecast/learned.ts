import {
  type Calibration,
  type DoneSets,
  type GateOutlook,
  poolGains,
  type PooledGain,
  type Replay,
  trendsOf,
} from '@myokinet/core/forecast';
import type { Library } from '@myokinet/core/library';
import type { Capacity } from '@myokinet/core/measuring';
import { daysBetween, type Instant } from '@myokinet/core/quantities';
import type { Judged, ReadinessStore } from '../readiness/store.ts';
import type { DrawGate } from './drawInThread.ts';
import type { Turn } from './inTurns.ts';

/** A forecast of the past, and whose. */
export interface PastForecast {
  readonly traineeId: string;
  readonly name: string;
  readonly rungName: string;
  readonly made: Instant;
  readonly replay: Replay;
}

/** What the studio's own past taught, once a day. */
export interface Learned {
  readonly day: string | undefined;
  /** What its trainees gain of the usual dose, by check. */
  readonly gains: ReadonlyMap<string, PooledGain> | undefined;
  readonly replays: readonly PastForecast[];
  readonly calibration: Calibration | undefined;
}

export const NOTHING_LEARNED: Learned = { day: undefined, gains: undefined, replays: [], calibration: undefined };

interface Histories {
  readonly library: Library;
  readonly historyOf: (traineeId: string, moment: Date) => { readonly history: readonly Capacity[]; readonly done: readonly DoneSets[] };
  readonly now: Date;
  readonly turn: Turn;
}

/** What everybody gained, pooled by check. */
export async function gainsOf(all: readonly Judged[], { library, historyOf, now, turn }: Histories) {
  const gained = new Map<string, PooledGain[]>();
  for (const { trainee } of all) {
    const facts = historyOf(trainee.id, now);
    const measureIds = new Set(facts.history.map((c) => c.measureId).filter(library.hasMeasure));
    for (const [key, { gained: own }] of trendsOf({ ...facts, library, now }, measureIds).all) {
      const [measureId = ''] = key.split('/');
      if (own) gained.set(measureId, [...(gained.get(measureId) ?? []), own]);
    }
    await turn();
  }
  return new Map([...gained].map(([measureId, own]) => [measureId, poolGains(own)]));
}

/** Of so many gates, the newest of the studio; each is judged on so many days of checks, and forecast on so many of them. */
const MOST_GATES = 100;
const JUDGED_DAYS = 8;
const MOMENTS = 4;
const REPLAY_DRAWS = 400;

interface Replaying {
  readonly readiness: ReadinessStore;
  readonly outlookAt: (judged: Judged, ladderId: string, moment: Date) => GateOutlook | undefined;
  readonly draw: DrawGate;
  readonly now: () => Date;
  readonly turn: Turn;
}

/** A stretch of time in which one gate was the next, and what ended it. */
interface GateBefore {
  readonly traineeId: string;
  readonly name: string;
  readonly ladderId: string;
  readonly from: Instant;
  /** When it was signed; absent while it is not. */
  readonly signedAt?: Instant;
}

/** Forecasts as they would have been made at earlier checks, each with the facts of its day, beside the day on which the gate opened. */
export async function replaysOf(all: readonly Judged[], tools: Replaying): Promise<readonly PastForecast[]> {
  const gates = all.flatMap((judged) => gatesOf(judged, tools.readiness));
  const newest = gates.sort((a, b) => (b.signedAt ?? '~').localeCompare(a.signedAt ?? '~')).slice(0, MOST_GATES);
  const replays: PastForecast[] = [];
  // A past that cannot be replayed teaches nothing, and holds up no other.
  for (const gate of newest) replays.push(...(await replaysOfGate(gate, tools).catch(() => [])));
  return replays;
}

function gatesOf({ trainee: { id: traineeId, name, ladderId } }: Judged, readiness: ReadinessStore): readonly GateBefore[] {
  const signed = readiness.signed(traineeId).filter((c) => c.ladderId === ladderId);
  const about = { traineeId, name, ladderId };
  const last = signed.at(-1)?.signedAt ?? '';
  return [
    ...signed.map(({ signedAt }, i) => ({ ...about, from: signed[i - 1]?.signedAt ?? ('' as Instant), signedAt })),
    { ...about, from: last as Instant },
  ];
}

async function replaysOfGate(gate: GateBefore, { readiness, outlookAt, draw, now, turn }: Replaying): Promise<readonly PastForecast[]> {
  const { traineeId, name, ladderId, from, signedAt } = gate;
  const end = signedAt ? new Date(signedAt) : now();
  const days = [...new Map(readiness.history(traineeId, end).map((c) => [c.takenAt.slice(0, 10), c.takenAt])).values()].filter(
    (at) => at > from && at < end.toISOString(),
  );
  const judge = (at: Date) => readiness.judgedAt(traineeId, ladderId, at);
  let happened = signedAt;
  const found: { at: Instant; judged: Judged }[] = [];
  for (const at of evenly(days, JUDGED_DAYS)) {
    const judged = judge(new Date(at));
    await turn();
    if (judged.verdict.gate?.open) {
      happened = at;
      break;
    }
    found.push({ at, judged });
  }
  const replays: PastForecast[] = [];
  for (const { at, judged } of evenly(found, MOMENTS)) {
    const moment = new Date(at);
    const outlook = outlookAt(judged, ladderId, moment);
    const rungName = judged.verdict.rung?.name ?? '';
    const forecast = outlook && (await draw({ ...outlook, widen: 1, draws: REPLAY_DRAWS }, `${traineeId} ${at}`));
    await turn();
    if (forecast?.kind !== 'range') continue;
    const { early, median, late } = forecast;
    replays.push({
      ...{ traineeId, name, rungName, made: at },
      replay: {
        ...{ early, median, late },
        ...(happened === undefined ? {} : { happened: daysBetween(at, new Date(happened)) }),
        knownDays: daysBetween(at, now()),
      },
    });
  }
  return replays;
}

/** So many of a list at most, evenly over it. */
function evenly<T>(list: readonly T[], most: number): readonly T[] {
  if (list.length <= most) return list;
  return Array.from({ length: most }, (_, i) => list[Math.floor(((i + 0.5) * list.length) / most)]).filter((t) => t !== undefined);
}
