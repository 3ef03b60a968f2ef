import type { GateForecast } from './gate.ts';

/** Whether a trainee will stand where they want to on the day they want to; never a reason to weaken a gate. */
export type GoalOutlook =
  | { readonly kind: 'reached' }
  /** The rung is not on the ladder of the profile. */
  | { readonly kind: 'elsewhere' }
  /** The day is gone. */
  | { readonly kind: 'over' }
  /** Nothing can be foreseen of the next gate. */
  | { readonly kind: 'unknown' }
  /** The late end lies before the day (`sure`), or the middle does. */
  | { readonly kind: 'on course'; readonly sure: boolean }
  | { readonly kind: 'behind'; readonly weeks: number }
  /** Even the early end lies after the day: not with these weeks. `beyondDays` alone may be too long. */
  | { readonly kind: 'out of reach'; readonly beyondDays: number };

export interface GoalFacts {
  /** Whole days until the day; below 0 after it. */
  readonly daysLeft: number;
  /** Rungs from the one in hand to the goal; 0 and less: it is in hand. Absent where the goal is not on the ladder. */
  readonly rungsToGo: number | undefined;
  /** Days that tissue needs on the rungs between the next and the goal: the least that they take. */
  readonly beyondDays: number;
  readonly gateOpen: boolean;
  /** Of the next gate; absent where it is open or there is none. */
  readonly forecast: GateForecast | undefined;
}

const DAYS_PER_WEEK = 7;

/**
 * What the forecast of the next gate, and the time that the rungs after it need at least, mean for a day.
 *
 * @example goalOutlook({ daysLeft: 60, rungsToGo: 1, beyondDays: 0, gateOpen: false, forecast }) // { kind: 'behind', weeks: 3 }
 */
export function goalOutlook({ daysLeft, rungsToGo, beyondDays, gateOpen, forecast }: GoalFacts): GoalOutlook {
  if (rungsToGo === undefined) return { kind: 'elsewhere' };
  if (rungsToGo <= 0) return { kind: 'reached' };
  if (daysLeft < 0) return { kind: 'over' };
  if (beyondDays > daysLeft) return { kind: 'out of reach', beyondDays };
  if (gateOpen) return { kind: 'on course', sure: rungsToGo === 1 };
  switch (forecast?.kind) {
    case 'range': {
      const { early, median, late = Infinity } = forecast;
      if (early + beyondDays > daysLeft) return { kind: 'out of reach', beyondDays };
      if (median + beyondDays <= daysLeft) return { kind: 'on course', sure: late + beyondDays <= daysLeft && rungsToGo === 1 };
      return { kind: 'behind', weeks: Math.ceil((median + beyondDays - daysLeft) / DAYS_PER_WEEK) };
    }
    case 'not at this rate':
      return { kind: 'out of reach', beyondDays };
    default:
      return { kind: 'unknown' };
  }
}
