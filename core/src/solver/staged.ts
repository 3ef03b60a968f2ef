import type { Highs } from 'highs';
import { solveByHighs } from './highs.ts';
import type { Program, Row } from './program.ts';
import type { Solution, SolveOptions, SolveProgress } from './solve.ts';

/** How the time is shared out: a quick answer stage by stage, each stage again beside the others, the whole for a bound, pairs, the whole. */
const FIRST = { seconds: 0.2, gap: 0.02 } as const;
/** On a slow machine the quick answer may take this many times longer. */
const PATIENCE = 10;
const AGAIN = { seconds: 0.5, gap: 0.002 } as const;
const PAIR = { seconds: 1, gap: 0.002 } as const;
/** Shares of the time by which single stages, the first look at the whole, and the pairs are done. */
const SINGLES_UNTIL = 0.45;
const LOOK_UNTIL = 0.6;
const PAIRS_UNTIL = 0.9;
/** While there is no answer worth anything, the search may go on for this many times its time: a late plan is better than none. */
const FOR_A_FIRST = 5;
/** The lead choices are settled this exactly. */
const LEAD_GAP = 0.001;

/**
 * Solves a large programme of loosely coupled stages by HiGHS: first stage after stage, then each stage again beside the others as
 * they are, at last the whole from there, which also gives the bound. The answer is the same kind as that of `solveByHighs`. On a machine
 * too slow to find any answer in time it goes on for one, up to five times as long.
 *
 * @param clock milliseconds of a clock that never goes back: core has none of its own
 * @throws Error when the solver itself fails
 */
export function solveStaged(
  highs: Highs,
  program: Program,
  options: SolveOptions,
  clock: () => number,
  onProgress: (progress: SolveProgress) => void = () => undefined,
): Solution {
  const stages = [...new Set(program.stage)].sort((a, b) => a - b);
  if (options.relaxed) return solveByHighs(highs, program, options, onProgress);
  const began = clock();
  const passed = () => (clock() - began) / 1000;
  const worthOf = (values: Float64Array) => program.cost.reduce((sum, c, i) => sum + c * (values[i] ?? 0), 0);
  const report = (values: Float64Array) => {
    onProgress({ seconds: passed(), objective: worthOf(values), values: values.slice() });
  };
  // Whole numbers forgotten, the programme gives a bound at once, and what each row is worth.
  const relaxed = solveByHighs(highs, program, { ...options, relaxed: true });
  if (relaxed.status === 'infeasible') return relaxed;
  const ceiling = relaxed.objective ?? Number.POSITIVE_INFINITY;
  const values = options.start
    ? Float64Array.from(options.start)
    : firstAnswer(highs, program, stages, { left: () => options.seconds * FOR_A_FIRST - passed(), prices: relaxed.prices });
  if (!values)
    return solveByHighs(highs, program, { ...options, seconds: Math.max(0.1, options.seconds * FOR_A_FIRST - passed()) }, onProgress);
  const allowed = () => options.seconds * (worthOf(values) > 0 ? 1 : FOR_A_FIRST);
  report(values);
  onProgress({ seconds: passed(), objective: worthOf(values), bound: ceiling });
  const improve = (groups: readonly (readonly number[])[], { seconds, gap }: typeof AGAIN | typeof PAIR, until: number) => {
    for (const group of groups) {
      const left = allowed() * until - passed();
      if (left <= 0) return;
      if (settle(highs, partOf(program, group, values, 'all'), values, { gap, seconds: Math.min(seconds, left) })) report(values);
    }
  };
  /** The whole from here, for so long; it takes the better answer over. */
  const whole = (until: number): Solution => {
    const before = passed();
    const seconds = Math.max(0.1, allowed() * until - before);
    const found = solveByHighs(highs, program, { ...options, seconds, start: values }, (p) => {
      onProgress({ ...p, seconds: p.seconds + before });
    });
    if (found.values && worthOf(found.values) > worthOf(values)) values.set(found.values);
    return { ...found, seconds: passed() };
  };
  improve(
    stages.map((s) => [s]),
    AGAIN,
    SINGLES_UNTIL,
  );
  const look = whole(LOOK_UNTIL);
  if (look.status !== 'limit') return look;
  improve(
    stages.slice(1).map((s, i) => [stages[i] ?? s, s]),
    PAIR,
    PAIRS_UNTIL,
  );
  const last = whole(1);
  const bound = Math.min(ceiling, ...[last.bound, look.bound].flatMap((b) => b ?? []));
  const objective = worthOf(values);
  return { ...last, values, objective, bound, gap: (bound - objective) / Math.max(1e-9, Math.abs(objective)) };
}

