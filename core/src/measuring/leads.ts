import type { BodySide } from '../anatomy/index.ts';
import type { Capacity } from './capacity.ts';
import { sideDifference } from './change.ts';
import { goodness } from './goodness.ts';
import type { Lead } from './lead.ts';
import type { Measure } from './measure.ts';
import type { SkipReason } from './skips.ts';

/** A lead that a trainee’s newest figures call for. */
export interface LeadShown {
  readonly measureId: string;
  /** The side that shows it; of sides that differ the weaker one. */
  readonly side: BodySide;
  readonly lead: Lead;
}

/** What the newest occasion of a check showed. */
export interface LeadFacts {
  readonly capacities: readonly Capacity[];
  /** What stopped it. */
  readonly stopped?: SkipReason | undefined;
  /** Share of the larger side that two sides may differ by. */
  readonly sideShare?: number | undefined;
}

/**
 * What a check leads to, beside its number: a figure has to be beyond its mark by its band.
 *
 * @example leadsOf(library.measure('blade-winging'), { capacities: [{ side: 'left', value: 1, band: 0 }] })[0]?.lead.drills
 * // ['kneeling-scapular-push-up', 'wall-push-hold', 'plank-scapular-push-up']
 */
export function leadsOf(measure: Measure, facts: LeadFacts): readonly LeadShown[] {
  return (measure.leads ?? []).flatMap((lead): LeadShown[] =>
    sidesOfLead(lead, measure, facts).map((side) => ({ measureId: measure.id, side, lead })),
  );
}

function sidesOfLead(lead: Lead, measure: Measure, { capacities, stopped, sideShare }: LeadFacts): readonly BodySide[] {
  const { sign, levels = [], mark = 0 } = lead;
  switch (sign) {
    case 'pain':
      return stopped === 'pain' ? ['whole'] : [];
    case 'level':
      return capacities.filter((c) => levels.includes(Math.round(c.value))).map((c) => c.side);
    case 'above':
      return capacities.filter((c) => c.value - c.band > mark).map((c) => c.side);
    case 'below':
      return capacities.filter((c) => c.value + c.band < mark).map((c) => c.side);
    case 'sides': {
      const [left, right] = (['left', 'right'] as const).map((side) => capacities.find((c) => c.side === side));
      if (!left || !right || sideDifference(left, right, sideShare).alike) return [];
      return [goodness(measure, left.value) < goodness(measure, right.value) ? 'left' : 'right'];
    }
  }
}
