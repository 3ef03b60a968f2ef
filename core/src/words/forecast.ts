import type { Blocked, Calibration, Deciding, FanPoint, GateForecast, GoalOutlook, Narrowing } from '../forecast/index.ts';
import { WAITING } from '../forecast/index.ts';
import { formatReading, type Measure, type MeasureOf } from '../measuring/index.ts';
import { format, parseISO } from 'date-fns';
import { addDays, type CalendarDay, dayInWords, shortDay } from '../quantities/index.ts';
import { joined } from './joined.ts';

const BLOCKED: Readonly<Record<Blocked, string>> = {
  'stop-signs': 'a stop sign is open',
  screening: 'the screening waits',
  'rung-open': 'a caution closes the rung',
  'demand-asked': 'the rung asks for nothing',
  'nobody-trains': 'clean sessions are asked and none was held in four weeks',
};

interface Reader {
  readonly measureOf: MeasureOf;
  readonly now: Date;
}

/**
 * When a gate is likely to open, always a range with its reason; what it hangs on is said beside it.
 *
 * @example forecastInWords(forecast, reader) // 'Likely between 12 Mar and 9 May, as often before 4 Apr as after.'
 */
export function forecastInWords(forecast: GateForecast, { measureOf, now }: Reader): string {
  const day = (days: number) => shortDay(addDays(now, days), now);
  switch (forecast.kind) {
    case 'blocked':
      return `Nothing can be foreseen while ${joined(forecast.blocked.map((b) => BLOCKED[b]))}.`;
    case 'too little': {
      const [first] = forecast.missing;
      const most = Math.max(...forecast.missing.map((m) => m.needed - m.checks));
      const others = new Set(forecast.missing.map((m) => m.measureId)).size - 1;
      const named = first ? measureOf(first.measureId).name : '';
      const also = others > 0 ? ` and ${others} more` : '';
      return `Not yet: ${named}${also} ${others > 0 ? 'need' : 'needs'} ${most} more ${most === 1 ? 'check' : 'checks'}, each on a day of its own, before a trend can be told.`;
    }
    case 'range': {
      const until =
        forecast.late === undefined ? `after ${day(forecast.early)}` : `between ${day(forecast.early)} and ${day(forecast.late)}`;
      return `Likely ${until}, as often before ${day(forecast.median)} as after.`;
    }
    case 'not at this rate':
      return `Not at this rate: it opens within ${weeksOf(forecast.horizonDays)} weeks in ${tenths(forecast.openShare)}.`;
  }
}

/**
 * The same for a list: as short as a range with its reason can be.
 *
 * @example forecastBriefly(forecast, now) // '12 Mar to 9 May'
 */
export function forecastBriefly(forecast: GateForecast, now: Date): string {
  const day = (days: number) => format(addDays(now, days), 'd MMM');
  switch (forecast.kind) {
    case 'blocked':
      return 'has to be seen to first';
    case 'too little': {
      const most = Math.max(...forecast.missing.map((m) => m.needed - m.checks));
      return `${most} more ${most === 1 ? 'check' : 'checks'} to tell`;
    }
    case 'range': {
      const { early, late } = forecast;
      if (late === undefined) return `after ${day(early)}`;
      return day(early) === day(late) ? day(late) : `${day(early)} to ${day(late)}`;
    }
    case 'not at this rate':
      return 'not at this rate';
  }
}

/**
 * What the day hangs on.
 *
 * @example decidingInWords({ what: 'wrist-extension', daysSooner: 12, metShare: 0.8 }, reader) // 'Wrist extension decides: met today, it would be 12 days sooner.'
 */
export function decidingInWords({ what, daysSooner, metShare }: Deciding, { measureOf }: Pick<Reader, 'measureOf'>): string {
  const name = what === WAITING ? 'The waiting' : measureOf(what).name;
  if (daysSooner !== undefined && Number.isFinite(daysSooner)) {
    const days = Math.round(daysSooner);
    return `${name} decides: ${what === WAITING ? 'without it' : 'met today'}, it would be about ${days} ${days === 1 ? 'day' : 'days'} sooner.`;
  }
  return `${name} decides: it is met in ${tenths(metShare)}.`;
}

/**
 * What other weeks would change, beside the forecast as it is.
 *
 * @example shiftInWords(asItIs, withThreeDays) // 'about 12 days sooner'
 */
