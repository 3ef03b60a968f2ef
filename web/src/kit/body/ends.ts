import type { End, Limbs, Skeleton, Vec } from '@myokinet/core/motion';

const OF_SIDE: Readonly<Record<string, (limbs: Limbs) => Vec>> = {
  hand: (l) => l.grip,
  fingertips: (l) => l.fingertips,
  elbow: (l) => l.elbow,
  shoulder: (l) => l.shoulder,
  foot: (l) => l.ball,
};

/** Where a band, a strap or a measure ends. */
export function endAt(s: Skeleton, end: End): Vec {
  if (typeof end !== 'string') return end;
  const [side, part = ''] = end.split(' ');
  const find = OF_SIDE[part];
  return find ? find(side === 'left' ? s.left : s.right) : s.pelvis;
}
