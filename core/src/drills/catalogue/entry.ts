import { COMMON_PRACTICE } from '../../reference/index.ts';
import type { DoseRange, Drill } from '../drill.ts';

type Optional = 'equipment' | 'excludedBy' | 'origin';

/** A catalogue entry: what most drills share is filled in. */
export function drill(own: Omit<Drill, Optional> & Partial<Pick<Drill, Optional>>): Drill {
  return { equipment: [], excludedBy: [], origin: COMMON_PRACTICE, ...own };
}

type DoseExtras = Partial<Pick<DoseRange, 'perSide' | 'restSeconds' | 'secondsPerUnit'>>;

const SLOW_REPETITION_SECONDS = 4;
const BREATH_SECONDS = 5;

export function reps(min: number, max: number, sets: number, extras: DoseExtras = {}): DoseRange {
  return { unit: 'reps', min, max, sets, perSide: false, restSeconds: 40, secondsPerUnit: SLOW_REPETITION_SECONDS, ...extras };
}

export function seconds(min: number, max: number, sets: number, extras: DoseExtras = {}): DoseRange {
  return { unit: 's', min, max, sets, perSide: false, restSeconds: 45, secondsPerUnit: 1, ...extras };
}

export function breaths(min: number, max: number, sets: number, extras: DoseExtras = {}): DoseRange {
  return { unit: 'breaths', min, max, sets, perSide: false, restSeconds: 20, secondsPerUnit: BREATH_SECONDS, ...extras };
}
