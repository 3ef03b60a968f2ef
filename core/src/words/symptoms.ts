import { isStopSign, type Symptom } from '../safety/index.ts';
import { capital } from './capital.ts';

/**
 * Why a symptom is a stop sign, or nothing when it is none.
 *
 * @example stopSignInWords({ intensity: 2, kind: 'sharp', place: 'shoulder', side: 'left', … }) // 'Sharp 2/10, left shoulder, during: stop and step back.'
 */
export function stopSignInWords(symptom: Symptom): string | undefined {
  return isStopSign(symptom) ? `${capital(symptomInWords(symptom))}: stop and step back.` : undefined;
}

/** `ache 3/10, left wrist, next morning`. */
export function symptomInWords({ intensity, kind, place, side, moment }: Omit<Symptom, 'at'>): string {
  if (intensity === 0) return `nothing felt, ${moment}`;
  return `${kind === 'none' ? 'discomfort' : kind} ${intensity}/10, ${placeInWords({ place, side })}, ${moment}`;
}

/** `left wrist`; `neck` in the middle or on both sides. */
export function placeInWords({ place, side }: Pick<Symptom, 'place' | 'side'>): string {
  return side === 'whole' ? place : `${side} ${place}`;
}
