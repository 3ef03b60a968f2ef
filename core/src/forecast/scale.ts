import { type Capacity, type Measure, realFrom } from '../measuring/index.ts';

/**
 * The scale on which a capacity is followed. A check whose error is a share of its figure grows by shares, so it is followed in
 * logarithms; all others in their own unit.
 */
export interface Scale {
  readonly kind: 'own unit' | 'logarithm';
  /** Figure → scale. */
  readonly of: (figure: number) => number;
  /** Scale → figure. */
  readonly back: (scaled: number) => number;
  /** Standard error of one occasion as the check's protocol asks for it: the yardstick of every prior. */
  readonly usualError: number;
  /** Standard error of a capacity, never finer than what reading it to the instrument's step leaves open. */
  readonly errorOf: (capacity: Pick<Capacity, 'value' | 'standardError'>) => number;
}

/** What a level leaves open to both sides: a uniform step's standard deviation is 0.29, and two people grade a little differently. */
const LEVEL_ERROR = 0.4;
/** z₀.₉₇₅·√2: a smallest real change is so many standard errors. */
const REAL_CHANGE = 1.959963984540054 * Math.SQRT2;

/**
 * @example scaleOf(library.measure('grip')).back(scaleOf(library.measure('grip')).of(40)) // 40
 */
export function scaleOf(measure: Measure): Scale {
  const { error, limits } = measure;
  if (error.kind === 'none') return linear(LEVEL_ERROR, () => LEVEL_ERROR);
  const usual = realFrom(measure) / REAL_CHANGE;
  const rounding = limits.step / Math.sqrt(12);
  if (error.kind === 'amount') return linear(Math.max(usual, rounding), ({ standardError }) => Math.max(standardError, rounding));
  const least = limits.step;
  return {
    kind: 'logarithm',
    of: (figure) => Math.log(Math.max(figure, 0) + least),
    back: (scaled) => Math.max(0, Math.exp(scaled) - least),
    usualError: usual,
    errorOf: ({ value, standardError }) => Math.hypot(standardError, rounding) / Math.max(value, least),
  };
}

function linear(usualError: number, errorOf: Scale['errorOf']): Scale {
  return { kind: 'own unit', of: (figure) => figure, back: (scaled) => scaled, usualError, errorOf };
}
