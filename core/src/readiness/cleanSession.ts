import type { BodySide } from '../anatomy/index.ts';
import { LOADING_PHASES } from '../drills/index.ts';
import type { Library } from '../library/index.ts';
import { QUIET_UP_TO, stopSign, type Symptom, symptomInWords } from '../safety/index.ts';
import { daysBetween, type Instant } from '../quantities/index.ts';

/** How a set felt, where the school stops counting. */
export const FEELINGS = ['too easy', 'right', 'too much', 'locked up'] as const;
export type Feeling = (typeof FEELINGS)[number];

/** One logged set: what was done, and which faults showed. */
export interface LoggedSet {
  readonly amount: number;
  /** Where the drill has sides. */
  readonly side?: BodySide;
  /** Set where the dose was by feel; the amount then decides nothing. */
  readonly feeling?: Feeling | undefined;
  readonly faults: readonly { readonly faultId: string; readonly mended: boolean }[];
}

/** One drill of a session: what was asked and what was done. */
export interface LoggedItem {
  readonly drillId: string;
  readonly plannedSets: number;
  readonly max: number;
  readonly perSide: boolean;
  readonly sets: readonly LoggedSet[];
}

export interface LoggedSession {
  readonly items: readonly LoggedItem[];
  /** 0–10 */
  readonly effort: number;
  readonly symptoms: readonly Pick<Symptom, 'intensity' | 'moment' | 'kind' | 'place' | 'side' | 'at'>[];
}

export interface Cleanness {
  readonly clean: boolean;
  /** One sentence, whichever way it went. */
  readonly reason: string;
}

/** Effort from here on means "hold", not "clean" (common practice, no source). */
const HARD_EFFORT = 8;

/**
 * Whether a session counts as clean: every blade, stability, skill and strength drill done in all
 * its sets at the top of its dose (by feel: "right" or "too easy"), no fault left unmended, effort
 * below 8, no stop sign, symptoms at most 2.
 *
 * @throws Refusal `drill-unknown`
 * @example cleanness({ items: [], effort: 5, symptoms: [] }, library) // { clean: false, reason: 'No blade, …' }
 */
export function cleanness(session: LoggedSession, library: Library): Cleanness {
  const counting = session.items.filter((item) => LOADING_PHASES.includes(library.drill(item.drillId).phase));
  if (counting.length === 0) return unclean('No blade, stability, skill or strength drill was done.');
  for (const item of counting) {
    const { name } = library.drill(item.drillId);
    const wanted = item.plannedSets * (item.perSide ? 2 : 1);
    if (item.sets.length < wanted) return unclean(`${name}: ${item.sets.length} of ${wanted} sets done.`);
    const side = item.perSide ? sideLeftOut(item) : undefined;
    if (side) return unclean(`${name}: ${side.done} of ${item.plannedSets} sets done on the ${side.name}.`);
    const felt = item.sets.find((s) => s.feeling === 'too much' || s.feeling === 'locked up');
    if (felt) return unclean(`${name}: felt “${felt.feeling}”.`);
    if (item.sets.some((s) => s.feeling === undefined && s.amount < item.max))
      return unclean(`${name}: not every set reached the top of its dose (${item.max}).`);
    if (item.sets.some((s) => s.faults.some((f) => !f.mended))) return unclean(`${name}: a fault stayed that the cue did not mend.`);
  }
  if (session.effort >= HARD_EFFORT) return unclean(`Effort ${session.effort}/10: ${HARD_EFFORT} or more means hold.`);
  const stop = session.symptoms.map((s) => stopSign(s)).find((reason) => reason !== undefined);
  if (stop) return unclean(stop);
  const felt = session.symptoms.find((s) => s.moment !== 'next morning' && s.intensity > QUIET_UP_TO);
  if (felt) return unclean(`${symptomInWords(felt)}: more than ${QUIET_UP_TO}/10.`);
  return { clean: true, reason: 'All sets clean at the top of the dose, effort and symptoms quiet.' };
}

/** The side on which fewer sets were done than planned: twice on one side is not once on each. */
function sideLeftOut({ plannedSets, sets }: LoggedItem): { readonly name: string; readonly done: number } | undefined {
  if (sets.some((s) => s.side === undefined)) return undefined;
  return (['left', 'right'] as const)
    .map((name) => ({ name, done: sets.filter((s) => s.side === name).length }))
    .find(({ done }) => done < plannedSets);
}

function unclean(reason: string): Cleanness {
  return { clean: false, reason };
}

/** A session as the gate sees it. */
export interface SessionFact {
  readonly id: string;
  readonly performedAt: Instant;
  readonly clean: boolean;
  readonly drillIds: readonly string[];
  readonly symptoms: readonly Symptom[];
}

const HOURS_APART = 48;

/**
 * The clean sessions that count, oldest first: each at least 48 hours after the one counted before.
 *
 * @example spacedCleanSessions([monday, tuesday, wednesday]) // [monday, wednesday]
 */
export function spacedCleanSessions(sessions: readonly SessionFact[]): readonly SessionFact[] {
  const counted: SessionFact[] = [];
  for (const session of [...sessions].filter((s) => s.clean).sort((a, b) => a.performedAt.localeCompare(b.performedAt))) {
    const last = counted.at(-1);
    if (!last || hoursBetween(last.performedAt, session.performedAt) >= HOURS_APART) counted.push(session);
  }
  return counted;
}

function hoursBetween(earlier: Instant, later: Instant): number {
  return daysBetween(earlier, later) * 24;
}

/**
 * Whether a session as it was logged is clean, in the drills of this library: the one way to that verdict, for the record, for the
 * floor and for a log that is being written.
 */
export function sessionCleanness(
  session: Omit<LoggedSession, 'items'> & { readonly items: readonly Omit<LoggedItem, 'perSide'>[] },
  library: Library,
): Cleanness {
  const items = session.items.map((item) => ({ ...item, perSide: library.drill(item.drillId).dose.perSide }));
  return cleanness({ ...session, items }, library);
}
