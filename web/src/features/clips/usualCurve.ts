import type { ClipCurve } from '@myokinet/core/landmarks';
import type { Measure } from '@myokinet/core/measuring';

/**
 * What a clip of a check usually follows: the hips of a held body, a swing, how far the shoulders travel in a push or pull (surer than the
 * elbow, tried on drawn people), the arm of what raises it.
 */
export function usualCurve({ device, position, joint }: Pick<Measure, 'device' | 'position' | 'joint'>): ClipCurve {
  if (device === 'swing') return 'swing';
  if (device === 'time') return 'hip line';
  if (position === 'plank' || position === 'hanging') return 'shoulder height';
  return joint === 'elbow' ? 'elbow' : 'shoulder';
}
