import type { Joint } from '../anatomy/index.ts';
import { type Phase, PHASES } from '../drills/index.ts';
import type { CalendarDay, Instant } from '../quantities/index.ts';
import type { Schools } from '../schools/index.ts';
import { LIGHT, slotsOf } from './block/slots.ts';
import { BALANCE_START } from './block/rules.ts';
import { growthOf, type PlanBrief } from './brief.ts';
import type { Limits } from './exclusion.ts';
import { fitsFocus } from './focus.ts';
import { closedJoints } from './closedJoints.ts';
import { doseFindings, doseShortfalls } from './doseLimits.ts';
import { FRAME_PHASES, jointsLoadedBy, plannedHandLoad, type PlannedItem, type PlannedSession, sessionMinutes } from './plan.ts';
import { mayDo, type MayDoFacts } from './mayDo.ts';
import type { Broken, Found, PlanFinding } from './planFinding.ts';
import { brokenInWords } from './words/index.ts';
import type { LastLoaded } from './plannerFacts.ts';
import { LOADED_DAYS_PER_WEEK, shapeWeek } from './rhythm.ts';
import { calendarDaysBetween, restedBetween, weekdayOf, whenIn, whenOf } from './spacing.ts';
import { type WeekDose, weeksLater } from './week.ts';

export interface PlanRules extends Omit<Limits, 'equipment'> {
  readonly schools: Schools;
  readonly brief: PlanBrief;
  /** Monday of the first week that is looked at. */
  readonly weekStart: CalendarDay;
  /** Whole weeks since the first session on record, at that Monday. */
  readonly weeksIn: number;
  /** Drills done before; absent: nobody knows. */
  readonly knownDrills?: readonly string[];
  /** When each joint was loaded last; absent: nobody knows. */
  readonly lastLoaded?: LastLoaded;
  /** The logged week that the first one builds on. */
  readonly buildOn?: WeekDose | undefined;
}

/**
 * Holds weeks, proposed or edited by hand, against the rules. Findings warn; they do not forbid.
 *
 * @param sessions of one or more weeks from `rules.weekStart` on
 * @throws Refusal `drill-unknown`
 * @example reviewPlan(sessions, rules) // [{ sessionId, sentence: 'Takes 52 minutes; 45 are given.' }]
 */
export function reviewPlan(sessions: readonly PlannedSession[], rules: PlanRules): readonly PlanFinding[] {
  return found(sessions, rules).map((one) => ({ ...one, sentence: brokenInWords(one.broken, rules.library) }));
}

function found(sessions: readonly PlannedSession[], rules: PlanRules): readonly Found[] {
  const inOrder = [...sessions].sort((a, b) => a.day.localeCompare(b.day));
  const known = knownByWeek(inOrder, rules);
  const single = inOrder.flatMap((session, i) => [
    ...timeFinding(session, rules),
    ...dayFindings(session, inOrder.slice(0, i), rules),
    ...orderFinding(session, rules),
    ...itemFindings(session, rules, known(session.day)),
    ...focusFindings(session, rules),
    ...spacingFindings(session, inOrder.slice(0, i), rules),
  ]);
  return [...single, ...doses(inOrder, rules), ...weekFindings(inOrder, rules)];
}

function timeFinding({ id, day, items, form }: PlannedSession, rules: PlanRules): Found[] {
  const given = minutesGiven(day, rules);
  const minutes = Math.round(sessionMinutes(items, rules.library, form));
  return given !== undefined && minutes > given ? [{ sessionId: id, broken: { code: 'minutes', has: minutes, given } }] : [];
}

/** The minutes that the rhythm and the brief give a day; nothing where it is no training day. */
export function minutesGiven(
  day: CalendarDay,
  { brief, schools, weeksIn, weekStart }: Pick<PlanRules, 'brief' | 'schools' | 'weeksIn' | 'weekStart'>,
) {
  const shape = shapeWeek({
    rhythm: schools.rhythm,
    trainingDays: brief.days.map((d) => d.weekday),
    sessionMinutes: brief.days[0]?.minutes ?? 0,
    minutesOf: (weekday) => brief.days.find((d) => d.weekday === weekday)?.minutes,
    weeksIn: weeksIn + Math.floor(calendarDaysBetween(weekStart, day) / 7),
  });
  const own = brief.days.find((d) => d.weekday === weekdayOf(day));
  return shape.days.includes(weekdayOf(day)) ? shape.minutesOn(weekdayOf(day)) : own?.minutes;
}

function dayFindings({ id, day }: PlannedSession, earlier: readonly PlannedSession[], { brief }: PlanRules): Found[] {
  const pause = brief.pauses.find((p) => p.from <= day && day <= p.to);
  const broken: Broken[] = [
    ...(pause ? [{ code: 'pause', pause } as const] : []),
    ...(earlier.some((s) => s.day === day) ? [{ code: 'second session' } as const] : []),
  ];
  return broken.map((one) => ({ sessionId: id, ofDay: true, broken: one }));
}

