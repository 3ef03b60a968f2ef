import type { Highs } from 'highs';
import { solveByHighs } from './highs.ts';
import type { Program, Row } from './program.ts';
import type { Solution, SolveOptions, SolveProgress } from './solve.ts';

/** How the work is shared out, in checkpoints: a quick answer stage by stage, each stage again beside the others, the whole for a bound, pairs, the whole. */
const FIRST = { checkpoints: 16, gap: 0.02 } as const;
/** Where that was too little for any answer, this many times more. */
const PATIENCE = 10;
const AGAIN = { checkpoints: 40, gap: 0.002 } as const;
const PAIR = { checkpoints: 40, gap: 0.002 } as const;
/** Of a programme of so many variables; of a smaller one more, since each takes less. */
const WHOLE = { checkpoints: 16, variables: 2000 } as const;
/** The lead choices are settled this exactly. */
const LEAD_GAP = 0.001;
/** What a search of so many seconds may do is written above; of more seconds it may do more. */
const USUAL_SECONDS = 5;
/** Real seconds are a stop only: a machine this many times slower, or busier, still comes to the same end. */
const STOP_AFTER = 12;

/**
 * Solves a large programme of loosely coupled stages by HiGHS: first stage after stage, then each stage again beside the others as
 * they are, at last the whole from there, which also gives the bound. The answer is the same kind as that of `solveByHighs`. How much is
 * done is counted in checkpoints and not in seconds, so that twenty runs on a busy machine give one answer; `seconds` says how much a
 * usual machine does in that time, and twelve times as many stop it.
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
  const stop = options.seconds * STOP_AFTER;
  const left = () => stop - passed();
  const more = options.seconds / USUAL_SECONDS;
  const relaxed = solveByHighs(highs, program, { gap: options.gap, seconds: stop, relaxed: true });
  if (relaxed.status === 'infeasible') return relaxed;
  const ceiling = relaxed.objective ?? Number.POSITIVE_INFINITY;
  const values = options.start ? Float64Array.from(options.start) : firstAnswer(highs, program, stages, { left, prices: relaxed.prices });
  if (!values) return solveByHighs(highs, program, { ...options, seconds: Math.max(0.1, left()) }, onProgress);
  report(values);
  onProgress({ seconds: passed(), objective: worthOf(values), bound: ceiling });
  const improve = (groups: readonly (readonly number[])[], { checkpoints, gap }: typeof AGAIN | typeof PAIR) => {
    for (const group of groups) {
      if (left() <= 0) return;
      const limit = { gap, seconds: left(), checkpoints: Math.ceil(checkpoints * more) };
      if (settle(highs, partOf(program, group, values, 'all'), values, limit)) report(values);
    }
  };
  /** The whole from here; it takes the better answer over. */
  const whole = (): Solution => {
    const before = passed();
    const checkpoints = Math.ceil((WHOLE.checkpoints * more * WHOLE.variables) / program.cost.length);
    const found = solveByHighs(highs, program, { ...options, seconds: Math.max(0.1, left()), checkpoints, start: values }, (p) => {
      onProgress({ ...p, seconds: p.seconds + before });
    });
    if (found.values && worthOf(found.values) > worthOf(values)) values.set(found.values);
    return { ...found, seconds: passed() };
  };
  improve(
    stages.map((s) => [s]),
    AGAIN,
  );
  const look = whole();
  if (look.status !== 'limit') return look;
  improve(
    stages.slice(1).map((s, i) => [stages[i] ?? s, s]),
    PAIR,
  );
  const last = whole();
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
    const within = (checkpoints: number) =>
      settle(highs, part, values, { gap: FIRST.gap, checkpoints, seconds: Math.max(0.1, left()) }, true);
    if (!within(FIRST.checkpoints) && !within(FIRST.checkpoints * PATIENCE)) return undefined;
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
  limit: { readonly seconds: number; readonly gap: number; readonly checkpoints: number },
  first = false,
): boolean {
  const leads = solveByHighs(
    highs,
    { ...program, integer: program.integer.map((whole, i) => whole && program.lead[i] === true) },
    { ...limit, gap: LEAD_GAP },
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
