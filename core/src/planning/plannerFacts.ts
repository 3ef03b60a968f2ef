import type { Joint } from '../anatomy/index.ts';
import type { Manner } from '../drills/index.ts';
import type { Library } from '../library/index.ts';
import { leadsOf, type LeadShown } from '../measuring/index.ts';
import { addDays, type CalendarDay, daysBetween, type Instant, instant } from '../quantities/index.ts';
import { jointsLoadedBy } from './plan.ts';
import { type Shown, type ShownFacts, shownOf } from './shown.ts';
import type { DoneAmount } from './shownSets.ts';
import { type WeekDose, weekStartOf } from './week.ts';

/** When each joint was last loaded. */
export type LastLoaded = Readonly<Partial<Record<Joint, Instant>>>;

/** What the planner knows of a trainee's past. */
export interface PlannerFacts {
  readonly knownDrills: readonly string[];
  /** Drills that clean sessions of the last weeks had. */
  readonly didWell: readonly string[];
  /** When each joint was last loaded. */
  readonly lastLoaded: LastLoaded;
  /** Weeks with logged hand load, newest first. */
  readonly weekDoses: readonly WeekDose[];
  readonly lastLoadedDay?: CalendarDay;
  /** Whole weeks since the first session on record; 0 before it. */
  readonly weeksIn: number;
  /** What may be rested on. */
  readonly shown: Shown;
  /** What the newest figures lead on to: likely reasons, and drills to try first. */
  readonly leads: readonly LeadShown[];
  /** The weight, band or tempo that each drill was last done with, where it had one. */
  readonly lastManner: Readonly<Record<string, Manner>>;
}

/** A logged session, as far as the planner rests on it. */
export interface LoggedWork {
  readonly performedAt: Instant;
  /** Drills with at least one set. */
  readonly drillIds: readonly string[];
  /** Hand-load dose in body-weight seconds; by joint where it was kept. */
  readonly dose: number;
  readonly byJoint?: Readonly<Partial<Record<Joint, number>>>;
  readonly clean: boolean;
}

/** What lies behind the newest sessions. */
export interface PlannerPast extends Pick<ShownFacts, 'capacities' | 'foothold' | 'lastLoadedAt' | 'doneAmounts'> {
  /** Every drill ever done. */
  readonly knownDrills: readonly string[];
  /** The first session on record. */
  readonly firstAt: Instant | undefined;
}

const DAYS_PER_WEEK = 7;
/** How far back the planner looks for a week to build on; after longer rest it starts anew (project default). */
export const BUILD_ON_DAYS = 35;
/** Clean sessions this far back say what the trainee does well (project default). */
const DID_WELL_DAYS = 28;

/**
 * What the planner knows of a trainee's past.
 *
 * @param recent sessions of the last `BUILD_ON_DAYS`, newest first
 * @param past what lies behind them
 * @param moment the library, fitted to the trainee, the body’s mass and the moment of looking
 */
export function plannerFacts(
  recent: readonly LoggedWork[],
  { knownDrills, firstAt, ...shown }: PlannerPast,
  { library, massKg, now }: { readonly library: Library; readonly massKg: number; readonly now: Date },
): PlannerFacts {
  const since = instant(addDays(now, -DID_WELL_DAYS));
  const didWell = [...new Set(recent.filter((s) => s.clean && s.performedAt >= since).flatMap((s) => s.drillIds))];
  const weeksIn = firstAt ? Math.floor(daysBetween(firstAt, now) / DAYS_PER_WEEK) : 0;
  const recentDrills = [...new Set(recent.flatMap((s) => s.drillIds))];
  return {
    weeksIn,
    knownDrills,
    didWell,
    weekDoses: weekDoses(recent),
    lastLoaded: lastLoaded(recent, library),
    leads: leadsIn(shown.capacities, library, now),
    lastManner: lastManner(shown.doneAmounts ?? []),
    shown: shownOf({ ...shown, library, didWell, massKg, recentDrills, weeksIn, now }),
  };
}

/** Hand load by week, newest first; by joint only where every session of the week knows. */
function weekDoses(sessions: readonly LoggedWork[]): readonly WeekDose[] {
  const weeks = new Map<CalendarDay, LoggedWork[]>();
  for (const session of sessions) {
    const week = weekStartOf(new Date(session.performedAt));
    weeks.set(week, [...(weeks.get(week) ?? []), session]);
  }
  return [...weeks].map(([weekStart, ofWeek]): WeekDose => {
    const dose = ofWeek.reduce((sum, s) => sum + s.dose, 0);
    if (ofWeek.some((s) => s.byJoint === undefined)) return { weekStart, dose };
    const byJoint: Partial<Record<Joint, number>> = {};
    for (const { byJoint: own = {} } of ofWeek)
      for (const [joint, load] of Object.entries(own)) byJoint[joint as Joint] = (byJoint[joint as Joint] ?? 0) + load;
    return { weekStart, dose, byJoint };
  });
}

/** Of figures that are fresh; what is stale leads nowhere. */
function leadsIn(capacities: PlannerPast['capacities'], library: Library, now: Date): readonly LeadShown[] {
  return library.measures
    .filter((m) => m.leads)
    .flatMap((m) =>
      leadsOf(m, {
        capacities: capacities.filter((c) => c.measureId === m.id && !c.provisional && daysBetween(c.takenAt, now) <= m.freshDays),
      }),
    );
}

function lastManner(done: readonly DoneAmount[]): PlannerFacts['lastManner'] {
  const newest = new Map<string, DoneAmount>();
  for (const one of done) if ((one.lastAt ?? '') >= (newest.get(one.drillId)?.lastAt ?? '')) newest.set(one.drillId, one);
  return Object.fromEntries([...newest].flatMap(([drillId, { manner }]) => (manner ? [[drillId, manner] as const] : [])));
}

/** When each joint was loaded last, from sessions newest first. */
function lastLoaded(sessions: readonly LoggedWork[], library: Library): LastLoaded {
  const last: Partial<Record<Joint, Instant>> = {};
  for (const { performedAt, drillIds } of sessions)
    for (const joint of jointsLoadedBy(
      drillIds.map((drillId) => ({ drillId })),
      library,
    ))
      last[joint] ??= performedAt;
  return last;
}
