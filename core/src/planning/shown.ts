import { armLoadOf, type Drill } from '../drills/index.ts';
import { MOST_OF_GRIP } from '../ladders/index.ts';
import type { Library } from '../library/index.ts';
import { type Capacity, measureSides } from '../measuring/index.ts';
import { daysBetween, type Instant } from '../quantities/index.ts';
import { newestOf } from './newestOf.ts';
import { type DoneAmount, type ShownSets, shownSets, shownInChecks, together } from './shownSets.ts';
import { ANY_RANGES, type BeyondRange, beyondRange, NO_RANGES, type ShownRanges, shownRanges } from './shownRange.ts';

/** How the hands carry: the body, pushing or pulling, or a weight at the side. */
export const DIRECTIONS = ['push', 'pull', 'carry'] as const;
export type Direction = (typeof DIRECTIONS)[number];

/**
 * Where a figure of what was shown comes from.
 * - `check`: the hand load tolerated at the last check, less its band
 * - `work`: a drill of a clean session of the last weeks
 * - `rung`: the practice of the rung that is signed
 * - `entry`: nothing was shown; what anybody may begin with
 * - `growth`: more was shown, but an arm carries at most ten points more than in the last weeks
 * - `beginner`: more was shown, but the first weeks stay below
 */
export type ShownBy = 'check' | 'work' | 'rung' | 'entry' | 'growth' | 'beginner';

/** Whether no check opens it, only time. */
export function isWaiting(by: ShownBy): boolean {
  return by === 'growth' || by === 'beginner';
}

/** The most that either arm was shown to carry, as a share of body weight. */
export interface ShownLoad {
  readonly perArm: number;
  readonly by: ShownBy;
  /** Days without loaded work, where the figure is less for them. */
  readonly afterDays?: number;
}

/** What a trainee has shown, as far as a plan may rest on it. */
export interface Shown extends Readonly<Record<Direction, ShownLoad>> {
  /** Rungs down after a layoff; everything is too much after the longest. */
  readonly rungsDown: number;
  /** Ranges under load; a pack from before does not say. */
  readonly ranges?: ShownRanges;
  /** Single sets of the last weeks; a pack from before does not say. */
  readonly sets?: ShownSets;
}

/** The check that shows what an arm carries, by direction. */
export const LOAD_CHECKS: Readonly<Record<Direction, string>> = { push: 'hand-load-push', pull: 'hand-load-hang', carry: 'grip' };

/** What anybody may begin with: on hands and knees, a hang with the feet carrying most, a full shopping bag (project defaults). */
const ENTRY: Readonly<Record<Direction, number>> = { push: 0.225, pull: 0.125, carry: 0.1 };

/** A free hang of so many seconds, its band taken off, shows half of body weight on each arm, which a scale cannot. */
const FREE_HANG_SECONDS = 5;

/** An arm carries at most so much more than in the last weeks, as a share of body weight (professional judgement, from memory). */
const GROWTH = 0.1;
/** In the first weeks no arm carries more (professional judgement, from memory). */
const BEGINNER = { weeks: 4, perArm: 0.35 } as const;

interface Layoff {
  readonly fromDays: number;
  /** Of the last load. */
  readonly share: number;
  readonly rungsDown: number;
  /** What was checked before counts no more. */
  readonly recheck: boolean;
}

/** Every rung. */
const TO_THE_ENTRY = 1000;

/** Professional judgement, from memory, no single published source. Longest first. */
const LAYOFFS: readonly Layoff[] = [
  { fromDays: 85, share: 0, rungsDown: TO_THE_ENTRY, recheck: true },
  { fromDays: 29, share: 0.5, rungsDown: 2, recheck: true },
  { fromDays: 15, share: 0.5, rungsDown: 1, recheck: false },
  { fromDays: 8, share: 0.7, rungsDown: 0, recheck: false },
];

/** What the shown loads follow from. */
export interface ShownFacts {
  /** Fitted to the trainee. */
  readonly library: Library;
  readonly capacities: readonly Capacity[];
  /** Drills of clean sessions of the last weeks. */
  readonly didWell: readonly string[];
  readonly foothold: { readonly ladderId: string; readonly here: number };
  readonly massKg: number;
  /** The most of single sets of the last weeks. */
  readonly doneAmounts?: readonly DoneAmount[];
  /** Drills of the last weeks, clean or not; absent: nobody knows. */
  readonly recentDrills?: readonly string[];
  /** Whole weeks since the first session on record; absent: nobody knows. */
  readonly weeksIn?: number;
  /** When anything last loaded the hands; absent: never. */
  readonly lastLoadedAt?: Instant | undefined;
  readonly now: Date;
}

