import type { Demand } from '../ladders/index.ts';
import type { Capacity, Measure } from '../measuring/index.ts';
import type { Scale } from './scale.ts';

/** The readings, on the scale of a check, at which a demand is passed: from … to; an end that is absent is none. */
export interface Passing {
  readonly from?: number;
  readonly to?: number;
}

/**
 * What a further check must read so that a demand is spare, band and all (or on the mark, where that is allowed). The band is taken to be
 * like that of the last check: the same in its unit, or the same share of the figure.
 *
 * @param capacity the last one; its band is the one to expect
 * @example passingOf(wristExtensionAtLeast80, { value: 75, band: 5 }, measure, scale) // { from: 85 }
 */
export function passingOf(demand: Demand, { value, band }: Pick<Capacity, 'value' | 'band'>, measure: Measure, scale: Scale): Passing {
  const { direction, value: asked, upTo = asked, allowOnTheMark } = demand;
  const half = measure.error.kind === 'none' ? HALF : 0;
  const sign = allowOnTheMark ? -1 : 1;
  const share = measure.error.kind === 'share' && value > 0 ? Math.min(MOST_SHARE, band / value) : undefined;
  const above = share === undefined ? asked + sign * band - half : asked / (1 - sign * share);
  const below = (limit: number) => (share === undefined ? limit - sign * band + half : limit / (1 + sign * share));
  return {
    ...(direction === 'at most' ? {} : { from: scale.of(above) }),
    ...(direction === 'at least' ? {} : { to: scale.of(below(direction === 'at most' ? asked : upTo)) }),
  };
}

/** Levels are read to whole steps, and have no band. */
const HALF = 0.5;
/** A band that is nearly the figure itself passes nothing. */
const MOST_SHARE = 0.9;
