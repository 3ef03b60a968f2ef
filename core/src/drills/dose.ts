import type { Course, Dose, DoseRange, DoseUnit, HelperDeed } from './doseRange.ts';
import type { Drill } from './drill.ts';
import type { Schools } from '../schools/index.ts';

/** Seconds to change drill, position or side (project default). */
const CHANGE_OVER_SECONDS = 30;
/** A slow breath, in and out (project default). */
export const BREATH_SECONDS = 5;
/** A repetition without a stated tempo (project default). */
const REPETITION_SECONDS = 4;

/** A pulse, a little way back and out again (project default). */
export const PULSE_SECONDS = 1;

/** What of a dose decides how long it lasts. */
export type Timed = Pick<DoseRange, 'unit' | 'tempo' | 'course'>;

/**
 * Seconds that one unit of a dose takes, its pulses and the wait before the next with it.
 *
 * @example unitSeconds({ unit: 'reps', tempo: { out: 4, hold: 1, back: 1 }, … }) // 6
 */
export function unitSeconds({ unit, tempo, course }: Timed): number {
  if (unit === 's') return 1;
  if (unit === 'breaths') return BREATH_SECONDS;
  const way = tempo ? tempo.out + tempo.hold + tempo.back + (tempo.rest ?? 0) : REPETITION_SECONDS;
  return way + (course?.pulses ?? 0) * PULSE_SECONDS;
}

/**
 * Seconds that one set of so many takes on one side.
 *
 * @example setSeconds({ unit: 'reps', tempo: { out: 1, hold: 1, back: 1 }, course: { lastHold: 10 } }, 8) // 34
 */
export function setSeconds(dose: Timed, amount: number): number {
  return amount * unitSeconds(dose) + (dose.unit === 'reps' ? (dose.course?.lastHold ?? 0) : 0);
}

/**
 * Seconds under tension: sets × top of the range × seconds per unit × sides.
 *
 * @example tensionSeconds(plank, { sets: 3, min: 20, max: 30, restSeconds: 45 }) // 90
 */
export function tensionSeconds(drill: Pick<Drill, 'dose'>, dose: Pick<Dose, 'sets' | 'max'>): number {
  return dose.sets * setSeconds(drill.dose, dose.max) * (drill.dose.perSide ? 2 : 1);
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

/**
 * Whether the sides take turns inside a set, so that one set does both: a repetition is then one on each side.
 *
 * @example takesTurns({ unit: 'reps', perSide: true, course: { alternating: true } }) // true
 */
export function takesTurns({ unit, perSide, course }: Pick<DoseRange, 'unit' | 'perSide' | 'course'>): boolean {
  return unit === 'reps' && perSide && course?.alternating === true;
}

/**
 * How many of a set went each way round, where half goes the other way; nothing where all go one way.
 *
 * @param amount repetitions done
 * @param planned repetitions of the set, half of which (the larger half) go first
 * @example eachWay(7, 10, { unit: 'reps', course: { bothWays: true } }) // [5, 2]
 */
export function eachWay(amount: number, planned: number, { unit, course }: Timed): readonly [one: number, other: number] | undefined {
  if (unit !== 'reps' || !course?.bothWays) return undefined;
  const one = Math.min(amount, Math.ceil(Math.max(planned, 1) / 2));
  return [one, amount - one];
}

export const UNIT_WORDS: Record<DoseUnit, string> = { reps: 'reps', s: 's', breaths: 'breaths' };

const MINUTE = 60;
/** Slow, continuous work is told in minutes from here on, in seconds. */
const TOLD_IN_MINUTES = 120;

/**
 * A dose as the school says it: by count with its unit, by feel without a number to chase.
 *
 * @example doseInWords({ sets: 3, min: 20, max: 30 }, { unit: 's', perSide: true }) // '3 × 20–30 s a side'
 * @example doseInWords({ sets: 1, min: 240, max: 240 }, { unit: 's', perSide: false }) // '1 × 4 min'
 * @example doseInWords({ sets: 3, min: 20, max: 30 }, { unit: 's', perSide: true }, 'feel') // '3 × by feel a side, up to 30 s'
 */
export function doseInWords(
  dose: Pick<Dose, 'sets' | 'min' | 'max'>,
  { unit, perSide }: Pick<DoseRange, 'unit' | 'perSide'>,
  progress: Schools['progress'] = 'count',
): string {
  const side = perSide ? ' a side' : '';
  if (progress === 'feel') return `${dose.sets} × by feel${side}, up to ${dose.max} ${UNIT_WORDS[unit]}`;
  if (unit === 's' && dose.min === dose.max && dose.max >= TOLD_IN_MINUTES && dose.max % MINUTE === 0)
    return `${dose.sets} × ${dose.max / MINUTE} min${side}`;
  const range = dose.min === dose.max ? `${dose.max}` : `${dose.min}–${dose.max}`;
  return `${dose.sets} × ${range} ${UNIT_WORDS[unit]}${side}`;
}

const HELPER_WORDS: Readonly<Record<HelperDeed, string>> = { resists: 'a helper resists', supports: 'a helper supports' };

/**
 * The course in words, in the order in which it comes about; nothing where there is none to tell.
 *
 * @example courseInWords({ bothWays: true }) // 'half each way round'
 */
export function courseInWords({ bothWays, alternating, pulses, lastHold, helper }: Course = {}): string | undefined {
  const parts = [
    ...(alternating ? ['left and right in turn'] : []),
    ...(bothWays ? ['half each way round'] : []),
    ...(pulses ? [`${pulses} ${pulses === 1 ? 'pulse' : 'pulses'} at the end of each`] : []),
    ...(lastHold ? [`the last one held ${lastHold} s`] : []),
    ...(helper ? [HELPER_WORDS[helper]] : []),
  ];
  return parts.length > 0 ? parts.join(', ') : undefined;
}

/**
 * The tempo in words; nothing for holds and breaths.
 *
 * @example tempoInWords({ unit: 'reps', tempo: { out: 4, hold: 1, back: 2 } }) // '4 s out, 1 s held, 2 s back'
 */
export function tempoInWords({ unit, tempo }: Pick<DoseRange, 'unit' | 'tempo'>): string | undefined {
  if (unit !== 'reps' || !tempo) return undefined;
  const { out, hold, back, rest = 0 } = tempo;
  return [`${out} s out`, ...(hold > 0 ? [`${hold} s held`] : []), `${back} s back`, ...(rest > 0 ? [`${rest} s between`] : [])].join(', ');
}
