import { Refusal } from '../errors.ts';
import type { AssumptionName, Assumed } from './assumptions.ts';
import type { BandCurve } from './bands.ts';
import type { Build, Stance } from './stance.ts';

/** Something that a coach can turn: a height, a distance, an angle, a weight. */
export interface Dial {
  readonly label: string;
  readonly unit: 'm' | 'deg' | 'share' | 'kg';
  readonly min: number;
  readonly max: number;
  /** What can be set up: 1 cm, 5°. */
  readonly step: number;
  readonly usual: number;
}

export interface Choice<V extends string = string> {
  readonly label: string;
  readonly options: readonly V[];
  readonly usual: V;
}

type Dials = Readonly<Record<string, Dial>>;
type Choices = Readonly<Record<string, Choice>>;

/** A set-up with everything stated. */
export type Values<D extends Dials, C extends Choices> = { readonly [K in keyof D]: number } & {
  readonly [K in keyof C]: C[K]['options'][number];
} & { readonly band?: BandCurve | undefined };

/** A stretch of a dial from easier to harder; the next stretch begins where this one ends. */
export interface Stretch<K> {
  readonly dial: K;
  readonly from: number;
  readonly to: number;
}

/** One position: how a body is placed in it, and which forces hold it. */
export interface PositionModel<Id extends string = string, D extends Dials = Dials, C extends Choices = Choices> {
  readonly id: Id;
  readonly name: string;
  readonly direction: 'push' | 'pull';
  /** What the arms carry it with. */
  readonly carriedBy: 'hands' | 'forearms';
  /** What counts as hand load: the vertical part, or at a wall the whole force. */
  readonly loadIs?: 'whole force';
  readonly dials: D;
  readonly choices: C;
  /** The dials in the order in which they make it harder; empty where nothing can be turned. */
  readonly harder: readonly Stretch<keyof D & string>[];
  /** What its reading depends on. */
  readonly assumes: readonly AssumptionName[];
  /** What the model leaves out, in sentences; empty where it holds. */
  readonly honest: (values: Values<D, C>) => readonly string[];
  /** Places the body and finds the forces. @throws Refusal `set-up-impossible` */
  readonly place: (build: Build, values: Values<D, C>, assumed: Assumed) => Stance;
}

/** Declares a position; its dials and choices give its type of set-up. */
export function position<const Id extends string, const D extends Dials, const C extends Choices>(
  model: PositionModel<Id, D, C>,
): PositionModel<Id, D, C> {
  return model;
}

export function impossible(detail: string): Refusal {
  return new Refusal('set-up-impossible', detail);
}

/**
 * A figure of a dial in words.
 *
 * @example dialInWords({ unit: 'm', … }, 0.3) // '30 cm'
 */
export function dialInWords({ unit }: Pick<Dial, 'unit'>, value: number): string {
  switch (unit) {
    case 'm':
      return `${Math.round(value * 1000) / 10} cm`;
    case 'deg':
      return `${Math.round(value)}°`;
    case 'share':
      return `${Math.round(value * 100)}%`;
    case 'kg':
      return `${Math.round(value * 10) / 10} kg`;
  }
}

export const cm = (metres: number): string => `${Math.round(metres * 100)} cm`;

export const height = (label: string, max: number, usual = 0, min = 0): Dial => ({ label, unit: 'm', min, max, step: 0.01, usual });
export const weight = (label: string, max: number): Dial => ({ label, unit: 'kg', min: 0, max, step: 0.5, usual: 0 });
export const angle = (label: string, min: number, max: number, usual: number, step = 1): Dial => ({
  label,
  unit: 'deg',
  min,
  max,
  step,
  usual,
});
