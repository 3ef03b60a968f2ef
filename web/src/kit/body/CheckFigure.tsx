import type { WorkingPosition } from '@myokinet/core/measuring';
import type { PoseName } from '@myokinet/core/statics';
import { StillBody } from './StillBody.tsx';

/** The figure of a check that has none of its own, by the position in which it is taken. */
const POSE_OF_POSITION: Readonly<Record<WorkingPosition, PoseName>> = {
  standing: 'standing',
  seated: 'seated',
  supine: 'supine',
  'hands and knees': 'hands and knees',
  plank: 'plank',
  hanging: 'feet-supported hang, half',
};

/** A check in its end position, with what is measured marked on it. */
export function CheckFigure({
  check,
  size,
}: {
  readonly check: { readonly id: string; readonly position: WorkingPosition };
  readonly size: number;
}) {
  return <StillBody of={{ check: check.id, pose: POSE_OF_POSITION[check.position] }} size={size} />;
}