/**
 * What a trainee has shown on either arm, for each direction: the most of what was tolerated at a check (less its band), done clean lately or signed
 * for; after a layoff less of it, and rungs down. Simulated, suggested and in-session figures show nothing.
 *
 * @example shownOf({ capacities: [], didWell: [], lastLoadedAt: undefined, … }).push // { perArm: 0.225, by: 'entry' }
 */
export function shownOf(facts: ShownFacts): Shown {
  const { lastLoadedAt, now } = facts;
  const days = lastLoadedAt ? Math.floor(daysBetween(lastLoadedAt, now)) : 0;
  const layoff = LAYOFFS.find(({ fromDays }) => days >= fromDays);
  return {
    push: shownIn('push', facts, layoff && { ...layoff, days }),
    pull: shownIn('pull', facts, layoff && { ...layoff, days }),
    carry: shownIn('carry', facts, layoff && { ...layoff, days }),
    rungsDown: layoff?.rungsDown ?? 0,
    ranges: shownRanges({
      ...facts,
      capacities: layoff?.recheck ? facts.capacities.filter((c) => lastLoadedAt && c.takenAt > lastLoadedAt) : facts.capacities,
      practices: signedPractices(facts),
    }),
    sets: together(shownSets(facts.doneAmounts ?? [], facts.library, layoff?.share), shownInChecks(freshOf(facts), facts.library)),
  };
}

/** The newest of each check and side that is still fresh: what is stale shows nothing. */
function freshOf({ capacities, library, now }: ShownFacts): readonly Capacity[] {
  const newest = new Map<string, Capacity>();
  for (const c of capacities) {
    const key = `${c.measureId}/${c.side}`;
    const before = newest.get(key);
    if (library.hasMeasure(c.measureId) && (!before || before.takenAt < c.takenAt)) newest.set(key, c);
  }
  return [...newest.values()].filter((c) => daysBetween(c.takenAt, now) <= library.measure(c.measureId).freshDays);
}

/** The practices of the rungs that are signed. */
function signedPractices({ library, foothold }: ShownFacts): readonly string[] {
  const rungs = library.hasLadder(foothold.ladderId) ? library.ladder(foothold.ladderId).rungs.slice(0, foothold.here + 1) : [];
  return rungs.map((r) => r.practice);
}

function shownIn(direction: Direction, facts: ShownFacts, layoff: (Layoff & { readonly days: number }) | undefined): ShownLoad {
  const { library, didWell, lastLoadedAt } = facts;
  const check = checked(direction, facts);
  // A check after the layoff is what is tolerated now.
  const fresh = check && lastLoadedAt && check.takenAt > lastLoadedAt;
  const keeps = layoff?.share ?? 1;
  const after = layoff ? { afterDays: layoff.days } : {};
  const carried = (ids: readonly string[]) =>
    Math.max(0, ...ids.filter((id) => library.hasDrill(id)).map((id) => armLoadIn(direction, library.drill(id))));
  const signed = signedPractices(facts);
  const candidates: readonly ShownLoad[] = [
    { perArm: ENTRY[direction], by: 'entry' },
    ...(check && (fresh || !layoff?.recheck)
      ? [fresh ? ({ perArm: check.perArm, by: 'check' } as const) : ({ perArm: check.perArm * keeps, by: 'check', ...after } as const)]
      : []),
    { perArm: carried(didWell) * keeps, by: 'work', ...after },
    { perArm: carried(signed) * keeps, by: 'rung', ...after },
  ];
  const most = candidates.reduce((best, one) => (one.perArm > best.perArm ? one : best));
  const used = Math.max(ENTRY[direction], carried(facts.recentDrills ?? []) * keeps, carried(signed) * keeps);
  return capped(capped(most, facts.recentDrills && { perArm: used + GROWTH, by: 'growth' }), beginnerCap(facts));
}

function capped(shown: ShownLoad, cap: ShownLoad | undefined): ShownLoad {
  return cap && cap.perArm < shown.perArm - ROUNDING ? { ...shown, ...cap } : shown;
}

