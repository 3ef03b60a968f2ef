import { type Breathing, type Drill, MOVE_PARTS, type MovePart, type Teaching } from '../../drills/index.ts';

/** What of a drill says how it is taught. */
export type Taught = Pick<Drill, 'faults' | 'faultNotes' | 'bladeTravels'> & { readonly teaching: Teaching };

/** How a drill is taught, as it is written: the steps by their part, and what goes wrong. */
export interface Lesson extends Readonly<Partial<Record<MovePart, string>>>, Omit<Teaching, 'steps'> {
  readonly faults: Drill['faults'];
  readonly notes?: Drill['faultNotes'];
  readonly bladeTravels?: true;
}

/** A lesson as a drill carries it. */
export function taught({ faults, notes, bladeTravels, felt, still, gaze, breath, why, ...parts }: Lesson): Taught {
  const steps = MOVE_PARTS.flatMap((part) => (parts[part] === undefined ? [] : [{ part, text: parts[part] }]));
  return {
    teaching: { steps, felt, still, gaze, breath, why },
    faults,
    ...(notes ? { faultNotes: notes } : {}),
    ...(bladeTravels ? { bladeTravels } : {}),
  };
}

/** A lesson without parts that its family has. */
export function without(parts: readonly MovePart[], lesson: Lesson): Lesson {
  return Object.fromEntries(Object.entries(lesson).filter(([key]) => !parts.some((part) => part === key))) as unknown as Lesson;
}

/** Out on the push or pull, in on the return. */
export const EFFORT_OUT: Breathing = { out: 'out', back: 'in' };
/** In where the chest opens or the arms rise, out where they come home. */
export const OPENS_IN: Breathing = { out: 'in', back: 'out' };
export const GOES_ON: Breathing = { out: 'on', hold: 'on', back: 'on' };

export const AHEAD = 'Straight ahead.';
export const AT_THE_HAND = 'At the hand.';
export const AT_THE_FLOOR = 'At the floor, just ahead of the fingers.';
export const AT_THE_CEILING = 'At the ceiling.';
