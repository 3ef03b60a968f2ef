import type { Joint } from '../anatomy/index.ts';
import { PHASES } from '../drills/index.ts';
import type { CalendarDay } from '../quantities/index.ts';
import type { Schools } from '../schools/index.ts';
import { closedJoints, LIGHT, slotsOf } from './block/slots.ts';
import { BALANCE_START } from './block/rules.ts';
import { growthOf, PAUSE_REASONS, type PlanBrief } from './brief.ts';
import { exclusion, exclusionInWords, type Limits } from './candidates.ts';
import { doseFindings, doseShortfalls } from './doseLimits.ts';
import { FRAME_PHASES, jointsLoadedBy, plannedHandLoad, type PlannedItem, type PlannedSession, sessionMinutes } from './plan.ts';
import { LOADED_DAYS_PER_WEEK, shapeWeek } from './rhythm.ts';
import { calendarDaysBetween, dayShort, LOADED_DAYS_APART, weekdayOf } from './spacing.ts';
import { halvedDose, usualDose, worksRebuilding } from './usualDose.ts';
import { type WeekDose, weeksLater } from './week.ts';
import { doseBeyondInWords, doseShortInWords } from '../words/index.ts';

export interface PlanRules extends Omit<Limits, 'equipment'> {
  readonly schools: Schools;
  readonly brief: PlanBrief;
  /** Monday of the first week that is looked at. */
  readonly weekStart: CalendarDay;
  /** Whole weeks since the first session on record, at that Monday. */
  readonly weeksIn: number;
  /** Drills done before; absent: nobody knows. */
  readonly knownDrills?: readonly string[];
  /** The logged week that the first one builds on. */
  readonly buildOn?: WeekDose | undefined;
}

export interface PlanFinding {
  readonly sessionId: string;
  /** It is about the day of the session, and another day would mend it. */
  readonly ofDay?: true;
  readonly itemId?: string;
  /** No rule is broken, or the coach has overruled it: something to know. */
  readonly advice?: true;
  /** The coach may plan it all the same, with a reason. */
  readonly overrulable?: true;
  readonly sentence: string;
}

/**
 * Holds weeks, proposed or edited by hand, against the rules. Findings warn; they do not forbid.
 *
 * @param sessions of one or more weeks from `rules.weekStart` on
 * @throws Refusal `drill-unknown`
 * @example reviewPlan(sessions, rules) // [{ sessionId, sentence: 'Takes 52 minutes; 45 are given.' }]
 */
export function reviewPlan(sessions: readonly PlannedSession[], rules: PlanRules): readonly PlanFinding[] {
  const inOrder = [...sessions].sort((a, b) => a.day.localeCompare(b.day));
  const single = inOrder.flatMap((session, i) => [
    ...timeFinding(session, rules),
    ...dayFindings(session, inOrder.slice(0, i), rules),
    ...orderFinding(session, rules),
    ...itemFindings(session, rules),
    ...spacingFindings(session, inOrder.slice(0, i), rules),
  ]);
  return [...single, ...newTooMuch(inOrder, rules), ...doses(inOrder, rules), ...weekFindings(inOrder, rules)];
}

