import { normalCdf, normalQuantile } from '../statistics/index.ts';
import { BAND_CONFIDENCE } from '../measuring/index.ts';
import type { Headroom } from './headroom.ts';

const ONE_SIDED_95 = normalQuantile(BAND_CONFIDENCE);

/**
 * How likely it is that every demand is truly met, taking each figure's error as normal and the figures as independent: ∏ Φ(1.645·z)
 * with z the headroom in error bands, so that a demand that is just spare counts with 95 %. A level is what it is. Each demand spare at one-sided 95 % keeps the chance of one being truly short under 5 % (an
 * intersection–union test); many demands together are met less often than each, and that is what this figure tells.
 *
 * @returns from 0 to 1; undefined while a demand is unknown
 * @example likelihoodOf([headroomOf({ amount: 5, bands: 1 })]) // 0.95
 */
export function likelihoodOf(headrooms: readonly Headroom[]): number | undefined {
  if (headrooms.length === 0) return undefined;
  let chance = 1;
  for (const { state, amount, bands, capacity } of headrooms) {
    if (state === 'unknown' || amount === undefined || bands === undefined || !capacity) return undefined;
    chance *= capacity.band > 0 ? normalCdf(ONE_SIDED_95 * bands) : amount >= 0 ? 1 : 0;
  }
  return chance;
}
