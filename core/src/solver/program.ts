/**
 * A mixed-integer linear programme: maximise `cost · x` over `lower ≤ x ≤ upper`, with every row
 * `lower ≤ values · x[indices] ≤ upper`. Plain data, so that it can be handed to a worker.
 */
export interface Program {
  readonly cost: readonly number[];
  readonly lower: readonly number[];
  readonly upper: readonly number[];
  readonly integer: readonly boolean[];
  /** Whole variables of one stage are settled together, stage after stage, when a first answer is looked for. */
  readonly stage: readonly number[];
  /** Inside a stage these are settled first: the large choices that the others hang on. */
  readonly lead: readonly boolean[];
  readonly rows: readonly Row[];
}

export interface Row {
  /** The rule it stands for, so that one rule can be lifted or bent at a time. */
  readonly rule: string;
  /** What of it is concerned: a day, a drill, a joint. */
  readonly about?: string;
  readonly indices: readonly number[];
  readonly values: readonly number[];
  readonly lower: number;
  readonly upper: number;
}

/** A sum of variables: pairs of a variable's index and its factor. */
export type Terms = readonly (readonly [variable: number, factor: number])[];

/** Puts a programme together, variable by variable and row by row. */
export function programBuilder() {
  const cost: number[] = [];
  const lower: number[] = [];
  const upper: number[] = [];
  const integer: boolean[] = [];
  const stage: number[] = [];
  const lead: boolean[] = [];
  const rows: Row[] = [];

  function variable(kind: {
    readonly worth?: number;
    readonly lower?: number;
    readonly upper?: number;
    readonly integer?: boolean;
    readonly stage?: number;
    readonly lead?: boolean;
  }): number {
    stage.push(kind.stage ?? 0);
    lead.push(kind.lead ?? false);
    cost.push(kind.worth ?? 0);
    lower.push(kind.lower ?? 0);
    upper.push(kind.upper ?? Number.POSITIVE_INFINITY);
    integer.push(kind.integer ?? false);
    return cost.length - 1;
  }

  /** Terms of the same variable are added up; a row without any is left out. */
  function row(rule: string, terms: Terms, bounds: { readonly least?: number; readonly most?: number; readonly about?: string }): void {
    const sums = new Map<number, number>();
    for (const [index, factor] of terms) if (factor !== 0) sums.set(index, (sums.get(index) ?? 0) + factor);
    const { least = Number.NEGATIVE_INFINITY, most = Number.POSITIVE_INFINITY } = bounds;
    if (sums.size === 0 && least <= 0 && most >= 0) return;
    rows.push({
      rule,
      ...(bounds.about === undefined ? {} : { about: bounds.about }),
      indices: [...sums.keys()],
      values: [...sums.values()],
      lower: least,
      upper: most,
    });
  }

  return {
    variable,
    /** A variable that is 0 or 1. */
    choice: (stage: number, worth = 0) => variable({ worth, upper: 1, integer: true, stage }),
    row,
    build: (): Program => ({ cost, lower, upper, integer, stage, lead, rows }),
  };
}

/** The programme without the rows of one rule. */
export function without(program: Program, rule: string): Program {
  return { ...program, rows: program.rows.filter((r) => r.rule !== rule) };
}

/**
 * The programme that asks how little must give for there to be an answer at all: rows of the rules
 * named may be broken, each at its price for one unit. Everything that was worth something is forgotten.
 *
 * @param prices what one unit of breaking a rule costs
 * @returns the programme, and for each variable that measures a breach the index of its row
 */
export function bent(
  program: Program,
  prices: Readonly<Record<string, number>>,
): { readonly program: Program; readonly breaches: readonly { readonly variable: number; readonly row: number }[] } {
  const cost = program.cost.map(() => 0);
  const lower = [...program.lower];
  const upper = [...program.upper];
  const integer = [...program.integer];
  const breaches: { variable: number; row: number }[] = [];
  const slack = (row: number, price: number) => {
    cost.push(-price);
    lower.push(0);
    upper.push(Number.POSITIVE_INFINITY);
    integer.push(false);
    breaches.push({ variable: cost.length - 1, row });
    return cost.length - 1;
  };
  const rows = program.rows.map((r, i): Row => {
    const price = prices[r.rule];
    if (price === undefined) return r;
    const extra: [number, number][] = [];
    if (Number.isFinite(r.lower)) extra.push([slack(i, price), 1]);
    if (Number.isFinite(r.upper)) extra.push([slack(i, price), -1]);
    return { ...r, indices: [...r.indices, ...extra.map(([v]) => v)], values: [...r.values, ...extra.map(([, f]) => f)] };
  });
  return { program: { cost, lower, upper, integer, stage: program.stage, lead: program.lead, rows }, breaches };
}
