import type { Solve } from '../solver/index.ts';
import { type BindingRule, bindingRules } from './block/binding.ts';
import { dayNotes, reasonsFor, unserved } from './block/explain.ts';
import type { BlockProgram } from './block/model.ts';
import { blockProgram } from './block/program.ts';
import { chosenSessions, writtenSessions } from './block/read.ts';
import { refusalBefore, refusalOf, smallestChanges } from './block/refuse.ts';
import { scoreOf, type Served } from './block/score.ts';
import { spareNotes } from './block/spare.ts';
import { type BlockInput, type BlockTask, blockTask } from './block/task.ts';
import type { LeftOut } from './candidates.ts';
import { becauseInWords, leftOutInWords, noteInWords, refusalInWords, withoutInWords } from './words/index.ts';
import { heldBack } from './heldBack.ts';
import type { PlanNote, PlanRefusal } from './planNote.ts';
import { growthOf } from './brief.ts';
import { mainNeed, worth } from './needs.ts';
import type { PlannedSession } from './plan.ts';
import { workedAround } from './workedAround.ts';

/** How good a proposal is, and how that is known. */
export interface Solved {
  /** What the block is worth by the planner's measure. */
  readonly objective: number;
  /** No plan can be worth more. */
  readonly bound: number;
  /** (bound − objective) ÷ objective. */
  readonly gap: number;
  readonly seconds: number;
  /** `best found`: the time was up, or it was stopped, before the gap was small enough. */
  readonly status: 'good enough' | 'best found';
}

/** A drill that was left out, with the reason in a sentence. */
export interface LeftOutSaid {
  readonly drillId: string;
  readonly why: string;
}

export interface PlanProposal {
  /** New sessions in date order; those that were kept are not among them. */
  readonly sessions: readonly PlannedSession[];
  readonly solved?: Solved;
  /** Work on each need, week by week. */
  readonly served: readonly Served[];
  /** What shaped the weeks, in sentences: rhythm, cautions, days, rules that bind, needs that are not served. */
  readonly notes: readonly string[];
  /** The note that matters most: what could not be served, else the rule that costs most. */
  readonly foremost?: string;
  /** Drills that would have helped and may not be used, most useful first. */
  readonly leftOut: readonly LeftOutSaid[];
  /** Why there is no plan, with the smallest change that helps; absent when there is one. */
  readonly refusal?: string;
}

export interface ProposeOptions {
  readonly seconds: number;
  /** Relative gap at which a plan is good enough. */
  readonly gap: number;
  /** Makes ids; passed in because core has no randomness of its own. */
  readonly newId: () => string;
  /** Told how far the search is. */
  readonly onProgress?: (progress: SearchProgress) => void;
}

/** How far a search is; `plan` when a better one was found, so that stopping leaves the best. */
export interface SearchProgress {
  readonly seconds: number;
  readonly objective?: number;
  readonly bound?: number;
  readonly plan?: PlanProposal;
}

const MOST_LEFT_OUT = 8;

/**
 * Proposes a block of weeks: the mixed-integer programme of docs/planner.md, solved, written out and explained.
 *
 * @param input what the weeks must obey and serve
 * @param solve a solver, in this thread or in a worker
 * @returns sessions with their reasons, or a refusal that names the smallest change
 * @throws Refusal `ladder-unknown`, `drill-unknown`
 * @example (await proposePlan({ brief: { …, days: [] }, … }, solve, options)).refusal // 'No training day is chosen. Choose at least one.'
 */
