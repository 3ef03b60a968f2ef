import type { HeadroomState } from '../readiness/index.ts';
import { daysBetween, type Instant } from '../quantities/index.ts';
import { binomialInterval } from '../statistics/index.ts';

/** Where one trainee stands, as lists of a studio need it. */
export interface StandingNow {
  readonly traineeId: string;
  readonly name: string;
  readonly ladderId: string;
  /** The next rung; absent at the top. */
  readonly rungId?: string | undefined;
  /** Since when they stand there: the last signature, or when they came. */
  readonly since: Instant;
  readonly gateOpen: boolean;
  /** Of the last four weeks. */
  readonly sessionsPerWeek: number;
  /** Symptoms of the last four weeks that were loud enough to spoil a session. */
  readonly loud: number;
  /** Of every check that the gate asks for, the worse side. */
  readonly demands: readonly { readonly measureId: string; readonly state: HeadroomState; readonly bands?: number | undefined }[];
}

/** Why somebody probably does not get on; the record suggests it, and a coach knows better. */
export type StallReason = 'not-trained' | 'not-recovered' | 'not-measured' | 'hardly-measured' | 'short' | 'close';

export interface Stall {
  readonly traineeId: string;
  readonly name: string;
  readonly ladderId: string;
  readonly rungId: string;
  readonly weeks: number;
  readonly reasons: readonly StallReason[];
  /** What is furthest short, or else closest to what is asked. */
  readonly measureId?: string | undefined;
}

/** A rung before which people stand. */
export interface HeldRung {
  readonly ladderId: string;
  readonly rungId: string;
  readonly people: readonly Person[];
  /** Median weeks that they stand there already. */
  readonly weeks: number;
}

interface Person {
  readonly traineeId: string;
  readonly name: string;
}

/** How the studio stands before one check. */
export interface DemandSpread {
  readonly measureId: string;
  readonly count: Readonly<Record<HeadroomState, number>>;
  /** Those who are short. */
  readonly short: readonly Person[];
}

/** How often a drill stood in a session in which something loud was felt. */
export interface DrillSymptoms {
  readonly drillId: string;
  readonly sessions: number;
  readonly loud: number;
  readonly share: number;
  readonly from: number;
  readonly to: number;
  readonly people: readonly Person[];
}

const DAYS_PER_WEEK = 7;
/** So long before one rung is a stall (project default). */
const STALL_WEEKS = 8;
const LEAST_SESSIONS = 1;
const MANY_LOUD = 2;
/** Half of what is asked inside the error band: finer measuring would tell more than training (project default). */
const CLOSE_SHARE = 0.5;
const CONFIDENCE = 0.95;

/**
 * Who has stood before the same rung for eight weeks and more, and why that probably is; the longest first.
 *
 * @example stallsOf([{ …, sessionsPerWeek: 0.5 }], now)[0].reasons // ['not-trained', 'short']
 */
export function stallsOf(standings: readonly StandingNow[], now: Date): readonly Stall[] {
  return standings
    .flatMap((s): Stall[] => {
      const weeks = Math.floor(daysBetween(s.since, now) / DAYS_PER_WEEK);
      if (s.gateOpen || s.rungId === undefined || weeks < STALL_WEEKS) return [];
      const { traineeId, name, ladderId, rungId } = s;
      return [{ traineeId, name, ladderId, rungId, weeks, ...reasonsOf(s) }];
    })
    .sort((a, b) => b.weeks - a.weeks);
}

function reasonsOf({ sessionsPerWeek, loud, demands }: StandingNow): Pick<Stall, 'reasons' | 'measureId'> {
  const of = (state: HeadroomState) => demands.filter((d) => d.state === state);
  const least = (state: HeadroomState) => [...of(state)].sort((a, b) => (a.bands ?? 0) - (b.bands ?? 0))[0];
  const [short, close] = [least('short'), least('on the mark')];
  const reasons: StallReason[] = [
    ...(sessionsPerWeek < LEAST_SESSIONS ? (['not-trained'] as const) : []),
    ...(loud >= MANY_LOUD ? (['not-recovered'] as const) : []),
    ...(of('unknown').length > 0 ? (['not-measured'] as const) : []),
    ...(demands.length > 0 && of('on the mark').length >= CLOSE_SHARE * demands.length ? (['hardly-measured'] as const) : []),
    ...(short ? (['short'] as const) : close ? (['close'] as const) : []),
  ];
  return { reasons, measureId: (short ?? close)?.measureId };
}

/** Rungs before which most people stand. */
export function heldRungs(standings: readonly StandingNow[], now: Date): readonly HeldRung[] {
  const rungs = new Map<string, StandingNow[]>();
  for (const s of standings) {
    if (s.rungId === undefined) continue;
    const key = `${s.ladderId}/${s.rungId}`;
    rungs.set(key, [...(rungs.get(key) ?? []), s]);
  }
  return [...rungs.values()]
    .flatMap((of): HeldRung[] => {
      const [first] = of;
      if (first?.rungId === undefined) return [];
      const weeks = of.map((s) => daysBetween(s.since, now) / DAYS_PER_WEEK).sort((a, b) => a - b);
      return [
        {
          ...{ ladderId: first.ladderId, rungId: first.rungId, people: of.map(personOf) },
          weeks: Math.round(weeks[Math.floor((weeks.length - 1) / 2)] ?? 0),
        },
      ];
    })
    .sort((a, b) => b.people.length - a.people.length || b.weeks - a.weeks);
}

/** How the studio stands before every check that its next gates ask for; what most are short of first. */
export function spreadOf(standings: readonly StandingNow[]): readonly DemandSpread[] {
  const measureIds = [...new Set(standings.flatMap((s) => s.demands.map((d) => d.measureId)))];
  return measureIds
    .map((measureId): DemandSpread => {
      const count = { short: 0, 'on the mark': 0, unknown: 0, spare: 0 };
      const short: Person[] = [];
      for (const s of standings)
        for (const { state } of s.demands.filter((d) => d.measureId === measureId)) {
          count[state]++;
          if (state === 'short') short.push(personOf(s));
        }
      return { measureId, count, short };
    })
    .sort((a, b) => b.count.short - a.count.short || b.count['on the mark'] - a.count['on the mark']);
}

/** A drill in one session, and whether something loud was felt in it or after. */
export interface DrillInSession extends Person {
  readonly drillId: string;
  readonly loud: boolean;
}

/** Fewer sessions with something loud tell nothing of a drill (project default). */
const LEAST_LOUD = 2;

/**
 * Drills beside which symptoms were told most: a drill that stands in every session stands beside every symptom too, so the share with its
 * interval is said, and no cause.
 */
export function symptomsByDrill(done: readonly DrillInSession[]): readonly DrillSymptoms[] {
  const drills = new Map<string, DrillInSession[]>();
  for (const one of done) {
    const known = drills.get(one.drillId);
    if (known) known.push(one);
    else drills.set(one.drillId, [one]);
  }
  return [...drills]
    .flatMap(([drillId, of]): DrillSymptoms[] => {
      const loud = of.filter((d) => d.loud);
      if (loud.length < LEAST_LOUD) return [];
      const people = [...new Map(loud.map((d) => [d.traineeId, personOf(d)])).values()];
      const share = loud.length / of.length;
      return [{ drillId, sessions: of.length, loud: loud.length, share, ...binomialInterval(loud.length, of.length, CONFIDENCE), people }];
    })
    .sort((a, b) => b.from - a.from);
}

function personOf({ traineeId, name }: Person): Person {
  return { traineeId, name };
}
