import type { Joint } from '../anatomy/index.ts';
import type { Equipment } from '../drills/index.ts';
import { type CautionInForce, growsSlowly } from '../safety/index.ts';
import type { CalendarDay } from '../quantities/index.ts';
import type { Focus } from './focus.ts';
import { type Place, type SessionForm, type Weekday, WEEKDAYS } from './plan.ts';

/** A day on which the trainee can train. */
export interface BriefDay {
  readonly weekday: Weekday;
  readonly minutes: number;
  readonly place: Place;
  readonly form: SessionForm;
  /** When it starts, like `17:30`; without it the session fills its day. */
  readonly at?: string;
  /** What the day is for; without it for whatever is needed most. */
  readonly focus?: Focus;
}

/** Other training or work that loads the same joints: every week on a weekday, or once on a date. */
export interface FixedEvent {
  readonly id: string;
  readonly name: string;
  readonly weekday?: Weekday;
  readonly day?: CalendarDay;
  /** From 0 to 10. */
  readonly effort: number;
  readonly minutes: number;
  readonly joints: readonly Joint[];
  /** The routine of the studio that prepares for it. */
  readonly prepareWith?: string | null;
}

export const PAUSE_REASONS = { illness: 'Illness', pain: 'Pain', away: 'Away' } as const;
export type PauseReason = keyof typeof PAUSE_REASONS;

/** Days without training, both ends included. */
export interface Pause {
  readonly from: CalendarDay;
  readonly to: CalendarDay;
  readonly reason: PauseReason;
}

/** Where a trainee wants to stand on a day: a crossing, a course, an exam. */
export interface Goal {
  readonly name: string;
  readonly day: CalendarDay;
  /** A rung of the ladder of their target. */
  readonly rungId: string;
}

/** What the weeks of one trainee must fit: the coach's word, beside what the checks say. */
export interface PlanBrief {
  /** Weeks in a block, from 1 to 8. */
  readonly weeks: number;
  readonly days: readonly BriefDay[];
  readonly equipment: Readonly<Record<Place, readonly Equipment[]>>;
  readonly events: readonly FixedEvent[];
  readonly pauses: readonly Pause[];
  /** Drills that every week has, and drills that no week has. */
  readonly always: readonly string[];
  readonly never: readonly string[];
  readonly likes: readonly string[];
  readonly dislikes: readonly string[];
  /** Every how many weeks a light one comes; 0 for never. */
  readonly deloadEvery: number;
  /** Largest weekly growth of the hand-load dose, as a share. */
  readonly ramp: number;
  /** How far push and pull may lie apart over a week, as a share of the larger; 1 lets them be as they come. */
  readonly balance: number;
  /** What the weeks are for, where there is a day for it. It moves no gate. */
  readonly goal?: Goal | null;
}

/** Usual figures (common practice, no source; the balance a project default). */
/** Whatever a brief says (professional judgement, from memory, no single published source). */
const MOST_GROWTH = 0.2;
const SLOW_GROWTH = 0.05;

/**
 * The largest growth of the weekly hand load: what the brief says, never more than a fifth, and a twentieth in the careful groups.
 *
 * @example growthOf({ ramp: 0.3 }, []) // 0.2
 */
export function growthOf({ ramp }: Pick<PlanBrief, 'ramp'>, cautions: readonly CautionInForce[]): number {
  return Math.min(ramp, growsSlowly(cautions) ? SLOW_GROWTH : MOST_GROWTH);
}

export const BRIEF_DEFAULTS = { weeks: 4, deloadEvery: 4, ramp: 0.1, balance: 0.2 } as const;
export const BRIEF_LIMITS = {
  weeks: { min: 1, max: 8 },
  ramp: { min: 0, max: 0.5 },
  balance: { min: 0.1, max: 1 },
  deloadEvery: { min: 0, max: 8 },
} as const;

/**
 * The brief of a trainee for whom none was written: the profile's days, minutes and equipment, the same everywhere.
 *
 * @example defaultBrief({ trainingDays: ['Monday'], sessionMinutes: 45, equipment: ['bar'] }).days
 * // [{ weekday: 'Monday', minutes: 45, place: 'gym', form: 'sets' }]
 */
export function defaultBrief(profile: {
  readonly trainingDays: readonly Weekday[];
  readonly sessionMinutes: number;
  readonly equipment: readonly Equipment[];
}): PlanBrief {
  const { trainingDays, sessionMinutes: minutes, equipment } = profile;
  return {
    ...BRIEF_DEFAULTS,
    days: WEEKDAYS.filter((d) => trainingDays.includes(d)).map((weekday) => ({ weekday, minutes, place: 'gym', form: 'sets' })),
    equipment: { gym: equipment, home: equipment, deck: equipment },
    events: [],
    pauses: [],
    always: [],
    never: [],
    likes: [],
    dislikes: [],
  };
}
