import type { DoseRange, Drill, Effort, HandLoad, Quality, Tempo } from '../../drills/index.ts';
import { COMMON_PRACTICE } from '../../reference/index.ts';
import type { Untaught } from '../teaching/index.ts';
import { bodyModel, plannedLoad, type SupportPlan } from '../../statics/index.ts';

type Filled = 'alsoWorks' | 'equipment' | 'effort' | 'excludedBy' | 'easier' | 'aids' | 'standIns' | 'origin';

/** How hard a kind of drill should feel unless it says otherwise (common practice, no source). */
const EFFORT: Readonly<Record<Quality, Effort>> = {
  'mobility active': { scale: 'effort', min: 2, max: 4 },
  'mobility passive': { scale: 'effort', min: 1, max: 3 },
  activation: { scale: 'effort', min: 2, max: 4 },
  stability: { scale: 'effort', min: 4, max: 6 },
  strength: { scale: 'effort', min: 5, max: 7 },
  skill: { scale: 'effort', min: 4, max: 6 },
};

/** What stands in for equipment that is not at hand, wherever it does (common practice, no source). */
const STAND_INS: Drill['standIns'] = {
  strap: 'belt, scarf or towel',
  weight: 'filled bottle or can',
  'heavy weight': 'filled bag or bucket',
  block: 'firm cushion or thick book',
  step: 'sturdy low stool',
  ball: 'rolled pair of socks',
  stick: 'broom handle',
};

/** Whose hand load a drill says before it is fitted to a trainee (project default). */
const TYPICAL = bodyModel({ statureM: 1.7, massKg: 70 });

/** Hand load of a set-up on the typical trainee, in whole percent of body weight. */
export function typicalShare(support: SupportPlan): number {
  const share = plannedLoad(TYPICAL, support);
  if (share === undefined) throw new Error(`The catalogue asks for a set-up that can not be built: ${JSON.stringify(support)}`);
  return Math.round(share * 100) / 100;
}

/** An entry states the share of its hand load, or the set-up that says it. */
type Entry = Omit<Untaught, Filled | 'handLoad' | 'support'> &
  Partial<Pick<Untaught, Filled>> &
  ({ readonly handLoad?: HandLoad; readonly support?: never } | { readonly handLoad: Unmeasured; readonly support: SupportPlan });

type Unmeasured = Omit<HandLoad, 'share'>;

/** A catalogue entry: what most drills share is filled in. */
export function drill({ handLoad, support, ...own }: Entry): Untaught {
  const equipment = own.equipment ?? [];
  const standIns = Object.fromEntries(equipment.flatMap((e) => (STAND_INS[e] ? [[e, STAND_INS[e]]] : [])));
  const load = support ? { ...handLoad, share: typicalShare(support) } : handLoad;
  return {
    alsoWorks: [],
    effort: EFFORT[own.quality],
    excludedBy: [],
    easier: [],
    aids: [],
    origin: COMMON_PRACTICE,
    ...own,
    ...(load ? { handLoad: load } : {}),
    ...(support ? { support } : {}),
    equipment,
    standIns: { ...standIns, ...own.standIns },
  };
}

/** Self-made tension of 10–30 %. */
export const LIGHT_TENSION: Effort = { scale: 'tension', min: 10, max: 30 };

export const WEDGE = 'Folded mat or wedge under the palms';
export const TOWEL_UNDER_HAND = 'Sock or towel under the back of the hand';
export const MAT_UNDER_KNEES = 'Cushion under the knees';
export const SOFT_LANDING = 'Cushion where a fall frightens';
export const FILM = 'Mirror or film for what cannot be felt';
export const AT_A_WALL = 'A wall or table where the floor or kneeling hurts';

interface DoseExtras extends Partial<Pick<DoseRange, 'perSide' | 'restSeconds' | 'course'>> {
  /** Length of an even repetition, half out and half back. */
  readonly secondsPerUnit?: number;
  readonly tempo?: Tempo;
}

const SLOW_REPETITION_SECONDS = 4;

export function reps(min: number, max: number, sets: number, { secondsPerUnit, tempo, ...extras }: DoseExtras = {}): DoseRange {
  const half = (secondsPerUnit ?? SLOW_REPETITION_SECONDS) / 2;
  return { unit: 'reps', min, max, sets, perSide: false, restSeconds: 40, tempo: tempo ?? { out: half, hold: 0, back: half }, ...extras };
}

export function seconds(
  min: number,
  max: number,
  sets: number,
  extras: Omit<DoseExtras, 'secondsPerUnit' | 'tempo' | 'course'> = {},
): DoseRange {
  return { unit: 's', min, max, sets, perSide: false, restSeconds: 45, ...extras };
}

export function breaths(
  min: number,
  max: number,
  sets: number,
  extras: Omit<DoseExtras, 'secondsPerUnit' | 'tempo' | 'course'> = {},
): DoseRange {
  return { unit: 'breaths', min, max, sets, perSide: false, restSeconds: 20, ...extras };
}
