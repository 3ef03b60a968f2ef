import type { Drill } from '../../drills/index.ts';
import type { CalendarDay } from '../../quantities/index.ts';
import type { Schools } from '../../schools/index.ts';
import type { PlanBrief } from '../brief.ts';
import type { LightBecause, PlanNote } from '../planNote.ts';
import { type Focus, servesFocus } from '../focus.ts';
import type { Place, SessionForm } from '../plan.ts';
import { shapeWeek } from '../rhythm.ts';
import { calendarDaysBetween, dayOfWeek, daysLater } from '../spacing.ts';
import { weeksLater } from '../week.ts';

/** A session that can be filled. */
export interface Slot {
  readonly day: CalendarDay;
  /** When it starts, where that is known. */
  readonly at?: string;
  /** Index of its week in the block. */
  readonly week: number;
  readonly minutes: number;
  readonly place: Place;
  readonly form: SessionForm;
  readonly focus?: Focus;
  /** Whether loaded work may stand in it at all. */
  readonly loadable: boolean;
}

/** Whether a drill is what the focus of its day asks for. */
export function servesIts(slot: Slot | undefined, drill: Drill): boolean {
  return slot?.focus !== undefined && servesFocus(drill, slot.focus);
}

/** What kind of week it is. */
export interface BlockWeek {
  readonly weekStart: CalendarDay;
  /** Why it is a light one; absent for an ordinary week. */
  readonly light?: LightBecause;
  readonly loadedDays: number;
}

export interface SlotsInput {
  readonly brief: PlanBrief;
  readonly rhythm: Schools['rhythm'];
  /** A Monday. */
  readonly weekStart: CalendarDay;
  readonly weeksIn: number;
  /** Days before this one are past. */
  readonly notBefore?: CalendarDay | undefined;
  /** Days that sessions already stand on. */
  readonly taken: readonly CalendarDay[];
}

/** After a pause this long, or longer, the first week is a light one (project default). */
const EASE_IN_AFTER_DAYS = 5;

/**
 * The sessions of a block that are to be filled, and what kind of weeks they stand in.
 *
 * @example slotsOf({ brief, rhythm: 'training days', weekStart: '2026-11-30', weeksIn: 3, taken: [] }).weeks[0]?.light
 * // { code: 'every', every: 4 }
 */
export function slotsOf(input: SlotsInput): {
  readonly slots: readonly Slot[];
  readonly weeks: readonly BlockWeek[];
  readonly notes: readonly PlanNote[];
} {
  const { brief, weeksIn } = input;
  const slots: Slot[] = [];
  const weeks: BlockWeek[] = [];
  const notes: PlanNote[] = [];
  const pausesNamed = new Set<object>();
  const shapesNamed = new Set<string>();
  for (let week = 0; week < brief.weeks; week++) {
    const weekStart = weeksLater(input.weekStart, week);
    const shape = shapeWeek({
      rhythm: input.rhythm,
      trainingDays: brief.days.map((d) => d.weekday),
      sessionMinutes: brief.days[0]?.minutes ?? 0,
      minutesOf: (day) => brief.days.find((d) => d.weekday === day)?.minutes,
      weeksIn: weeksIn + week,
    });
    if (shape.note && !shapesNamed.has(JSON.stringify(shape.note))) {
      shapesNamed.add(JSON.stringify(shape.note));
      notes.push(shape.note);
    }
    for (const weekday of shape.days) {
      const day = dayOfWeek(weekStart, weekday);
      const own = brief.days.find((d) => d.weekday === weekday);
      if ((input.notBefore && day < input.notBefore) || input.taken.includes(day)) continue;
      const pause = brief.pauses.find((p) => p.from <= day && day <= p.to);
      if (pause) {
        if (!pausesNamed.has(pause)) notes.push({ code: 'pause', pause });
        pausesNamed.add(pause);
        continue;
      }
      slots.push({
        day,
        ...(own?.at ? { at: own.at } : {}),
        week,
        minutes: shape.minutesOn(weekday),
        place: own?.place ?? 'home',
        form: own?.form ?? 'sets',
        ...(own?.focus ? { focus: own.focus } : {}),
        loadable: !shape.mobilityOnly.includes(weekday) && own?.focus !== 'mobility',
      });
    }
    const light = lightBecause(week, weekStart, input);
    if (light) notes.push({ code: 'light', weekStart, because: light, most: LIGHT });
    weeks.push({ weekStart, loadedDays: shape.loadedDaysPerWeek, ...(light ? { light } : {}) });
  }
  return { slots: slots.sort((a, b) => a.day.localeCompare(b.day)), weeks, notes };
}

/** Hand load of a light week, as a share of the week it is measured by (project default). */
export const LIGHT = 0.6;

/**
 * Why a week is a light one; nothing for an ordinary one.
 *
 * @param week index of the week after the one that `weeksIn` counts to
 * @example lightBecause(0, '2026-11-30', { brief: { deloadEvery: 4, … }, weeksIn: 31 }) // { code: 'every', every: 4 }
 */
export function lightBecause(
  week: number,
  weekStart: CalendarDay,
  { brief, weeksIn }: Pick<SlotsInput, 'brief' | 'weeksIn'>,
): LightBecause | undefined {
  const back = brief.pauses.find(
    (p) =>
      calendarDaysBetween(p.from, p.to) + 1 >= EASE_IN_AFTER_DAYS &&
      p.to < dayOfWeek(weekStart, 'Sunday') &&
      p.to >= daysLater(weekStart, -1),
  );
  if (back) return { code: 'after pause', reason: back.reason };
  const every = lightEvery(brief, weeksIn + week);
  return every > 0 && (weeksIn + week + 1) % every === 0 ? { code: 'every', every } : undefined;
}

/** Who began so few weeks ago needs light weeks less often: every seventh (professional judgement, from memory: every 6th to 8th). */
const BEGINNER = { weeks: 26, every: 7 } as const;

/** Every how many weeks a light one comes; a brief that asks for none has none. */
function lightEvery({ deloadEvery }: Pick<PlanBrief, 'deloadEvery'>, weeksIn: number): number {
  return deloadEvery > 0 && weeksIn < BEGINNER.weeks ? Math.max(deloadEvery, BEGINNER.every) : deloadEvery;
}
