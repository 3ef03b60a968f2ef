import type { BodySide } from '../anatomy/index.ts';
import type { Instant } from '../quantities/index.ts';

export const SYMPTOM_KINDS = ['none', 'ache', 'stretch', 'sharp', 'pinch', 'numbness or tingling', 'locked up'] as const;
export type SymptomKind = (typeof SYMPTOM_KINDS)[number];

export const SYMPTOM_MOMENTS = ['before', 'during', 'after', 'next morning'] as const;
export type SymptomMoment = (typeof SYMPTOM_MOMENTS)[number];

export const BODY_PLACES = ['shoulder', 'shoulder blade', 'elbow', 'forearm', 'wrist', 'hand', 'neck', 'upper back', 'lower back'] as const;
export type BodyPlace = (typeof BODY_PLACES)[number];

/** What a trainee reported: 0 is nothing, 10 the worst imaginable. */
export interface Symptom {
  readonly intensity: number;
  readonly place: BodyPlace;
  readonly side: BodySide;
  readonly kind: SymptomKind;
  readonly moment: SymptomMoment;
  readonly at: Instant;
}

/** Go on up to this; hold up to one below `STOP_FROM` (project default, stricter than published rules). */
export const QUIET_UP_TO = 2;
export const STOP_FROM = 5;

/** Kinds that stop the session whatever their intensity (common practice, no source). */
const STOPPING_KINDS: readonly SymptomKind[] = ['sharp', 'pinch', 'numbness or tingling', 'locked up'];

/** Whether a symptom stops the session: five or more out of ten, or a stopping kind at any strength. */
export function isStopSign({ intensity, kind }: Pick<Symptom, 'intensity' | 'kind'>): boolean {
  return intensity >= STOP_FROM || (intensity > 0 && STOPPING_KINDS.includes(kind));
}

/** Whether two symptoms were felt at the same place of the same side. */
export function atSamePlace(a: Pick<Symptom, 'place' | 'side'>, b: Pick<Symptom, 'place' | 'side'>): boolean {
  return a.place === b.place && a.side === b.side;
}
