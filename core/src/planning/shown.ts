import type { Drill } from '../drills/index.ts';
import type { Library } from '../library/index.ts';
import type { Capacity } from '../measuring/index.ts';
import { daysBetween, type Instant } from '../quantities/index.ts';

/** Which way the hands carry. */
export type Direction = 'push' | 'pull';

/**
 * Where a figure of what was shown comes from.
 * - `check`: the hand load tolerated at the last check, less its band
 * - `work`: a drill of a clean session of the last weeks
 * - `rung`: the practice of the rung that is signed
 * - `entry`: nothing was shown; what anybody may begin with
 */
export type ShownBy = 'check' | 'work' | 'rung' | 'entry';

/** The most that the hands were shown to carry, as a share of body weight. */
export interface ShownLoad {
  readonly share: number;
  readonly by: ShownBy;
  /** Days without loaded work, where the figure is less for them. */
  readonly afterDays?: number;
}

/** What a trainee has shown, as far as a plan may rest on it. */
export interface Shown extends Readonly<Record<Direction, ShownLoad>> {
  /** Rungs down after a layoff; everything is too much after the longest. */
  readonly rungsDown: number;
}

/** The check of what the hands tolerate, by direction. */
export const LOAD_CHECKS: Readonly<Record<Direction, string>> = { push: 'hand-load-push', pull: 'hand-load-hang' };

/** What anybody may begin with: on hands and knees, and a hang with the feet carrying most (project defaults). */
const ENTRY: Readonly<Record<Direction, number>> = { push: 0.45, pull: 0.25 };

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
  /** When anything last loaded the hands; absent: never. */
  readonly lastLoadedAt?: Instant | undefined;
  readonly now: Date;
}

/**
 * What a trainee has shown, for each direction: the most of what was tolerated at a check (less its band), done clean lately or signed
 * for; after a layoff less of it, and rungs down. Simulated, suggested and in-session figures show nothing.
 *
 * @example shownOf({ capacities: [], didWell: [], lastLoadedAt: undefined, … }).push // { share: 0.45, by: 'entry' }
 */
export function shownOf(facts: ShownFacts): Shown {
  const { lastLoadedAt, now } = facts;
  const days = lastLoadedAt ? Math.floor(daysBetween(lastLoadedAt, now)) : 0;
  const layoff = LAYOFFS.find(({ fromDays }) => days >= fromDays);
  return {
    push: shownIn('push', facts, layoff && { ...layoff, days }),
    pull: shownIn('pull', facts, layoff && { ...layoff, days }),
    rungsDown: layoff?.rungsDown ?? 0,
  };
}

function shownIn(direction: Direction, facts: ShownFacts, layoff: (Layoff & { readonly days: number }) | undefined): ShownLoad {
  const { library, didWell, foothold, lastLoadedAt } = facts;
  const check = checked(direction, facts);
  // A check after the layoff is what is tolerated now.
  const fresh = check && lastLoadedAt && check.takenAt > lastLoadedAt;
  const keeps = layoff?.share ?? 1;
  const after = layoff ? { afterDays: layoff.days } : {};
  const carried = (ids: readonly string[]) =>
    Math.max(0, ...ids.filter((id) => library.hasDrill(id)).map((id) => shareIn(direction, library.drill(id))));
  const rungs = library.hasLadder(foothold.ladderId) ? library.ladder(foothold.ladderId).rungs.slice(0, foothold.here + 1) : [];
  const candidates: readonly ShownLoad[] = [
    { share: ENTRY[direction], by: 'entry' },
    ...(check && (fresh || !layoff?.recheck)
      ? [fresh ? ({ share: check.share, by: 'check' } as const) : ({ share: check.share * keeps, by: 'check', ...after } as const)]
      : []),
    { share: carried(didWell) * keeps, by: 'work', ...after },
    { share: carried(rungs.map((r) => r.practice)) * keeps, by: 'rung', ...after },
  ];
  return candidates.reduce((most, one) => (one.share > most.share ? one : most));
}

const POINTS = 100;

/** The hand load tolerated at the newest check that is measured, less its band. */
function checked(direction: Direction, { capacities }: ShownFacts): { readonly share: number; readonly takenAt: Instant } | undefined {
  const [newest] = capacities
    .filter((c) => c.measureId === LOAD_CHECKS[direction] && !c.provisional)
    .toSorted((a, b) => b.takenAt.localeCompare(a.takenAt));
  return newest && { share: Math.max(0, newest.value - newest.band) / POINTS, takenAt: newest.takenAt };
}

function shareIn(direction: Direction, { handLoad }: Drill): number {
  return handLoad?.direction === direction ? handLoad.share : 0;
}

/** A model's rounding is not more than was shown. */
const ROUNDING = 0.005;

/** A drill that puts more on the hands than was shown. */
export interface BeyondShown {
  readonly direction: Direction;
  readonly share: number;
  readonly shown: ShownLoad;
}

/** Whether a drill puts more on the hands than the trainee has shown. */
export function beyondShown({ handLoad }: Pick<Drill, 'handLoad'>, shown: Shown): BeyondShown | undefined {
  if (!handLoad) return undefined;
  const { direction, share } = handLoad;
  if (share <= shown[direction].share + ROUNDING) return undefined;
  return { direction, share, shown: shown[direction] };
}

/** Nothing was shown: where anybody begins. */
export const NOTHING_SHOWN: Shown = {
  push: { share: ENTRY.push, by: 'entry' },
  pull: { share: ENTRY.pull, by: 'entry' },
  rungsDown: 0,
};

/** For tests and made-up trainees: nothing is beyond what was shown. */
export const ANYTHING_SHOWN: Shown = { push: { share: 2, by: 'check' }, pull: { share: 2, by: 'check' }, rungsDown: 0 };
