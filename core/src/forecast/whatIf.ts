import type { DemandOutlook } from './demand.ts';
import { effectOf, USUAL_SETS } from './dose.ts';
import type { GateOutlook } from './gate.ts';

/** Weeks that might be, in place of the weeks as they have been. */
export interface WhatIf {
  readonly daysPerWeek: number;
  readonly minutesPerDay: number;
  /** A check that gets twice the work, taken from the rest. */
  readonly focus?: string | undefined;
  /** Drills that fall away, since what they need is not there. */
  readonly without?: readonly string[] | undefined;
  /** Days from now on which nobody trains. */
  readonly missedDays: number;
  /** Days from one occasion of checks to the next. */
  readonly checkDays: number;
}

/** What the sliders of a what-if reach. */
export const WHAT_IF_LIMITS = {
  daysPerWeek: { min: 0, max: 7 },
  minutesPerDay: { min: 10, max: 120 },
  missedDays: { min: 0, max: 56 },
  checkDays: { min: 7, max: 56 },
} as const;

/** What stands for somebody whose last weeks tell nothing: two sessions of three quarters of an hour (common practice, no source). */
const USUAL_WEEK = { days: 2, minutes: 45 };
/** With a focus, the rest keeps at least this share of the work. */
const REST_KEEPS = 0.2;

/**
 * The weeks as they have been, as a what-if: where every slider stands at first.
 *
 * @example usualWeeks(outlook) // { daysPerWeek: 2, minutesPerDay: 45, missedDays: 0, checkDays: 14 }
 */
export function usualWeeks({ rhythm, checkDays, missedDays = 0 }: GateOutlook): WhatIf {
  const { daysPerWeek, minutesPerDay } = WHAT_IF_LIMITS;
  const days = Math.round(rhythm.sessionsPerWeek * 2) / 2;
  return {
    daysPerWeek: Math.min(daysPerWeek.max, days),
    minutesPerDay: within(rhythm.minutes > 0 ? Math.round(rhythm.minutes / 5) * 5 : USUAL_WEEK.minutes, minutesPerDay),
    missedDays,
    checkDays: Math.round(checkDays),
  };
}

/**
 * The outlook if the weeks were others. Sets grow with the minutes of a week; what nobody trained of late begins, where there was no session
 * at all, with the usual dose of a usual week. Demands, waiting rules and errors stay as they are: a what-if weakens no gate.
 *
 * @returns the same outlook with other doses, rhythm and occasions
 * @example forecastGate(whatIf(outlook, { ...usualWeeks(outlook), daysPerWeek: 3 }), random)
 */
export function whatIf(outlook: GateOutlook, changes: WhatIf): GateOutlook {
  const { rhythm, waits } = outlook;
  const usual = usualWeeks(outlook);
  const unchanged = changes.daysPerWeek === usual.daysPerWeek && changes.minutesPerDay === usual.minutesPerDay;
  const volume = unchanged ? 1 : volumeOf(changes, usual);
  const fallen = new Set(changes.without);
  const setsOf = ({ weeklySets, work }: DemandOutlook) => {
    const kept = weeklySets - work.filter((w) => fallen.has(w.drillId)).reduce((sum, w) => sum + w.weeklySets, 0);
    const had = usual.daysPerWeek > 0 ? Math.max(0, kept) : weeklySets > 0 ? weeklySets : USUAL_SETS;
    return had * volume;
  };
  const sets = focused(new Map(outlook.demands.map((d) => [d.measureId, setsOf(d)])), changes.focus);
  const unwaited = waits.blocked.filter((b) => b !== 'nobody-trains');
  const nobody = waits.sessions.length > 0 && changes.daysPerWeek === 0;
  return {
    ...outlook,
    demands: outlook.demands.map((d) => withDose(d, sets.get(d.measureId) ?? 0)),
    waits: { ...waits, blocked: nobody ? [...unwaited, 'nobody-trains'] : unwaited },
    rhythm: { ...rhythm, sessionsPerWeek: unchanged ? rhythm.sessionsPerWeek : changes.daysPerWeek },
    missedDays: changes.missedDays,
    ...occasions(outlook, changes.checkDays),
  };
}

/** How much more or less a week holds. */
function volumeOf(changes: WhatIf, usual: WhatIf): number {
  const { days, minutes } = USUAL_WEEK;
  const before = usual.daysPerWeek > 0 ? usual.daysPerWeek * usual.minutesPerDay : days * minutes;
  return (changes.daysPerWeek * changes.minutesPerDay) / before;
}

/** Twice the sets on one check, taken from the others by their share; a check that had none gets what an equal share would be. */
function focused(sets: ReadonlyMap<string, number>, focus: string | undefined): ReadonlyMap<string, number> {
  const had = focus === undefined ? undefined : sets.get(focus);
  if (had === undefined) return sets;
  const total = [...sets.values()].reduce((sum, s) => sum + s, 0);
  const rest = total - had;
  if (!(rest > 0)) return sets;
  const wanted = had > 0 ? 2 * had : total / sets.size;
  const gets = Math.min(wanted, had + (1 - REST_KEEPS) * rest);
  return new Map([...sets].map(([id, s]) => [id, id === focus ? gets : (s * (total - gets)) / rest]));
}

function withDose(demand: DemandOutlook, weeklySets: number): DemandOutlook {
  const { trend } = demand;
  // What is as it was keeps the very figure it had.
  if (Math.abs(weeklySets - demand.weeklySets) < 1e-9) return demand;
  return { ...demand, weeklySets, ...(trend ? { trend: { ...trend, effect: effectOf(weeklySets) } } : {}) };
}

function occasions(outlook: GateOutlook, checkDays: number): Pick<GateOutlook, 'nextCheckDays' | 'checkDays'> {
  if (checkDays === Math.round(outlook.checkDays)) return { checkDays: outlook.checkDays, nextCheckDays: outlook.nextCheckDays };
  return { checkDays, nextCheckDays: Math.min(outlook.nextCheckDays, checkDays) };
}

function within(value: number, { min, max }: { readonly min: number; readonly max: number }): number {
  return Math.min(max, Math.max(min, value));
}
