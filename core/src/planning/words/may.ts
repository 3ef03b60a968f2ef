import { doseInWords, type Drill, EQUIPMENT, UNIT_WORDS } from '../../drills/index.ts';
import type { Library } from '../../library/index.ts';
import { cautionInWords } from '../../words/index.ts';
import { beyondInWords, closedByInWords } from './beyond.ts';
import { PAUSE_REASONS } from '../brief.ts';
import type { Alone } from '../alone.ts';
import { type Exclusion, exclusion, type Limits } from '../exclusion.ts';
import type { LeftOutBecause } from '../candidates.ts';
import type { InsteadHow } from '../insteadOf.ts';
import type { DayClosed, MayDo, Reduction } from '../mayDo.ts';
import { dayShort } from '../spacing.ts';

/**
 * What keeps a drill out, or from a day, in a sentence.
 *
 * @example exclusionInWords({ kind: 'rung' }, library) // 'Rung practice: its clearance is not signed.'
 */
export function exclusionInWords(found: Exclusion | DayClosed, library: Library): string {
  switch (found.kind) {
    case 'caution':
      return cautionInWords(found.caution);
    case 'equipment':
      return `Needs ${found.missing.map((e) => EQUIPMENT[e]).join(' and ')}.`;
    case 'rung':
      return 'Rung practice: its clearance is not signed.';
    case 'weight':
      return found.shown
        ? `${found.kg} kg: ${found.shown} kg were the most that was done clean in the last weeks, so at most ${found.most} kg.`
        : `${found.kg} kg: begin with at most ${found.most} kg.`;
    case 'beyond':
      return beyondInWords(found, library);
    case 'pause':
      return `A pause (${PAUSE_REASONS[found.pause.reason].toLowerCase()}) from ${dayShort(found.pause.from)} to ${dayShort(found.pause.to)}.`;
    case 'rest':
      return `Loads the ${found.joint} less than 48 hours from ${closedByInWords(found.by)}.`;
  }
}

/**
 * Why a drill may not be planned, in a sentence; nothing when it may.
 *
 * @example exclusionOf(plank, { cautions: [{ id: 'wrist-injury', … }], … }) // 'Wrist injury, rebuilding: No body weight …'
 */
export function exclusionOf(drill: Drill, limits: Limits): string | undefined {
  const found = exclusion(drill, limits);
  return found && exclusionInWords(found, limits.library);
}

/** Why a drill is not in a plan, in a sentence. */
export function leftOutInWords(because: LeftOutBecause, library: Library): string {
  return because.kind === 'never' ? 'Never, by your word.' : exclusionInWords(because, library);
}

/**
 * Why a planned drill is not practised alone, or is less than planned, in a sentence for the trainee.
 *
 * @example aloneInWords({ item, drill, not: { kind: 'company' } }, library) // 'Not alone: somebody stands by for it.'
 */
export function aloneInWords(found: Alone<unknown>, library: Library): string | undefined {
  if ('not' in found) return found.not.kind === 'company' ? 'Not alone: somebody stands by for it.' : exclusionInWords(found.not, library);
  const { drill, because } = found;
  return because.length === 0 ? undefined : `Less than planned: ${because.map((r) => reductionInWords(r, drill)).join(', ')}.`;
}

/** How a version that may be done differs, in a few words. */
export const INSTEAD_WORDS: Readonly<Record<InsteadHow, string>> = {
  lighter: 'the same with less on the hands',
  easier: 'a step easier',
  'straight wrist': 'with a straight wrist',
  'less load': 'with less on the hands',
  'no hands': 'with nothing on the hands',
  'other equipment': 'with other equipment',
  'other plane': 'in another direction',
  alike: 'of the same kind',
};

/** What a sore shoulder tries before anything is left out. */
export const OTHER_PLANE_WORDS =
  'Before it is left out, try it in the plane between front and side, 30–45° ahead of the side, and ask again.';

function reductionInWords(found: Reduction, { dose: { unit } }: Pick<Drill, 'dose'>): string {
  switch (found.kind) {
    case 'rebuilding':
      return 'the joint is being rebuilt';
    case 'after illness':
      return 'everything is halved after an illness';
    case 'sets':
      return `${found.most} sets are twice its usual, and the most`;
    case 'new':
      return 'new, so half of its dose';
    case 'set':
      return `${found.shown} ${UNIT_WORDS[unit]} were the most of a clean set in the last weeks, or at the last check`;
  }
}

/**
 * What a trainee may do of a drill, in a sentence.
 *
 * @example mayInWords({ answer: 'reduced', dose: { sets: 3, min: 20, max: 36 }, because: [{ kind: 'set', shown: 30, most: 36 }] }, plank, library)
 * // 'At most 3 × 20–36 s: 30 s were the most of a clean set in the last weeks.'
 */
export function mayInWords(may: MayDo, drill: Drill, library: Library): string {
  if (may.answer === 'may') return 'May be done as it stands.';
  if (may.answer === 'may not') return exclusionInWords(may.because, library);
  return `At most ${doseInWords(may.dose, drill.dose)}: ${may.because.map((r) => reductionInWords(r, drill)).join(', ')}.`;
}