function orderFinding({ id, items }: PlannedSession, { library, schools }: PlanRules): Found[] {
  const placed = items.map((item) => ({ item, drill: library.drill(item.drillId) }));
  const inPhases = placed.filter(({ drill }) => !(schools.stretching === 'any time' && drill.quality === 'mobility passive'));
  for (const [i, { item, drill }] of inPhases.entries()) {
    const before = inPhases[i - 1]?.drill;
    if (!before || placeOf(before.phase) <= placeOf(drill.phase)) continue;
    const broken: Broken = before.quality === 'mobility passive' ? { code: 'long hold first', before } : { code: 'order', drill, before };
    return [{ sessionId: id, itemId: item.id, broken }];
  }
  return [];
}

/** Shoulders may be opened before wrists: a day for pulling does so. */
const placeOf = (phase: Phase) => PHASES.indexOf(phase === 'warm-up' ? 'wrists and forearms' : phase);

/** Loaded work on a day that is for something else. */
function focusFindings({ id, day, items }: PlannedSession, { library, brief }: PlanRules): Found[] {
  const focus = brief.days.find((d) => d.weekday === weekdayOf(day))?.focus;
  return items.flatMap((item): Found[] => {
    const drill = library.asPlanned(item);
    return fitsFocus(drill, focus) ? [] : [{ sessionId: id, itemId: item.id, ofDay: true, broken: { code: 'focus', drill } }];
  });
}

function itemFindings({ id, items, place }: PlannedSession, rules: PlanRules, known: readonly string[] | undefined): Found[] {
  return items.flatMap((item) => {
    const problem = problemOf(item, { ...rules, equipment: rules.brief.equipment[place ?? 'gym'], knownDrills: known }, rules.brief);
    return problem ? [{ sessionId: id, itemId: item.id, ...problem }] : [];
  });
}

type Problem = Pick<Found, 'broken' | 'advice' | 'dose' | 'closed' | 'overrulable'>;

function problemOf(item: PlannedItem, rules: MayDoFacts, brief: PlanBrief): Problem | undefined {
  const { library } = rules;
  const drill = library.asPlanned(item);
  if (brief.never.includes(drill.id)) return { broken: { code: 'never', drill } };
  // What opens and closes a session is half a dose already.
  const known = FRAME_PHASES.includes(drill.phase) ? undefined : rules.knownDrills;
  const may = mayDo({ ...rules, knownDrills: known }, item);
  if (may.answer === 'may') return undefined;
  const broken: Broken = { code: 'may', drill, may };
  if (may.answer === 'may not' && may.because.kind === 'caution') return { closed: true, broken };
  // What mends has its reduced dose by a caution: no reason talks it round.
  if (may.answer === 'reduced' && may.because.some((r) => r.kind === 'rebuilding')) return { dose: may.dose, broken };
  if (item.overruled) return { advice: true, broken: { ...broken, overruled: item.overruled } };
  return { ...(may.answer === 'reduced' ? { dose: may.dose } : { closed: true }), overrulable: true, broken };
}

/** Drills that count as known in each week: those done before, and those that an earlier week of the plan has. */
function knownByWeek(
  inOrder: readonly PlannedSession[],
  { knownDrills, weekStart }: PlanRules,
): (day: CalendarDay) => readonly string[] | undefined {
  const weeks = new Map<number, readonly string[]>();
  return (day) => {
    if (!knownDrills) return undefined;
    const week = weekIndex(weekStart, day);
    const before = inOrder.filter((s) => weekIndex(weekStart, s.day) < week).flatMap((s) => s.items.map((i) => i.drillId));
    const known = weeks.get(week) ?? [...knownDrills, ...before];
    weeks.set(week, known);
    return known;
  };
}

function spacingFindings(session: PlannedSession, earlier: readonly PlannedSession[], rules: PlanRules): Found[] {
  const { library, brief, lastLoaded = {} } = rules;
  const joints = jointsLoadedBy(session.items, library);
  if (joints.size === 0) return [];
  const when = whenIn(session.day, brief.days);
  const loaded = earlier.map((s) => ({ day: s.day, joints: jointsLoadedBy(s.items, library) }));
  const near = loaded.flatMap((s) => (restedBetween(whenIn(s.day, brief.days), when) ? [] : [...s.joints].filter((j) => joints.has(j))));
  // A session that is on record may be one of the plan's own, which is looked at above.
  const logged = (Object.entries(lastLoaded) as [Joint, Instant][])
    .map(([joint, at]) => ({ joint, at: whenOf(at) }))
    .filter(
      ({ joint, at }) => joints.has(joint) && at.day < session.day && earlier.every((s) => s.day !== at.day) && !restedBetween(at, when),
    );
  const events = closedJoints(when, brief.events, []);
  const crowded = [...joints].flatMap((j) => events.get(j) ?? []);
  const sameWeek = loaded.filter((s) => weekIndex(s.day, session.day) === 0);
  const often = [...joints].filter((j) => sameWeek.filter((s) => s.joints.has(j)).length >= LOADED_DAYS_PER_WEEK);
  const broken: Broken[] = [
    ...(near.length > 0 ? [{ code: 'near session', joints: near } as const] : []),
    ...(logged[0] ? [{ code: 'near record', joints: logged.map((l) => l.joint), day: logged[0].at.day } as const] : []),
    ...(crowded[0] ? [{ code: 'near event', joints: [...joints].filter((j) => events.has(j)), by: crowded[0] } as const] : []),
    ...(often.length > 0 ? [{ code: 'third day', joints: often, most: LOADED_DAYS_PER_WEEK } as const] : []),
  ];
  return broken.map((one) => ({ sessionId: session.id, ofDay: true, broken: one }));
}

