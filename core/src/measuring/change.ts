import { Refusal } from '../errors.ts';
import type { Amount } from '../quantities/index.ts';
import { normalQuantile } from '../statistics/index.ts';
import type { Capacity } from './capacity.ts';
import { occasionError, sumOfSquares } from './errorModel.ts';
import type { Measure } from './measure.ts';
import type { OwnError } from './ownError.ts';

/** z₀.₉₇₅; a constant, so that judging a caseload does not derive it a thousand times. */
const TWO_SIDED_95 = normalQuantile(0.975);

/**
 * The minimal detectable change between two capacities with 95 % confidence, in the measure's unit:
 * z₀.₉₇₅·√(SE₁² + SE₂²). With equal errors this is the usual MDC95 = 1.96·√2·SEM.
 *
 * @throws Refusal `measure-mismatch`
 * @example minimalDetectableChange(a, b) // two means of three trials with SE 1.5°: 4.16
 */
export function minimalDetectableChange(a: Capacity, b: Capacity): Amount {
  if (a.measureId !== b.measureId) throw new Refusal('measure-mismatch', `${a.measureId} and ${b.measureId} cannot be compared.`);
  return (TWO_SIDED_95 * Math.hypot(a.standardError, b.standardError)) as Amount;
}

/**
 * The smallest real change (MDC95) between two occasions of a check, each with all the trials that its protocol asks for:
 * 1.96·√2·SE, with the errors within and between occasions. More trials of one visit shrink only the first.
 *
 * @param own the coach's own errors, instead of the check's defaults
 * @returns in the measure's unit, or as a share of the figure where its error is one; 0 for a level
 * @example realFrom(library.measure('shoulder-flexion')) // three trials: 8.65
 */
export function realFrom({ combine, trials, error }: Measure, own?: OwnError): number {
  if (error.kind === 'none') return 0;
  // As many trials as asked, without any scatter of their own beyond the one that is known.
  const { within, degreesOfFreedom } = error;
  const values = scattered(trials, own?.within?.sd ?? within);
  const told = occasionError({ ...error, degreesOfFreedom }, { values, combine, own });
  return TWO_SIDED_95 * Math.SQRT2 * told.standardError;
}

/** n values whose standard deviation is as given. */
function scattered(n: number, sd: number): readonly number[] {
  if (n === 1) return [0];
  const raw = Array.from({ length: n }, (_, i) => i - (n - 1) / 2);
  const size = Math.sqrt(sumOfSquares(raw) / (n - 1));
  return raw.map((v) => (v * sd) / size);
}

/** What changed between two occasions of the same check and side. */
export interface Change {
  readonly difference: Amount;
  readonly detectable: Amount;
  /** False: the difference is inside the error band and says nothing yet. */
  readonly real: boolean;
}

/**
 * Whether a later capacity truly differs from an earlier one.
 *
 * @throws Refusal `measure-mismatch`
 */
export function changeBetween(earlier: Capacity, later: Capacity): Change {
  const detectable = minimalDetectableChange(earlier, later);
  const difference = (later.value - earlier.value) as Amount;
  return { difference, detectable, real: Math.abs(difference) > detectable };
}

/** How the two sides of one check compare. */
export interface SideDifference {
  readonly difference: Amount;
  /** Weaker ÷ stronger, in percent; 100 means alike. */
  readonly weakerPercent: number;
  readonly allowed: Amount;
  readonly alike: boolean;
}

/** Share of the larger side that two sides may differ by, where nobody set less. */
export const ALLOWED_SIDE_SHARE = 0.1;

/** How far two sides may differ where a figure says more than a share does (professional judgement, from memory). */
const SIDE_LIMITS: Readonly<Record<string, { readonly amount: number } | { readonly share: number }>> = {
  ...Object.fromEntries(
    [
      'shoulder-flexion',
      'shoulder-flexion-passive',
      'shoulder-extension',
      'shoulder-abduction',
      'shoulder-internal-rotation',
      'shoulder-external-rotation',
      'scaption',
      'horizontal-adduction',
    ].map((id) => [id, { amount: 10 }]),
  ),
  ...Object.fromEntries(
    ['wrist-extension', 'wrist-flexion', 'wrist-extension-loaded', 'radial-deviation', 'ulnar-deviation', 'pronation', 'supination'].map(
      (id) => [id, { amount: 8 }],
    ),
  ),
  grip: { share: 0.15 },
};

/**
 * Left against right: alike when they differ by no more than 10° at the shoulder, 8° at wrist and forearm, 15% of grip, and else 10 % of
 * the larger; or by no more than what the checks can detect, whichever is more. Levels, which have no error band, are alike within one
 * step (project default).
 *
 * @param share of the larger side that they may differ by; a studio that sets less than the usual tenth has every limit that much smaller
 * @throws Refusal `measure-mismatch`
 * @example sideDifference(left150, right165).alike // shoulder flexion: false, 15° apart, 10° allowed
 */
export function sideDifference(left: Capacity, right: Capacity, share = ALLOWED_SIDE_SHARE): SideDifference {
  const larger = Math.max(left.value, right.value);
  const smaller = Math.min(left.value, right.value);
  const oneStep = left.band === 0 && right.band === 0 ? 1 : 0;
  const allowed = Math.max(limitOf(left.measureId, larger, share), minimalDetectableChange(left, right), oneStep) as Amount;
  const difference = (larger - smaller) as Amount;
  return { difference, weakerPercent: larger <= 0 ? 100 : Math.max(0, (100 * smaller) / larger), allowed, alike: difference <= allowed };
}

function limitOf(measureId: string, larger: number, share: number): number {
  const own = SIDE_LIMITS[measureId];
  if (!own) return share * larger;
  const stricter = Math.min(1, share / ALLOWED_SIDE_SHARE);
  return stricter * ('amount' in own ? own.amount : own.share * larger);
}
