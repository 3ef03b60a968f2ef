import type { CautionInForce } from '../safety/index.ts';
import type { Library } from '../library/index.ts';
import type { CalendarDay } from '../quantities/index.ts';
import { type PlanBrief } from './brief.ts';
import type { LeftOutBecause } from './candidates.ts';
import { exclusion, type Foothold } from './exclusion.ts';
import type { TemplateNote } from './planNote.ts';
import { becauseInWords, templateNoteInWords } from './words/index.ts';
import { type Place, type PlannedItem, type PlannedSession, type SessionForm, type Weekday } from './plan.ts';
import { calendarDaysBetween, dayOfWeek, weekdayOf } from './spacing.ts';
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
  const notes = new Map<string, TemplateNote>();
  const note = (one: TemplateNote) => notes.set(one.code === 'day empty' ? one.day : one.drillId, one);
  const known = new Set(knownDrills);
  const fitted = sessions.flatMap((session): PlannedSession[] => {
    const day = dayOfWeek(weeksLater(weekStart, session.week), session.weekday);
    if (notBefore && day < notBefore) return [];
    const items = session.items.flatMap(({ drillId, sets }): PlannedItem[] => {
      const drill = library.drill(drillId);
      const because: LeftOutBecause | undefined = brief.never.includes(drillId)
        ? { kind: 'never' }
        : exclusion(drill, { library, cautions, foothold, equipment: brief.equipment[session.place] });
      if (because) {
        note({ code: 'left out', drillId, because });
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
          why: becauseInWords([{ code: 'template' }, ...(isNew ? [{ code: 'new' } as const] : [])]),
        },
      ];
    });
    if (items.length === 0) {
      note({ code: 'day empty', day });
      return [];
    }
    return [{ id: newId(), day, place: session.place, form: session.form, items }];
  });
  return { sessions: fitted, notes: [...notes.values()].map((one) => templateNoteInWords(one, library)) };
}
