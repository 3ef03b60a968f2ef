import type { Highs, ModelData } from 'highs';
import type { Program } from './program.ts';
import type { Solution, SolveOptions, SolveProgress } from './solve.ts';

/** How many improvements of the answer are reported a second at most. */
const REPORTS_PER_SECOND = 4;

/**
 * Solves a programme by HiGHS in this thread.
 *
 * @param highs a loaded solver
 * @param onProgress is told bounds and better answers while it runs
 * @throws Error when the solver itself fails
 * @example solveByHighs(await loadHighs(), program, { seconds: 5, gap: 0.01 }).objective
 */
export function solveByHighs(
  highs: Highs,
  program: Program,
  options: SolveOptions,
  onProgress: (progress: SolveProgress) => void = () => undefined,
): Solution {
  const { mipInterrupt, mipImprovingSolution } = highs.constants.callbackType;
  const whole = !options.relaxed && program.integer.some(Boolean);
  return highs.withModel(modelData(highs, program, whole), (model): Solution => {
    model.options.set({ output_flag: false, time_limit: options.seconds, mip_rel_gap: options.gap, random_seed: 1 });
    if (whole && options.start) model.setSolution({ colValue: Float64Array.from(options.start) });
    let reported = Number.NEGATIVE_INFINITY;
    let passed = 0;
    model.run({
      [mipImprovingSolution]({ data }) {
        if (data.mip_solution) onProgress({ ...bounds(data), seconds: data.running_time ?? 0, values: data.mip_solution });
        return undefined;
      },
      [mipInterrupt](event) {
        const { data } = event;
        passed++;
        if (passed >= (options.checkpoints ?? Infinity)) event.interrupt();
        const seconds = data.running_time ?? 0;
        if (seconds - reported < 1 / REPORTS_PER_SECOND) return undefined;
        reported = seconds;
        onProgress({ ...bounds(data), seconds });
        return undefined;
      },
    });
    const status = statusOf(highs, model.getModelStatus());
    const seconds = model.getRunTime();
    if (Number(model.info.get('primal_solution_status')) !== FEASIBLE) return { status, seconds };
    const { colValue: values, rowDual } = model.getSolution();
    const objective = program.cost.reduce((sum, c, i) => sum + c * (values[i] ?? 0), 0);
    const found = whole ? Number(model.info.get('mip_dual_bound')) : objective;
    const bound = Number.isFinite(found) && Math.abs(found) < UNKNOWN_FROM ? Math.max(found, objective) : undefined;
    return {
      status,
      seconds,
      values,
      objective,
      ...(whole ? {} : { prices: rowDual }),
      ...(bound === undefined ? {} : { bound, gap: (bound - objective) / Math.max(1e-9, Math.abs(objective)) }),
    };
  });
}

/** From this size on a bound means that none is known. */
const UNKNOWN_FROM = 1e15;
/** The solver's own code for an answer that keeps every row. */
const FEASIBLE = 2;

function bounds(data: {
  readonly mip_primal_bound?: number;
  readonly mip_dual_bound?: number;
}): Pick<SolveProgress, 'objective' | 'bound'> {
  const known = (value: number | undefined) => value !== undefined && Math.abs(value) < UNKNOWN_FROM;
  return {
    ...(known(data.mip_primal_bound) ? { objective: data.mip_primal_bound } : {}),
    ...(known(data.mip_dual_bound) ? { bound: data.mip_dual_bound } : {}),
  };
}

function modelData(highs: Highs, { cost, lower, upper, integer, rows }: Program, whole: boolean): ModelData {
  const starts = [0];
  for (const { indices } of rows) starts.push((starts.at(-1) ?? 0) + indices.length);
  return {
    numCols: cost.length,
    numRows: rows.length,
    sense: highs.constants.objectiveSense.maximize,
    colCost: cost,
    colLower: lower,
    colUpper: upper,
    rowLower: rows.map((r) => r.lower),
    rowUpper: rows.map((r) => r.upper),
    matrix: {
      format: 'csr',
      numRows: rows.length,
      numCols: cost.length,
      starts,
      indices: rows.flatMap((r) => r.indices),
      values: rows.flatMap((r) => r.values),
    },
    ...(whole ? { integrality: Int32Array.from(integer, Number) } : {}),
  };
}

function statusOf(highs: Highs, status: number): Solution['status'] {
  const { modelStatus } = highs.constants;
  if (status === modelStatus.optimal) return 'optimal';
  if (status === modelStatus.infeasible) return 'infeasible';
  if (status === modelStatus.timeLimit || status === modelStatus.interrupted || status === modelStatus.solutionLimit) return 'limit';
  throw new Error(`The solver ended with status ${status}.`);
}
