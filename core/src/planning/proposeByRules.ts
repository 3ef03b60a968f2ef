import { type Dose, drillSeconds, LOADING_PHASES, type Phase } from '../drills/index.ts';
import type { Library } from '../library/index.ts';
import type { CalendarDay } from '../quantities/index.ts';
import type { Schools } from '../schools/index.ts';
import { candidatesFor } from './candidates.ts';
import type { LeftOutSaid } from './proposePlan.ts';
import type { Limits } from './exclusion.ts';
import { heldBack } from './heldBack.ts';
import { growthOf } from './brief.ts';
import { withinDoses } from './doseLimits.ts';
import { composeSession, type SessionBrief } from './composeSession.ts';
import { usualWork } from './focus.ts';
import { standsBeforeLoad } from './because.ts';
import { type ComposedItem, frame, warmUpSeconds } from './frame.ts';
import { mainNeed, type NeedFacts, needsFrom, worth } from './needs.ts';
import { isLoadedSession, plannedHandLoad, type PlannedSession, type Weekday } from './plan.ts';
import { shapeWeek } from './rhythm.ts';
import { orderSession } from './sessionOrder.ts';
import { dayOfWeek, loadedDays, weekdayOf } from './spacing.ts';
import { workedAround } from './workedAround.ts';
import type { PlanNote } from './planNote.ts';
import { practiceOf } from './practiceOf.ts';
import { becauseInWords, leftOutInWords, noteInWords, refusalInWords } from './words/index.ts';

export interface RulesInput extends Limits, NeedFacts {
  /** A Monday. */
  readonly weekStart: CalendarDay;
  readonly trainingDays: readonly Weekday[];
  /** Days before this one are past and stay empty. */
  readonly notBefore?: CalendarDay | undefined;
  readonly sessionMinutes: number;
  readonly schools: Schools;
  /** Whole weeks since the first session on record; 0 before it. */
  readonly weeksIn: number;
  /** Drills done before; others start at half dose. */
  readonly knownDrills: readonly string[];
  /** Sessions of this week that are done: their days are taken, their load counts. */
  readonly done?: readonly PlannedSession[];
  /** Hand-load dose of the week to build on, in body-weight seconds; 0 when nothing was logged. */
  readonly lastWeekDose: number;
  readonly lastLoadedDay?: CalendarDay | undefined;
  /** Largest weekly growth of the hand-load dose, as a share. */
  readonly ramp?: number;
  /** Makes ids; passed in because core has no randomness of its own. */
  readonly newId: () => string;
}

export interface RulesProposal {
  readonly sessions: readonly PlannedSession[];
  /** Rules that shaped the week, in sentences. */
  readonly notes: readonly string[];
  /** Drills that would have helped and may not be used, most useful first. */
  readonly leftOut: readonly LeftOutSaid[];
  /** Why there is no plan, with the smallest change that helps; absent when there is one. */
  readonly refusal?: string;
}

/** Default growth (common practice, no source). */
const RAMP = 0.1;
/** The shortest useful drill between warm-up and cool-down, in seconds (project default). */
const ONE_DRILL_SECONDS = 120;
const MOST_LEFT_OUT = 8;

/**
 * Proposes one week of training by rules: aimed at the limiter and the other short demands, inside
 * the minutes, equipment and cautions, loaded days 48 hours apart, new drills at half dose, weekly
 * hand load growing by at most 10 %. It takes no time: what the solver is held against, and what stands in
 * where a week is needed at once.
 *
 * @param input what the week must obey and serve
 * @returns sessions in date order, or a refusal that names the smallest change
 * @throws Refusal `ladder-unknown`, `drill-unknown`
 * @example proposeByRules({ trainingDays: [], … }).refusal // 'No training day is chosen. Choose at least one.'
 */
