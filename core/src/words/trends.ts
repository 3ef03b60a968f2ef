import type { MeasureOf } from '../measuring/index.ts';
import type { DrillSymptoms, Stall, StallReason } from '../trends/index.ts';

const REASONS: Readonly<Record<StallReason, string>> = {
  'not-trained': 'trains less than once a week',
  'not-recovered': 'something loud was felt again and again',
  'not-measured': 'checks are missing or too old',
  'hardly-measured': 'most figures are inside their error band: measure finer',
  short: 'furthest short',
  close: 'inside the error band',
};

/**
 * Why somebody probably does not get on.
 *
 * @example stallInWords(stall, library.measure) // 'trains less than once a week; furthest short: Plank hold'
 */
export function stallInWords({ reasons, measureId }: Pick<Stall, 'reasons' | 'measureId'>, measureOf: MeasureOf): string {
  if (reasons.length === 0) return 'every figure is to spare: look at the other lines of the gate';
  return reasons
    .map((reason) =>
      (reason === 'short' || reason === 'close') && measureId !== undefined
        ? `${REASONS[reason]}: ${measureOf(measureId).name}`
        : REASONS[reason],
    )
    .join('; ');
}

/**
 * How often something loud was felt beside a drill.
 *
 * @example drillSymptomsInWords({ loud: 2, sessions: 10, from: 0.025, to: 0.556 }) // '2 of 10 sessions, truly anything from 3% to 56%'
 */
export function drillSymptomsInWords({ loud, sessions, from, to }: Pick<DrillSymptoms, 'loud' | 'sessions' | 'from' | 'to'>): string {
  return `${loud} of ${sessions} sessions, truly anything from ${Math.round(100 * from)}% to ${Math.round(100 * to)}%`;
}
