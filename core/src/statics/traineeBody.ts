import type { Sex } from '../reference/index.ts';
import type { Belief } from './assumptions.ts';
import { bodyModel } from './bodyModel.ts';
import type { KnownBody } from './handLoad.ts';

/** What the record says about a trainee's body: lengths in centimetres, mass in kilograms. */
export interface RecordedBody {
  readonly sex: Sex | 'unstated';
  readonly stature: number;
  readonly mass: number;
  /** Shoulder to wrist. */
  readonly armLength?: number | null | undefined;
  /** Hip to ankle. */
  readonly legLength?: number | null | undefined;
  /** What scale readings have taught. */
  readonly belief?: Belief | undefined;
}

/**
 * A trainee's body out of the record.
 *
 * @throws Refusal `body-implausible`
 * @example traineeBody({ sex: 'female', stature: 168, mass: 62 }).weightN // 608
 */
export function traineeBody({ sex, stature, mass, armLength, legLength, belief }: RecordedBody): KnownBody {
  const body = bodyModel({
    sex,
    statureM: stature / 100,
    massKg: mass,
    overrides: {
      ...(typeof armLength !== 'number' ? {} : { armM: armLength / 100 }),
      ...(typeof legLength !== 'number' ? {} : { legM: legLength / 100 }),
    },
  });
  return belief ? { ...body, belief } : body;
}