export function proposeByRules(input: RulesInput): RulesProposal {
  const { library, cautions, schools } = input;
  const { allowed, leftOut } = candidatesFor(input);
  const needs = needsFrom(input, library.measure);
  const usefulLeftOut = leftOut
    .map((entry) => ({ ...entry, drill: library.drill(entry.drillId) }))
    .filter(({ drill }) => !drill.rung && worth(drill, needs, []) > 0 && mainNeed(drill, needs))
    .sort((a, b) => worth(b.drill, needs, []) - worth(a.drill, needs, []))
    .slice(0, MOST_LEFT_OUT)
    .map(({ drillId, because }) => ({ drillId, why: leftOutInWords(because, library) }));
  const refuse = (refusal: string): RulesProposal => ({ sessions: [], notes: [], leftOut: usefulLeftOut, refusal });

  const shape = shapeWeek({ ...input, rhythm: schools.rhythm });
  if (shape.days.length === 0) return refuse(refusalInWords({ code: 'no day' }, library));
  const week = shape.days.map((d) => dayOfWeek(input.weekStart, d)).sort();
  const done = input.done ?? [];
  const days = week.filter((d) => (!input.notBefore || d >= input.notBefore) && done.every((s) => s.day !== d));
  if (days.length === 0) return refuse(refusalInWords({ code: 'days over' }, library));
  const loadedDone = done.filter((s) => isLoadedSession(s.items, library)).length;
  const loadedLeft = Math.max(0, shape.loadedDaysPerWeek - loadedDone);
  const loadable = days.filter((d) => !shape.mobilityOnly.includes(weekdayOf(d)));
  const loaded = loadedDays(loadable, loadedLeft, input.lastLoadedDay);
  const known = new Set(input.knownDrills);
  const practiceId = practiceOf(input.foothold, library, allowed);
  const briefOf = (day: CalendarDay): SessionBrief => ({
    kind: loaded.includes(day) ? 'loaded' : 'mobility',
    minutes: shape.minutesOn(weekdayOf(day)),
    work: usualWork(undefined),
    allowed,
    needs,
    practiceId,
    known,
    cautions,
    sets: input.foothold.shown.sets,
    stretching: schools.stretching,
  });

  const composed = new Map<string, readonly ComposedItem[]>();
  const drafts: Draft[] = [];
  for (const day of days) {
    const brief = briefOf(day);
    const key = `${brief.kind} ${brief.minutes}`;
    if (!composed.has(key)) {
      const needed = (secondsIn(frame(brief), library) + ONE_DRILL_SECONDS) / 60;
      const warmUp = brief.kind === 'loaded' ? { warmUp: warmUpSeconds('loaded', cautions) / 60 } : {};
      if (brief.minutes < needed)
        return refuse(refusalInWords({ code: 'too short', minutes: brief.minutes, needed: Math.ceil(needed), ...warmUp }, library));
      composed.set(key, composeSession(brief));
    }
    drafts.push({ day, items: composed.get(key) ?? [] });
  }
  const { weeks, note } = keepRamp(drafts, {
    library,
    lastWeek: input.lastWeekDose,
    already: dose(
      done.flatMap((s) => s.items),
      library,
    ),
    ramp: growthOf({ ramp: input.ramp ?? RAMP }, input.cautions),
  });
  const sessions = withinDoses(
    weeks.map(({ day, items }) => ({
      id: input.newId(),
      day,
      items: orderFor(items, input).map(({ because, ...item }) => ({ id: input.newId(), ...item, why: becauseInWords(because) })),
    })),
    library,
    known,
  );
  const notes: readonly PlanNote[] = [
    ...(shape.note ? [shape.note] : []),
    ...spacingNotes(days, loaded, loadedDone, input),
    ...workedAround({ allowed, leftOut, cautions, library }),
    ...heldBack(input.foothold.shown, library),
    ...(note ? [note] : []),
  ];
  return { sessions, leftOut: usefulLeftOut, notes: notes.map((one) => noteInWords(one, library)) };
}

const OPENING: readonly Phase[] = ['pulse', 'wrists and forearms'];

/** Phases in order; a hold that the school allows before load stays among the openers. */
function orderFor(items: readonly ComposedItem[], { library, schools }: RulesInput): readonly ComposedItem[] {
  if (schools.stretching === 'after load') return orderSession(items, library);
  const early = items.filter((i) => standsBeforeLoad(i.because));
  const [openers, rest] = [
    items.filter((i) => OPENING.includes(library.drill(i.drillId).phase)),
    items.filter((i) => !early.includes(i) && !OPENING.includes(library.drill(i.drillId).phase)),
  ];
  return [...orderSession(openers, library), ...early, ...orderSession(rest, library)];
}

interface Draft {
  readonly day: CalendarDay;
  readonly items: readonly ComposedItem[];
}

/** Takes sets from the drill that loads the hands most until the week keeps the ramp. */
function keepRamp(
  drafts: readonly Draft[],
  {
    library,
    lastWeek,
    already,
    ramp,
  }: { readonly library: Library; readonly lastWeek: number; readonly already: number; readonly ramp: number },
): { readonly weeks: readonly Draft[]; readonly note?: PlanNote } {
  const limit = lastWeek * (1 + ramp);
  const total = (week: readonly Draft[]) => already + week.reduce((sum, d) => sum + dose(d.items, library), 0);
  if (lastWeek === 0 || total(drafts) <= limit) return { weeks: drafts };
  let weeks = drafts;
  while (total(weeks) > limit) {
    const reducible = [
      ...new Set(
        weeks
          .flatMap((d) => d.items)
          .filter((i) => i.sets > 1 && dose([i], library) > 0 && LOADING_PHASES.includes(library.drill(i.drillId).phase))
          .map((i) => i.drillId),
      ),
    ];
    const heaviest = reducible.sort((a, b) => doseOf(b, weeks, library) - doseOf(a, weeks, library))[0];
    if (!heaviest) break;
    weeks = weeks.map((d) => ({
      ...d,
      items: d.items.map((i) => (i.drillId === heaviest && i.sets > 1 ? { ...i, sets: i.sets - 1 } : i)),
    }));
  }
  return {
    weeks,
    note: { code: 'sets taken', kept: total(weeks) <= limit, growth: ramp, lastWeek, more: total(weeks) / lastWeek - 1 },
  };
}

function dose(items: readonly (Dose & { readonly drillId: string })[], library: Library): number {
  const { push, pull } = plannedHandLoad(items, library);
  return push + pull;
}

function doseOf(drillId: string, week: readonly Draft[], library: Library): number {
  return dose(
    week.flatMap((d) => d.items.filter((i) => i.drillId === drillId)),
    library,
  );
}

function secondsIn(items: readonly (Dose & { readonly drillId: string })[], library: Library): number {
  return items.reduce((sum, item) => sum + drillSeconds(library.drill(item.drillId), item), 0);
}

function spacingNotes(
  days: readonly CalendarDay[],
  loaded: readonly CalendarDay[],
  done: number,
  { lastLoadedDay }: RulesInput,
): readonly PlanNote[] {
  if (loaded.length === days.length) return [];
  const last = loaded.length === 0 && done === 0 ? { lastLoadedDay } : {};
  return [{ code: 'loaded days', loaded: loaded.length, of: days.length, done, ...last }];
}