function timeFinding({ id, day, items, form }: PlannedSession, rules: PlanRules): PlanFinding[] {
  const given = minutesGiven(day, rules);
  const minutes = Math.round(sessionMinutes(items, rules.library, form));
  return given !== undefined && minutes > given ? [{ sessionId: id, sentence: `Takes ${minutes} minutes; ${given} are given.` }] : [];
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

function dayFindings({ id, day }: PlannedSession, earlier: readonly PlannedSession[], { brief }: PlanRules): PlanFinding[] {
  const pause = brief.pauses.find((p) => p.from <= day && day <= p.to);
  return [
    ...(pause ? [`Lies in a pause (${PAUSE_REASONS[pause.reason].toLowerCase()}, ${dayShort(pause.from)} to ${dayShort(pause.to)}).`] : []),
    ...(earlier.some((s) => s.day === day) ? ['A second session on the same day.'] : []),
  ].map((sentence) => ({ sessionId: id, ofDay: true as const, sentence }));
}

function orderFinding({ id, items }: PlannedSession, { library, schools }: PlanRules): PlanFinding[] {
  const placed = items.map((item) => ({ item, drill: library.drill(item.drillId) }));
  const inPhases = placed.filter(({ drill }) => !(schools.stretching === 'any time' && drill.quality === 'mobility passive'));
  for (const [i, { item, drill }] of inPhases.entries()) {
    const before = inPhases[i - 1]?.drill;
    if (!before || PHASES.indexOf(before.phase) <= PHASES.indexOf(drill.phase)) continue;
    const sentence =
      before.quality === 'mobility passive'
        ? `“${before.name}” is a long hold before load; this school keeps such holds for the end.`
        : `“${drill.name}” (${drill.phase}) usually comes before ${before.phase}.`;
    return [{ sessionId: id, itemId: item.id, sentence }];
  }
  return [];
}

function itemFindings({ id, items, place }: PlannedSession, rules: PlanRules): PlanFinding[] {
  return items.flatMap((item) => {
    const found = problemOf(item, { ...rules, equipment: rules.brief.equipment[place ?? 'gym'] }, rules.brief);
    return found ? [{ sessionId: id, itemId: item.id, ...found }] : [];
  });
}

type Problem = Pick<PlanFinding, 'sentence' | 'advice' | 'overrulable'>;

function problemOf(item: PlannedItem, rules: Limits, brief: PlanBrief): Problem | undefined {
  const drill = rules.library.asPlanned(item);
  const excluded = exclusion(drill, rules);
  if (excluded) {
    const sentence = `“${drill.name}”: ${exclusionInWords(excluded, rules.library)}`;
    if (excluded.kind === 'caution') return { sentence };
    return item.overruled
      ? { advice: true, sentence: `${sentence} Planned all the same: ${item.overruled}` }
      : { overrulable: true, sentence };
  }
  if (brief.never.includes(drill.id)) return { sentence: `“${drill.name}” is on the list of what no week has.` };
  const reduced = usualDose(drill, rules.cautions);
  if (worksRebuilding(drill, rules.cautions) && item.sets * item.max > reduced.sets * reduced.max)
    return {
      sentence: `“${drill.name}”: more than the reduced dose of ${reduced.sets} × ${reduced.min}–${reduced.max} while the joint is being rebuilt.`,
    };
  return undefined;
}

function spacingFindings(session: PlannedSession, earlier: readonly PlannedSession[], { library, brief }: PlanRules): PlanFinding[] {
  const joints = jointsLoadedBy(session.items, library);
  if (joints.size === 0) return [];
  const loaded = earlier.map((s) => ({ day: s.day, joints: jointsLoadedBy(s.items, library) }));
  const near = loaded.flatMap((s) =>
    calendarDaysBetween(s.day, session.day) < LOADED_DAYS_APART ? [...s.joints].filter((j) => joints.has(j)) : [],
  );
  const events = closedJoints(session.day, brief.events, []);
  const crowded = [...events.keys()].filter((j) => joints.has(j));
  const sameWeek = loaded.filter((s) => weekIndex(s.day, session.day) === 0);
  const often = [...joints].filter((j) => sameWeek.filter((s) => s.joints.has(j)).length >= LOADED_DAYS_PER_WEEK);
  return [
    ...(near.length > 0 ? [`Loads the ${listed(near)} less than 48 hours after the loaded session before.`] : []),
    ...(crowded.length > 0 ? [`Loads the ${listed(crowded)} next to ${events.get(crowded[0] ?? 'wrist') ?? 'other training'}.`] : []),
    ...(often.length > 0 ? [`A third loaded day of the week for the ${listed(often)}; ${LOADED_DAYS_PER_WEEK} are usual.`] : []),
  ].map((sentence) => ({ sessionId: session.id, ofDay: true as const, sentence }));
}

/** Whole weeks between the weeks two days lie in. */
function weekIndex(a: CalendarDay, b: CalendarDay): number {
  const monday = (day: CalendarDay) => calendarDaysBetween('1970-01-05' as CalendarDay, day);
  return Math.floor(monday(b) / 7) - Math.floor(monday(a) / 7);
}

const listed = (joints: readonly Joint[]) => [...new Set(joints)].join(', ');

/** Growth and balance of each week, said at its last session that loads the hands. */
function weekFindings(inOrder: readonly PlannedSession[], rules: PlanRules): PlanFinding[] {
  const { library, brief, weekStart } = rules;
  const growth = growthOf(brief, rules.cautions);
  const last = inOrder.at(-1);
  if (!last) return [];
  const weeks = Math.max(1, Math.floor(calendarDaysBetween(weekStart, last.day) / 7) + 1);
  const kinds = slotsOf({ ...rules, brief: { ...brief, weeks }, rhythm: rules.schools.rhythm, taken: [] }).weeks;
  const findings: PlanFinding[] = [];
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
        sentence: light
          ? `The week loads the hands with ${Math.round((total / base) * 100)}% of the last full one; it is ${light}, for at most ${Math.round(LIGHT * 100)}%.`
          : `The week loads the hands ${Math.round((total / base - 1) * 100)}% more than the last; the limit is ${Math.round(growth * 100)}%.`,
      });
    const apart = Math.max(push, pull) - Math.min(push, pull);
    if (brief.balance < 1 && push > 0 && pull > 0 && apart > brief.balance * Math.max(push, pull) + BALANCE_START)
      findings.push({
        sessionId: end.id,
        sentence: `Push and pull lie ${Math.round((apart / Math.max(push, pull)) * 100)}% apart (${Math.round(push)} and ${Math.round(pull)} body-weight seconds); ${Math.round(brief.balance * 100)}% is the limit.`,
      });
    if (light || work === 0) return;
    base = work;
    logged = false;
  });
  return findings;
}

