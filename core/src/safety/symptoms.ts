import type { BodySide } from '../anatomy/index.ts';
import type { Instant } from '../quantities/index.ts';

/** Ids; how they read is said in `words`. `locked up` is a joint that catches or locks, not a position that was held too hard. */
export const SYMPTOM_KINDS = [
  ...(['none', 'ache', 'stretch', 'soreness', 'sharp', 'pinch', 'tender bone'] as const),
  ...(['numbness or tingling', 'weakness', 'giving way', 'locked up', 'swelling', 'pain at night', 'dizziness', 'headache'] as const),
] as const;
export type SymptomKind = (typeof SYMPTOM_KINDS)[number];

export const SYMPTOM_MOMENTS = ['before', 'during', 'after', 'next morning'] as const;
export type SymptomMoment = (typeof SYMPTOM_MOMENTS)[number];

/** From the hand upward, then the trunk, then down. */
export const BODY_PLACES = [
  ...(['shoulder', 'shoulder blade', 'elbow', 'forearm', 'wrist', 'hand', 'fingers'] as const),
  ...(['neck', 'head', 'upper back', 'lower back', 'chest', 'belly', 'hip', 'knee', 'foot'] as const),
] as const;
export type BodyPlace = (typeof BODY_PLACES)[number];

/** Whether what was sharp went at once when the movement was tried again, lighter; absent where nobody tried. */
export const RETESTS = ['gone', 'still there'] as const;
export type Retest = (typeof RETESTS)[number];

/** Why a symptom stops the session; how it reads is said in `words`. */
export const STOP_CODES = ['strong', 'kind', 'sharp', 'again', 'small joint', 'tender bone'] as const;
export type StopCode = (typeof STOP_CODES)[number];

export interface SymptomJudgement {
  /** Absent: it is no stop sign. */
  readonly stop?: StopCode | undefined;
  /** It keeps no gate shut and spoils no session. */
  readonly quiet: boolean;
  /** What is usual at that place, where a professional has looked at a lasting pain. */
  readonly usual?: number | undefined;
}

/** What a trainee reported: 0 is nothing, 10 the worst imaginable. */
export interface Symptom {
  readonly intensity: number;
  readonly place: BodyPlace;
  readonly side: BodySide;
  readonly kind: SymptomKind;
  readonly moment: SymptomMoment;
  readonly at: Instant;
  readonly retest?: Retest | null;
  /** As it was judged when it was put on record, beside what was known then. */
  readonly judged?: SymptomJudgement;
  /** Who told it, where no coach was by: it may close a gate, and opens none. */
  readonly reportedBy?: 'trainee' | null | undefined;
}

/** Whether two symptoms were felt at the same place of the same side. */
export function atSamePlace(a: Pick<Symptom, 'place' | 'side'>, b: Pick<Symptom, 'place' | 'side'>): boolean {
  return a.place === b.place && a.side === b.side;
}
