import type { DoseRange, DoseUnit, Drill } from './drill.ts';

/** A dose as planned for one trainee. */
export interface Dose {
  readonly sets: number;
  readonly min: number;
  readonly max: number;
  readonly restSeconds: number;
}

/** Seconds to change drill, position or side (project default). */
const CHANGE_OVER_SECONDS = 30;

/**
 * Seconds under tension: sets × top of the range × seconds per unit × sides.
 *
 * @example tensionSeconds(plank, { sets: 3, min: 20, max: 30, restSeconds: 45 }) // 90
 */
export function tensionSeconds(drill: Pick<Drill, 'dose'>, dose: Pick<Dose, 'sets' | 'max'>): number {
  return dose.sets * dose.max * drill.dose.secondsPerUnit * (drill.dose.perSide ? 2 : 1);
}

/**
 * Seconds a drill takes in a session: tension, rests between sets, and one change-over.
 *
 * @example drillSeconds(plank, { sets: 3, min: 20, max: 30, restSeconds: 45 }) // 90 + 2·45 + 30 = 210
 */
export function drillSeconds(drill: Pick<Drill, 'dose'>, dose: Dose): number {
  return tensionSeconds(drill, dose) + (dose.sets - 1) * dose.restSeconds + CHANGE_OVER_SECONDS;
}

/**
 * Hand-load dose: share of body weight × seconds under tension ("body-weight seconds").
 *
 * @example handLoadDose(plank, { sets: 3, max: 30 }) // 0.69 × 90 = 62.1
 */
export function handLoadDose(drill: Pick<Drill, 'dose' | 'handLoad'>, dose: Pick<Dose, 'sets' | 'max'>): number {
  return (drill.handLoad?.share ?? 0) * tensionSeconds(drill, dose);
}

const UNIT_WORDS: Record<DoseUnit, string> = { reps: 'reps', s: 's', breaths: 'breaths' };

/** `3 × 20–30 s a side`. */
export function doseInWords(dose: Pick<Dose, 'sets' | 'min' | 'max'>, { unit, perSide }: Pick<DoseRange, 'unit' | 'perSide'>): string {
  const range = dose.min === dose.max ? `${dose.max}` : `${dose.min}–${dose.max}`;
  return `${dose.sets} × ${range} ${UNIT_WORDS[unit]}${perSide ? ' a side' : ''}`;
}
