import type { Side } from '../anatomy/index.ts';
import type { Drill } from '../drills/index.ts';
import { goodness, type Measure, type MeasureOf, sideDifference } from '../measuring/index.ts';
import { byUrgency, type Headroom } from '../readiness/index.ts';

/** How much a check needs training, and why. */
export interface Need {
  readonly measureId: string;
  readonly measure: Measure;
  readonly weight: number;
  readonly headroom: Headroom;
  readonly limiter: boolean;
  /** Set where both sides suffice and yet differ beyond their limit. */
  readonly unlike?: { readonly weaker: 'left' | 'right'; readonly difference: number };
}

/** Weights of the rule-based proposal (project defaults). */
const WEIGHT = { short: 3, 'on the mark': 2, unknown: 1, spare: 0.25 } as const;
const LIMITER_BONUS = 3;
const MOST_BANDS = 4;

/** What needs follow from. */
export interface NeedFacts {
  /** Headroom of the next rung's demands, each side. */
  readonly headrooms: readonly Headroom[];
  /** Percent of the larger side that two sides may differ by, where the studio or the trainee has less than usual. */
  readonly sidePercent?: number;
}

/** One need for each check, the worse side deciding, the most urgent first. */
export function needsFrom({ headrooms, sidePercent }: NeedFacts, measureOf: MeasureOf): readonly Need[] {
  const worst = new Map<string, Headroom>();
  for (const h of [...headrooms].sort(byUrgency)) if (!worst.has(h.demand.measureId)) worst.set(h.demand.measureId, h);
  return [...worst.values()].map((h, i) => {
    // What is unknown is to be checked first; only what is known to be scarce drives the plan.
    const limiter = i === 0 && (h.state === 'short' || h.state === 'on the mark');
    const depth = h.state === 'short' ? Math.min(MOST_BANDS, -(h.bands ?? 0)) / 2 : 0;
    const { measureId } = h.demand;
    const measure = measureOf(measureId);
    const need = { measureId, measure, headroom: h, limiter, weight: WEIGHT[h.state] + depth + (limiter ? LIMITER_BONUS : 0) };
    const unlike = sidesUnlike(h, headrooms, measure, sidePercent);
    return unlike ? { ...need, unlike, weight: Math.max(need.weight, WEIGHT['on the mark']) } : need;
  });
}

/** That the sides of a spare check differ beyond their limit. */
function sidesUnlike({ demand, state }: Headroom, headrooms: readonly Headroom[], measure: Measure, percent?: number): Need['unlike'] {
  const side = (name: Side) => headrooms.find((h) => h.demand.measureId === demand.measureId && h.side === name && !h.stale)?.capacity;
  const [left, right] = [side('left'), side('right')];
  if (state !== 'spare' || !left || !right) return undefined;
  const { difference, alike } = sideDifference(left, right, percent === undefined ? undefined : percent / 100);
  if (alike) return undefined;
  const weaker = goodness(measure, left.value) < goodness(measure, right.value) ? 'left' : 'right';
  return { weaker, difference };
}

/**
 * What one more drill is worth: need × how strongly it trains it, halved for every drill already
 * chosen that trains the same.
 */
export function worth(drill: Drill, needs: readonly Need[], chosen: readonly Drill[]): number {
  return needs.reduce((sum, need) => {
    const strength = drill.trains[need.measureId] ?? 0;
    const before = chosen.reduce((s, d) => s + (d.trains[need.measureId] ?? 0), 0);
    return sum + need.weight * strength * 0.5 ** (before / 2);
  }, 0);
}

/**
 * The most valuable of some drills, and what it is worth; the first of equals.
 *
 * @param claim how much more or less than usual a drill may claim of the session
 * @returns undefined only for no drills
 */
export function mostWorth(
  drills: readonly Drill[],
  needs: readonly Need[],
  chosen: readonly Drill[],
  claim: (drill: Drill) => number = () => 1,
): { readonly drill: Drill; readonly worth: number } | undefined {
  let best: { drill: Drill; worth: number } | undefined;
  for (const drill of drills) {
    const value = worth(drill, needs, chosen) * claim(drill);
    if (!best || value > best.worth) best = { drill, worth: value };
  }
  return best;
}

/** The need a drill serves most, for its reason. */
export function mainNeed(drill: Drill, needs: readonly Need[]): Need | undefined {
  const score = (n: Need) => n.weight * (drill.trains[n.measureId] ?? 0);
  return needs.filter((n) => score(n) > 0).sort((a, b) => score(b) - score(a))[0];
}
