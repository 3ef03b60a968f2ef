import type { Dose, DoseRange, DoseUnit } from './doseRange.ts';
import type { Drill } from './drill.ts';
import type { Schools } from '../schools/index.ts';

/** Seconds to change drill, position or side (project default). */
const CHANGE_OVER_SECONDS = 30;
/** A slow breath, in and out (project default). */
export const BREATH_SECONDS = 5;
/** A repetition without a stated tempo (project default). */
const REPETITION_SECONDS = 4;

/**
 * Seconds that one unit of a dose takes.
 *
 * @example unitSeconds({ unit: 'reps', tempo: { out: 4, hold: 1, back: 1 }, … }) // 6
 */
export function unitSeconds({ unit, tempo }: Pick<DoseRange, 'unit' | 'tempo'>): number {
  if (unit === 's') return 1;
  if (unit === 'breaths') return BREATH_SECONDS;
  return tempo ? tempo.out + tempo.hold + tempo.back : REPETITION_SECONDS;
}

/**
 * Seconds under tension: sets × top of the range × seconds per unit × sides.
 *
 * @example tensionSeconds(plank, { sets: 3, min: 20, max: 30, restSeconds: 45 }) // 90
 */
export function tensionSeconds(drill: Pick<Drill, 'dose'>, dose: Pick<Dose, 'sets' | 'max'>): number {
  return dose.sets * dose.max * unitSeconds(drill.dose) * (drill.dose.perSide ? 2 : 1);
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

export const UNIT_WORDS: Record<DoseUnit, string> = { reps: 'reps', s: 's', breaths: 'breaths' };

/**
 * A dose as the school says it: by count with its unit, by feel without a number to chase.
 *
 * @example doseInWords({ sets: 3, min: 20, max: 30 }, { unit: 's', perSide: true }) // '3 × 20–30 s a side'
 * @example doseInWords({ sets: 3, min: 20, max: 30 }, { unit: 's', perSide: true }, 'feel') // '3 × by feel a side, up to 30 s'
 */
export function doseInWords(
  dose: Pick<Dose, 'sets' | 'min' | 'max'>,
  { unit, perSide }: Pick<DoseRange, 'unit' | 'perSide'>,
  progress: Schools['progress'] = 'count',
): string {
  const side = perSide ? ' a side' : '';
  if (progress === 'feel') return `${dose.sets} × by feel${side}, up to ${dose.max} ${UNIT_WORDS[unit]}`;
  const range = dose.min === dose.max ? `${dose.max}` : `${dose.min}–${dose.max}`;
  return `${dose.sets} × ${range} ${UNIT_WORDS[unit]}${side}`;
}

/**
 * The tempo in words; nothing for holds and breaths.
 *
 * @example tempoInWords({ unit: 'reps', tempo: { out: 4, hold: 1, back: 2 } }) // '4 s out, 1 s held, 2 s back'
 */
export function tempoInWords({ unit, tempo }: Pick<DoseRange, 'unit' | 'tempo'>): string | undefined {
  if (unit !== 'reps' || !tempo) return undefined;
  const { out, hold, back } = tempo;
  return [`${out} s out`, ...(hold > 0 ? [`${hold} s held`] : []), `${back} s back`].join(', ');
}