/**
 * Settles stage after stage. Rows that a later stage has a part in do not bind yet; what they would pay for at the prices of the
 * relaxed programme is added to the worth of a stage, so that it does not live at the cost of those to come.
 */
function firstAnswer(
  highs: Highs,
  program: Program,
  stages: readonly number[],
  { left, prices }: { readonly left: () => number; readonly prices: Float64Array | undefined },
): Float64Array | undefined {
  const values = new Float64Array(program.cost.length);
  for (const stage of stages) {
    const cost = [...program.cost];
    program.rows.forEach(({ indices, values: factors }, row) => {
      const price = prices?.[row] ?? 0;
      if (price === 0 || indices.every((i) => (program.stage[i] ?? 0) <= stage)) return;
      for (const [k, i] of indices.entries()) cost[i] = (cost[i] ?? 0) - price * (factors[k] ?? 0);
    });
    const part = partOf({ ...program, cost }, [stage], values, 'up to here');
    const within = (limit: number) => settle(highs, part, values, { ...FIRST, seconds: Math.max(0, Math.min(limit, left())) }, true);
    if (!within(FIRST.seconds) && !within(FIRST.seconds * PATIENCE)) return undefined;
  }
  return values;
}

/** The variables of some stages, with what the others have already settled moved to the other side of the rows. */
interface Part {
  readonly program: Program;
  /** Index in the whole of each of its variables. */
  readonly indices: readonly number[];
}

function partOf(program: Program, group: readonly number[], values: Float64Array, rows: 'up to here' | 'all'): Part {
  const indices = program.stage.flatMap((s, i) => (group.includes(s) ? [i] : []));
  const place = new Map(indices.map((index, i) => [index, i]));
  const pick = <T>(list: readonly T[]): T[] => indices.map((i) => list[i] as T);
  const part = program.rows.flatMap((row): Row[] => {
    const free = row.indices.flatMap((index, k) => {
      const at = place.get(index);
      return at === undefined ? [] : [[at, row.values[k] ?? 0] as const];
    });
    const later = rows === 'up to here' && row.indices.some((i) => (program.stage[i] ?? 0) > Math.max(...group));
    if (free.length === 0 || later) return [];
    const settled = row.indices.reduce((sum, i, k) => sum + (place.has(i) ? 0 : (row.values[k] ?? 0) * (values[i] ?? 0)), 0);
    return [
      {
        rule: row.rule,
        indices: free.map(([i]) => i),
        values: free.map(([, v]) => v),
        lower: row.lower - settled,
        upper: row.upper - settled,
      },
    ];
  });
  const { cost, lower, upper, integer, lead } = program;
  return {
    indices,
    program: {
      cost: pick(cost),
      lower: pick(lower),
      upper: pick(upper),
      integer: pick(integer),
      stage: pick(program.stage),
      lead: pick(lead),
      rows: part,
    },
  };
}

/** Settles some stages: its lead choices with the rest relaxed, then the rest. Writes it into the values when it is an answer, and a better one. */
function settle(
  highs: Highs,
  { program, indices }: Part,
  values: Float64Array,
  limit: { readonly seconds: number; readonly gap: number },
  first = false,
): boolean {
  const leads = solveByHighs(
    highs,
    { ...program, integer: program.integer.map((whole, i) => whole && program.lead[i] === true) },
    { seconds: limit.seconds, gap: LEAD_GAP },
  );
  const led = leads.values;
  if (!led) return false;
  const fixed = (bounds: readonly number[]) => bounds.map((b, i) => (program.lead[i] ? Math.round(led[i] ?? 0) : b));
  const found = solveByHighs(highs, { ...program, lower: fixed(program.lower), upper: fixed(program.upper) }, limit);
  const now = indices.reduce((sum, index, i) => sum + (program.cost[i] ?? 0) * (values[index] ?? 0), 0);
  if (!found.values || (!first && (found.objective ?? 0) <= now)) return false;
  for (const [i, index] of indices.entries()) values[index] = found.values[i] ?? 0;
  return true;
}
