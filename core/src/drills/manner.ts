import { BANDS, type Course, type Dose, type Manner, type Tempo } from './doseRange.ts';
import { courseInWords, doseInWords } from './dose.ts';
import type { Drill } from './drill.ts';
import type { Schools } from '../schools/index.ts';

/** What a weight may be written as, in kilograms. */
export const KG_LIMITS = { min: 0.25, max: 100, step: 0.25 } as const;

/** Heaviest that a small weight is, and where a heavy one begins, in kilograms (common practice, no source). */
const FIRST_KG = { small: 2.5, heavy: 12 } as const;
/** Steps from one weight to the next, in kilograms (professional judgement, from memory: at most 2.5). */
const STEP_KG = { small: 0.5, heavy: 2.5 } as const;

const sizeOf = ({ equipment }: Pick<Drill, 'equipment'>): keyof typeof STEP_KG | undefined => {
  if (equipment.includes('heavy weight')) return 'heavy';
  return equipment.includes('weight') || equipment.includes('stick') ? 'small' : undefined;
};

/**
 * What of a manner a drill can have: a weight where it is done with one, a band where it pulls against one, a tempo where it has
 * repetitions.
 *
 * @example takes(halo) // { kg: true, band: false, tempo: true, course: true }
 */
export function takes(drill: Pick<Drill, 'equipment' | 'support' | 'dose'>): Readonly<Record<keyof Manner, boolean>> {
  return {
    kg: sizeOf(drill) !== undefined,
    // A band that helps is part of the set-up, which has its own dial.
    band: drill.equipment.includes('band') && !drill.support,
    tempo: drill.dose.unit === 'reps',
    course: drill.dose.unit === 'reps',
  };
}

/**
 * The most that a drill may be done with: a step beyond what was done with it in the last weeks, else where it begins.
 *
 * @param shown the most that was, in kilograms
 * @example mostKg(halo, 2) // 2.5
 */
export function mostKg(drill: Pick<Drill, 'equipment'>, shown?: number): number {
  const size = sizeOf(drill) ?? 'small';
  return shown === undefined ? FIRST_KG[size] : Math.max(shown + STEP_KG[size], shown === 0 ? FIRST_KG[size] : 0);
}

/**
 * A manner one step heavier, or lighter: the next weight or the next band; nothing where it has neither, or ends.
 *
 * @example stepped(halo, { kg: 1.5 }, 1) // { kg: 2 }
 */
export function stepped(drill: Pick<Drill, 'equipment'>, manner: Manner, by: 1 | -1): Manner | undefined {
  const size = sizeOf(drill);
  if (manner.kg !== undefined && size) {
    const kg = manner.kg + by * STEP_KG[size];
    return kg < KG_LIMITS.min || kg > KG_LIMITS.max ? undefined : { ...manner, kg };
  }
  if (manner.band === undefined) return undefined;
  const band = BANDS[BANDS.indexOf(manner.band) + by];
  return band && { ...manner, band };
}

/** One second slower on the way back, up to so many (project default): what is not meant to grow in load grows in control. */
const SLOWEST_BACK = 6;

/**
 * The tempo a second slower on the way back; nothing for holds and breaths, and where it is slow enough.
 *
 * @example slower({ unit: 'reps', tempo: { out: 2, hold: 0, back: 2 } }) // { out: 2, hold: 0, back: 3 }
 */
export function slower({ unit, tempo }: Pick<Drill['dose'], 'unit' | 'tempo'>): Tempo | undefined {
  if (unit !== 'reps' || !tempo || tempo.back >= SLOWEST_BACK) return undefined;
  return { ...tempo, back: tempo.back + 1 };
}

/** Whether two courses are one; none is not the same as an empty one, which takes the drill's own away. */
function sameCourse(a?: Course, b?: Course): boolean {
  if (!a || !b) return a === b;
  const [s, t] = [a.breath, b.breath];
  return (
    a.bothWays === b.bothWays &&
    a.alternating === b.alternating &&
    (a.pulses ?? 0) === (b.pulses ?? 0) &&
    (a.lastHold ?? 0) === (b.lastHold ?? 0) &&
    a.helper === b.helper &&
    s?.out === t?.out &&
    s?.hold === t?.hold &&
    s?.back === t?.back
  );
}

/** Whether two manners are one: what is absent in both, or the same in both. */
export function sameManner(a: Manner = {}, b: Manner = {}): boolean {
  const [s, t] = [a.tempo, b.tempo];
  return (
    a.kg === b.kg &&
    a.band === b.band &&
    s?.out === t?.out &&
    s?.hold === t?.hold &&
    s?.back === t?.back &&
    (s?.rest ?? 0) === (t?.rest ?? 0) &&
    sameCourse(a.course, b.course)
  );
}

/**
 * A manner in words; the tempo is said with the dose.
 *
 * @example mannerInWords({ kg: 1.5 }) // '1.5 kg'
 */
export function mannerInWords({ kg, band }: Manner = {}): string | undefined {
  const parts = [...(kg === undefined ? [] : [`${kg} kg`]), ...(band === undefined ? [] : [`${band} band`])];
  return parts.length > 0 ? parts.join(', ') : undefined;
}

/**
 * A dose with the weight or band that it is done with, and its course.
 *
 * @param drill as it is planned
 * @example plannedDoseInWords({ sets: 2, min: 8, max: 10 }, haloWith2Kg) // '2 × 8–10 reps a side, 2 kg'
 */
export function plannedDoseInWords(
  dose: Pick<Dose, 'sets' | 'min' | 'max'>,
  { dose: range, manner }: Pick<Drill, 'dose' | 'manner'>,
  progress?: Schools['progress'],
): string {
  return [doseInWords(dose, range, progress), mannerInWords(manner), courseInWords(range.course)]
    .filter((part) => part !== undefined)
    .join(', ');
}

/** How many steps either way are offered beside a weight (project default). */
const STEPS_NEAR = 3;

/**
 * The weights or bands to choose from: those near the one in hand, or the first ones where none is named.
 *
 * @param drill as it is planned
 * @example mannersNear(halo).map((m) => m.kg) // [0.5, 1, 1.5, 2, 2.5]
 */
export function mannersNear(drill: Pick<Drill, 'equipment' | 'support' | 'dose' | 'manner'>): readonly Manner[] {
  const may = takes(drill);
  const { manner = {} } = drill;
  const size = sizeOf(drill);
  if (may.kg && size) {
    const step = STEP_KG[size];
    const from = manner.kg === undefined ? step : Math.max(step, manner.kg - STEPS_NEAR * step);
    const to = manner.kg === undefined ? FIRST_KG[size] : Math.min(KG_LIMITS.max, manner.kg + STEPS_NEAR * step);
    return Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, i) => ({ ...manner, kg: from + i * step }));
  }
  return may.band ? BANDS.map((band) => ({ ...manner, band })) : [];
}

/**
 * Whether one manner is heavier than another.
 *
 * @example isHeavier({ kg: 2 }, { kg: 1.5 }) // true
 */
export function isHeavier(a: Manner = {}, b: Manner = {}): boolean {
  if (a.kg !== undefined || b.kg !== undefined) return (a.kg ?? 0) > (b.kg ?? 0);
  return a.band !== undefined && (b.band === undefined || BANDS.indexOf(a.band) > BANDS.indexOf(b.band));
}
