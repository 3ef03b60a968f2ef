import type { Lead } from './lead.ts';
import type { BodySide, Joint, Motion } from '../anatomy/index.ts';
import { sidesOf } from '../anatomy/index.ts';
import type { Origin } from '../reference/index.ts';
import { formatAmount, formatBand, type Unit } from '../quantities/index.ts';
import type { ErrorModel } from './errorModel.ts';

/** Where the trainee is while a check is taken, in the order that avoids getting up and down. */
export const WORKING_POSITIONS = ['standing', 'seated', 'supine', 'hands and knees', 'plank', 'hanging'] as const;
export type WorkingPosition = (typeof WORKING_POSITIONS)[number];

/** What a device can read: the instrument, and the movement of the body that it sees. */
// eslint-disable-next-line no-restricted-syntax -- a code, though of four words
export const DEVICE_READINGS = ['angle held', 'swing', 'repetitions', 'squeeze', 'weight on a scale', 'time'] as const;
export type DeviceReading = (typeof DEVICE_READINGS)[number];

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
  /** Whether a larger or a smaller figure is the better one, or one inside a range. */
  readonly better: 'more' | 'less' | 'inside';
  /** Where it is good, of a check that is good inside a range. */
  readonly inside?: { readonly from: number; readonly to: number };
  readonly trials: number;
  readonly combine: 'mean' | 'best';
  readonly error: ErrorModel;
  readonly freshDays: number;
  /** Names of the values 0, 1, 2 … where the reading is a level, a grade or a contact. */
  readonly choices?: readonly string[];
  /** It is about the next rung, so a new clearance makes it stale. */
  readonly aboutNextRung?: true;
  /** What a single trial may read, in the measure's unit, and the instrument's resolution. */
  readonly limits: { readonly min: number; readonly max: number; readonly step: number };
  readonly position: WorkingPosition;
  /** What it is read with, in words. */
  readonly instrument: string;
  /** The kind of device that can read it; absent where it is asked or looked at. */
  readonly device?: DeviceReading;
  /** The way it is read off a picture, by the id of the template; absent where it cannot be. */
  readonly picture?: string;
  /** What to do, step by step. */
  readonly protocol: readonly string[];
  /** What it shows beside its number leads on to likely reasons, and to drills to try first. */
  readonly leads?: readonly Lead[];
  readonly origin: Origin;
}

/**
 * The check of an id, as the library of the studio has it.
 *
 * @throws Refusal `measure-unknown`
 */
export type MeasureOf = (id: string) => Measure;

/** The sides on which a check is taken. */
export function measureSides(measure: Measure): readonly BodySide[] {
  return sidesOf(measure.sided);
}

/**
 * A reading as it is shown: the name of a level, or the figure with its unit.
 *
 * @example formatReading(library.measure('blade-winging'), 1) // 'winging slight'
 * @example formatReading(library.measure('grip'), 41.6) // '42 kg'
 */
export function formatReading({ choices, unit }: Pick<Measure, 'choices' | 'unit'>, value: number): string {
  return choices?.[Math.round(value)] ?? formatAmount(value, unit);
}

/** The same with its error band, where it has one: `160° ± 3°`. */
export function formatReadingWithBand(measure: Pick<Measure, 'choices' | 'unit'>, value: number, band: number): string {
  return band > 0 ? `${formatReading(measure, value)} ± ${formatBand(band, measure.unit)}` : formatReading(measure, value);
}

/**
 * What stands in for a check of which only the id is left: every record of it is old at once, so that it opens nothing, and its name
 * is its id.
 */
export function unreadableMeasure(id: string): Measure {
  return {
    id,
    name: id,
    phrase: id,
    unit: 'points',
    joint: 'trunk',
    motion: 'bracing',
    sided: false,
    better: 'more',
    trials: 1,
    combine: 'mean',
    error: { kind: 'none' },
    freshDays: 0,
    limits: { min: -10_000, max: 10_000, step: 1 },
    position: 'standing',
    instrument: '',
    protocol: [],
    origin: { kind: 'studio', note: '' },
  };
}
