import type { Library } from '../library/index.ts';
import type { Ladder } from '../ladders/index.ts';
import type { Capacity } from '../measuring/index.ts';
import { daysBetween } from '../quantities/index.ts';
import { type GateFinding, type Headroom, practiceOf, type SessionFact, type Verdict } from '../readiness/index.ts';
import type { Symptom } from '../safety/index.ts';
import { type CapacityForecast, forecastCapacity, type PooledGain } from './capacity.ts';
import { type DoneSets, recentDose, recentWork, type WeeklyDoses, weeklyDoses } from './dose.ts';
import type { DemandOutlook } from './demand.ts';
import type { GateOutlook } from './gate.ts';
import { passingOf } from './passing.ts';
import { scaleOf } from './scale.ts';
import { rhythmOf, waitsOf } from './waits.ts';

/** What is on record about a trainee that a forecast may rest on, as of one moment. */
export interface OutlookFacts {
  readonly library: Library;
  readonly ladder: Ladder;
  readonly verdict: Verdict;
  /** Every capacity up to now, any order. */
  readonly history: readonly Capacity[];
  /** Every set that was done and that somebody confirmed. */
  readonly done: readonly DoneSets[];
  readonly sessions: readonly SessionFact[];
  readonly symptoms: readonly Symptom[];
  /** Minutes of the sessions of late, any order. */
  readonly minutes?: readonly number[] | undefined;
  /** What the studio's trainees gain, by check. */
  readonly gains?: ReadonlyMap<string, PooledGain> | undefined;
  readonly widen?: number | undefined;
  readonly now: Date;
}

const DAYS_PER_WEEK = 7;
/** Further back nothing is looked at: two years. */
const MOST_WEEKS = 104;

/**
 * The outlook on a trainee's next gate, ready to be drawn; undefined at the top of the ladder and where the gate is open.
 *
 * @example outlookOf(facts)?.waits.blocked // ['screening']
 */
export function outlookOf(facts: OutlookFacts): GateOutlook | undefined {
  const { verdict, ladder, library, sessions, symptoms, widen, now } = facts;
  const { gate, headrooms, standing } = verdict;
  if (!gate || gate.open) return undefined;
  const rhythm = rhythmOf(sessions, practiceOf(ladder, standing.here, library).drillIds, now, facts.minutes);
  const trends = trendsOf(facts, new Set(headrooms.map((h) => h.demand.measureId)));
  const passes = passingSides(gate.findings);
  return {
    demands: headrooms.map((h) => outlookOn(h, trends, passes, library)),
    waits: waitsOf(gate, symptoms, rhythm, now),
    rhythm,
    ...occasions(facts, headrooms),
    ...(widen === undefined ? {} : { widen }),
  };
}

/** Trends of every side of some checks that was ever taken. */
export function trendsOf(
  { history, done, library, gains, now }: Pick<OutlookFacts, 'history' | 'done' | 'library' | 'gains' | 'now'>,
  measureIds: ReadonlySet<string>,
) {
  const own = history.filter((c) => measureIds.has(c.measureId) && daysBetween(c.takenAt, now) < MOST_WEEKS * DAYS_PER_WEEK);
  const oldest = Math.max(0, ...own.map((c) => daysBetween(c.takenAt, now)), ...done.map((d) => daysBetween(d.performedAt, now)));
  const weeks = Math.min(MOST_WEEKS, Math.ceil(oldest / DAYS_PER_WEEK) + 1);
  const doses = weeklyDoses(done, library, now, weeks);
  const work = recentWork(done, library, now);
  const untrained: WeeklyDoses = Array.from({ length: weeks }, () => 0);
  const dosesOf = (measureId: string) => doses.get(measureId) ?? untrained;
  const known = new Map<string, CapacityForecast>();
  for (const [key, sides] of bySide(own)) {
    const [first] = sides;
    if (!first || !sides.some((c) => Date.parse(c.takenAt) <= now.getTime())) continue;
    const gain = gains?.get(first.measureId);
    known.set(key, forecastCapacity(sides, dosesOf(first.measureId), library.measure(first.measureId), { now, gain }));
  }
  return {
    of: ({ demand, side }: Pick<Headroom, 'demand' | 'side'>) => known.get(`${demand.measureId}/${side}`),
    dosesOf,
    workOf: (measureId: string) => work.get(measureId) ?? [],
    all: known as ReadonlyMap<string, CapacityForecast>,
  };
}

function bySide(history: readonly Capacity[]): ReadonlyMap<string, readonly Capacity[]> {
  const sides = new Map<string, Capacity[]>();
  for (const capacity of history) {
    const key = `${capacity.measureId}/${capacity.side}`;
    const known = sides.get(key);
    if (known) known.push(capacity);
    else sides.set(key, [capacity]);
  }
  return sides;
}

/** Sides of demands that the gate's own rule finds passed. */
function passingSides(findings: readonly GateFinding[]): ReadonlySet<string> {
  return new Set(
    findings.flatMap((f) =>
      f.rule === 'demand'
        ? f.sides.filter((s) => s.verdict === 'spare' || s.verdict === 'allowed').map((s) => `${f.measureId}/${s.side}`)
        : [],
    ),
  );
}

function outlookOn(headroom: Headroom, trends: ReturnType<typeof trendsOf>, passes: ReadonlySet<string>, library: Library): DemandOutlook {
  const { demand, side, capacity, ageDays = 0 } = headroom;
  const { measureId } = demand;
  const measure = library.measure(measureId);
  const freshDays = headroom.freshDays ?? measure.freshDays;
  const trend = trends.of(headroom);
  return {
    measureId,
    side,
    passing: capacity ? passingOf(demand, capacity, measure, scaleOf(measure)) : {},
    ...(trend ? { trend } : {}),
    passesDays: passes.has(`${measureId}/${side}`) ? Math.max(0, freshDays - ageDays) : 0,
    freshDays,
    weeklySets: recentDose(trends.dosesOf(measureId)),
    work: trends.workOf(measureId),
  };
}

/** Checks come no more often than this, and no more rarely. */
const CHECK_DAYS = { least: 7, most: 28, usual: 14 };
/** So many of the last occasions tell how often somebody is checked. */
const OCCASIONS = 6;

/** When the next checks are likely, and how often they come: the median of the last gaps. */
function occasions({ history, now }: OutlookFacts, headrooms: readonly Headroom[]): Pick<GateOutlook, 'nextCheckDays' | 'checkDays'> {
  const asked = new Set(headrooms.map((h) => h.demand.measureId));
  const days = [...new Set(history.filter((c) => asked.has(c.measureId)).map((c) => Math.floor(daysBetween(c.takenAt, now))))].filter(
    (age) => age >= 0,
  );
  const ages = days.sort((a, b) => a - b).slice(0, OCCASIONS + 1);
  const gaps = ages.slice(1).map((age, i) => age - (ages[i] ?? 0));
  const usual = gaps.length > 0 ? ([...gaps].sort((a, b) => a - b)[Math.floor(gaps.length / 2)] ?? CHECK_DAYS.usual) : CHECK_DAYS.usual;
  const checkDays = Math.min(CHECK_DAYS.most, Math.max(CHECK_DAYS.least, usual));
  return { checkDays, nextCheckDays: Math.max(1, checkDays - (ages[0] ?? checkDays)) };
}
