import { sideDifference } from '../measuring/index.ts';
import type { DemandSide, DemandVerdict, GateFinding } from './findings.ts';
import type { GateInput } from './gateInput.ts';
import type { Headroom } from './headroom.ts';
import { limiterOf } from './limiter.ts';
import type { GateSettings } from './settings.ts';

/** Nothing asked is nothing shown. */
export function demandAsked({ headrooms }: GateInput): GateFinding[] {
  return headrooms.length === 0 ? [{ rule: 'demand-asked', met: false }] : [];
}

/** Every demand is met on each side by a fresh figure of its own, band and all. */
export function demands({ headrooms }: GateInput): GateFinding[] {
  const limiter = limiterOf(headrooms);
  return byMeasure(headrooms).map(([measureId, sides]) => {
    const judged = sides.map((h): DemandSide => ({
      side: h.side,
      verdict: verdictOn(h),
      ...(h.skipped ? { skipped: h.skipped } : {}),
    }));
    return {
      rule: 'demand',
      measureId,
      met: judged.every(({ verdict }) => PASSES.has(verdict)),
      sides: judged,
      limiter: sides.some((h, i) => h === limiter && !PASSES.has(judged[i]?.verdict ?? 'short')),
    };
  });
}

const PASSES: ReadonlySet<DemandVerdict> = new Set(['spare', 'allowed']);

function verdictOn({ state, stale, inFuture, skipped, capacity, demand }: Headroom): DemandVerdict {
  if (!capacity) return 'never checked';
  if (inFuture) return 'in the future';
  if (stale) return 'stale';
  if (skipped) return 'skipped';
  if (capacity.provisional) return capacity.provisional;
  if (state === 'on the mark') return demand.allowOnTheMark ? 'allowed' : 'on the mark';
  return state === 'spare' ? 'spare' : 'short';
}

/** Left and right of a check are alike, within what they can differ by. */
export function sidesAlike({ headrooms }: GateInput, { sideDifferencePercent }: GateSettings): GateFinding[] {
  return byMeasure(headrooms).flatMap(([measureId, sides]): GateFinding[] => {
    const [left, right] = (['left', 'right'] as const).map((side) => sides.find((h) => h.side === side && !h.stale)?.capacity);
    if (!left || !right) return [];
    const { difference, allowed, alike } = sideDifference(left, right, sideDifferencePercent / 100);
    return [{ rule: 'sides', measureId, met: alike, left: left.value, right: right.value, difference, allowed }];
  });
}

function byMeasure(headrooms: readonly Headroom[]): readonly (readonly [string, readonly Headroom[]])[] {
  return [...new Set(headrooms.map((h) => h.demand.measureId))].map((id) => [id, headrooms.filter((h) => h.demand.measureId === id)]);
}
