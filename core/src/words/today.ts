import type { MeasureOf } from '../measuring/index.ts';
import { shortDay } from '../quantities/index.ts';
import { type DueToday, GRACE_DAYS, type Lapse, type SpecialToday } from '../readiness/index.ts';
import { joined } from './joined.ts';
import { lockInWords } from './screening.ts';
import { suggestionInWords } from './outcomes.ts';
import { stopSignInWords, symptomInWords } from './symptoms.ts';

/**
 * Why a clearance lapsed.
 *
 * @example lapseInWords({ measureId: 'free-hang', at }, library.measure) // 'Free packed hang was not checked within 21 days.'
 */
export function lapseInWords({ measureId }: Pick<Lapse, 'measureId'>, measureOf: MeasureOf): string {
  const { name, freshDays } = measureOf(measureId);
  return `${name} was not checked within ${freshDays + GRACE_DAYS} days.`;
}

/** One thing to do about a trainee today, in a sentence. */
export function dueInWords(due: DueToday, { measureOf, now }: { readonly measureOf: MeasureOf; readonly now: Date }): string {
  switch (due.kind) {
    case 'stop sign':
      return stopSignInWords(due.symptom) ?? symptomInWords(due.symptom);
    case 'screening':
      return lockInWords(due.lock, now);
    case 'withdrawn':
      return `The clearance of “${due.rungName}” was taken back. ${due.reason}`;
    case 'sign':
      return `“${due.rungName}”: every line of the gate is met.`;
    case 'morning':
      return `How was the morning after ${shortDay(due.performedAt, now)}?${due.told ? ` Told on their own page: ${due.told}.` : ''}`;
    case 'outcome':
      return `“${due.rungName}” was signed ${due.weeks} weeks ago: what became of it? ${suggestionInWords(due.suggested)}`;
    case 'note':
      return `Wrote: “${due.text}”${due.more > 0 ? `, and ${due.more} more` : ''}`;
    case 'session':
      return `Trains today on “${due.ladderName}”${due.care ? CARE[due.care] : specialInWords(due.special)}.`;
    case 're-check': {
      const [first = ''] = due.measureIds;
      if (due.lapsed) return `Clearance lapsed: ${lapseInWords({ measureId: first }, measureOf)}`;
      const names = joined(due.measureIds.map((id) => measureOf(id).name));
      return `${due.measureIds.length === 1 ? 'Check' : `${due.measureIds.length} checks`} due: ${names}.`;
    }
  }
}

/** What is special about today's session, after its name. */
function specialInWords(special: readonly SpecialToday[] = []): string {
  return special.length === 0 ? '' : `: ${special.map((s) => SPECIAL[s]).join(', ')}`;
}

const SPECIAL: Readonly<Record<SpecialToday, string>> = {
  sign: 'gate to sign',
  're-check': 'checks due',
  'new-rung': 'first day on a new rung',
};

/** What to think of before today's session starts. */
const CARE = {
  'stop sign': ': a stop sign is open, see to it first',
  locked: ': locked, look at the cautions first',
} as const;