function beginnerCap({ weeksIn }: ShownFacts): ShownLoad | undefined {
  return weeksIn !== undefined && weeksIn < BEGINNER.weeks ? { perArm: BEGINNER.perArm, by: 'beginner' } : undefined;
}

const POINTS = 100;

interface Checked {
  readonly perArm: number;
  readonly takenAt: Instant;
}

/** What one check shows of an arm, from its value less its band. */
type Shows = (least: number, massKg: number) => number;

const onTwo: Shows = (least) => least / POINTS / 2;
const onOne: Shows = (least) => least / POINTS;

/** What shows a load on an arm, by check; of a check with sides the weaker one counts. */
const SHOWN_BY: Readonly<Record<Direction, readonly (readonly [string, Shows])[]>> = {
  push: [['hand-load-push', onTwo]],
  pull: [
    ['hand-load-hang', onTwo],
    ['one-hand-load-hang', onOne],
    ['free-hang', (least) => (least >= FREE_HANG_SECONDS ? 1 / 2 : 0)],
  ],
  carry: [['grip', (least, massKg) => (least * MOST_OF_GRIP) / massKg]],
};

/** The most that measured checks show of either arm, each by its newest figures less their bands. */
function checked(direction: Direction, { library, capacities, massKg }: ShownFacts): Checked | undefined {
  const shown = SHOWN_BY[direction].flatMap(([measureId, shows]): Checked[] => {
    if (!library.hasMeasure(measureId)) return [];
    const sides = measureSides(library.measure(measureId)).map((side) => newestOf(capacities, measureId, side));
    if (sides.some((c) => c === undefined)) return [];
    const known = sides.filter((c) => c !== undefined);
    const perArm = Math.min(...known.map((c) => shows(Math.max(0, c.value - c.band), massKg)));
    return perArm > 0 ? [{ perArm, takenAt: known.map((c) => c.takenAt).sort()[0] as Instant }] : [];
  });
  return shown.reduce<Checked | undefined>((most, one) => (most && most.perArm >= one.perArm ? most : one), undefined);
}

function armLoadIn(direction: Direction, drill: Drill): number {
  return directionOf(drill) === direction ? armLoadOf(drill) : 0;
}

type Carrying = Pick<Drill, 'id' | 'movement' | 'handLoad' | 'support' | 'pose' | 'effort' | 'position' | 'equipment' | 'dose' | 'quality'>;

/** How the hands carry in a drill; nothing where they do not. */
export function directionOf({ handLoad, support }: Pick<Carrying, 'handLoad' | 'support'>): Direction | undefined {
  if (!handLoad) return undefined;
  const { position, where } = { where: '', ...support?.setUp } as { readonly position?: string; readonly where?: string };
  return position === 'carry' && where !== 'overhead' ? 'carry' : handLoad.direction;
}

/** A model's rounding is not more than was shown. */
const ROUNDING = 0.0025;

/** A drill that puts more on an arm than was shown. */
export interface BeyondLoad {
  readonly what: 'load';
  readonly direction: Direction;
  readonly perArm: number;
  readonly shown: ShownLoad;
}

/** A drill that asks for more than was shown, of load on an arm or of range under load. */
export type BeyondShown = BeyondLoad | ({ readonly what: 'range' } & BeyondRange);

/** Whether a drill puts more on an arm than the trainee has shown, what one hand carries not halved, or needs more range under load. */
export function beyondShown(drill: Carrying, shown: Shown): BeyondShown | undefined {
  const direction = directionOf(drill);
  if (!direction) return undefined;
  const perArm = armLoadOf(drill);
  if (perArm > shown[direction].perArm + ROUNDING) return { what: 'load', direction, perArm, shown: shown[direction] };
  const range = beyondRange(drill, shown.ranges);
  return range && { what: 'range', ...range };
}

/** Nothing was shown: where anybody begins. */
export const NOTHING_SHOWN: Shown = {
  push: { perArm: ENTRY.push, by: 'entry' },
  pull: { perArm: ENTRY.pull, by: 'entry' },
  carry: { perArm: ENTRY.carry, by: 'entry' },
  rungsDown: 0,
  ranges: NO_RANGES,
  sets: {},
};

/** For tests and made-up trainees: nothing is beyond what was shown. */
export const ANYTHING_SHOWN: Shown = {
  push: { perArm: 2, by: 'check' },
  pull: { perArm: 2, by: 'check' },
  carry: { perArm: 2, by: 'check' },
  rungsDown: 0,
  ranges: ANY_RANGES,
};
