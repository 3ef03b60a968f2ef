import { type Dose, drillOf, drillSeconds, type Equipment, LOADING_PHASES } from '../drills/index.ts';
import { ladderOf } from '../ladders/index.ts';
import type { CalendarDay } from '../quantities/index.ts';
import type { Headroom } from '../readiness/index.ts';
import type { CautionId } from '../safety/index.ts';
import { candidatesFor, type Foothold, type LeftOut } from './candidates.ts';
import { type ComposedItem, composeSession, frame, type SessionBrief } from './composeSession.ts';
import { mainNeed, needsFrom, worth } from './needs.ts';
import { isLoadedSession, plannedHandLoad, type PlannedSession, type Weekday } from './plan.ts';
import { orderSession } from './sessionOrder.ts';
import { dayOfWeek, LOADED_DAYS_PER_WEEK, loadedDays } from './spacing.ts';

export interface PlanInput {
  /** A Monday. */
  readonly weekStart: CalendarDay;
  readonly trainingDays: readonly Weekday[];
  /** Days before this one are past and stay empty. */
  readonly notBefore?: CalendarDay | undefined;
  readonly sessionMinutes: number;
  readonly equipment: readonly Equipment[];
  readonly cautions: readonly CautionId[];
  /** Headroom of the next rung's demands, each side. */
  readonly headrooms: readonly Headroom[];
  readonly foothold: Foothold;
  /** Drills done before; others start at half dose. */
  readonly knownDrills: readonly string[];
  /** Sessions of this week that are done: their days are taken, their load counts. */
  readonly done?: readonly PlannedSession[];
  /** Hand-load dose of the week to build on, in body-weight seconds; 0 when nothing was logged. */
  readonly lastWeekDose: number;
  readonly lastLoadedDay?: CalendarDay | undefined;
  readonly loadedDaysPerWeek?: number;
  /** Largest weekly growth of the hand-load dose, as a share. */
  readonly ramp?: number;
  /** Makes ids; passed in because core has no randomness of its own. */
  readonly newId: () => string;
}

