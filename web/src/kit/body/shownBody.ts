import type { Shown } from '@myokinet/core/motion';

interface Measured {
  readonly sex: 'female' | 'male' | 'unstated';
  /** Centimetres, as all lengths here. */
  readonly stature: number;
  readonly armLength?: number | null | undefined;
  readonly legLength?: number | null | undefined;
}

/** A trainee's body as figures show it: own lengths where they were measured. */
export function shownBody({ sex, stature, armLength, legLength }: Measured): Shown {
  return {
    sex: sex === 'unstated' ? undefined : sex,
    stature: stature / 100,
    armM: typeof armLength === 'number' ? armLength / 100 : undefined,
    legM: typeof legLength === 'number' ? legLength / 100 : undefined,
  };
}