export async function proposePlan(input: BlockInput, solve: Solve, options: ProposeOptions): Promise<PlanProposal> {
  const refuse = (refusal: PlanRefusal): PlanProposal => ({
    sessions: [],
    served: [],
    notes: [],
    leftOut: [],
    refusal: refusalInWords(refusal, input.library),
  });
  const early = refusalBefore(input);
  if (early) return refuse(early);
  const task = blockTask(input);
  const impossible = refusalOf(task);
  if (impossible) return refuse(impossible);
  const block = blockProgram(task);
  const { onProgress } = options;
  let seen: Pick<SearchProgress, 'objective' | 'bound'> = {};
  const solution = await solve(block.program, { seconds: options.seconds, gap: options.gap }, ({ values, seconds, ...found }) => {
    seen = { ...seen, ...found };
    const plan = values && written(task, block, { values, seconds, ...seen }, options);
    // A solver's first answer may be to do nothing: true, and no plan.
    onProgress?.({ seconds, ...seen, ...(plan && plan.sessions.length > 0 ? { plan } : {}) });
  });
  if (solution.status === 'infeasible') return refuse(await smallestChanges(task, block.program, solve));
  const { values } = solution;
  const outOfTime: PlanRefusal = { code: 'out of time', seconds: solution.seconds };
  if (!values) return refuse(outOfTime);
  const binding = await bindingRules(block.program, solve, growthOf(input.brief, input.cautions));
  const plan = written(task, block, { ...solution, values }, options, binding);
  return plan.sessions.length === 0 && solution.status === 'limit' ? refuse(outOfTime) : plan;
}

/** An answer of the solver written out as sessions, with what explains it. */
function written(
  task: BlockTask,
  block: BlockProgram,
  answer: { readonly values: ArrayLike<number>; readonly seconds: number; readonly objective?: number; readonly bound?: number },
  { gap: wantedGap, newId }: ProposeOptions,
  binding: readonly BindingRule[] = [],
): PlanProposal {
  const { input } = task;
  const chosen = chosenSessions(task, block, answer.values);
  const reasons = reasonsFor(task, chosen);
  const sessions = writtenSessions(task, chosen, {
    newId,
    reasons: (item, session) => {
      const { because, without } = reasons(item, session);
      return { why: becauseInWords(because), ...(without.length > 0 ? { without: withoutInWords(without) } : {}) };
    },
  });
  const { objective, served } = scoreOf(task, [...sessions, ...input.kept]);
  const found = answer.objective ?? objective;
  const bound = Math.max(answer.bound ?? Number.POSITIVE_INFINITY, found);
  const missed = unserved(task, chosen);
  const foremost = missed[0] ?? binding[0];
  const gap = (bound - found) / Math.max(1e-9, Math.abs(found));
  const notes: readonly PlanNote[] = [
    ...(input.stopped ? [{ code: 'stopped', sign: input.stopped } as const] : []),
    ...task.notes,
    ...workedAround({ allowed: task.allowed, leftOut: task.leftOut, cautions: input.cautions, library: input.library }),
    ...heldBack(input.foothold.shown, input.library),
    ...dayNotes(task, chosen),
    ...spareNotes(task, chosen, served),
    ...binding,
    ...missed,
  ];
  return {
    sessions,
    served,
    solved: { objective: found, bound, gap, seconds: answer.seconds, status: gap <= wantedGap + 1e-9 ? 'good enough' : 'best found' },
    notes: notes.map((note) => noteInWords(note, input.library)),
    ...(foremost === undefined ? {} : { foremost: noteInWords(foremost, input.library) }),
    leftOut: usefulLeftOut(task.leftOut, input, task.needs),
  };
}

function usefulLeftOut(leftOut: readonly LeftOut[], { library }: BlockInput, needs: Parameters<typeof worth>[1]): readonly LeftOutSaid[] {
  return leftOut
    .map((entry) => ({ ...entry, drill: library.drill(entry.drillId) }))
    .filter(({ drill }) => !drill.rung && worth(drill, needs, []) > 0 && mainNeed(drill, needs))
    .sort((a, b) => worth(b.drill, needs, []) - worth(a.drill, needs, []))
    .slice(0, MOST_LEFT_OUT)
    .map(({ drillId, because }) => ({ drillId, why: leftOutInWords(because, library) }));
}
