import type { BodySide } from '../anatomy/index.ts';
import type { Unit } from '../quantities/index.ts';

export type Sex = 'female' | 'male';

/** One row of a published table: who it describes, and what they showed. */
export interface Reference {
  readonly name: string;
  readonly citation: string;
  readonly measureId: string;
  readonly unit: Unit;
  readonly sex: Sex | 'any';
  /** Inclusive age band in years; absent where the table names none. */
  readonly ages?: readonly [number, number];
  readonly side: BodySide | 'any';
  readonly mean: number;
  /** Standard deviation; absent where the table gives none. */
  readonly sd?: number;
}