/** Whole weeks between the weeks two days lie in. */
function weekIndex(a: CalendarDay, b: CalendarDay): number {
  const monday = (day: CalendarDay) => calendarDaysBetween('1970-01-05' as CalendarDay, day);
  return Math.floor(monday(b) / 7) - Math.floor(monday(a) / 7);
}

/** Growth and balance of each week, said at its last session that loads the hands. */
function weekFindings(inOrder: readonly PlannedSession[], rules: PlanRules): Found[] {
  const { library, brief, weekStart } = rules;
  const growth = growthOf(brief, rules.cautions);
  const last = inOrder.at(-1);
  if (!last) return [];
  const weeks = Math.max(1, Math.floor(calendarDaysBetween(weekStart, last.day) / 7) + 1);
  const kinds = slotsOf({ ...rules, brief: { ...brief, weeks }, rhythm: rules.schools.rhythm, taken: [] }).weeks;
  const findings: Found[] = [];
  // The first week is held against what was logged, warm-ups and all; the others work against work.
  let base = rules.buildOn?.dose;
  let logged = true;
  kinds.forEach(({ weekStart: from, light }) => {
    const here = inOrder.filter((s) => s.day >= from && s.day < weeksLater(from, 1));
    findings.push(...(light ? [] : tooLittle(here, rules)));
    const end = here.filter((s) => handsCarry(s, rules)).at(-1);
    if (!end) return;
    const { push, pull } = plannedHandLoad(
      here.flatMap((s) => s.items),
      library,
    );
    const work = workIn(here, rules);
    const total = logged ? push + pull : work;
    const limit = light ? LIGHT : 1 + growth;
    if (base && total > base * limit + 0.5)
      findings.push({
        sessionId: end.id,
        broken: light
          ? { code: 'light week', share: total / base, most: LIGHT, because: light }
          : { code: 'growth', by: total / base - 1, most: growth },
      });
    const apart = Math.max(push, pull) - Math.min(push, pull);
    if (brief.balance < 1 && push > 0 && pull > 0 && apart > brief.balance * Math.max(push, pull) + BALANCE_START)
      findings.push({
        sessionId: end.id,
        broken: { code: 'balance', push, pull, most: brief.balance },
      });
    if (light || work === 0) return;
    base = work;
    logged = false;
  });
  return findings;
}

/** More of a kind of work than one week or one session should hold. */
function doses(inOrder: readonly PlannedSession[], { library, weekStart, knownDrills }: PlanRules): Found[] {
  const known = new Set(knownDrills ?? library.drills.map((d) => d.id));
  const weeks = new Map<number, PlannedSession[]>();
  for (const session of inOrder) {
    const week = weekIndex(weekStart, session.day);
    weeks.set(week, [...(weeks.get(week) ?? []), session]);
  }
  return [...weeks.values()].flatMap((week) =>
    doseFindings(week, library, known).map((finding): Found => ({
      sessionId: finding.sessionId,
      broken: { code: 'dose beyond', finding },
    })),
  );
}

/** Said of a week with room for more, at its last session: on one day alone nothing comes twice. */
function tooLittle(here: readonly PlannedSession[], { library }: PlanRules): Found[] {
  const last = here.at(-1);
  if (!last || here.length < 2) return [];
  return doseShortfalls(here, library).map((short) => ({ sessionId: last.id, advice: true, broken: { code: 'dose short', short } }));
}

/** Hand load of what is neither warm-up nor cool-down. */
function workIn(sessions: readonly PlannedSession[], { library }: PlanRules): number {
  const items = sessions.flatMap((s) => s.items).filter((i) => !FRAME_PHASES.includes(library.drill(i.drillId).phase));
  const { push, pull } = plannedHandLoad(items, library);
  return push + pull;
}

function handsCarry({ items }: PlannedSession, { library }: PlanRules): boolean {
  const { push, pull } = plannedHandLoad(items, library);
  return push + pull > 0;
}
