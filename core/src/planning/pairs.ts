import type { Joint } from '../anatomy/index.ts';
import type { Drill } from '../drills/index.ts';

/** What holds a joint that has no stability drills of its own: the forearm turns between elbow and wrist, the neck stands on the blades. */
const HELD_BY: Readonly<Partial<Record<Joint, readonly Joint[]>>> = { forearm: ['wrist', 'elbow'], neck: ['scapula'] };

type Mobile = Pick<Drill, 'joint' | 'motions'>;
type Holding = Pick<Drill, 'quality' | 'joint' | 'alsoWorks' | 'motions'>;

/**
 * Whether a drill is stability for the range of a mobility drill: for the same joint in a shared direction, or bracing there, which holds
 * every direction; or for the joint that holds one without stability drills of its own.
 */
export function isPartner(mobility: Mobile, other: Holding): boolean {
  if (other.quality !== 'stability') return false;
  if (HELD_BY[mobility.joint]?.includes(other.joint)) return true;
  const works = other.joint === mobility.joint || other.alsoWorks.includes(mobility.joint);
  return works && other.motions.some((m) => m === 'bracing' || mobility.motions.includes(m));
}
