import type { Schools } from '../schools/index.ts';
import { type Weekday, WEEKDAYS } from './plan.ts';
import type { PlanNote } from './planNote.ts';

/** How a week is built under a rhythm. */
export interface WeekShape {
  /** Days with a session, Monday first. */
  readonly days: readonly Weekday[];
  readonly minutesOn: (day: Weekday) => number;
  /** Days that stay unloaded whatever else. */
  readonly mobilityOnly: readonly Weekday[];
  readonly loadedDaysPerWeek: number;
  /** What the rhythm did; nothing where it left the week as chosen. */
  readonly note?: PlanNote;
}

export interface RhythmInput {
  readonly rhythm: Schools['rhythm'];
  readonly trainingDays: readonly Weekday[];
  readonly sessionMinutes: number;
  /** Minutes of single days that differ from `sessionMinutes`. */
  readonly minutesOf?: ((day: Weekday) => number | undefined) | undefined;
  /** Whole weeks since the first session on record; 0 before it. */
  readonly weeksIn: number;
}

/** Loaded days a week (common practice, no source). */
export const LOADED_DAYS_PER_WEEK = 2;
/** Customary figures of the rhythms (common practice, no source). */
const DAILY_MINUTES = 20;
const HOME_MINUTES = 10;
const LONGER = 1.5;
const FIRST_DAYS = 2;
const MOST_DAYS = 5;
const WEEKS_A_MONTH = 4;

/**
 * The days, minutes and loaded days of a week under a rhythm.
 *
 * @example shapeWeek({ rhythm: 'building up', trainingDays: ['Monday', 'Wednesday', 'Friday'], sessionMinutes: 45, weeksIn: 0 }).days
 * // ['Monday', 'Friday']
 */
export function shapeWeek({ rhythm, trainingDays, sessionMinutes, weeksIn, minutesOf }: RhythmInput): WeekShape {
  const own = (day: Weekday) => minutesOf?.(day) ?? sessionMinutes;
  const chosen = WEEKDAYS.filter((d) => trainingDays.includes(d));
  const plain: WeekShape = { days: chosen, minutesOn: own, mobilityOnly: [], loadedDaysPerWeek: LOADED_DAYS_PER_WEEK };
  switch (rhythm) {
    case 'training days':
      return plain;
    case 'little daily': {
      const minutes = Math.min(DAILY_MINUTES, sessionMinutes);
      return {
        ...plain,
        days: WEEKDAYS,
        minutesOn: (day) => Math.min(DAILY_MINUTES, own(day)),
        note: { code: 'rhythm', rhythm, minutes },
      };
    }
    case 'stability twice': {
      const home = WEEKDAYS.filter((d) => !trainingDays.includes(d));
      return {
        ...plain,
        days: chosen.length === 0 ? [] : WEEKDAYS,
        mobilityOnly: home,
        minutesOn: (day) => (home.includes(day) ? Math.min(HOME_MINUTES, sessionMinutes) : own(day)),
        note: { code: 'rhythm', rhythm, minutes: HOME_MINUTES },
      };
    }
    // eslint-disable-next-line no-restricted-syntax -- the name of a rhythm
    case 'one or two long': {
      const minutes = Math.round(sessionMinutes * LONGER);
      return {
        ...plain,
        days: spread(chosen, FIRST_DAYS),
        minutesOn: (day) => Math.round(own(day) * LONGER),
        note: { code: 'rhythm', rhythm, minutes },
      };
    }
    case 'building up': {
      const months = Math.floor(weeksIn / WEEKS_A_MONTH);
      const wanted = Math.min(MOST_DAYS, FIRST_DAYS + months);
      const days = spread(chosen, wanted);
      return { ...plain, days, note: { code: 'building up', month: months + 1, days: days.length, chosen: chosen.length } };
    }
  }
}

/** Of all choices of `count` days the one whose smallest gap round the week is largest. */
function spread(days: readonly Weekday[], count: number): readonly Weekday[] {
  if (days.length <= count) return days;
  let best: readonly Weekday[] = [];
  let widest = -1;
  for (const choice of choices(days, count)) {
    const gap = smallestGap(choice);
    if (gap > widest) [best, widest] = [choice, gap];
  }
  return best;
}

function smallestGap(days: readonly Weekday[]): number {
  const at = days.map((d) => WEEKDAYS.indexOf(d));
  return Math.min(...at.slice(1).map((d, i) => d - (at[i] ?? d)));
}

function* choices<T>(items: readonly T[], count: number): Generator<readonly T[]> {
  if (count === 0) {
    yield [];
    return;
  }
  for (const [i, first] of items.entries()) for (const rest of choices(items.slice(i + 1), count - 1)) yield [first, ...rest];
}
