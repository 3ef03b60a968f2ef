import type { GLPK, LP } from 'glpk.js/node';
import type { Program } from './program.ts';

/** A programme as the second solver takes it: what tests and measurements hold the first one against. */
export function forGlpk(glpk: GLPK, { cost, lower, upper, integer, rows }: Program): LP {
  const bound = (least: number, most: number) =>
    least === most
      ? { type: glpk.GLP_FX, lb: least, ub: most }
      : Number.isFinite(least) && Number.isFinite(most)
        ? { type: glpk.GLP_DB, lb: least, ub: most }
        : Number.isFinite(most)
          ? { type: glpk.GLP_UP, lb: 0, ub: most }
          : { type: glpk.GLP_LO, lb: least, ub: 0 };
  return {
    name: 'programme',
    objective: { direction: glpk.GLP_MAX, name: 'worth', vars: cost.map((coef, i) => ({ name: `x${i}`, coef })) },
    subjectTo: rows.map((row, k) => ({
      name: `r${k}`,
      vars: row.indices.map((v, i) => ({ name: `x${v}`, coef: row.values[i] ?? 0 })),
      bnds: bound(row.lower, row.upper),
    })),
    bounds: cost.map((_, i) => ({ name: `x${i}`, ...bound(lower[i] ?? 0, upper[i] ?? Number.POSITIVE_INFINITY) })),
    generals: integer.flatMap((whole, i) => (whole ? [`x${i}`] : [])),
  };
}
