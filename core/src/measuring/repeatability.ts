import { Refusal } from '../errors.ts';
import { fQuantile, normalQuantile } from '../statistics/index.ts';

/** A coefficient, 1 at best, with its 95 % confidence interval. Below 0: bodies differ less than their own readings. */
export interface Coefficient {
  readonly value: number;
  /** Absent where nothing scattered at all: then nothing tells how far it may be off. */
  readonly interval?: { readonly low: number; readonly high: number };
}

/** How far two readings of the same body lie apart: 95 % of differences, second minus first, lie between. */
export interface Agreement {
  /** Mean difference. */
  readonly bias: number;
  readonly low: number;
  readonly high: number;
}

/** What repeated measuring of the same bodies says about the figures. In the measure's unit where there is one. */
export interface Repeatability {
  /** Bodies (or sides) measured. */
  readonly targets: number;
  /** Occasions or testers, the same for every target. */
  readonly occasions: number;
  /** Trials averaged on each occasion. */
  readonly trials: number;
  /** Agreement: two-way random, single occasion; a difference between the testers counts against it. */
  readonly icc21: Coefficient;
  /** Consistency: two-way mixed, single occasion; a constant difference between the testers does not count. */
  readonly icc31: Coefficient;
  /** Standard error of measurement of one occasion, differences between occasions included. */
  readonly sem: number;
  /** Minimal detectable change, 95 %: 1.96·√2·SEM. */
  readonly mdc95: number;
  /** Mean of each occasion. */
  readonly means: readonly number[];
  /** Limits of agreement of two occasions: mean ± 1.96·SD of the differences (Bland & Altman 1986, from memory). */
  readonly agreement?: Agreement;
  /** (targets − 1)·(occasions − 1): what the error rests on. */
  readonly degreesOfFreedom: number;
}

const TWO_SIDED = 0.975;
const FEWEST_TARGETS = 3;

/**
 * Repeatability from a two-way analysis of variance: ICC(2,1), ICC(3,1) with their confidence
 * intervals, SEM and MDC95.
 *
 * With the mean squares of targets B, occasions J and error E, for n targets and k occasions:
 * ICC(3,1) = (B − E)/(B + (k−1)E); ICC(2,1) = (B − E)/(B + (k−1)E + k(J − E)/n) (Shrout & Fleiss
 * 1979; intervals McGraw & Wong 1996; both from memory). SEM² = E + (J − E)/n, never below E.
 *
 * @param trialsByOccasion for each target its occasions, for each occasion its trials; the trials of
 *   an occasion are averaged
 * @throws Refusal `repeatability-too-small` under three targets or two occasions, or where one is missing
 * @example repeatability(shroutAndFleiss).icc21.value // 0.29
 */
export function repeatability(trialsByOccasion: readonly (readonly (readonly number[])[])[]): Repeatability {
  const n = trialsByOccasion.length;
  const k = trialsByOccasion[0]?.length ?? 0;
  if (n < FEWEST_TARGETS || k < 2)
    throw new Refusal('repeatability-too-small', `${n} measured ${k} ${k === 1 ? 'time' : 'times'}: at least 3, each twice, are needed.`);
  if (trialsByOccasion.some((o) => o.length !== k || o.some((trials) => trials.length === 0)))
    throw new Refusal('repeatability-too-small', 'Everybody must be measured equally often; a reading is missing.');
  const table = trialsByOccasion.map((occasions) => occasions.map(mean));
  const means = Array.from({ length: k }, (_, j) => mean(table.map((row) => row[j] ?? 0)));
  const { between: B, occasions: J, error: E } = meanSquares(table, means);
  const df = (n - 1) * (k - 1);
  const agreement = B + (k - 1) * E + (k * (J - E)) / n;
  const sem = Math.sqrt(E + Math.max(0, (J - E) / n));
  return {
    targets: n,
    occasions: k,
    trials: mean(trialsByOccasion.flatMap((o) => o.map((t) => t.length))),
    icc21: agreementInterval(ratio(B - E, agreement), { B, J, E, n, k }),
    icc31: consistencyInterval(ratio(B - E, B + (k - 1) * E), { B, E, n, k }),
    sem,
    mdc95: normalQuantile(TWO_SIDED) * Math.SQRT2 * sem,
    means,
    ...(k === 2 ? { agreement: agreementOf(table.map(([first = 0, second = 0]) => second - first)) } : {}),
    degreesOfFreedom: df,
  };
}

function agreementOf(differences: readonly number[]): Agreement {
  const bias = mean(differences);
  const sd = Math.sqrt(differences.reduce((sum, d) => sum + (d - bias) ** 2, 0) / (differences.length - 1));
  const reach = normalQuantile(TWO_SIDED) * sd;
  return { bias, low: bias - reach, high: bias + reach };
}

/**
 * A coefficient in words, by the usual steps of 0.5, 0.75 and 0.9 (Koo & Li 2016, from memory).
 *
 * @example reliabilityInWords(0.93) // 'excellent'
 */
export function reliabilityInWords(coefficient: number): 'poor' | 'moderate' | 'good' | 'excellent' {
  if (coefficient < 0.5) return 'poor';
  if (coefficient < 0.75) return 'moderate';
  return coefficient < 0.9 ? 'good' : 'excellent';
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, v) => sum + v, 0) / values.length;
}

/** Bodies that do not differ at all tell nothing: 0. */
function ratio(above: number, below: number): number {
  return below > 0 ? above / below : 0;
}

function meanSquares(table: readonly (readonly number[])[], columnMeans: readonly number[]) {
  const [n, k] = [table.length, columnMeans.length];
  const grand = mean(columnMeans);
  const square = (sum: number, v: number) => sum + (v - grand) ** 2;
  const rows = k * table.map(mean).reduce(square, 0);
  const columns = n * columnMeans.reduce(square, 0);
  const total = table.flat().reduce(square, 0);
  const rest = Math.max(0, total - rows - columns);
  return { between: rows / (n - 1), occasions: columns / (k - 1), error: rest / ((n - 1) * (k - 1)) };
}

interface Squares {
  readonly B: number;
  readonly E: number;
  readonly n: number;
  readonly k: number;
}

function consistencyInterval(value: number, { B, E, n, k }: Squares): Coefficient {
  if (E === 0) return { value };
  const df = (n - 1) * (k - 1);
  const low = B / E / fQuantile(TWO_SIDED, n - 1, df);
  const high = (B / E) * fQuantile(TWO_SIDED, df, n - 1);
  return { value, interval: { low: (low - 1) / (low + k - 1), high: (high - 1) / (high + k - 1) } };
}

function agreementInterval(value: number, { B, J, E, n, k }: Squares & { readonly J: number }): Coefficient {
  if (E === 0 || value >= 1) return { value };
  const a = (k * value) / (n * (1 - value));
  const b = 1 + (k * value * (n - 1)) / (n * (1 - value));
  const v = (a * J + b * E) ** 2 / ((a * J) ** 2 / (k - 1) + (b * E) ** 2 / ((n - 1) * (k - 1)));
  const rest = k * J + (k * n - k - n) * E;
  const below = fQuantile(TWO_SIDED, n - 1, v);
  const above = fQuantile(TWO_SIDED, v, n - 1);
  return {
    value,
    interval: { low: (n * (B - below * E)) / (below * rest + n * B), high: (n * (above * B - E)) / (rest + n * above * B) },
  };
}
