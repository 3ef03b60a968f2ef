import { SIDES } from '../anatomy/index.ts';
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

/**
 * Left and right of a check are alike, within what they can differ by; sides that are not close the gate where the weaker has no spare,
 * or where the difference is new: the figures before were alike.
 */
export function sidesAlike({ headrooms, before }: GateInput, { sideDifferencePercent }: GateSettings): GateFinding[] {
  const share = sideDifferencePercent / 100;
  return byMeasure(headrooms).flatMap(([measureId, sides]): GateFinding[] => {
    const [left, right] = SIDES.map((side) => sides.find((h) => h.side === side && !h.stale));
    if (!left?.capacity || !right?.capacity) return [];
    const { difference, allowed, alike } = sideDifference(left.capacity, right.capacity, share);
    const figures = { left: left.capacity.value, right: right.capacity.value, difference, allowed };
    if (alike) return [{ rule: 'sides', measureId, met: true, ...figures }];
    const weaker = (left.bands ?? 0) < (right.bands ?? 0) ? left : right;
    const [l, r] = SIDES.map((side) => before?.(measureId, side));
    const apart = !PASSES.has(verdictOn(weaker)) ? 'weaker short' : l && r && sideDifference(l, r, share).alike ? 'new' : 'known';
    return [{ rule: 'sides', measureId, met: apart === 'known', ...figures, apart }];
  });
}

function byMeasure(headrooms: readonly Headroom[]): readonly (readonly [string, readonly Headroom[]])[] {
  return [...new Set(headrooms.map((h) => h.demand.measureId))].map((id) => [id, headrooms.filter((h) => h.demand.measureId === id)]);
}
