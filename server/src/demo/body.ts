import type { BodySide } from '@myokinet/core/anatomy';
import { type Demand, demandsOn, type Ladder } from '@myokinet/core/ladders';
import { type Measure } from '@myokinet/core/measuring';
import { BUILT_IN_LIBRARY } from '@myokinet/core/catalogue';
import { traineeBody } from '@myokinet/core/statics';
import type { Story } from './people.ts';

/** What an invented body can do in a check at a level, before measuring noise. */
export function trueCapacity(story: Story, ladder: Ladder, measureId: string, side: BodySide, level: number, personal: number): number {
  const measure = BUILT_IN_LIBRARY.measure(measureId);
  const demands = ladder.rungs.map((rung) =>
    demandsOn(rung, traineeBody(story.profile), BUILT_IN_LIBRARY.measure).find((d) => d.measureId === measureId && d.side === side),
  );
  const asked = askedAt(demands, level);
  if (measure.better === 'inside' && measure.inside) return (measure.inside.from + measure.inside.to) / 2;
  if (asked === undefined) return measure.better === 'more' ? 50 : 20;
  const band = typicalBand(measure, asked);
  const behind = (side === 'left' ? (story.leftBehind ?? 0) : 0) + (story.behindIn?.[measureId] ?? 0);
  const rungsPast = Math.max(0, level - demands.findLastIndex((d) => d !== undefined));
  const margin = (MARGIN + personal - behind + rungsPast * GAIN_PER_RUNG) * band;
  return clamp(asked + (measure.better === 'more' ? margin : -margin), measure);
}

/** A gate opens about when the level passes its rung: capacities lie this many bands beyond the demand. */
const MARGIN = 1.9;
/** What is no longer asked for keeps growing, in error bands for each rung. */
const GAIN_PER_RUNG = 0.7;

/** The demand at a level between two rungs; rungs that do not ask borrow from the nearest below, else above. */
function askedAt(demands: readonly (Demand | undefined)[], level: number): number | undefined {
  const at = (i: number) => {
    const index = Math.max(0, Math.min(demands.length - 1, i));
    return (demands.slice(0, index + 1).findLast((d) => d) ?? demands.find((d) => d))?.value;
  };
  const low = at(Math.floor(level));
  const high = at(Math.ceil(level));
  if (low === undefined || high === undefined) return undefined;
  return low + (high - low) * (level - Math.floor(level));
}

/** About the error band that three trials give. */
export function typicalBand({ error }: Measure, value: number): number {
  switch (error.kind) {
    case 'amount':
      return 1.65 * Math.hypot(error.between, error.within / Math.sqrt(3));
    case 'share':
      return 1.3 * Math.hypot(error.between, error.within) * value;
    case 'none':
      return 1;
  }
}

/** One reading with noise, rounded to what the instrument shows. */
export function reading(measure: Measure, truth: number, normal: () => number): number {
  const spread = typicalBand(measure, truth) * 0.35;
  const below = measure.combine === 'best' ? -Math.abs(normal()) * spread : normal() * spread;
  const { step } = measure.limits;
  return clamp(Number((Math.round((truth + below) / step) * step).toFixed(2)), measure);
}

function clamp(value: number, { limits }: Measure): number {
  return Math.max(limits.min, Math.min(limits.max, value));
}