export interface PlanProposal {
  readonly sessions: readonly PlannedSession[];
  /** Rules that shaped the week, in sentences. */
  readonly notes: readonly string[];
  /** Drills that would have helped and may not be used, most useful first. */
  readonly leftOut: readonly LeftOut[];
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
 * hand load growing by at most 10 %. A solver takes this place later behind the same signature.
 *
 * @param input what the week must obey and serve
 * @returns sessions in date order, or a refusal that names the smallest change
 * @throws Refusal `ladder-unknown`
 * @example proposePlan({ trainingDays: [], … }).refusal // 'No training day is chosen. Choose at least one.'
 */
export function proposePlan(input: PlanInput): PlanProposal {
  const { allowed, leftOut } = candidatesFor(input);
  const needs = needsFrom(input.headrooms);
  const usefulLeftOut = leftOut
    .filter(({ drillId }) => !drillOf(drillId).rung && worth(drillOf(drillId), needs, []) > 0 && mainNeed(drillOf(drillId), needs))
    .sort((a, b) => worth(drillOf(b.drillId), needs, []) - worth(drillOf(a.drillId), needs, []))
    .slice(0, MOST_LEFT_OUT);
  const refuse = (refusal: string): PlanProposal => ({ sessions: [], notes: [], leftOut: usefulLeftOut, refusal });

  if (input.trainingDays.length === 0) return refuse('No training day is chosen. Choose at least one.');
  const week = input.trainingDays.map((d) => dayOfWeek(input.weekStart, d)).sort();
  const done = input.done ?? [];
  const days = week.filter((d) => (!input.notBefore || d >= input.notBefore) && done.every((s) => s.day !== d));
  if (days.length === 0) return refuse('The training days of this week are over. Plan the next week, or add a session by hand.');
  const loadedDone = done.filter((s) => isLoadedSession(s.items)).length;
  const loadedLeft = Math.max(0, (input.loadedDaysPerWeek ?? LOADED_DAYS_PER_WEEK) - loadedDone);
  const loaded = loadedDays(days, loadedLeft, input.lastLoadedDay);
  const brief = (kind: SessionBrief['kind']): SessionBrief => ({
    kind,
    seconds: input.sessionMinutes * 60,
    allowed,
    needs,
    practiceId: ladderOf(input.foothold.ladderId).rungs[input.foothold.here]?.practice,
    known: new Set(input.knownDrills),
  });

  const kinds = new Set(days.map((d) => (loaded.includes(d) ? 'loaded' : 'mobility') as SessionBrief['kind']));
  for (const kind of kinds) {
    const needed = (secondsIn(frame(brief(kind))) + ONE_DRILL_SECONDS) / 60;
    if (input.sessionMinutes < needed)
      return refuse(
        `${input.sessionMinutes} minutes cannot hold the ${kind === 'loaded' ? '10-minute warm-up' : 'warm-up'}, one drill and a cool-down; ${Math.ceil(needed)} minutes would.`,
      );
  }

  const composed = new Map([...kinds].map((kind) => [kind, composeSession(brief(kind))]));
  const drafts = days.map((day) => ({ day, items: composed.get(loaded.includes(day) ? 'loaded' : 'mobility') ?? [] }));
  const { weeks, note } = keepRamp(drafts, {
    lastWeek: input.lastWeekDose,
    already: dose(done.flatMap((s) => s.items)),
    ramp: input.ramp ?? RAMP,
  });
  const sessions = weeks.map(({ day, items }) => ({
    id: input.newId(),
    day,
    items: orderSession(items).map((item) => ({ id: input.newId(), ...item })),
  }));
  return { sessions, leftOut: usefulLeftOut, notes: [...spacingNotes(days, loaded, loadedDone, input), ...(note ? [note] : [])] };
}

interface Draft {
  readonly day: CalendarDay;
  readonly items: readonly ComposedItem[];
}

/** Takes sets from the drill that loads the hands most until the week keeps the ramp. */
function keepRamp(
  drafts: readonly Draft[],
  { lastWeek, already, ramp }: { readonly lastWeek: number; readonly already: number; readonly ramp: number },
): { readonly weeks: readonly Draft[]; readonly note?: string } {
  const limit = lastWeek * (1 + ramp);
  const total = (week: readonly Draft[]) => already + week.reduce((sum, d) => sum + dose(d.items), 0);
  if (lastWeek === 0 || total(drafts) <= limit) return { weeks: drafts };
  let weeks = drafts;
  while (total(weeks) > limit) {
    const reducible = [
      ...new Set(
        weeks
          .flatMap((d) => d.items)
          .filter((i) => i.sets > 1 && dose([i]) > 0 && LOADING_PHASES.includes(drillOf(i.drillId).phase))
          .map((i) => i.drillId),
      ),
    ];
    const heaviest = reducible.sort((a, b) => doseOf(b, weeks) - doseOf(a, weeks))[0];
    if (!heaviest) break;
    weeks = weeks.map((d) => ({
      ...d,
      items: d.items.map((i) => (i.drillId === heaviest && i.sets > 1 ? { ...i, sets: i.sets - 1 } : i)),
    }));
  }
  const kept = total(weeks) <= limit;
  const growth = Math.round(ramp * 100);
  return {
    weeks,
    note: kept
      ? `Sets were taken away so that the hands carry at most ${growth}% more than in the last whole week (${Math.round(lastWeek)} body-weight seconds).`
      : `Even at one set each the hands carry ${Math.round((total(weeks) / lastWeek - 1) * 100)}% more than in the last whole week, above the ${growth}% limit: take a drill out, or accept it knowingly.`,
  };
}

function dose(items: readonly (Dose & { readonly drillId: string })[]): number {
  const { push, pull } = plannedHandLoad(items);
  return push + pull;
}

function doseOf(drillId: string, week: readonly Draft[]): number {
  return dose(week.flatMap((d) => d.items.filter((i) => i.drillId === drillId)));
}

function secondsIn(items: readonly (Dose & { readonly drillId: string })[]): number {
  return items.reduce((sum, item) => sum + drillSeconds(drillOf(item.drillId), item), 0);
}

function spacingNotes(
  days: readonly CalendarDay[],
  loaded: readonly CalendarDay[],
  loadedDone: number,
  { lastLoadedDay }: PlanInput,
): string[] {
  if (loaded.length === days.length) return [];
  const before = loadedDone > 0 ? ` (${loadedDone} loaded ${loadedDone === 1 ? 'day is' : 'days are'} done this week)` : '';
  const because = lastLoadedDay && loaded.length === 0 && loadedDone === 0 ? ` The last loaded session was on ${lastLoadedDay}.` : '';
  return [
    `Loaded work on ${loaded.length} of ${days.length} days${before}, at least 48 hours apart; the other days stay unloaded.${because}`,
  ];
}
