import { sideLabel } from '../anatomy/index.ts';
import type { Drill } from '../drills/index.ts';
import { measureOf } from '../measuring/index.ts';
import { byUrgency, type Headroom } from '../readiness/index.ts';

/** How much a check needs training, and the words for why. */
export interface Need {
  readonly measureId: string;
  readonly weight: number;
  readonly headroom: Headroom;
  readonly limiter: boolean;
}

/** Weights of the rule-based proposal (project defaults). */
const WEIGHT = { short: 3, 'on the mark': 2, unknown: 1, spare: 0.25 } as const;
const LIMITER_BONUS = 3;
const MOST_BANDS = 4;

/** One need for each check, the worse side deciding, the most urgent first. */
export function needsFrom(headrooms: readonly Headroom[]): readonly Need[] {
  const worst = new Map<string, Headroom>();
  for (const h of [...headrooms].sort(byUrgency)) if (!worst.has(h.demand.measureId)) worst.set(h.demand.measureId, h);
  return [...worst.values()].map((h, i) => {
    const limiter = i === 0 && h.state !== 'spare';
    const depth = h.state === 'short' ? Math.min(MOST_BANDS, -(h.bands ?? 0)) / 2 : 0;
    return { measureId: h.demand.measureId, headroom: h, limiter, weight: WEIGHT[h.state] + depth + (limiter ? LIMITER_BONUS : 0) };
  });
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

/** The need a drill serves most, for its reason. */
export function mainNeed(drill: Drill, needs: readonly Need[]): Need | undefined {
  const score = (n: Need) => n.weight * (drill.trains[n.measureId] ?? 0);
  return needs.filter((n) => score(n) > 0).sort((a, b) => score(b) - score(a))[0];
}

/**
 * A need in words.
 *
 * @example needInWords(need) // 'left shoulder flexion, 7° short (the limiter)'
 */
export function needInWords({ headroom: h, limiter }: Need): string {
  const side = h.side === 'whole' ? '' : `${sideLabel(h.side).toLowerCase()} `;
  return `${side}${measureOf(h.demand.measureId).phrase}, ${h.words}${limiter ? ' (the limiter)' : ''}`;
}
