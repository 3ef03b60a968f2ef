import { daysBetween, type Instant } from '../quantities/index.ts';

/** Resting blood pressure as it was read, in mmHg. */
export interface BloodPressure {
  readonly takenAt: Instant;
  readonly systolic: number;
  readonly diastolic: number;
}

/** Figures outside are a slip of the keyboard. */
export const PRESSURE_LIMITS = { systolic: { min: 60, max: 260 }, diastolic: { min: 30, max: 160 } } as const;

/** A reading speaks for so many days (project default). */
export const PRESSURE_FRESH_DAYS = 28;

export type PressureLevel = 'very high' | 'raised' | 'normal';

/** From here on (professional judgement, from memory; the usual steps of hypertension of two and three). */
const VERY_HIGH = { systolic: 180, diastolic: 110 } as const;
const RAISED = { systolic: 140, diastolic: 90 } as const;

/**
 * What a reading means: either figure decides.
 *
 * @example pressureLevel({ systolic: 128, diastolic: 92 }) // 'raised'
 */
export function pressureLevel({ systolic, diastolic }: Pick<BloodPressure, 'systolic' | 'diastolic'>): PressureLevel {
  const reaches = (limit: { readonly systolic: number; readonly diastolic: number }) =>
    systolic >= limit.systolic || diastolic >= limit.diastolic;
  return reaches(VERY_HIGH) ? 'very high' : reaches(RAISED) ? 'raised' : 'normal';
}

/**
 * The reading that counts: the newest of the last weeks. One that was high stays until a newer one is not.
 *
 * @param readings newest first
 */
export function pressureNow(
  readings: readonly BloodPressure[],
  now: Date,
): (BloodPressure & { readonly level: PressureLevel }) | undefined {
  const [newest] = readings;
  if (!newest) return undefined;
  const level = pressureLevel(newest);
  return level === 'normal' && daysBetween(newest.takenAt, now) > PRESSURE_FRESH_DAYS ? undefined : { ...newest, level };
}
