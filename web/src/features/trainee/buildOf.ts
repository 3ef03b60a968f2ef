import type { TraineeDto } from '@myokinet/core/contracts';
import type { Build } from '@myokinet/core/statics';

/** A trainee's proportions for drawings; a blend of both samples where sex is not stated. */
export function buildOf({ sex, stature }: Pick<TraineeDto, 'sex' | 'stature'>): Build {
  return sex === 'unstated' ? { stature: stature / 100 } : { sex, stature: stature / 100 };
}
