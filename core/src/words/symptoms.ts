import {
  AGAIN_DAYS,
  type BodyPlace,
  type ClosingProblem,
  judgeSymptom,
  PAINLESS_HOURS,
  type StopCode,
  type Symptom,
  type SymptomContext,
  type SymptomKind,
} from '../safety/index.ts';
import { longDay } from '../quantities/index.ts';
import { capital } from './capital.ts';

/** What is felt, as one says it. */
export const KIND_WORDS: Readonly<Record<SymptomKind, string>> = {
  none: 'discomfort',
  ache: 'ache',
  stretch: 'stretch',
  soreness: 'sore muscles',
  sharp: 'sharp',
  pinch: 'pinch',
  'tender bone': 'tender bone',
  'numbness or tingling': 'numbness or tingling',
  weakness: 'weakness',
  'giving way': 'giving way',
  'locked up': 'joint catches or locks',
  swelling: 'swelling',
  'pain at night': 'pain that wakes at night',
  dizziness: 'dizziness',
  headache: 'headache on effort',
};

/** Places as they are read out; the ids of most say it themselves. */
const PLACE_WORDS: Readonly<Partial<Record<BodyPlace, string>>> = { foot: 'foot or ankle' };

/** What is to be said beside the symptom itself, where the strength or the kind does not say it. */
const STOP_WORDS: Readonly<Record<StopCode, string>> = {
  strong: '',
  kind: '',
  sharp: '',
  again: `, the second time within ${AGAIN_DAYS} days`,
  'small joint': ' (wrist, hand and fingers stop from 3)',
  'tender bone': ' (under 18)',
};

/**
 * Why a symptom is a stop sign, or nothing when it is none.
 *
 * @param context what it is read beside, where it was not judged when it was recorded
 * @example stopSignInWords({ intensity: 2, kind: 'sharp', place: 'shoulder', side: 'left', … }) // 'Sharp 2/10, left shoulder, during: stop and step back.'
 */
export function stopSignInWords(symptom: Symptom, context?: SymptomContext): string | undefined {
  const { stop } = symptom.judged ?? judgeSymptom(symptom, context);
  return stop && `${capital(symptomInWords(symptom))}${STOP_WORDS[stop]}: stop and step back.`;
}

/** `ache 3/10, left wrist, next morning`. */
export function symptomInWords({ intensity, kind, place, side, moment, retest }: Omit<Symptom, 'at'>): string {
  if (intensity === 0) return `nothing felt, ${moment}`;
  const gone = retest === 'gone' ? ', gone on a second try' : retest === 'still there' ? ', still there on a second try' : '';
  return `${KIND_WORDS[kind]} ${intensity}/10, ${placeInWords({ place, side })}, ${moment}${gone}`;
}

/** `left wrist`; `neck` in the middle or on both sides. */
export function placeInWords({ place, side }: Pick<Symptom, 'place' | 'side'>): string {
  const name = PLACE_WORDS[place] ?? place;
  return side === 'whole' ? name : `${side} ${name}`;
}

/** Why a stop sign may not be closed yet. */
export function closingProblemInWords(problem: ClosingProblem): string {
  switch (problem.code) {
    case 'professional-only':
      return 'A coach closes only a sharp pain or a pinch of at most 4. For this a licensed professional has to be heard first.';
    case 'not-painless':
      return `A coach closes it after ${PAINLESS_HOURS} hours without pain there: from ${longDay(problem.from)}, if it stays so. A licensed professional may earlier.`;
    case 'word-before':
      return 'The professional has to be heard on the day of the sign or later.';
    case 'word-future':
      return 'The day on which the professional was heard must not be in the future.';
  }
}