export function shiftInWords(before: GateForecast, after: GateForecast): string | undefined {
  if (before.kind === 'range' && after.kind === 'range') {
    const days = Math.round(after.median - before.median);
    if (Math.abs(days) < TELLING_DAYS) return 'no difference to speak of';
    return `about ${Math.abs(days)} days ${days < 0 ? 'sooner' : 'later'}`;
  }
  if (before.kind === 'not at this rate' && after.kind === 'not at this rate') {
    const shares = 10 * (after.openShare - before.openShare);
    if (Math.abs(shares) < 1) return 'no difference to speak of';
    return `it opens in ${shares > 0 ? 'more' : 'fewer'} of the futures`;
  }
  return undefined;
}

/** Less would not change anybody's week. */
const TELLING_DAYS = 2;

/**
 * What one more check today would leave of the range.
 *
 * @example narrowingInWords({ measureId: 'wrist-extension', days: 40, after: 28 }, reader) // 'Wrist extension checked again today: the range shrinks from 40 to about 28 days.'
 */
export function narrowingInWords({ measureId, days, after }: Narrowing, { measureOf }: Pick<Reader, 'measureOf'>): string {
  return `${measureOf(measureId).name} checked again today: the range shrinks from ${Math.round(days)} to about ${Math.round(after)} days.`;
}

/**
 * Where a figure is likely to be, in eight of ten futures.
 *
 * @example fanInWords(point, measure) // '68° to 78°'
 */
export function fanInWords({ low, high }: FanPoint, measure: Measure): string {
  const [from, to] = [formatReading(measure, low), formatReading(measure, high)];
  return from === to ? from : `${from} to ${to}`;
}

function weeksOf(days: number): number {
  return Math.round(days / 7);
}

/** A share of many futures, no finer than it is known. */
function tenths(share: number): string {
  const of = Math.round(10 * share);
  return of === 0 ? 'fewer than 1 of 20 futures' : `about ${of} of 10 futures`;
}

interface GoalSaid {
  readonly name: string;
  readonly day: CalendarDay;
  readonly rungName: string;
}

/**
 * How somebody does towards a day, in a sentence; never a reason to weaken a gate.
 *
 * @example goalInWords({ kind: 'behind', weeks: 3 }, { name: 'Crossing', day: '2026-04-03', rungName: 'Free hang' }, now)
 * // 'Crossing on Fri 3 Apr, “Free hang”: behind by about 3 weeks.'
 */
export function goalInWords(outlook: GoalOutlook, { name, day, rungName }: GoalSaid, now: Date): string {
  return `${name} on ${dayInWords(parseISO(day), now)}${rungName ? `, “${rungName}”` : ''}: ${goalPart(outlook)}.`;
}

function goalPart(outlook: GoalOutlook): string {
  switch (outlook.kind) {
    case 'reached':
      return 'signed already';
    case 'elsewhere':
      return 'its rung is not on the ladder of the profile, so choose another in the brief';
    case 'over':
      return 'the day is over and it is not signed';
    case 'unknown':
      return 'nothing can be foreseen yet, since nothing can be of the next gate';
    case 'on course':
      return outlook.sure ? 'on course' : 'on course if it goes as it does in the middle of all futures';
    case 'behind':
      return `behind by about ${outlook.weeks} ${outlook.weeks === 1 ? 'week' : 'weeks'}`;
    case 'out of reach':
      return outlook.beyondDays > 0
        ? `not with these weeks: the rungs between need ${Math.ceil(outlook.beyondDays / 7)} weeks at least for the tissue alone`
        : 'not with these weeks';
  }
}

/**
 * How good forecasts of the past were: the share inside, how far off, and what is done about it.
 *
 * @example calibrationInWords(calibration).inside // '24 of 30 lay inside their range: 80%, and truly anything from 61% to 92%; it ought to be 80%.'
 */
export function calibrationInWords({ judged, open, inside, share, medianError, sharpness, widen }: Calibration): {
  readonly inside: string;
  readonly error: string;
  readonly widened: string;
} {
  const percent = (of: number) => `${Math.round(100 * of)}%`;
  const still = open > 0 ? ` Of ${open} nobody can tell yet.` : '';
  return {
    inside: share
      ? `${inside} of ${judged} lay inside their range: ${percent(share.value)}, and truly anything from ${percent(share.from)} to ${percent(share.to)}; it ought to be 80%.${still}`
      : `Of none can be told yet whether it held.${still}`,
    error: [
      medianError === undefined ? '' : `The middle was off by ${Math.round(medianError)} days in the middle of all.`,
      sharpness === undefined ? '' : `A range is ${Math.round(sharpness)} days wide in the middle of all.`,
    ]
      .filter(Boolean)
      .join(' '),
    widened:
      widen > 1
        ? `That is too few beyond chance, so ranges are drawn ${widen.toFixed(1)} times as wide.`
        : 'Nothing speaks against the ranges, so they are drawn as they are.',
  };
}
