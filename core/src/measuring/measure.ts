import type { BodySide, Joint, Motion } from '../anatomy/index.ts';
import { sidesOf } from '../anatomy/index.ts';
import type { Origin } from '../reference/index.ts';
import type { Unit } from '../quantities/index.ts';

/** Where the trainee is while a check is taken, in the order that avoids getting up and down. */
export const WORKING_POSITIONS = ['standing', 'seated', 'supine', 'hands and knees', 'plank', 'hanging'] as const;
export type WorkingPosition = (typeof WORKING_POSITIONS)[number];

/**
 * How far a capacity may be off.
 * - `scatter`: a default standard error of measurement (in the measure's unit) pooled with the trials' own scatter
 * - `share`: a fixed share of the value
 * - `fixed`: a fixed amount in the measure's unit
 */
export type ErrorModel =
  | { readonly kind: 'scatter'; readonly sem: number; readonly degreesOfFreedom: number }
  | { readonly kind: 'share'; readonly share: number }
  | { readonly kind: 'fixed'; readonly amount: number };

/** A check: one measuring protocol and everything needed to read it. */
export interface Measure {
  readonly id: string;
  readonly name: string;
  /** Name inside a sentence after a side: "Left … ". */
  readonly phrase: string;
  readonly unit: Unit;
  readonly joint: Joint;
  readonly motion: Motion;
  readonly sided: boolean;
  /** Whether a larger or a smaller figure is the better one. */
  readonly better: 'more' | 'less';
  readonly trials: number;
  readonly combine: 'mean' | 'best';
  readonly error: ErrorModel;
  readonly freshDays: number;
  /** What a single trial may read, in the measure's unit, and the instrument's resolution. */
  readonly limits: { readonly min: number; readonly max: number; readonly step: number };
  readonly position: WorkingPosition;
  readonly instrument: string;
  readonly protocol: readonly [string, string, string];
  readonly origin: Origin;
}

/** The sides on which a check is taken. */
export function measureSides(measure: Measure): readonly BodySide[] {
  return sidesOf(measure.sided);
}
