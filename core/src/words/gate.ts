import { demandInWords } from './demands.ts';
import { type Measure, type MeasureOf, formatReading } from '../measuring/index.ts';
import { formatApart, shortDay } from '../quantities/index.ts';
import type { DemandSide, GateFinding, Headroom } from '../readiness/index.ts';
import { capacityInWords, checkInWords } from './headroom.ts';
import { lockInWords } from './screening.ts';
import { cautionInWords } from './cautions.ts';
import { stopSignInWords, symptomInWords } from './symptoms.ts';
import { PROVISIONAL_WORDS } from './measuring.ts';

/** A chance in percent, never certain: from 1 to 99. */
export function chanceInWords(chance: number): string {
  return `${Math.min(99, Math.max(1, Math.round(chance * 100)))}%`;
}

/** What the words of a finding are filled in from. */
export interface GateWords {
  readonly measureOf: MeasureOf;
  /** The headrooms that the gate was judged on: their figures stand in the sentences. */
  readonly headrooms: readonly Headroom[];
  readonly now: Date;
}

type Found<R extends GateFinding['rule']> = Extract<GateFinding, { readonly rule: R }>;

/**
 * What a rule of the gate found, as a sentence.
 *
 * @example say({ rule: 'stop-signs', met: true, open: [] }, words) // 'No open stop sign.'
 */
export function say(finding: GateFinding, words: GateWords): string {
  const { now } = words;
  switch (finding.rule) {
    case 'demand-asked':
      return 'This rung asks for no check yet: write at least one demand into its ladder.';
    case 'demand':
      return demandFound(finding, words);
    case 'sides':
      return sidesFound(finding, words.measureOf(finding.measureId));
    case 'stop-signs':
      return finding.met
        ? 'No open stop sign.'
        : `Open stop sign: ${finding.open.map((s) => stopSignInWords(s) ?? symptomInWords(s)).join(' ')}`;
    case 'settled':
      return settledFound(finding, now);
    case 'symptoms':
      return finding.loud
        ? `${shortDay(finding.loud.at, now)}: ${symptomInWords(finding.loud)}. ${finding.days} quiet days after it are needed.`
        : `Nothing felt beyond what is quiet in the last ${finding.days} days.`;
    case 'mornings':
      return morningsFound(finding, now);
    case 'clean-sessions':
      return cleanFound(finding);
    case 'tissue-time':
      return tissueFound(finding, now);
    case 'screening':
      return finding.met ? 'Screened, and nothing locks.' : finding.locks.map((lock) => lockInWords(lock, now)).join(' ');
    case 'rung-open':
      return finding.caution ? cautionInWords(finding.caution) : 'No caution closes this rung.';
  }
}

function demandFound({ measureId, sides }: Found<'demand'>, { headrooms, measureOf }: GateWords): string {
  const measure = measureOf(measureId);
  const failing = sides.filter(({ verdict }) => verdict !== 'spare' && verdict !== 'allowed');
  const shown = failing.length > 0 ? failing : sides;
  const of = (side: DemandSide) => headrooms.find((h) => h.demand.measureId === measureId && h.side === side.side);
  // One sentence where no side is known; the older side counts.
  const [first] = shown;
  const alike = first && shown.every((s) => s.verdict === first.verdict);
  const name = first && shown.length === 1 && sides.length > 1 ? checkInWords(first.side, measure) : measure.name;
  if (alike && first.verdict === 'never checked') {
    const asked = of(first)?.demand;
    return `${name} has never been checked${asked ? `; ${demandInWords(asked, measure)} asked` : ''}.`;
  }
  if (alike && first.verdict === 'stale') {
    const age = Math.max(...shown.map((s) => of(s)?.ageDays ?? 0));
    const limit = Math.min(...shown.map((s) => of(s)?.freshDays ?? measure.freshDays));
    return `${name} was last checked ${age} days ago; ${limit} days is the limit. Check it again.`;
  }
  if (alike && first.verdict === 'in the future') return `${name} is dated in the future: set the clock right and check it again.`;
  if (alike && first.verdict === 'skipped')
    return `${name} was skipped at the newest try (${first.skipped?.reason ?? 'pain'}): what was shown before counts no more. Check it again.`;
  return shown.map((s) => sideFound(s, of(s), measure)).join(' ');
}

