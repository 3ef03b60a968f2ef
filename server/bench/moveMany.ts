import { figuresAt, frameAt, prepare, skeletonOf } from '@myokinet/core/motion';
import { MOVEMENTS } from '@myokinet/core/movements';

/** A frame of every built-in movement with its contacts met, against the same bodies placed without. */
export function moveMany(): { readonly frames: number; readonly closed: () => number; readonly placed: () => number } {
  const made = Object.values(MOVEMENTS).map((m) => prepare(m, { stature: 1.7 }));
  const halfway = made.map((p) => ({ frame: p.frame, figures: figuresAt(p, 0.5) }));
  return {
    frames: made.length,
    closed: () => made.reduce((sum, p) => sum + frameAt(p, 0.37).head[2], 0),
    placed: () => halfway.reduce((sum, { frame, figures }) => sum + skeletonOf(frame, figures).head[2], 0),
  };
}
