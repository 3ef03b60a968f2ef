import { normalCdf } from '../statistics/index.ts';
import type { Headroom } from './headroom.ts';

/**
 * How likely it is that every demand is truly met, taking each figure's error as normal and the figures as independent: ∏ Φ(h ÷ SE).
 * A level is what it is. Each demand spare at one-sided 95 % keeps the chance of one being truly short under 5 % (an
 * intersection–union test); many demands together are met less often than each, and that is what this figure tells.
 *
 * @returns from 0 to 1; undefined while a demand is unknown
 * @example likelihoodOf([headroomOf({ amount: 5, standardError: 3 })]) // 0.952
 */
export function likelihoodOf(headrooms: readonly Headroom[]): number | undefined {
  if (headrooms.length === 0) return undefined;
  let chance = 1;
  for (const { state, amount, capacity } of headrooms) {
    if (state === 'unknown' || amount === undefined || !capacity) return undefined;
    chance *= capacity.standardError > 0 ? normalCdf(amount / capacity.standardError) : amount >= 0 ? 1 : 0;
  }
  return chance;
}
