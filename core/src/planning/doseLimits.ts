import type { Joint } from '../anatomy/index.ts';
import { type Drill, strainOf, tensionSeconds } from '../drills/index.ts';
import type { Library } from '../library/index.ts';
import type { CalendarDay } from '../quantities/index.ts';
import { FRAME_PHASES, type PlannedDose, type PlannedSession } from './plan.ts';
import { calendarDaysBetween } from './spacing.ts';

/**
 * The most that one week or one session holds of a kind of work. Professional judgement, from memory, no single published source.
 * - `week sets`: sets of a joint in a week
 * - `week days`: days of a week
 * - `session seconds`: time under tension in a session, of a joint where it says so
 * - `apart`: days from one to the next
 */
export const DOSE_LIMITS = {
  stability: { 'week sets': 12 },
  strength: { 'week sets': 12 },
  skill: { 'week days': 4, 'session seconds': 900 },
  'mobility passive': { 'session seconds': 120 },
  fingers: { 'week days': 2, 'session seconds': 120, apart: 3 },
  'head down': { 'session seconds': 120 },
} as const satisfies Readonly<Record<string, Partial<Record<'week sets' | 'week days' | 'session seconds' | 'apart', number>>>>;

/** What a limit is about: a quality of work, or the fingertips, or being head down for the first time. */
export type DoseKind = keyof typeof DOSE_LIMITS;
export type DoseMeasure = 'week sets' | 'week days' | 'session seconds' | 'apart';

/** A limit that a week goes beyond, said at the session that does. */
export interface DoseFinding {
  readonly kind: DoseKind;
  readonly measure: DoseMeasure;
  readonly sessionId: string;
  /** Of sets and of long holds. */
  readonly joint?: Joint;
  readonly has: number;
  readonly most: number;
}

/** Kinds whose limits count joint by joint. */
const BY_JOINT: readonly DoseKind[] = ['stability', 'strength', 'mobility passive'];

export function countsByJoint(kind: DoseKind): boolean {
  return BY_JOINT.includes(kind);
}

/**
 * The kinds whose limits a drill falls under.
 *
 * @param known whether the trainee has done it before: head down is limited at first
 * @example doseKindsOf(library.drill('practice-tips-plank'), true) // ['skill', 'fingers']
 */
export function doseKindsOf(drill: Drill, known: boolean): readonly DoseKind[] {
  const { hands } = { ...drill.support?.setUp } as { readonly hands?: string };
  const kinds: DoseKind[] = [];
  if (drill.quality === 'stability' || drill.quality === 'strength' || drill.quality === 'skill' || drill.quality === 'mobility passive')
    kinds.push(drill.quality);
  if (hands === 'fingertips') kinds.push('fingers');
  if (!known && strainOf(drill).headDown) kinds.push('head down');
  return kinds;
}

/** Limits of a kind that a measure counts for; `undefined` where it does not. */
export function mostOf(kind: DoseKind, measure: DoseMeasure): number | undefined {
  return (DOSE_LIMITS[kind] as Partial<Record<DoseMeasure, number>>)[measure];
}

/** What one set of a drill counts for against the seconds of a session: of a long hold those of one side, since each muscle has its own. */
export function setSeconds(drill: Drill, dose: Pick<PlannedDose, 'max'>, kind: DoseKind): number {
  const seconds = tensionSeconds(drill, { sets: 1, max: dose.max });
  return kind === 'mobility passive' && drill.dose.perSide ? seconds / 2 : seconds;
}

/**
 * Where the sessions of one week go beyond the most of a kind.
 *
 * @param sessions of one week, oldest first
 * @param known drills done before
 * @returns none when the week holds every limit
 */
export function doseFindings(sessions: readonly PlannedSession[], library: Library, known: ReadonlySet<string>): readonly DoseFinding[] {
  const findings: DoseFinding[] = [];
  for (const kind of Object.keys(DOSE_LIMITS) as DoseKind[]) {
    const days = sessions.map((session) => ({
      session,
      items: session.items
        .map((item) => ({ item, drill: library.asPlanned(item) }))
        .filter(({ drill }) => doseKindsOf(drill, known.has(drill.id)).includes(kind)),
    }));
    const joints = countsByJoint(kind) ? [...new Set(days.flatMap((d) => d.items.map(({ drill }) => drill.joint)))] : [undefined];
    for (const joint of joints) {
      const held = days
        .map(({ session, items }) => ({ session, items: items.filter(({ drill }) => joint === undefined || drill.joint === joint) }))
        .filter(({ items }) => items.length > 0);
      findings.push(...findingsOf(kind, joint, held));
    }
  }
  return findings;
}

/**
 * The least of each kind that changes anything, of a week that has any of it. Professional judgement, from memory, no single published
 * source. A kind is counted over all joints: a week spread thin over five of them may still be too little for each.
 */
export const DOSE_LEAST = {
  'mobility active': { 'week days': 2 },
  'mobility passive': { 'week seconds': 300 },
  stability: { 'week days': 2, 'week sets': 6 },
  strength: { 'week days': 2, 'week sets': 4 },
  skill: { 'week tries': 5 },
  fingers: { 'session seconds': 15 },
} as const satisfies Readonly<Record<string, Partial<Record<LeastMeasure, number>>>>;

export type LeastMeasure = 'week days' | 'week sets' | 'week seconds' | 'week tries' | 'session seconds';

/** A kind of work of which a week holds some, and less than changes anything. */
export interface DoseShortfall {
  readonly kind: keyof typeof DOSE_LEAST;
  readonly measure: LeastMeasure;
  readonly has: number;
  readonly least: number;
}

