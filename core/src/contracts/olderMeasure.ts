/** What an older program wrote: one error, as a standard error of a trial, or as a band (a share, or an amount). */
type OlderError =
  | { readonly kind: 'scatter'; readonly sem: number; readonly degreesOfFreedom: number }
  | { readonly kind: 'share'; readonly share: number }
  | { readonly kind: 'fixed'; readonly amount: number };

const ONE_SIDED_95 = 1.645;
const DEGREES_OF_FREEDOM = 4;

/**
 * A check that an older program kept with one error, with two: nothing tells how it parts, so half of its variance goes to each.
 *
 * @example withTwoErrors({ error: { kind: 'fixed', amount: 2 } }) // error: { kind: 'amount', within: 0.86, between: 0.86, … }
 */
export function withTwoErrors(older: unknown): unknown {
  const { error, ...rest } = (older ?? {}) as { readonly error?: OlderError };
  switch (error?.kind) {
    case 'scatter':
      return { ...rest, error: parted('amount', error.sem, error.degreesOfFreedom) };
    case 'share':
      return 'share' in error ? { ...rest, error: parted('share', error.share / ONE_SIDED_95) } : older;
    case 'fixed':
      return { ...rest, error: parted('amount', error.amount / ONE_SIDED_95) };
    default:
      return older;
  }
}

function parted(kind: 'amount' | 'share', standardError: number, degreesOfFreedom = DEGREES_OF_FREEDOM) {
  const each = Number((standardError / Math.SQRT2).toPrecision(3));
  return { kind, within: each, between: each, degreesOfFreedom: Math.max(1, degreesOfFreedom) };
}
