import type { Joint } from '../anatomy/index.ts';
import {
  type Dose,
  type Drill,
  BREATH_SECONDS,
  drillSeconds,
  handLoadDose,
  isLoaded,
  type Phase,
  tensionSeconds,
} from '../drills/index.ts';
import type { Library, Planned } from '../library/index.ts';
import type { CalendarDay } from '../quantities/index.ts';
import type { HandLoadByJoint } from '../workload/index.ts';

/** Monday first. */
export const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;
export type Weekday = (typeof WEEKDAYS)[number];

/** Where a session is held: each place has its own equipment. */
export const PLACES = { gym: 'Gym', home: 'Home', deck: 'Deck' } as const;
export type Place = keyof typeof PLACES;

/** Phases that open and close every session whatever it is for: they make ready, and do not progress. */
export const FRAME_PHASES: readonly Phase[] = ['pulse', 'wrists and forearms', 'warm-up', 'cool-down'];

/** How the drills of a session follow each other. */
export const SESSION_FORM_IDS = ['sets', 'circuit', 'flow'] as const;
export type SessionForm = (typeof SESSION_FORM_IDS)[number];

/** Seconds from one station of a circuit to the next (project default). */
export const STATION_SECONDS = 15;

/** A drill as planned: its dose, and the set-up where it has one of its own. */
export interface PlannedDose extends Dose, Planned {}

export interface PlannedItem extends PlannedDose {
  readonly id: string;
  /** Why it is here, in a sentence. */
  readonly why: string;
  /** What the week would be without it, in a sentence. */
  readonly without?: string;
  /** Stays when the rest is planned again. */
  readonly pinned?: boolean;
  /** Planned although a rule keeps it out: the coach's reason, on record. Nothing talks a lock round. */
  readonly overruled?: string;
}

export interface PlannedSession {
  readonly id: string;
  readonly day: CalendarDay;
  readonly items: readonly PlannedItem[];
  readonly place?: Place;
  readonly form?: SessionForm;
}

/**
 * What a drill takes in a session of some form: for each set, and once whatever the sets.
 *
 * @example itemSeconds(plank, { sets: 3, min: 20, max: 30, restSeconds: 45 }) // { perSet: 75, once: -15 }: 3 · 75 − 15 = 210
 */
export function itemSeconds(
  drill: Pick<Drill, 'dose'>,
  dose: Dose,
  form: SessionForm = 'sets',
): { readonly perSet: number; readonly once: number } {
  const tension = tensionSeconds(drill, { sets: 1, max: dose.max });
  if (form === 'circuit') return { perSet: tension + STATION_SECONDS, once: 0 };
  if (form === 'flow') return { perSet: tension + BREATH_SECONDS, once: 0 };
  return { perSet: tension + dose.restSeconds, once: drillSeconds(drill, { ...dose, sets: 1 }) - tension - dose.restSeconds };
}

/**
 * Minutes a session takes, rests and change-overs included.
 *
 * @throws Refusal `drill-unknown`
 * @example sessionMinutes([{ drillId: 'plank', sets: 3, min: 20, max: 40, restSeconds: 45 }], library) // 4
 */
export function sessionMinutes(items: readonly (Dose & { readonly drillId: string })[], library: Library, form?: SessionForm): number {
  return (
    items.reduce((sum, item) => {
      const { perSet, once } = itemSeconds(library.drill(item.drillId), item, form);
      return sum + item.sets * perSet + once;
    }, 0) / 60
  );
}

/** Joints that a drill loads through the hands, and that need 48 hours before the same again; none for unloaded work. */
export function loadedJoints(drill: Pick<Drill, 'handLoad'>): readonly Joint[] {
  return isLoaded(drill) ? (drill.handLoad?.joints ?? []) : [];
}

/** Joints that some planned work loads. */
export function jointsLoadedBy(items: readonly Planned[], library: Library): ReadonlySet<Joint> {
  return new Set(items.flatMap((item) => loadedJoints(library.asPlanned(item))));
}

/** Whether a session holds loaded work, and so needs a full warm-up and 48 hours before the next. */
export function isLoadedSession(items: readonly Planned[], library: Library): boolean {
  return items.some((item) => isLoaded(library.asPlanned(item)));
}

/**
 * Hand-load dose of planned work, in body-weight seconds. A joint counts the whole load of every drill that passes through it.
 *
 * @throws Refusal `drill-unknown`
 * @example plannedHandLoad([{ drillId: 'plank', sets: 3, min: 20, max: 30, restSeconds: 45 }], library).push // 62.1
 */
export function plannedHandLoad(items: readonly PlannedDose[], library: Library): HandLoadByJoint {
  const totals = { push: 0, pull: 0 };
  const byJoint: Partial<Record<Joint, number>> = {};
  for (const item of items) {
    const drill = library.asPlanned(item);
    if (!drill.handLoad) continue;
    const dose = handLoadDose(drill, item);
    totals[drill.handLoad.direction] += dose;
    for (const joint of drill.handLoad.joints) byJoint[joint] = (byJoint[joint] ?? 0) + dose;
  }
  return { ...totals, byJoint };
}
