import type { Drill } from '../drills/index.ts';

/** Whether a drill is stability for the same joint and a shared direction as a mobility drill. */
export function isPartner(mobility: Pick<Drill, 'joint' | 'motions'>, other: Pick<Drill, 'quality' | 'joint' | 'motions'>): boolean {
  return other.quality === 'stability' && other.joint === mobility.joint && other.motions.some((m) => mobility.motions.includes(m));
}
