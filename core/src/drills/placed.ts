import type { PoseName } from '../statics/index.ts';
import type { Drill, Position } from './drill.ts';
import type { Situation } from './situation.ts';

const BY_POSE: Readonly<Partial<Record<PoseName, Situation>>> = {
  'free hang': 'free hang',
  'free hang, one-hand tap': 'free hang',
  'hanging side crunch': 'free hang',
  'hand-to-hand travel': 'free hang',
  'dead hang': 'free hang',
  swing: 'free hang',
  'pull-up': 'free hang',
  'pull-up with a band': 'free hang',
  'feet-supported hang': 'feet hang',
  'dip on a bench': 'between the hands',
  'dip, lowered': 'between the hands',
  'dip with a band': 'between the hands',
  'straight-arm support': 'between the hands',
  'seated press, raised seat': 'between the hands',
  'seated press, knees bent': 'between the hands',
  'lift-off, legs long': 'between the hands',
  'forearm plank': 'on the forearms',
  'forearm side plank': 'on the forearms',
  'forearm dog': 'on the forearms',
  'forearm dog, leg raised': 'on the forearms',
  'forearm balance': 'on the forearms',
  'forearm balance at a wall': 'on the forearms',
  'kneeling, chest low': 'lying',
  'threading under': 'lying',
  'reverse tabletop': 'on the hands',
  'hands at hip height': 'on the hands',
  'at a post, low push, high pull': 'at a post',
  'at a post, feet light': 'at a post',
  'side plank': 'on the hands',
};

const BY_POSITION: Readonly<Record<Position, Situation>> = {
  hanging: 'feet hang',
  inverted: 'upside down',
  'at a wall': 'at a wall',
  'hands and knees': 'on the hands',
  prone: 'lying',
  supine: 'lying',
  side: 'lying',
  standing: 'free',
  seated: 'free',
};

/**
 * How the body of a drill is placed.
 *
 * @example situationOf(library.drill('plank')) // 'on the hands'
 * @example situationOf(library.drill('halo')) // 'with a weight'
 */
export function situationOf({
  pose,
  position,
  equipment,
  handLoad,
}: Pick<Drill, 'pose' | 'position' | 'equipment' | 'handLoad'>): Situation {
  const posed = BY_POSE[pose];
  if (posed) return posed;
  if (position === 'prone' && handLoad?.direction === 'push') return 'on the hands';
  const carried = BY_POSITION[position];
  if (carried !== 'free' && carried !== 'lying') return carried;
  if (equipment.includes('band')) return 'against a band';
  if (equipment.some((e) => e === 'weight' || e === 'heavy weight')) return 'with a weight';
  return carried;
}

/** Whether it is the forearms that carry, on the floor or at a wall: the wrists bend nowhere. */
export function isOnForearms(drill: Pick<Drill, 'pose' | 'position' | 'equipment' | 'handLoad'>): boolean {
  return drill.pose === 'forearms on a wall' || situationOf(drill) === 'on the forearms';
}