/** More of a kind of work than one week or one session should hold. */
function doses(inOrder: readonly PlannedSession[], { library, weekStart, knownDrills }: PlanRules): PlanFinding[] {
  const known = new Set(knownDrills ?? library.drills.map((d) => d.id));
  const weeks = new Map<number, PlannedSession[]>();
  for (const session of inOrder) {
    const week = weekIndex(weekStart, session.day);
    weeks.set(week, [...(weeks.get(week) ?? []), session]);
  }
  return [...weeks.values()].flatMap((week) =>
    doseFindings(week, library, known).map((finding) => ({ sessionId: finding.sessionId, sentence: doseBeyondInWords(finding) })),
  );
}

/** A new drill starts from half of its dose in the week in which it first comes. */
function newTooMuch(inOrder: readonly PlannedSession[], { library, cautions, weekStart, knownDrills }: PlanRules): PlanFinding[] {
  const firstWeek = new Map<string, number>();
  for (const { day, items } of inOrder)
    for (const { drillId } of items) firstWeek.set(drillId, firstWeek.get(drillId) ?? weekIndex(weekStart, day));
  const known = new Set(knownDrills ?? library.drills.map((d) => d.id));
  return inOrder.flatMap(({ id, day, items }) =>
    items.flatMap((item): PlanFinding[] => {
      const drill = library.drill(item.drillId);
      if (known.has(drill.id) || FRAME_PHASES.includes(drill.phase) || firstWeek.get(drill.id) !== weekIndex(weekStart, day)) return [];
      const half = halvedDose(usualDose(drill, cautions));
      if (item.sets * item.max <= half.sets * half.max) return [];
      const sentence = `“${drill.name}” is new: half of its dose, ${half.sets} × ${half.min}–${half.max}, is where it starts.`;
      return [{ sessionId: id, itemId: item.id, sentence }];
    }),
  );
}

/** Said of a week with room for more, at its last session: on one day alone nothing comes twice. */
function tooLittle(here: readonly PlannedSession[], { library }: PlanRules): PlanFinding[] {
  const last = here.at(-1);
  if (!last || here.length < 2) return [];
  return doseShortfalls(here, library).map((short) => ({ sessionId: last.id, advice: true, sentence: doseShortInWords(short) }));
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
