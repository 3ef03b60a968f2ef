import { daysBetween, type Instant } from '../quantities/index.ts';
import { type LastingPain, usualAt } from './lastingPain.ts';
import { atSamePlace, type BodyPlace, type Symptom, type SymptomJudgement, type SymptomKind } from './symptoms.ts';

/** What a symptom is read beside. */
export interface SymptomContext {
  /** Earlier reports, in any order. */
  readonly history: readonly Symptom[];
  readonly under18?: boolean | undefined;
  /** Newest word first. */
  readonly lasting?: readonly LastingPain[] | undefined;
}

/** Nothing is known: the strict reading. */
const ALONE: SymptomContext = { history: [] };

/* All of what follows: professional judgement and common practice, from memory, no single published source. */

/** Go on up to this; hold up to one below `STOP_FROM`. */
export const QUIET_UP_TO = 2;
export const STOP_FROM = 5;
/** At the small joints of hand and wrist it stops earlier. */
const SMALL_JOINTS_STOP_FROM = 3;
const SMALL_JOINTS: readonly BodyPlace[] = ['wrist', 'hand', 'fingers'];
/** What is sore there is no muscle: it counts as an ache. */
const WITHOUT_MUSCLE: readonly BodyPlace[] = ['wrist', 'fingers', 'knee'];
/** Sharp or a pinch up to this may go at once when tried again. */
const BRIEF_UP_TO = 2;
/** A second brief one within so many days stops. */
export const AGAIN_DAYS = 14;
/** Soreness of muscle up to this says nothing about a gate; from the second on there is no load. */
const SORE_UP_TO = 4;
const TOO_SORE_FROM = 7;
/** Soreness is gone by then. */
const SORE_DAYS = 3;

/** Whatever their strength. */
const STOPPING_KINDS: readonly SymptomKind[] = [
  ...(['numbness or tingling', 'weakness', 'giving way', 'locked up', 'swelling', 'pain at night', 'dizziness', 'headache'] as const),
];
export const BRIEF_KINDS: readonly SymptomKind[] = ['sharp', 'pinch'];

/**
 * What a symptom is by the pain rule, beside what is known of the trainee.
 *
 * A stopping kind stops at any strength. Sharp or a pinch stops, unless it is at most 2 and goes at once on a second, lighter try, for
 * the first time within 14 days: then the drill is left for the day. Wrist and hand stop from 3, the rest from 5. Soreness of muscle up
 * to 4, and a known lasting pain up to what is usual, are quiet.
 *
 * @param context the days before, the age, and lasting pains with a professional's word; without it the strict reading
 * @example judgeSymptom({ intensity: 2, kind: 'sharp', retest: 'gone', … }) // { quiet: false }: no stop sign, and no gate opens for a week
 * @example judgeSymptom({ intensity: 3, kind: 'ache', place: 'wrist', … }) // { stop: 'small joint', quiet: false }
 */
export function judgeSymptom(symptom: Symptom, { history, under18 = false, lasting = [] }: SymptomContext = ALONE): SymptomJudgement {
  const { intensity, kind } = symptom;
  if (intensity === 0) return { quiet: true };
  if (STOPPING_KINDS.includes(kind)) return { stop: 'kind', quiet: false };
  if (kind === 'tender bone' && under18) return { stop: 'tender bone', quiet: false };
  if (BRIEF_KINDS.includes(kind)) {
    if (intensity > BRIEF_UP_TO || symptom.retest !== 'gone') return { stop: 'sharp', quiet: false };
    // No alarm, and yet of a stopping kind: it keeps a gate shut.
    return feltBriefly(symptom, history) ? { stop: 'again', quiet: false } : { quiet: false };
  }
  if (isSoreMuscle(symptom)) return { quiet: sorenessOf(symptom, history) === 'little' };
  const usual = usualAt(lasting, symptom, symptom.at);
  if (intensity >= STOP_FROM) return { stop: 'strong', quiet: false, ...(usual ? { usual } : {}) };
  if (usual) return { quiet: intensity <= Math.max(QUIET_UP_TO, usual), usual };
  if (SMALL_JOINTS.includes(symptom.place) && intensity >= SMALL_JOINTS_STOP_FROM) return { stop: 'small joint', quiet: false };
  return { quiet: intensity <= QUIET_UP_TO };
}

/** Whether it is worth one second, lighter try: what goes at once only ends the drill. */
export function tryAgain({ intensity, kind }: Pick<Symptom, 'intensity' | 'kind'>): boolean {
  return BRIEF_KINDS.includes(kind) && intensity > 0 && intensity <= BRIEF_UP_TO;
}

/** As it was judged when it was recorded; what nobody judged yet, strictly. */
export function judgementOf(symptom: Symptom): SymptomJudgement {
  return symptom.judged ?? judgeSymptom(symptom);
}

/** Whether a symptom stops the session and closes every gate. */
export function isStopSign(symptom: Symptom): boolean {
  return judgementOf(symptom).stop !== undefined;
}

/** Soreness where there is muscle; elsewhere it is an ache. */
export function isSoreMuscle({ kind, place }: Pick<Symptom, 'kind' | 'place'>): boolean {
  return kind === 'soreness' && !WITHOUT_MUSCLE.includes(place);
}

/** How sore muscles are: a little, so that half the dose does, or too much or too long for load. */
export function sorenessOf(symptom: Symptom, history: readonly Symptom[]): 'little' | 'half' | 'too sore' {
  if (symptom.intensity >= TOO_SORE_FROM || soreDays(symptom, history) > SORE_DAYS) return 'too sore';
  return symptom.intensity > SORE_UP_TO ? 'half' : 'little';
}

/** Whether it was sharp at that place before, within the days that count. */
function feltBriefly(symptom: Symptom, history: readonly Symptom[]): boolean {
  return history.some((s) => {
    const days = daysBetween(s.at, symptom.at);
    return s.intensity > 0 && BRIEF_KINDS.includes(s.kind) && atSamePlace(s, symptom) && days > 0 && days <= AGAIN_DAYS;
  });
}

/** Days since soreness at that place was first reported, without a report in between that it was gone. */
function soreDays(symptom: Symptom, history: readonly Symptom[]): number {
  const there = history
    .filter((s) => atSamePlace(s, symptom) && daysBetween(s.at, symptom.at) > 0 && (s.kind === 'soreness' || s.intensity === 0))
    .sort((a, b) => b.at.localeCompare(a.at));
  let first: Instant = symptom.at;
  for (const s of there) {
    // So long without a word, and it is another soreness.
    if (s.intensity === 0 || daysBetween(s.at, first) > SORE_GAP_DAYS) break;
    first = s.at;
  }
  return daysBetween(first, symptom.at);
}

const SORE_GAP_DAYS = 4;