/**
 * What a week holds too little of. Warm-up and cool-down count as well.
 *
 * @param sessions of one week
 * @returns none for a kind that the week has nothing of but warm-up and cool-down
 * @example doseShortfalls(week, library) // [{ kind: 'stability', measure: 'week sets', has: 3, least: 6 }]
 */
export function doseShortfalls(sessions: readonly PlannedSession[], library: Library): readonly DoseShortfall[] {
  return (Object.keys(DOSE_LEAST) as DoseShortfall['kind'][]).flatMap((kind) => {
    const days = sessions
      .map(({ items }) => items.map((item) => ({ item, drill: library.asPlanned(item) })).filter(({ drill }) => isOfKind(drill, kind)))
      .filter((items) => items.length > 0);
    const all = days.flat();
    // What only opens and closes a session was not meant to build anything.
    if (all.every(({ drill }) => FRAME_PHASES.includes(drill.phase))) return [];
    const seconds = (items: typeof all) =>
      items.reduce((sum, { item, drill }) => sum + item.sets * setSeconds(drill, item, 'stability'), 0);
    const has: Readonly<Record<LeastMeasure, number>> = {
      'week days': days.length,
      'week sets': all.reduce((sum, { item }) => sum + item.sets, 0),
      'week seconds': seconds(all),
      'week tries': all.reduce((sum, { item, drill }) => sum + (drill.dose.unit === 'reps' ? item.sets * item.max : item.sets), 0),
      'session seconds': Math.min(...days.map(seconds)),
    };
    return (Object.entries(DOSE_LEAST[kind]) as [LeastMeasure, number][]).flatMap(([measure, least]) =>
      has[measure] < least ? [{ kind, measure, has: Math.round(has[measure]), least }] : [],
    );
  });
}

function isOfKind(drill: Drill, kind: DoseShortfall['kind']): boolean {
  return drill.quality === kind || (kind === 'fingers' && doseKindsOf(drill, true).includes('fingers'));
}

interface Held {
  readonly session: PlannedSession;
  readonly items: readonly { readonly item: PlannedDose; readonly drill: Drill }[];
}

function findingsOf(kind: DoseKind, joint: Joint | undefined, held: readonly Held[]): DoseFinding[] {
  const found = (measure: DoseMeasure, at: Held, has: number, most: number): DoseFinding => ({
    ...{ kind, measure, sessionId: at.session.id, has, most },
    ...(joint ? { joint } : {}),
  });
  const findings: DoseFinding[] = [];
  const weekSets = mostOf(kind, 'week sets');
  let sets = 0;
  let told = false;
  for (const at of held) {
    sets += at.items.reduce((sum, { item }) => sum + item.sets, 0);
    if (weekSets !== undefined && sets > weekSets && !told) {
      told = true;
      findings.push(found('week sets', at, sets, weekSets));
    }
    const seconds = Math.round(at.items.reduce((sum, { item, drill }) => sum + item.sets * setSeconds(drill, item, kind), 0));
    const mostSeconds = mostOf(kind, 'session seconds');
    if (mostSeconds !== undefined && seconds > mostSeconds) findings.push(found('session seconds', at, seconds, mostSeconds));
  }
  const weekDays = mostOf(kind, 'week days');
  const beyond = weekDays === undefined ? undefined : held[weekDays];
  if (weekDays !== undefined && beyond) findings.push(found('week days', beyond, held.length, weekDays));
  const apart = mostOf(kind, 'apart');
  held.forEach((at, i) => {
    const before: CalendarDay | undefined = held[i - 1]?.session.day;
    const days = before === undefined ? undefined : calendarDaysBetween(before, at.session.day);
    if (apart !== undefined && days !== undefined && days < apart) findings.push(found('apart', at, days, apart));
  });
  return findings;
}

/**
 * The sessions of a week with sets taken away, and drills where it must be, until no limit is gone beyond; what a session opens and closes
 * with stays.
 *
 * @param sessions of one week, oldest first
 */
export function withinDoses<T extends PlannedSession>(sessions: readonly T[], library: Library, known: ReadonlySet<string>): readonly T[] {
  let week = sessions;
  for (;;) {
    const finding = doseFindings(week, library, known).find((f) =>
      week.some((s) => s.id === f.sessionId && reducible(s, f, library, known)),
    );
    if (!finding) return week;
    week = week.map((s) => (s.id === finding.sessionId ? { ...s, items: less(s, finding, library, known) } : s));
  }
}

/** The item that gives most of what is too much. */
function reducible(session: PlannedSession, { kind, joint }: DoseFinding, library: Library, known: ReadonlySet<string>) {
  return session.items
    .filter((item) => {
      const drill = library.asPlanned(item);
      return (
        !FRAME_PHASES.includes(drill.phase) &&
        doseKindsOf(drill, known.has(drill.id)).includes(kind) &&
        (joint === undefined || drill.joint === joint)
      );
    })
    .toSorted((a, b) => b.sets - a.sets)[0];
}

function less(session: PlannedSession, finding: DoseFinding, library: Library, known: ReadonlySet<string>): PlannedSession['items'] {
  const most = reducible(session, finding, library, known);
  const byDay = finding.measure === 'week days' || finding.measure === 'apart';
  return session.items.flatMap((item) => (item !== most ? [item] : byDay || item.sets === 1 ? [] : [{ ...item, sets: item.sets - 1 }]));
}
