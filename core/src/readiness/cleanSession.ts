import type { Side } from '../anatomy/index.ts';
import { LOADING_PHASES } from '../drills/index.ts';
import type { Library } from '../library/index.ts';
import type { Instant } from '../quantities/index.ts';
import { isStopSign, judgementOf, type Symptom } from '../safety/index.ts';
import type { Feeling, LoggedSet } from './loggedSet.ts';
import type { Practised } from './practised.ts';

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
  readonly symptoms: readonly Symptom[];
  /** Told by the trainee, with no coach by: it is load, and no proof. */
  readonly reported?: boolean | undefined;
  /** For something else, or a short break: it is load, and no session. */
  readonly preparation?: boolean | undefined;
}

/** What decided whether a session is clean; how it reads is said in `words`. */
export type CleanFinding =
  | { readonly code: 'clean' }
  | { readonly code: 'reported' }
  | { readonly code: 'preparation' }
  | { readonly code: 'nothing-loading' }
  | { readonly code: 'sets-missing'; readonly drillId: string; readonly done: number; readonly wanted: number; readonly side?: Side }
  | { readonly code: 'unconfirmed'; readonly drillId: string; readonly sets: number }
  | { readonly code: 'felt'; readonly drillId: string; readonly feeling: Feeling }
  | { readonly code: 'below-top'; readonly drillId: string; readonly top: number }
  | { readonly code: 'below-least'; readonly drillId: string; readonly least: number }
  | { readonly code: 'fault-stayed'; readonly drillId: string }
  | { readonly code: 'effort'; readonly effort: number; readonly limit: number }
  | { readonly code: 'stop-sign'; readonly symptom: Symptom }
  | { readonly code: 'symptom'; readonly symptom: Symptom };

export interface Cleanness {
  readonly clean: boolean;
  readonly finding: CleanFinding;
}

/** Effort from here on means "hold", not "clean" (common practice, no source). */
const HARD_EFFORT = 8;

/**
 * Whether a session counts as clean: every blade, stability, skill and strength drill done in all
 * its sets at the top of its dose (by feel: "right" or "too easy", with at least the least of the dose), each confirmed by somebody, no fault left unmended,
 * effort below 8, no stop sign, nothing felt beyond what is quiet. What a trainee reports of practice alone never is.
 *
 * @throws Refusal `drill-unknown`
 * @example cleanness({ items: [], effort: 5, symptoms: [] }, library) // { clean: false, finding: { code: 'nothing-loading' } }
 */
export function cleanness(session: LoggedSession, library: Library): Cleanness {
  if (session.reported) return unclean({ code: 'reported' });
  if (session.preparation) return unclean({ code: 'preparation' });
  const counting = session.items.filter((item) => LOADING_PHASES.includes(library.drill(item.drillId).phase));
  if (counting.length === 0) return unclean({ code: 'nothing-loading' });
  for (const item of counting) {
    const wrong = wrongWith(item, library);
    if (wrong) return unclean(wrong);
  }
  if (session.effort >= HARD_EFFORT) return unclean({ code: 'effort', effort: session.effort, limit: HARD_EFFORT });
  const felt = spoiledBy(session.symptoms);
  return felt ? unclean(felt) : { clean: true, finding: { code: 'clean' } };
}

/** The symptom that keeps a session from being clean, whatever was done; also one that was reported or corrected later. */
export function spoiledBy(symptoms: readonly Symptom[]): CleanFinding | undefined {
  const stop = symptoms.find(isStopSign);
  if (stop) return { code: 'stop-sign', symptom: stop };
  const felt = symptoms.find((s) => s.moment !== 'next morning' && !judgementOf(s).quiet);
  return felt && { code: 'symptom', symptom: felt };
}

function wrongWith(item: LoggedItem, library: Library): CleanFinding | undefined {
  const { drillId, plannedSets, max, perSide, sets } = item;
  const wanted = plannedSets * (perSide ? 2 : 1);
  if (sets.length < wanted) return { code: 'sets-missing', drillId, done: sets.length, wanted };
  const side = perSide ? sideLeftOut(item) : undefined;
  if (side) return { code: 'sets-missing', drillId, done: side.done, wanted: plannedSets, side: side.name };
  const unconfirmed = sets.filter((s) => s.unconfirmed).length;
  if (unconfirmed > 0) return { code: 'unconfirmed', drillId, sets: unconfirmed };
  const felt = sets.find((s) => s.feeling === 'too much' || s.feeling === 'clenched');
  if (felt?.feeling) return { code: 'felt', drillId, feeling: felt.feeling };
  if (sets.some((s) => s.feeling === undefined && s.amount < max)) return { code: 'below-top', drillId, top: max };
  const least = Math.min(max, library.drill(drillId).dose.min);
  if (sets.some((s) => s.feeling !== undefined && s.amount < least)) return { code: 'below-least', drillId, least };
  return sets.some((s) => s.faults.some((f) => !f.mended)) ? { code: 'fault-stayed', drillId } : undefined;
}

/** The side on which fewer sets were done than planned: twice on one side is not once on each. */
function sideLeftOut({ plannedSets, sets }: LoggedItem): { readonly name: Side; readonly done: number } | undefined {
  if (sets.some((s) => s.side === undefined)) return undefined;
  return (['left', 'right'] as const)
    .map((name) => ({ name, done: sets.filter((s) => s.side === name).length }))
    .find(({ done }) => done < plannedSets);
}

function unclean(finding: CleanFinding): Cleanness {
  return { clean: false, finding };
}

/** A session as the gate sees it. */
export interface SessionFact {
  readonly id: string;
  readonly performedAt: Instant;
  readonly plannedSessionId?: string | null;
  readonly clean: boolean;
  readonly practised: readonly Practised[];
  readonly symptoms: readonly Symptom[];
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
