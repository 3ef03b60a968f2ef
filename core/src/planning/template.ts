import type { CautionInForce } from '../safety/index.ts';
import type { Library } from '../library/index.ts';
import type { CalendarDay } from '../quantities/index.ts';
import { type PlanBrief } from './brief.ts';
import { exclusionOf } from './candidates.ts';
import type { Foothold } from './exclusion.ts';
import { type Place, type PlannedItem, type PlannedSession, type SessionForm, type Weekday } from './plan.ts';
import { calendarDaysBetween, dayOfWeek, dayShort, weekdayOf } from './spacing.ts';
import { doseFor, halvedDose } from './usualDose.ts';
import { weeksLater } from './week.ts';

/** Weeks of sessions without a trainee: drills and sets only. */
export interface PlanTemplate {
  readonly sessions: readonly {
    /** Whole weeks after the first. */
    readonly week: number;
    readonly weekday: Weekday;
    readonly place: Place;
    readonly form: SessionForm;
    readonly items: readonly { readonly drillId: string; readonly sets: number }[];
  }[];
}

/**
 * The weeks of a plan as a template.
 *
 * @param weekStart Monday of its first week
 * @example templateOf(sessions, '2026-11-30').sessions[0] // { week: 0, weekday: 'Monday', place: 'gym', form: 'sets', items: […] }
 */
export function templateOf(sessions: readonly PlannedSession[], weekStart: CalendarDay): PlanTemplate {
  return {
    sessions: [...sessions]
      .sort((a, b) => a.day.localeCompare(b.day))
      .map(({ day, place = 'gym', form = 'sets', items }) => ({
        week: Math.floor(calendarDaysBetween(weekStart, day) / 7),
        weekday: weekdayOf(day),
        place,
        form,
        items: items.map(({ drillId, sets }) => ({ drillId, sets })),
      })),
  };
}

/** The one whom a template is fitted to. */
export interface TemplateFor {
  /** Fitted to the trainee. */
  readonly library: Library;
  readonly cautions: readonly CautionInForce[];
  readonly foothold: Foothold;
  readonly brief: PlanBrief;
  readonly knownDrills: readonly string[];
  readonly weekStart: CalendarDay;
  readonly notBefore?: CalendarDay | undefined;
  readonly newId: () => string;
}

/**
 * A template on one trainee: the same days and drills, in their own set-ups and doses. Drills that may not be planned for them are
 * left out, each with the reason; new drills have half their sets in the first week; a joint that is being rebuilt its reduced doses.
 *
 * @throws Refusal `drill-unknown`
 * @example fitTemplate(template, trainee).notes // ['“Plank” is left out: Wrist injury, rebuilding: …']
 */
export function fitTemplate(
  { sessions }: PlanTemplate,
  { library, cautions, foothold, brief, knownDrills, weekStart, notBefore, newId }: TemplateFor,
): { readonly sessions: readonly PlannedSession[]; readonly notes: readonly string[] } {
  const notes = new Set<string>();
  const known = new Set(knownDrills);
  const fitted = sessions.flatMap((session): PlannedSession[] => {
    const day = dayOfWeek(weeksLater(weekStart, session.week), session.weekday);
    if (notBefore && day < notBefore) return [];
    const items = session.items.flatMap(({ drillId, sets }): PlannedItem[] => {
      const drill = library.drill(drillId);
      const why = brief.never.includes(drillId)
        ? 'never, by your word.'
        : exclusionOf(drill, { library, cautions, foothold, equipment: brief.equipment[session.place] });
      if (why) {
        notes.add(`“${drill.name}” is left out: ${why}`);
        return [];
      }
      const dose = doseFor(drill, { cautions, sets: foothold.shown.sets });
      const isNew = !known.has(drillId) && session.week === 0;
      const given = isNew ? halvedDose(dose) : dose;
      return [
        {
          id: newId(),
          drillId,
          ...given,
          sets: Math.min(sets, given.sets),
          why: `From the template.${isNew ? ' New, so half dose.' : ''}`,
        },
      ];
    });
    if (items.length === 0) {
      notes.add(`${dayShort(day)} has nothing left and is not planned.`);
      return [];
    }
    return [{ id: newId(), day, place: session.place, form: session.form, items }];
  });
  return { sessions: fitted, notes: [...notes] };
}
