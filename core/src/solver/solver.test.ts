import fc from 'fast-check';
import loadGlpk from 'glpk.js/node';
import loadHighs, { type Highs } from 'highs';
import seedrandom from 'seedrandom';
import { beforeAll, describe, expect, it } from 'vitest';
import { forGlpk } from './forGlpk.ts';
import { bent, type Program, programBuilder, type Row, solveByHighs, solveStaged, without } from './index.ts';

let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

const EXACT = { seconds: 10, gap: 0 } as const;

/** Small programmes of whole numbers from 0 to 3, with some rows of at most and at least. */
const anyProgram = fc
  .record({
    cost: fc.array(fc.integer({ min: -5, max: 9 }), { minLength: 2, maxLength: 6 }),
    rows: fc.array(
      fc.record({
        factors: fc.array(fc.integer({ min: -3, max: 6 }), { minLength: 6, maxLength: 6 }),
        most: fc.integer({ min: 0, max: 20 }),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    floor: fc.integer({ min: 0, max: 3 }),
  })
  .map(({ cost, rows, floor }): Program => {
    const b = programBuilder();
    cost.forEach((worth, i) => b.variable({ worth, upper: 3, integer: true, stage: i % 2 }));
    const terms = (factors: readonly number[]) => cost.map((_, i) => [i, factors[i] ?? 0] as const);
    for (const { factors, most } of rows) b.row('most', terms(factors), { most });
    b.row(
      'floor',
      cost.map((_, i) => [i, 1] as const),
      { least: floor },
    );
    return b.build();
  });

function bruteForce({ cost, upper, rows }: Program): number | undefined {
  let best: number | undefined;
  const values = cost.map(() => 0);
  const keeps = ({ indices, values: factors, lower, upper: most }: Row) => {
    const sum = indices.reduce((s, v, k) => s + (values[v] ?? 0) * (factors[k] ?? 0), 0);
    return sum >= lower - 1e-9 && sum <= most + 1e-9;
  };
  const visit = (i: number): void => {
    if (i === cost.length) {
      if (!rows.every(keeps)) return;
      const worth = cost.reduce((s, c, k) => s + c * (values[k] ?? 0), 0);
      if (best === undefined || worth > best) best = worth;
      return;
    }
    for (let v = 0; v <= (upper[i] ?? 0); v++) {
      values[i] = v;
      visit(i + 1);
    }
    values[i] = 0;
  };
  visit(0);
  return best;
}

describe('a programme of whole numbers', () => {
  it('is solved to the same optimum as by trying everything (seeded)', () => {
    fc.assert(
      fc.property(anyProgram, (program) => {
        const { status, objective } = solveByHighs(highs, program, EXACT);
        const best = bruteForce(program);
        if (best === undefined) expect(status).toBe('infeasible');
        else expect(objective).toBeCloseTo(best, 6);
      }),
      { seed: 8, numRuns: 60 },
    );
  });

  it('is solved to the same optimum stage by stage (seeded)', () => {
    fc.assert(
      fc.property(anyProgram, (program) => {
        const whole = solveByHighs(highs, program, EXACT);
        const staged = solveStaged(highs, program, EXACT, () => performance.now());
        expect(staged.status).toBe(whole.status);
        if (whole.objective !== undefined) expect(staged.objective).toBeCloseTo(whole.objective, 6);
      }),
      { seed: 9, numRuns: 40 },
    );
  });

  it('is searched by what is done and not by the time that passes: on a machine four times slower the same task has the same answer', () => {
    // A knapsack of four loosely coupled weeks, too hard to be settled in the work that a short search may do.
    const random = seedrandom('busy');
    const b = programBuilder();
    for (let stage = 0; stage < 4; stage++) {
      const items = Array.from({ length: 40 }, () => ({
        variable: b.variable({ worth: 10 + 5 * random(), upper: 1, integer: true, stage }),
        weights: Array.from({ length: 4 }, () => 5 + 10 * random()),
      }));
      for (let row = 0; row < 4; row++)
        b.row(
          'most',
          items.map((i) => [i.variable, i.weights[row]!] as const),
          { most: 120 },
        );
    }
    const program = b.build();
    const slower = (times: number) => {
      const began = performance.now();
      return () => began + times * (performance.now() - began);
    };
    const of = (times: number) => Array.from(solveStaged(highs, program, { seconds: 0.5, gap: 0 }, slower(times)).values ?? []);
    const plain = of(1);
    expect(plain.length).toBe(160);
    expect(of(4)).toEqual(plain);
  });

  it('has a relaxed bound that no answer passes', () => {
    fc.assert(
      fc.property(anyProgram, (program) => {
        const { objective } = solveByHighs(highs, program, EXACT);
        const relaxed = solveByHighs(highs, program, { ...EXACT, relaxed: true });
        if (objective !== undefined) expect(relaxed.objective ?? 0).toBeGreaterThanOrEqual(objective - 1e-6);
      }),
      { seed: 10, numRuns: 20 },
    );
  });
});

describe('rules', () => {
  const impossible = () => {
    const b = programBuilder();
    const x = b.variable({ worth: 1, upper: 10, integer: true });
    b.row('most', [[x, 1]], { most: 4, about: 'Monday' });
    b.row('least', [[x, 1]], { least: 6 });
    return b.build();
  };

  it('that contradict each other have no answer, and lifting one gives it', () => {
    expect(solveByHighs(highs, impossible(), EXACT).status).toBe('infeasible');
    expect(solveByHighs(highs, without(impossible(), 'most'), EXACT).objective).toBeCloseTo(10, 6);
  });

  it('are bent as little as can be, the cheapest first', () => {
    const { program, breaches } = bent(impossible(), { most: 1, least: 5 });
    const { values } = solveByHighs(highs, program, EXACT);
    const broken = breaches.filter(({ variable }) => (values?.[variable] ?? 0) > 1e-6);
    expect(broken.map(({ row, variable }) => [program.rows[row]?.about, values?.[variable]])).toEqual([['Monday', 2]]);
  });

  it('leave out what adds up to nothing, and add the same variable up', () => {
    const b = programBuilder();
    const x = b.variable({ upper: 1 });
    b.row('empty', [[x, 0]], { most: 3 });
    b.row(
      'twice',
      [
        [x, 1],
        [x, 2],
      ],
      { most: 3 },
    );
    expect(b.build().rows).toEqual([{ rule: 'twice', indices: [x], values: [3], lower: Number.NEGATIVE_INFINITY, upper: 3 }]);
  });
});

describe('a second solver', () => {
  it('agrees on small programmes (GLPK)', async () => {
    const glpk = await loadGlpk();
    for (const program of fc.sample(anyProgram, { seed: 11, numRuns: 10 })) {
      const { objective, status } = solveByHighs(highs, program, EXACT);
      const other = await glpk.solve(forGlpk(glpk, program), { msglev: glpk.GLP_MSG_OFF, presol: true });
      if (status === 'infeasible') expect([glpk.GLP_OPT, glpk.GLP_FEAS]).not.toContain(other.result.status);
      else expect(other.result.z).toBeCloseTo(objective ?? Number.NaN, 6);
    }
  });
});