function sideFound({ side, verdict, skipped }: DemandSide, h: Headroom | undefined, measure: Measure): string {
  if (!h) return `${checkInWords(side, measure)}: ${verdict}.`;
  const found = `${capacityInWords(h, measure)}; ${demandInWords(h.demand, measure)} asked`;
  switch (verdict) {
    case 'spare':
    case 'short':
      return `${found}.`;
    case 'on the mark':
      return `${found}: too close to call, within what one check may be off.`;
    case 'allowed':
      return `${found}: on the mark, which you allow here.`;
    case 'never checked':
      return `${checkInWords(side, measure)} has never been checked.`;
    case 'stale':
      return `${checkInWords(side, measure)} was last checked ${h.ageDays ?? 0} days ago.`;
    case 'in the future':
      return `${found}: dated in the future.`;
    case 'skipped':
      return `${found}: skipped since (${skipped?.reason ?? 'pain'}).`;
    default:
      return `${found}: ${PROVISIONAL_WORDS[verdict]}.`;
  }
}

function sidesFound({ left, right, difference, allowed, apart }: Found<'sides'>, measure: Measure): string {
  const why = apart ? ` ${APART_WORDS[apart]}` : '';
  if (measure.choices)
    return `${measure.name}: ${formatReading(measure, left)} left, ${formatReading(measure, right)} right; one step apart counts as alike.${why}`;
  const [differ, alikeUpTo] = formatApart(difference, allowed, measure.unit);
  return `Sides of ${measure.phrase} differ by ${differ}; up to ${alikeUpTo} counts as alike.${why}`;
}

/** What sides that are not alike mean. */
const APART_WORDS = {
  'weaker short': 'The weaker side has no spare.',
  new: 'They were alike the time before: find out why first.',
  known: 'Both have spare, and the difference is not new: it closes nothing.',
} as const;

function settledFound({ met, closedAt, days }: Found<'settled'>, now: Date): string {
  if (!closedAt || met) return `No stop sign was closed in the last ${days} days.`;
  return `A stop sign was closed on ${shortDay(closedAt, now)}: ${days} quiet days after that are needed.`;
}

function morningsFound({ problem, sessions, days }: Found<'mornings'>, now: Date): string {
  if (!problem)
    return sessions === 0
      ? `No session in the last ${days} days, so no morning to ask about.`
      : 'Mornings after training were reported, and no place was worse than before.';
  const day = shortDay(problem.performedAt, now);
  switch (problem.kind) {
    case 'still to come':
      return 'Today’s session counts once its next morning is recorded.';
    case 'not reported':
      return `The morning after ${day} is not recorded yet.`;
    case 'worse':
      return `The morning after ${day}: ${symptomInWords(problem.symptom)}, above the ${problem.before}/10 there before the session.`;
  }
}

function tissueFound({ since, earliest, days, counted, needed, hoursApart }: Found<'tissue-time'>, now: Date): string {
  const asked = `${counted} of ${needed} sessions of its practice, ${hoursApart} hours apart, since ${shortDay(since, now)}`;
  const waits = Date.parse(earliest) > now.getTime() ? `Earliest day for the next rung: ${shortDay(earliest, now)}. ` : '';
  return `${waits}Tissue needs ${days} days on this rung, and ${asked}.`;
}

const NAMES_SHOWN = 3;

function cleanFound({ counted, needed, practice, preparation, hoursApart, windowDays }: Found<'clean-sessions'>): string {
  const named = practice.slice(0, NAMES_SHOWN).map((name) => `“${name}”`);
  const rest = practice.length > NAMES_SHOWN ? ` or ${practice.length - NAMES_SHOWN} more` : '';
  const what = preparation ? ` with a drill that prepares for this rung (${named.join(', ')}${rest})` : ` with ${named.join(', ')}`;
  return `${counted} of ${needed} clean sessions${practice.length > 0 ? what : ''} at the drill’s own top, under the rung’s load, ${hoursApart} hours apart, in the last ${windowDays} days.`;
}
