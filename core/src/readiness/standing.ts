import type { Ladder } from '../ladders/index.ts';
import type { MeasureOf } from '../measuring/index.ts';
import { addDays, daysBetween, type Instant } from '../quantities/index.ts';
import type { BodySide } from '../anatomy/index.ts';

/** A figure a clearance rested on when it was signed. */
export interface ClearanceFigure {
  readonly measureId: string;
  readonly side: BodySide;
  readonly takenAt: Instant;
}

export interface ClearanceFact {
  readonly id: string;
  readonly ladderId: string;
  readonly rungId: string;
  readonly signedAt: Instant;
  readonly signedBy: string;
  readonly figures: readonly ClearanceFigure[];
  readonly withdrawnAt?: Instant | undefined;
  readonly withdrawnReason?: string | undefined;
}

export interface Lapse {
  readonly at: Instant;
  /** The check that was not taken in time. */
  readonly measureId: string;
}

/** When one check of one side was taken. */
export interface CheckTimes {
  readonly latest: Instant;
  /** Those after which the next check came later than the freshness limit. */
  readonly lateAfter: readonly Instant[];
}

/** By `checkKey`. */
export type CheckDates = ReadonlyMap<string, CheckTimes>;

/**
 * A check that is overdue shows nothing at a gate, so nothing progresses; what was signed on it stands so many days longer, since life
 * gets in the way (professional judgement, no published source).
 */
export const GRACE_DAYS = 7;

export function checkKey(measureId: string, side: BodySide): string {
  return `${measureId}/${side}`;
}

/**
 * When a clearance lapsed: the first moment at which one of its figures had been stale for the days of
 * grace without a fresh check of the same kind. A later check does not bring it back; the coach signs again.
 *
 * @param clearance as signed
 * @param checks when each check was taken
 * @param measureOf the checks of the studio
 * @example lapseOf(signedInMay, new Map(), library.measure, november) // { at: …, measureId: 'free-hang' }
 */
export function lapseOf(clearance: ClearanceFact, checks: CheckDates, measureOf: MeasureOf, now: Date): Lapse | undefined {
  const lapses = clearance.figures.flatMap((figure): Lapse[] => {
    const measure = measureOf(figure.measureId);
    const times = checks.get(checkKey(figure.measureId, figure.side));
    const missed = times?.lateAfter.filter((at) => at >= figure.takenAt).sort()[0];
    const last = missed ?? (times && times.latest > figure.takenAt ? times.latest : figure.takenAt);
    const lasts = lastsDays(measure.freshDays);
    if (!missed && daysBetween(last, now) <= lasts) return [];
    return [{ at: addDays(last, lasts), measureId: figure.measureId }];
  });
  return lapses.sort((a, b) => a.at.localeCompare(b.at))[0];
}

/** For how many days a check keeps alive what was signed on it. */
function lastsDays(freshDays: number): number {
  return freshDays + GRACE_DAYS;
}

/**
 * The dates after which the next check came later than its freshness limit and the days of grace allow.
 *
 * @param dates oldest first, at least one
 * @param freshDays the check's freshness limit
 * @example lateAfter([may1, may10, june30], 14) // [may10]
 */
export function lateAfter(dates: readonly Instant[], freshDays: number): readonly Instant[] {
  return dates.filter((at, i) => {
    const next = dates[i + 1];
    return next !== undefined && daysBetween(at, next) > lastsDays(freshDays);
  });
}

export interface RungStanding {
  readonly rungId: string;
  readonly state: 'signed' | 'lapsed' | 'withdrawn' | 'open road';
  readonly clearance?: ClearanceFact;
  readonly lapse?: Lapse;
  /** The rung it was signed for, where that has moved from its ladder. */
  readonly carriedFrom?: Pick<ClearanceFact, 'ladderId' | 'rungId'>;
}

export interface Standing {
  /** Lowest rung first. */
  readonly rungs: readonly RungStanding[];
  /** Index of the rung the trainee stands on; −1 below the ladder. */
  readonly here: number;
  /** Index of the rung whose gate is next; undefined at the top of the ladder. */
  readonly next: number | undefined;
  /** Clean sessions count from here: the last withdrawal on this ladder. */
  readonly cleanSince: Instant | undefined;
}

/**
 * The rung of a ladder for which a clearance counts: its own, or, where that has moved, the one with the nearest load at or below, as
 * the ladder says. `undefined` where it says nothing about this ladder.
 *
 * @example rungSigned({ ladderId: 'dip', rungId: 'bench-dip', … }, library.ladder('dip')) // 'bar-support-half'
 */
export function rungSigned({ ladderId, rungId }: Pick<ClearanceFact, 'ladderId' | 'rungId'>, ladder: Ladder): string | undefined {
  if (ladderId === ladder.id && ladder.rungs.some((r) => r.id === rungId)) return rungId;
  return ladder.carries?.find((c) => c.rungId === rungId && (c.ladderId ?? ladder.id) === ladderId)?.to;
}

/** A signature for the rung itself counts before one that was carried to it. */
function newestFor(rungId: string, clearances: readonly ClearanceFact[], ladder: Ladder): ClearanceFact | undefined {
  const newest = clearances.filter((c) => rungSigned(c, ladder) === rungId).sort((a, b) => b.signedAt.localeCompare(a.signedAt));
  return newest.find((c) => c.ladderId === ladder.id && c.rungId === rungId) ?? newest[0];
}

/**
 * Where a trainee stands on a ladder. The highest rung whose clearance was not withdrawn is "here";
 * when that clearance has lapsed its own gate is the next one, and must be signed again first.
 */
export function standingOn(
  ladder: Ladder,
  clearances: readonly ClearanceFact[],
  checks: CheckDates,
  measureOf: MeasureOf,
  now: Date,
): Standing {
  const own = clearances.filter((c) => rungSigned(c, ladder) !== undefined);
  const rungs = ladder.rungs.map((rung): RungStanding => {
    const clearance = newestFor(rung.id, own, ladder);
    if (!clearance) return { rungId: rung.id, state: 'open road' };
    const { ladderId, rungId } = clearance;
    const carried = ladderId === ladder.id && rungId === rung.id ? {} : { carriedFrom: { ladderId, rungId } };
    return { rungId: rung.id, state: clearance.withdrawnAt ? 'withdrawn' : 'signed', clearance, ...carried };
  });
  const here = rungs.findLastIndex((r) => r.state === 'signed');
  const standing = rungs[here];
  const lapse = standing?.clearance && lapseOf(standing.clearance, checks, measureOf, now);
  if (standing && lapse) rungs[here] = { ...standing, state: 'lapsed', lapse };
  const next = lapse ? here : here + 1;
  return {
    rungs,
    here,
    next: next < ladder.rungs.length ? next : undefined,
    cleanSince: own
      .map((c) => c.withdrawnAt)
      .filter((at) => at !== undefined)
      .sort()
      .at(-1),
  };
}
